<?php

declare(strict_types=1);

namespace HiddenWire\Core\Finder;

use HiddenWire\Core\Bench\Impression;
use HiddenWire\Core\Room\Deflection;
use HiddenWire\Core\Room\LeadWork;

/**
 * Which faults explain what is known of a room, and what to check next. A single fault is looked for first; where none answers all as it
 * was answered, two together: of those the table tells what one of them would do where the other does nothing, and what they do to the same
 * sound is taken as identified by either.
 */
final class FaultFinder
{
    /** Of a check that can't be made, or whose answer nobody is sure of. */
    public const UNSURE = '-';

    /** What two faults do to the same sound and the table does not know. */
    public const EITHER = '?';

    /** What is left of a sound that two faults weaken. */
    private const LESS = [Impression::Nothing->value, Impression::Faint->value, Deflection::Lower->value];

    /** So many pairs are weighed for the next check; of more, so many spread evenly. */
    private const WEIGHED = 2000;

    /** What a check costs beside its answers, in bits: somebody has to go there. */
    private const GOING = 0.5;

    /** To look at everything of a unit is more work than to listen once. */
    private const LOOKING = 1.5;

    /** To take a lead out, or put another in, and listen is as much work as to look at everything of a unit. */
    private const DOING = 1.5;

    /** Of more suspicions it is not worked out what taking leads out would tell. */
    private const FEW = 6;

    /** So much likelier is a fault of what was touched since all was well. */
    private const TOUCHED = 8.0;

    /** @var array<string, string> what is sure, by check */
    private readonly array $known;

    /** @var list<Suspicion> the likeliest first */
    public readonly array $suspicions;

    /**
     * @param  array<string, string>  $asked  answers by check: complaints first, then what was checked; of a look, the words of the faults
     *     that were seen, in lines; {@see UNSURE} is not asked again
     * @param  Interventions|null  $doing  what taking leads out would tell; null where nobody can touch anything
     * @param  array<string, mixed>  $changed  what is otherwise than when all was well, by `unit:…`, `cable:…` or `pick:…`
     */
    public function __construct(
        private readonly SuspectTable $table,
        private readonly array $asked,
        private readonly array $changed = [],
        private readonly ?Interventions $doing = null,
    ) {
        $this->known = array_filter($asked, fn (string $answer) => $answer !== self::UNSURE);
        $single = $this->single();
        $this->suspicions = $single !== [] ? $single : $this->pairs();
    }

    /** How many can be distinguished by ear and meter. */
    public function classes(): int
    {
        $classes = [];
        foreach ($this->suspicions as $suspicion) {
            $classes[implode(' ', array_map(fn (int $fault) => $this->table->classes[$fault], $suspicion->faults))] = true;
        }

        return count($classes);
    }

    /**
     * The check that parts the suspicions best for its effort; where none does, the look that proves the first of them. Null where that has
     * been seen.
     */
    public function next(): ?NextCheck
    {
        return $this->parting() ?? $this->proving();
    }

    /** A meter that somebody wants to read, with what each of its answers would leave. */
    public function reading(string $key): NextCheck
    {
        $answers = [];
        foreach ($this->suspicions as $suspicion) {
            $answer = $this->answer($suspicion, $key);
            $answers[$answer] = ($answers[$answer] ?? 0) + 1;
        }
        // A meter may also show what no suspicion makes of it: then it is something else.
        $answers += [Deflection::AsPlanned->value => 0, Deflection::Nothing->value => 0, Deflection::Lower->value => 0];

        return new NextCheck($key, $answers, 0.0);
    }

    private function proving(): ?NextCheck
    {
        foreach ($this->suspicions[0]->faults ?? [] as $fault) {
            $look = $this->table->faults[$fault]->outlook->key();
            if (! isset($this->asked[$look])) {
                return new NextCheck($look, [$this->seen($this->suspicions[0], $look) => count($this->suspicions), '' => 0], 0.0);
            }
        }

        return null;
    }

    private function parting(): ?NextCheck
    {
        $best = null;
        $most = 1e-9;
        foreach ($this->candidates() as $key => [$answers, $weights]) {
            $total = array_sum($weights);
            $gain = 0.0;
            foreach ($weights as $weight) {
                $gain -= $weight / $total * log($weight / $total, 2);
            }
            $check = new NextCheck((string) $key, $answers, $gain);
            $effort = (self::GOING + $check->cost()) * match (true) {
                str_starts_with((string) $key, 'look ') => self::LOOKING,
                LeadWork::isOne((string) $key) => self::DOING,
                default => 1.0,
            };
            if ($gain / $effort > $most) {
                [$best, $most] = [$check, $gain / $effort];
            }
        }

        return $best;
    }

    /** What a suspicion answers to a check; {@see EITHER} where nobody can tell. */
    private function answer(Suspicion $suspicion, string $check): string
    {
        $planned = $this->table->plannedAt($check);
        if (str_starts_with($check, 'look ')) {
            return $this->seen($suspicion, $check);
        }
        if (LeadWork::isOne($check)) {
            return $this->doing?->answer($suspicion, $check) ?? self::EITHER;
        }
        $answers = [];
        foreach ($suspicion->faults as $fault) {
            $answer = $this->table->differing[$fault][$check] ?? $planned;
            if ($answer !== $planned) {
                $answers[$answer] = true;
            }
        }

        return count($answers) > 1 ? self::EITHER : (string) (array_key_first($answers) ?? $planned);
    }

    private function seen(Suspicion $suspicion, string $check): string
    {
        $seen = [];
        foreach ($suspicion->faults as $number) {
            $fault = $this->table->faults[$number];
            if ($fault->outlook->key() === $check) {
                $seen[] = $fault->words;
            }
        }
        sort($seen);

        return implode("\n", $seen);
    }

    /** What was touched since all was well comes first. */
    public function isChanged(int $fault): bool
    {
        return array_intersect_key(array_flip($this->table->faults[$fault]->about()), $this->changed) !== [];
    }

    private function likely(int $fault): float
    {
        return $this->changed !== [] && $this->isChanged($fault) ? self::TOUCHED : 1.0;
    }

    /** @return list<Suspicion> */
    private function single(): array
    {
        $fitting = [];
        foreach (array_keys($this->table->faults) as $number) {
            $suspicion = new Suspicion([$number], $this->likely($number) / $this->table->sizes[$this->table->classes[$number]]);
            if ($this->fits($suspicion)) {
                $fitting[] = $suspicion;
            }
        }
        usort($fitting, fn (Suspicion $a, Suspicion $b) => $b->weight <=> $a->weight);

        return $fitting;
    }

    /** @return list<Suspicion> */
    private function pairs(): array
    {
        $useful = [];
        foreach (array_keys($this->table->faults) as $number) {
            if ($this->explains($number)) {
                $useful[] = $number;
            }
        }
        $fitting = [];
        foreach ($useful as $i => $one) {
            foreach (array_slice($useful, $i + 1) as $other) {
                $pair = new Suspicion([$one, $other], $this->likely($one) * $this->likely($other));
                if ($this->fits($pair)) {
                    $fitting[] = $pair;
                }
            }
        }
        usort($fitting, fn (Suspicion $a, Suspicion $b) => $b->weight <=> $a->weight);

        return $fitting;
    }

    /** Whether a fault tells of anything that is not as planned. */
    private function explains(int $number): bool
    {
        foreach ($this->known as $check => $answer) {
            $isLook = str_starts_with($check, 'look ');
            if ($answer !== $this->table->plannedAt($check) && ($isLook
                ? in_array($this->table->faults[$number]->words, explode("\n", $answer), true)
                : ($this->table->differing[$number][$check] ?? null) !== null)) {
                return true;
            }
        }

        return false;
    }

    private function fits(Suspicion $suspicion): bool
    {
        foreach ($this->known as $check => $answer) {
            $would = $this->answer($suspicion, $check);
            if ($would !== $answer && ($would !== self::EITHER || ! $this->mayCome($suspicion, $check, $answer))) {
                return false;
            }
        }

        return true;
    }

    /** Two faults of one sound come to what either does, or to less of it; all as planned is the doing of neither. */
    private function mayCome(Suspicion $suspicion, string $check, string $answer): bool
    {
        return $answer !== $this->table->plannedAt($check) && (in_array($answer, self::LESS, true)
            || array_filter($suspicion->faults, fn (int $fault) => ($this->table->differing[$fault][$check] ?? '') === $answer) !== []);
    }

    /** @return \Generator<string, array{non-empty-array<string, int>, non-empty-list<float>}> by check, as {@see checks()} has them */
    private function candidates(): \Generator
    {
        yield from $this->checks();
        if ($this->doing === null || count($this->suspicions) > self::FEW || count($this->suspicions) < 2) {
            return;
        }
        foreach ($this->doing->checks($this->known, $this->suspicions) as $check) {
            $answers = $weights = [];
            foreach (isset($this->asked[$check]) ? [] : $this->suspicions as $suspicion) {
                $answer = $this->doing->answer($suspicion, $check);
                $answers[$answer] = ($answers[$answer] ?? 0) + 1;
                $weights[$answer] = ($weights[$answer] ?? 0.0) + $suspicion->weight;
            }
            if (count($answers) > 1) {
                yield $check => [$answers, array_values($weights)];
            }
        }
    }

    /**
     * @return \Generator<string, array{non-empty-array<string, int>, non-empty-list<float>}> how often and how likely each answer is, by
     *     check
     */
    private function checks(): \Generator
    {
        $counts = $weights = [];
        $all = 0.0;
        $number = 0;
        $step = max(1, intdiv(count($this->suspicions), self::WEIGHED));
        for ($i = 0; $i < count($this->suspicions); $i += $step) {
            $suspicion = $this->suspicions[$i];
            $number++;
            $all += $suspicion->weight;
            foreach ($this->notAsPlanned($suspicion) as $check => $answer) {
                $counts[$check][$answer] = ($counts[$check][$answer] ?? 0) + 1;
                $weights[$check][$answer] = ($weights[$check][$answer] ?? 0.0) + $suspicion->weight;
            }
        }
        foreach ($counts as $check => $answers) {
            $rest = $number - array_sum($answers);
            if (isset($this->asked[$check]) || ($rest === 0 && count($answers) === 1)) {
                continue;
            }
            $likely = array_values($weights[$check]);
            if ($rest > 0) {
                $planned = $this->table->plannedAt((string) $check);
                $answers[$planned] = ($answers[$planned] ?? 0) + $rest;
                $likely[] = max(1e-12, $all - array_sum($likely));
            }
            yield (string) $check => [$answers, $likely];
        }
    }

    /** @return array<string, string> by check */
    private function notAsPlanned(Suspicion $suspicion): array
    {
        $answers = [];
        foreach ($suspicion->faults as $fault) {
            $look = $this->table->faults[$fault]->outlook->key();
            $answers[$look] = $this->seen($suspicion, $look);
            foreach ($this->table->differing[$fault] as $check => $answer) {
                $answers[$check] = isset($answers[$check]) && $answers[$check] !== $answer ? self::EITHER : $answer;
            }
        }

        return $answers;
    }
}
