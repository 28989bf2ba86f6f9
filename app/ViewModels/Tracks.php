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
                    ),
                    array_filter($model->routes, fn (Route $route) => $route->from === $point->id),
                ))],
            array_filter($model->points, $isTrack),
        ));
    }

    /** @return list<self> */
    public static function all(RigPage $page): array
    {
        $field = $page->hearing->graph->field();
        $units = array_filter(
            $page->rig->units,
            fn (Unit $unit) => in_array($page->rig->modelOf($unit)->family, [Family::Broadcast, Family::Recorder], true),
        );

        $scenes = SceneTable::all($page);

        return array_values(array_map(
            fn (Unit $unit) => new self($unit, $page->hearing->graph, $field, $scenes[$unit->id] ?? null),
            $units,
        ));
    }

    /** The way from an input to a track; null where the program has none. */
    public function between(Point $input, Point $track): ?Route
    {
        $route = $this->graph->rig->modelOf($this->unit)->routes["{$input->id}>{$track->id}"] ?? null;

        return $route === null ? null : $this->graph->state->route($this->unit->id, $route);
    }
}
