<?php

declare(strict_types=1);

namespace Tests\Support;

use HiddenWire\Core\Audio\Recording;
use HiddenWire\Core\Audio\WavFormat;
use HiddenWire\Core\Audio\WavWriter;

/** A WAV file that is a string. */
final readonly class SoundInMemory implements Recording
{
    private WavFormat $format;

    /** @param  positive-int  $piece  bytes that are given at a time */
    public function __construct(public string $bytes, private int $piece = 65_536)
    {
        $this->format = WavFormat::read(substr($bytes, 0, WavFormat::HEAD));
    }

    /**
     * @param  int  $channels  how many
     * @param  callable(list<list<float>>, int): list<list<float>>  $fill  makes of a second of silence what is heard there, from its first frame
     */
    public static function made(int $channels, int $rate, int $seconds, int $bits, callable $fill): self
    {
        $writer = new WavWriter($channels, $rate, $bits);
        $bytes = $writer->header($seconds * $rate);
        for ($second = 0; $second < $seconds; $second++) {
            $bytes .= $writer->block($fill(array_fill(0, $channels, array_fill(0, $rate, 0.0)), $second * $rate));
        }

        return new self($bytes);
    }

    public function format(): WavFormat
    {
        return $this->format;
    }

    public function frames(): int
    {
        return intdiv(strlen($this->bytes) - $this->format->begin, $this->format->bytesAFrame());
    }

    public function bytes(int $from, int $frames): iterable
    {
        $width = $this->format->bytesAFrame();
        $end = min(strlen($this->bytes), $this->format->begin + ($from + $frames) * $width);
        for ($at = $this->format->begin + $from * $width; $at < $end; $at += $this->piece) {
            yield substr($this->bytes, $at, min($this->piece, $end - $at));
        }
    }
}
