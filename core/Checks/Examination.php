<?php

declare(strict_types=1);

namespace HiddenWire\Core\Checks;

use HiddenWire\Core\Document\Catalogue;
use HiddenWire\Core\Planning\Cause;
use HiddenWire\Core\Planning\Cell;
use HiddenWire\Core\Planning\Cure;
use HiddenWire\Core\Planning\Diagnosis;
use HiddenWire\Core\Planning\Hearings;
use HiddenWire\Core\Rig\Rig;

/**
 * All that is the matter with a rig, each matter once: what is not as wished, with its causes, and what else the checks find. A finding
 * about what a cause says already is part of that cause, with its reason, its cures and whatever acceptance it has had.
 */
final readonly class Examination
{
    /** Checks that say of one element what a cause says of it, too. */
    private const OF_ELEMENTS = [
        'plug.phantom', 'plug.stereo-balanced', 'plug.mismatch', 'plug.direction', 'plug.level', 'computer.one-device', 'computer.default',
        'computer.unavailable', 'computer.channels', 'computer.loopback', 'computer.driver-mode', 'computer.needs', 'level.clip',
    ];

    /** Cures that are shown of one cause. */
    private const CURES = 4;

    /**
     * @param  list<Cause>  $causes
     * @param  list<Finding>  $findings  that are no part of a cause, the worst first
     * @param  int  $cells  how many are not as wished, all situations together
     * @param  int  $untried  changes that were come upon and not tried
     */
    private function __construct(public array $causes, public array $findings, public int $cells, public int $untried)
    {
    }

    /** @param  list<Rig>  $earlier  states of the rig that were before, the latest first */
    public static function of(Hearings $hearings, array $earlier = [], ?Catalogue $catalogue = null): self
    {
        $diagnosis = new Diagnosis($hearings, $earlier, $catalogue);
        $in = new Inspection($hearings, $catalogue);
        $curing = new Curing($in);
        $found = Checks::findings($in);
        [$causes, $findings] = self::joined($diagnosis->causes(), $curing->of($found));
        $causes = (new LeadsBring($in))->of($causes);

        return new self($causes, $findings, count($diagnosis->cells()), $diagnosis->untried + $curing->untried);
    }

    /**
     * @param  list<Cause>  $causes
     * @param  list<Finding>  $findings
     * @return array{list<Cause>, list<Finding>}
     */
    private static function joined(array $causes, array $findings): array
    {
        $left = [];
        foreach ($findings as $finding) {
            $isPart = false;
            foreach ($causes as $i => $cause) {
                if (self::isOneMatter($cause, $finding)) {
                    $causes[$i] = self::with($cause, $finding);
                    $isPart = true;

                    break;
                }
            }
            $left = $isPart ? $left : [...$left, $finding];
        }

        return [$causes, $left];
    }

    private static function isOneMatter(Cause $cause, Finding $finding): bool
    {
        if ($finding->cells !== []) {
            return array_intersect($finding->cells, array_map(fn (Cell $cell) => $cell->key(), $cause->cells)) !== [];
        }
        $where = array_map(fn (Cell $cell) => $cell->situation, $cause->cells);

        return in_array($finding->code, self::OF_ELEMENTS, true) && $finding->about !== []
            && in_array((string) $finding->about[0], array_map(strval(...), $cause->about), true)
            && ($finding->situations === [] || array_intersect($finding->situations, $where) !== []);
    }

    private static function with(Cause $cause, Finding $finding): Cause
    {
        // The same change may be worded in two ways.
        $known = array_map(fn (Cure $cure) => $cure->edits, $cause->cures);
        $more = array_filter($finding->cures, fn (Cure $cure) => ! in_array($cure->edits, $known));

        return $cause->with(
            cures: array_slice([...$cause->cures, ...$more], 0, max(self::CURES, count($cause->cures))),
            notes: [...$cause->notes, $finding->sentence === $cause->sentence ? $finding->why : "{$finding->sentence}. {$finding->why}"],
            joined: [...$cause->joined, $finding->evidence()],
        );
    }
}
