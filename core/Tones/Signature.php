<?php

declare(strict_types=1);

namespace HiddenWire\Core\Tones;

/**
 * What one channel of a sound plays in a tone test, so that it is known again wherever it arrives: four tones that no other has, for 58 of
 * 60 s, and two chirps of a length of its own. Tones tell what arrives, how loud and with which clock, chirps when and with which polarity.
 * All between 3 and 6 kHz: speech and hum are weakest against it there, and calls and lossy codecs let it through.
 */
final readonly class Signature
{
    /** How many there are; all can play at once and be distinguished. */
    public const COUNT = 48;

    public const SECONDS = 60.0;

    /** The tones begin and end so far from the ends, s. */
    public const MARGIN = 1.0;

    public const TONES = 4;

    /** Hz between the tones of neighbours is twice this; all are odd multiples, which no harmonic of 50, 60 or 1000 Hz is. */
    public const GRID_HZ = 7.8125;

    private const FIRST = 385;

    /** Of each tone, and of a chirp; 1 is full scale. Together never above a quarter, which is safe for ears and loudspeakers. */
    public const TONE = 0.03;

    public const CHIRP = 0.06;

    public const LOW_HZ = 3_000.0;

    public const HIGH_HZ = 6_000.0;

    private const SLOTS = 7;

    private const FIRST_SLOT = 2.0;

    private const SLOT_SECONDS = 4.0;

    private const SHORTEST = 3.0;

    private const LONGER_BY = 0.12;

    /** What sounds in bursts passes what takes steady sounds for noise: on and off, s. */
    public const BURST = 0.4;

    public const PAUSE = 0.2;

    /** How long they take to fade in and out, s. */
    private const TONE_FADE = 0.05;

    private const BURST_FADE = 0.005;

    private const CHIRP_FADE = 0.02;

    public bool $rises;

    /** Of a chirp, s. */
    public float $length;

    /** @var list<float> Hz */
    public array $tones;

    /** @var array{float, float} when the chirps begin, s */
    public array $chirps;

    /**
     * @param  int  $number  from 0
     * @param  bool  $inBursts  tones are interrupted, for what takes steady sounds away
     *
     * @throws \LogicException of a number that there is not
     */
    public function __construct(public int $number, public bool $inBursts = false)
    {
        if ($number < 0 || $number >= self::COUNT) {
            throw new \LogicException("There is no signature {$number}");
        }
        $this->rises = $number % 2 === 0;
        $row = intdiv($number, self::SLOTS);
        $this->length = self::SHORTEST + self::LONGER_BY * $row;
        $slot = fn (int $which): float => self::FIRST_SLOT + self::SLOT_SECONDS * $which;
        $this->chirps = [$slot($number % self::SLOTS), $slot(self::SLOTS + ($number + $row) % self::SLOTS)];
        $tones = [];
        for ($i = 0; $i < self::TONES; $i++) {
            $tones[] = (self::FIRST + 2 * ($number + self::COUNT * $i)) * self::GRID_HZ;
        }
        $this->tones = $tones;
    }

    /** How much of the time its tones sound. */
    public function share(): float
    {
        return $this->inBursts ? self::BURST / (self::BURST + self::PAUSE) : 1.0;
    }

    /** Hz a second. */
    public function slope(): float
    {
        return ($this->rises ? 1 : -1) * (self::HIGH_HZ - self::LOW_HZ) / $this->length;
    }

    /** The phase of a chirp so long after it began, in radians; goes on before and after it as it would. */
    public function phase(float $seconds): float
    {
        return 2 * M_PI * (($this->rises ? self::LOW_HZ : self::HIGH_HZ) * $seconds + $this->slope() * $seconds * $seconds / 2);
    }

    /**
     * Adds it to samples as it arrives.
     *
     * @param  array<int, float>  $samples
     * @param  int  $at  the number of the first of them
     * @param  float  $rate  samples a second
     * @param  float  $start  s; when its 60 s begin, by the clock that counts the samples
     * @param  float  $by  signed amplitude, 1 as it is played
     * @param  float  $ppm  by how much the clock that plays it is fast
     */
    public function addTo(array &$samples, int $at, float $rate, float $start, float $by = 1.0, float $ppm = 0.0): void
    {
        $fast = 1 + $ppm / 1e6;
        $step = $fast / $rate;
        $first = ($at / $rate - $start) * $fast;
        $count = count($samples);
        $last = $first + $count * $step;
        $this->addTones($samples, $first, $step, $by * self::TONE);
        foreach ($this->chirps as $begins) {
            if ($last < $begins || $first > $begins + $this->length) {
                continue;
            }
            $from = max(0, (int) ceil(($begins - $first) / $step));
            $to = min($count, (int) ceil(($begins + $this->length - $first) / $step));
            [$low, $bend] = [2 * M_PI * ($this->rises ? self::LOW_HZ : self::HIGH_HZ), M_PI * $this->slope()];
            for ($i = $from; $i < $to; $i++) {
                $t = $first + $i * $step - $begins;
                $left = $this->length - $t;
                $edge = ($t < $left ? $t : $left) / self::CHIRP_FADE;
                $samples[$i] += $by * self::CHIRP * ($edge < 1.0 ? $edge : 1.0) * cos($low * $t + $bend * $t * $t);
            }
        }
    }

    /**
     * @param  array<int, float>  $samples
     * @param  float  $first  s of its 60 that are over at the first sample
     * @param  float  $step  s from sample to sample
     */
    private function addTones(array &$samples, float $first, float $step, float $amplitude): void
    {
        $from = max(0, (int) ceil((self::MARGIN - $first) / $step));
        $to = min(count($samples), (int) ceil((self::SECONDS - self::MARGIN - $first) / $step));
        $sum = $from < $to ? array_fill($from, $to - $from, 0.0) : [];
        foreach ($from < $to ? $this->tones : [] as $hertz) {
            $angle = 2 * M_PI * $hertz * ($first + $from * $step);
            $turn = 2 * M_PI * $hertz * $step;
            [$sin, $cos, $a, $b] = [sin($angle), cos($angle), cos($turn), sin($turn)];
            for ($i = $from; $i < $to; $i++) {
                $sum[$i] += $sin;
                $was = $sin;
                $sin = $was * $a + $cos * $b;
                $cos = $cos * $a - $was * $b;
            }
        }
        $isPlain = ! $this->inBursts && $from === 0 && $to === count($samples);
        for ($i = $from; $i < $to; $i++) {
            $samples[$i] += $amplitude * $sum[$i] * ($isPlain ? 1.0 : $this->openAt($first + $i * $step - self::MARGIN));
        }
    }

    /** How far the tones are faded in, so long after they begin. */
    private function openAt(float $seconds): float
    {
        $edge = min($seconds, self::SECONDS - 2 * self::MARGIN - $seconds) / self::TONE_FADE;
        $in = fmod($seconds, self::BURST + self::PAUSE);
        if ($this->inBursts) {
            $edge = min($edge, $in > self::BURST ? 0.0 : min($in, self::BURST - $in) / self::BURST_FADE);
        }

        return max(0.0, min(1.0, $edge));
    }

    /** @return \Generator<array<int, float>> its 60 s, in blocks */
    public function sound(int $rate): \Generator
    {
        $all = (int) (self::SECONDS * $rate);
        for ($at = 0; $at < $all; $at += $rate) {
            $samples = array_fill(0, min($rate, $all - $at), 0.0);
            $this->addTo($samples, $at, $rate, 0.0);
            yield $samples;
        }
    }
}
