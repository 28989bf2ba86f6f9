<?php

declare(strict_types=1);

namespace HiddenWire\Core\Tones;

use HiddenWire\Core\Audio\Fft;

/**
 * When, how loud and with which polarity a chirp arrives, each time that it does. The sound is multiplied by the chirp turned back: what
 * arrives later becomes a lower tone, so that one transform shows all arrivals side by side. 3 kHz wide, it parts what is 0.9 ms apart.
 */
final readonly class ChirpReader
{
    /** Arrivals are looked for so long before and after the time that the tones tell, s. */
    public const BEFORE = 0.3;

    public const AFTER = 1.1;

    /** Samples that become one after the chirp is turned back. */
    private const BY = 8;

    private const SIZE = 16_384;

    /** An arrival against the noise of the transform, as a ratio of amplitudes, and against the loudest, dB. */
    private const FOUND = 7.0;

    private const LEAST_DB = 27.0;

    /** Arrivals closer than this are one, s. */
    private const APART = 0.0009;

    private const MOST = 4;

    private Fft $fft;

    public function __construct(private float $rate)
    {
        $this->fft = new Fft(self::SIZE);
    }

    /**
     * @param  list<float>  $samples  from {@see BEFORE} before to {@see AFTER} after the chirp, at least
     * @param  float  $first  when the first of them was recorded, s
     * @param  float  $at  about when the chirp begins, s
     * @return list<ToneArrival> the loudest first; seconds are those at which the chirp begins
     */
    public function read(array $samples, float $first, float $at, Signature $signature, float $ppm): array
    {
        $fast = 1 + $ppm / 1e6;
        $from = $at - self::BEFORE;
        $turned = $this->turnedBack($samples, $first, $at + (self::AFTER - self::BEFORE) / 2, $signature, $fast);
        $rate = $this->rate / self::BY;
        $middle = $at + (self::AFTER - self::BEFORE) / 2;
        // Hz that a second of delay becomes.
        $slope = $signature->slope() * $fast * $fast;
        $peaks = $this->peaks($this->transform($turned, null), $rate, $slope);
        $loudest = $peaks[0] ?? null;
        if ($loudest === null) {
            return [];
        }
        // Once more, with a window where the loudest is, so that it hides none beside it.
        $begin = (int) round(($middle + $loudest[0] - $first) * $rate);
        $spectrum = $this->transform($turned, [$begin, (int) round($signature->length / $fast * $rate)]);
        $arrivals = [];
        foreach ($this->peaks($spectrum, $rate, $slope) as [$late]) {
            $seconds = $middle + $late;
            if ($seconds < $from || $seconds > $at + self::AFTER) {
                continue;
            }
            [$amplitude, $polarity] = $this->weigh($samples, $first, $seconds, $signature, $fast);
            $arrivals[] = new ToneArrival($seconds, 20 * log10($amplitude / Signature::CHIRP + 1e-9), $polarity);
        }
        usort($arrivals, fn (ToneArrival $one, ToneArrival $other) => $other->db <=> $one->db);

        return array_values(array_filter($arrivals, fn (ToneArrival $one) => $one->db > $arrivals[0]->db - self::LEAST_DB));
    }

    /**
     * @param  list<float>  $samples
     * @return array{list<float>, list<float>} slower by {@see BY}, by overlapping triangles
     */
    private function turnedBack(array $samples, float $first, float $middle, Signature $signature, float $fast): array
    {
        $re = $im = [];
        $scale = self::BY ** 2;
        [$cos, $sin, $a, $b, $c, $d] = $this->turning($signature, ($first - $middle) * $fast, $fast);
        // Rising over one block and falling over the next.
        [$x, $y, $wasX, $wasY, $downX, $downY] = [0.0, 0.0, 0.0, 0.0, 0.0, 0.0];
        $up = 1;
        foreach ($samples as $sample) {
            $p = $sample * $cos;
            $q = -$sample * $sin;
            $x += $up * $p;
            $y += $up * $q;
            $downX += (self::BY - $up) * $p;
            $downY += (self::BY - $up) * $q;
            if (++$up > self::BY) {
                $re[] = ($wasX + $downX) / $scale;
                $im[] = ($wasY + $downY) / $scale;
                $wasX = $x;
                $wasY = $y;
                $x = 0.0;
                $y = 0.0;
                $downX = 0.0;
                $downY = 0.0;
                $up = 1;
            }
            $was = $cos;
            $cos = $was * $a - $sin * $b;
            $sin = $sin * $a + $was * $b;
            $was = $a;
            $a = $was * $c - $b * $d;
            $b = $b * $c + $was * $d;
        }
        // The first has no block before it.
        array_shift($re);
        array_shift($im);

        return [$re, $im];
    }

    /**
     * @param  array{list<float>, list<float>}  $turned
     * @param  array{int, int}|null  $window  where it begins, and how long it is
     * @return list<float> amplitudes
     */
    private function transform(array $turned, ?array $window): array
    {
        [$re, $im] = [array_fill(0, self::SIZE, 0.0), array_fill(0, self::SIZE, 0.0)];
        $count = min(self::SIZE, count($turned[0]));
        [$begin, $length] = $window ?? [0, $count];
        for ($i = max(0, $begin), $to = min($count, $begin + $length); $i < $to; $i++) {
            $weight = $window === null ? 1.0 : 0.5 - 0.5 * cos(2 * M_PI * ($i - $begin + 0.5) / $length);
            $re[$i] = $turned[0][$i] * $weight;
            $im[$i] = $turned[1][$i] * $weight;
        }
        $this->fft->forward($re, $im);

        return array_map(hypot(...), $re, $im);
    }

    /**
     * @param  list<float>  $spectrum
     * @return list<array{float, float}> seconds after the middle, and amplitude, of those that stand out, the highest first
     */
    private function peaks(array $spectrum, float $rate, float $slope): array
    {
        $sorted = $spectrum;
        sort($sorted);
        $noise = $sorted[count($sorted) >> 1];
        $half = (self::AFTER + self::BEFORE) / 2;
        $most = min(self::SIZE / 2 - 2, (int) ceil($half * abs($slope) / $rate * self::SIZE));
        $peaks = [];
        for ($k = -$most; $k <= $most; $k++) {
            $here = $spectrum[$k & (self::SIZE - 1)];
            $before = $spectrum[($k - 1) & (self::SIZE - 1)];
            $after = $spectrum[($k + 1) & (self::SIZE - 1)];
            if ($here > self::FOUND * $noise && $here >= $before && $here > $after) {
                [$a, $b, $c] = [log($before + 1e-30), log($here), log($after + 1e-30)];
                $bend = $a - 2 * $b + $c;
                $exact = $k + ($bend < 0 ? ($a - $c) / (2 * $bend) : 0.0);
                $hertz = $exact * $rate / self::SIZE;
                // What the triangles took away.
                $x = M_PI * $hertz / $this->rate;
                $left = abs($x) < 1e-9 ? 1.0 : (sin(self::BY * $x) / (self::BY * sin($x))) ** 2;
                $peaks[] = [-$hertz / $slope, $here / $left];
            }
        }
        usort($peaks, fn (array $one, array $other) => $other[1] <=> $one[1]);
        $kept = [];
        foreach ($peaks as $peak) {
            $isOwn = array_filter($kept, fn (array $one) => abs($one[0] - $peak[0]) < self::APART) === [];
            if ($isOwn && count($kept) < self::MOST && $peak[1] > $peaks[0][1] * 10 ** (-self::LEAST_DB / 20)) {
                $kept[] = $peak;
            }
        }

        return $kept;
    }

    /**
     * @param  list<float>  $samples
     * @return array{float, int} amplitude and polarity of a chirp that begins then
     */
    private function weigh(array $samples, float $first, float $seconds, Signature $signature, float $fast): array
    {
        $length = $signature->length / $fast;
        $from = max(0, (int) ceil(($seconds - $first) * $this->rate));
        $to = min(count($samples), (int) floor(($seconds + $length - $first) * $this->rate));
        $re = $im = $weights = 0.0;
        $begin = $first + $from / $this->rate - $seconds;
        [$cos, $sin, $a, $b, $c, $d] = $this->turning($signature, $begin * $fast, $fast);
        $step = 2 * M_PI / ($length * $this->rate);
        [$p, $q, $r, $s] = [cos(2 * M_PI * $begin / $length), sin(2 * M_PI * $begin / $length), cos($step), sin($step)];
        for ($i = $from; $i < $to; $i++) {
            $weight = 0.5 - 0.5 * $p;
            $re += $weight * $samples[$i] * $cos;
            $im -= $weight * $samples[$i] * $sin;
            $weights += $weight;
            $was = $cos;
            $cos = $was * $a - $sin * $b;
            $sin = $sin * $a + $was * $b;
            $was = $a;
            $a = $was * $c - $b * $d;
            $b = $b * $c + $was * $d;
            $was = $p;
            $p = $was * $r - $q * $s;
            $q = $q * $r + $was * $s;
        }
        $size = hypot($re, $im);

        return [$weights > 0.0 ? 2 * $size / $weights : 0.0, abs($re) < 0.5 * $size ? 0 : ($re > 0 ? 1 : -1)];
    }

    /**
     * The chirp as a number that turns, by numbers that turn themselves: a multiplication is quicker than a sine.
     *
     * @param  float  $at  s after the chirp begins
     * @return array{float, float, float, float, float, float} where it is, by what it turns with the next sample, and by what that turns
     */
    private function turning(Signature $signature, float $at, float $fast): array
    {
        $step = $fast / $this->rate;
        $now = $signature->phase($at);
        $next = $signature->phase($at + $step);
        $bend = 2 * M_PI * $signature->slope() * $step * $step;

        return [cos($now), sin($now), cos($next - $now), sin($next - $now), cos($bend), sin($bend)];
    }
}
