<?php

declare(strict_types=1);

namespace App\ViewModels;

use HiddenWire\Core\Equipment\Direction;
use HiddenWire\Core\Equipment\Point;
use HiddenWire\Core\Equipment\PointKind;
use HiddenWire\Core\Rig\DeviceRef;
use HiddenWire\Core\Rig\Unit;
use HiddenWire\Core\Signal\FeedNames;
use HiddenWire\Core\Signal\GraphBuilder;
use HiddenWire\Core\Signal\Misnomer;
use HiddenWire\Core\Signal\Misnomers;
use HiddenWire\Core\Signal\Readings;

/** What feeds are called at each of their stages, names that mislead, and the points of a unit with names of somebody's own. */
final readonly class NamesPage
{
    /** Units up to which every situation is looked at, and not only the one that is shown. */
    private const ALL_SITUATIONS = 200;

    /** Sounds that a row lists by name. */
    private const LISTED = 4;

    /** @var list<array{sentence: string, offer: string, fields: array<string, string>}> `fields` of the form that gives the offered name */
    public array $misnomers;

    /**
     * @var list<array{program: string, point: string, goes: string, stages: list<array{where: string, name: string}>, beyond: string,
     *     sounds: string}>
     */
    public array $feeds;

    /** @var list<Unit> units with points that can have a name */
    public array $units;

    public ?Unit $shown;

    /** @var list<array{id: string, label: string, name: string}> points of the shown unit: what the unit calls them, and their own names */
    public array $points;

    public function __construct(RigPage $page)
    {
        $graph = $page->hearing->graph();
        $builder = new GraphBuilder($page->rig);
        $graphs = count($page->rig->units) > self::ALL_SITUATIONS
            ? [$graph]
            : array_map(fn ($one) => $one === $page->situation ? $graph : $builder->build($one), $page->rig->situations);
        $this->misnomers = array_map(fn (Misnomer $one) => [
            'sentence' => $one->sentence,
            'offer' => $one->offer,
            'fields' => $one->at instanceof DeviceRef
                ? ['edit' => 'name-device', 'computer' => (string) $one->computer, 'device' => (string) $one->at, 'situation' => '']
                : ['edit' => 'name-point', 'unit' => $one->at->unit, 'point' => $one->at->point, 'situation' => ''],
        ], Misnomers::in($page->rig, $graphs));
        $this->feeds = $this->feeds($page);
        $this->units = array_values(array_filter(
            $page->rig->units,
            fn (Unit $unit) => array_filter($page->rig->modelOf($unit)->points, self::isNameable(...)) !== [],
        ));
        $this->shown = array_values(array_filter($this->units, fn (Unit $one) => $one->id === $page->selectedUnit))[0]
            ?? $this->units[0] ?? null;
        $this->points = $this->shown === null ? [] : array_values(array_map(
            fn (Point $point) => ['id' => $point->id, 'label' => $point->label, 'name' => $this->shown->names[$point->id] ?? ''],
            array_filter($page->rig->models[$this->shown->model]->points, self::isNameable(...)),
        ));
    }

    /** What a person gives a name to: strips, buses, what programs take, and what can be set. */
    private static function isNameable(Point $point): bool
    {
        return in_array($point->kind, [PointKind::Strip, PointKind::Bus], true) || $point->picks !== null || $point->isControlled();
    }

    /**
     * @return list<array{program: string, point: string, goes: string, stages: list<array{where: string, name: string}>, beyond: string,
     *     sounds: string}>
     */
    private function feeds(RigPage $page): array
    {
        $graph = $page->hearing->graph();
        $rows = (new FeedNames($graph))->rows();
        $feeds = [];
        foreach ($rows as $row) {
            $node = $row['direction'] === Direction::Playback ? $graph->exit($row['at']) : $graph->deviceNode($row['device']);
            $there = $graph->field()->levelsAt($node, Readings::LEAST_DB);
            $sounds = array_map(fn (string $id) => $page->rig->sources[$id]->name, array_map(strval(...), array_keys($there)));
            $feeds[] = [
                'program' => $page->rig->units[$row['at']->unit]->name,
                'point' => $page->rig->point($row['at'])->label,
                'goes' => $row['direction'] === Direction::Playback ? 'plays' : 'takes',
                'stages' => $row['stages'],
                'beyond' => $row['beyond'],
                'sounds' => match (true) {
                    $sounds === [] => '',
                    count($sounds) > self::LISTED => implode(', ', array_slice($sounds, 0, self::LISTED)).' and '
                        .(count($sounds) - self::LISTED).' more',
                    default => implode(', ', $sounds),
                },
            ];
        }

        return $feeds;
    }
}
