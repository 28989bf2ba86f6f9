<?php

declare(strict_types=1);

namespace HiddenWire\Core\Checks;

use HiddenWire\Core\Planning\Cell;
use HiddenWire\Core\Planning\Cure;
use HiddenWire\Core\Rig\CableRef;
use HiddenWire\Core\Rig\DeviceRef;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\RouteRef;
use HiddenWire\Core\Rig\SocketRef;
use HiddenWire\Core\Rig\UnitRef;
use HiddenWire\Core\With;

/** One thing that a check says about a rig beyond the hearing. */
final readonly class Finding
{
    use With;

    /**
     * @param  string  $code  of the check: "plug.level"
     * @param  string  $sentence  names the real things, without a full stop
     * @param  string  $why  why it matters, and what can be done where nothing is proposed
     * @param  list<PointRef|RouteRef|SocketRef|CableRef|DeviceRef|UnitRef>  $about  the elements that it rests on
     * @param  list<string>  $situations  ids of those in which it is so; empty for whatever the situation
     * @param  list<Proposal>  $proposals  the easiest first
     * @param  list<Cure>  $cures  proposals that were tried and mend it
     * @param  list<string>  $cells  keys of the cells that it is about, where those are what is the matter (see {@see Cell::key()})
     */
    public function __construct(
        public string $code,
        public Severity $severity,
        public string $sentence,
        public string $why,
        public array $about,
        public array $situations = [],
        public array $proposals = [],
        public array $cures = [],
        public array $cells = [],
    ) {
    }

    public function isIn(string $situation): bool
    {
        return $this->situations === [] || in_array($situation, $this->situations, true);
    }

    /** The same for the same thing, whatever it is called and in whichever situations it is so. */
    public function key(): string
    {
        $about = array_map(strval(...), $this->about);
        sort($about);

        return "{$this->code} ".implode(' ', array_unique($about));
    }

    /** @return list<string> by which it may have been accepted */
    public function evidences(): array
    {
        return [$this->evidence()];
    }

    /** What it rests on, as 16 hexadecimal digits: other elements or situations are other evidence, another name is not. */
    public function evidence(): string
    {
        $situations = $this->situations;
        sort($situations);

        return substr(hash('sha256', $this->key().'|'.implode(' ', $situations)), 0, 16);
    }
}
