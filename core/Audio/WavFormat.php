<?php

declare(strict_types=1);

namespace HiddenWire\Core\Audio;

/**
 * How a WAV file is laid out: RIFF, or RF64 (EBU Tech 3306) where it is larger than 4 GB; PCM of 16, 24 or 32 bits, or floats of 32 or 64,
 * little-endian, the channels of a frame in sequence.
 */
final readonly class WavFormat
{
    public const MOST_CHANNELS = 32;

    public const LOWEST_RATE = 16_000;

    public const HIGHEST_RATE = 192_000;

    /** So much of the beginning is looked through for the sound: tables of names and marks may stand before it. */
    public const HEAD = 1 << 20;

    private const PCM = 1;

    private const IEEE_FLOAT = 3;

    private const EXTENSIBLE = 0xFFFE;

    /** A size that is not known here: RF64 says it elsewhere, a recorder that was cut off nowhere. */
    private const UNKNOWN = 0xFFFFFFFF;

    /**
     * @param  int  $rate  samples a second and channel
     * @param  int  $bits  a sample
     * @param  int  $begin  the byte at which the sound begins
     * @param  int|null  $frames  samples a channel that the file says it has; null where it does not say
     */
    public function __construct(
        public int $channels,
        public int $rate,
        public int $bits,
        public bool $isFloat,
        public int $begin,
        public ?int $frames,
    ) {
    }

    public function bytesAFrame(): int
    {
        return $this->channels * intdiv($this->bits, 8);
    }

    /**
     * @param  string  $head  the beginning of the file: {@see HEAD} bytes, or all of a shorter one
     *
     * @throws InvalidSound where it is no such file
     */
    public static function read(string $head): self
    {
        if ($head === '') {
            throw new InvalidSound('The file is empty. Record again, or choose another file.');
        }
        $kind = substr($head, 0, 4);
        if (! in_array($kind, ['RIFF', 'RF64', 'BW64'], true) || substr($head, 8, 4) !== 'WAVE') {
            throw new InvalidSound('This is no WAV file: it does not begin with RIFF or RF64. Export the recording as WAV, and send that.');
        }
        $format = $long = null;
        for ($at = 12; $at + 8 <= strlen($head); $at += 8 + $size + ($size & 1)) {
            $name = substr($head, $at, 4);
            $size = self::number($head, $at + 4, 4);
            if ($name === 'ds64') {
                $long = strlen($head) >= $at + 24 ? self::number($head, $at + 16, 8) : null;
            } elseif ($name === 'fmt ') {
                $format = substr($head, $at + 8, $size);
            } elseif ($name === 'data') {
                return self::of($format, $at + 8, $size === self::UNKNOWN ? $long : $size);
            }
        }

        throw new InvalidSound(strlen($head) < self::HEAD
            ? 'The file ends before any sound. It was cut off while it was written or sent: send it again.'
            : 'No sound is found in the first MiB of the file. Export the recording as WAV anew.');
    }

    /**
     * @param  string|null  $format  what the chunk "fmt " holds
     *
     * @throws InvalidSound
     */
    private static function of(?string $format, int $begin, ?int $bytes): self
    {
        if ($format === null || strlen($format) < 16) {
            throw new InvalidSound('The file does not say how its sound is written (no "fmt " before "data"). Export it as WAV anew.');
        }
        $code = self::number($format, 0, 2);
        if ($code === self::EXTENSIBLE && strlen($format) >= 26) {
            $code = self::number($format, 24, 2);
        }
        [$channels, $rate, $bits] = [self::number($format, 2, 2), self::number($format, 4, 4), self::number($format, 14, 2)];
        $known = in_array($bits, [self::PCM => [16, 24, 32], self::IEEE_FLOAT => [32, 64]][$code] ?? [], true);
        if (! $known) {
            throw new InvalidSound("Its samples are written in a way that is not read here (format {$code}, {$bits} bits). "
                .'Export it with 16, 24 or 32 bits, or as 32-bit float.');
        }
        if ($channels < 1 || $channels > self::MOST_CHANNELS) {
            throw new InvalidSound("It has {$channels} channels; 1 to ".self::MOST_CHANNELS.' are read. Split it, and send the parts.');
        }
        if ($rate < self::LOWEST_RATE || $rate > self::HIGHEST_RATE) {
            throw new InvalidSound("Its sample rate is {$rate} Hz; ".self::LOWEST_RATE.' to '.self::HIGHEST_RATE
                .' are read. Export it at 48000 Hz.');
        }

        return new self(
            $channels,
            $rate,
            $bits,
            $code === self::IEEE_FLOAT,
            $begin,
            $bytes === null ? null : intdiv($bytes, $channels * intdiv($bits, 8)),
        );
    }

    private static function number(string $bytes, int $at, int $length): int
    {
        $number = 0;
        for ($i = $length - 1; $i >= 0; $i--) {
            $number = $number << 8 | ord($bytes[$at + $i] ?? "\0");
        }

        return $number;
    }
}
