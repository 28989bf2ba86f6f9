<?php

declare(strict_types=1);

namespace HiddenWire\Core\Kinds;

/** What a mixer records on a memory card. */
enum Card: string
{
    case None = 'none';
    case Mix = 'mix';
    case Each = 'each';

    public function words(): string
    {
        return match ($this) {
            self::None => 'no card', self::Mix => 'one mix', self::Each => 'every sound on a track of its own',
        };
    }
}
