<?php

declare(strict_types=1);

namespace HiddenWire\Core\Room;

use HiddenWire\Core\Audio\Noise;
use HiddenWire\Core\Rig\Listener;
use HiddenWire\Core\Signal\Hearing;
use HiddenWire\Core\Tones\Signature;
use HiddenWire\Core\Tones\TonePlan;

/**
 * What the tracks of a room record of a tone test: every signature as it arrives there, each begun by a hand of its own within two seconds,
 * with the noise of a good recorder, and what else is the matter in the room: hum on tracks, clocks that are fast.
 */
final readonly class RoomSound
{
    /** RMS of the recorder's noise, 1 is full scale. */
    private const NOISE = 3e-5;

    private const LEAST = 1e-3;

    private const LAST_START = 2.0;

    private const LEAD = 1.0;

    /** Shares of hum that lie on the mains and its harmonics. */
    private const HARMONICS = [1 => 0.9, 2 => 0.25, 3 => 0.35];

    /** @var array<array-key, float> when each sound is begun, s */
    public array $starts;

    /**
     * @param  Hearing  $real  how the room is
     * @param  TonePlan  $plan  how it is meant to be: who plays what
     */
    public function __construct(
        private Hearing $real,
        private TonePlan $plan,
        private int $seed,
        private SoundFaults $faults = new SoundFaults,
    ) {
        $noise = new Noise($seed);
        $starts = [];
        foreach (array_keys($plan->signatures) as $source) {
            $starts[$source] = self::LEAD + self::LAST_START * (0.5 + 0.5 * max(-1.0, min(1.0, $noise->white(1)[0] / 2)));
        }
        $this->starts = $starts;
    }

    /** How long it takes until all are through, s. */
    public function seconds(): int
    {
        return (int) ceil(self::LEAD + self::LAST_START + Signature::SECONDS + self::LEAD);
    }

    /**
     * @param  list<Listener>  $tracks
     * @return \Generator<list<array<int, float>>> a second at a time, the channels of all tracks in order
     */
    public function recorded(array $tracks, int $rate): \Generator
    {
        $arriving = $hums = $noises = [];
        foreach ($tracks as $track) {
            foreach ($this->arriving($track) as $channel) {
                $arriving[] = $channel;
                $hums[] = $this->faults->hum[$track->id] ?? null;
                $noises[] = new Noise($this->seed + 7 * count($arriving));
            }
        }
        for ($at = 0, $all = $this->seconds() * $rate; $at < $all; $at += $rate) {
            $channels = [];
            foreach ($arriving as $i => $ways) {
                $samples = array_map(fn (float $x) => self::NOISE * $x, $noises[$i]->white($rate));
                foreach ($ways as [$signature, $source, $ms, $amplitude]) {
                    $start = $this->starts[$source] + $ms / 1000;
                    $signature->addTo($samples, $at, $rate, $start, $amplitude, $this->faults->ppm[$source] ?? 0.0);
                }
                if ($hums[$i] !== null) {
                    self::addHum($samples, $at, $rate, ...$hums[$i]);
                }
                $channels[] = $samples;
            }
            yield $channels;
        }
    }

    /** @return list<list<array{Signature, array-key, float, float}>> by channel: what, of which source, ms later, amplitude */
    private function arriving(Listener $track): array
    {
        $rig = $this->plan->rig;
        $channels = [];
        $first = [];
        foreach ($track->at as $ear) {
            $first[(string) $ear] = count($channels);
            for ($i = 0; $i < $rig->point($ear)->channels; $i++) {
                $channels[] = [];
            }
        }
        $real = $this->real->rig;
        foreach ($this->plan->signatures as $source => $signatures) {
            $played = in_array((string) $source, $this->faults->swapped, true) ? array_reverse($signatures) : $signatures;
            foreach ($this->real->field()->response($real->sources[$source], $real->listeners[$track->id], self::LEAST) as $way) {
                $signature = $played[$way['part'] - 1] ?? null;
                if ($signature === null) {
                    continue;
                }
                foreach ($way['taps'] as [$ms, $amplitude]) {
                    $channels[$first[$way['ear']] + $way['ear_channel'] - 1][] = [$signature, $source, $ms, $amplitude];
                }
            }
        }

        return $channels;
    }

    /** @param  array<int, float>  $samples */
    private static function addHum(array &$samples, int $at, int $rate, float $level, float $hertz): void
    {
        foreach (self::HARMONICS as $times => $share) {
            $turn = 2 * M_PI * $hertz * $times / $rate;
            $amplitude = M_SQRT2 * $level * $share;
            foreach ($samples as $i => $x) {
                $samples[$i] = $x + $amplitude * sin($turn * ($at + $i));
            }
        }
    }
}
