<?php

declare(strict_types=1);

namespace HiddenWire\Core\Equipment;

/** How what is moved follows the hand. */
enum Law: string
{
    /** By equal steps of its unit. */
    case Even = 'even';
    /** As a fader: three quarters of the way for the upper 40 dB, the rest below. */
    case Taper = 'taper';
    /** Moves in the lower half of the travel and then stays: one side of a balance knob. */
    case FirstHalf = 'first-half';
    /** Stands in the lower half of the way and then moves: the other side. */
    case SecondHalf = 'second-half';
    /** Each press exchanges one state with the other. */
    case Toggle = 'toggle';
    /** A press sets it, whatever it was. */
    case Set = 'set';
    /** A press, or a click of a dial, adds so much. */
    case Step = 'step';

    /** Where a fader's law bends, in thousandths of its way, and how far under the top it is there, dB. */
    private const BEND = 250;

    private const UPPER_DB = 40.0;

    public function words(): string
    {
        return match ($this) {
            self::Even => 'evenly', self::Taper => 'as a fader', self::FirstHalf => 'in the lower half',
            self::SecondHalf => 'in the upper half',
            self::Toggle => 'to and fro', self::Set => 'set', self::Step => 'by steps',
        };
    }

    /** Whether it goes from one number to another along a way. */
    public function isAlongWay(): bool
    {
        return in_array($this, [self::Even, self::Taper, self::FirstHalf, self::SecondHalf], true);
    }

    /**
     * @param  int  $at  thousandths of the way
     * @param  float  $from  at its beginning
     * @param  float  $to  at its end
     */
    public function value(int $at, float $from, float $to): float
    {
        $share = $at / 1000;
        $bend = max(min($from, $to), max($from, $to) - self::UPPER_DB);

        return match ($this) {
            self::FirstHalf => $from + ($to - $from) * min(1.0, 2 * $share),
            self::SecondHalf => $from + ($to - $from) * max(0.0, 2 * $share - 1.0),
            // A fader that runs down instead of up bends at the same loudness, at the other end of its way.
            self::Taper => $from <= $to ? self::tapered($at, $from, $bend, $to) : self::tapered(1000 - $at, $to, $bend, $from),
            default => $from + ($to - $from) * $share,
        };
    }

    /**
     * The share of the travel at a value, from 0 to 1: the inverse of {@see value()}, of laws that rise all the way.
     *
     * @param  float  $from  at its beginning, below $to
     */
    public function share(float $value, float $from, float $to): float
    {
        $bend = $this === self::Taper ? $to - self::UPPER_DB : $from;
        $share = $bend <= $from || $value >= $to
            ? ($value - $from) / ($to - $from)
            : ($value < $bend
                ? ($value - $from) / ($bend - $from) * self::BEND / 1000
                : (self::BEND + ($value - $bend) / ($to - $bend) * (1000 - self::BEND)) / 1000);

        return min(1.0, max(0.0, $share));
    }

    /** @return list<int> where on the way it bends, in thousandths */
    public function bends(float $from, float $to): array
    {
        return match ($this) {
            self::FirstHalf, self::SecondHalf => [500],
            self::Taper => [$from <= $to ? self::BEND : 1000 - self::BEND],
            default => [],
        };
    }

    private static function tapered(int $at, float $low, float $bend, float $high): float
    {
        return $at <= self::BEND
            ? $low + ($bend - $low) * $at / self::BEND
            : $bend + ($high - $bend) * ($at - self::BEND) / (1000 - self::BEND);
    }
}
