<?php

declare(strict_types=1);

namespace App\Exports;

use App\Models\Rig as Record;
use App\Rigs\Geometry;
use App\Rigs\NodeLayouts;
use App\ViewModels\MapDepth;
use App\ViewModels\MapDrawing;
use App\ViewModels\MapGraph;
use HiddenWire\Core\Book\BookInput;

/** The maps of a rig, laid out: as they were on the screen where that is kept, else laid out now. */
final class Drawings
{
    /** Units up to which a map is laid out while somebody waits. */
    public const LAID_OUT_AT_ONCE = 160;

    /** @var array<string, MapScene> by depth */
    private array $known = [];

    /** @param  Record|null  $record  where the rig is stored, with its layouts */
    public function __construct(private readonly BookInput $source, private readonly ?Record $record = null)
    {
    }

    /**
     * @throws TooLarge when the map has no layout, and is too large to make one now
     * @throws \RuntimeException when Node.js can't make one
     */
    public function at(MapDepth $depth): MapScene
    {
        return $this->known[$depth->value] ??= $this->make($depth);
    }

    /** @throws TooLarge when it has more units and cables than can be drawn */
    private function make(MapDepth $depth): MapScene
    {
        $map = new MapGraph($this->source->hearing()->graph(), $depth);
        $layout = $this->record?->layouts()->where('depth', $depth->value)->first();
        $geometry = $layout !== null && $layout->structure === $map->structure() ? Geometry::of($layout->geometry, $map) : null;
        if ($geometry === null) {
            $units = count($this->source->rig->units);
            if ($units > self::LAID_OUT_AT_ONCE) {
                throw new TooLarge("A map of {$units} units takes minutes to lay out. Open it in the application, then write this again.");
            }
            $geometry = NodeLayouts::of($this->source->rig->name, [$depth->value => $map])[$depth->value];
            $this->record?->layouts()->updateOrCreate(
                ['depth' => $depth->value],
                ['structure' => $map->structure(), 'geometry' => $geometry->data()],
            );
        }

        return new MapScene(new MapDrawing($map, $geometry, []), $this->source->rig);
    }
}
