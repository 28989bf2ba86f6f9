<?php

declare(strict_types=1);

namespace HiddenWire\Core\Planning;

use HiddenWire\Core\Rig\Want;
use HiddenWire\Core\Signal\HeardPair;
use HiddenWire\Core\Signal\Hearing;
use HiddenWire\Core\Signal\Hop;

/** Where two sounds become one signal. */
final readonly class Merging
{
    /** Pairs that are looked at: where two sounds are one, the first few show it. */
    private const LOOKED = 2000;

    public function __construct(private Hearing $hearing)
    {
    }

    /**
     * The first step behind which the strongest way of a sound passes nothing that a wanted sound at the same listener does not pass too;
     * null where there is none.
     */
    public function of(HeardPair $pair): ?Hop
    {
        $shared = [];
        $looked = 0;
        foreach ($this->hearing->all() as $other) {
            if ($looked++ < self::LOOKED && $other->listener === $pair->listener && $other !== $pair
                && $other->wish?->want === Want::Must) {
                foreach ($other->arrivals() as $arrival) {
                    // Two programs that pick one device meet there, by picks of their own.
                    $shared += array_fill_keys(array_map(fn (Hop $hop) => "{$hop->kind->value} {$hop->ref}", $arrival->hops), true);
                }
            }
        }
        $merged = null;
        foreach (array_reverse($pair->arrivals()[0]->hops ?? []) as $hop) {
            if (! isset($shared["{$hop->kind->value} {$hop->ref}"])) {
                break;
            }
            $merged = $hop;
        }

        return $merged;
    }

    /**
     * The first step of one sound's strongest way behind which it and another are one signal at their listener; null where there is
     * none.
     */
    public function between(HeardPair $one, HeardPair $other): ?Hop
    {
        $steps = array_fill_keys(
            array_map(fn (Hop $hop) => "{$hop->kind->value} {$hop->ref}", $other->arrivals()[0]->hops ?? []),
            true,
        );
        $merged = null;
        foreach (array_reverse($one->arrivals()[0]->hops ?? []) as $hop) {
            if (! isset($steps["{$hop->kind->value} {$hop->ref}"])) {
                break;
            }
            $merged = $hop;
        }

        return $merged;
    }
}
