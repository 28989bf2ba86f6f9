<?php

declare(strict_types=1);

namespace App\Models;

/** How far the recording of a tone test has come. */
enum TakeState: string
{
    case Coming = 'coming';
    case Waiting = 'waiting';
    case Working = 'working';
    case Done = 'done';
    case Failed = 'failed';
    case Stopped = 'stopped';

    /** Whether something still happens to it. */
    public function isOpen(): bool
    {
        return in_array($this, [self::Coming, self::Waiting, self::Working], true);
    }
}
