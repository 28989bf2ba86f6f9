<?php

declare(strict_types=1);

namespace HiddenWire\Core\Levels;

use HiddenWire\Core\Signal\Hop;

/** How loud a sound is behind one step of its way, between what is too quiet there and what is too loud. */
final readonly class Stage
{
    /**
     * @param  Hop  $hop  the step
     * @param  string  $label  where it is, as a person calls it
     * @param  bool  $isAnalog  on a lead, in dBu; otherwise inside a unit, in dB below its full scale (dBFS)
     * @param  float  $level  the usual level (RMS)
     * @param  float|null  $max  above which it distorts; null where nothing does
     * @param  float  $floor  the noise there
     */
    public function __construct(
        public Hop $hop,
        public string $label,
        public bool $isAnalog,
        public float $level,
        public ?float $max,
        public float $floor,
    ) {
    }

    public function unit(): string
    {
        return $this->isAnalog ? 'dBu' : 'dBFS';
    }

    /** From the usual level's peaks up to the maximum, dB; null where nothing distorts. */
    public function headroom(): ?float
    {
        return $this->max === null ? null : $this->max - $this->level - Chain::CREST_DB;
    }
}
