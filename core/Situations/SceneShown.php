<?php

declare(strict_types=1);

namespace HiddenWire\Core\Situations;

use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\State;

/** Which scene a program shows. */
final readonly class SceneShown implements Adjustable
{
    use InUnit;

    public function __construct(Rig $rig, string $unit)
    {
        $this->rig = $rig;
        $this->unit = $unit;
    }

    public function key(): string
    {
        return "{$this->unit} scene";
    }

    public function what(): string
    {
        return 'scene';
    }

    public function aspect(): string
    {
        return '';
    }

    public function stands(State $state): string
    {
        return $state->scene($this->unit)->name ?? 'none';
    }

    public function told(State $state): string
    {
        return "{$this->name()}: scene {$this->stands($state)}";
    }

    public function order(): array
    {
        return [1, 0];
    }
}
