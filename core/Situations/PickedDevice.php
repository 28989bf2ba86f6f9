<?php

declare(strict_types=1);

namespace HiddenWire\Core\Situations;

use HiddenWire\Core\Rig\Names;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\State;

/** Which device a program's in or out uses. */
final readonly class PickedDevice implements Adjustable
{
    use InUnit;

    public function __construct(Rig $rig, public PointRef $at)
    {
        $this->rig = $rig;
        $this->unit = $at->unit;
    }

    public function key(): string
    {
        return "{$this->at} pick";
    }

    public function what(): string
    {
        return $this->rig->point($this->at)->label;
    }

    public function aspect(): string
    {
        return 'uses';
    }

    public function stands(State $state): string
    {
        return $state->pick($this->unit, $this->at->point)?->words(new Names($this->rig)) ?? 'nothing';
    }

    public function told(State $state): string
    {
        return "{$this->name()}: {$this->what()} uses {$this->stands($state)}";
    }

    public function order(): array
    {
        return [2, $this->placeOf($this->at->point), 2];
    }
}
