<?php

declare(strict_types=1);

namespace HiddenWire\Core\Checks;

use HiddenWire\Core\Edit\ExchangeEnds;
use HiddenWire\Core\Edit\Plug;
use HiddenWire\Core\Edit\Replug;
use HiddenWire\Core\Edit\RigEdit;
use HiddenWire\Core\Planning\Cause;
use HiddenWire\Core\Planning\Cure;
use HiddenWire\Core\Planning\Hearings;
use HiddenWire\Core\Rig\InvalidRig;

/**
 * What else a lead brings that a cure plugs in: a ground loop, a level that does not suit, a headphone volume in the way. The checks of
 * leads, grounds and levels look at the rig with the cure made; what they find that they did not find before is reported with it.
 */
final class LeadsBring
{
    private const KINDS = ['plug', 'ground', 'level'];

    /** Checks whose notes are reported too: a headphone volume in the way, a ground loop that is likely quiet. */
    private const NOTES = ['plug.level', 'ground.loop'];

    /** Cures that are held against the checks: each costs a hearing. */
    private const MOST = 6;

    /** @var array<string, true>|null keys of what the checks find now */
    private ?array $known = null;

    private int $left = self::MOST;

    public function __construct(private readonly Inspection $in)
    {
    }

    /**
     * @param  list<Cause>  $causes
     * @return list<Cause> with what the leads of their cures bring; of a cause, a cure that brings nothing precedes one as good that
     *     does
     */
    public function of(array $causes): array
    {
        return array_map(fn (Cause $cause) => $this->plugs($cause)
            ? $cause->with(cures: self::inOrder(array_map($this->held(...), $cause->cures)))
            : $cause, $causes);
    }

    /**
     * @param  list<Cure>  $cures
     * @return list<Cure>
     */
    private static function inOrder(array $cures): array
    {
        $best = count($cures[0]->cells ?? []);
        $last = fn (Cure $cure): array => [count($cure->cells) < $best, count($cure->brings)];
        usort($cures, fn (Cure $a, Cure $b) => $last($a) <=> $last($b));

        return $cures;
    }

    private function plugs(Cause $cause): bool
    {
        return array_filter($cause->cures, self::isOfLead(...)) !== [];
    }

    private static function isOfLead(Cure $cure): bool
    {
        return array_filter(
            $cure->edits,
            fn (RigEdit $edit) => $edit instanceof Plug || $edit instanceof Replug || $edit instanceof ExchangeEnds,
        ) !== [];
    }

    private function held(Cure $cure): Cure
    {
        if (! self::isOfLead($cure) || $this->left-- <= 0) {
            return $cure;
        }
        try {
            $rig = $cure->applyTo($this->in->rig);
        } catch (InvalidRig) {
            return $cure;
        }
        $this->known ??= array_fill_keys(array_map(fn (Finding $one) => $one->key(), $this->foundIn($this->in)), true);
        $new = array_filter(
            $this->foundIn(new Inspection(new Hearings($rig, [], $this->in->hearings))),
            fn (Finding $one) => ($one->severity !== Severity::Note || in_array($one->code, self::NOTES, true))
                && ! isset($this->known[$one->key()]),
        );

        return $cure->with(brings: array_values(array_map(fn (Finding $one) => "but: {$one->sentence}", $new)));
    }

    /** @return list<Finding> */
    private function foundIn(Inspection $in): array
    {
        $found = [];
        foreach (Checks::all() as $check) {
            if (in_array(Checks::kind($check->code()), self::KINDS, true)) {
                array_push($found, ...Checks::of($check, $in, PHP_INT_MAX));
            }
        }

        return $found;
    }
}
