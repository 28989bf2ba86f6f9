<?php

declare(strict_types=1);

use Symfony\Component\Process\Process;
use Tests\Bench\Mutations;

/*
 * Mutants of rooms of the core, a seeded sample of each, against the tests that run through their lines. Ends with 1 where fewer than 85 of
 * 100 are noticed. What all tests run through is found once for a state of the core and the tests, and kept.
 */
require dirname(__DIR__, 2).'/vendor/autoload.php';

const MOST_EQUIVALENT = 0.05;
const NOTICED = 0.85;

$root = dirname(__DIR__, 2);
[, $rooms, $seed, $count] = $argv + [1 => '', 2 => '', 3 => ''];
$rooms = $rooms === '' ? ['Signal', 'Planning', 'Checks', 'Levels', 'Edit'] : explode(',', $rooms);
$seed = $seed === '' ? (int) gmdate('Ymd') : (int) $seed;
$count = $count === '' ? 150 : (int) $count;
$stamp = hash('xxh64', implode("\n", array_map(
    fn (string $file) => $file.md5_file($file),
    array_merge(...array_map(fn (string $one) => glob("{$root}/{$one}") ?: [], ['core/*/*.php', 'core/*/*/*.php', 'core/*/*/*/*.php',
        'tests/Core/*.php', 'tests/Support/*.php'])),
)));
$kept = "{$root}/storage/run/mutations/{$stamp}";
$say = function (string $text): void {
    echo gmdate('H:i:s')."  {$text}\n";
};
if (! is_file("{$kept}/done")) {
    is_dir($kept) || mkdir($kept, 0755, true);
    $say('Running all tests of the core to see what they run through');
    $halves = array_map(fn (array $command) => (new Process($command, $root))->setTimeout(null), Mutations::coverageCommands($root, $kept));
    array_walk($halves, fn (Process $half) => $half->start());
    foreach ($halves as $half) {
        if ($half->wait() !== 0) {
            fwrite(STDERR, $half->getOutput().$half->getErrorOutput());
            exit(2);
        }
    }
    touch("{$kept}/done");
}
$mutations = new Mutations($root, $kept);
$equivalent = require __DIR__.'/equivalent-mutants.php';
$missed = 0;
foreach ($rooms as $room) {
    $found = $mutations->room($room, $seed, $count, array_map(fn (array $one) => [$one[0], $one[1]], $equivalent), $say);
    foreach ($found['survived'] as $one) {
        echo "\n{$one}\n";
    }
    $all = $found['killed'] + count($found['survived']) + $found['equivalent'];
    $share = $found['killed'] / max(1, $all - $found['equivalent']);
    $isMissed = $share < NOTICED || $found['equivalent'] > MOST_EQUIVALENT * $all;
    $missed |= $isMissed ? 1 : 0;
    printf(
        "  %-10s seed %d   %d mutants   %d noticed   %d do the same   %.1f %% (at least %d %%)   %s\n",
        $room,
        $seed,
        $all,
        $found['killed'],
        $found['equivalent'],
        100 * $share,
        100 * NOTICED,
        $isMissed ? 'MISSED' : 'ok',
    );
}
exit($missed);
