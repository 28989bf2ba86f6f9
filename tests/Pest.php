<?php

declare(strict_types=1);

use Illuminate\Foundation\Testing\RefreshDatabase;
use Tests\TestCase;

pest()->extend(TestCase::class)->use(RefreshDatabase::class)->in('Feature');

/** The text of a shipped document, by its path below resources. */
function shipped(string $path): string
{
    return (string) file_get_contents(dirname(__DIR__).'/resources/'.$path);
}

/** @return array<string, string> every shipped rig's file by its name */
function shippedRigs(): array
{
    $files = [];
    foreach ([...(array) glob(dirname(__DIR__).'/resources/rigs/*.json'),
        ...(array) glob(dirname(__DIR__).'/resources/starters/*.json')] as $file) {
        $files[basename((string) $file, '.json')] = (string) $file;
    }

    return $files;
}

/** How many times slower than usual this machine is now, by work of a known size; 1 where it is not. A limit of time is multiplied by it. */
function slowness(): float
{
    $start = hrtime(true);
    for ($i = 0, $sum = 0; $i < 3_000_000; $i++) {
        $sum += $i % 7;
    }

    // About 30 ms where nothing else runs.
    return max(1.0, (hrtime(true) - $start) / 1e6 / 40);
}
