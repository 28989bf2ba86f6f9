<?php

declare(strict_types=1);

namespace App\Actions;

/** A revision whose document can't be read any more: it can't be gone back to. */
final class UnreadableRevision extends \RuntimeException
{
    public function __construct(public readonly int $number)
    {
        parent::__construct("Revision {$number} can't be read any more, so it can't be brought back. Nothing is changed.");
    }
}
