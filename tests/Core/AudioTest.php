<?php

declare(strict_types=1);

use HiddenWire\Core\Audio\Decimator;
use HiddenWire\Core\Audio\Fft;
use HiddenWire\Core\Audio\FilterBank;
use HiddenWire\Core\Audio\InvalidSound;
use HiddenWire\Core\Audio\Loudness;
use HiddenWire\Core\Audio\Noise;
use HiddenWire\Core\Audio\Runs;
use HiddenWire\Core\Audio\TruePeak;
use HiddenWire\Core\Audio\WavFormat;
use HiddenWire\Core\Audio\WavReader;
use HiddenWire\Core\Audio\WavWriter;
use Symfony\Component\Process\Process;
use Tests\Support\SoundInMemory;

/** A WAV file, chunk by chunk. */
function wavFile(string $format, string $samples, string $kind = 'RIFF', ?int $size = null, string $between = ''): string
{
    return $kind.pack('V', 0xFFFFFFFF).'WAVE'.$between.'fmt '.pack('V', strlen($format)).$format
        .'data'.pack('V', $size ?? strlen($samples)).$samples;
}

function wavFormat(int $code, int $channels, int $rate, int $bits, string $more = ''): string
{
    $width = $channels * intdiv($bits, 8);

    return pack('vvVVvv', $code, $channels, $rate, $rate * $width, $width, $bits).$more;
}

/** @return list<list<float>> */
function wavSamples(string $file, int $piece = 65_536): array
{
    $sound = new SoundInMemory($file, $piece);
    $channels = [];
    foreach ((new WavReader($sound->format()))->blocks($sound->bytes(0, $sound->frames())) as $block) {
        foreach ($block as $i => $samples) {
            $channels[$i] = [...($channels[$i] ?? []), ...$samples];
        }
    }

    return $channels;
}

/** @return list<float> */
function sine(float $hertz, float $amplitude, int $count, int $rate = 48_000, float $phase = 0.0): array
{
    return array_map(fn (int $i) => $amplitude * sin(2 * M_PI * $hertz * $i / $rate + $phase), range(0, $count - 1));
}

it('transforms as the sum says', function () {
    $noise = new Noise(3);
    [$re, $im] = [$noise->white(64), $noise->white(64)];
    [$x, $y] = [$re, $im];
    (new Fft(64))->forward($x, $y);
    foreach ([0, 1, 31, 32, 63] as $k) {
        $p = $q = 0.0;
        for ($n = 0; $n < 64; $n++) {
            $angle = -2 * M_PI * $k * $n / 64;
            $p += $re[$n] * cos($angle) - $im[$n] * sin($angle);
            $q += $re[$n] * sin($angle) + $im[$n] * cos($angle);
        }
        expect($x[$k])->toEqualWithDelta($p, 1e-9)->and($y[$k])->toEqualWithDelta($q, 1e-9);
    }
    expect(fn () => new Fft(48))->toThrow(LogicException::class);
});

it('reads every way in which samples are written', function (string $format, string $samples, array $values) {
    expect(wavSamples(wavFile($format, $samples)))->toEqual([$values]);
})->with([
    '16 bits' => [wavFormat(1, 1, 48_000, 16), "\x00\x40\x00\x80\xff\xff", [0.5, -1.0, -1 / 32_768]],
    '24 bits' => [wavFormat(1, 1, 48_000, 24), "\x00\x00\x40\x00\x00\x80\xff\xff\xff", [0.5, -1.0, -1 / 8_388_608]],
    '32 bits' => [wavFormat(1, 1, 96_000, 32), "\x00\x00\x00\x40\x00\x00\x00\x80", [0.5, -1.0]],
    'floats' => [wavFormat(3, 1, 44_100, 32), pack('g*', 0.5, -1.25), [0.5, -1.25]],
    'double floats' => [wavFormat(3, 1, 192_000, 64), pack('e*', 0.1, -2.0), [0.1, -2.0]],
    'extensible' => [
        wavFormat(0xFFFE, 1, 48_000, 16, pack('vvV', 22, 16, 4)."\x01\x00\x00\x00\x00\x00\x10\x00\x80\x00\x00\xaa\x00\x38\x9b\x71"),
        "\x00\x40", [0.5],
    ],
]);

it('reads channels one after another, and the same whatever pieces the bytes come in', function () {
    $file = wavFile(wavFormat(1, 2, 48_000, 24), "\x00\x00\x40\x00\x00\xc0\x00\x00\x20\x00\x00\xe0");
    foreach ([1, 5, 7, 100] as $piece) {
        expect(wavSamples($file, $piece))->toEqual([[0.5, 0.25], [-0.5, -0.25]]);
    }
});

it('reads a file of over 4 GB by its long sizes, and one whose end was never written as far as it goes', function () {
    $long = 'ds64'.pack('V', 28).pack('P', 5_000_000_100).pack('P', 5_000_000_000).pack('P', 0).pack('V', 0);
    $format = WavFormat::read(wavFile(wavFormat(1, 2, 48_000, 16), 'abcd', 'RF64', 0xFFFFFFFF, $long));
    expect($format->frames)->toBe(1_250_000_000)->and($format->begin)->toBe(12 + 36 + 8 + 16 + 8);
    expect(WavFormat::read(wavFile(wavFormat(1, 1, 48_000, 16), '', size: 0xFFFFFFFF))->frames)->toBeNull();
    expect(wavSamples(wavFile(wavFormat(1, 1, 48_000, 16), "\x00\x40\x00\x40\x00", size: 0xFFFFFFFF)))->toEqual([[0.5, 0.5]]);
});

it('finds the sound behind other chunks, odd ones too', function () {
    $file = wavFile(wavFormat(1, 1, 48_000, 16), "\x00\x40", between: 'bext'.pack('V', 3)."abc\0");
    expect(wavSamples($file))->toEqual([[0.5]]);
});

it('says what is the matter with a file, and what to do', function (string $file, string $says) {
    expect(fn () => wavSamples($file))->toThrow(InvalidSound::class, $says);
})->with([
    'empty' => ['', 'The file is empty. Record again'],
    'a picture' => ["\x89PNG....WAVE", 'does not begin with RIFF or RF64. Export'],
    'cut off' => [substr(wavFile(wavFormat(1, 1, 48_000, 16), ''), 0, 30), 'ends before any sound'],
    'no format' => ['RIFF....WAVEdata'.pack('V', 4).'abcd', 'no "fmt " before "data"'],
    '8 bits' => [wavFile(wavFormat(1, 1, 48_000, 8), 'abcd'), 'format 1, 8 bits'],
    'compressed' => [wavFile(wavFormat(2, 1, 48_000, 16), 'abcd'), 'format 2, 16 bits'],
    'too many channels' => [wavFile(wavFormat(1, 33, 48_000, 16), ''), 'It has 33 channels; 1 to 32 are read. Split it'],
    'too slow' => [wavFile(wavFormat(1, 1, 8_000, 16), ''), '8000 Hz; 16000 to 192000 are read. Export it at 48000'],
    'no numbers' => [wavFile(wavFormat(3, 1, 48_000, 32), pack('g*', 0.5, NAN)), 'no numbers'],
]);

it('writes what it reads', function (int $bits, float $exact) {
    $writer = new WavWriter(2, 44_100, $bits);
    $channels = [[0.5, -0.3, 0.1], [-0.5, 0.999, 1.5]];
    $read = wavSamples($writer->header(3).$writer->block($channels));
    $channels[1][2] = $bits === 32 ? 1.5 : 1.0;
    foreach ([0, 1] as $channel) {
        foreach ([0, 1, 2] as $i) {
            expect($read[$channel][$i])->toEqualWithDelta($channels[$channel][$i], $exact);
        }
    }
})->with([[16, 1 / 32_768], [24, 1 / 8_388_608], [32, 1e-7]]);

/*
 * The signals of EBU Tech 3341: sines of 1 kHz on both channels at levels in dBFS, for so many seconds; all of them come to -23 LUFS, or as
 * said, within 0.1.
 */
it('measures loudness as it is defined', function (array $parts, float $lufs) {
    $loudness = new Loudness(48_000);
    foreach ($parts as [$db, $seconds]) {
        // 4800 samples are 100 whole periods.
        $block = sine(1_000, 10 ** ($db / 20), 4_800);
        for ($i = 0; $i < round($seconds * 10); $i++) {
            $loudness->take($block);
        }
    }
    expect(Loudness::integrated([$loudness->powers, $loudness->powers]))->toEqualWithDelta($lufs, 0.1);
})->with([
    'at -23' => [[[-23.0, 20]], -23.0],
    'at -33' => [[[-33.0, 20]], -33.0],
    'softer parts do not count' => [[[-36.0, 10], [-23.0, 60], [-36.0, 10]], -23.0],
    'nor what is almost silent' => [[[-72.0, 10], [-36.0, 10], [-23.0, 60], [-36.0, 10], [-72.0, 10]], -23.0],
    'louder and softer ones do' => [[[-26.0, 20], [-20.0, 20.1], [-26.0, 20]], -23.0],
]);

it('has no loudness of silence, nor of less than 400 ms', function () {
    $loudness = new Loudness(48_000);
    $loudness->take(array_fill(0, 48_000, 0.0));
    expect(Loudness::integrated([$loudness->powers]))->toBeNull();
    $short = new Loudness(48_000);
    $short->take(sine(1_000, 0.5, 14_400));
    expect(Loudness::integrated([$short->powers]))->toBeNull();
});

/* EBU Tech 3341, true peak: sines whose peaks lie between samples; within +0.2 and -0.4 dB. */
it('finds peaks between samples', function (int $part, float $phase, float $amplitude) {
    $peak = new TruePeak(48_000);
    $samples = sine(48_000 / $part, $amplitude, 9_600, phase: deg2rad($phase));
    foreach ($samples as $i => $sample) {
        $samples[$i] = $sample * min(1.0, $i / 2_400, (9_599 - $i) / 2_400);
    }
    $peak->take($samples);
    expect(20 * log10($peak->peak / $amplitude))->toBeGreaterThan(-0.4)->toBeLessThan(0.2);
})->with([[4, 0.0, 0.5], [4, 45.0, 0.5], [6, 60.0, 0.5], [8, 67.5, 0.5], [4, 45.0, 1.41]]);

it('finds the same peak where it skips what cannot be one, with a fraction of the work', function (int $rate) {
    $noise = new Noise(8);
    [$quick, $whole] = [new TruePeak($rate), new TruePeak($rate, skips: false)];
    for ($i = 0; $i < 4; $i++) {
        $samples = array_map(fn (float $x) => 0.1 * $x, $i % 2 === 0 ? $noise->speech(6_000) : $noise->white(6_000));
        $quick->take($samples);
        $whole->take($samples);
    }
    expect($quick->peak)->toBe($whole->peak)->and($quick->workedOut)->toBeLessThan($whole->workedOut / 4);
})->with([44_100, 48_000, 96_000]);

it('measures what the measuring tool of the system does', function () {
    $noise = new Noise(21);
    $sound = SoundInMemory::made(2, 48_000, 6, 24, fn () => [
        array_map(fn (float $x) => 0.12 * $x, $noise->speech(48_000)), array_map(fn (float $x) => 0.05 * $x, $noise->white(48_000)),
    ]);
    [$powers, $peak] = [[], 0.0];
    foreach (wavSamples($sound->bytes) as $samples) {
        [$loudness, $true] = [new Loudness(48_000), new TruePeak(48_000)];
        $loudness->take($samples);
        $true->take($samples);
        $powers[] = $loudness->powers;
        $peak = max($peak, $true->peak);
    }
    $says = (new Process(
        ['ffmpeg', '-hide_banner', '-nostats', '-f', 'wav', '-i', '-', '-af', 'ebur128=peak=true', '-f', 'null', '-'],
        input: $sound->bytes,
    ))->mustRun()->getErrorOutput();
    expect(preg_match('/Integrated loudness:\s+I:\s+(-[\d.]+) LUFS.*True peak:\s+Peak:\s+(-?[\d.]+) dBFS/s', $says, $found))->toBe(1);
    expect(Loudness::integrated($powers))->toEqualWithDelta((float) $found[1], 0.1);
    expect(20 * log10($peak))->toEqualWithDelta((float) $found[2], 0.2);
});

it('takes samples away without folding anything back', function (int $rate, int $by) {
    foreach ([[1_000, 0.0], [6_000, 0.0], [$rate / $by - 6_000, -68.0]] as [$hertz, $db]) {
        $decimator = new Decimator($by, $rate, 6_100);
        $samples = sine($hertz, 1.0, intdiv($rate, 8), $rate);
        $taken = array_merge(
            $decimator->take(array_slice($samples, 0, 1_001)),
            $decimator->take(array_slice($samples, 1_001)),
            $decimator->rest(),
        );
        expect(count($taken))->toBe((int) ceil(count($samples) / $by));
        $middle = array_slice($taken, 200, -200);
        $level = 10 * log10(2 * array_sum(array_map(fn (float $x) => $x * $x, $middle)) / count($middle) + 1e-12);
        expect($db === 0.0 ? abs($level) : $level - $db)->toBeLessThan(0.05);
    }
})->with([[48_000, 3], [44_100, 3], [96_000, 6], [192_000, 12]]);

it('keeps bands apart', function () {
    $bank = new FilterBank(256);
    // A tone in the middle of band 20 on the first channel, one between 40 and 41 on the second.
    $tone = fn (float $band) => array_map(fn (int $i) => cos(2 * M_PI * $band * $i / 256), range(0, 2_047));
    $frame = $bank->take($tone(20), $tone(40.5))[0];
    [$one, $other] = $bank->parted($frame, [20, 22, 40, 41, 43]);
    $size = fn (array $bands, int $i): float => 20 * log10(2 * hypot($bands[2 * $i], $bands[2 * $i + 1]) + 1e-9);
    expect($size($one, 0))->toEqualWithDelta(0.0, 0.01)
        ->and($size($one, 1))->toBeLessThan(-75.0)
        ->and($size($one, 2))->toBeLessThan(-75.0)
        ->and($size($other, 0))->toBeLessThan(-75.0)
        ->and($size($other, 2))->toEqualWithDelta(20 * log10($bank->gainBeside(0.5)), 0.1)
        ->and($size($other, 3))->toEqualWithDelta($size($other, 2), 0.1)
        ->and($size($other, 4))->toBeLessThan(-75.0);
});

/* Levels of thirds of an octave of speech in the long-term mean over many languages, dB against all of it. */
it('makes noise like speech where signatures lie, the same of the same seed', function () {
    $noise = (new Noise(5))->speech(131_072);
    expect($noise)->toBe((new Noise(5))->speech(131_072))->not->toBe((new Noise(6))->speech(131_072));
    $powers = array_fill(0, 1_024, 0.0);
    $fft = new Fft(2_048);
    for ($at = 0; $at < 131_072; $at += 2_048) {
        $window = fn (float $x, int $i): float => $x * (0.5 - 0.5 * cos(2 * M_PI * $i / 2_048));
        $re = array_map($window, array_slice($noise, $at, 2_048), range(0, 2_047));
        $im = array_fill(0, 2_048, 0.0);
        $fft->forward($re, $im);
        foreach ($powers as $k => $power) {
            $powers[$k] = $power + $re[$k] ** 2 + $im[$k] ** 2;
        }
    }
    foreach ([500 => -7.9, 1_600 => -18.0, 3_150 => -23.2, 4_000 => -24.4, 5_000 => -25.5] as $hertz => $db) {
        $sum = 0.0;
        foreach ($powers as $k => $power) {
            $at = $k * 48_000 / 2_048;
            $sum += $at >= $hertz / 1.122 && $at < $hertz * 1.122 ? $power : 0.0;
        }
        expect(10 * log10($sum / array_sum($powers)))->toEqualWithDelta($db, 1.5);
    }
    expect(sqrt(array_sum(array_map(fn (float $x) => $x * $x, $noise)) / 131_072))->toEqualWithDelta(1.0, 0.03);
});

it('sees flat tops, missing samples, and channels that are the same', function () {
    $wave = sine(100, 1.2, 4_800);
    $clipped = array_map(fn (float $x) => max(-0.9, min(0.9, $x)), $wave);
    $runs = new Runs(48_000);
    $runs->take($clipped);
    // Ten periods with two flat tops each, the last of them not over.
    expect(count($runs->clipped(0.9)))->toBe(20)->and($runs->holes(0.9))->toBe([]);

    $missing = sine(997, 0.5, 4_800);
    array_splice($missing, 1_000, 240, array_fill(0, 240, 0.0));
    $runs = new Runs(48_000);
    $runs->take($missing);
    expect($runs->holes(0.5))->toBe([[1_000, 240]])->and($runs->clipped(0.5))->toBe([]);

    $marks = array_map(function (array $samples) {
        $runs = new Runs(48_000);
        array_map($runs->take(...), array_chunk($samples, 700));

        return $runs->mark;
    }, [$wave, $wave, [0.0, ...array_slice($wave, 0, -1)]]);
    expect($marks[0])->toEqual($marks[1])->not->toEqualWithDelta($marks[2], 1e-3);
});
