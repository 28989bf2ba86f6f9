<?php

declare(strict_types=1);

use HiddenWire\Core\Document\DocumentReader;
use Tests\Bench\Faults;

/*
 * The fault bench: every single fault of every starter, and how often the first cure brings the whole table of all situations back. Exit
 * 1 under 95 % or where a cure makes anything worse.
 */
require dirname(__DIR__, 2).'/vendor/autoload.php';

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
printf("  %d faults, %.1f %% cured (at least 95), %d made anything worse (none)\n", $all['faults'], $share, $all['worse']);
exit($share >= 95 && $all['worse'] === 0 ? 0 : 1);
