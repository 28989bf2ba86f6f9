<?php

declare(strict_types=1);

namespace HiddenWire\Core\Audio;

/**
 * Two channels at once in narrow bands that do not leak into each other: blocks of four times the size of a transform, weighted, folded to
 * one, transformed (a polyphase filter bank). Each frame is one block later by the size of the transform.
 */
final class FilterBank
{
    public const FOLDS = 4;

    private readonly Fft $fft;

    /** @var list<float> of all folds */
    private readonly array $window;

    /** @var array{list<float>, list<float>} samples that are still needed */
    private array $kept = [[], []];

    public function __construct(public readonly int $size)
    {
        $this->fft = new Fft($size);
        $window = [];
        $length = self::FOLDS * $size;
        for ($i = 0; $i < $length; $i++) {
            $x = ($i + 0.5 - $length / 2) / $size;
            $sinc = $x === 0.0 ? 1.0 : sin(M_PI * $x) / (M_PI * $x);
            $phase = 2 * M_PI * ($i + 0.5) / $length;
            $window[] = $sinc * (0.42 - 0.5 * cos($phase) + 0.08 * cos(2 * $phase));
        }
        $sum = array_sum($window);
        $this->window = array_map(fn (float $one) => $one / $sum, $window);
    }

    /**
     * What the bank makes of a tone beside the middle of a band: how much less than in its middle.
     *
     * @param  float  $bands  how far beside
     */
    public function gainBeside(float $bands): float
    {
        $re = 0.0;
        $middle = (self::FOLDS * $this->size - 1) / 2;
        foreach ($this->window as $i => $weight) {
            $re += $weight * cos(2 * M_PI * $bands * ($i - $middle) / $this->size);
        }

        return $re;
    }

    /**
     * @param  list<float>  $one  samples of the first channel
     * @param  list<float>  $other  of the second, as many
     * @return list<array{array<int, float>, array<int, float>}> frames that are complete, both channels in one transform: {@see parted()}
     */
    public function take(array $one, array $other): array
    {
        [$a, $b] = [array_merge($this->kept[0], $one), array_merge($this->kept[1], $other)];
        $size = $this->size;
        $window = $this->window;
        $frames = [];
        $at = 0;
        for ($last = count($a) - self::FOLDS * $size; $at <= $last; $at += $size) {
            $re = $im = [];
            for ($i = 0, $j = $at; $i < $size; $i++, $j++) {
                $w0 = $window[$i];
                $w1 = $window[$i + $size];
                $w2 = $window[$i + 2 * $size];
                $w3 = $window[$i + 3 * $size];
                $re[] = $w0 * $a[$j] + $w1 * $a[$j + $size] + $w2 * $a[$j + 2 * $size] + $w3 * $a[$j + 3 * $size];
                $im[] = $w0 * $b[$j] + $w1 * $b[$j + $size] + $w2 * $b[$j + 2 * $size] + $w3 * $b[$j + 3 * $size];
            }
            $this->fft->forward($re, $im);
            $frames[] = [$re, $im];
        }
        $this->kept = [array_slice($a, $at), array_slice($b, $at)];

        return $frames;
    }

    /**
     * Some bands of a frame, of each channel: re, im, re, im …, of a tone of amplitude 1 in the middle of a band half of that.
     *
     * @param  array{array<int, float>, array<int, float>}  $frame
     * @param  list<int>  $bands
     * @return array{list<float>, list<float>}
     */
    public function parted(array $frame, array $bands): array
    {
        [$re, $im] = $frame;
        $size = $this->size;
        $one = $other = [];
        foreach ($bands as $band) {
            $mirror = $size - $band;
            $one[] = ($re[$band] + $re[$mirror]) / 2;
            $one[] = ($im[$band] - $im[$mirror]) / 2;
            $other[] = ($im[$band] + $im[$mirror]) / 2;
            $other[] = ($re[$mirror] - $re[$band]) / 2;
        }

        return [$one, $other];
    }
}
