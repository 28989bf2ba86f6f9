<?php

declare(strict_types=1);

use HiddenWire\Core\Devices\RunsHere;
use HiddenWire\Core\Document\DocumentReader;
use HiddenWire\Core\Document\DocumentWriter;
use HiddenWire\Core\Edit\PlayDevice;
use HiddenWire\Core\Edit\RemoveUnit;
use HiddenWire\Core\Edit\SetProgramLevel;
use HiddenWire\Core\Edit\SetSystemLevel;
use HiddenWire\Core\History\RigDifference;
use HiddenWire\Core\Planning\Diagnosis;
use HiddenWire\Core\Planning\Hearings;
use HiddenWire\Core\Quantity\Decibels;
use HiddenWire\Core\Rig\DeviceRef;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Signal\GraphBuilder;
use HiddenWire\Core\Signal\Stray;
use Tests\Support\Draft;

/** A player in a computer whose line output goes to loudspeakers, and a deck into its line input. */
function systemRoom(array $speakers = [], array $music = [], array $lineIn = []): Draft
{
    return Draft::rig()->place('room')->unit('pc', 'older-computer', 'room')->unit('player', 'music-player', 'room')
        ->unit('cast', 'broadcast-program', 'room')->unit('boxes', 'desktop-loudspeakers')->tone('deck')
        ->source('music', 'player/sound')->listener('room', 'boxes/cone')->listener('viewers', 'cast/stream')
        ->cable('trs', 'pc/line-out', 'boxes/in')->cable('trs', 'deck/out', 'pc/line-in')
        ->device('pc', 'pc/line-out/out', ['name' => 'Room', ...$speakers])->device('pc', 'pc/line-in/in', ['name' => 'Deck', ...$lineIn])
        ->pick('player/sound', ['device' => 'pc/line-out/out', ...$music])
        ->pick('cast/source-1', ['device' => 'pc/line-out/out', 'tap' => 'playback'])
        ->situation('late', [])
        ->wish('music', 'room', 'must')->wish('music', 'viewers', 'must')->wish('deck', 'room', 'must-not');
}

/** @return list<array{string, list<string>}> */
function systemCauses(Rig $rig): array
{
    return array_map(
        fn ($cause) => [$cause->sentence, array_map(fn ($cure) => $cure->sentence, $cause->cures)],
        (new Diagnosis(new Hearings($rig)))->causes(),
    );
}

function roomLevel(Draft $draft, string $listener = 'room', ?string $situation = null): ?float
{
    return $draft->pair('music', $listener, $situation)->level()?->value();
}

it('hears the system\'s own levels: of a device behind the tap, of a program in front of it', function () {
    [$room, $viewers] = [roomLevel(systemRoom()), roomLevel(systemRoom(), 'viewers')];
    // The device is 6 dB down: the room hears it, what is tapped does not change.
    expect(round(roomLevel(systemRoom(['db' => -6])) - $room, 2))->toBe(-6.0)->and(roomLevel(systemRoom(['db' => -6]), 'viewers'))->toBe($viewers)
        // The program is 4 dB down: both hear it.
        ->and(round(roomLevel(systemRoom([], ['db' => -4])) - $room, 2))->toBe(-4.0)
        ->and(round(roomLevel(systemRoom([], ['db' => -4]), 'viewers') - $viewers, 2))->toBe(-4.0)
        // Both: -6 - 4 = -10 dB in the room.
        ->and(round(roomLevel(systemRoom(['db' => -6], ['db' => -4])) - $room, 2))->toBe(-10.0)
        // A recording device can be boosted.
        ->and(systemRoom([], [], ['db' => 12, 'plays_to' => 'pc/line-out/out'])->pair('deck', 'room')->level()?->value()
            - systemRoom([], [], ['plays_to' => 'pc/line-out/out'])->pair('deck', 'room')->level()?->value())->toBe(12.0);
});

it('says that something is muted in the system, and mends it there', function (array $speakers, array $music, array $causes) {
    $rig = systemRoom($speakers, $music)->make();
    expect(systemCauses($rig))->toBe($causes);
    $mended = (new Diagnosis(new Hearings($rig)))->causes()[0]->cures[0]->applyTo($rig);
    expect(systemCauses($mended))->toBe([]);
})->with([
    'a device' => [['mute' => true], [], [['Room is muted in the system of Pc', ['Unmute Room in the system of Pc']]]],
    'a device, and its level stays' => [['mute' => true, 'db' => -6], [], [['Room is muted in the system of Pc', ['Unmute Room in the system of Pc']]]],
    'a program' => [[], ['mute' => true], [['Player · Music is muted in the system', ['Unmute Music of Player in the system']]]],
]);

it('keeps the level of a device where it is unmuted', function () {
    $rig = systemRoom(['mute' => true, 'db' => -6])->make();
    $mended = (new Diagnosis(new Hearings($rig)))->causes()[0]->cures[0]->applyTo($rig);
    expect($mended->devices[0]->db?->value())->toBe(-6.0)->and($mended->devices[0]->mute)->toBeFalse();
});

it('hears what a system plays by itself, names it as the cause where it must not be, and stops it', function () {
    expect(systemRoom()->pair('deck', 'room')->isHeard())->toBeFalse();
    $rig = systemRoom([], [], ['plays_to' => 'pc/line-out/out'])->make();
    expect(systemCauses($rig))->toBe([['Pc itself plays Deck to Room', ['Stop Pc from playing Deck']]]);
    $stopped = (new PlayDevice('pc', DeviceRef::lane('pc', 'line-in', 'in'), null))->applyTo($rig);
    expect(systemCauses($stopped))->toBe([])->and((new PlayDevice('pc', DeviceRef::lane('pc', 'line-in', 'in'), null))->words($rig))
        ->toBe('Pc: Deck is no longer played by the system');
    // Both devices' buffers are passed: twice the usual 10 ms.
    $pair = systemRoom([], [], ['plays_to' => 'pc/line-out/out'])->pair('deck', 'room');
    expect(round($pair->arrivals()[0]->delay->value(), 2))->toBe(20.0);
    // A device that is disabled is not played.
    expect(systemRoom([], [], ['plays_to' => 'pc/line-out/out', 'enabled' => false])->pair('deck', 'room')->isHeard())->toBeFalse();
});

it('sets a level in one situation, over the base or as in it', function () {
    $rig = systemRoom(['db' => -3])->make();
    $speakers = DeviceRef::lane('pc', 'line-out', 'out');
    $late = (new SetSystemLevel('pc', $speakers, Decibels::of(-20), null, 'late'))->applyTo($rig);
    $heard = fn (Rig $of, ?string $in) => round((float) (new HiddenWire\Core\Signal\Hearing((new HiddenWire\Core\Signal\GraphBuilder($of))->build($of->situation($in))))
        ->pair('music', 'room')->level()?->value(), 2);
    // 20 dB down instead of 3: 17 dB softer in that situation, and the base as it was.
    expect($heard($late, 'late') - $heard($rig, 'late'))->toBe(-17.0)->and($heard($late, null))->toBe($heard($rig, null));
    expect((new SetSystemLevel('pc', $speakers, null, null, 'late'))->applyTo($late)->situations['late']->levels)->toBe([])
        ->and((new SetSystemLevel('pc', $speakers, Decibels::of(-20), true, 'late'))->words($rig))
        ->toBe('Pc: Room in the system −20.0 dB, muted in Late')
        ->and((new RigDifference($rig, $late))->lines())->toBe(['Situations' => ['Late: Pc: Room −20.0 dB']]);
    // What the system plays goes with the device; what a situation sets too.
    $played = systemRoom([], [], ['plays_to' => 'pc/line-out/out'])->make();
    expect((new RemoveUnit('boxes'))->applyTo($played)->devices)->toHaveCount(2);
    $text = (new DocumentWriter)->write((new SetProgramLevel(new PointRef('player', 'sound'), Decibels::of(-8), true, 'late'))->applyTo($late));
    expect((new DocumentWriter)->write((new DocumentReader)->read($text)))->toBe($text)->and($text)->toContain('"levels": [{')
        ->toContain('"db": -8, "mute": true');
});

it('says what does not run on a computer, and what is too old for it', function (string $system, string $version, ?string $why) {
    $rig = systemRoom()->with(function (array $d) use ($system, $version) {
        $d['units'][0]['system'] = array_filter(['name' => $system, 'version' => $version]);

        return $d;
    })->make();
    expect(RunsHere::whyNot($rig, $rig->units['pc'], $rig->units['cast']))->toBe($why);
})->with([
    // The broadcast program runs on Harbour from 3 and on Quay from 7.
    'new enough' => ['Harbour', '3', null],
    'newer, by number and not by letters' => ['harbour', '10.10', null],
    'too old' => ['Quay', '6.9', 'Quay 6.9 is too old for it: it runs on Quay from 7'],
    'another system' => ['Slate', '16', 'does not run on Slate: it runs on Harbour from 3, Quay from 7'],
    'of a version that nobody named' => ['Quay', '', null],
]);

it('says whom a sound that nobody listed would reach, and what bars it', function (Draft $draft, string $says) {
    $rig = $draft->make();
    expect((new Stray((new GraphBuilder($rig))->build($rig->base()), $rig->units['pc']))->words())->toBe($says);
})->with([
    // By the line output to the room; the tap takes it to the viewers too.
    'the default is the room' => [fn () => systemRoom(['roles' => ['playback']]), 'Room, Viewers (by Room)'],
    'no default' => [fn () => systemRoom(), 'nobody: there is no default playback device'],
    'disabled' => [fn () => systemRoom(['roles' => ['playback'], 'enabled' => false]), 'nobody: Room, the default, is disabled'],
    // Muted it is still tapped, before the mute.
    'muted' => [fn () => systemRoom(['roles' => ['playback'], 'mute' => true]), 'Viewers (by Room)'],
]);
