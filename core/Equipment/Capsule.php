<?php

declare(strict_types=1);

namespace HiddenWire\Core\Equipment;

/** What a microphone makes of sound pressure. */
final readonly class Capsule
{
    /**
     * @param  float  $mvPerPa  sensitivity in millivolts a pascal (94 dB SPL) into an open circuit
     * @param  float|null  $noiseDb  its own noise as the sound pressure that would give it, dB SPL(A); null for one without electronics
     * @param  float|null  $maxDb  sound pressure at which it distorts, dB SPL; null where that is beyond any voice
     * @param  Pattern|null  $pattern  from where it hears; null where that is not known
     */
    public function __construct(
        public float $mvPerPa,
        public ?float $noiseDb = null,
        public ?float $maxDb = null,
        public ?Pattern $pattern = null,
    ) {
    }
}
