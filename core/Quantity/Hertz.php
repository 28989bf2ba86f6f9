<?php

declare(strict_types=1);

namespace HiddenWire\Core\Quantity;

/** A frequency or a sample rate in hertz. */
final readonly class Hertz
{
    /** @throws \RangeException at or below zero */
    public function __construct(public float $value)
    {
        if ($value <= 0) {
            throw new \RangeException("A frequency is above zero: {$value} Hz.");
        }
    }

    /** The first frequency that two equal signals cancel when one is late by a delay: 1 / (2d). */
    public static function firstNotch(Milliseconds $apart): self
    {
        return self::perDelay(0.5, $apart);
    }

    /** The frequency of which so many periods pass in a delay, which is longer than nothing. */
    public static function perDelay(float $periods, Milliseconds $delay): self
    {
        return new self(1000 * $periods / $delay->value());
    }

    /** "480 Hz", "1.2 kHz": two significant figures are enough for an ear. */
    public function text(): string
    {
        return $this->value >= 1000
            ? number_format($this->value / 1000, 1, '.', '').' kHz'
            : number_format($this->value, 0, '.', '').' Hz';
    }
}
