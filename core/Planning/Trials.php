<?php

declare(strict_types=1);

namespace HiddenWire\Core\Planning;

use HiddenWire\Core\Planning\Remedies\Levels;
use HiddenWire\Core\Rig\InvalidRig;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Signal\HeardPair;
use HiddenWire\Core\Signal\HopKind;
use HiddenWire\Core\Signal\Verdict;

/**
 * Tries changes: makes them on the rig, hears the cell in question, and where that is as wished then, hears everything in every situation.
 * Only what makes nothing worse counts.
 */
final class Trials
{
    /** Gains and faders that are tried with what joins a sound. */
    private const LEVELS = 3;

    /** @var array<string, HeardPair> every cell as it is now, by key */
    private readonly array $now;

    /** @var list<string> keys of cells that are not as wished */
    public readonly array $odd;

    /** @var array<string, Outcome|null> by candidate: null where something gets worse */
    private array $outcomes = [];

    /** @var array<string, Rig|null> by candidate */
    private array $rigs = [];

    public int $count = 0;

    public function __construct(private readonly Hearings $hearings, private readonly int $most)
    {
        $now = iterator_to_array($hearings->cells());
        $this->now = $now;
        $this->odd = array_keys(array_filter($now, fn (HeardPair $pair) => $pair->verdict->isAtOdds()));
    }

    public function isSpent(): bool
    {
        return $this->count >= $this->most;
    }

    public function pair(string $cell): HeardPair
    {
        return $this->now[$cell];
    }

    /** What comes of a change that brings a cell to its wish; null where it does not, or makes something worse. */
    public function outcome(Candidate $candidate, Cell $cell, bool $isLevelled = false): ?Outcome
    {
        if (array_key_exists($candidate->key, $this->outcomes)) {
            $known = $this->outcomes[$candidate->key];

            return $known !== null && $known->mends($cell->key()) ? $known : null;
        }
        $rig = $this->made($candidate);
        if ($rig === null || $this->isSpent()) {
            return null;
        }
        $this->count++;
        $after = new Hearings($rig, [], $this->hearings);
        $pair = $after->ofSource($cell->situation, $cell->source)->pair($cell->source, $cell->listener);
        if (in_array($pair->verdict, [Verdict::TooQuiet, Verdict::Overloads], true) && ! $isLevelled
            && $this->now[$cell->key()]->verdict !== $pair->verdict) {
            return $this->levelled($candidate, $cell, $pair, $after);
        }
        if ($pair->verdict->isAtOdds() || ! $this->isHonest($cell->key(), $pair)) {
            return null;
        }

        return $this->outcomes[$candidate->key] = $this->compared($candidate, $after);
    }

    /** What is joined may have to be set to its level, too: a microphone that is plugged in needs its gain. */
    private function levelled(Candidate $candidate, Cell $cell, HeardPair $pair, Hearings $after): ?Outcome
    {
        $tried = 0;
        foreach ((new Levels)->candidates(new Trouble($cell, $pair, $after->in($cell->situation))) as $level) {
            $outcome = $tried++ < self::LEVELS ? $this->outcome($candidate->with($level), $cell, isLevelled: true) : null;
            if ($outcome !== null) {
                return $this->outcomes[$candidate->key] = $outcome;
            }
        }

        return null;
    }

    private function made(Candidate $candidate): ?Rig
    {
        if (! array_key_exists($candidate->key, $this->rigs)) {
            try {
                $rig = $this->hearings->rig;
                foreach ($candidate->edits as $edit) {
                    $rig = $edit->applyTo($rig);
                }
                $this->rigs[$candidate->key] = $rig;
            } catch (InvalidRig) {
                $this->rigs[$candidate->key] = null;
            }
        }

        return $this->rigs[$candidate->key];
    }

    /** What is heard through the air only has not been joined. */
    private function isHonest(string $cell, HeardPair $after): bool
    {
        if ($this->now[$cell]->verdict !== Verdict::Missing || ! $after->isHeard()) {
            return true;
        }
        foreach ($after->arrivals()[0]->hops ?? [] as $hop) {
            if ($hop->kind === HopKind::Air) {
                return false;
            }
        }

        return true;
    }

    private function compared(Candidate $candidate, Hearings $after): ?Outcome
    {
        $mended = $costs = [];
        $oddness = 0.0;
        foreach ($after->differing() as $key => [$was, $is]) {
            if ($is->verdict->rank() > $was->verdict->rank()) {
                return null;
            }
            if ($was->verdict->isAtOdds() && ! $is->verdict->isAtOdds()) {
                $mended[] = $key;
                $oddness += $this->oddness($is);
            } elseif (! $was->verdict->isAtOdds()) {
                $costs[] = SideEffect::words($was, $is);
            }
        }

        return new Outcome($candidate, $mended, array_values(array_unique(array_filter($costs))), $oddness);
    }

    /** The same sound is about as loud at one listener as at another. */
    private function oddness(HeardPair $is): float
    {
        $levels = [];
        foreach ($this->now as $pair) {
            if ($pair->source === $is->source && $pair->level() !== null && $pair->verdict === Verdict::Ok) {
                $levels[] = $pair->level()->value();
            }
        }
        sort($levels);

        return $is->level() === null ? 0.0 : abs($is->level()->value() - ($levels[intdiv(count($levels), 2)] ?? 0.0));
    }
}
