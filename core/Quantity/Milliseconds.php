<?php

declare(strict_types=1);

namespace HiddenWire\Core\Quantity;

/** A delay in milliseconds, kept in whole microseconds so that sums are exact. Never negative. */
final readonly class Milliseconds
{
    private function __construct(private int $microseconds)
    {
    }

    /**
     * Rounds to the nearest microsecond.
     *
     * @throws \RangeException below zero
     */
    public static function of(int|float $milliseconds): self
    {
        if ($milliseconds < 0) {
            throw new \RangeException("A delay can't be negative: {$milliseconds} ms.");
        }

        return new self((int) round($milliseconds * 1000));
    }

    public static function isExact(int|float $milliseconds): bool
    {
        return abs($milliseconds * 1000 - round($milliseconds * 1000)) < 1e-6;
    }

    public static function zero(): self
    {
        return new self(0);
    }

    public function plus(self $other): self
    {
        return new self($this->microseconds + $other->microseconds);
    }

    /** How far apart two delays are, whichever is longer. */
    public function apartFrom(self $other): self
    {
        return new self(abs($this->microseconds - $other->microseconds));
    }

    public function equals(self $other): bool
    {
        return $this->microseconds === $other->microseconds;
    }

    public function value(): float
    {
        return $this->microseconds / 1000;
    }

    public function number(): int|float
    {
        return $this->microseconds % 1000 === 0 ? intdiv($this->microseconds, 1000) : $this->microseconds / 1000;
    }

    public function text(): string
    {
        return number_format($this->value(), 1, '.', '');
    }
}
