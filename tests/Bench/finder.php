<?php

declare(strict_types=1);

use HiddenWire\Core\Document\DocumentReader;
use HiddenWire\Core\Planning\Hearings;
use Tests\Bench\Finding;

/*
 * The fault finder against the simulated room: every single fault of the starters and the demo that somebody complains of in the first
 * situation, and pairs drawn by a seed. Exit 1 where a fault is not found, where the checks cost more than 1.3 times the mean bound and a
 * bit, or where fewer than 90 of 100 pairs are found.
 */
require dirname(__DIR__, 2).'/vendor/autoload.php';

set_error_handler(fn (int $level, string $message) => throw new ErrorException($message));

$files = (array) glob(dirname(__DIR__, 2).'/resources/starters/'.($argv[1] ?? '*').'.json');
if (($argv[1] ?? '*') === '*' || $argv[1] === 'night-relay') {
    $files[] = dirname(__DIR__, 2).'/resources/rigs/night-relay.json';
}
$all = ['faults' => 0, 'found' => 0, 'bits' => 0.0, 'bound' => 0.0, 'checks' => 0, 'pairs' => 0, 'both' => 0];
foreach ($files as $file) {
    $plan = new Hearings((new DocumentReader)->read((string) file_get_contents((string) $file)));
    $situation = (string) array_key_first($plan->rig->situations);
    $plan->in($situation);
    $finding = new Finding($plan, $situation);
    $single = $finding->single();
    $pairs = $finding->pairs((int) ($argv[2] ?? 20), (int) ($argv[3] ?? 1));
    foreach (['faults', 'found', 'bits', 'bound', 'checks'] as $key) {
        $all[$key] += $single[$key];
    }
    $all['pairs'] += $pairs['pairs'];
    $all['both'] += $pairs['both'];
    $n = max(1, $single['faults']);
    printf(
        "  %-20s %4d faults %4d found   %.2f bits, bound %.2f   %.1f checks   heard in %5.0f ms, slowest next %4.0f ms   %d of %d pairs\n",
        basename((string) $file, '.json'),
        $single['faults'],
        $single['found'],
        $single['bits'] / $n,
        $single['bound'] / $n,
        $single['checks'] / $n,
        $finding->heardIn,
        max($single['slowest'], $pairs['slowest']),
        $pairs['both'],
        $pairs['pairs'],
    );
    foreach ([...$single['rest'], ...$pairs['rest']] as $line) {
        echo "      {$line}\n";
    }
}
$n = max(1, $all['faults']);
[$bits, $bound, $share] = [$all['bits'] / $n, $all['bound'] / $n, 100 * $all['both'] / max(1, $all['pairs'])];
printf(
    "  %d faults, %d found (all); %.2f bits of checks in the mean, at most 1.3 times the entropy bound %.2f and 1: %.2f; %.1f %% of %d pairs (at least 90)\n",
    $all['faults'],
    $all['found'],
    $bits,
    $bound,
    1.3 * $bound + 1,
    $share,
    $all['pairs'],
);
exit($all['found'] === $all['faults'] && $bits <= 1.3 * $bound + 1 && $share >= 90 ? 0 : 1);
