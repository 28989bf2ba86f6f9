<?php

declare(strict_types=1);

namespace HiddenWire\Core\Signal;

/** The strongest ways of a source to a listener. */
final readonly class Ways
{
    /**
     * @param  list<Arrival>  $arrivals  strongest first, then earliest
     * @param  bool  $isCapped  there are more ways than these
     */
    public function __construct(public array $arrivals, public bool $isCapped)
    {
    }
}
