<?php

declare(strict_types=1);

namespace App\Models;

/** How far a book has come that is made in the background. */
enum BookState: string
{
    case Waiting = 'waiting';
    case Working = 'working';
    case Done = 'done';
    case Failed = 'failed';
    case Stopped = 'stopped';

    /** Whether something still happens to it. */
    public function isOpen(): bool
    {
        return $this === self::Waiting || $this === self::Working;
    }
}
