<?php

declare(strict_types=1);

namespace HiddenWire\Core\Signal;

/** What a hearing came to, without the graph that it was heard on: plain enough to be kept, and put back with {@see Hearing}. */
final readonly class KeptHearing
{
    /**
     * @param  array<array-key, array<array-key, array{Verdict, Sum, Doubling|null, Loss|null, Overload|null, list<string>}>>  $pairs
     *     by source, by listener: those to whom anything comes; as {@see HeardPair} has them, sounds by their id
     * @param  int  $work  that it was, in taps moved
     */
    public function __construct(public array $pairs, public int $work)
    {
    }
}
