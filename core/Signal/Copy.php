<?php

declare(strict_types=1);

namespace HiddenWire\Core\Signal;

/**
 * What arrives of one part of a source in one channel of an ear within a tenth of a millisecond and by one set of clocks: one arrival to
 * the ear.
 */
final readonly class Copy
{
    /**
     * @param  int  $delay  of its strongest tap, in microseconds
     * @param  float  $amplitude  signed, relative to the source
     */
    public function __construct(public int $delay, public float $amplitude, public int $clocks)
    {
    }
}
