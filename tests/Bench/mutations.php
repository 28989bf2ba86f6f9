<?php

declare(strict_types=1);

use Tests\Bench\Mutations;

/*
 * Mutants of rooms of the core, a seeded sample of each, against the tests that run through their lines. Ends with 1 where fewer than 85 of
 * 100 are noticed. What a test file runs through is found once for a state of the core and that file, and kept.
 */
require dirname(__DIR__, 2).'/vendor/autoload.php';

const MOST_EQUIVALENT = 0.05;
const NOTICED = 0.85;

$root = dirname(__DIR__, 2);
[, $rooms, $seed, $count] = $argv + [1 => '', 2 => '', 3 => ''];
$rooms = $rooms === '' ? Mutations::ROOMS : explode(',', $rooms);
$seed = $seed === '' ? (int) gmdate('Ymd') : (int) $seed;
$count = $count === '' ? 150 : (int) $count;
$say = function (string $text): void {
    echo gmdate('H:i:s')."  {$text}\n";
};
$mutations = new Mutations($root, "{$root}/storage/run/mutations", $rooms, $say);
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
