<?php

declare(strict_types=1);

namespace App\ViewModels;

use HiddenWire\Core\Equipment\Family;
use HiddenWire\Core\Equipment\Point;
use HiddenWire\Core\Equipment\PointKind;
use HiddenWire\Core\Equipment\Route;
use HiddenWire\Core\Rig\Source;
use HiddenWire\Core\Rig\Unit;
use HiddenWire\Core\Signal\SignalGraph;
use HiddenWire\Core\Signal\SoundField;

/** The tracks of a broadcast program or a recorder: what goes to which, what is on each, what is streamed and recorded. */
final readonly class Tracks
{
    /** @var list<array{point: Point, control: Dial, device: string, sources: list<Source>}> what comes in */
    public array $inputs;

    /** @var list<array{point: Point, sources: list<Source>, goals: list<Feed>}> each track with what is on it, and where it goes */
    public array $tracks;

    private function __construct(public Unit $unit, private SignalGraph $graph, SoundField $field, public ?SceneTable $scenes)
    {
        $model = $graph->rig->modelOf($unit);
        $isTrack = fn (Point $point): bool => $point->kind === PointKind::Bus
            || ($point->kind === PointKind::Ear
            && array_filter($model->routes, fn (Route $route) => $route->to === $point->id
            && $model->points[$route->from]->kind !== PointKind::Bus) !== []);
        $sources = fn (Point $point): array => $field->sourcesAt("{$unit->id}/{$point->id}");
        $this->inputs = array_values(array_map(
            fn (Point $point) => [
                'point' => $point,
                'control' => new Dial($unit->id, $point, $graph->state, $graph->rig->modelOf($unit)),
                'device' => $graph->picked($unit, $point)?->name() ?? '',
                'sources' => $sources($point),
            ],
            array_filter($model->points, fn (Point $point) => $point->kind === PointKind::In),
        ));
        $this->tracks = array_values(array_map(
            fn (Point $point) => ['point' => $point, 'sources' => $sources($point),
                'goals' => array_values(array_map(
                    fn (Route $route) => new Feed(
                        $route->key(),
                        $model->points[$route->to]->label,
                        $graph->state->route($unit->id, $route),
                        [],
                        [],
                        $graph->state->sendTotal($unit->id, $graph->state->route($unit->id, $route)),
                    ),
                    array_filter($model->routes, fn (Route $route) => $route->from === $point->id),
                ))],
            array_filter($model->points, $isTrack),
        ));
    }

    /**
     * The crossings of every input's lane with the tracks: whether it is on the track, and which wires pass there. A lane runs on to the
     * last track that it is on; a track begins at the first input on it and runs down to where it goes.
     *
     * @return list<list<array{route: Route|null, isOn: bool, across: string, down: string}>> by input and track; `across` and `down` are
     *     classes, empty where no wire passes
     */
    public function lanes(): array
    {
        $lanes = [];
        $begun = [];
        foreach ($this->inputs as $input) {
            $routes = array_map(fn (array $track) => $this->between($input['point'], $track['point']), $this->tracks);
            $on = array_keys(array_filter($routes, fn (?Route $route) => $route?->on === true));
            $last = max([-1, ...$on]);
            $lane = [];
            foreach ($routes as $track => $route) {
                $isOn = in_array($track, $on, true);
                $lane[] = [
                    'route' => $route,
                    'isOn' => $isOn,
                    'across' => match (true) {
                        $track < $last => 'across',
                        $track === $last => 'across-end',
                        default => '',
                    },
                    'down' => match (true) {
                        isset($begun[$track]) => 'down',
                        $isOn => 'down-begin',
                        default => '',
                    },
                ];
                $begun += $isOn ? [$track => true] : [];
            }
            $lanes[] = $lane;
        }

        return $lanes;
    }

    /**
     * What is on a track, in words.
     *
     * @param  list<Source>  $sources
     */
    public function holds(array $sources): string
    {
        return implode(', ', array_map(fn (Source $source) => $source->name, $sources)) ?: 'empty';
    }

    /**
     * Where the tracks go: a row for each end, "stream" and "file", with the way there of each track. What a track of a recorder holds is
     * its file.
     *
     * @return array<string, list<Feed|null>> by end; null where no way leads there
     */
    public function ends(): array
    {
        $ends = [];
        foreach ($this->tracks as $i => $track) {
            foreach ($track['goals'] as $goal) {
                $end = str_starts_with($goal->from, 'Recorded') ? 'file' : mb_strtolower($goal->from);
                $ends[$end] ??= array_fill(0, count($this->tracks), null);
                $ends[$end][$i] = $goal;
            }
        }

        return array_map(array_values(...), $ends);
    }

    /** @return list<Unit> what has tracks */
    public static function units(RigPage $page): array
    {
        return array_values(array_filter(
            $page->rig->units,
            fn (Unit $unit) => in_array($page->rig->modelOf($unit)->family, [Family::Broadcast, Family::Recorder], true),
        ));
    }

    /** @return list<self> */
    public static function all(RigPage $page): array
    {
        return self::of($page, self::units($page));
    }

    /**
     * @param  list<Unit>  $units
     * @return list<self>
     */
    public static function of(RigPage $page, array $units): array
    {
        $field = $page->hearing->field();
        $scenes = SceneTable::all($page);

        return array_map(
            fn (Unit $unit) => new self($unit, $page->hearing->graph(), $field, $scenes[$unit->id] ?? null),
            $units,
        );
    }

    /** The way from an input to a track; null where the program has none. */
    public function between(Point $input, Point $track): ?Route
    {
        $route = $this->graph->rig->modelOf($this->unit)->routes["{$input->id}>{$track->id}"] ?? null;

        return $route === null ? null : $this->graph->state->route($this->unit->id, $route);
    }
}
