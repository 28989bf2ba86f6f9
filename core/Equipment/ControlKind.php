<?php

declare(strict_types=1);

namespace HiddenWire\Core\Equipment;

/** What a hand finds there. */
enum ControlKind: string
{
    case Fader = 'fader';
    case Knob = 'knob';
    /** An endless encoder; the value it moves is kept elsewhere. */
    case Dial = 'dial';
    case Key = 'key';
    case Pad = 'pad';
    case Footswitch = 'footswitch';
    /** Keys of a keyboard that a program listens to. */
    case Shortcut = 'shortcut';
    /** Goes to another page of keys. */
    case Page = 'page';

    public function words(): string
    {
        return match ($this) {
            self::Shortcut => 'keyboard shortcut', self::Page => 'page key', default => $this->value,
        };
    }

    /** Whether it has a way to go, from lowest to highest, and stays where it is let go. */
    public function isTurned(): bool
    {
        return in_array($this, [self::Fader, self::Knob, self::Dial], true);
    }
}
