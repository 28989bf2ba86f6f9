<?php

declare(strict_types=1);

use HiddenWire\Core\Book\BookInput;
use HiddenWire\Core\Book\Parts\MetersToExpect;
use HiddenWire\Core\Document\DocumentReader;
use HiddenWire\Core\Document\DocumentWriter;
use HiddenWire\Core\Document\InvalidDocument;
use HiddenWire\Core\Equipment\Meter;
use HiddenWire\Core\Equipment\Tap;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Signal\GraphBuilder;
use HiddenWire\Core\Signal\Readings;
use Tests\Support\Draft;

/** A desk with a strip that has gain, fader and mute, and a meter at each stage. */
function meteredDesk(array $settings = [], array $more = []): Draft
{
    $zones = [['name' => 'Green', 'from_db' => -60], ['name' => 'Yellow', 'from_db' => -12], ['name' => 'Red', 'from_db' => 0]];

    return Draft::rig()->unit('desk-1', array_replace_recursive(['name' => 'Desk', 'family' => 'mixer', 'sockets' => [],
        'points' => [['id' => 'tone', 'kind' => 'origin', 'channels' => 2],
            ['id' => 'strip', 'kind' => 'strip', 'channels' => 2, 'gain' => ['from' => 0, 'to' => 40, 'db' => 10],
                'fader' => ['from' => -60, 'to' => 0, 'db' => -5], 'mute' => false],
            ['id' => 'mono', 'kind' => 'bus', 'channels' => 1], ['id' => 'ear', 'kind' => 'ear', 'channels' => 1]],
        'routes' => [['from' => 'tone', 'to' => 'strip'], ['from' => 'strip', 'to' => 'mono'], ['from' => 'mono', 'to' => 'ear']],
        'settings' => [['id' => 'bright', 'label' => 'Bright', 'kind' => 'switch', 'factory' => false]],
        'meters' => [
            ['id' => 'in', 'label' => 'In', 'point' => 'strip', 'tap' => 'input', 'scale' => ['marks' => [[0, -60], [10, 0]]]],
            ['id' => 'pre', 'label' => 'Pre', 'point' => 'strip', 'tap' => 'pre-fader', 'zones' => $zones],
            ['id' => 'post', 'label' => 'Post', 'point' => 'strip', 'zones' => $zones],
            ['id' => 'sum', 'label' => 'Sum', 'point' => 'mono', 'scale' => ['unit' => 'dB', 'marks' => [[-60, -60], [0, 0]]]],
            ['id' => 'bar', 'label' => 'Bar', 'point' => 'mono'],
        ],
        'lamps' => [['id' => 'off', 'label' => 'Muted', 'point' => 'strip'], ['id' => 'on', 'label' => 'Open', 'point' => 'strip', 'while_muted' => false],
            ['id' => 'lit', 'label' => 'Bright', 'setting' => 'bright', 'value' => true]],
    ], $more), 'desk', $settings)->source('tone', ['desk-1/tone', -20])->listener('me', 'desk-1/ear')->situation('night', []);
}

/** @return array<string, string> what each meter shows of the tone; "nothing" where it does not see it */
function shownBy(Rig $rig): array
{
    $unit = $rig->units['desk-1'];
    $readings = new Readings((new GraphBuilder($rig))->build($rig->base()));

    return array_map(function (Meter $meter) use ($readings, $unit) {
        $levels = $readings->of($unit, $meter);

        return isset($levels['tone']) ? $meter->reading($levels['tone']) : 'nothing';
    }, $rig->modelOf($unit)->meters);
}

it('reads each meter where it is taken, in its own terms', function (array $settings, array $shown) {
    expect(shownBy(meteredDesk($settings)->make()))->toBe($shown);
})->with([
    // The tone is at -20 dB: 40 of the 60 dB of the first scale, 6.7 of 10. After 10 dB of gain -10, after the fader -15; left and right meet in
    // the mono bus at half their size each, and each part counts by itself as at an ear: -15 + 20 log10(1/2) = -21 dB.
    'as it comes' => [[], ['in' => '6.7', 'pre' => 'Yellow', 'post' => 'Green', 'sum' => '-21 dB', 'bar' => 'moves']],
    // 22 dB of gain: +2 before the fader, -3 behind it, -9 in the bus.
    'louder' => [['points' => ['strip' => ['gain' => 22]]], ['in' => '6.7', 'pre' => 'Red', 'post' => 'Yellow', 'sum' => '-9 dB', 'bar' => 'moves']],
    // Muted it is seen where the meter is taken before the mute, and nowhere else.
    'muted' => [['points' => ['strip' => ['mute' => true]]], ['in' => '6.7', 'pre' => 'nothing', 'post' => 'nothing', 'sum' => 'nothing',
        'bar' => 'nothing']],
    'the fader down' => [['points' => ['strip' => ['fader' => -60]]], ['in' => '6.7', 'pre' => 'Yellow', 'post' => 'nothing', 'sum' => 'nothing',
        'bar' => 'nothing']],
]);

it('lights lamps by what is muted and how a setting stands', function () {
    $lit = function (array $settings): array {
        $rig = meteredDesk($settings)->make();
        $readings = new Readings((new GraphBuilder($rig))->build($rig->base()));

        return array_map(fn ($lamp) => $readings->isLit($rig->units['desk-1'], $lamp), $rig->modelOf('desk-1')->lamps);
    };
    expect($lit([]))->toBe(['off' => false, 'on' => true, 'lit' => false])
        ->and($lit(['points' => ['strip' => ['mute' => true]], 'values' => ['bright' => true]]))->toBe(['off' => true, 'on' => false, 'lit' => true]);
});

it('says what lies below a scale or below the lowest zone', function () {
    $rig = meteredDesk()->make();
    [$in, , $post, , $bar] = array_values($rig->modelOf('desk-1')->meters);
    expect($in->reading(-61))->toBe('below its scale')->and($post->reading(-61))->toBe('stays dark')->and($post->reading(-12))->toBe('Yellow')
        ->and($bar->reading(-80))->toBe('moves')->and($post->tap)->toBe(Tap::PostFader);
});

it('prints them, situation by situation, and writes what it has read', function () {
    $rig = meteredDesk()->make();
    [, $table] = (new MetersToExpect)->blocks(new BookInput($rig));
    expect($table->columns)->toBe(['Meter or lamp', 'A usual level', 'Sound', 'Base', 'Night'])->and($table->rows[1])->toBe(['Pre', 'Red', 'Tone', 'Yellow', 'Yellow'])
        ->and($table->rows[5])->toBe(['Muted', '', '', 'dark', 'dark']);
    $text = (new DocumentWriter)->write($rig);
    expect((new DocumentWriter)->write((new DocumentReader)->read($text)))->toBe($text);
});

it('refuses meters and lamps that can\'t be', function (array $more, string $pointer) {
    try {
        meteredDesk([], $more)->make();
        $found = [];
    } catch (InvalidDocument $e) {
        $found = array_map(fn ($problem) => $problem->pointer, $e->problems);
    }
    expect($found)->toContain($pointer);
})->with([
    'a meter at no point' => [['meters' => [['point' => 'none']]], '/models/model-desk/meters/0/point'],
    'zones that fall' => [['meters' => [1 => ['zones' => [1 => ['from_db' => -70]]]]], '/models/model-desk/meters/1/zones/1'],
    'a lamp that shows nothing there is' => [['lamps' => [['point' => 'none']]], '/models/model-desk/lamps/0/point'],
    'a lamp at a value that is none' => [['lamps' => [2 => ['value' => 'yes']]], '/models/model-desk/lamps/2/value'],
]);
