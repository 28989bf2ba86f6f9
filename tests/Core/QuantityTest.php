<?php

declare(strict_types=1);

use HiddenWire\Core\Equipment\ChannelMap;
use HiddenWire\Core\Equipment\Span;
use HiddenWire\Core\Quantity\Decibels;
use HiddenWire\Core\Quantity\Hertz;
use HiddenWire\Core\Quantity\Listing;
use HiddenWire\Core\Quantity\Milliseconds;

it('adds decibels without rounding away what it was given', function () {
    $sum = array_reduce(array_fill(0, 1000, 0.1), fn (Decibels $sum, float $db) => $sum->plus(Decibels::of($db)), Decibels::zero());
    expect($sum->number())->toBe(100);
});

it('writes decibels for people', function (float $db, string $text) {
    expect(Decibels::of($db)->text())->toBe($text);
})->with([[0, '0.0'], [-6, '−6.0'], [2.25, '2.3'], [-0.04, '0.0'], [-90, '−90.0']]);

it('knows doubling an amplitude as 6.02 dB', fn () => expect(Decibels::ofRatio(2.0)->value())->toBe(6.02));

it('refuses a negative delay', fn () => Milliseconds::of(-1))->throws(RangeException::class);

it('puts the first notch of a comb at 1/(2d)', function (float $ms, string $text) {
    expect(Hertz::firstNotch(Milliseconds::of($ms))->text())->toBe($text);
})->with([[1, '500 Hz'], [10, '50 Hz'], [0.25, '2.0 kHz']]);

it('shuts a fader at the bottom of a long scale only', function () {
    $fader = new Span(Decibels::of(-90), Decibels::of(10), Decibels::zero());
    $trim = new Span(Decibels::of(-20), Decibels::of(20), Decibels::zero());
    expect($fader->isShutAt(Decibels::of(-90)))->toBeTrue()
        ->and($fader->isShutAt(Decibels::of(-89)))->toBeFalse()
        ->and($trim->isShutAt(Decibels::of(-20)))->toBeFalse();
});

it('refuses a setting outside its range', fn () => new Span(Decibels::of(0), Decibels::of(60), Decibels::of(61)))
    ->throws(RangeException::class);

it('maps channels as mixers and systems do', function (ChannelMap $map, int $from, int $to, array $triples) {
    expect($map->between($from, $to))->toEqual($triples);
})->with([
    'one to a pair goes to both' => [ChannelMap::usual(1, 2), 1, 2, [[0, 0, 1.0], [0, 1, 1.0]]],
    'a pair to one is averaged' => [ChannelMap::usual(2, 1), 2, 1, [[0, 0, 0.5], [1, 0, 0.5]]],
    'eight to two reads the first two' => [ChannelMap::usual(8, 2), 8, 2, [[0, 0, 1.0], [1, 1, 1.0]]],
    'chosen pairs' => [ChannelMap::pairs([[7, 1], [8, 2]]), 8, 2, [[6, 0, 1.0], [7, 1, 1.0]]],
    'what lies outside falls away' => [ChannelMap::named('swap'), 1, 2, [[0, 1, 1.0]]],
]);

it('puts things in a row as a sentence has them', function (array $things, string $text) {
    expect(Listing::of($things, 3))->toBe($text);
})->with([
    [[], ''], [['Music'], 'Music'], [['Music', 'Mic 1'], 'Music and Mic 1'], [['a' => 'Music', 'b' => 'Mic 1', 'c' => 'Mic 2'], 'Music, Mic 1 and Mic 2'],
    [['Music', 'Mic 1', 'Mic 2', 'Game', 'Call'], 'Music, Mic 1, Mic 2 and 2 more'],
]);
