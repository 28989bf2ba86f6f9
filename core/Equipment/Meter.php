<?php

declare(strict_types=1);

namespace HiddenWire\Core\Equipment;

use HiddenWire\Core\Quantity\Decibels;

/** What a unit shows of the level at one of its points: on a printed scale, in coloured zones, or as a bar without marks. */
final readonly class Meter
{
    /**
     * @param  Tap  $tap  where it is taken: as the sound enters the point, after gain and mute, or after the fader too
     * @param  OwnScale|null  $scale  what is printed beside it; null where it has zones, or nothing
     * @param  list<array{string, float}>  $zones  (name, dB from which it is lit), rising; empty where it has a scale, or nothing
     */
    public function __construct(
        public string $id,
        public string $label,
        public string $point,
        public Tap $tap,
        public ?OwnScale $scale,
        public array $zones,
    ) {
    }

    /** Where it should stand with a sound at its usual level: nominal, 18 dB under full scale. */
    public function target(): string
    {
        return $this->reading(0.0);
    }

    /**
     * What it shows of a level.
     *
     * @param  float  $db  relative to nominal
     */
    public function reading(float $db): string
    {
        if ($this->scale !== null) {
            $level = Decibels::of(round(max(-200.0, min(200.0, $db)), 2));

            return $level->isBelow(Decibels::of($this->scale->marks[0][1])) ? 'below its scale' : $this->scale->words($level);
        }
        $lit = null;
        foreach ($this->zones as [$name, $from]) {
            $lit = $db >= $from ? $name : $lit;
        }

        return match (true) {
            $this->zones === [] => 'moves',
            $lit === null => 'stays dark',
            default => $lit,
        };
    }
}
