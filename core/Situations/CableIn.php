<?php

declare(strict_types=1);

namespace HiddenWire\Core\Situations;

use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\State;

/** Whether a cable is plugged. */
final readonly class CableIn implements Adjustable
{
    public function __construct(private Rig $rig, public string $cable)
    {
    }

    public function key(): string
    {
        return "cable {$this->cable}";
    }

    public function unit(): null
    {
        return null;
    }

    public function what(): string
    {
        return $this->rig->cables[$this->cable]->label;
    }

    public function aspect(): string
    {
        return 'cable';
    }

    public function stands(State $state): string
    {
        return in_array($this->cable, $state->situation->pulled, true) ? 'out' : 'plugged';
    }

    public function told(State $state): string
    {
        return "{$this->what()} {$this->stands($state)}";
    }

    public function order(): array
    {
        return [(int) array_search($this->cable, array_keys($this->rig->cables), true)];
    }
}
