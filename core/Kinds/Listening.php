<?php

declare(strict_types=1);

namespace HiddenWire\Core\Kinds;

use HiddenWire\Core\Equipment\Tap;

/** Where a mixer takes a sound that somebody listens to by itself in the first headphones. */
enum Listening: string
{
    case None = 'none';
    case Before = 'before';
    case After = 'after';
    case Either = 'either';

    public function words(): string
    {
        return match ($this) {
            self::None => 'not at all', self::Before => 'before the fader', self::After => 'after the fader',
            self::Either => 'before or after, by a switch',
        };
    }

    /** Where it is taken when new. */
    public function tap(): Tap
    {
        return $this === self::After ? Tap::PostFader : Tap::PreFader;
    }
}
