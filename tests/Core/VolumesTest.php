<?php

declare(strict_types=1);

use HiddenWire\Core\Planning\Volumes;
use Tests\Support\Draft;

/**
 * Two sounds through a bus that the hall hears too, then by the phones' fader of the desk, a lead, and the knob of an amplifier.
 *
 * @param  array<string, float>  $db  of the faders, by unit and point
 */
function inSeries(array $db, float $most = 10): Draft
{
    $fader = fn (float $to = 10): array => ['from' => -90, 'to' => $to, 'db' => 0];
    $draft = Draft::rig()->unit('desk', [
        'sockets' => [['id' => 'phones', 'label' => 'Phones', 'connector' => 'trs-6.35', 'signal' => 'headphone', 'lanes' => [['id' => 'out', 'way' => 'out', 'point' => 'phones']]]],
        'points' => [
            ['id' => 'a', 'kind' => 'origin', 'channels' => 2], ['id' => 'b', 'kind' => 'origin', 'channels' => 2],
            ['id' => 'strip', 'kind' => 'strip', 'label' => 'Strip', 'channels' => 2, 'fader' => $fader()],
            ['id' => 'main', 'kind' => 'bus', 'label' => 'Main', 'channels' => 2, 'fader' => $fader()],
            ['id' => 'phones', 'kind' => 'bus', 'label' => 'Phones', 'channels' => 2, 'fader' => $fader()],
            ['id' => 'hall', 'kind' => 'ear', 'channels' => 2],
        ],
        'routes' => [['from' => 'a', 'to' => 'strip'], ['from' => 'strip', 'to' => 'main'], ['from' => 'b', 'to' => 'main'],
            ['from' => 'main', 'to' => 'phones'], ['from' => 'main', 'to' => 'hall']],
    ])->unit('amp', [
        'sockets' => [['id' => 'in', 'label' => 'In', 'connector' => 'trs-6.35', 'signal' => 'headphone', 'lanes' => [['id' => 'in', 'way' => 'in', 'point' => 'in']]]],
        'points' => [['id' => 'in', 'kind' => 'in', 'channels' => 2], ['id' => 'knob', 'kind' => 'bus', 'label' => 'Knob', 'channels' => 2, 'fader' => $fader($most)],
            ['id' => 'ear', 'kind' => 'ear', 'channels' => 2]],
        'routes' => [['from' => 'in', 'to' => 'knob'], ['from' => 'knob', 'to' => 'ear']],
    ])->cable('trs', 'desk/phones', 'amp/in')->source('a', 'desk/a')->source('b', 'desk/b')->listener('me', 'amp/ear')->listener('hall', 'desk/hall');
    foreach ($db as $at => $value) {
        [$unit, $point] = explode('/', $at);
        $draft = $draft->set($unit, 'points', $point, ['fader' => $value]);
    }

    return $draft;
}

function volumes(Draft $draft): Volumes
{
    $hearing = $draft->hear();

    return new Volumes($hearing, $hearing->rig->listeners['me']);
}

it('lists what everything passes in series, and chooses the last knob that is nobody else\'s', function () {
    $volumes = volumes(inSeries(['desk/strip' => -5, 'desk/main' => -3, 'desk/phones' => -20]));
    // The strip is passed by one of the sounds only.
    expect(array_map(fn (array $knob) => [$knob['name'], $knob['db'], $knob['isAlone']], $volumes->knobs))->toBe([
        ['Desk · Main', -3.0, false], ['Desk · Phones', -20.0, true], ['Amp · Knob', 0.0, true],
    ])->and((string) $volumes->working)->toBe('amp/knob')->and($volumes->isInSeries())->toBeTrue();
});

it('brings the others to their reference by one edit, with the level kept, and leaves what others hear alone', function () {
    $draft = inSeries(['desk/main' => -3, 'desk/phones' => -20]);
    $rig = $draft->make();
    $before = $draft->pair('a', 'me')->level();
    foreach (volumes($draft)->edits() as $edit) {
        $rig = $edit->applyTo($rig);
    }
    $faders = fn (string $unit, string $point): ?float => $rig->units[$unit]->points[$point]->fader?->value();
    // -20 + 0 becomes 0 + -20; the main fader is the hall's, too.
    expect([$faders('desk', 'main'), $faders('desk', 'phones'), $faders('amp', 'knob')])->toBe([-3.0, 0.0, -20.0])
        ->and($rig->papers->reasonFor('units/desk/points/phones')?->words())->toBe('Leave alone. Amp · Knob is the volume of Me.');
    $after = inSeries(['desk/main' => -3, 'desk/phones' => 0, 'amp/knob' => -20])->pair('a', 'me')->level();
    expect($after)->toEqual($before);
});

it('offers nothing where nothing is off, the knob does not go as far, or a situation sets one of them', function () {
    expect(volumes(inSeries([]))->edits())->toBeNull()
        ->and(volumes(inSeries(['desk/phones' => 6, 'amp/knob' => 5]))->edits())->toBeNull()
        ->and(volumes(inSeries(['desk/phones' => 6, 'amp/knob' => 4]))->edits())->toHaveCount(3)
        ->and(volumes(inSeries(['desk/phones' => -20])->situation('late', ['desk/phones' => ['fader' => -40]]))->edits())->toBeNull();
    $alone = inSeries([])->with(function (array $d) {
        $d['listeners'][] = ['id' => 'you', 'name' => 'You', 'kind' => 'headphones', 'at' => ['amp/ear']];

        return $d;
    });
    expect(volumes($alone)->working)->toBeNull()->and(volumes($alone)->isInSeries())->toBeFalse();
});
