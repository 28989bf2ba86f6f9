<?php

declare(strict_types=1);

namespace HiddenWire\Core\Tones;

/** One time that a signature arrives on a channel: measured, or by the plan. */
final readonly class ToneArrival
{
    /**
     * @param  float  $seconds  when its 60 s begin, from the beginning of the recording; by the plan, after they are played
     * @param  float  $db  against what is played
     * @param  int  $polarity  1 as it is played, -1 inverted, 0 where it cannot be determined
     */
    public function __construct(public float $seconds, public float $db, public int $polarity)
    {
    }
}
