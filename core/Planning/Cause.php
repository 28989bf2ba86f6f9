<?php

declare(strict_types=1);

namespace HiddenWire\Core\Planning;

use HiddenWire\Core\Rig\CableRef;
use HiddenWire\Core\Rig\DeviceRef;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\RouteRef;
use HiddenWire\Core\Rig\SocketRef;
use HiddenWire\Core\Rig\UnitRef;

/** One fault, and the cells that it explains. */
final readonly class Cause
{
    /**
     * @param  string  $sentence  "W-17 is out"
     * @param  list<PointRef|RouteRef|SocketRef|CableRef|DeviceRef|UnitRef>  $about
     * @param  list<Cell>  $cells
     * @param  list<Cure>  $cures  the best first; empty where none was found
     * @param  string|null  $why  why there is none
     */
    public function __construct(
        public string $sentence,
        public array $about,
        public array $cells,
        public array $cures,
        public ?string $why = null,
    ) {
    }

    /** What it rests on, as 16 hexadecimal digits: other elements or other cells are other evidence, another name is not. */
    public function evidence(): string
    {
        $about = array_map(strval(...), $this->about);
        $cells = array_map(fn (Cell $cell) => $cell->key(), $this->cells);
        sort($about);
        sort($cells);

        return substr(hash('sha256', implode(',', $about).'|'.implode(',', $cells)), 0, 16);
    }
}
