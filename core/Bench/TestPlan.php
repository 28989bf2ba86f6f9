<?php

declare(strict_types=1);

namespace HiddenWire\Core\Bench;

use HiddenWire\Core\Planning\Hearings;
use HiddenWire\Core\Rig\Fact;
use HiddenWire\Core\Rig\Listener;
use HiddenWire\Core\Rig\Place;
use HiddenWire\Core\Rig\PlaceKind;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\Situation;
use HiddenWire\Core\Rig\Source;
use HiddenWire\Core\Rig\SourceKind;
use HiddenWire\Core\Rig\Want;
use HiddenWire\Core\Signal\HeardPair;
use HiddenWire\Core\Signal\Hearing;
use HiddenWire\Core\Signal\Hop;
use HiddenWire\Core\Signal\Readings;
use HiddenWire\Core\Signal\Reliance;

/**
 * How the real rig is tested against the plan: for each listener one look at all that must be heard, as far as it can be distinguished, and
 * one at all that must not, which plays alone, since what is meant to be heard would cover it. In every situation each place is visited
 * once, beginning where the situation before has ended; places far away come last. Cost: one hearing a situation.
 */
final readonly class TestPlan
{
    /** Of a key and of a state so many hexadecimal digits. */
    private const DIGITS = 12;

    /** @var list<TestStep> in the order in which somebody does them */
    public array $steps;

    /** How many it would take one sound at one listener at a time. */
    public int $naive;

    public Rig $rig;

    public function __construct(Hearings $hearings)
    {
        $this->rig = $hearings->rig;
        $steps = [];
        $naive = 0;
        $last = null;
        foreach ($this->rig->situations as $id => $situation) {
            $hearing = $hearings->in((string) $id);
            $of = $this->inSituation($hearing, $situation, $naive);
            $order = $this->placesFrom($last);
            usort($of, fn (TestStep $one, TestStep $other) => $order[$one->place->id] <=> $order[$other->place->id]);
            $last = $of === [] ? $last : $of[count($of) - 1]->place;
            $steps = [...$steps, ...$of];
        }
        $this->steps = $steps;
        $this->naive = $naive;
    }

    public function step(string $key): ?TestStep
    {
        foreach ($this->steps as $step) {
            if ($step->key === $key) {
                return $step;
            }
        }

        return null;
    }

    /** How often somebody goes from one place to another. */
    public function walks(): int
    {
        $walks = 0;
        foreach ($this->steps as $i => $step) {
            $walks += $i > 0 && $step->place->id !== $this->steps[$i - 1]->place->id ? 1 : 0;
        }

        return $walks;
    }

    /** @return list<TestStep> of every listener */
    private function inSituation(Hearing $hearing, Situation $situation, int &$naive): array
    {
        $steps = [];
        $reliance = Reliance::of($hearing);
        $resets = $this->resets($hearing);
        foreach ($this->rig->listeners as $listener) {
            $wanted = $unwanted = [];
            foreach ($this->rig->sources as $source) {
                $pair = $hearing->pair($source->id, $listener->id);
                if ($this->canSound($source, $situation)) {
                    $wanted = $pair->wish?->want === Want::Must ? [...$wanted, $pair] : $wanted;
                    $unwanted = $pair->wish?->want === Want::MustNot ? [...$unwanted, $pair] : $unwanted;
                }
            }
            $naive += count($wanted) + count($unwanted);
            foreach ([...$this->apart($wanted), ...$this->apart($unwanted)] as $pairs) {
                $steps[] = $this->stepOf($hearing, $situation, $listener, $pairs, $reliance, $resets);
            }
        }

        return $steps;
    }

    /**
     * What can be distinguished by ear plays together: everybody who speaks, and of anything else one of each kind.
     *
     * @param  list<HeardPair>  $pairs
     * @return list<non-empty-list<HeardPair>>
     */
    private function apart(array $pairs): array
    {
        $rounds = $taken = [];
        foreach ($pairs as $pair) {
            $speaks = in_array($pair->source->kind, [SourceKind::Voice, SourceKind::Caller], true);
            $kind = $speaks ? $pair->source->id : $pair->source->kind->value;
            $round = $taken[$kind] = isset($taken[$kind]) ? $taken[$kind] + 1 : 0;
            $rounds[$round][] = $pair;
        }

        return array_values($rounds);
    }

    /**
     * After what each sound may go otherwise, anywhere that it is heard: what may come to somebody who must not hear it comes from there.
     *
     * @return array<array-key, array<string, true>> keys of events, by source
     */
    private function resets(Hearing $hearing): array
    {
        $resets = [];
        foreach ($hearing->all() as $pair) {
            if ($pair->isHeard()) {
                $resets[$pair->source->id] = ($resets[$pair->source->id] ?? []) + Event::resetting($this->rig, $pair);
            }
        }

        return $resets;
    }

    /**
     * @param  non-empty-list<HeardPair>  $pairs
     * @param  array<array-key, array<string, true>>  $resets  after what each sound may go otherwise, by source
     */
    private function stepOf(
        Hearing $hearing,
        Situation $situation,
        Listener $listener,
        array $pairs,
        Reliance $reliance,
        array $resets,
    ): TestStep {
        $resetBy = $proves = [];
        foreach ($pairs as $pair) {
            $resetBy += $pair->wish?->want === Want::Must ? Event::resetting($this->rig, $pair) : $resets[$pair->source->id] ?? [];
            foreach ($pair->meetsMust() ? $reliance->behind($pair) : [] as $fact) {
                $proves[$fact->key()] = $fact;
            }
        }
        $expected = array_map(fn (HeardPair $pair) => new Expected(
            $pair->source,
            $pair->wish?->want === Want::Must,
            $pair->wish?->want === Want::Must ? $pair->level() : null,
            $pair->meetsMust() ? $pair->channels() : '',
            ! $pair->verdict->isAtOdds(),
        ), $pairs);
        $sounds = array_map(fn (HeardPair $pair) => $pair->source->id, $pairs);
        sort($sounds);

        return new TestStep(
            $this->digest([$situation->id, $listener->id, $pairs[0]->wish?->want->value, ...$sounds]),
            $this->digest(array_map($this->stateOf(...), $pairs)),
            $situation,
            $this->placeOf($listener),
            $listener,
            $expected,
            $this->meters($hearing, $pairs),
            $resetBy,
            array_values(array_filter($proves, fn (Fact $fact) => $fact->certainty->isOpen())),
            max(array_map(fn (HeardPair $pair) => $pair->delay()?->value() ?? 0.0, $pairs)),
        );
    }

    /** What of a pair decides what is heard: how it comes, to the decibel, and by which elements. */
    private function stateOf(HeardPair $pair): string
    {
        $ways = array_map(
            fn ($arrival) => implode(' ', array_map(fn (Hop $hop) => "{$hop->kind->value} {$hop->ref}", $arrival->hops)),
            $pair->arrivals(),
        );
        $level = $pair->level();

        return implode("\n", [$pair->source->id, $level === null ? '' : round($level->value()), $pair->channels(), ...$ways]);
    }

    /**
     * Meters on the strongest ways of what plays, with what they show of it.
     *
     * @param  non-empty-list<HeardPair>  $pairs
     * @return list<string>
     */
    private function meters(Hearing $hearing, array $pairs): array
    {
        $readings = new Readings($hearing->graph());
        $said = $shown = [];
        foreach ($pairs as $pair) {
            foreach ($pair->wish?->want === Want::Must ? $pair->arrivals()[0]->hops ?? [] : [] as $hop) {
                $at = $hop->at;
                if (! $at instanceof PointRef) {
                    continue;
                }
                $unit = $this->rig->units[$at->unit];
                foreach ($this->rig->modelOf($unit)->meters as $meter) {
                    $level = $meter->point === $at->point ? $readings->of($unit, $meter)[$pair->source->id] ?? null : null;
                    $key = "{$unit->name}, {$meter->label}";
                    // Of all that it shows together, the loudest decides.
                    if ($level !== null && $level > ($shown[$key] ?? -INF)) {
                        [$shown[$key], $said[$key]] = [$level, "{$key}: {$meter->reading($level)}"];
                    }
                }
            }
        }

        return array_values($said);
    }

    /** Whether anything that it begins at is there. */
    private function canSound(Source $source, Situation $situation): bool
    {
        return array_filter($source->origins, fn ($origin) => ! in_array($origin->at->unit, $situation->absent, true)) !== [];
    }

    private function placeOf(Listener $listener): Place
    {
        $at = $listener->at[0] ?? null;

        return $at === null ? $this->rig->places[array_key_first($this->rig->places)]
            : $this->rig->places[$this->rig->units[$at->unit]->place];
    }

    /** @return array<string, int> the turn of each place: where somebody is first, then in the rig's order, those far away last */
    private function placesFrom(?Place $here): array
    {
        $places = array_values($this->rig->places);
        $rank = fn (Place $one): int => match (true) {
            $one->kind === PlaceKind::Remote => 2, $one->id === $here?->id => 0, default => 1,
        };
        usort($places, fn (Place $one, Place $other) => $rank($one) <=> $rank($other));

        return array_flip(array_map(fn (Place $one) => $one->id, $places));
    }

    /** @param  list<string|null>  $of */
    private function digest(array $of): string
    {
        return substr(hash('sha256', implode("\n\n", $of)), 0, self::DIGITS);
    }
}
