<?php

declare(strict_types=1);

use HiddenWire\Core\Checks\Examination;
use HiddenWire\Core\Checks\Finding;
use HiddenWire\Core\Planning\Hearings;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Signal\Verdict;
use Tests\Support\Draft;

/**
 * A voice on a strip whose fader is at -6 dB. Main goes to the hall; the booth gets an aux, the phones either Main or the aux beside it.
 *
 * @param  list<array<string, mixed>>  $moves  of the one control that somebody has entered
 * @param  array<string, mixed>  $settings  of the desk
 */
function handOfItsOwn(array $moves, array $settings = []): Rig
{
    $socket = fn (string $id, string $way, string $point): array => ['id' => $id, 'label' => ucfirst($id), 'connector' => 'trs-6.35', 'balanced' => true,
        'lanes' => [['id' => 'l', 'way' => $way, 'point' => $point]]];
    $fader = ['from' => -60, 'to' => 10, 'db' => 0];
    $send = fn (string $from, string $to): array => ['from' => $from, 'to' => $to, 'can' => ['on', 'db', 'tap']];
    $choice = fn (string $from): array => ['from' => $from, 'to' => 'phones', 'group' => 'listen', 'on' => $from === 'main', 'can' => ['on']];

    return Draft::rig()->tone('voice', 1, 'trs-6.35', true)
        ->unit(
            'desk',
            ['family' => 'mixer', 'sockets' => [$socket('in', 'in', 'a'), $socket('hall', 'out', 'main'), $socket('booth', 'out', 'aux'),
                $socket('ears', 'out', 'phones')],
                'points' => [
                    ['id' => 'a', 'kind' => 'strip', 'label' => 'A', 'channels' => 1, 'fader' => $fader],
                    ['id' => 'main', 'kind' => 'bus', 'label' => 'Main', 'channels' => 1, 'fader' => $fader],
                    ['id' => 'aux', 'kind' => 'bus', 'label' => 'Aux', 'channels' => 1],
                    ['id' => 'spare', 'kind' => 'bus', 'label' => 'Spare', 'channels' => 1, 'fader' => $fader],
                    ['id' => 'phones', 'kind' => 'out', 'label' => 'Phones', 'channels' => 1]],
                'routes' => [$send('a', 'main'), $send('a', 'aux'), [...$send('a', 'spare'), 'on' => false], $choice('main'), $choice('spare')]],
            settings: $settings,
        )
        ->ear('hall', 1, 'trs-6.35', true)->ear('booth', 1, 'trs-6.35', true)->ear('ears', 1, 'trs-6.35', true)
        ->cable('trs', 'voice/out', 'desk/in')->cable('trs', 'desk/hall', 'hall/in')->cable('trs', 'desk/booth', 'booth/in')
        ->cable('trs', 'desk/ears', 'ears/in')
        ->with(function (array $document) use ($moves): array {
            $document['wishes'] = [['source' => 'voice', 'listener' => 'hall', 'want' => 'must', 'own_level' => 'listeners']];
            $document['controls'] = [['id' => 'hand', 'name' => 'Hand', 'kind' => 'fader', 'at' => 'units/desk', 'moves' => $moves]];

            return $document;
        })->make();
}

/** @return array{Finding, list<string>} what is lacking, and what is offered */
function lackingHand(Rig $rig): array
{
    $found = array_values(array_filter(
        Examination::of(new Hearings($rig), [], null)->findings,
        fn (Finding $one) => $one->code === 'control.lacking',
    ));

    return [$found[0], array_map(fn ($cure) => $cure->sentence, $found[0]->cures)];
}

/** @return array<string, string> dB by listener */
function levelsAt(Rig $rig): array
{
    $levels = [];
    foreach ((new Hearings($rig))->in($rig->base()->id)->all() as $pair) {
        $levels[$pair->listener->id] = $pair->verdict === Verdict::Missing ? 'silent' : (string) $pair->level()?->text();
    }

    return $levels;
}

it('takes others before the fader that a hand moves, as loud as they were', function () {
    $rig = handOfItsOwn(
        [['at' => 'desk/a', 'set' => 'fader', 'from' => -60, 'to' => 10, 'law' => 'taper']],
        ['points' => ['a' => ['fader' => -6]], 'routes' => ['spare>phones' => ['on' => true], 'main>phones' => ['on' => false]]],
    );
    [$finding, $offered] = lackingHand($rig);
    expect($finding->sentence)->toBe('No control moves Voice for Hall alone: Hand also moves Voice for Booth');
    $cure = $finding->cures[array_search('Take it before the fader of Hand for Booth', $offered, true)];
    $cured = array_reduce($cure->edits, fn (Rig $rig, $edit) => $edit->applyTo($rig), $rig);
    // By hand: the aux gets it before the fader now, and its send takes the fader's -6 dB over.
    $set = $cured->units['desk']->routes['a>aux'];
    expect([$set->tap->value, $set->db->number()])->toBe(['pre-fader', -6])
        ->and(levelsAt($cured))->toBe(levelsAt($rig))
        ->and(array_filter(Examination::of(new Hearings($cured), [], null)->findings, fn (Finding $one) => $one->code === 'control.lacking'))->toBe([]);
});

it('gives others a second mix where a hand moves the mix of all', function () {
    $rig = handOfItsOwn([['at' => 'desk/main', 'set' => 'fader', 'from' => -60, 'to' => 10, 'law' => 'taper']], ['points' => ['main' => ['fader' => -3]]]);
    [$finding, $offered] = lackingHand($rig);
    expect($finding->sentence)->toBe('No control moves Voice for Hall alone: Hand also moves Voice for Ears');
    $cure = $finding->cures[array_search('Give Ears a second mix, alike the one that Hand moves', $offered, true)];
    $cured = array_reduce($cure->edits, fn (Rig $rig, $edit) => $edit->applyTo($rig), $rig);
    // By hand: the spare mix gets the voice as Main does, at Main's -3 dB, and the phones take that.
    $desk = $cured->units['desk'];
    expect($desk->routes['a>spare']->on)->toBeTrue()->and($desk->points['spare']->fader?->number())->toBe(-3)
        ->and($desk->routes['spare>phones']->on)->toBeTrue()->and(levelsAt($cured))->toBe(levelsAt($rig))
        ->and(array_filter(Examination::of(new Hearings($cured), [], null)->findings, fn (Finding $one) => $one->code === 'control.lacking'))->toBe([]);
});

it('offers neither where the send is fixed and no mix is free', function () {
    $rig = handOfItsOwn(
        [['at' => 'desk/a', 'set' => 'fader', 'from' => -60, 'to' => 10, 'law' => 'taper']],
        ['routes' => ['a>aux' => ['tap' => 'pre-fader', 'db' => -2]]],
    );
    // The phones share the mix with the hall: what moves the strip moves both.
    [$finding, $offered] = lackingHand($rig);
    expect($finding->sentence)->toBe('No control moves Voice for Hall alone: Hand also moves Voice for Ears')
        ->and(array_filter($offered, fn (string $one) => str_starts_with($one, 'Take') || str_starts_with($one, 'Give')))->toBe([]);
});
