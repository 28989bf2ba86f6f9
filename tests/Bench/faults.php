<?php

declare(strict_types=1);

use HiddenWire\Core\Document\DocumentReader;
use Tests\Bench\Faults;

/*
 * The fault bench: every single fault of every starter, and how often the first cure brings the whole table of all situations back; with
 * --pairs, two faults at a time, and how often all cures do. Exit 1 under 99.5 and 97 %, or where a cure makes anything worse.
 */
require dirname(__DIR__, 2).'/vendor/autoload.php';

// A fault that can't be made once another is: that is no pair.
set_error_handler(fn (int $level, string $message) => throw new ErrorException($message));

if (($argv[1] ?? '') === '--pairs') {
    $all = ['pairs' => 0, 'whole' => 0, 'worse' => 0];
    foreach ((array) glob(dirname(__DIR__, 2).'/resources/starters/'.($argv[2] ?? '*').'.json') as $file) {
        $start = hrtime(true);
        $result = Faults::runPairs((new DocumentReader)->read((string) file_get_contents((string) $file)), (int) ($argv[3] ?? 20), (int) ($argv[4] ?? 1));
        foreach (array_keys($all) as $key) {
            $all[$key] += $result[$key];
        }
        printf(
            "  %-24s %4d pairs   %4d whole   %d worse   slowest %5.0f ms   %5.1f s\n",
            basename((string) $file, '.json'),
            $result['pairs'],
            $result['whole'],
            $result['worse'],
            $result['slowest'],
            (hrtime(true) - $start) / 1e9,
        );
        foreach ($result['rest'] as $line) {
            echo "      {$line}\n";
        }
    }
    $share = 100 * $all['whole'] / max(1, $all['pairs']);
    printf("  %d pairs, %.1f %% whole (at least 97), %d made anything worse (none)\n", $all['pairs'], $share, $all['worse']);
    exit($share >= 97 && $all['worse'] === 0 ? 0 : 1);
}

$all = ['faults' => 0, 'cured' => 0, 'worse' => 0];
foreach ((array) glob(dirname(__DIR__, 2).'/resources/starters/'.($argv[1] ?? '*').'.json') as $file) {
    $start = hrtime(true);
    $result = Faults::run((new DocumentReader)->read((string) file_get_contents((string) $file)));
    foreach (array_keys($all) as $key) {
        $all[$key] += $result[$key];
    }
    printf(
        "  %-24s %4d faults   %4d cured   %d worse   slowest %5.0f ms   %5.1f s\n",
        basename((string) $file, '.json'),
        $result['faults'],
        $result['cured'],
        $result['worse'],
        $result['slowest'],
        (hrtime(true) - $start) / 1e9,
    );
    foreach ($result['rest'] as $line) {
        echo "      {$line}\n";
    }
}
$share = 100 * $all['cured'] / max(1, $all['faults']);
printf("  %d faults, %.1f %% cured (at least 99.5), %d made anything worse (none)\n", $all['faults'], $share, $all['worse']);
exit($share >= 99.5 && $all['worse'] === 0 ? 0 : 1);
