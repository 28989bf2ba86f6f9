<?php

declare(strict_types=1);

namespace HiddenWire\Core\Tones;

/** What a tone test tells of one channel of a recording. */
final readonly class ChannelReading
{
    /**
     * @param  list<FoundSignature>  $found  the loudest first
     * @param  float  $truePeak  amplitude, 1 is full scale
     * @param  list<array{float, float}>  $clipped  where the wave is cut off: s from the beginning, and how long
     * @param  list<array{float, float}>  $holes  where samples are missing: s from the beginning, and how long
     * @param  float|null  $floor  dB against full scale (RMS) of the quietest tenth of a second, an estimate of the noise
     * @param  list<float>  $powers  K-weighted, of each 100 ms
     * @param  list<float>  $plain  mean powers of each 100 ms
     * @param  float  $mark  the same for channels with the same samples
     */
    public function __construct(
        public array $found,
        public ?Hum $hum,
        public float $truePeak,
        public float $samplePeak,
        public array $clipped,
        public array $holes,
        public ?float $floor,
        public array $powers,
        public array $plain,
        public float $mark,
    ) {
    }

    public function isSilent(): bool
    {
        return $this->samplePeak === 0.0;
    }

    public function find(int $number): ?FoundSignature
    {
        foreach ($this->found as $found) {
            if ($found->number === $number) {
                return $found;
            }
        }

        return null;
    }
}
