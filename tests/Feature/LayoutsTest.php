<?php

declare(strict_types=1);

use App\Rigs\Starters;
use App\ViewModels\MapDepth;
use App\ViewModels\MapGraph;
use HiddenWire\Core\Signal\GraphBuilder;

/**
 * The straight stretches of a layout's lines.
 *
 * @param  array<string, array{points: list<array{float, float}>}>  $edges
 * @return list<array{string, array{float, float, float, float}}> the line, and left, top, right and bottom of the stretch
 */
function stretches(array $edges): array
{
    $stretches = [];
    foreach ($edges as $id => ['points' => $points]) {
        for ($i = 1; $i < count($points); $i++) {
            [[$ax, $ay], [$bx, $by]] = [$points[$i - 1], $points[$i]];
            $stretches[] = [$id, [min($ax, $bx), min($ay, $by), max($ax, $bx), max($ay, $by)]];
        }
    }

    return $stretches;
}

/** The lines that share a stretch though they have no port in common, and those that run through the label of another one. */
function lineTrouble(MapGraph $map, array $geometry): array
{
    $ends = [];
    foreach ($map->edges as $edge) {
        $ends[$edge->id] = [$edge->from, $edge->to];
    }
    $stretches = stretches($geometry['edges']);
    $trouble = [];
    foreach ($stretches as $i => [$a, $one]) {
        foreach (array_slice($stretches, $i + 1) as [$b, $other]) {
            $long = [min($one[2], $other[2]) - max($one[0], $other[0]), min($one[3], $other[3]) - max($one[1], $other[1])];
            // They overlap where they meet for a length, not in a point.
            if ($a !== $b && (float) min($long) === 0.0 && max($long) > 0 && array_intersect($ends[$a], $ends[$b]) === []) {
                $trouble[] = "{$a} lies on {$b}";
            }
        }
        foreach ($geometry['edges'] as $b => $edge) {
            [$x, $y, $width, $height] = $edge['label'] ?? [0, 0, 0, 0];
            if ($a !== $b && $one[0] < $x + $width && $one[2] > $x && $one[1] < $y + $height && $one[3] > $y) {
                $trouble[] = "{$a} runs through the label of {$b}";
            }
        }
    }

    return $trouble;
}

it('lets no two sounds share a line, and no line run through a label, on any map that ships', function (string $folder, string $id) {
    $shipped = new Starters($folder);
    $rig = $shipped->rig($id);
    $graph = (new GraphBuilder($rig))->build($rig->base());
    foreach ($shipped->layouts($id) as $depth => $layout) {
        $map = new MapGraph($graph, MapDepth::from($depth));
        expect($map->structure())->toBe($layout['structure'])
            ->and(array_keys($layout['geometry']['edges']))->toEqualCanonicalizing(array_column($map->edges, 'id'))
            ->and(lineTrouble($map, $layout['geometry']))->toBe([]);
    }
})->with(function () {
    foreach (['starters', 'rigs'] as $folder) {
        foreach (glob(dirname(__DIR__, 2)."/resources/{$folder}/*.json") as $file) {
            yield basename($file, '.json') => [$folder, basename($file, '.json')];
        }
    }
});

it('would see two lines on one another, and one through a label', function () {
    $rig = (new Starters)->rig('tram-cab');
    $map = new MapGraph((new GraphBuilder($rig))->build($rig->base()), MapDepth::Cables);
    [$a, $b] = [$map->edges[0]->id, $map->edges[1]->id];
    expect(array_intersect([$map->edges[0]->from, $map->edges[0]->to], [$map->edges[1]->from, $map->edges[1]->to]))->toBe([])
        ->and(lineTrouble($map, ['edges' => [
            $a => ['points' => [[0, 8], [80, 8]], 'label' => null],
            $b => ['points' => [[40, 8], [120, 8]], 'label' => [0, 0, 30, 15]],
        ]]))->toBe(["{$a} lies on {$b}", "{$a} runs through the label of {$b}"]);
});
