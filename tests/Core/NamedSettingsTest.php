<?php

declare(strict_types=1);

use HiddenWire\Core\Book\BookInput;
use HiddenWire\Core\Book\Cards;
use HiddenWire\Core\Document\DocumentReader;
use HiddenWire\Core\Document\DocumentWriter;
use HiddenWire\Core\Document\InvalidDocument;
use HiddenWire\Core\Edit\SetValue;
use HiddenWire\Core\Edit\Swap;
use HiddenWire\Core\Equipment\OwnScale;
use HiddenWire\Core\History\RigDifference;
use HiddenWire\Core\Planning\Diagnosis;
use HiddenWire\Core\Planning\Hearings;
use HiddenWire\Core\Quantity\Decibels;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Signal\GraphBuilder;
use HiddenWire\Core\Signal\Hearing;
use Tests\Support\Draft;

/** A box whose one socket carries the game or the chat, as a setting says, and whose lamp is only a lamp. */
function settingBox(array $more = [], array $values = []): Draft
{
    $model = array_replace_recursive(['name' => 'Box', 'family' => 'console', 'made_at' => ['by' => 'companion', 'path' => 'Sound'], 'holds' => 'for-good',
        'sockets' => [['id' => 'out', 'label' => 'Out', 'connector' => 'trs-3.5', 'signal' => 'consumer-line',
            'lanes' => [['id' => 'out', 'way' => 'out', 'point' => 'bus']]]],
        'points' => [['id' => 'game', 'kind' => 'origin', 'channels' => 2], ['id' => 'chat', 'kind' => 'origin', 'channels' => 2],
            ['id' => 'bus', 'kind' => 'bus', 'label' => 'Out', 'channels' => 2, 'fader' => ['from' => -60, 'to' => 0, 'db' => 0,
                'scale' => ['unit' => '%', 'marks' => [[0, -60], [50, -20], [100, 0]]]]]],
        'routes' => [['from' => 'game', 'to' => 'bus'], ['from' => 'chat', 'to' => 'bus', 'on' => false, 'can' => ['on']]],
        'settings' => [
            ['id' => 'carries', 'label' => 'Socket carries', 'kind' => 'choice', 'choices' => ['game', 'chat', 'all'], 'factory' => 'game', 'holds' => 'until-closed',
                'since' => '2.1', 'effects' => [
                    ['value' => 'game', 'route' => 'game>bus', 'on' => true], ['value' => 'game', 'route' => 'chat>bus', 'on' => false],
                    ['value' => 'chat', 'route' => 'game>bus', 'on' => false], ['value' => 'chat', 'route' => 'chat>bus', 'on' => true],
                    ['value' => 'all', 'route' => 'game>bus', 'on' => true], ['value' => 'all', 'route' => 'chat>bus', 'on' => true],
                ]],
            ['id' => 'night', 'label' => 'Night mode', 'kind' => 'switch', 'factory' => false, 'effects' => [['value' => true, 'point' => 'bus', 'on' => false]]],
            ['id' => 'lamp', 'label' => 'Lamp', 'kind' => 'number', 'from' => 0, 'to' => 10, 'unit' => 'steps', 'factory' => 5],
            ['id' => 'name', 'label' => 'Shown name', 'kind' => 'text', 'factory' => ''],
        ]], $more);

    return Draft::rig()->unit('box', $model, 'desk', $values === [] ? [] : ['values' => $values])->ear('me')
        ->source('game', 'box/game')->source('chat', 'box/chat')->cable('trs', 'box/out', 'me/in')
        ->wish('game', 'me', 'must')->wish('chat', 'me', 'may')->situation('party', []);
}

/** @return array{bool, bool} whether game and chat are heard */
function boxHeard(Rig $rig, ?string $situation = null): array
{
    $hearing = new Hearing((new GraphBuilder($rig))->build($rig->situation($situation)));

    return [$hearing->pair('game', 'me')->isHeard(), $hearing->pair('chat', 'me')->isHeard()];
}

it('switches routes and mutes points as a setting says; as it comes it leaves them alone', function (array $values, array $heard) {
    expect(boxHeard(settingBox([], $values)->make()))->toBe($heard);
})->with([
    'as it comes' => [[], [true, false]],
    'chat' => [['carries' => 'chat'], [false, true]],
    'all' => [['carries' => 'all'], [true, true]],
    'muted' => [['night' => true], [false, false]],
    'a lamp sounds nowhere' => [['lamp' => 10, 'name' => 'Box of Ines'], [true, false]],
]);

it('stands otherwise in a situation, and says so there', function () {
    $rig = settingBox([], ['carries' => 'all'])->make();
    $party = (new SetValue('box', 'carries', 'chat', 'party'))->applyTo($rig);
    expect(boxHeard($party))->toBe([true, true])->and(boxHeard($party, 'party'))->toBe([false, true])
        ->and((new SetValue('box', 'carries', 'chat', 'party'))->words($rig))->toBe('Box: Socket carries chat in Party')
        ->and((new RigDifference($rig, $party))->lines())->toBe(['Situations' => ['Party: Box: Socket carries chat']])
        ->and((new SetValue('box', 'carries', null, 'party'))->applyTo($party)->situations['party']->settings)->toBe([])
        ->and((new SetValue('box', 'carries', null))->applyTo($rig)->units['box']->values)->toBe([])
        ->and((new SetValue('box', 'lamp', 3.0))->words($rig))->toBe('Box: Lamp 3 steps');
    $text = (new DocumentWriter)->write($party);
    expect((new DocumentWriter)->write((new DocumentReader)->read($text)))->toBe($text)
        ->and($text)->toContain('"settings": [{"unit": "box", "setting": "carries", "value": "chat"}]')->toContain('"values": {"carries": "all"}');
});

it('is a cause where it keeps a sound away, and its cure is the setting, not the route behind it', function () {
    $rig = settingBox([], ['carries' => 'chat'])->make();
    $causes = (new Diagnosis(new Hearings($rig)))->causes();
    expect(array_map(fn ($cause) => [$cause->sentence, array_map(fn ($cure) => $cure->sentence, $cause->cures)], $causes))->toBe([
        ['Box: Socket carries is chat', ['Set Socket carries of Box to all', 'Set Socket carries of Box to game']],
    ]);
    expect(boxHeard($causes[0]->cures[0]->applyTo($rig)))->toBe([true, true]);
    $muted = settingBox([], ['night' => true])->make();
    $causes = (new Diagnosis(new Hearings($muted)))->causes();
    expect($causes[0]->sentence)->toBe('Box: Night mode is on')->and(boxHeard($causes[0]->cures[0]->applyTo($muted)))->toBe([true, false]);
    $leak = settingBox([], ['carries' => 'all'])->with(function (array $d) {
        $d['wishes'][1]['want'] = 'must-not';

        return $d;
    })->make();
    $causes = (new Diagnosis(new Hearings($leak)))->causes();
    expect($causes[0]->cures[0]->sentence)->toBe('Set Socket carries of Box to game');
});

it('refuses what a setting is not', function (array $model, array $values, array $pointers) {
    try {
        settingBox($model, $values)->make();
        $found = [];
    } catch (InvalidDocument $e) {
        $found = array_map(fn ($problem) => $problem->pointer, $e->problems);
    }
    expect($found)->toBe($pointers);
})->with([
    'a choice that is none' => [[], ['carries' => 'music'], ['/units/0/settings/values/carries']],
    'a switch that is no switch' => [[], ['night' => 'on'], ['/units/0/settings/values/night']],
    'a number out of range' => [[], ['lamp' => 11], ['/units/0/settings/values/lamp']],
    'a setting that the model has not' => [[], ['colour' => 'red'], ['/units/0/settings/values/colour']],
    'a factory value that it does not take' => [['settings' => [['factory' => 'music']]], [], ['/models/model-box/settings/0/factory']],
    'an effect on no route' => [['settings' => [['effects' => [['route' => 'a>b']]]]], [], ['/models/model-box/settings/0/effects/0/route']],
    'a scale that falls' => [['points' => [2 => ['fader' => ['scale' => ['marks' => [1 => [50, -70]]]]]]], [],
        ['/models/model-box/points/2/fader/scale/marks']],
]);

it('prints where a setting is made, how long it holds, and what is printed at a knob', function () {
    $rig = settingBox([], ['carries' => 'all', 'lamp' => 7])->with(function (array $d) {
        $d['units'][0]['settings']['points'] = ['bus' => ['fader' => -10]];

        return $d;
    })->make();
    $card = Cards::card(new BookInput($rig), 'unit/box');
    $says = array_map(fn (array $steps) => array_map(fn ($step) => $step->words(), $steps), $card->sections);
    // -10 dB is half way between the marks 50 (-20 dB) and 100 (0 dB): 75 %.
    expect($says['Set'])->toBe(['Socket carries: all (holds until closed).', 'Lamp: 7 steps.', 'Out: fader −10.0 dB (75 %).'])
        ->and($says['Again at every start'])->toBe(['Socket carries: all (holds until closed).'])
        ->and($card->for)->toBe('Box, Desk, set in its companion program: Sound');
});

it('reads a scale both ways', function (float $mark, float $db) {
    $scale = new OwnScale('', [[0.0, -60.0], [5.0, -20.0], [10.0, 0.0]]);
    expect($scale->levelOf($mark)->value())->toBe($db)->and($scale->markOf(Decibels::of($db)))->toBe($mark);
})->with([[0.0, -60.0], [2.5, -40.0], [5.0, -20.0], [7.5, -10.0], [10.0, 0.0], [9.0, -4.0]]);

it('keeps settings that the new model takes too, and names those that it loses', function () {
    $rig = settingBox([], ['carries' => 'all', 'lamp' => 7])->make();
    $other = $rig->models['model-box']->with(id: 'other', settings: ['lamp' => $rig->models['model-box']->settings['lamp']]);
    $swap = new Swap($rig, $rig->units['box'], $other);
    expect($swap->rig->units['box']->values)->toBe(['lamp' => 7.0])->and($swap->losses)->toContain('the setting Socket carries');
});
