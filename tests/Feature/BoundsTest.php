<?php

declare(strict_types=1);

use HiddenWire\Core\Quantity\Bounds;
use Illuminate\Support\Facades\DB;

it('has every length and range in the published schema as the reader has it', function () {
    $schema = json_decode((string) file_get_contents(base_path('docs/format/rig-2.schema.json')), true);
    $of = fn (string $part, string $property): array => ($part === '' ? $schema : $schema['$defs'][$part])['properties'][$property];
    $lengths = [
        ['', 'name', Bounds::NAME], ['', 'summary', Bounds::SUMMARY], ['place', 'name', Bounds::NAME], ['model', 'name',
            Bounds::NAME], ['model', 'summary', Bounds::MODEL_SUMMARY],
        ['socket', 'label', Bounds::SHORT_NAME], ['socket', 'colour', Bounds::JACK_COLOUR], ['point', 'label',
            Bounds::SHORT_NAME], ['unit', 'name', Bounds::NAME], ['unit', 'firmware', Bounds::NOTE],
        ['unit', 'serial', Bounds::NOTE], ['unit', 'notes', Bounds::NOTES], ['cable', 'label', Bounds::LABEL], ['cable', 'colour',
            Bounds::COLOUR], ['source', 'name', Bounds::SHORT_NAME],
        ['listener', 'name', Bounds::SHORT_NAME], ['situation', 'name', Bounds::SHORT_NAME],
    ];
    foreach ($lengths as [$part, $property, $length]) {
        expect($of($part, $property)['maxLength'])->toBe($length, "{$part}/{$property}");
    }
    $ranges = [['unit', 'start', Bounds::START], ['cable', 'length_m', Bounds::LENGTH_M], ['device', 'rate_hz', Bounds::RATE_HZ],
        ['device', 'bits', Bounds::BITS], ['point', 'channels', [1, Bounds::CHANNELS]]];
    foreach ($ranges as [$part, $property, $range]) {
        expect([$of($part, $property)['minimum'], $of($part, $property)['maximum']])->toBe($range, "{$part}/{$property}");
    }
    expect([$schema['$defs']['decibels']['minimum'], $schema['$defs']['decibels']['maximum']])->toBe([-Bounds::DB, Bounds::DB])
        ->and($schema['$defs']['milliseconds']['maximum'])->toBe(Bounds::MS);
});

it('has columns that hold what the format takes', function () {
    $columns = [
        'rigs' => ['name' => Bounds::NAME], 'places' => ['name' => Bounds::NAME], 'equipment_models' => ['name' => Bounds::NAME],
        'model_sockets' => ['label' => Bounds::SHORT_NAME, 'colour' => Bounds::JACK_COLOUR],
        'model_points' => ['label' => Bounds::SHORT_NAME, 'device_name' => Bounds::NAME],
        'units' => ['name' => Bounds::NAME, 'firmware' => Bounds::NOTE, 'serial' => Bounds::NOTE],
        'cables' => ['label' => Bounds::LABEL, 'colour' => Bounds::COLOUR], 'device_settings' => ['name' => Bounds::NAME],
        'sources' => ['name' => Bounds::SHORT_NAME],
        'listeners' => ['name' => Bounds::SHORT_NAME], 'situations' => ['name' => Bounds::SHORT_NAME],
    ];
    foreach ($columns as $table => $lengths) {
        foreach ($lengths as $column => $length) {
            $held = DB::selectOne('SELECT character_maximum_length AS length FROM information_schema.columns WHERE table_schema = '
                .'DATABASE() AND table_name = ? AND column_name = ?', [$table, $column]);
            expect($held?->length)->toBe($length, "{$table}.{$column}");
        }
    }
});

it('has no number of its own in a form', function () {
    $numbers = [];
    foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator(
        resource_path('views'),
        FilesystemIterator::SKIP_DOTS,
    )) as $file) {
        // Addresses and passwords of accounts are no part of a rig.
        if (str_contains($file->getPathname(), '/account/') || str_contains($file->getPathname(), '/auth/')
            || str_ends_with($file->getPathname(), 'people.blade.php')) {
            continue;
        }
        preg_match_all('/maxlength="\d+"/', (string) file_get_contents($file->getPathname()), $found);
        $numbers = [...$numbers, ...array_map(fn (string $one) => "{$file->getFilename()} {$one}", $found[0])];
    }
    expect($numbers)->toBe([]);
});
