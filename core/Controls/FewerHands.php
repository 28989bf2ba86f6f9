<?php

declare(strict_types=1);

namespace HiddenWire\Core\Controls;

use HiddenWire\Core\Planning\Hearings;
use HiddenWire\Core\Rig\Control;
use HiddenWire\Core\Rig\Hands;
use HiddenWire\Core\Rig\Listener;
use HiddenWire\Core\Rig\ListenerKind;
use HiddenWire\Core\Rig\Source;
use HiddenWire\Core\Rig\Touched;

/**
 * Fewer hands than sounds: which sound goes on which fader or knob, and what has to share one. What is touched often comes first, what
 * nobody says next, then what is touched seldom; a hand that moves a sound alone already keeps it where it can.
 */
final readonly class FewerHands
{
    /** @var list<array{control: Control, moves: list<Source>, gets: list<Source>}> what each hand moves on air now, and should */
    public array $hands;

    /** @var list<Source> what is heard on air and has to be, in the order in which it gets hands */
    public array $sounds;

    public function __construct(Hearings $plan, ControlReach $reach, string $situation)
    {
        $rig = $plan->rig;
        $air = $this->onAir($rig->listeners);
        $this->sounds = $this->wanted($plan, $situation, $air);
        $hands = $moves = [];
        // What somebody has entered is what hands work with; else what the units come with.
        foreach (Hands::entered($rig) as $control) {
            $moved = [];
            foreach ($control->kind->isTurned() ? $reach->of($control, $situation, true) : [] as $one) {
                $moved += isset($air[$one->listener->id]) && $one->isInLevel() ? [$one->source->id => $one->source] : [];
            }
            if ($moved !== []) {
                $hands[$control->id] = $control;
                $moves[$control->id] = $moved;
            }
        }
        $gets = $this->given(array_fill_keys(array_keys($hands), []), $moves);
        $this->hands = array_map(fn (Control $one): array => [
            'control' => $one, 'moves' => array_values($moves[$one->id]), 'gets' => $gets[$one->id],
        ], array_values($hands));
    }

    /** Whether there are fewer hands than sounds, so that some have to share. */
    public function isShort(): bool
    {
        return $this->hands !== [] && count($this->hands) < count($this->sounds);
    }

    /**
     * @param  array<string, list<Source>>  $gets  by control
     * @param  array<string, array<string, Source>>  $moves  by control
     * @return array<string, list<Source>>
     */
    private function given(array $gets, array $moves): array
    {
        if ($gets === []) {
            return [];
        }
        $ranks = [];
        foreach ($this->sounds as $sound) {
            $ranks[self::rank($sound)][] = $sound;
        }
        ksort($ranks);
        foreach ($ranks as $sounds) {
            $left = [];
            foreach ($sounds as $sound) {
                $own = array_keys(array_filter($moves, fn (array $moved) => array_keys($moved) === [$sound->id]));
                $free = array_values(array_filter($own, fn (string $id) => $gets[$id] === []));
                if ($free === []) {
                    $left[] = $sound;
                } else {
                    $gets[$free[0]][] = $sound;
                }
            }
            foreach ($left as $sound) {
                // A free hand; where there is none, the one with the fewest sounds, and of those the one whose are touched least.
                $isFuller = fn (string $a, string $b): int => [count($gets[$a]), -self::most($gets[$a])]
                    <=> [count($gets[$b]), -self::most($gets[$b])];
                uksort($gets, $isFuller);
                $gets[array_key_first($gets)][] = $sound;
            }
        }

        return $gets;
    }

    /**
     * @param  array<string, Listener>  $air
     * @return list<Source>
     */
    private function wanted(Hearings $plan, string $situation, array $air): array
    {
        $wanted = [];
        foreach ($plan->in($situation)->all() as $pair) {
            if (isset($air[$pair->listener->id]) && $pair->meetsMust() && $pair->source->touched !== Touched::Never) {
                $wanted[$pair->source->id] = $pair->source;
            }
        }
        $wanted = array_values($wanted);
        usort($wanted, fn (Source $a, Source $b) => self::rank($a) <=> self::rank($b));

        return $wanted;
    }

    /**
     * @param  array<string, Listener>  $listeners
     * @return array<string, Listener> those on the stream; of a rig without one, its tracks; else all
     */
    private function onAir(array $listeners): array
    {
        foreach ([ListenerKind::Stream, ListenerKind::Track] as $kind) {
            $there = array_filter($listeners, fn (Listener $one) => $one->kind === $kind);
            if ($there !== []) {
                return $there;
            }
        }

        return $listeners;
    }

    /** @param  list<Source>  $sounds */
    private static function most(array $sounds): int
    {
        return $sounds === [] ? PHP_INT_MAX : min(array_map(self::rank(...), $sounds));
    }

    private static function rank(Source $sound): int
    {
        return match ($sound->touched) {
            Touched::Often => 0, null => 1, Touched::Seldom => 2, Touched::Never => 3,
        };
    }
}
