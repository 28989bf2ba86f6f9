<?php

declare(strict_types=1);

namespace HiddenWire\Core\Tones;

use HiddenWire\Core\Audio\Fft;
use HiddenWire\Core\Audio\FilterBank;

/**
 * Which signatures are in a stretch of one channel, and how much hum. A tone is a line in the spectrum of its band over the whole minute;
 * those of one signature have to lie off by the same parts per million, so that no other sound is taken for one.
 */
final readonly class ToneSearch
{
    /** Clocks are not further apart. */
    private const MOST_PPM = 250.0;

    /**
     * The three weaker of four lines together, as ratios to the noise. Four lines of pure noise are that strong in one of 10^12 places;
     * some 10^5 are looked at a minute.
     */
    public const FOUND = 26.0;

    private const ENOUGH = 1e6;

    /** Anything further below the strongest signature of a channel is its residual behind the filters. */
    private const LEAST_DB = 70.0;

    /** Amplitude against that of most of the time, from which on it is limited. */
    private const LIMIT = 2.5;

    /** So near a line is the same one, Hz; and so far over the noise, as a ratio of powers, none is noise. */
    private const OWN_HZ = 0.35;

    private const LINE = 22.0;

    /** A line of hum against the noise beside it, as a ratio of powers. */
    private const HUM = 30.0;

    /** Mains are as exact, as a part. */
    private const MAINS_OFF = 0.006;

    /** An edge shows where what is inside is so much stronger. */
    private const EDGE = 1.6;

    private int $count;

    /** @var list<list<float>> the real part of each band over the frames, and the imaginary */
    private array $re;

    /** @var list<list<float>> */
    private array $im;

    private Fft $fft;

    /**
     * @param  non-empty-list<string>  $frames  each the bands that are kept, packed as floats
     * @param  int  $first  the number of the first
     */
    public function __construct(private ToneBands $bands, array $frames, private int $first)
    {
        $this->count = count($frames);
        $re = $im = array_fill(0, count($bands->bands), []);
        foreach ($frames as $frame) {
            $place = 0;
            $isReal = true;
            foreach ((array) unpack('g*', $frame) as $value) {
                if ($isReal) {
                    $re[$place][] = $value;
                } else {
                    $im[$place++][] = $value;
                }
                $isReal = ! $isReal;
            }
        }
        [$this->re, $this->im] = [$re, $im];
        for ($size = 64; $size < 2 * $this->count; $size *= 2) {
        }
        $this->fft = new Fft($size);
    }

    /** @return list<FoundSignature> without arrivals, the loudest first */
    public function found(): array
    {
        $found = [];
        foreach ($this->bands->signatures as $signature) {
            $one = $this->find($signature);
            if ($one !== null) {
                $found[] = $one;
            }
        }
        usort($found, fn (FoundSignature $one, FoundSignature $other) => $other->db <=> $one->db);

        return array_values(array_filter($found, fn (FoundSignature $one) => $one->db > $found[0]->db - self::LEAST_DB));
    }

    /**
     * When the tones of a signature begin, from the power in its bands: inside it is stronger than outside.
     *
     * @return float|null s; null where neither their beginning nor their end is here
     */
    private function begins(Signature $signature): ?float
    {
        $sums = [0.0];
        foreach ($this->powers($signature) as $power) {
            $sums[] = end($sums) + $power;
        }
        $count = $this->count;
        $length = (int) round((Signature::SECONDS - 2 * Signature::MARGIN) * $this->bands->width);
        $best = [INF, null, 0.0];
        // A share of the whole is added to each mean: silence that is perfect tells no more than silence.
        $least = 1e-6 * $sums[$count] / $count + 1e-30;
        for ($from = 4 - $length; $from < $count - 4; $from++) {
            $a = max(0, $from);
            $b = min($count, $from + $length);
            $out = $count - ($b - $a);
            if ($out < 1 || $b - $a < 4) {
                continue;
            }
            $in = ($sums[$b] - $sums[$a]) / ($b - $a);
            $beside = ($sums[$count] - $sums[$b] + $sums[$a]) / $out;
            $cost = ($b - $a) * log($in + $least) + $out * log($beside + $least);
            if ($cost < $best[0] && $in > self::EDGE * $beside) {
                $best = [$cost, $from, $in / ($beside + $least)];
            }
        }

        return $best[1] === null ? null : $this->bands->seconds($this->first + $best[1] - 0.5) - Signature::MARGIN;
    }

    public function hum(): ?Hum
    {
        $hums = [];
        foreach ([50, 60] as $mains) {
            $lines = [];
            for ($i = 1; $i <= ToneBands::HARMONICS; $i++) {
                $db = $this->humLine($mains * $i);
                if ($db !== null) {
                    $lines[$mains * $i] = $db;
                }
            }
            // A single harmonic may be a note; every tenth line of one mains is one of the other.
            if (isset($lines[$mains]) || count($lines) > 2) {
                $hums[] = new Hum($mains, 10 * log10(array_sum(array_map(fn (float $db) => 10 ** ($db / 10), $lines))), $lines);
            }
        }
        usort($hums, fn (Hum $one, Hum $other) => $other->db <=> $one->db);

        return $hums[0] ?? null;
    }

    private function find(Signature $signature): ?FoundSignature
    {
        $size = $this->fft->size;
        $width = $this->bands->width;
        $spectra = $noise = [];
        foreach ($signature->tones as $i => $hertz) {
            $spectra[$i] = $this->spectrum($this->limited($hertz, 0, $this->count));
            $noise[$i] = self::floor($spectra[$i]);
        }
        $places = array_map(fn (float $hertz) => $hertz / $width * $size, $signature->tones);
        $step = 1e6 * $width / $size / $signature->tones[Signature::TONES - 1];
        $best = [0.0, 0.0];
        for ($ppm = -self::MOST_PPM; $ppm <= self::MOST_PPM; $ppm += $step) {
            $score = $most = 0.0;
            foreach ($places as $i => $place) {
                $at = (int) ($place * (1 + $ppm / 1e6) + 0.5) % $size;
                $ratio = $spectra[$i][$at] / $noise[$i];
                $ratio = $ratio < self::ENOUGH ? $ratio : self::ENOUGH;
                $score += $ratio;
                $most = $ratio > $most ? $ratio : $most;
            }
            $score -= $most;
            if ($score > $best[0]) {
                $best = [$score, $ppm];
            }
        }
        if ($best[0] < self::FOUND || $this->isAmongLines($signature, $best[1], $spectra, $noise)) {
            return null;
        }
        $ppm = $this->exact($signature, $best[1], $step, $noise);
        $begins = $this->begins($signature);
        $length = Signature::SECONDS - 2 * Signature::MARGIN;
        $here = $this->bands->seconds($this->count) - $this->bands->seconds(0);
        [$from, $to] = $begins === null ? [0, $this->count] : $this->inside($begins);
        // Where neither edge is to be seen, as much of the tones is taken to be here as there is room for.
        $share = $signature->share() * ($begins === null ? min(1.0, $length / $here) : 1.0);
        $power = 0.0;
        foreach ($signature->tones as $hertz) {
            $gain = $this->bands->gain($hertz * (1 + $ppm / 1e6)) * $share;
            $power += $this->line($this->limited($hertz, $from, $to), $hertz * (1 + $ppm / 1e6)) / $gain ** 2 / Signature::TONES;
        }

        return new FoundSignature($signature->number, $best[0], 10 * log10($power * 4 / Signature::TONE ** 2), $ppm, $begins);
    }

    /**
     * Whether other lines as strong lie in the bands of two of the tones: a sound that repeats itself exactly has a line at every multiple.
     *
     * @param  array<int, list<float>>  $spectra  of each tone
     * @param  array<int, float>  $noise
     */
    private function isAmongLines(Signature $signature, float $ppm, array $spectra, array $noise): bool
    {
        $size = $this->fft->size;
        $own = (int) ceil(self::OWN_HZ / $this->bands->width * $size);
        $among = 0;
        foreach ($signature->inBursts ? [] : $signature->tones as $i => $hertz) {
            $at = (int) ($hertz / $this->bands->width * $size * (1 + $ppm / 1e6) + 0.5);
            $other = 0.0;
            for ($k = $at + $own; $k <= $at + $size - $own; $k++) {
                $power = $spectra[$i][$k % $size];
                $other = $power > $other ? $power : $other;
            }
            $among += $other > self::LINE * $noise[$i] && 4 * $other > $spectra[$i][$at % $size] ? 1 : 0;
        }

        return $among > 1;
    }

    /** @return array{int, int} the frames that lie wholly inside the tones of a signature that begins there */
    private function inside(float $begins): array
    {
        $frame = fn (float $seconds): int => (int) round($seconds * $this->bands->width) - $this->first;
        $from = max(0, $frame($begins + Signature::MARGIN) + 1);
        $to = min($this->count, $frame($begins + Signature::SECONDS - Signature::MARGIN) - FilterBank::FOLDS - 1);

        return $to - $from < FilterBank::FOLDS ? [0, $this->count] : [$from, $to];
    }

    /**
     * @param  array<int, float>  $noise
     * @return float ppm where the lines are strongest, by parabolas through three places ever closer to each other
     */
    private function exact(Signature $signature, float $ppm, float $step, array $noise): float
    {
        $bands = array_map(fn (float $hertz) => $this->limited($hertz, 0, $this->count), $signature->tones);
        $at = function (float $ppm) use ($signature, $noise, $bands): float {
            $power = 0.0;
            foreach ($signature->tones as $i => $hertz) {
                $power += $this->line($bands[$i], $hertz * (1 + $ppm / 1e6)) / $noise[$i];
            }

            return $power;
        };
        foreach ([1.0, 0.3, 0.1] as $part) {
            [$low, $middle, $high] = [$at($ppm - $part * $step), $at($ppm), $at($ppm + $part * $step)];
            $bend = $low - 2 * $middle + $high;
            $ppm += $bend < 0 ? max(-1.0, min(1.0, ($low - $high) / (2 * $bend))) * $part * $step : 0.0;
        }

        return $ppm;
    }

    /**
     * The power of a line at a frequency.
     *
     * @param  array{list<float>, list<float>}  $band
     */
    private function line(array $band, float $hertz): float
    {
        $turn = -2 * M_PI * $hertz / $this->bands->width;
        [$a, $b] = [cos($turn), sin($turn)];
        [$cos, $sin, $x, $y] = [1.0, 0.0, 0.0, 0.0];
        [$re, $im] = $band;
        $count = count($re);
        for ($i = 0; $i < $count; $i++) {
            $x += $re[$i] * $cos - $im[$i] * $sin;
            $y += $re[$i] * $sin + $im[$i] * $cos;
            $was = $cos;
            $cos = $was * $a - $sin * $b;
            $sin = $sin * $a + $was * $b;
        }

        return ($x * $x + $y * $y) / ($count * $count);
    }

    /**
     * Some frames of the band of a frequency. What is far louder than most of the time is made softer: a chirp that crosses the band must
     * not look like a line.
     *
     * @return array{list<float>, list<float>} real and imaginary
     */
    private function limited(float $hertz, int $from, int $to): array
    {
        $place = $this->bands->place($hertz);
        [$re, $im] = [array_slice($this->re[$place], $from, $to - $from), array_slice($this->im[$place], $from, $to - $from)];
        $sizes = $sorted = array_map(hypot(...), $re, $im);
        sort($sorted);
        $most = self::LIMIT * ($sorted[count($sorted) >> 1] ?? 0.0);
        $softer = fn (float $x, float $size): float => $size > $most ? $x * $most / $size : $x;

        return [array_map($softer, $re, $sizes), array_map($softer, $im, $sizes)];
    }

    /** @return float|null dB of a line of hum about a frequency; null where none stands out */
    private function humLine(int $hertz): ?float
    {
        $band = $this->limited($hertz, 0, $this->count);
        $spectrum = $this->spectrum($band);
        $size = $this->fft->size;
        $width = $this->bands->width;
        $best = $strongest = 0.0;
        for ($off = -self::MAINS_OFF; $off <= self::MAINS_OFF; $off += $width / $size / $hertz / 2) {
            $power = $spectrum[(int) round($hertz * (1 + $off) / $width * $size) % $size];
            if ($power > $strongest) {
                [$strongest, $best] = [$power, $hertz * (1 + $off)];
            }
        }
        if ($strongest < self::HUM * self::floor($spectrum)) {
            return null;
        }

        return 10 * log10($this->line($band, $best) * 4 / $this->bands->gain($best) ** 2);
    }

    /**
     * @param  array{list<float>, list<float>}  $band
     * @return list<float> powers of its spectrum over the frames, with zeros behind them
     */
    private function spectrum(array $band): array
    {
        [$re, $im] = $band;
        for ($i = $this->count; $i < $this->fft->size; $i++) {
            $re[] = 0.0;
            $im[] = 0.0;
        }
        $this->fft->forward($re, $im);
        $powers = [];
        foreach ($re as $i => $x) {
            $powers[] = $x * $x + $im[$i] * $im[$i];
        }

        return $powers;
    }

    /** @return array<int, float> of each frame, in the bands of a signature */
    private function powers(Signature $signature): array
    {
        $powers = array_fill(0, $this->count, 0.0);
        foreach ($signature->tones as $hertz) {
            $place = $this->bands->place($hertz);
            foreach ($this->re[$place] as $i => $re) {
                $powers[$i] += $re * $re + $this->im[$place][$i] ** 2;
            }
        }

        return $powers;
    }

    /**
     * The mean of noise from the median of its powers, which lines do not move: that of an exponential distribution is ln 2 of its mean.
     *
     * @param  list<float>  $powers
     */
    private static function floor(array $powers): float
    {
        sort($powers);

        return $powers[count($powers) >> 1] / M_LN2 + 1e-20;
    }
}
