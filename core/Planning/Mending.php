<?php

declare(strict_types=1);

namespace HiddenWire\Core\Planning;

use HiddenWire\Core\Rig\InvalidRig;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Signal\HeardPair;

/**
 * The first cures of all causes together: each is made on what the ones before have left, and only where it still mends something and
 * makes nothing worse.
 */
final class Mending
{
    /** @var list<Cure> those that were made, in order */
    public readonly array $cures;

    /** The rig as it is then. */
    public readonly Rig $rig;

    /** How many cells are not as wished then. */
    public readonly int $left;

    /** @param  list<Cause>  $causes */
    public function __construct(Hearings $hearings, array $causes)
    {
        $made = [];
        $now = $hearings;
        $odd = $this->odd($now);
        foreach ($causes as $cause) {
            $cure = $cause->cures[0] ?? null;
            if ($cure === null || array_filter($cause->cells, fn (Cell $cell) => isset($odd[$cell->key()])) === []) {
                continue;
            }
            try {
                $rig = $cure->applyTo($now->rig);
            } catch (InvalidRig) {
                continue;
            }
            $then = new Hearings($rig, [], $now);
            $left = $this->odd($then);
            if (count($left) < count($odd) && array_diff_key($left, $odd) === []) {
                $made[] = $cure;
                [$now, $odd] = [$then, $left];
            }
        }
        $this->cures = $made;
        $this->rig = $now->rig;
        $this->left = count($odd);
    }

    /** @return array<string, true> */
    private function odd(Hearings $hearings): array
    {
        return array_map(
            fn () => true,
            array_filter(iterator_to_array($hearings->cells()), fn (HeardPair $pair) => $pair->verdict->isAtOdds()),
        );
    }
}
