<?php

declare(strict_types=1);

use HiddenWire\Core\Document\DocumentReader;
use HiddenWire\Core\Document\DocumentWriter;
use HiddenWire\Core\Document\InvalidDocument;
use HiddenWire\Core\Edit\MarkWish;
use HiddenWire\Core\Edit\MoveEffect;
use HiddenWire\Core\Edit\RemoveEffect;
use HiddenWire\Core\Edit\SetEffect;
use HiddenWire\Core\Edit\SetWish;
use HiddenWire\Core\Edit\Swap;
use HiddenWire\Core\Edit\SwitchEffect;
use HiddenWire\Core\Equipment\EffectKind;
use HiddenWire\Core\Equipment\EffectRack;
use HiddenWire\Core\History\RigDifference;
use HiddenWire\Core\Planning\Diagnosis;
use HiddenWire\Core\Planning\Hearings;
use HiddenWire\Core\Rig\Effect;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\Treatment;
use HiddenWire\Core\Rig\Want;
use HiddenWire\Core\Signal\EffectOrder;
use HiddenWire\Core\Signal\GraphBuilder;
use HiddenWire\Core\Signal\HeardPair;
use HiddenWire\Core\Signal\Hearing;
use HiddenWire\Core\Signal\SituationDifference;
use Tests\Support\Draft;

/**
 * A strip with room for effects, into air and ears; the second strip joins it in a mix that has room for effects of its own.
 *
 * @param  list<array<string, mixed>>  $effects
 * @param  array<string, mixed>  $rack
 */
function chained(array $effects, array $rack = ['most' => 4, 'per_mix' => true], array $routes = []): Draft
{
    $fader = ['from' => -60, 'to' => 10, 'db' => 0];
    $model = ['name' => 'Desk', 'family' => 'software-mixer', 'points' => [
        ['id' => 'tone', 'kind' => 'origin', 'channels' => 1], ['id' => 'other', 'kind' => 'origin', 'channels' => 1],
        ['id' => 'strip', 'kind' => 'strip', 'label' => 'Strip', 'channels' => 1, 'gain' => ['from' => 0, 'to' => 40, 'db' => 0], 'fader' => $fader, 'effects' => $rack],
        ['id' => 'air', 'kind' => 'bus', 'label' => 'Air', 'channels' => 1, 'effects' => ['most' => 2]],
        ['id' => 'ears', 'kind' => 'bus', 'label' => 'Ears', 'channels' => 1],
        ['id' => 'on-air', 'kind' => 'ear', 'channels' => 1], ['id' => 'phones', 'kind' => 'ear', 'channels' => 1],
    ], 'routes' => [['from' => 'tone', 'to' => 'strip'], ['from' => 'strip', 'to' => 'air', 'can' => ['on', 'tap']], ['from' => 'strip', 'to' => 'ears', 'can' => ['on', 'tap']],
        ['from' => 'other', 'to' => 'air', 'can' => ['on']], ['from' => 'air', 'to' => 'on-air'], ['from' => 'ears', 'to' => 'phones']]];

    return Draft::rig()->place('room')->unit('pc', 'older-computer', 'room')->unit('mix', $model, 'room', ['routes' => $routes])
        ->source('ann', 'mix/tone')->source('bob', 'mix/other')->listener('viewers', 'mix/on-air')->listener('me', 'mix/phones')
        ->situation('late', [])->with(function (array $d) use ($effects) {
            $d['units'][1]['effects'] = $effects;

            return $d;
        });
}

function heardFrom(Rig $rig, string $listener, ?string $situation = null): HeardPair
{
    return (new Hearing((new GraphBuilder($rig))->build($rig->situation($situation))))->pair('ann', $listener);
}

/** @return array{float|null, float|null, list<string>} dB, ms and effects */
function comesAs(Rig $rig, string $listener, ?string $situation = null): array
{
    $pair = heardFrom($rig, $listener, $situation);

    return [$pair->level()?->value(), $pair->delay()?->value(), $pair->effects()];
}

/** @return array<string, list<string>> */
function effectCauses(Rig $rig): array
{
    $causes = [];
    foreach ((new Diagnosis(new Hearings($rig)))->causes() as $cause) {
        $causes[$cause->sentence] = array_map(fn ($cure) => $cure->sentence, $cause->cures);
    }

    return $causes;
}

const GATE = ['id' => 'gate', 'at' => 'strip', 'kind' => 'gate', 'delay_ms' => 2];
const SQUEEZE = ['id' => 'squeeze', 'at' => 'strip', 'kind' => 'compressor', 'delay_ms' => 3, 'db' => 6];

it('passes a chain in its order, adds delays and levels, and tells who hears it processed', function (array $effects, array $routes, array $viewers, array $me) {
    $rig = chained($effects, ['most' => 4, 'per_mix' => true], $routes)->make();
    expect(comesAs($rig, 'viewers'))->toBe($viewers)->and(comesAs($rig, 'me'))->toBe($me);
})->with([
    'none' => [[], [], [0.0, 0.0, []], [0.0, 0.0, []]],
    'two' => [[GATE, SQUEEZE], [], [6.0, 5.0, ['Strip: Gate', 'Strip: Compressor']], [6.0, 5.0, ['Strip: Gate', 'Strip: Compressor']]],
    'one bypassed' => [[['on' => false] + GATE, SQUEEZE], [], [6.0, 3.0, ['Strip: Compressor']], [6.0, 3.0, ['Strip: Compressor']]],
    'one not for the ears' => [[GATE, ['off_for' => ['ears']] + SQUEEZE], [], [6.0, 5.0, ['Strip: Gate', 'Strip: Compressor']], [0.0, 2.0, ['Strip: Gate']]],
    'none for the ears' => [[['off_for' => ['ears']] + GATE, ['off_for' => ['ears']] + SQUEEZE], [], [6.0, 5.0, ['Strip: Gate', 'Strip: Compressor']], [0.0, 0.0, []]],
    'pre-fader is behind the chain, the input before it' => [[GATE], ['strip>air' => ['tap' => 'input'], 'strip>ears' => ['tap' => 'pre-fader']],
        [0.0, 0.0, []], [0.0, 2.0, ['Strip: Gate']]],
    'a name of its own' => [[['name' => 'Door'] + GATE], [], [0.0, 2.0, ['Strip: Door']], [0.0, 2.0, ['Strip: Door']]],
]);

it('has gain before the chain, the fader behind it, for each mix', function () {
    $rig = chained([['off_for' => ['ears']] + SQUEEZE])->set('mix', 'points', 'strip', ['gain' => 10, 'fader' => -4])->make();
    // 10 + 6 - 4 on air, 10 - 4 in the ears.
    expect(comesAs($rig, 'viewers')[0])->toBe(12.0)->and(comesAs($rig, 'me')[0])->toBe(6.0);
});

it('switches an effect in one situation, and as in the default again', function () {
    $rig = chained([GATE])->make();
    $late = (new SwitchEffect('late', 'mix', 'gate', false))->applyTo($rig);
    expect(comesAs($late, 'me', 'late')[2])->toBe([])->and(comesAs($late, 'me')[2])->toBe(['Strip: Gate'])
        ->and((new SwitchEffect('late', 'mix', 'gate', false))->words($rig))->toBe('Mix: Gate of Strip bypassed in Late')
        ->and((new RigDifference($rig, $late))->lines())->toBe(['Situations' => ['Late: Mix: Gate of Strip bypassed']]);
    expect((new SwitchEffect('late', 'mix', 'gate', null))->applyTo($late)->situations['late']->effects)->toBe([]);
    $hear = fn (string $in) => new Hearing((new GraphBuilder($late))->build($late->situations[$in]));
    expect((new SituationDifference($hear('base'), $hear('late')))->changes)->toBe(['Mix: Gate of Strip bypassed'])
        ->and((new SituationDifference($hear('late'), $hear('base')))->changes)->toBe(['Mix: Gate of Strip on']);
});

it('adds, sets, moves and removes effects, and says so', function () {
    $rig = chained([GATE, SQUEEZE])->make();
    $limiter = new Effect('limiter', 'strip', EffectKind::Limiter);
    $add = new SetEffect('mix', $limiter);
    expect($add->words($rig))->toBe('Mix: Limiter of Strip added')
        ->and(array_map(fn ($one) => $one->id, $add->applyTo($rig)->units['mix']->effects))->toBe(['gate', 'squeeze', 'limiter']);
    $set = new SetEffect('mix', $rig->units['mix']->effect('gate')->with(on: false, offFor: ['ears']));
    expect($set->words($rig))->toBe('Mix: Gate of Strip bypassed, not for Ears');
    $moved = (new MoveEffect('mix', 'squeeze', true))->applyTo($rig);
    expect(comesAs($moved, 'me')[2])->toBe(['Strip: Compressor', 'Strip: Gate'])
        ->and((new RigDifference($rig, $moved))->lines())->toBe(['Places and units' => ['the order of the effects of Mix changed']])
        ->and((new MoveEffect('mix', 'gate', true))->applyTo($rig)->units['mix']->effects)->toEqual($rig->units['mix']->effects);
    $switched = (new SwitchEffect('late', 'mix', 'gate', false))->applyTo($rig);
    $removed = (new RemoveEffect('mix', 'gate'))->applyTo($switched);
    expect($removed->units['mix']->effects)->toHaveCount(1)->and($removed->situations['late']->effects)->toBe([])
        ->and((new RemoveEffect('mix', 'gate'))->words($rig))->toBe('Mix: Gate of Strip removed');
});

describe('a wish for dry or processed', function () {
    $wished = fn (array $effects, string $listener, string $treatment): Rig => chained($effects)->add(
        'wishes',
        ['source' => 'ann', 'listener' => $listener, 'want' => 'must', 'treatment' => $treatment],
    )->make();

    it('is judged by the strongest way', function (array $effects, string $treatment, string $verdict) use ($wished) {
        expect(heardFrom($wished($effects, 'me', $treatment), 'me')->verdict->value)->toBe($verdict);
    })->with([
        [[], 'dry', 'ok'], [[GATE], 'dry', 'treated'], [[GATE], 'processed', 'ok'], [[], 'processed', 'treated'],
        [[['off_for' => ['ears']] + GATE], 'dry', 'ok'], [[['on' => false] + GATE], 'processed', 'treated'],
    ]);

    it('has its cure in the chain', function (array $effects, string $treatment, string $cause, string $cure) use ($wished) {
        $rig = $wished($effects, 'me', $treatment);
        $causes = effectCauses($rig);
        expect(array_key_first($causes))->toBe($cause)->and($causes[$cause][0])->toBe($cure);
        expect(effectCauses((new Diagnosis(new Hearings($rig)))->causes()[0]->cures[0]->applyTo($rig)))->toBe([]);
    })->with([
        'left out of this mix alone' => [[GATE], 'dry', 'Gate of Strip of Mix is on for Ears', 'Bypass Gate of Strip of Mix for Ears'],
        'into this mix again' => [[['off_for' => ['ears']] + GATE], 'processed', 'Gate of Strip of Mix is not on for Ears', 'Switch on Gate of Strip of Mix for Ears'],
        'on again' => [[['on' => false] + GATE], 'processed', 'Gate of Strip of Mix is bypassed', 'Switch on Gate of Strip of Mix'],
    ]);

    it('is said of a wish, and stays when the wish changes', function () {
        $rig = chained([])->wish('ann', 'me', 'must')->make();
        $mark = new MarkWish('ann', 'me', null, false, Treatment::Dry);
        $marked = $mark->applyTo($rig);
        expect($mark->words($rig))->toBe('Ann at Me: dry')->and($marked->wishes[0]->treatment)->toBe(Treatment::Dry)
            ->and((new RigDifference($rig, $marked))->lines())->toBe(['Sounds, listeners and wishes' => ['Ann at Me: must, dry']])
            ->and((new SetWish('ann', 'me', Want::May))->applyTo($marked)->wishes[0]->treatment)->toBe(Treatment::Dry);
    });
});

it('tells orders that defeat themselves', function (array $effects, array $told) {
    $rig = chained($effects)->make();
    expect((new EffectOrder((new GraphBuilder($rig))->build($rig->base())))->troubles($rig->units['mix']))->toBe($told);
})->with([
    'a chain as it should be' => [[GATE, SQUEEZE, ['id' => 'limit', 'at' => 'strip', 'kind' => 'limiter']], []],
    'noise removal behind a mix' => [[['id' => 'hush', 'at' => 'air', 'kind' => 'noise-removal']],
        ['Mix · Air: noise removal behind a mix takes all but one voice for noise. Put it before the sounds meet.']],
    'noise removal on one voice' => [[['id' => 'hush', 'at' => 'strip', 'kind' => 'noise-removal']], []],
    'the compressor before the gate' => [[SQUEEZE, GATE],
        ['Mix · Strip: the compressor lifts the room that Gate behind it should hush. Exchange the two.']],
    'the compressor before the gate, behind noise removal' => [
        [['id' => 'hush', 'at' => 'strip', 'kind' => 'noise-removal'], SQUEEZE, GATE],
        ['Mix · Strip: the compressor lifts the room that Gate behind it should hush. Exchange the two.']],
    'the gate before noise removal' => [[GATE, ['id' => 'hush', 'at' => 'strip', 'kind' => 'noise-removal']],
        ['Mix · Strip: the gate silences the pauses from which Noise removal behind it learns the noise. Exchange the two.']],
    'noise removal twice' => [[['id' => 'hush', 'at' => 'strip', 'kind' => 'noise-removal'],
        ['id' => 'hush-2', 'at' => 'strip', 'kind' => 'noise-removal']],
        ['Mix · Strip: Noise removal works on what another has left of the voice. Keep one of the two.']],
    'noise removal, gate, compressor, limiter' => [[['id' => 'hush', 'at' => 'strip', 'kind' => 'noise-removal'], GATE, SQUEEZE,
        ['id' => 'limit', 'at' => 'strip', 'kind' => 'limiter']], []],
    'a bypassed one does nothing' => [[SQUEEZE, ['on' => false] + GATE], []],
    'level behind the limiter' => [[['id' => 'limit', 'at' => 'strip', 'kind' => 'limiter'], SQUEEZE],
        ['Mix · Strip: Compressor lifts the level behind the limiter. Put the limiter last.']],
]);

it('refuses effects for which there is no room', function (array $effects, array $rack, string $refusal) {
    try {
        chained($effects, $rack)->make();
        $told = [];
    } catch (InvalidDocument $e) {
        $told = array_map(fn ($problem) => "{$problem->pointer}: {$problem->message}", $e->problems);
    }
    expect($told)->toBe([$refusal]);
})->with([
    'no rack' => [[['at' => 'ears'] + GATE], ['most' => 1], '/units/1/effects/0/at: "Ears" has no room for effects.'],
    'too many' => [[GATE, SQUEEZE], ['most' => 1], '/units/1/effects/1/at: "Strip" has room for 1 effect.'],
    'another kind' => [[SQUEEZE], ['most' => 1, 'kinds' => ['gate', 'noise-removal']], '/units/1/effects/0/kind: "Strip" takes only gate, noise removal.'],
    'not per mix' => [[['off_for' => ['ears']] + GATE], ['most' => 1], '/units/1/effects/0/off_for/0: "Strip" has its effects for all mixes or none.'],
    'no such mix' => [[['off_for' => ['phones']] + GATE], ['most' => 1, 'per_mix' => true], '/units/1/effects/0/off_for/0: Nothing leads from "strip" to "phones".'],
    'one id twice' => [[GATE, GATE], ['most' => 2], '/units/1/effects/1/id: The id "gate" is taken by /units/1/effects/0.'],
    'too late' => [[['delay_ms' => 5001] + GATE], ['most' => 1], '/units/1/effects/0/delay_ms: An effect holds its sound back by 5000 ms at most.'],
]);

it('keeps what another model has room for, and comes through a document', function () {
    $rig = (new SwitchEffect('late', 'mix', 'squeeze', false))->applyTo(chained([['off_for' => ['ears']] + GATE, SQUEEZE])->make());
    $model = $rig->modelOf('mix');
    $less = $model->with(id: 'less', points: array_map(fn ($point) => $point->id === 'strip' ? $point->with(effects: new EffectRack(1)) : $point, $model->points));
    $swap = new Swap($rig, $rig->units['mix'], $less);
    expect($swap->losses)->toBe(['that Gate is not for Ears', 'Compressor of Strip'])->and($swap->rig->units['mix']->effects)->toHaveCount(1)
        ->and($swap->rig->situations['late']->effects)->toBe([]);
    $text = (new DocumentWriter)->write($rig);
    expect((new DocumentWriter)->write((new DocumentReader)->read($text)))->toBe($text)
        ->and($text)->toContain('{"id": "gate", "at": "strip", "kind": "gate", "delay_ms": 2, "off_for": ["ears"]}')
        ->toContain('"effects": [{"unit": "mix", "effect": "squeeze", "on": false}]');
});
