<?php

declare(strict_types=1);

namespace HiddenWire\Core\Tones;

/** A signature that is on a channel of a recording. */
final readonly class FoundSignature
{
    /**
     * @param  float  $score  how far its tones stand out of the noise, three of four of them, as a ratio of powers
     * @param  float  $db  of its tones against what is played: all arrivals together
     * @param  float  $ppm  by how much the clock that played it is fast against the one that recorded it
     * @param  float|null  $begins  about when its 60 s begin by its tones, s from the beginning; null where neither end of them shows
     * @param  list<ToneArrival>  $arrivals  the loudest first; none where its chirps are too weak, or not on the recording
     * @param  float|null  $jump  ms by which more passed between its chirps than was played, beside the drift; null where one is missing
     */
    public function __construct(
        public int $number,
        public float $score,
        public float $db,
        public float $ppm,
        public ?float $begins = null,
        public array $arrivals = [],
        public ?float $jump = null,
    ) {
    }
}
