<?php

declare(strict_types=1);

namespace HiddenWire\Core\Signal;

/** Why a source does not arrive: how far it gets, from where on it would be heard, and the fewest changes that join the two. */
final readonly class NearestBreak
{
    /**
     * @param  list<string>  $live  what it passes from the source, in words
     * @param  list<string>  $waiting  what it would pass to the listener behind the last gap
     * @param  non-empty-list<JoiningChange>  $changes  in the order of the way
     */
    public function __construct(public array $live, public array $waiting, public array $changes)
    {
    }
}
