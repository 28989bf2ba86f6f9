<?php

declare(strict_types=1);

namespace HiddenWire\Core\Dependence;

use HiddenWire\Core\Rig\CableRef;
use HiddenWire\Core\Rig\UnitRef;
use HiddenWire\Core\Signal\HeardPair;

/** Units, programs and cables of which each takes the same sounds along when it fails, in the order in which the first of these passes. */
final readonly class Chain
{
    /**
     * @param  non-empty-list<UnitRef|CableRef>  $links
     * @param  non-empty-list<HeardPair>  $lost
     */
    public function __construct(public array $links, public array $lost)
    {
    }

    public function has(UnitRef|CableRef $at): bool
    {
        return in_array((string) $at, array_map(strval(...), $this->links), true);
    }

    /** @return array<string, non-empty-list<HeardPair>> what each listener loses, by listener */
    public function byListener(): array
    {
        $by = [];
        foreach ($this->lost as $pair) {
            $by[$pair->listener->id][] = $pair;
        }

        return $by;
    }
}
