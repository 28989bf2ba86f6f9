<?php

declare(strict_types=1);

use HiddenWire\Core\Document\DocumentReader;
use HiddenWire\Core\Signal\GraphBuilder;
use HiddenWire\Core\Signal\Hearing;
use HiddenWire\Core\Signal\Report;
use Tests\Bench\GeneratedRig;

/*
 * One size, measured in a process of its own so that its peak of memory is its own. Prints one line of JSON: milliseconds to read and
 * validate, milliseconds from the rig to the
 * finished report (best and median of several runs), peak memory in MiB.
 */
require dirname(__DIR__, 2).'/vendor/autoload.php';

[, $name, $units, $cables, $runs] = $argv;
$text = $name === 'demo' ? (string) file_get_contents(dirname(__DIR__, 2).'/resources/rigs/night-relay.json')
    : GeneratedRig::text((int) $units, (int) $cables);
memory_reset_peak_usage();
// As rig:report does.
gc_disable();
$read = $report = [];
for ($run = 0; $run < (int) $runs; $run++) {
    $start = hrtime(true);
    $rig = (new DocumentReader)->read($text);
    $middle = hrtime(true);
    $answer = (new Report)->of(new Hearing((new GraphBuilder($rig))->build($rig->situation() ?? throw new LogicException('No situation'))));
    $report[] = (hrtime(true) - $middle) / 1e6;
    $read[] = ($middle - $start) / 1e6;
    $pairs = count($answer['hearing']);
    $arrivals = array_sum(array_map(fn (array $pair) => count((array) $pair['arrivals']), $answer['hearing']));
    unset($answer);
    gc_collect_cycles();
}
sort($read);
sort($report);
echo json_encode([
    'name' => $name, 'units' => count($rig->units), 'cables' => count($rig->cables), 'pairs' => $pairs, 'arrivals' => $arrivals,
    'read' => $read[intdiv(count($read), 2)], 'report' => $report[intdiv(count($report), 2)], 'first' => end($report),
    'memory' => memory_get_peak_usage() / 1048576,
]), "\n";
