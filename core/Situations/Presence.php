<?php

declare(strict_types=1);

namespace HiddenWire\Core\Situations;

use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\State;

/** Whether a unit is there, or a program runs. */
final readonly class Presence implements Adjustable
{
    use InUnit;

    public function __construct(Rig $rig, string $unit)
    {
        $this->rig = $rig;
        $this->unit = $unit;
    }

    public function key(): string
    {
        return "{$this->unit} presence";
    }

    public function what(): string
    {
        return '';
    }

    public function aspect(): string
    {
        return '';
    }

    public function stands(State $state): string
    {
        $isThere = ! in_array($this->unit, $state->situation->absent, true);

        return $this->model()->isProgram() ? ($isThere ? 'runs' : 'does not run') : ($isThere ? 'is there' : 'is not there');
    }

    public function told(State $state): string
    {
        return "{$this->name()} {$this->stands($state)}";
    }

    public function order(): array
    {
        return [0];
    }
}
