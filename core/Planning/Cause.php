<?php

declare(strict_types=1);

namespace HiddenWire\Core\Planning;

use HiddenWire\Core\Rig\CableRef;
use HiddenWire\Core\Rig\DeviceRef;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\RouteRef;
use HiddenWire\Core\Rig\SocketRef;
use HiddenWire\Core\Rig\UnitRef;
use HiddenWire\Core\With;

/** One fault, and the cells that it explains. */
final readonly class Cause
{
    use With;

    /**
     * @param  string  $sentence  "W-17 is out"
     * @param  list<PointRef|RouteRef|SocketRef|CableRef|DeviceRef|UnitRef>  $about
     * @param  list<Cell>  $cells
     * @param  list<Cure>  $cures  the best first; empty where none was found
     * @param  string|null  $why  why there is none
     * @param  list<string>  $notes  what checks say of the same matter
     * @param  list<string>  $joined  evidence of what they say: whoever has accepted that has accepted this
     */
    public function __construct(
        public string $sentence,
        public array $about,
        public array $cells,
        public array $cures,
        public ?string $why = null,
        public array $notes = [],
        public array $joined = [],
    ) {
    }

    /** @return list<string> by which it may have been accepted */
    public function evidences(): array
    {
        return [$this->evidence(), ...$this->joined];
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
