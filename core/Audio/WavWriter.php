<?php

declare(strict_types=1);

namespace HiddenWire\Core\Audio;

/** Sound as a WAV file. */
final readonly class WavWriter
{
    private const HEADER_BYTES = 36;

    private const MOST_BYTES = 0xFFFFFFFF - self::HEADER_BYTES;

    /** @param  int  $bits  16 or 24 for PCM, 32 for floats */
    public function __construct(private int $channels, private int $rate, private int $bits = 16)
    {
    }

    /** @throws \LogicException of a file of over 4 GB */
    public function header(int $frames): string
    {
        $width = $this->channels * intdiv($this->bits, 8);
        $bytes = $frames * $width;
        if ($bytes > self::MOST_BYTES) {
            throw new \LogicException("{$frames} frames are too many for a WAV file");
        }

        return 'RIFF'.pack('V', self::HEADER_BYTES + $bytes).'WAVEfmt '
            .pack('VvvVVvv', 16, $this->bits === 32 ? 3 : 1, $this->channels, $this->rate, $this->rate * $width, $width, $this->bits)
            .'data'.pack('V', $bytes);
    }

    /** @param  non-empty-list<array<int, float>>  $channels  equally long, 1 is full scale; what is beyond it is cut off in PCM */
    public function block(array $channels): string
    {
        $samples = [];
        $count = count($channels[0]);
        [$scale, $most] = match ($this->bits) {
            16 => [32_768, 32_767],
            24 => [8_388_608, 8_388_607],
            default => [1, 0],
        };
        for ($i = 0; $i < $count; $i++) {
            foreach ($channels as $channel) {
                $samples[] = $most === 0 ? $channel[$i] : max(-$scale, min($most, (int) round($channel[$i] * $scale)));
            }
        }

        return match ($this->bits) {
            16 => pack('s*', ...$samples),
            24 => self::threeOfFour(pack('l*', ...$samples)),
            default => pack('g*', ...$samples),
        };
    }

    /** The highest byte of each four is only the sign once more. */
    private static function threeOfFour(string $bytes): string
    {
        return (string) preg_replace('/(...)./s', '$1', $bytes);
    }
}
