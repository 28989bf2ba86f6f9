<?php

declare(strict_types=1);

namespace App\Exports;

use App\Models\Rig as Record;
use App\Rigs\Geometry;
use App\Rigs\NodeLayouts;
use App\ViewModels\MapDepth;
use App\ViewModels\MapDrawing;
use App\ViewModels\MapGraph;
use HiddenWire\Core\History\Marks;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Signal\GraphBuilder;
use Illuminate\Support\Facades\Cache;

/** Two revisions' maps side by side, with what was added, removed and changed marked on each. Kept: revisions don't change. */
final class ComparedMaps
{
    private const SECONDS = 86400;

    /**
     * @param  array{int, int}  $numbers  of the revisions
     * @return array{string, string} as SVG, before and after
     *
     * @throws TooLarge where they would take minutes
     * @throws \RuntimeException when Node.js can't lay them out
     */
    public static function of(Record $record, array $numbers, Rig $before, Rig $after, MapDepth $depth): array
    {
        if (max(count($before->units), count($after->units)) > Drawings::LAID_OUT_AT_ONCE) {
            throw new TooLarge(
                'The maps of a rig of more than '.Drawings::LAID_OUT_AT_ONCE.' units are not laid out here. The lists say what changed.',
            );
        }
        $map = fn (Rig $rig): MapGraph => new MapGraph((new GraphBuilder($rig))->build($rig->base()), $depth);
        [$was, $is] = [$map($before), $map($after)];
        [$then, $now] = self::geometries($record, $numbers, [$was, $is], $depth);
        $marks = Marks::between($before, $after);

        return [
            Svg::of(new MapScene(new MapDrawing($was, $then, []), $before, $marks), 'Before'),
            Svg::of(new MapScene(new MapDrawing($is, $now, []), $after, $marks), 'After'),
        ];
    }

    /**
     * @param  array{int, int}  $numbers  of the revisions: one twice where it is compared with itself
     * @param  array{MapGraph, MapGraph}  $maps
     * @return array{Geometry, Geometry}
     */
    private static function geometries(Record $record, array $numbers, array $maps, MapDepth $depth): array
    {
        [$first, $second] = $numbers;
        [$was, $is] = $maps;
        $key = "compared:{$record->id}:{$record->created_at?->timestamp}:{$first}:{$second}:{$depth->value}";
        $kept = Cache::get($key);
        [$then, $now] = is_array($kept) ? [Geometry::of($kept[0] ?? null, $was), Geometry::of($kept[1] ?? null, $is)] : [null, null];
        if ($then !== null && $now !== null) {
            return [$then, $now];
        }
        $layout = $record->layouts()->where('depth', $depth->value)->first();
        $now = $layout !== null && $layout->structure === $is->structure() ? Geometry::of($layout->geometry, $is) : null;
        $now ??= NodeLayouts::of('The later map', ['map' => $is])['map'];
        // What exists on both sides is in the same place, where it has kept its size.
        $then = $was->structure() === $is->structure()
            ? $now
            : NodeLayouts::of('The earlier map', ['map' => $was], ['map' => Geometry::adapted($now->data(), $was)])['map'];
        Cache::put($key, [$then->data(), $now->data()], self::SECONDS);

        return [$then, $now];
    }
}
