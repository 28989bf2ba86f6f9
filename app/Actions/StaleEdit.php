<?php

declare(strict_types=1);

namespace App\Actions;

/** The rig has changed since the page was made from which a change comes. Nothing is changed; carries what was done meanwhile. */
final class StaleEdit extends \RuntimeException
{
    /** @param  list<string>  $meanwhile  in words, the latest first */
    public function __construct(public readonly array $meanwhile)
    {
        parent::__construct('The rig has changed meanwhile: '.(implode('; ', $meanwhile) ?: 'an undo or a redo')
            .'. Look at it as it is now, then change it again.');
    }
}
