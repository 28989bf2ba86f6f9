<?php

declare(strict_types=1);

namespace HiddenWire\Core\Finder;

/** One or two faults of a table that would together answer all as it was answered. */
final readonly class Suspicion
{
    /**
     * @param  non-empty-list<int>  $faults  their numbers in the table, rising
     * @param  float  $weight  how likely it is, against the others
     */
    public function __construct(public array $faults, public float $weight)
    {
    }
}
