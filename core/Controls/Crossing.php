<?php

declare(strict_types=1);

namespace HiddenWire\Core\Controls;

use HiddenWire\Core\Planning\Hearings;
use HiddenWire\Core\Rig\InvalidRig;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\Situation;
use HiddenWire\Core\Rig\Want;
use HiddenWire\Core\Signal\HeardPair;
use HiddenWire\Core\Signal\Hearing;
use HiddenWire\Core\Signal\Hop;
use HiddenWire\Core\Signal\Loop;
use HiddenWire\Core\Situations\SituationRow;
use HiddenWire\Core\Situations\SituationTable;

/**
 * From one situation to another by hand: the presses, what happens in between, and an order in which nothing does. Every subset of the
 * presses is heard, up to {@see MOST}; of more, those of one unit are taken together. Cost: a hearing a subset.
 */
final class Crossing
{
    /** Presses, or units, of which all orders are looked at. */
    public const MOST = 10;

    /** @var list<array{words: list<string>, unit: string|null}> what is done at once; each a press, or all that is done on one unit */
    public readonly array $steps;

    /** How many presses it takes. */
    public readonly int $presses;

    /** Whether presses of one unit are taken together. */
    public readonly bool $isByUnit;

    /** @var list<list<SituationRow>> */
    private array $groups;

    /** @var array<int, list<string>> what is the matter, by the steps that are done, as bits */
    private array $troubles = [];

    private Overrides $from;

    private Overrides $to;

    private Hearing $before;

    private Hearing $after;

    public function __construct(private readonly Hearings $plan, private readonly string $start, string $end)
    {
        $rig = $plan->rig;
        $table = new SituationTable($rig);
        $rows = $table->between($start, $end);
        $this->presses = count($rows);
        $this->isByUnit = count($rows) > self::MOST;
        $groups = [];
        foreach ($rows as $i => $row) {
            $groups[$this->isByUnit ? (string) $row->of->unit() : $i][] = $row;
        }
        $this->groups = array_values($groups);
        $this->steps = array_map(fn (array $group): array => [
            'words' => array_map(fn (SituationRow $row) => $row->of->told($table->states[$end]), $group),
            'unit' => $group[0]->of->unit(),
        ], $this->groups);
        $this->from = Overrides::of($rig->situations[$start]);
        $this->to = Overrides::of($rig->situations[$end]);
        $this->before = $plan->in($start);
        $this->after = $plan->in($end);
    }

    /** Whether there are more steps than orders can be looked at of. */
    public function isTooMany(): bool
    {
        return count($this->steps) > self::MOST;
    }

    /**
     * An order in which nothing that must not be heard is heard on the way, and nothing howls; with the fewest ways from unit to unit.
     *
     * @return list<int>|null places of the steps; null where there is none, or nobody can look at all
     */
    public function safeOrder(): ?array
    {
        $count = count($this->steps);
        if ($this->isTooMany()) {
            return null;
        }
        // The best way to each set of done steps that ends with each of them: [walks, order].
        $best = [0 => ['' => [0, []]]];
        for ($mask = 0; $mask < 1 << $count; $mask++) {
            foreach ($best[$mask] ?? [] as [$walks, $order]) {
                $last = $order === [] ? null : $this->steps[$order[count($order) - 1]]['unit'];
                for ($step = 0; $step < $count; $step++) {
                    $next = $mask | 1 << $step;
                    if ($next === $mask || $this->trouble($next) !== []) {
                        continue;
                    }
                    $more = $walks + ($last === $this->steps[$step]['unit'] ? 0 : 1);
                    if (! isset($best[$next][$step]) || $more < $best[$next][$step][0]) {
                        $best[$next][$step] = [$more, [...$order, $step]];
                    }
                }
            }
        }
        $ends = $best[(1 << $count) - 1] ?? [];
        usort($ends, fn (array $one, array $other) => $one[0] <=> $other[0]);

        return $ends[0][1] ?? null;
    }

    /**
     * What can happen on the way in some order, each once, with the fewest steps after which it does.
     *
     * @return list<array{words: string, after: list<int>}> places of the steps that are done then
     */
    public function dangers(): array
    {
        $found = [];
        for ($mask = 1; ! $this->isTooMany() && $mask < (1 << count($this->steps)) - 1; $mask++) {
            $done = array_values(array_filter(array_keys($this->steps), fn (int $step) => ($mask >> $step & 1) === 1));
            foreach ($this->trouble($mask) as $words) {
                if (! isset($found[$words]) || count($done) < count($found[$words])) {
                    $found[$words] = $done;
                }
            }
        }

        return array_map(fn (string $words, array $done) => ['words' => $words, 'after' => $done], array_keys($found), $found);
    }

    /** @return list<string> what is heard, or howls, with some steps done that is neither before the first nor after the last */
    public function trouble(int $mask): array
    {
        if ($mask === 0 || $mask === (1 << count($this->steps)) - 1) {
            return [];
        }

        return $this->troubles[$mask] ??= $this->found($this->halfway($mask));
    }

    /** What is heard with some steps done, as bits. */
    public function halfway(int $mask): Hearing
    {
        $rows = [];
        foreach ($this->groups as $i => $group) {
            $rows = ($mask >> $i & 1) === 1 ? [...$rows, ...$group] : $rows;
        }
        $rig = $this->plan->rig;
        $done = array_map(fn (SituationRow $row) => $row->of, $rows);
        $mixed = $this->from->with($done, $this->to)->situation($rig->situations[$this->start]);
        try {
            $there = new Rig($rig->parts()->changing('situations', $this->start, fn (Situation $one): Situation => $mixed));
        } catch (InvalidRig) {
            // Two things that can't be together for a moment: the hand does them in one.
            return $this->before;
        }

        return (new Hearings($there, before: $this->plan))->in($this->start);
    }

    /** @return list<string> */
    private function found(Hearing $there): array
    {
        $found = [];
        foreach ($there->differing($this->before) as [$was, $is]) {
            $then = $this->after->pair($is->source->id, $is->listener->id);
            if ($this->isUnwanted($is) && ! $this->isUnwanted($was) && ! $this->isUnwanted($then)) {
                $found[] = "{$is->source->name} is heard at {$is->listener->name}";
            }
        }
        $howling = fn (Hearing $hearing): array => array_filter($hearing->loops(), fn (Loop $loop) => $loop->howls());
        if ($howling($there) !== [] && $howling($this->before) === [] && $howling($this->after) === []) {
            $round = array_map(fn (Hop $hop) => $hop->label, array_values($howling($there))[0]->hops);
            $found[] = 'Something howls: '.implode(' · ', array_unique($round));
        }

        return $found;
    }

    /** Heard where it must not be in either situation. */
    private function isUnwanted(HeardPair $pair): bool
    {
        $wishes = [
            $this->before->pair($pair->source->id, $pair->listener->id)->wish?->want,
            $this->after->pair($pair->source->id, $pair->listener->id)->wish?->want,
        ];

        return $pair->isHeard() && $pair->sum->peak !== null && in_array(Want::MustNot, $wishes, true);
    }
}
