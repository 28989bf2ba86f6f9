<?php

declare(strict_types=1);

namespace HiddenWire\Core\Tones;

/** The mains on a recording, with harmonics. */
final readonly class Hum
{
    /**
     * @param  int  $mains  50 or 60 Hz
     * @param  float  $db  of all its lines together, against full scale (RMS of a sine of full scale is 0)
     * @param  non-empty-array<int, float>  $lines  dB of each line that stands out, by Hz
     */
    public function __construct(public int $mains, public float $db, public array $lines)
    {
    }
}
