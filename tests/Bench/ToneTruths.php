<?php

declare(strict_types=1);

namespace Tests\Bench;

use HiddenWire\Core\Audio\Noise;
use HiddenWire\Core\Tones\ChannelReading;
use HiddenWire\Core\Tones\FoundSignature;
use HiddenWire\Core\Tones\Signature;
use HiddenWire\Core\Tones\ToneTest;
use Symfony\Component\Process\Process;
use Tests\Support\SoundInMemory;

/** Signatures under noise with the spectrum of speech: what has to be found, and what must not. Levels are RMS of the whole minute. */
final class ToneTruths
{
    public const RATE = 48_000;

    /** RMS of the noise, so that nothing is cut off. */
    private const NOISE = 0.1;

    /** Of a signature as it is played, measured over its 60 s. */
    private static ?float $played = null;

    /** dB under the noise at which one signature has to be found. */
    public const UNDER = 50.0;

    public const UNDER_LOSSY = 30.0;

    /** With many at once so many dB less. */
    public const LESS = 10.0;

    public const AT_ONCE = 20;

    /**
     * A minute of noise with signatures under it.
     *
     * @param  list<array{number: int, under: float, ppm: float, start: float}>  $played
     */
    public static function minute(int $seed, array $played): SoundInMemory
    {
        $noise = new Noise($seed, self::RATE);

        return SoundInMemory::made(1, self::RATE, 60, 16, function (array $channels, int $at) use ($noise, $played): array {
            $samples = array_map(fn (float $x) => self::NOISE * $x, $noise->speech(self::RATE));
            foreach ($played as $one) {
                $by = self::NOISE / self::rms() * 10 ** (-$one['under'] / 20);
                (new Signature($one['number']))->addTo($samples, $at, self::RATE, $one['start'], $by, $one['ppm']);
            }

            return [$samples];
        });
    }

    /** @return array{number: int, under: float, ppm: float, start: float} one drawn by a seed, by the clocks of two computers */
    public static function drawn(int $seed, float $under): array
    {
        mt_srand($seed);

        return self::played(mt_rand(0, Signature::COUNT - 1), $under);
    }

    /** @return list<array{number: int, under: float, ppm: float, start: float}> twenty at once */
    public static function many(int $seed, float $under): array
    {
        mt_srand($seed);
        $numbers = range(0, Signature::COUNT - 1);
        shuffle($numbers);

        return array_map(fn (int $number) => self::played($number, $under), array_slice($numbers, 0, self::AT_ONCE));
    }

    /** @return array{number: int, under: float, ppm: float, start: float} */
    private static function played(int $number, float $under): array
    {
        return ['number' => $number, 'under' => $under, 'ppm' => (float) mt_rand(-100, 100), 'start' => mt_rand(-50, 50) / 100];
    }

    /** @return list<int> the numbers that are found */
    public static function found(SoundInMemory $sound): array
    {
        $numbers = array_map(fn (FoundSignature $one) => $one->number, self::read($sound)[0]->found);
        sort($numbers);

        return $numbers;
    }

    /** @return list<ChannelReading> looked for are all signatures that there are */
    public static function read(SoundInMemory $sound): array
    {
        $reading = (new ToneTest($sound, array_map(fn (int $number) => new Signature($number), range(0, Signature::COUNT - 1))))->read();
        foreach ($reading as $part) {
        }

        return $reading->getReturn();
    }

    /** The same after a codec of 128 kbit/s: aac, libmp3lame or libopus. */
    public static function coded(SoundInMemory $sound, string $codec): SoundInMemory
    {
        $coded = self::ffmpeg($sound->bytes, ['-f', 'wav', '-i', '-', '-c:a', $codec, '-b:a', '128k', '-f', 'matroska', '-']);

        return new SoundInMemory(self::ffmpeg($coded, ['-i', '-', '-c:a', 'pcm_s16le', '-ar', (string) self::RATE, '-f', 'wav', '-']));
    }

    /** @param  list<string>  $arguments */
    private static function ffmpeg(string $input, array $arguments): string
    {
        $ffmpeg = new Process(['ffmpeg', '-hide_banner', '-loglevel', 'error', ...$arguments], input: $input, timeout: 120);

        return $ffmpeg->mustRun()->getOutput();
    }

    private static function rms(): float
    {
        if (self::$played === null) {
            $sum = 0.0;
            foreach ((new Signature(0))->sound(16_000) as $block) {
                foreach ($block as $x) {
                    $sum += $x * $x;
                }
            }
            self::$played = sqrt($sum / (16_000 * Signature::SECONDS));
        }

        return self::$played;
    }
}
