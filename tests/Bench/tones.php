<?php

declare(strict_types=1);

use HiddenWire\Core\Audio\Noise;
use HiddenWire\Core\Tones\Signature;
use Symfony\Component\Process\Process;
use Tests\Bench\ToneTruths;
use Tests\Support\SoundInMemory;

/*
 * The tone test: `tones.php MINUTES SEED DRAWS`. So many signatures under noise of each kind that have to be found, as PCM and after lossy
 * codecs; so many minutes of noise of which none may report one; and, of 20 draws and more, how long six stereo tracks take against the
 * loudness that ffmpeg reads of them. Two processes, one a core: `tones.php MINUTES SEED DRAWS PART`. Exit 1 where anything is missed.
 */
require dirname(__DIR__, 2).'/vendor/autoload.php';

set_error_handler(fn (int $level, string $message) => throw new ErrorException($message));

const PROCESSES = 2;
const RATIO = 10;
const MIB = 64;

const ENOUGH = 20;

[, $minutes, $seed, $draws, $part] = $argv + [1 => '1000', 2 => '1', 3 => '20', 4 => null];
if ($part === 'speed') {
    exit(speed());
}
if ($part === null) {
    $compiled = ['-d', 'opcache.enable_cli=1', '-d', 'opcache.jit_buffer_size=64M', '-d', 'opcache.jit=tracing', '-d', 'pcov.enabled=0'];
    $start = fn (string $what): Process => new Process([PHP_BINARY, ...$compiled, __FILE__, $minutes, $seed, $draws, $what], timeout: null);
    $code = 0;
    if ((int) $draws >= ENOUGH) {
        $code = $start('speed')->run(fn (string $type, string $text) => print $text);
    }
    $parts = array_map(fn (int $i) => $start((string) $i), range(0, PROCESSES - 1));
    array_walk($parts, fn (Process $one) => $one->start(fn (string $type, string $text) => print $text));
    array_walk($parts, fn (Process $one) => $one->wait());
    exit(max([$code, ...array_map(fn (Process $one) => (int) $one->getExitCode(), $parts)]));
}

$missed = 0;
$tell = function (string $what, int $found, int $of) use (&$missed, $part): void {
    $missed += $found === $of ? 0 : 1;
    printf("  %d: %-70s %4d of %4d   %s\n", $part, $what, $found, $of, $found === $of ? 'ok' : 'MISSED');
};
$each = function (string $what, callable $of) use ($draws, $seed, $part, $tell): void {
    $found = $all = 0;
    for ($i = (int) $part; $i < (int) $draws; $i += PROCESSES) {
        [$sound, $played] = $of(1000 * (int) $seed + $i);
        $wanted = array_column($played, 'number');
        $all += count($wanted);
        $found += count(array_intersect($wanted, ToneTruths::found($sound)));
    }
    $tell($what, $found, $all);
};
$one = fn (float $under) => fn (int $draw) => [ToneTruths::minute($draw, $played = [ToneTruths::drawn($draw, $under)]), $played];
$many = fn (float $under) => fn (int $draw) => [ToneTruths::minute($draw, $played = ToneTruths::many($draw, $under)), $played];
$each('one, 50 dB under the noise', $one(ToneTruths::UNDER));
$each('20 at once, 40 dB under it', $many(ToneTruths::UNDER - ToneTruths::LESS));
foreach (['aac', 'libmp3lame', 'libopus'] as $codec) {
    foreach ([['one, 30 dB under it', $one(ToneTruths::UNDER_LOSSY)],
        ['20 at once, 20 dB under it', $many(ToneTruths::UNDER_LOSSY - ToneTruths::LESS)]] as [$what, $make]) {
        $each("{$what}, after {$codec} of 128 kbit/s", function (int $draw) use ($make, $codec) {
            [$sound, $played] = $make($draw);

            return [ToneTruths::coded($sound, $codec), $played];
        });
    }
}
$silent = $count = 0;
for ($i = (int) $part; $i < (int) $minutes; $i += PROCESSES) {
    $count++;
    $found = ToneTruths::found(ToneTruths::minute(1_000_000 * (int) $seed + $i, []));
    $silent += $found === [] ? 1 : 0;
    if ($found !== []) {
        echo "      minute {$i}: ".implode(', ', $found)."\n";
    }
}
$tell('minutes of noise without a signature in them', $silent, $count);
exit($missed === 0 ? 0 : 1);

/** Six stereo tracks of 60 s, 16 bits, one after another, by both. */
function speed(): int
{
    $folder = sys_get_temp_dir().'/hidden-wire-tones-'.bin2hex(random_bytes(4));
    mkdir($folder);
    try {
        foreach (range(1, 6) as $track) {
            $noise = new Noise($track);
            $sound = SoundInMemory::made(2, ToneTruths::RATE, 60, 16, function (array $channels, int $at) use ($noise, $track): array {
                $both = array_map(fn (float $x) => 0.01 * $x, $noise->speech(ToneTruths::RATE));
                foreach ([$track, $track + 7, $track + 14] as $number) {
                    (new Signature($number))->addTo($both, $at, ToneTruths::RATE, 0.2);
                }

                return [$both, $both];
            });
            file_put_contents("{$folder}/{$track}.wav", $sound->bytes);
        }
        unset($sound);
        memory_reset_peak_usage();
        $ratios = [];
        foreach (range(1, 3) as $run) {
            [$theirs, $ours] = [0.0, 0.0];
            foreach (range(1, 6) as $track) {
                $start = hrtime(true);
                (new Process(['ffmpeg', '-hide_banner', '-nostats', '-loglevel', 'error', '-i', "{$folder}/{$track}.wav",
                    '-af', 'ebur128=peak=true', '-f', 'null', '-']))->mustRun();
                $theirs += (hrtime(true) - $start) / 1e9;
                $start = hrtime(true);
                ToneTruths::read(new SoundInMemory((string) file_get_contents("{$folder}/{$track}.wav")));
                $ours += (hrtime(true) - $start) / 1e9;
            }
            $ratios[] = $ours / $theirs;
            printf("  six stereo tracks of 60 s: %.1f s, ffmpeg's loudness of them %.1f s\n", $ours, $theirs);
        }
        sort($ratios);
        // The file itself is in memory here.
        $mib = memory_get_peak_usage() / 2 ** 20 - 60 * ToneTruths::RATE * 4 / 2 ** 20;
        $ok = $ratios[1] <= RATIO && $mib <= MIB;
        $line = "  %.1f times ffmpeg in the median (limit %d), %.1f MiB (limit %d)   %s\n";
        printf($line, $ratios[1], RATIO, $mib, MIB, $ok ? 'ok' : 'MISSED');

        return $ok ? 0 : 1;
    } finally {
        array_map(unlink(...), (array) glob("{$folder}/*.wav"));
        rmdir($folder);
    }
}
