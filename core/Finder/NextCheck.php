<?php

declare(strict_types=1);

namespace HiddenWire\Core\Finder;

/** A check that parts what is suspected, with all that it can answer. */
final readonly class NextCheck
{
    /**
     * @param  string  $key  "hear source listener", "read unit/meter source", "list computer device", "look kind unit", "unplug lead source
     *     listener" or "swap lead source listener"
     * @param  non-empty-array<string, int>  $answers  how many suspicions each leaves, by answer
     * @param  float  $gain  bits that it tells, in the mean
     */
    public function __construct(public string $key, public array $answers, public float $gain)
    {
    }

    /** Bits, had every answer been as likely. */
    public function cost(): float
    {
        return log(count($this->answers), 2);
    }
}
