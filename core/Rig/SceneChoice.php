<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig;

/** The scene that a program shows in a situation. */
final readonly class SceneChoice
{
    public function __construct(public string $unit, public string $scene)
    {
    }

    public function words(Rig $rig): string
    {
        $unit = $rig->units[$this->unit];

        return "{$unit->name}: scene ".($unit->scene($this->scene)->name ?? $this->scene);
    }
}
