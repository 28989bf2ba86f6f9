<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig;

/** Apart from what the level of a sound at a listener has to be adjustable. */
enum Apart: string
{
    /** From other listeners: my ears against the stream. */
    case Listeners = 'listeners';
    /** From other sounds: this game against that call. */
    case Sounds = 'sounds';
    case Both = 'both';

    public function isFromListeners(): bool
    {
        return $this !== self::Sounds;
    }

    public function isFromSounds(): bool
    {
        return $this !== self::Listeners;
    }

    /** "a level of its own, apart from other listeners" */
    public function words(): string
    {
        return 'own level, apart from other '.match ($this) {
            self::Listeners => 'listeners', self::Sounds => 'sounds', self::Both => 'listeners and sounds',
        };
    }
}
