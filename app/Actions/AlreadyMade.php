<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\SentEdit;

/** This very edit was sent before, and made then. */
final class AlreadyMade extends \RuntimeException
{
    public function __construct(public readonly SentEdit $edit)
    {
        parent::__construct($edit->said);
    }
}
