<?php

declare(strict_types=1);

namespace HiddenWire\Core\Planning;

use HiddenWire\Core\Planning\Remedies\Levels;
use HiddenWire\Core\Rig\InvalidRig;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\Want;
use HiddenWire\Core\Signal\HeardPair;
use HiddenWire\Core\Signal\HopKind;
use HiddenWire\Core\Signal\Verdict;

/**
 * Tries changes: makes them on the rig, hears the cell in question, and where that is as wished then, hears everything in every situation.
 * Only what makes nothing worse counts.
 */
final class Trials
{
    /** Changes that one cure is made of at the most. */
    public const CHANGES = 3;

    /** Cells that a change may make worse for another to mend. */
    private const WORSE = 8;

    /** Of changes that make others worse, the easiest of which are looked at more closely. */
    private const LOOKED_AT = 12;

    /** So much softer than its strongest way alone a wanted sound may not become: half of it is 6.02 dB, and rounding. */
    private const LOST_DB = 6.03;

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

    /** @var array<string, array<string, array{Candidate, int}>> by cell, by candidate: with the rank that it leads to */
    private array $nearer = [];

    /** @var array<string, array<string, Candidate>> by cell, by candidate: those that make another cell worse */
    private array $harmful = [];

    /** @var array<string, array<string, HeardPair>> by candidate, by cell: what is heard of a sound that came twice */
    private array $undoubled = [];

    public int $count = 0;

    /** How many of them were single changes, and how many were sets of several. */
    public int $singles = 0;

    public int $sets = 0;

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

    /** A cell that was doubled as it is once a change is made; null where the change does not mend it. */
    public function mended(Candidate $candidate, Cell $doubled): ?HeardPair
    {
        return $this->undoubled[$candidate->key][$doubled->key()] ?? null;
    }

    public function isTried(Candidate $candidate): bool
    {
        return array_key_exists($candidate->key, $this->rigs);
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
        count($candidate->edits) === 1 ? $this->singles++ : $this->sets++;
        $after = new Hearings($rig, [], $this->hearings);
        $pair = $after->ofSource($cell->situation, $cell->source)->pair($cell->source, $cell->listener);
        if (in_array($pair->verdict, [Verdict::TooQuiet, Verdict::Overloads], true) && ! $isLevelled
            && $this->now[$cell->key()]->verdict !== $pair->verdict) {
            return $this->levelled($candidate, $cell, $pair, $after);
        }
        if ($pair->verdict->isAtOdds() || ! $this->isHonest($cell->key(), $pair)) {
            if (count($candidate->edits) < self::CHANGES && $this->isNearer($this->now[$cell->key()], $pair)
                && $this->isHonest($cell->key(), $pair)) {
                $this->nearer[$cell->key()][$candidate->key] = [$candidate, $pair->verdict->rank()];
            }

            return null;
        }

        return $this->outcomes[$candidate->key] = $this->compared($candidate, $after, $cell);
    }

    /**
     * Changes that did not bring a cell to its wish, but nearer to it: what one more change may do.
     *
     * @return list<Candidate> the nearest first, then the easiest
     */
    public function nearer(Cell $cell): array
    {
        $nearer = array_values($this->nearer[$cell->key()] ?? []);
        usort($nearer, fn (array $a, array $b) => [$a[1], $a[0]->cost] <=> [$b[1], $b[0]->cost]);

        return array_column($nearer, 0);
    }

    /**
     * Changes that brought a cell to its wish and made others worse: what another change may undo.
     *
     * @return list<array{Candidate, non-empty-list<string>}> the easiest first, with the keys of the cells that are worse
     */
    public function harmful(Cell $cell): array
    {
        $easiest = array_values($this->harmful[$cell->key()] ?? []);
        usort($easiest, fn (Candidate $a, Candidate $b) => $a->cost <=> $b->cost);
        $harmful = [];
        foreach (array_slice($easiest, 0, self::LOOKED_AT) as $candidate) {
            $worse = $this->worseBy($candidate);
            if ($worse !== [] && count($worse) <= self::WORSE) {
                $harmful[] = [$candidate, $worse];
            }
        }
        usort($harmful, fn (array $a, array $b) => [count($a[1]), $a[0]->cost] <=> [count($b[1]), $b[0]->cost]);

        return $harmful;
    }

    /** @return list<string> keys of the cells that a change makes worse, one more than may be at the most */
    private function worseBy(Candidate $candidate): array
    {
        $worse = [];
        foreach ($this->after($candidate)?->differing() ?? [] as $key => [$was, $is]) {
            if (self::isWorse($was, $is)) {
                $worse[] = (string) $key;
                if (count($worse) > self::WORSE) {
                    break;
                }
            }
        }

        return $worse;
    }

    private static function isWorse(HeardPair $was, HeardPair $is): bool
    {
        return $is->verdict->rank() > $was->verdict->rank() || self::isLost($was, $is);
    }

    /** What is heard after a change; null where it can't be made. */
    public function after(Candidate $candidate): ?Hearings
    {
        $rig = $this->made($candidate);

        return $rig === null ? null : new Hearings($rig, [], $this->hearings);
    }

    /** Whether a cell is less wrong than it was, or as wrong by fewer ways. */
    private function isNearer(HeardPair $was, HeardPair $is): bool
    {
        if ($is->verdict->rank() !== $was->verdict->rank()) {
            return $is->verdict->rank() < $was->verdict->rank();
        }

        return match ($is->verdict) {
            Verdict::NotAlone => count($is->beside) < count($was->beside),
            Verdict::Leak, Verdict::Doubled => count($is->arrivals()) < count($was->arrivals()),
            default => false,
        };
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

    private function compared(Candidate $candidate, Hearings $after, Cell $cell): ?Outcome
    {
        $mended = $costs = [];
        $oddness = 0.0;
        foreach ($after->differing() as $key => [$was, $is]) {
            // How much more gets worse is looked at where a set of changes is asked for: in most trials nobody does.
            if (self::isWorse($was, $is)) {
                if (count($candidate->edits) < self::CHANGES) {
                    $this->harmful[$cell->key()][$candidate->key] = $candidate;
                }

                return null;
            }
            if ($was->verdict->isAtOdds() && ! $is->verdict->isAtOdds()) {
                $mended[] = $key;
                if ($was->verdict === Verdict::Doubled) {
                    $this->undoubled[$candidate->key][$key] = $is;
                }
                $oddness += $this->oddness($is);
            } else {
                $costs[] = SideEffect::words($was, $is);
            }
        }

        return new Outcome($candidate, $mended, array_values(array_unique(array_filter($costs))), $oddness);
    }

    /**
     * Whether a wanted sound that was heard comes more than 6 dB softer than its strongest way alone was. Of what was too loud for what it
     * passes that is the cure.
     */
    public static function isLost(HeardPair $was, HeardPair $is): bool
    {
        if ($was->wish?->want !== Want::Must || ! $was->isHeard() || $was->verdict === Verdict::Overloads) {
            return false;
        }
        if ($is->level() === null) {
            return true;
        }
        // What goes round has no level of its own.
        if ($was->verdict === Verdict::Loop) {
            return false;
        }
        // All ways together are no softer than the strongest, but where they cancel.
        if ($is->level()->value() >= $was->level()?->value() - self::LOST_DB && $was->doubling === null) {
            return false;
        }
        $strongest = $was->arrivals()[0]->levels ?? [];
        $most = $strongest === [] ? -INF : max(array_map(fn (array $parts) => $parts === [] ? -INF : max($parts), $strongest));

        return $is->level()->value() < $most - self::LOST_DB;
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
