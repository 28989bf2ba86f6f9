<?php

declare(strict_types=1);

namespace HiddenWire\Core\Audio;

/** The sound of a WAV file as blocks of samples, from blocks of bytes: constant memory, whatever the length. */
final readonly class WavReader
{
    /** Frames a block. */
    public const BLOCK = 4_800;

    public function __construct(public WavFormat $format)
    {
    }

    /**
     * @param  iterable<string>  $bytes  of the sound itself, cut anywhere
     * @param  int|null  $frames  the most that are read
     * @return \Generator<int, list<list<float>>> for each channel so many samples, 1 is full scale; by the number of their first
     *     frame
     *
     * @throws InvalidSound where a sample is no number
     */
    public function blocks(iterable $bytes, ?int $frames = null): \Generator
    {
        $size = self::BLOCK * $this->format->bytesAFrame();
        $left = ($frames ?? $this->format->frames ?? PHP_INT_MAX >> 9) * $this->format->bytesAFrame();
        $kept = '';
        $at = 0;
        foreach ($bytes as $more) {
            $kept .= strlen($more) > $left ? substr($more, 0, $left) : $more;
            $left -= min($left, strlen($more));
            $from = 0;
            for (; strlen($kept) - $from >= $size; $from += $size) {
                yield $at => $this->decode(substr($kept, $from, $size));
                $at += self::BLOCK;
            }
            $kept = $from === 0 ? $kept : substr($kept, $from);
            if ($left === 0) {
                break;
            }
        }
        $whole = strlen($kept) - strlen($kept) % $this->format->bytesAFrame();
        if ($whole > 0) {
            yield $at => $this->decode(substr($kept, 0, $whole));
        }
    }

    /**
     * @return list<list<float>>
     *
     * @throws InvalidSound
     */
    private function decode(string $bytes): array
    {
        $format = $this->format;
        /** @var array<int, float> $samples counted from 1; whole numbers where it is PCM */
        $samples = match (true) {
            $format->isFloat && $format->bits === 32 => unpack('g*', $bytes),
            $format->isFloat => unpack('e*', $bytes),
            $format->bits === 16 => unpack('s*', $bytes),
            // A zero byte before each sample makes it one of 32 bits, with its sign where it belongs.
            $format->bits === 24 => unpack('l*', substr("\0".chunk_split($bytes, 3, "\0"), 0, -1)),
            default => unpack('l*', $bytes),
        };
        $scale = $format->isFloat ? 1.0 : ($format->bits === 16 ? 1 / 32_768 : 1 / 2_147_483_648);
        $channels = [];
        $count = count($samples);
        $width = $format->channels;
        for ($channel = 1; $channel <= $width; $channel++) {
            $of = [];
            for ($i = $channel; $i <= $count; $i += $width) {
                $of[] = $samples[$i] * $scale;
            }
            $channels[] = $of;
        }
        if ($format->isFloat && ! is_finite(array_sum(array_map(array_sum(...), $channels)))) {
            throw new InvalidSound('It has samples that are no numbers (infinite, or not a number). Export it as 24-bit WAV.');
        }

        return $channels;
    }
}
