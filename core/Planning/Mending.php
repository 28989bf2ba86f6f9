<?php

declare(strict_types=1);

namespace HiddenWire\Core\Planning;

use HiddenWire\Core\Rig\InvalidRig;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Signal\HeardPair;

/**
 * The first cures of all causes together: each is made on what the ones before have left, and only where it still mends something and
 * makes nothing worse. What is left then is diagnosed anew, until nothing more can be mended.
 */
final class Mending
{
    /** Diagnoses of what is left: each mends something, and of what no diagnosis mends there are few. */
    private const ROUNDS = 6;

    /** @var list<Cure> those that were made, in order */
    public readonly array $cures;

    /** The rig as it is then. */
    public readonly Rig $rig;

    /** How many cells are not as wished then. */
    public readonly int $left;

    /** @var list<Cause> why what is left is left */
    public readonly array $open;

    /**
     * @param  list<Cause>  $causes
     * @param  list<Rig>  $earlier  states of the rig that were before, the latest first
     * @param  (\Closure(Cause): bool)|null  $isOpen  whether a cause is to be mended at all; null for every one
     */
    public function __construct(Hearings $hearings, array $causes, array $earlier = [], ?\Closure $isOpen = null)
    {
        $made = [];
        $now = $hearings;
        for ($round = 0; ; $round++) {
            [$then, $cures] = $this->made($now, $causes);
            array_push($made, ...$cures);
            if ($cures === []) {
                break;
            }
            $now = $then;
            if ($round >= self::ROUNDS || $this->odd($now) === []) {
                break;
            }
            $causes = (new Diagnosis($now, $earlier))->causes();
            $causes = $isOpen === null ? $causes : array_values(array_filter($causes, $isOpen));
        }
        $this->cures = $made;
        $this->rig = $now->rig;
        $this->left = count($this->odd($now));
        $this->open = $this->left === 0 ? [] : $causes;
    }

    /**
     * @param  list<Cause>  $causes
     * @return array{Hearings, list<Cure>} what is heard after what was made, and that
     */
    private function made(Hearings $now, array $causes): array
    {
        $made = [];
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
            if ($this->isBetter($then)) {
                $made[] = $cure;
                [$now, $odd] = [$then, $this->odd($then)];
            }
        }

        return [$now, $made];
    }

    /** Whether some cell is less wrong than before, and none is worse. */
    private function isBetter(Hearings $then): bool
    {
        $isBetter = false;
        foreach ($then->differing() as [$was, $is]) {
            if ($is->verdict->rank() > $was->verdict->rank() || Trials::isLost($was, $is)) {
                return false;
            }
            $isBetter = $isBetter || $is->verdict->rank() < $was->verdict->rank();
        }

        return $isBetter;
    }

    /** @return array<string, HeardPair> what is not as wished, by the keys of the cells */
    private function odd(Hearings $hearings): array
    {
        return array_filter(iterator_to_array($hearings->cells()), fn (HeardPair $pair) => $pair->verdict->isAtOdds());
    }
}
