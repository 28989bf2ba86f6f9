<?php

declare(strict_types=1);

namespace HiddenWire\Core\Checks;

use HiddenWire\Core\Edit\RigEdit;
use HiddenWire\Core\Planning\Cure;
use HiddenWire\Core\Planning\Hearings;
use HiddenWire\Core\Planning\SideEffect;
use HiddenWire\Core\Rig\InvalidRig;
use HiddenWire\Core\Rig\Rig;

/**
 * Tries what checks propose: made on the rig, looked at by the checks of the same kind again, and heard in every situation. Only what takes
 * the finding away, brings no other of its kind, and makes no cell worse is a cure.
 */
final class Curing
{
    /** Proposals of a rig of some size that are tried; of a larger one fewer, since each takes longer. */
    private const TRIALS = 40;

    private const LEAST_TRIALS = 3;

    /** Links of a rig that has all the trials: about that of two computers and a mixer. */
    private const LINKS = 600;

    /** @var array<string, list<Check>> by the first part of their codes */
    private array $checks = [];

    /** @var array<string, array<string, true>> keys of all that the checks of a kind find now, also of what is not reported */
    private array $known = [];

    private int $left;

    /** Proposals that were not tried. */
    public int $untried = 0;

    public function __construct(private readonly Inspection $in)
    {
        foreach (Checks::all() as $check) {
            $this->checks[Checks::kind($check->code())][] = $check;
        }
        $most = self::TRIALS * self::LINKS / max(1, count($in->base()->graph()->links));
        $this->left = (int) max(self::LEAST_TRIALS, min(self::TRIALS, $most));
    }

    /**
     * @param  list<Finding>  $findings
     * @return list<Finding> with the cures that were found
     */
    public function of(array $findings): array
    {
        return array_map(fn (Finding $finding) => $finding->with(
            cures: array_values(array_filter(array_map(
                fn (Proposal $proposal) => $this->tried($finding, $proposal, $findings),
                $finding->proposals,
            ))),
            proposals: [],
        ), $findings);
    }

    /** @param  list<Finding>  $findings */
    private function tried(Finding $finding, Proposal $proposal, array $findings): ?Cure
    {
        if ($this->left-- <= 0) {
            $this->untried++;

            return null;
        }
        try {
            $rig = array_reduce($proposal->edits, fn (Rig $now, RigEdit $edit) => $edit->applyTo($now), $this->in->rig);
        } catch (InvalidRig) {
            return null;
        }
        $after = new Hearings($rig, [], $this->in->hearings);
        $kind = Checks::kind($finding->code);
        $known = $this->known($kind) + array_fill_keys(array_map(fn (Finding $one) => $one->key(), $findings), true);
        $then = new Inspection($after);
        foreach ($this->checks[$kind] as $check) {
            foreach (Checks::of($check, $then, PHP_INT_MAX) as $left) {
                if ($left->key() === $finding->key() || ! isset($known[$left->key()])) {
                    return null;
                }
            }
        }
        $costs = $this->costs($after);

        return $costs === null ? null : new Cure($proposal->sentence, $proposal->edits, [], $costs, $proposal->cost);
    }

    /**
     * Of what a check finds, the first are reported; the next one appears when one of those is cured, and is not new.
     *
     * @return array<string, true>
     */
    private function known(string $kind): array
    {
        if (! isset($this->known[$kind])) {
            $this->known[$kind] = [];
            foreach ($this->checks[$kind] as $check) {
                foreach (Checks::of($check, $this->in, PHP_INT_MAX) as $finding) {
                    $this->known[$kind][$finding->key()] = true;
                }
            }
        }

        return $this->known[$kind];
    }

    /** @return list<string>|null what else changes, in words; null where something gets worse */
    private function costs(Hearings $after): ?array
    {
        $costs = [];
        foreach ($after->differing() as [$was, $is]) {
            if ($is->verdict->rank() > $was->verdict->rank()) {
                return null;
            }
            if (! $was->verdict->isAtOdds()) {
                $costs[] = SideEffect::words($was, $is);
            }
        }

        return array_values(array_unique(array_filter($costs)));
    }
}
