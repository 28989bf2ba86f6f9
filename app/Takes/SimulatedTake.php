<?php

declare(strict_types=1);

namespace App\Takes;

use HiddenWire\Core\Audio\Noise;
use HiddenWire\Core\Audio\WavWriter;
use HiddenWire\Core\Planning\Hearings;
use HiddenWire\Core\Rig\InvalidRig;
use HiddenWire\Core\Rig\Listener;
use HiddenWire\Core\Room\Fault;
use HiddenWire\Core\Room\RoomSound;
use HiddenWire\Core\Room\SimulatedRoom;
use HiddenWire\Core\Room\SoundFaults;
use HiddenWire\Core\Tones\ToneArrival;
use HiddenWire\Core\Tones\TonePlan;

/** The recording that a simulated room makes of a tone test, with what is hidden in it. */
final readonly class SimulatedTake
{
    /** What can be hidden, in words. */
    public const HIDES = [
        'doubled' => 'A sound that comes twice', 'swapped' => 'Left and right exchanged', 'hum' => 'Hum', 'drift' => 'A clock that is fast',
        'any' => 'Any single fault',
    ];

    private const RATE = 16_000;

    private const BITS = 16;

    private const HUM_RMS = 0.002;

    private const MAINS_HZ = 50.0;

    private const FAST_PPM = 85.0;

    /** Faults that are heard before it is given up to find one that fits. */
    private const TRIES = 400;

    /**
     * @param  list<Listener>  $tracks
     * @param  list<string>  $what  keys of {@see HIDES}
     */
    public function __construct(
        private Hearings $plan,
        private string $situation,
        private array $tracks,
        private int $seed,
        private array $what,
    ) {
    }

    /**
     * @param  callable(float): void  $progress
     * @return list<string> what is hidden in it, in words
     *
     * @throws \RuntimeException where the file cannot be written
     */
    public function write(string $file, callable $progress): array
    {
        $tones = new TonePlan($this->plan->in($this->situation));
        $words = [];
        $real = $this->plan->in($this->situation);
        $fault = array_intersect(['doubled', 'any'], $this->what) === [] ? null : $this->fault($tones);
        if ($fault !== null) {
            $words[] = $fault->words;
            $real = (new SimulatedRoom($this->plan, $this->situation, [$fault]))->hearing();
        }
        $there = $this->arriving(new TonePlan($real));
        $stereo = $this->drawn($this->exchangeable($tones, new TonePlan($real)));
        $any = $this->drawn(array_keys($there));
        $rig = $this->plan->rig;
        $hum = $ppm = $swapped = [];
        if (in_array('swapped', $this->what, true) && $stereo !== null) {
            $swapped[] = $stereo;
            $words[] = "Left and right of {$rig->sources[$stereo]->name} exchanged";
        }
        if (in_array('hum', $this->what, true) && $this->tracks !== []) {
            $hum[$this->tracks[0]->id] = [self::HUM_RMS, self::MAINS_HZ];
            $words[] = "Hum on {$this->tracks[0]->name}";
        }
        if (in_array('drift', $this->what, true) && $any !== null) {
            $ppm[$any] = self::FAST_PPM;
            $words[] = "The clock that plays {$rig->sources[$any]->name} is fast";
        }
        $sound = new RoomSound($real, $tones, $this->seed, new SoundFaults($hum, $ppm, $swapped));
        $writer = new WavWriter(array_sum(array_map($tones->width(...), $this->tracks)), self::RATE, self::BITS);
        $handle = fopen($file, 'wb') ?: throw new \RuntimeException("The recording can't be written to {$file}");
        try {
            fwrite($handle, $writer->header($sound->seconds() * self::RATE));
            foreach ($sound->recorded($this->tracks, self::RATE) as $second => $channels) {
                fwrite($handle, $writer->block($channels === [] ? [[]] : $channels));
                $progress(($second + 1) / $sound->seconds());
            }
        } finally {
            fclose($handle);
        }

        return $words;
    }

    /** @return array<array-key, array<int, array<int, list<ToneArrival>>>> what comes to any of the tracks, by source */
    private function arriving(TonePlan $tones): array
    {
        $there = [];
        foreach ($this->tracks as $track) {
            $there += $tones->arrivals($tones->rig->listeners[$track->id]);
        }

        return $there;
    }

    /**
     * @param  array<array-key, array<int, array<int, list<ToneArrival>>>>  $there
     * @return list<array-key> sources whose two sides arrive, each on a channel of its own: an exchange of them is seen
     */
    private static function parted(array $there): array
    {
        return array_keys(array_filter($there, fn (array $parts) => count($parts) === 2 && isset($parts[0], $parts[1])
            && array_intersect_key($parts[0], $parts[1]) === []));
    }

    /** @return list<array-key> sources whose sides are apart as planned and as it is */
    private function exchangeable(TonePlan $planned, TonePlan $real): array
    {
        return array_values(array_intersect(self::parted($this->arriving($planned)), self::parted($this->arriving($real))));
    }

    /**
     * One of them, by the seed.
     *
     * @param  list<array-key>  $sources
     */
    private function drawn(array $sources): ?string
    {
        return $sources === [] ? null : (string) $sources[$this->seed % count($sources)];
    }

    /** A single fault that the tracks tell of, by the seed; one that doubles something, where that is wanted. */
    private function fault(TonePlan $tones): ?Fault
    {
        $faults = Fault::all($this->plan->rig);
        $noise = new Noise($this->seed);
        $order = $noise->white(count($faults));
        array_multisort($order, $faults);
        $planned = array_map($tones->arrivals(...), $this->tracks);
        foreach (array_slice($faults, 0, self::TRIES) as $fault) {
            try {
                $there = new TonePlan((new SimulatedRoom($this->plan, $this->situation, [$fault]))->hearing());
            } catch (InvalidRig) {
                continue;
            }
            if (in_array('swapped', $this->what, true) && $this->exchangeable($tones, $there) === []) {
                continue;
            }
            foreach ($this->tracks as $i => $track) {
                $now = $there->arrivals($there->rig->listeners[$track->id]);
                if ($now == $planned[$i]) {
                    continue;
                }
                if (! in_array('doubled', $this->what, true) || self::doubles($planned[$i], $now)) {
                    return $fault;
                }
            }
        }

        return null;
    }

    /**
     * @param  array<array-key, array<int, array<int, list<ToneArrival>>>>  $planned
     * @param  array<array-key, array<int, array<int, list<ToneArrival>>>>  $now
     */
    private static function doubles(array $planned, array $now): bool
    {
        foreach ($now as $source => $parts) {
            foreach ($parts as $part => $channels) {
                foreach ($channels as $channel => $arrivals) {
                    $was = $planned[$source][$part][$channel] ?? [];
                    if (count($was) === 1 && count($arrivals) > 1 && $arrivals[1]->db > $arrivals[0]->db - 15
                        && abs($arrivals[1]->seconds - $arrivals[0]->seconds) > 0.003) {
                        return true;
                    }
                }
            }
        }

        return false;
    }
}
