<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig;

/** What an operating system can do with sound, whatever it is called. */
enum SystemKind: string
{
    /** What goes to any playback device can be taken by programs; it lists them with their devices; calls have a default of their own. */
    case Looping = 'looping';
    /** Nothing is taken from a playback device without help; programs choose for themselves; calls follow the one default. */
    case Plain = 'plain';
    /** Sound goes where the system sends it: nothing is taken from a device, and calls follow the one default. */
    case Mobile = 'mobile';

    public function loopsBack(): bool
    {
        return $this === self::Looping;
    }

    public function hasDefaultForCalls(): bool
    {
        return $this === self::Looping;
    }

    /** Whether it lists programs with the devices that they use, and lets them be set there. */
    public function listsPrograms(): bool
    {
        return $this === self::Looping;
    }

    /** As a choice of a form has it. */
    public function words(): string
    {
        return match ($this) {
            self::Looping => 'loopback of any device, a default for calls',
            self::Plain => 'no loopback, one default for all',
            self::Mobile => 'telephone or tablet: no loopback',
        };
    }
}
