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

    /** Whether that list shows a program only while it plays or takes a sound. */
    public function listsOnlyPlaying(): bool
    {
        return $this === self::Looping;
    }

    /** Whether a program gets no microphone until somebody has allowed it one. */
    public function asksForMicrophones(): bool
    {
        return $this !== self::Looping;
    }

    /** Whether a program falls silent as soon as another one is in front. */
    public function runsOneAtATime(): bool
    {
        return $this === self::Mobile;
    }

    /** @return list<string> what follows from it, each in a sentence */
    public function facts(): array
    {
        return array_values(array_filter([
            $this->loopsBack() ? 'Programs can take what goes to any playback device.'
                : 'Programs take what goes to a playback device only by a virtual cable.',
            $this->hasDefaultForCalls() ? 'Calls have a default of their own.' : 'Calls follow the one default.',
            $this->listsPrograms() ? 'It lists programs with their devices'.($this->listsOnlyPlaying() ? ', while they play.' : '.')
                : 'It lists no programs: one without a choice of its own follows the default.',
            $this->asksForMicrophones() ? 'It has to allow each program the microphone.' : '',
            $this->runsOneAtATime() ? 'One program has the sound at a time.' : '',
        ]));
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
