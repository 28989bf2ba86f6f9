<?php

declare(strict_types=1);

use HiddenWire\Core\Document\DocumentReader;
use HiddenWire\Core\Document\InvalidDocument;
use HiddenWire\Core\Rig\Days;

it('says days as people do', function (string $from, string $to, string $words) {
    expect((new Days($from, $to))->words())->toBe($words);
})->with([
    ['2026-12-05', '2026-12-05', '5 December 2026'],
    ['2026-12-05', '2026-12-06', '5 to 6 December 2026'],
    ['2026-11-30', '2026-12-02', '30 November to 2 December 2026'],
    ['2026-12-31', '2027-01-01', '31 December 2026 to 1 January 2027'],
]);

it('takes days of the calendar only, in their order', function (mixed $days, ?string $pointer) {
    $data = json_decode(shipped('rigs/penny-slot.json'));
    $data->days = $days;
    try {
        $rig = (new DocumentReader)->read((string) json_encode($data));
        expect($pointer)->toBeNull()->and($rig->days)->toEqual(new Days($days->from, $days->to));
    } catch (InvalidDocument $e) {
        expect(array_map(fn ($one) => $one->pointer, $e->problems))->toBe([$pointer]);
    }
})->with([
    [(object) ['from' => '2026-12-05', 'to' => '2026-12-06'], null],
    [(object) ['from' => '2024-02-29', 'to' => '2024-02-29'], null],
    [(object) ['from' => '2026-02-29', 'to' => '2026-03-01'], '/days/from'],
    [(object) ['from' => '2026-12-05', 'to' => '2026-12-04'], '/days/to'],
    [(object) ['from' => '5 December', 'to' => '2026-12-06'], '/days/from'],
    [(object) ['from' => '2026-12-05'], '/days/to'],
]);
