<?php

declare(strict_types=1);

namespace HiddenWire\Core\Quantity;

/**
 * A gain, or a level relative to a stated reference, in decibels. Kept in whole hundredths, so that sums are exact
 * and the textual form is the value.
 */
final readonly class Decibels
{
    private function __construct(private int $hundredths)
    {
    }

    /** Rounds to the nearest hundredth of a decibel. */
    public static function of(int|float $decibels): self
    {
        return new self((int) round($decibels * 100));
    }

    /** Whether a number can be kept without rounding. */
    public static function isExact(int|float $decibels): bool
    {
        return abs($decibels * 100 - round($decibels * 100)) < 1e-6;
    }

    /**
     * From a ratio of amplitudes (voltages, sound pressures): 20 log10 of it.
     *
     * @param  float  $ratio  above zero
     */
    public static function ofRatio(float $ratio): self
    {
        return self::of(20 * log10($ratio));
    }

    public static function zero(): self
    {
        return new self(0);
    }

    public function plus(self $other): self
    {
        return new self($this->hundredths + $other->hundredths);
    }

    public function minus(self $other): self
    {
        return new self($this->hundredths - $other->hundredths);
    }

    public function isBelow(self $other): bool
    {
        return $this->hundredths < $other->hundredths;
    }

    public function equals(self $other): bool
    {
        return $this->hundredths === $other->hundredths;
    }

    public function value(): float
    {
        return $this->hundredths / 100;
    }

    /** As a document writes it: a whole number where it is one. */
    public function number(): int|float
    {
        return $this->hundredths % 100 === 0 ? intdiv($this->hundredths, 100) : $this->hundredths / 100;
    }

    /** For reading: one decimal, a true minus sign, no unit; "-0.0" does not occur. */
    public function text(): string
    {
        $text = number_format(abs($this->value()), 1, '.', '');

        return ($this->hundredths < 0 && $text !== '0.0' ? '−' : '').$text;
    }

    /** The same with its hundredths, where it has any: what is set by hand reads as it was set. */
    public function exactText(): string
    {
        $sign = $this->hundredths < 0 ? '−' : '';

        return $this->hundredths % 10 === 0 ? $this->text() : $sign.number_format(abs($this->value()), 2, '.', '');
    }
}
