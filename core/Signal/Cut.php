<?php

declare(strict_types=1);

namespace HiddenWire\Core\Signal;

/** What stops a sound that must not arrive, or one of its copies, and stops nothing that is wanted; or the element from which on it can't be told from what is wanted. */
final readonly class Cut
{
    /**
     * @param  list<CutChange>  $changes  the fewest that do; empty where none do
     * @param  Hop|null  $mergedAt  where there is no cut: from here on the sound is one signal with a wanted one
     */
    public function __construct(public array $changes, public ?Hop $mergedAt)
    {
    }
}
