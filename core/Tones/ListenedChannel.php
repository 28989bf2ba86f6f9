<?php

declare(strict_types=1);

namespace HiddenWire\Core\Tones;

use HiddenWire\Core\Audio\Decimator;
use HiddenWire\Core\Audio\Loudness;
use HiddenWire\Core\Audio\Runs;
use HiddenWire\Core\Audio\TruePeak;

/** One channel while a recording goes through: meters, the bands of the last minute, and what was found in them so far. */
final class ListenedChannel
{
    /** @var list<FoundSignature> each where it stands out most, the loudest first */
    public array $found = [];

    public ?Hum $hum = null;

    /** @var list<string> the last frames of the bands, packed as floats */
    public array $frames = [];

    public readonly Loudness $loudness;

    public readonly TruePeak $peak;

    public readonly Runs $runs;

    private readonly Decimator $decimator;

    public function __construct(int $rate, private readonly ToneBands $bands)
    {
        $this->loudness = new Loudness($rate);
        $this->peak = new TruePeak($rate);
        $this->runs = new Runs($rate);
        $this->decimator = new Decimator($bands->by, $rate, ToneBands::PASS_HZ);
    }

    /**
     * @param  list<float>  $samples
     * @return list<float> slower, for the bands
     */
    public function take(array $samples): array
    {
        $this->loudness->take($samples);
        $this->peak->take($samples);
        $this->runs->take($samples);

        return $this->decimator->take($samples);
    }

    /** @return list<float> what is still to come of {@see take()} at the end */
    public function rest(): array
    {
        return $this->decimator->rest();
    }

    /** @param  int  $first  the number of the first frame */
    public function search(int $first): void
    {
        if ($this->frames === []) {
            return;
        }
        $search = new ToneSearch($this->bands, $this->frames, $first);
        $best = [];
        foreach ([...$this->found, ...$search->found()] as $one) {
            if (! isset($best[$one->number]) || $one->score > $best[$one->number]->score) {
                $best[$one->number] = $one;
            }
        }
        usort($best, fn (FoundSignature $one, FoundSignature $other) => $other->db <=> $one->db);
        $this->found = $best;
        $hum = $search->hum();
        $this->hum = $this->hum === null || $hum !== null && $hum->db > $this->hum->db ? $hum : $this->hum;
    }
}
