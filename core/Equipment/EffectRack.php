<?php

declare(strict_types=1);

namespace HiddenWire\Core\Equipment;

/** What a point of a model has room for in its chain of effects: behind its gain and mute, before what is tapped pre-fader. */
final readonly class EffectRack
{
    /**
     * @param  list<EffectKind>  $kinds  that it takes; empty for any
     * @param  bool  $perMix  whether an effect can be left out of single mixes
     */
    public function __construct(public int $most, public array $kinds = [], public bool $perMix = false)
    {
    }

    public function takes(EffectKind $kind): bool
    {
        return $this->kinds === [] || in_array($kind, $this->kinds, true);
    }
}
