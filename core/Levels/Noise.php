<?php

declare(strict_types=1);

namespace HiddenWire\Core\Levels;

/** The noise under a sound, by what it comes from. */
final readonly class Noise
{
    /** @param  non-empty-array<string, float>  $parts  dB by origin, in the unit of the stage */
    public function __construct(private array $parts)
    {
    }

    /** All of it: noises add by their power. */
    public function db(): float
    {
        return 10 * log10(array_sum(array_map(fn (float $db) => 10 ** ($db / 10), $this->parts)));
    }

    public function louder(float $db): self
    {
        return new self(array_map(fn (float $one) => $one + $db, $this->parts));
    }

    public function and(string $from, float $db): self
    {
        return new self($this->parts + [$from => $db]);
    }

    /** What most of it comes from. */
    public function most(): string
    {
        return (string) array_search(max($this->parts), $this->parts, true);
    }
}
