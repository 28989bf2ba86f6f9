<?php

declare(strict_types=1);

use HiddenWire\Core\Controls\ControlReach;
use HiddenWire\Core\Controls\MovedPair;
use HiddenWire\Core\Controls\SeenMoved;
use HiddenWire\Core\Controls\SeenVerdict;
use HiddenWire\Core\Document\DocumentReader;
use HiddenWire\Core\Document\Growing;
use HiddenWire\Core\Document\InvalidDocument;
use HiddenWire\Core\Edit\RemoveControl;
use HiddenWire\Core\Edit\RemoveUnit;
use HiddenWire\Core\Edit\SetControl;
use HiddenWire\Core\Edit\SwapUnit;
use HiddenWire\Core\Equipment\ControlKind;
use HiddenWire\Core\Equipment\Gesture;
use HiddenWire\Core\Equipment\Law;
use HiddenWire\Core\Equipment\ModelControl;
use HiddenWire\Core\Equipment\ModelMove;
use HiddenWire\Core\Planning\Hearings;
use HiddenWire\Core\Rig\Control;
use HiddenWire\Core\Rig\ElementRef;
use HiddenWire\Core\Rig\Hands;
use HiddenWire\Core\Rig\InvalidRig;
use HiddenWire\Core\Rig\Move;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\Problem;
use HiddenWire\Core\Rig\Rig;
use Tests\Support\Draft;

/**
 * A desk that comes with a fader, a key that mutes both strips, and one that does something else while the first is held; two voices go
 * through it to a pair of ears.
 *
 * @param  list<array<string, mixed>>  $more  further controls of the model
 */
function handedDesk(array $more = []): Draft
{
    $fader = ['from' => -50, 'to' => 10, 'db' => 0];
    $socket = fn (string $id, string $way): array => ['id' => $id, 'label' => ucfirst($id), 'connector' => 'trs-6.35', 'balanced' => true,
        'lanes' => [['id' => 'l', 'way' => $way, 'point' => $id]]];
    $mute = fn (string $at, array $more = []): array => ['at' => $at, 'set' => 'mute', 'from' => false, 'to' => true, 'law' => 'toggle',
        'by' => 'press', ...$more];

    return Draft::rig()->tone('one', 1, 'trs-6.35', true)->tone('two', 1, 'trs-6.35', true)
        ->unit('desk', ['family' => 'mixer', 'name' => 'Small desk', 'sockets' => [$socket('a-1', 'in'), $socket('a-2', 'in'), $socket('main', 'out')],
            'points' => [
                ['id' => 'a-1', 'kind' => 'strip', 'label' => 'A 1', 'channels' => 1, 'fader' => $fader, 'mute' => false],
                ['id' => 'a-2', 'kind' => 'strip', 'label' => 'A 2', 'channels' => 1, 'fader' => $fader, 'mute' => false],
                ['id' => 'main', 'kind' => 'bus', 'label' => 'Main', 'channels' => 1, 'mute' => false]],
            'routes' => [['from' => 'a-1', 'to' => 'main', 'can' => ['on']], ['from' => 'a-2', 'to' => 'main', 'can' => ['on']]],
            'settings' => [['id' => 'first-off', 'label' => 'First off', 'kind' => 'switch', 'factory' => false,
                'effects' => [['value' => true, 'route' => 'a-1>main', 'on' => false]]]],
            'grows' => [['id' => 'inputs', 'label' => 'input', 'least' => 1, 'most' => 8, 'parts' => ['a']]],
            'controls' => [
                ['id' => 'fader-a-2', 'name' => 'Fader 2', 'legend' => 'A 2', 'kind' => 'fader',
                    'moves' => [['at' => 'a-2', 'set' => 'fader', 'from' => -50, 'to' => 10, 'law' => 'taper']]],
                ['id' => 'all', 'name' => 'All quiet', 'kind' => 'key', 'moves' => [$mute('a-1'), $mute('a-2')]],
                ['id' => 'shifted', 'name' => 'Shifted', 'kind' => 'key', 'moves' => [
                    $mute('main', ['with' => 'all']), ['at' => 'a-1>main', 'set' => 'on', 'from' => true, 'to' => false, 'law' => 'toggle', 'by' => 'long'],
                    ['at' => 'settings/first-off', 'set' => 'value', 'from' => false, 'to' => true, 'law' => 'toggle', 'by' => 'hold']]],
                ...$more,
            ]])
        ->ear('ears', 1, 'trs-6.35', true)
        ->cable('trs', 'one/out', 'desk/a-1')->cable('trs', 'two/out', 'desk/a-2')->cable('trs', 'desk/main', 'ears/in');
}

/** @return list<string> "one ears: 0.0 dB to silent (press)" */
function handed(Rig $rig, string $control): array
{
    $base = $rig->base()->id;

    return array_map(
        fn ($one) => "{$one->source->id} {$one->listener->id}: {$one->words()} ({$one->by->value})",
        (new ControlReach(new Hearings($rig)))->of(Hands::of($rig)[$control], $base),
    );
}

it('gives every unit the controls of its model, and hears what they do', function () {
    $rig = handedDesk()->make();
    expect(array_keys(Hands::of($rig)))->toBe(['desk-fader-a-2', 'desk-all', 'desk-shifted'])
        ->and(array_map(fn (Control $one) => (string) $one->at, array_values(Hands::of($rig))))->toBe(['units/desk', 'units/desk', 'units/desk'])
        // By hand: all is at 0 dB. The fader has the second alone, the key both; a long and a short press are distinguished.
        ->and(handed($rig, 'desk-fader-a-2'))->toBe(['two ears: −50.0 dB to 10.0 dB (move)'])
        ->and(handed($rig, 'desk-all'))->toBe(['one ears: 0.0 dB to silent (press)', 'two ears: 0.0 dB to silent (press)'])
        ->and(handed($rig, 'desk-shifted'))->toBe([
            'one ears: 0.0 dB to silent (press)', 'two ears: 0.0 dB to silent (press)', 'one ears: 0.0 dB to silent (long)',
            'one ears: 0.0 dB to silent (hold)',
        ])
        ->and(Hands::of($rig)['desk-shifted']->moves[0]->with)->toBe('desk-all');
});

it('says from the other side which of them move a sound, and nothing of those that stand elsewhere', function () {
    $rig = handedDesk()->make();
    $moving = (new ControlReach(new Hearings($rig)))->moving('two', 'ears', $rig->base()->id);
    expect(array_map(fn (array $one) => $one['control']->id, $moving))->toBe(['desk-fader-a-2', 'desk-all', 'desk-shifted'])
        ->and(array_map(fn (array $one) => count($one['besides']), $moving))->toBe([0, 1, 3]);
});

it('finds by the ends of each what all of its positions find', function () {
    $plan = new Hearings((new DocumentReader)->read(shipped('rigs/night-relay.json')));
    $reach = new ControlReach($plan);
    $ids = fn (array $moving): array => array_map(
        fn (array $one) => [$one['control']->id, array_map(fn (MovedPair $pair) => [$pair->source->id, $pair->listener->id], $one['besides'])],
        $moving,
    );
    $tried = 0;
    foreach ($plan->rig->controls as $control) {
        // Each position of a control of the rig's own, not only its ends.
        $moved = array_values(array_filter($reach->of($control, 'on-air'), fn (MovedPair $one) => $one->isInLevel()));
        foreach ($plan->in('on-air')->all() as $pair) {
            $isIt = fn (MovedPair $one): bool => $one->source === $pair->source && $one->listener === $pair->listener;
            $found = array_filter($reach->moving($pair->source->id, $pair->listener->id, 'on-air'), fn (array $one) => $one['control'] === $control);
            $expected = array_filter($moved, $isIt) === [] ? []
                : [['control' => $control, 'besides' => array_filter($moved, fn (MovedPair $one) => ! $isIt($one))]];
            expect($ids(array_values($found)))->toEqual(array_map(fn (array $one) => [$one[0], array_values($one[1])], $ids($expected)));
            $tried += count($expected);
        }
    }
    expect($tried)->toBeGreaterThan(10);
});

it('lets the rig say otherwise of one, and has it as it comes again when that is removed', function () {
    $rig = handedDesk()->make();
    $mine = Hands::of($rig)['desk-fader-a-2']->with(legend: 'Host', position: 80.0);
    $set = (new SetControl($mine))->applyTo($rig);
    expect(array_keys(Hands::of($set)))->toBe(['desk-fader-a-2', 'desk-all', 'desk-shifted'])
        ->and(Hands::of($set)['desk-fader-a-2']->words())->toBe('Desk: Fader 2 (Host)')
        ->and(Hands::isOwn($set, $mine))->toBeTrue()->and(Hands::isOwn($rig, Hands::of($rig)['desk-all']))->toBeFalse()
        ->and(count($set->parts()->controls))->toBe(1);
    $back = (new RemoveControl('desk-fader-a-2'))->applyTo($set);
    expect($back->controls)->toBe([])->and(Hands::of($back)['desk-fader-a-2']->legend)->toBe('A 2');
});

it('lets a control of the rig be held with one that a unit comes with, as long as that is there', function () {
    $rig = handedDesk()->unit('other', ['points' => [['id' => 'x', 'kind' => 'bus', 'label' => 'X', 'channels' => 1, 'mute' => false]]])->make();
    $pad = new Control('pad', 'Pad', ControlKind::Pad, ElementRef::unit('other'), moves: [
        new Move(new PointRef('other', 'x'), 'mute', false, true, Law::Toggle, Gesture::Press, 'desk-all'),
        new Move(new PointRef('other', 'x'), 'mute', false, true, Law::Toggle, Gesture::Long),
    ]);
    $set = (new SetControl($pad))->applyTo($rig);
    expect((new RemoveUnit('desk'))->applyTo($set)->controls['pad']->moves)->toHaveCount(1)
        ->and((new SwapUnit('desk', $set->modelOf('desk')->with(id: 'plain', controls: [])))->applyTo($set)->controls['pad']->moves)->toHaveCount(1)
        ->and($set->controls['pad']->moves)->toHaveCount(2);
});

it('grows with its model: a fader more, and a move more of what moves all', function () {
    $model = handedDesk()->make()->modelOf('desk');
    $moves = fn (ModelControl $one): array => array_map(fn (ModelMove $move) => $move->at, $one->moves);
    $larger = Growing::to($model, $model->grows['inputs'], 3)->controls;
    expect(array_keys($larger))->toBe(['fader-a-2', 'fader-a-3', 'all', 'shifted'])
        ->and($larger['fader-a-3']->name)->toBe('Fader 3')->and($larger['fader-a-3']->legend)->toBe('A 3')
        ->and($moves($larger['fader-a-3']))->toBe(['a-3'])->and($moves($larger['fader-a-2']))->toBe(['a-2'])
        ->and($moves($larger['all']))->toBe(['a-1', 'a-2', 'a-3'])
        ->and($moves($larger['shifted']))->toBe(['main', 'a-1>main', 'settings/first-off']);
    $smaller = Growing::to($model, $model->grows['inputs'], 1)->controls;
    expect(array_keys($smaller))->toBe(['all', 'shifted'])->and($moves($smaller['all']))->toBe(['a-1']);
});

it('hears what an assigned control does for each thing that it can be assigned to', function () {
    // Two sounds on one fader: it has the one or the other.
    $rig = handedDesk()->make();
    $moves = array_map(
        fn (string $at) => new Move(new PointRef('desk', $at), 'fader', -50.0, 10.0, Law::Taper, isChosen: $at === 'a-2'),
        ['a-1', 'a-2'],
    );
    $hand = new Control('hand', 'Hand', ControlKind::Fader, ElementRef::unit('desk'), moves: $moves, isAssigned: true);
    $rig = (new SetControl($hand))->applyTo($rig);
    $reached = (new ControlReach(new Hearings($rig)))->of($rig->controls['hand'], $rig->base()->id);
    expect(array_map(fn ($one) => "{$one->to?->slot()}: {$one->source->id} {$one->words()}", $reached))->toBe([
        'desk/a-1 fader: one −50.0 dB to 10.0 dB', 'desk/a-2 fader: two −50.0 dB to 10.0 dB',
    ])->and(array_map(fn (Move $move) => $move->slot(), $rig->controls['hand']->movesNow()))->toBe(['desk/a-2 fader'])
        // All together, it has both at once.
        ->and(array_map(
            fn ($one) => $one->to,
            (new ControlReach(new Hearings($rig)))->of($hand->with(isAssigned: false), $rig->base()->id),
        ))->toBe([null, null])
        // What was chosen is gone: then it is the first that is left.
        ->and(array_map(fn (Move $move) => $move->slot(), $hand->with(moves: [$moves[0]])->movesNow()))->toBe(['desk/a-1 fader']);
});

it('says that a control moves one thing at a time where it is assigned, and else all', function (bool $isAssigned, array $chosen, string $says) {
    $moves = array_map(
        fn (string $at) => new Move(new PointRef('desk', $at), 'mute', false, true, Law::Toggle, Gesture::Press, isChosen: in_array($at, $chosen, true)),
        ['a-1', 'a-2'],
    );
    $key = new Control('key', 'Key', ControlKind::Key, ElementRef::unit('desk'), moves: $moves, isAssigned: $isAssigned);
    expect(fn () => (new SetControl($key))->applyTo(handedDesk()->make()))->toThrow(InvalidRig::class, $says);
})->with([[true, ['a-1', 'a-2'], 'one thing at a time'], [false, ['a-1'], 'all together']]);

it('compares what was seen while a control was tried with the plan', function (string $control, array $seen, SeenVerdict $verdict, array $instead, array $doubled) {
    // A second fader that is planned to move the first sound.
    $first = new Control('first', 'First', ControlKind::Fader, ElementRef::unit('desk'), moves: [
        new Move(new PointRef('desk', 'a-1'), 'fader', -50.0, 10.0, Law::Taper),
    ]);
    $second = $first->with(id: 'second', name: 'Second', moves: [new Move(new PointRef('desk', 'a-2'), 'fader', -50.0, 10.0, Law::Taper)]);
    $rig = (new SetControl($second))->applyTo((new SetControl($first))->applyTo(handedDesk()->make()));
    $plan = new Hearings($rig);
    $moved = new SeenMoved($plan, new ControlReach($plan), Hands::of($rig)[$control], $rig->base()->id, $seen);
    expect($moved->verdict())->toBe($verdict)
        ->and(array_map(fn (Move $one) => $one->slot(), $moved->instead()))->toBe($instead)
        ->and(array_map(fn (Control $one) => $one->id, $moved->doubled()))->toBe($doubled);
})->with([
    'as planned' => ['second', ['two'], SeenVerdict::AsPlanned, [], []],
    'dead' => ['second', [], SeenVerdict::Dead, [], []],
    'another sound, which the other fader has too' => ['second', ['one'], SeenVerdict::Else, ['desk/a-1 fader'], ['first']],
    'more' => ['second', ['one', 'two'], SeenVerdict::More, [], []],
    'less' => ['desk-all', ['two'], SeenVerdict::Less, [], []],
    'no sound of the rig' => ['second', ['nobody'], SeenVerdict::Dead, [], []],
    // What mutes Main has both, too.
    'a key that has both' => ['desk-all', ['one', 'two'], SeenVerdict::AsPlanned, ['desk/main mute'], []],
]);

it('says what is wrong with a control of a model, at its place', function (array $control, string $at, string $says) {
    $problems = [];
    try {
        handedDesk([['id' => 'wrong', 'name' => 'Wrong', 'kind' => 'key', ...$control]])->make();
    } catch (InvalidDocument $e) {
        $problems = array_map(fn (Problem $one) => "{$one->pointer}: {$one->message}", $e->problems);
    }
    expect($problems)->toHaveCount(1)->and($problems[0])->toStartWith("/models/model-small-desk/controls/3{$at}: ")->toContain($says);
})->with([
    'a point that is not there' => [['moves' => [['at' => 'nowhere', 'set' => 'mute', 'to' => true, 'law' => 'toggle']]], '/moves/0', 'no point "nowhere"'],
    'a route that is not there' => [['moves' => [['at' => 'a-1>x', 'set' => 'on', 'to' => true, 'law' => 'toggle']]], '/moves/0', 'no route "a-1>x"'],
    'a setting that is not there' => [['moves' => [['at' => 'settings/x', 'set' => 'value', 'to' => true, 'law' => 'toggle']]], '/moves/0', 'no setting "x"'],
    'what can\'t be set there' => [['moves' => [['at' => 'main', 'set' => 'fader', 'to' => 0.0, 'law' => 'set']]], '/moves/0', 'no "fader"'],
    'a way of a key' => [['moves' => [['at' => 'a-1', 'set' => 'fader', 'from' => -50, 'to' => 0]]], '/moves/0/law', 'has no way to go'],
    'held with itself' => [['moves' => [['at' => 'main', 'set' => 'mute', 'to' => true, 'law' => 'set', 'with' => 'wrong']]], '/moves/0/with', 'no other control'],
    'the same twice' => [['moves' => [
        ['at' => 'main', 'set' => 'mute', 'to' => true, 'law' => 'set'], ['at' => 'main', 'set' => 'mute', 'to' => false, 'law' => 'set'],
    ]], '/moves/1', 'moves this already'],
    'an id that is taken' => [['id' => 'all', 'moves' => []], '', 'all'],
    'no name' => [['name' => '', 'moves' => []], '/name', 'name'],
]);
