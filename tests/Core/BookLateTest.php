<?php

declare(strict_types=1);

use HiddenWire\Core\Book\BookInput;
use HiddenWire\Core\Book\Heading;
use HiddenWire\Core\Book\Parts\Delays;
use HiddenWire\Core\Book\Parts\Effects;
use HiddenWire\Core\Book\Table;
use HiddenWire\Core\Book\Text;
use HiddenWire\Core\Rig\Rig;
use Tests\Support\Draft;

/** @return array<string, list<list<string>>|string> rows with their columns first, or the text, by heading */
function printed(array $blocks): array
{
    $printed = [];
    $under = '';
    foreach ($blocks as $block) {
        match (true) {
            $block instanceof Heading => $under = $block->text,
            $block instanceof Table => $printed[$under] = [$block->columns, ...$block->rows],
            $block instanceof Text => $printed[$under] = $block->text,
        };
    }

    return $printed;
}

/** A horn into a loudspeaker beside a microphone that a recorder takes, all at one desk; by W-1 it comes 3 ms late, as measured. */
function nearTheBox(array $air = []): Rig
{
    $line = ['signal' => 'professional-line', 'balanced' => true, 'connector' => 'trs-6.35'];
    $draft = Draft::rig()->tone('horn', 1, 'trs-6.35', true)
        ->unit('box', ['family' => 'loudspeaker', 'sockets' => [['id' => 'in', 'label' => 'In', 'lanes' => [['id' => 'l', 'way' => 'in', 'point' => 'cone']]] + $line],
            'points' => [['id' => 'cone', 'kind' => 'ear', 'label' => 'Cone', 'channels' => 1]]])
        ->unit('mic', ['family' => 'microphone', 'sockets' => [['id' => 'out', 'label' => 'Out', 'lanes' => [['id' => 'o', 'way' => 'out', 'point' => 'capsule']]] + $line],
            'points' => [['id' => 'capsule', 'kind' => 'origin', 'label' => 'Capsule', 'channels' => 1]]])
        ->ear('tape', 1, 'trs-6.35', true)->cable('trs', 'horn/out', 'box/in')->cable('trs', 'mic/out', 'tape/in')
        ->source('ann', 'mic/capsule')->listener('room', 'box/cone')->situation('late', [])
        ->add('measures', ['about' => 'cables/w-1', 'kind' => 'delay', 'value' => 3]);

    return ($air === [] ? $draft : $draft->add('air', ['from' => 'box/cone', 'to' => 'mic/capsule'] + $air))->make();
}

it('prints how late each sound comes, what holds it back, and what crosses the air by assumption', function () {
    // By hand: W-1 costs 3 ms to the box; a metre of air 2.9 ms more to the recorder. Ann comes at once to the recorder, and is in no table.
    $printed = printed((new Delays)->blocks(new BookInput(nearTheBox())));
    expect($printed)->toBe([
        'How late it comes: Base' => [['Sound', 'Tape', 'Room'], ['Horn', '5.9 ms', '3.0 ms']],
        'How late it comes: Late' => 'As in "Base".',
        'What holds a sound back' => [['Where', 'Delay', 'Figure from', 'Sounds that pass it'], ['W-1', '3.0 ms', 'measured', 'Horn']],
        'What crosses the air' => [['From', 'Into', 'At', 'Figure from', 'Sounds that pass it'],
            ['Box · Cone', 'Mic · Capsule', '−30.0 dB, 2.9 ms', 'assumed: they are in one place', 'Horn']],
    ]);
});

it('says which figures of the air are written down', function (array $air, string $at, string $from) {
    $row = printed((new Delays)->blocks(new BookInput(nearTheBox($air))))['What crosses the air'][1];
    expect([$row[2], $row[3]])->toBe([$at, $from]);
})->with([
    'the level' => [['db' => -20], '−20.0 dB, 2.9 ms', 'written down; the delay assumed'],
    'both' => [['db' => -20, 'delay_ms' => 6], '−20.0 dB, 6.0 ms', 'written down'],
]);

it('has each chain of effects in its order, with what is set, and when it is bypassed', function () {
    $fader = ['from' => -60, 'to' => 10, 'db' => 0];
    $strip = fn (string $id, string $label): array => ['id' => $id, 'kind' => 'strip', 'label' => $label, 'channels' => 1, 'fader' => $fader, 'effects' => ['most' => 4, 'per_mix' => true]];
    $rig = Draft::rig()->place('room')->unit('pc', 'older-computer', 'room')->unit('mix', ['name' => 'Desk', 'family' => 'software-mixer', 'points' => [
        ['id' => 'tone', 'kind' => 'origin', 'channels' => 1], $strip('voice', 'Voice'), $strip('music', 'Music'),
        ['id' => 'ears', 'kind' => 'bus', 'label' => 'Ears', 'channels' => 1], ['id' => 'phones', 'kind' => 'ear', 'channels' => 1],
    ], 'routes' => [['from' => 'tone', 'to' => 'voice'], ['from' => 'voice', 'to' => 'ears', 'can' => ['on']], ['from' => 'ears', 'to' => 'phones']]], 'room')
        ->source('ann', 'mix/tone')->listener('me', 'mix/phones')
        ->with(function (array $d) {
            $d['units'][1]['effects'] = [
                ['id' => 'door', 'at' => 'voice', 'kind' => 'gate', 'name' => 'Door', 'delay_ms' => 2, 'values' => ['threshold_db' => -45]],
                ['id' => 'duck', 'at' => 'music', 'kind' => 'ducker', 'on' => false, 'values' => ['lowers_db' => 12, 'by' => ['voice']]],
                ['id' => 'squeeze', 'at' => 'voice', 'kind' => 'compressor', 'db' => 6, 'off_for' => ['ears']],
            ];
            $d['situations'][] = ['id' => 'late', 'name' => 'Late', 'effects' => [['unit' => 'mix', 'effect' => 'door', 'on' => false], ['unit' => 'mix', 'effect' => 'duck', 'on' => true]]];

            return $d;
        })->make();
    $of = new BookInput($rig);
    expect(printed((new Effects)->blocks($of)))->toBe(['Mix' => [['At', 'Stage', 'Effect', 'Set to', 'On'],
        ['Voice', '1', 'Door (gate)', 'threshold −45.0 dBFS, holds it back 2.0 ms', 'yes, bypassed in Late'],
        ['Voice', '2', 'Compressor', '+6.0 dB', 'yes; not into Ears'],
        ['Music', '1', 'Ducker', '12.0 dB lower while there is sound at Voice', 'bypassed, on in Late'],
    ]])->and(printed((new Delays)->blocks($of))['What holds a sound back'])->toBe([
        ['Where', 'Delay', 'Figure from', 'Sounds that pass it'], ['Mix: Voice: Door', '2.0 ms', 'set there', 'Ann'],
    ]);
});
