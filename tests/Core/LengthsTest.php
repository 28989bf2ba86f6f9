<?php

declare(strict_types=1);

use HiddenWire\Core\Quantity\Lengths;

it('reads lengths in whatever unit they are written', function (Lengths $in, string $text, ?float $metres) {
    $read = $in->read($text);
    $metres === null ? expect($read)->toBeNull() : expect($read)->toEqualWithDelta($metres, 1e-9);
})->with([
    'metres' => [Lengths::Metric, '1.5', 1.5], 'a comma' => [Lengths::Metric, '1,5 m', 1.5], 'centimetres' => [Lengths::Metric, '50cm', 0.5],
    'millimetres' => [Lengths::Imperial, '300 mm', 0.3], 'metres of whoever has feet' => [Lengths::Imperial, '2 m', 2.0],
    // 1 ft is 0.3048 m, 1 in 0.0254 m.
    'feet' => [Lengths::Imperial, '10', 3.048], 'feet of whoever has metres' => [Lengths::Metric, '10 ft', 3.048],
    'feet and inches' => [Lengths::Metric, '5 ft 3 in', 1.6002], 'with marks' => [Lengths::Imperial, "5' 3\"", 1.6002],
    'with typographic marks' => [Lengths::Imperial, '5′3″', 1.6002], 'inches' => [Lengths::Imperial, '6 in', 0.1524],
    'words' => [Lengths::Metric, '1 foot 6 inches', 0.4572], 'nothing' => [Lengths::Imperial, '', null], 'no length' => [Lengths::Metric, 'long', null],
    'a minus' => [Lengths::Metric, '-2', null], 'two numbers' => [Lengths::Metric, '2 3', null],
]);

it('says lengths in metres, or in feet and inches', function (float $metres, string $metric, string $imperial) {
    expect(Lengths::Metric->words($metres))->toBe($metric)->and(Lengths::Imperial->words($metres))->toBe($imperial);
})->with([
    // 1.5 m are 59.06 inches, 0.5 m are 19.69, 0.2 m are 7.87, 3.048 m are 120, 3.04 m are 119.7 and so the same to the inch.
    [1.5, '1.5 m', '4 ft 11 in'], [0.5, '0.5 m', '1 ft 8 in'], [0.2, '0.2 m', '7.9 in'], [3.048, '3.048 m', '10 ft'], [3.04, '3.04 m', '10 ft'],
]);

it('keeps a length that is written back as it was said, to the inch', function () {
    for ($inches = 12; $inches <= 1200; $inches++) {
        $metres = round($inches * 0.0254, 3);
        expect(round((float) Lengths::Imperial->read(Lengths::Imperial->words($metres)) / 0.0254))->toEqual($inches);
    }
});
