<?php

declare(strict_types=1);

namespace HiddenWire\Core\Planning;

use HiddenWire\Core\Document\Catalogue;
use HiddenWire\Core\Edit\EnableDevice;
use HiddenWire\Core\Edit\PlugLast;
use HiddenWire\Core\Edit\RigEdit;
use HiddenWire\Core\Edit\SetAbsent;
use HiddenWire\Core\Edit\SetDevice;
use HiddenWire\Core\Edit\SetPick;
use HiddenWire\Core\Edit\SetSituationDefault;
use HiddenWire\Core\Edit\SetSystemLevel;
use HiddenWire\Core\Edit\SetValue;
use HiddenWire\Core\Planning\Remedies\AutoMutes;
use HiddenWire\Core\Planning\Remedies\Channels;
use HiddenWire\Core\Planning\Remedies\Devices;
use HiddenWire\Core\Planning\Remedies\Effects;
use HiddenWire\Core\Planning\Remedies\Faders;
use HiddenWire\Core\Planning\Remedies\Leads;
use HiddenWire\Core\Planning\Remedies\Levels;
use HiddenWire\Core\Planning\Remedies\Locks;
use HiddenWire\Core\Planning\Remedies\Moves;
use HiddenWire\Core\Planning\Remedies\NamedSettings;
use HiddenWire\Core\Planning\Remedies\Picks;
use HiddenWire\Core\Planning\Remedies\Plugs;
use HiddenWire\Core\Planning\Remedies\Presence;
use HiddenWire\Core\Planning\Remedies\Repeaters;
use HiddenWire\Core\Planning\Remedies\Scenes;
use HiddenWire\Core\Planning\Remedies\Supplies;
use HiddenWire\Core\Planning\Remedies\Switches;
use HiddenWire\Core\Planning\Remedies\Systems;
use HiddenWire\Core\Planning\Remedies\VirtualCables;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\Source;
use HiddenWire\Core\Signal\Verdict;

/**
 * Why cells are not as wished, each fault said once, and what cures it. Every kind of remedy proposes changes for every cell; each is
 * tried; the one that mends the most cells is the first cause, and so on with what is left.
 */
final class Diagnosis
{
    /** Trials of one diagnosis of a rig of some size; what is left untried is said. A larger rig has fewer, since each takes longer. */
    public const TRIALS = 400;

    private const LEAST_TRIALS = 3;

    /** Links of a rig that has all the trials: about that of two computers and a mixer. */
    private const LINKS = 600;

    /** Work (see {@see Hearing::work()}) that all trials together may take. */
    private const WORK = 10_000_000;

    /** Of changes that take a cable in hand, where something easier mends the same cells one by one. */
    private const TRIALS_OF_CABLES = 40;

    /** Cells that are asked for remedies; a fault that makes more cells wrong is found by these. */
    private const CELLS = 80;

    /** Once a change mends its cells, so many more that are as easy are tried: one of them may be closer to how it sounds elsewhere. */
    private const AS_EASY = 4;

    /** Changes of each sort that are followed; further ones that are tried with each, where those are many, too; trials for one cell. */
    private const NEARER = 4;

    private const NEXT = 12;

    private const OF_SETS = 80;

    /** Cells for which sets are looked for; what they mend is diagnosed anew. */
    private const CELLS_OF_SETS = 24;

    private const FEW = 5;

    /** Cures that are shown for one cause. */
    private const CURES = 3;

    /** Changes of a whole computer or unit that are tried although what is known mends as many as ask. */
    private const WIDE = 3;

    /** Ways of a doubled sound of which each can be kept by a cure, and trials for such as have none yet. */
    private const WAYS = 3;

    private const OF_OTHER_WAYS = 3;

    /** A further cure is shown where it is about as easy as the first: then it is a matter of taste. */
    private const OF_TASTE = 150;

    private readonly Trials $trials;

    /** @var list<Remedy>|null */
    private ?array $remedies = null;

    /** Changes that were come upon and not tried. */
    public int $untried = 0;

    private int $wide = 0;

    /** @var list<Cause>|null */
    private ?array $causes = null;

    /**
     * @param  list<Rig>  $earlier  states of the rig that were before, the latest first
     * @param  Catalogue|null  $catalogue  what a program could be taken from that a cure needs
     */
    public function __construct(
        private readonly Hearings $hearings,
        private readonly array $earlier = [],
        private readonly ?Catalogue $catalogue = null,
    ) {
        $base = $hearings->in($hearings->rig->base()->id);
        $most = min(self::TRIALS, self::TRIALS * self::LINKS / max(1, count($base->graph()->links)), self::WORK / max(1, $base->work()));
        $this->trials = new Trials($hearings, (int) max(self::LEAST_TRIALS, $most));
    }

    /** @return list<Remedy> every kind of remedy; a new one is a line here */
    private function remedies(): array
    {
        return [
            new Switches,
            new NamedSettings,
            new AutoMutes,
            new Channels,
            new Presence,
            new Supplies,
            new Faders,
            new Levels,
            new Picks,
            new Repeaters,
            new VirtualCables($this->catalogue),
            new Devices,
            new Systems,
            new Locks,
            new Effects,
            new Scenes,
            new Plugs(onlyPlain: true),
            new Leads,
            new Moves(onlyPlain: true),
            new Plugs(onlyPlain: false),
            new Moves(onlyPlain: false),
        ];
    }

    /** @return list<Cause> those of most cells first, then those for which there is no cure */
    public function causes(): array
    {
        return $this->causes ??= $this->found();
    }

    /** How many changes were tried. */
    public function tried(): int
    {
        return $this->trials->count;
    }

    /** @return list<Cell> the cells that are not as wished */
    public function cells(): array
    {
        return array_map($this->cell(...), $this->inOrder());
    }

    /** @return list<Cause> */
    private function found(): array
    {
        $left = array_fill_keys($this->inOrder(), true);
        $all = $this->outcomes();
        $causes = [];
        while ($left !== []) {
            $ranked = $this->ranked($all, $left);
            if ($ranked === []) {
                break;
            }
            $best = $this->withoutMore($ranked);
            $cells = array_values(array_filter($best->mended, fn (string $key) => isset($left[$key])));
            $cures = array_values(array_filter(
                $ranked,
                fn (Outcome $one) => $one->candidate->cost <= $best->candidate->cost + self::OF_TASTE && array_filter(
                    $cells,
                    fn (string $key) => ! $one->mends($key),
                ) === [],
            ));
            $shown = array_slice($cures, 0, self::CURES);
            $doubled = array_filter($cells, fn (string $key) => $this->trials->pair($key)->verdict === Verdict::Doubled);
            $causes[] = new Cause(
                $best->candidate->cause(),
                $best->candidate->about,
                array_map($this->cell(...), $cells),
                $doubled === []
                    ? array_map($this->cure(...), $shown)
                    : $this->oneOfEachWay($this->cell(reset($doubled)), $cells, $shown, $ranked),
            );
            foreach ($cells as $key) {
                unset($left[$key]);
            }
        }

        $unmended = new Unmended($this->hearings, $this->trials, $this->untried);

        return [...$this->eitherOr($causes), ...$unmended->impossible(), ...$unmended->causes(array_map(
            fn (string|int $key) => [$this->cell((string) $key), $this->trials->pair((string) $key)],
            array_keys($left),
        ))];
    }

    /**
     * Cures of a sound that comes by several ways: whichever of them somebody wants to keep, where there is one that keeps it.
     *
     * @param  list<string>  $cells  that a cure has to mend
     * @param  list<Outcome>  $shown  the best first
     * @param  list<Outcome>  $ranked  all that mend anything
     * @return list<Cure> with what each of them keeps
     */
    private function oneOfEachWay(Cell $cell, array $cells, array $shown, array $ranked): array
    {
        $ways = new KeptWays($this->trials->pair($cell->key()));
        $cures = $kept = [];
        $add = function (Outcome $outcome, bool $isMore) use ($ways, $cell, &$cures, &$kept): void {
            $pair = $this->trials->mended($outcome->candidate, $cell);
            $way = $pair === null ? null : $ways->after($pair);
            if (! $isMore || ($way !== null && ! isset($kept[$way]))) {
                $kept += $way === null ? [] : [$way => true];
                $cures[] = $this->cure($outcome)->with(keeps: $way === null ? null : $ways->words($way));
            }
        };
        foreach ($shown as $outcome) {
            $add($outcome, false);
        }
        $isWhole = fn (Outcome $one): bool => array_filter($cells, fn (string $key) => ! $one->mends($key)) === [];
        $isKept = fn (): bool => count($kept) >= min(self::WAYS, $ways->count());
        foreach ($ranked as $outcome) {
            if (! $isKept() && $isWhole($outcome) && ! in_array($outcome, $shown, true)) {
                $add($outcome, true);
            }
        }
        $hearing = $this->hearings->in($cell->situation);
        $trouble = $isKept() ? null : new Trouble($cell, $this->trials->pair($cell->key()), $hearing, $this->earlier);
        $tried = 0;
        foreach ($trouble === null ? [] : $this->stopping($trouble, $ways->ownSteps(array_keys($kept))) as $candidate) {
            $outcome = $isKept() || $tried++ >= self::OF_OTHER_WAYS ? null : $this->trials->outcome($candidate, $cell);
            if ($outcome !== null && $isWhole($outcome)) {
                $add($outcome, true);
            }
        }

        return $cures;
    }

    /**
     * @param  array<string, true>  $steps  references of what ways pass that are to stop
     * @return list<Candidate> not tried yet, the easiest first
     */
    private function stopping(Trouble $trouble, array $steps): array
    {
        $stopping = array_filter(
            [...$this->single($trouble, ofCables: false), ...$this->single($trouble, ofCables: true)],
            fn (Candidate $one) => ! $this->trials->isTried($one)
                && array_filter($one->about, fn (object $at) => isset($steps[(string) $at])) !== [],
        );
        usort($stopping, fn (Candidate $a, Candidate $b) => $a->cost <=> $b->cost);

        return $stopping;
    }

    /**
     * Causes whose cures exclude each other, since they set one pick or one setting: alternatives of one cause, the one that mends most
     * first.
     *
     * @param  list<Cause>  $causes
     * @return list<Cause>
     */
    private function eitherOr(array $causes): array
    {
        $joined = $of = [];
        foreach ($causes as $cause) {
            $sets = isset($cause->cures[0]) ? $this->settings($cause->cures[0]->edits) : [];
            $first = array_intersect_key($of, $sets);
            $at = $first === [] ? null : reset($first);
            if ($at === null) {
                $joined[] = $cause;
                $of += array_fill_keys(array_keys($sets), count($joined) - 1);

                continue;
            }
            $before = $joined[$at];
            $joined[$at] = $before->with(
                cells: [...$before->cells, ...$cause->cells],
                cures: [...array_slice($before->cures, 0, 1), $cause->cures[0], ...array_slice($before->cures, 1)],
            );
        }

        return array_values($joined);
    }

    /**
     * @param  list<RigEdit>  $edits
     * @return array<string, true> the picks and settings that they set
     */
    private function settings(array $edits): array
    {
        $sets = [];
        foreach ($edits as $edit) {
            $sets += match (true) {
                $edit instanceof SetPick => ["pick {$edit->at} {$edit->situation}" => true],
                $edit instanceof SetValue => ["setting {$edit->unit} {$edit->setting} {$edit->situation}" => true],
                default => [],
            };
        }

        return $sets;
    }

    /**
     * What mends anything and harms nothing. Single changes first, those that most cells ask for before others; several together only for
     * cells that no single one mends.
     *
     * @return array<string, Outcome> by candidate
     */
    private function outcomes(): array
    {
        $troubles = $empty = [];
        foreach (array_slice($this->inOrder(), 0, self::CELLS) as $key) {
            $cell = $this->cell($key);
            $hearing = $this->hearings->in($cell->situation);
            $empty[$cell->situation] ??= new EmptySockets($hearing->graph());
            $troubles[$key] = new Trouble($cell, $this->trials->pair($key), $hearing, $this->earlier, $empty[$cell->situation]);
        }
        $outcomes = $this->tryAll($this->asked($troubles, fn (Trouble $trouble) => $this->single($trouble, ofCables: false)), [], null);
        $outcomes = $this->tryAll(
            $this->asked($this->unlessWhole($troubles, $outcomes), fn (Trouble $trouble) => $this->single($trouble, ofCables: true)),
            $outcomes,
            self::TRIALS_OF_CABLES,
        );
        foreach ([
            fn (Trouble $trouble) => (new Gap($trouble))->candidates(),
            fn (Trouble $trouble) => $this->asks($trouble) === [] ? [] : (new CutSets($trouble, $trouble->hearing))->candidates(),
        ] as $several) {
            $open = array_filter($troubles, fn (string $key) => $this->best($key, $outcomes) === 0, ARRAY_FILTER_USE_KEY);
            $outcomes = $this->tryAll($this->asked($open, $several), $outcomes, null);
        }

        return $this->further($troubles, $outcomes);
    }

    /**
     * Sets of changes for cells that nothing has mended.
     *
     * @param  array<string, Trouble>  $troubles
     * @param  array<string, Outcome>  $outcomes
     * @return array<string, Outcome>
     */
    private function further(array $troubles, array $outcomes): array
    {
        $open = array_filter($troubles, fn (string $key) => $this->best($key, $outcomes) === 0, ARRAY_FILTER_USE_KEY);
        foreach (array_slice($open, 0, self::CELLS_OF_SETS, true) as $key => $trouble) {
            $spent = $this->trials->count;
            for ($round = 1; $round < Trials::CHANGES && $this->best($key, $outcomes) === 0; $round++) {
                foreach ($this->sets($trouble, $round) as $set) {
                    if ($this->trials->isSpent() || $this->trials->count - $spent >= self::OF_SETS) {
                        break 2;
                    }
                    $outcome = $this->trials->outcome($set, $trouble->cell);
                    if ($outcome !== null) {
                        $outcomes[$set->key] = $outcome;
                        if ($outcome->costs === []) {
                            break 2;
                        }
                    }
                }
            }
        }

        return $outcomes;
    }

    /**
     * What brings a cell nearer to its wish with one change more; what brings it there and makes another worse with what mends that; and
     * what would join what is shut, too, with what opens it.
     *
     * @return \Generator<int, Candidate>
     */
    private function sets(Trouble $trouble, int $round): \Generator
    {
        $cell = $trouble->cell;
        foreach (array_slice($this->trials->nearer($cell), 0, self::NEARER) as $first) {
            yield from $this->with($first, $cell, $cell, self::NEXT);
        }
        foreach (array_slice($this->trials->harmful($cell), 0, self::NEARER) as [$first, $worse]) {
            yield from $this->with($first, $cell, $this->cell($worse[0]), self::NEXT);
        }
        if ($round > 1 || ! $trouble->lacks()) {
            return;
        }
        $opened = new Trouble(
            $cell,
            $trouble->pair,
            $trouble->hearing,
            $this->earlier,
            region: Region::opened($trouble->pair, $trouble->hearing),
        );
        $firsts = [...$this->single($opened, ofCables: false), ...$this->single($opened, ofCables: true)];
        usort($firsts, fn (Candidate $a, Candidate $b) => $a->cost <=> $b->cost);
        foreach (array_slice($firsts, 0, self::NEXT) as $first) {
            yield from $this->with($first, $cell, $cell, self::FEW);
        }
    }

    /**
     * A change with each of those that a cell asks for once it is made, the easiest first.
     *
     * @return \Generator<int, Candidate>
     */
    private function with(Candidate $first, Cell $cell, Cell $asked, int $most): \Generator
    {
        $then = $this->trials->after($first);
        $hearing = $then?->in($asked->situation);
        $pair = $hearing?->pair($asked->source, $asked->listener);
        if ($hearing === null || $pair === null || ! $pair->verdict->isAtOdds()) {
            return;
        }
        $left = new Trouble($asked, $pair, $hearing, $this->earlier);
        $next = [
            ...$this->single($left, ofCables: false),
            ...iterator_to_array((new Gap($left, isOnlyOpened: true))->candidates(), false),
        ];
        usort($next, fn (Candidate $a, Candidate $b) => $a->cost <=> $b->cost);
        // Two leads in one cure are looked for only where no switch, device or pick is left to try.
        $next = count($next) >= $most ? $next : [...$next, ...$this->single($left, ofCables: true)];
        foreach (array_slice($next, 0, $most) as $second) {
            if (count($first->edits) + count($second->edits) <= Trials::CHANGES) {
                yield $first->with($second);
            }
        }
    }

    /**
     * @param  array<string, Trouble>  $troubles
     * @param  array<string, Outcome>  $outcomes
     * @return array<string, Trouble> none where one change mends everything
     */
    private function unlessWhole(array $troubles, array $outcomes): array
    {
        foreach ($outcomes as $outcome) {
            if ($outcome->costs === [] && count($outcome->mended) === count($this->trials->odd)) {
                return [];
            }
        }

        return $troubles;
    }

    /**
     * @param  array<string, Trouble>  $troubles  by cell
     * @param  callable(Trouble): iterable<Candidate>  $remedies
     * @return list<array{Candidate, list<string>}> each change with the cells that ask for it: those that most ask for first, then the
     *     easiest
     */
    private function asked(array $troubles, callable $remedies): array
    {
        $asked = [];
        foreach ($troubles as $key => $trouble) {
            foreach ($remedies($trouble) as $candidate) {
                if (! isset($asked[$candidate->key])) {
                    $asked[$candidate->key] = [$candidate, [$key]];
                } else {
                    $asked[$candidate->key] = [
                        $candidate->cost < $asked[$candidate->key][0]->cost ? $candidate : $asked[$candidate->key][0],
                        [...$asked[$candidate->key][1], $key],
                    ];
                }
            }
        }
        usort($asked, fn (array $a, array $b) => [count($b[1]), $a[0]->cost] <=> [count($a[1]), $b[0]->cost]);

        return $asked;
    }

    /**
     * @param  list<array{Candidate, list<string>}>  $asked
     * @param  array<string, Outcome>  $outcomes
     * @param  int|null  $most  trials, for cells that something mends already; null for no limit of their own
     * @return array<string, Outcome> with what was found before
     */
    private function tryAll(array $asked, array $outcomes, ?int $most): array
    {
        $asEasy = [];
        $spent = 0;
        foreach ($asked as [$candidate, $cells]) {
            // What cannot mend more than is mended already is not worth a trial, unless it is as easy.
            $open = array_values(array_filter($cells, fn (string $key) => $this->best($key, $outcomes) < count($cells)));
            $ofNone = array_values(array_filter($open, fn (string $key) => $this->best($key, $outcomes) === 0));
            if ($open === []) {
                $group = $cells[0];
                $least = $this->easiest($group, $outcomes);
                if ($candidate->cost > $least || ($asEasy[$group] ?? 0) >= self::AS_EASY) {
                    // More cells may profit than ask for it.
                    $isWide = $this->wide < self::WIDE && $this->best($group, $outcomes) < count($this->trials->odd)
                        && array_filter($candidate->edits, self::isWide(...)) !== [];
                    if (! $isWide) {
                        continue;
                    }
                    $this->wide++;
                }
                $asEasy[$group] = ($asEasy[$group] ?? 0) + 1;
                $open = [$group];
            }
            if ($this->trials->isSpent() || ($most !== null && $ofNone === [] && $spent >= $most)) {
                $this->untried++;

                continue;
            }
            $spent++;
            // Where it does not mend one of them, it may mend one of another sound.
            foreach (array_slice($this->ofDifferentSounds([...$ofNone, ...$open]), 0, 2) as $key) {
                $outcome = $this->trials->outcome($candidate, $this->cell($key));
                if ($outcome !== null) {
                    $outcomes[$candidate->key] = $outcome;

                    break;
                }
            }
        }

        return $outcomes;
    }

    /** Whether a change is one of a whole computer or unit, so that it may touch sounds that nobody has asked about. */
    private static function isWide(RigEdit $edit): bool
    {
        return $edit instanceof SetDevice || $edit instanceof SetSituationDefault || $edit instanceof EnableDevice
            || $edit instanceof PlugLast || $edit instanceof SetAbsent || $edit instanceof SetValue || $edit instanceof SetSystemLevel;
    }

    /**
     * @param  list<string>  $keys
     * @return list<string> one cell of each sound, in order
     */
    private function ofDifferentSounds(array $keys): array
    {
        $first = [];
        foreach ($keys as $key) {
            $first[(string) strstr($key, ' ', true)] ??= $key;
        }

        return array_values($first);
    }

    /**
     * How many cells the best change mends that mends a cell at no cost to others.
     *
     * @param  array<string, Outcome>  $outcomes
     */
    private function best(string $key, array $outcomes): int
    {
        $best = 0;
        foreach ($outcomes as $outcome) {
            if ($outcome->costs === [] && $outcome->mends($key)) {
                $best = max($best, count($outcome->mended));
            }
        }

        return $best;
    }

    /** @param  array<string, Outcome>  $outcomes */
    private function easiest(string $key, array $outcomes): int
    {
        $least = 0;
        foreach ($outcomes as $outcome) {
            if ($outcome->mends($key)) {
                $least = $least === 0 ? $outcome->candidate->cost : min($least, $outcome->candidate->cost);
            }
        }

        return $least;
    }

    /** @return list<Candidate> */
    private function single(Trouble $trouble, bool $ofCables): array
    {
        $candidates = [];
        foreach ($this->remedies ??= $this->remedies() as $remedy) {
            foreach ($remedy->isOfCables() === $ofCables ? $this->asks($trouble) : [] as $asks) {
                foreach ($remedy->candidates($asks) as $candidate) {
                    if (! isset($candidates[$candidate->key]) || $candidate->cost < $candidates[$candidate->key]->cost) {
                        $candidates[$candidate->key] = $candidate;
                    }
                }
            }
        }

        return array_values($candidates);
    }

    /** @return list<Trouble> what remedies are asked about: where a sound has to be alone, the others as leaks; else the trouble itself */
    private function asks(Trouble $trouble): array
    {
        // Nobody is muted for what spills into the microphone of another: distance, a pattern or a gate help, and no switch.
        if ($trouble->pair->verdict === Verdict::Leak && count($trouble->pair->source->origins) > 1 && $trouble->pair->isSpilled()) {
            return [];
        }
        if ($trouble->pair->verdict !== Verdict::NotAlone) {
            return [$trouble];
        }

        return array_map(fn (Source $one) => new Trouble(
            $trouble->cell,
            $trouble->hearing->pair($one->id, $trouble->cell->listener)->asLeak(),
            $trouble->hearing,
            $this->earlier,
        ), $trouble->pair->beside);
    }

    /**
     * @param  array<string, Outcome>  $outcomes
     * @param  array<array-key, true>  $left
     * @return list<Outcome> those that mend anything that is left, the best first
     */
    private function ranked(array $outcomes, array $left): array
    {
        $ranked = [];
        foreach ($outcomes as $outcome) {
            $mended = array_values(array_filter($outcome->mended, fn (string $key) => isset($left[$key])));
            if ($mended !== []) {
                $ranked[] = new Outcome($outcome->candidate, $mended, $outcome->costs, $outcome->oddness);
            }
        }
        usort($ranked, Outcome::compare(...));

        return $ranked;
    }

    /**
     * The best, or a part of it where that mends anything by itself: two faults that a set mends are said one by one.
     *
     * @param  non-empty-list<Outcome>  $ranked  the best first
     */
    private function withoutMore(array $ranked): Outcome
    {
        $best = $ranked[0];
        foreach ($ranked as $other) {
            $isPart = count($other->candidate->edits) < count($best->candidate->edits) && array_filter(
                $other->candidate->edits,
                fn (RigEdit $edit) => ! in_array($edit, $best->candidate->edits),
            ) === [];
            $best = $isPart ? $other : $best;
        }

        return $best;
    }

    private function cure(Outcome $outcome): Cure
    {
        return new Cure(
            $outcome->candidate->cure(),
            $outcome->candidate->edits,
            array_map($this->cell(...), $outcome->mended),
            $outcome->costs,
            $outcome->candidate->cost,
        );
    }

    private function cell(string $key): Cell
    {
        return new Cell(...explode(' ', $key, 3));
    }

    /** @return list<string> what lacks something before what has too much: for it there are fewer remedies */
    private function inOrder(): array
    {
        $weight = fn (string $key): int => match ($this->trials->pair($key)->verdict) {
            Verdict::Missing => 0, Verdict::OneSided => 1, Verdict::Leak => 2, default => 3,
        };
        $odd = $this->trials->odd;
        usort($odd, fn (string $a, string $b) => $weight($a) <=> $weight($b));

        return $odd;
    }
}
