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
