<?php

declare(strict_types=1);

use HiddenWire\Core\Edit\SetPoint;
use HiddenWire\Core\Planning\Candidate;
use HiddenWire\Core\Planning\Cell;
use HiddenWire\Core\Planning\Cost;
use HiddenWire\Core\Planning\EmptySockets;
use HiddenWire\Core\Planning\Gap;
use HiddenWire\Core\Planning\Hearings;
use HiddenWire\Core\Planning\Region;
use HiddenWire\Core\Planning\Remedies;
use HiddenWire\Core\Planning\Remedy;
use HiddenWire\Core\Planning\Trials;
use HiddenWire\Core\Planning\Trouble;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\PointSettings;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\SocketRef;
use HiddenWire\Core\Signal\Verdict;
use Tests\Support\Draft;

/*
 * What each remedy proposes of one trouble, before anything is tried: what would have been the matter, what to do, what that costs, and what
 * it is about.
 */

/** @return list<array{string, string, int, list<string>}> the cause, the cure, the cost, the elements in order of their names */
function proposed(Draft $draft, Remedy $remedy, string $situation = 'base', Rig ...$earlier): array
{
    return readProposals($remedy->candidates(troubleOf($draft, 's', 'l', $situation, ...$earlier)));
}

/**
 * @param  iterable<Candidate>  $candidates
 * @return list<array{string, string, int, list<string>}> as {@see proposed()} gives them
 */
function readProposals(iterable $candidates): array
{
    // A strip is a step of a way more than once: by its gain and by its fader.
    return array_values(array_unique(array_map(function (Candidate $one): array {
        $about = array_map(strval(...), $one->about);
        sort($about);

        return [$one->cause(), $one->cure(), $one->cost, $about];
    }, [...$candidates]), SORT_REGULAR));
}

/** A tone, a strip with all that a strip has, and an ear; what the wish is. @param  array<string, mixed>  $strip */
function stripped(array $strip, string $want = 'must', array $last = []): Draft
{
    return Draft::rig()->unit('u', ['points' => [['id' => 'tone', 'kind' => 'origin', 'channels' => 1], ['id' => 'strip', 'kind' => 'strip', 'channels' => 1, 'mute' => false, 'fader' => ['from' => -60, 'to' => 10]],
        ['id' => 'ear', 'kind' => 'ear', 'channels' => 1]], 'routes' => [['from' => 'tone', 'to' => 'strip'], ['from' => 'strip', 'to' => 'ear', 'can' => ['on', 'db']] + $last]])
        ->with(fn (array $d) => $strip === [] ? $d : ['units' => [$d['units'][0] + ['settings' => ['points' => ['strip' => $strip]]]]] + $d)->source('s', 'u/tone')->listener('l', 'u/ear')->wish('s', 'l', $want);
}

describe('switches', function () {
    it('open a mute, for good or in the situation that is heard', function () {
        $muted = stripped(['mute' => true])->situation('late', []);
        $opened = ['U · strip is muted', 'Unmute strip of U', Cost::SWITCH, ['u/strip']];
        expect(proposed($muted, new Remedies\Switches))->toBe([$opened])
            ->and(proposed($muted, new Remedies\Switches, 'late'))->toBe([$opened, ['U · strip is muted', 'Unmute strip of U in Late', Cost::SWITCH + Cost::ONE_SITUATION, ['u/strip']]]);
        // Where the situation has muted it, it is opened there, as cheaply.
        expect(proposed(stripped([])->situation('late', ['u/strip' => ['mute' => true]]), new Remedies\Switches, 'late'))
            ->toBe([['U · strip is muted', 'Unmute strip of U in Late', Cost::SWITCH, ['u/strip']]]);
    });

    it('close what leaks, nearest to the listener first', function () {
        expect(proposed(stripped([], 'must-not'), new Remedies\Switches))->toBe([
            ['U · strip → ear is on', 'Switch off strip → ear of U', Cost::SWITCH, ['u/strip>ear']],
            ['U · strip is not muted', 'Mute strip of U', Cost::SWITCH, ['u/strip']],
        ]);
    });

    it('let a route on that is off', function () {
        expect(proposed(stripped([], last: ['on' => false]), new Remedies\Switches))->toBe([['U · strip → ear is off', 'Switch on strip → ear of U', Cost::SWITCH, ['u/strip>ear']]]);
    });
});

describe('faders', function () {
    it('that are more than 20 dB down are raised to zero, if not to where they were', function () {
        // With the send 50 dB down, too, nothing is heard any more.
        $at = fn (float $db): array => proposed(stripped(['fader' => $db], last: ['db' => -50]), new Remedies\Faders);
        expect($at(-20))->toBe([])->and($at(-20.1))->toBe([['U · strip: the fader is at −20.1 dB', 'Raise the fader strip of U to 0.0 dB', Cost::FADER, ['u/strip']]])
            ->and($at(-60)[0][0])->toBe('U · strip: the fader is all the way down');
    });

    it('go back to where another state has them, which is cheaper', function () {
        $down = stripped(['fader' => -40], last: ['db' => -35]);
        $was = stripped(['fader' => -6])->make();
        expect(array_map(fn (array $one) => [$one[1], $one[2]], proposed($down, new Remedies\Faders, 'base', $was)))
            ->toBe([['Raise the fader strip of U to −6.0 dB', Cost::FADER + Cost::KNOWN], ['Raise the fader strip of U to 0.0 dB', Cost::FADER]]);
    });
});

it('sets levels that are too low to nominal, stage by stage', function () {
    // 45 dB down: 30 at the fader, 15 at the send. The fader goes to 10 at most, the send to zero and no further than ten.
    expect(proposed(stripped(['fader' => -30], last: ['db' => -15]), new Remedies\Levels))->toBe([
        ['U · strip: the fader is at −30.0 dB', 'Raise the fader of strip of U to 10.0 dB', Cost::FADER, ['u/strip']],
    ])->and(proposed(stripped(['fader' => -10], last: ['db' => -40]), new Remedies\Levels))->toBe([
        ['U · strip: the fader is at −10.0 dB', 'Raise the fader of strip of U to 10.0 dB', Cost::FADER, ['u/strip']],
        ['U · strip → ear is at −40.0 dB', 'Set strip → ear of U to 10.0 dB', Cost::FADER, ['u/strip>ear']],
    ]);
});

describe('leads', function () {
    /** A tone and two listening sockets beside each other; the lead is in the wrong one, or out. */
    $pair = fn (?string $into): Draft => ($draft = Draft::rig()->tone('a')->unit('b', box('mixer', [['left', 'trs-3.5', 'in', 'consumer-line', 2], ['right', 'trs-3.5', 'in', 'consumer-line', 2]]))
        ->listener('l', 'b/left')->with(fn (array $d) => ['sources' => [['id' => 's', 'name' => 'S'] + $d['sources'][0]]] + $d)->wish('s', 'l', 'must')) && $into !== null ? $draft->cable('trs', 'a/out', "b/{$into}") : $draft;

    it('are moved to the socket beside, more cheaply where they were before', function () use ($pair) {
        $move = ['W-1 is in Right of B', 'Move W-1 from Right of B to Left of B', Cost::REPLUG, ['b/left', 'w-1']];
        expect(proposed($pair('right'), new Remedies\Moves(false)))->toContain($move)
            ->and(proposed($pair('right'), new Remedies\Moves(false), 'base', $pair('left')->make()))->toContain([$move[0], $move[1], Cost::REPLUG + 3 * Cost::KNOWN, $move[3]])
            ->and(proposed($pair('right'), new Remedies\Moves(true)))->toBe([]);
    });

    it('are plugged in, and known by their label where they were there before', function () use ($pair) {
        // Of B's two sockets none is in use: one more could be meant.
        expect(proposed($pair(null), new Remedies\Plugs(false)))->toBe([['Nothing is plugged into A · Out', 'Plug Out of A into Left of B', Cost::PLUG + 1, ['a/out', 'b/left']]])
            ->and(proposed($pair(null), new Remedies\Plugs(false), 'base', $pair('left')->make()))->toBe([['W-1 is out', 'Plug W-1 of A into Left of B again', Cost::PLUG + 1 + Cost::KNOWN, ['a/out', 'b/left', 'w-1']]])
            ->and(proposed($pair(null), new Remedies\Plugs(true)))->toBe([]);
    });

    it('of the wrong kind are replaced', function () {
        $draft = Draft::rig()->tone('a')->ear('b')->cable('ts', 'a/out', 'b/in')->with(fn (array $d) => ['sources' => [['id' => 's'] + $d['sources'][0]], 'listeners' => [['id' => 'l'] + $d['listeners'][0]]] + $d)->wish('s', 'l', 'must');
        expect(proposed($draft, new Remedies\Leads))->toBe([['W-1 is the wrong lead: TS where TRS is needed', 'Replace W-1 with a TRS lead', Cost::PLAIN, ['w-1']]]);
    });
});

describe('computers', function () {
    /** A microphone that a recorder is to take, beside a second one. */
    $taking = fn (): Draft => Draft::rig()->place('pc')->unit('pc', 'streaming-computer', 'pc')->unit('mic', 'usb-microphone-plain')->unit('other', 'usb-microphone-plain')->unit('rec', 'multitrack-recorder', 'pc')
        ->cable('usb', 'mic/usb', 'pc/usb-1')->cable('usb', 'other/usb', 'pc/usb-2')->source('s', 'mic/capsule')->track('l', 'rec/track-1')->wish('s', 'l', 'must');

    it('offer a device again that is disabled', function () use ($taking) {
        $draft = $taking()->pick('rec/in-1', ['device' => 'mic/usb/rec'])->device('pc', 'mic/usb/rec', ['name' => 'Desk mic', 'enabled' => false]);
        expect(proposed($draft, new Remedies\Devices))->toBe([['Desk mic is disabled on Pc', 'Enable Desk mic on Pc', Cost::ENABLE, ['mic/usb/rec']]]);
    });

    it('make the device the default that a program follows', function () use ($taking) {
        $draft = $taking()->pick('rec/in-1', ['default' => 'system'])->device('pc', 'mic/usb/rec', ['name' => 'Desk mic'])->device('pc', 'other/usb/rec', ['name' => 'Spare', 'roles' => ['recording']]);
        $was = $taking()->device('pc', 'mic/usb/rec', ['name' => 'Desk mic', 'roles' => ['recording']])->make();
        $says = ['The default recording device of Pc is Spare', 'Make Desk mic the default recording device of Pc'];
        expect(proposed($draft, new Remedies\Devices))->toContain([...$says, Cost::DEFAULT, ['mic/usb/rec']])
            ->and(proposed($draft, new Remedies\Devices, 'base', $was))->toContain([...$says, Cost::DEFAULT + Cost::KNOWN, ['mic/usb/rec']]);
    });

    it('touch no default or device for a sound that somebody has and should not have', function () use ($taking) {
        $draft = $taking()->pick('rec/in-1', ['device' => 'mic/usb/rec'])->with(fn (array $d) => ['wishes' => [['want' => 'must-not'] + $d['wishes'][0]]] + $d);
        expect(proposed($draft, new Remedies\Devices))->toBe([]);
    });

    it('let go of a device that another program has for itself', function () use ($taking) {
        // The first to start has it.
        $draft = $taking()->unit('tape', 'multitrack-recorder', 'pc')->track('far', 'tape/track-1')->pick('rec/in-1', ['device' => 'mic/usb/rec'])->pick('tape/in-1', ['device' => 'mic/usb/rec'])
            ->device('pc', 'mic/usb/rec', ['name' => 'Desk mic', 'driver_mode' => 'exclusive'])
            ->with(fn (array $d) => ['units' => array_map(fn (array $one) => $one + match ($one['id']) {
                'tape' => ['start' => 1], 'rec' => ['start' => 2], default => [],
            }, $d['units'])] + $d);
        $cause = 'Tape has Desk mic for itself, so that Rec gets nothing';
        $late = 'Rec wants Desk mic for itself, which Tape has opened before';
        expect(proposed($draft, new Remedies\Locks))->toBe([
            [$cause, 'Let Tape share Desk mic', Cost::PICK, ['mic/usb/rec', 'tape/in-1']], [$cause, 'Set the driver mode of Desk mic to shared', Cost::SYSTEM, ['mic/usb/rec']],
            [$late, 'Let Rec share Desk mic', Cost::PICK, ['mic/usb/rec', 'rec/in-1']], [$late, 'Set the driver mode of Desk mic to shared', Cost::SYSTEM, ['mic/usb/rec']],
        ]);
    });

    it('turn a repeater round: both of its picks', function () {
        $draft = Draft::rig()->place('pc')->unit('pc', 'streaming-computer', 'pc')->unit('face', 'two-channel-interface')->unit('head', 'usb-headset')->unit('mic', 'dynamic-microphone')
            ->unit('rep', 'repeater', 'pc')->cable('usb', 'face/usb', 'pc/usb-1')->cable('usb', 'head/usb', 'pc/usb-2')->cable('xlr', 'mic/out', 'face/in-1')
            ->device('pc', 'face/usb/rec', ['name' => 'Mics'])->device('pc', 'head/usb/play', ['name' => 'Headset'])
            ->pick('rep/in', ['device' => 'head/usb/rec'])->pick('rep/out', ['device' => 'face/usb/play'])->source('s', 'mic/capsule')->listener('l', 'head/ear')->wish('s', 'l', 'must');
        expect(proposed($draft, new Remedies\Repeaters))
            ->toBe([['Rep stands the wrong way round', 'Exchange what Rep takes and plays to: Mics and Headset', Cost::PICK + Cost::CHANNELS, ['rep/in', 'rep/out']]]);
    });
});

it('puts back in a situation what is not there and what is out', function () {
    $draft = Draft::rig()->tone('a')->ear('b')->cable('trs', 'a/out', 'b/in')->with(fn (array $d) => ['sources' => [['id' => 's'] + $d['sources'][0]], 'listeners' => [['id' => 'l'] + $d['listeners'][0]],
        'situations' => [...$d['situations'], ['id' => 'late', 'name' => 'Late', 'changes' => [], 'absent' => ['a'], 'pulled' => ['w-1']]]] + $d)->wish('s', 'l', 'must');
    expect(proposed($draft, new Remedies\Presence, 'late'))->toBe([
        ['A is not there in Late', 'Put back A in Late', Cost::SWITCH, ['a']], ['W-1 is out in Late', 'Leave W-1 plugged in Late', Cost::PLAIN, ['w-1']],
    ])->and(proposed($draft, new Remedies\Presence))->toBe([]);
});

it('switches phantom power on where a microphone needs it', function () {
    $draft = powered(false, [])->with(fn (array $d) => ['sources' => [['id' => 's'] + $d['sources'][0]], 'listeners' => [['id' => 'l'] + $d['listeners'][0]], 'wishes' => [['source' => 's', 'listener' => 'l', 'want' => 'must']]] + $d);
    expect(proposed($draft, new Remedies\Supplies))->toBe([['Mic needs phantom power, and it is off at Desk · Mic 1', 'Switch Phantom power, Mic 1 of Desk on', Cost::SWITCH, ['desk', 'desk/mic-1', 'mic/out']]]);
});

describe('how far a sound could get', function () {
    /** Two switches in a row, both off. */
    $far = fn (): Draft => Draft::rig()->unit('u', ['points' => [['id' => 'tone', 'kind' => 'origin', 'channels' => 1], ['id' => 'a', 'kind' => 'bus', 'channels' => 1], ['id' => 'b', 'kind' => 'bus', 'channels' => 1], ['id' => 'ear', 'kind' => 'ear', 'channels' => 1]],
        'routes' => [['from' => 'tone', 'to' => 'a', 'on' => false, 'can' => ['on']], ['from' => 'a', 'to' => 'b'], ['from' => 'b', 'to' => 'ear', 'on' => false, 'can' => ['on']]]])
        ->source('s', 'u/tone')->listener('l', 'u/ear')->wish('s', 'l', 'must');

    it('as it is, and if all that is off were on', function () use ($far) {
        $hearing = $far()->hear();
        $is = Region::of($hearing->pair('s', 'l'), $hearing);
        $could = Region::opened($hearing->pair('s', 'l'), $hearing);
        $points = [new PointRef('u', 'a'), new PointRef('u', 'b'), new PointRef('u', 'ear')];
        expect(array_map($is->reaches(...), $points))->toBe([false, false, false])->and(array_map($could->reaches(...), $points))->toBe([true, true, true])
            ->and($is->leadsOn(new PointRef('u', 'a')))->toBeFalse()->and($could->leadsOn(new PointRef('u', 'tone')))->toBeTrue();
    });
});

it('wants a device on the bus that a program picks in a situation only', function () {
    $draft = Draft::rig()->place('pc')->unit('pc', 'streaming-computer', 'pc')->unit('mic', 'usb-microphone-plain')->unit('rec', 'multitrack-recorder', 'pc')
        ->situation('late', ['rec/in-1' => ['device' => 'mic/usb/rec']]);
    $belongs = fn (string $situation): bool => (new EmptySockets($draft->hear($situation)->graph()))->belongs(new SocketRef('mic', 'usb'), new SocketRef('pc', 'usb-1'));
    expect($belongs('late'))->toBeTrue()->and($belongs('base'))->toBeFalse();
});

describe('sides', function () {
    $sides = fn (array $points, array $routes, array $set, array $wish): Draft => Draft::rig()->unit('u', ['points' => [['id' => 'tone', 'kind' => 'origin', 'channels' => 2], ['id' => 'ear', 'kind' => 'ear', 'channels' => 2], ...$points], 'routes' => $routes])
        ->with(fn (array $d) => ['units' => [$d['units'][0] + ($set === [] ? [] : ['settings' => ['points' => $set]])], 'wishes' => [['source' => 's', 'listener' => 'l', 'want' => 'must'] + $wish]] + $d)
        ->source('s', 'u/tone')->listener('l', 'u/ear');
    $p = ['id' => 'p', 'kind' => 'strip', 'channels' => 2, 'mono' => false];

    it('that are lost are brought by mono, which costs more than to go back to stereo', function () use ($sides, $p) {
        $left = $sides([['id' => 'm', 'kind' => 'strip', 'channels' => 1], $p], [['from' => 'tone', 'to' => 'm'], ['from' => 'm', 'to' => 'p', 'map' => 'to-left'], ['from' => 'p', 'to' => 'ear']], [], []);
        $wide = $sides([$p], [['from' => 'tone', 'to' => 'p'], ['from' => 'p', 'to' => 'ear']], ['p' => ['mono' => true]], ['stereo' => true]);
        expect(proposed($left, new Remedies\Channels))->toBe([['U · p is not switched to mono', 'Switch p of U to mono', Cost::SWITCH + Cost::OTHER_SELECTION, ['u/p']]])
            ->and(proposed($wide, new Remedies\Channels))->toBe([['U · p is switched to mono', 'Switch p of U to stereo', Cost::SWITCH, ['u/p']]]);
    });

    it('that are as wished ask for nothing', function () use ($sides, $p) {
        expect(proposed($sides([$p], [['from' => 'tone', 'to' => 'p'], ['from' => 'p', 'to' => 'ear']], [], []), new Remedies\Channels))->toBe([]);
    });
});

it('puts an automatic mute back in force, rather than a mute that somebody has to remember', function () {
    $room = fn (array $main): Draft => Draft::rig()->unit('u', ['points' => [['id' => 'tone', 'kind' => 'origin', 'channels' => 1], ['id' => 'voice', 'kind' => 'origin', 'channels' => 1], ['id' => 'strip', 'kind' => 'strip', 'channels' => 1, 'mute' => false],
        ['id' => 'main', 'kind' => 'bus', 'channels' => 1, 'mute' => false], ['id' => 'ear', 'kind' => 'ear', 'channels' => 1]],
        'routes' => [['from' => 'voice', 'to' => 'strip'], ['from' => 'tone', 'to' => 'main'], ['from' => 'main', 'to' => 'ear']], 'auto_mutes' => [['mutes' => 'main', 'while_open' => ['strip']]]])
        ->set('u', 'points', 'main', ['mute' => false] + $main)->set('u', 'points', 'strip', ['mute' => false])->source('s', 'u/tone')->listener('l', 'u/ear')->wish('s', 'l', 'must-not')->situation('late', []);
    $says = ['U · main is not muted by U itself any more', 'Put the automatic mute of main of U back in force'];
    expect(proposed($room(['auto_mute' => false]), new Remedies\AutoMutes))->toBe([[...$says, Cost::RULE + Cost::KNOWN, ['u/main']]])
        ->and(proposed($room(['auto_mute' => false]), new Remedies\AutoMutes, 'late'))
        ->toBe([[...$says, Cost::RULE + Cost::KNOWN, ['u/main']], [$says[0], "{$says[1]} in Late", Cost::RULE + Cost::KNOWN + Cost::ONE_SITUATION, ['u/main']]])
        ->and(proposed($room([]), new Remedies\AutoMutes))->toBe([]);
});

it('opens what the system has muted: a device for good or in the situation, at the level that it has', function () {
    $room = Draft::rig()->place('pc')->unit('pc', 'streaming-computer', 'pc')->unit('head', 'usb-headset')->unit('music', 'music-player', 'pc')->cable('usb', 'head/usb', 'pc/usb-1')
        ->device('pc', 'head/usb/play', ['name' => 'Headset', 'mute' => true, 'db' => -6])->pick('music/sound', ['device' => 'head/usb/play'])->source('s', 'music/sound')->listener('l', 'head/ear')->wish('s', 'l', 'must')->situation('late', []);
    $says = ['Headset is muted in the system of Pc', 'Unmute Headset in the system of Pc'];
    expect(proposed($room, new Remedies\Systems))->toBe([[...$says, Cost::SYSTEM, ['head/usb/play']]])
        ->and(proposed($room, new Remedies\Systems, 'late'))
        ->toBe([[...$says, Cost::SYSTEM, ['head/usb/play']], [$says[0], "{$says[1]} in Late", Cost::SYSTEM + Cost::ONE_SITUATION, ['head/usb/play']]]);
});

describe('several changes that bring one sound', function () {
    $gaps = fn (Draft $draft, bool $isOnlyOpened = false, string $situation = 'base'): array => readProposals((new Gap(troubleOf($draft, situation: $situation), $isOnlyOpened))->candidates());
    $player = fn (): Draft => Draft::rig()->place('pc')->unit('pc', 'streaming-computer', 'pc')->unit('head', 'usb-headset')->unit('music', 'music-player', 'pc')->cable('usb', 'head/usb', 'pc/usb-1')
        ->source('s', 'music/sound')->listener('l', 'head/ear')->wish('s', 'l', 'must');

    it('open all that is shut on its way, from the source on', function () use ($gaps) {
        $shut = stripped(['mute' => true], last: ['on' => false]);
        expect($gaps($shut, true))->toBe([['U · strip is muted, and U · strip → ear is off', 'Unmute strip of U, and switch on strip → ear of U', 2 * Cost::SWITCH, ['u/strip', 'u/strip>ear']]]);
        $down = stripped(['fader' => -60], last: ['level' => ['from' => -60, 'to' => 0], 'db' => -60]);
        expect($gaps($down, true))->toBe([['U · strip: the fader is all the way down, and U · strip → ear is all the way down', 'Raise the fader strip of U, and turn up strip → ear of U', 2 * Cost::FADER, ['u/strip', 'u/strip>ear']]]);
        // In a situation each is set where it is so.
        expect($gaps(stripped([], last: ['on' => false])->situation('late', ['u/strip' => ['mute' => true]]), true, 'late'))->toHaveCount(1);
    });

    it('pick a device for what plays and for what takes, which opening alone does not', function () use ($gaps, $player) {
        $named = $player()->device('pc', 'head/usb/play', ['name' => 'Headset']);
        expect($gaps($named))->toBe([['Music has no device picked', 'Music: play to "Headset"', Cost::FIRST_PICK, ['head/usb/play', 'music/sound']]])->and($gaps($named, true))->toBe([]);
        $taken = Draft::rig()->place('pc')->unit('pc', 'streaming-computer', 'pc')->unit('mic', 'usb-microphone-plain')->unit('rec', 'multitrack-recorder', 'pc')->cable('usb', 'mic/usb', 'pc/usb-1')
            ->device('pc', 'mic/usb/rec', ['name' => 'Desk mic'])->source('s', 'mic/capsule')->track('l', 'rec/track-1')->wish('s', 'l', 'must');
        expect($gaps($taken)[0])->toBe(['Rec · Input 1 has no device picked', 'Rec: take Input 1 from "Desk mic"', Cost::FIRST_PICK, ['mic/usb/rec', 'rec/in-1']]);
    });

    it('offer a device first that is disabled', function () use ($gaps, $player) {
        expect($gaps($player()->device('pc', 'head/usb/play', ['name' => 'Headset', 'enabled' => false])))->toBe([
            ['Headset is disabled on Pc, and Music has no device picked', 'Enable Headset on Pc, and Music: play to "Headset"', Cost::ENABLE + Cost::FIRST_PICK, ['head/usb/play', 'head/usb/play', 'music/sound']],
        ]);
    });

    it('plug a lead between sockets that carry the same, and none through the air', function () use ($gaps) {
        $out = Draft::rig()->tone('a')->ear('b')->with(fn (array $d) => ['sources' => [['id' => 's'] + $d['sources'][0]], 'listeners' => [['id' => 'l'] + $d['listeners'][0]]] + $d)->wish('s', 'l', 'must');
        expect($gaps($out))->toBe([['Nothing is plugged into A · Out', 'Plug Out of A into In of B', Cost::PLUG, ['a/out', 'b/in']]]);
    });
});

it('takes a wanted sound for lost that comes more than 6 dB softer, and no other', function () {
    $heard = fn (float $db, string $want = 'must') => stripped(['fader' => $db], $want)->pair('s', 'l');
    $silent = stripped(['mute' => true])->pair('s', 'l');
    // Half of it is 6.02 dB.
    expect(Trials::isLost($heard(0), $heard(-6)))->toBeFalse()->and(Trials::isLost($heard(0), $heard(-6.1)))->toBeTrue()->and(Trials::isLost($heard(-6.1), $heard(0)))->toBeFalse()
        ->and(Trials::isLost($heard(0), $silent))->toBeTrue()->and(Trials::isLost($silent, $heard(0)))->toBeFalse()
        ->and(Trials::isLost($heard(0, 'may'), $heard(-20, 'may')))->toBeFalse()->and(Trials::isLost($heard(0, 'may'), $silent))->toBeFalse();
    // Too loud for what it passes, it is to come softer.
    $loud = stripped([], last: ['db' => 25])->pair('s', 'l');
    expect($loud->verdict)->toBe(Verdict::Overloads)->and(Trials::isLost($loud, $heard(0)))->toBeFalse();
});

describe('what is tried', function () {
    $trials = fn (Draft $draft, int $most = 10): Trials => new Trials(new Hearings($draft->make()), $most);
    $cell = new Cell('s', 'l', 'base');
    $of = fn (Draft $draft, Remedy $remedy, int $i = 0): Candidate => [...$remedy->candidates(troubleOf($draft))][$i];

    it('counts once, and mends what it says', function () use ($trials, $cell, $of) {
        $draft = stripped(['mute' => true]);
        $tried = $trials($draft);
        $unmute = $of($draft, new Remedies\Switches);
        expect($tried->odd)->toBe([$cell->key()])->and($tried->isTried($unmute))->toBeFalse();
        $outcome = $tried->outcome($unmute, $cell);
        expect($outcome?->mended)->toBe([$cell->key()])->and($outcome?->costs)->toBe([])->and($tried->outcome($unmute, $cell))->toBe($outcome)
            ->and([$tried->count, $tried->singles, $tried->sets])->toBe([1, 1, 0])->and($tried->isTried($unmute))->toBeTrue();
    });

    it('stops where as many were tried as may be', function () use ($trials, $cell, $of) {
        $draft = stripped(['mute' => true]);
        $tried = $trials($draft, 0);
        expect($tried->isSpent())->toBeTrue()->and($tried->outcome($of($draft, new Remedies\Switches), $cell))->toBeNull()->and($tried->count)->toBe(0);
    });

    it('keeps what brings a sound and does harm, with what it makes worse', function () use ($trials, $cell, $of) {
        // The switch that lets S through lets T through too, which must not be heard.
        $draft = Draft::rig()->unit('u', ['points' => [['id' => 'a', 'kind' => 'origin', 'channels' => 1], ['id' => 'b', 'kind' => 'origin', 'channels' => 1], ['id' => 'mix', 'kind' => 'bus', 'channels' => 1], ['id' => 'ear', 'kind' => 'ear', 'channels' => 1]],
            'routes' => [['from' => 'a', 'to' => 'mix'], ['from' => 'b', 'to' => 'mix'], ['from' => 'mix', 'to' => 'ear', 'on' => false, 'can' => ['on']]]])
            ->source('s', 'u/a')->source('t', 'u/b')->listener('l', 'u/ear')->wish('s', 'l', 'must')->wish('t', 'l', 'must-not');
        $tried = $trials($draft);
        $switch = $of($draft, new Remedies\Switches);
        expect($tried->outcome($switch, $cell))->toBeNull()->and($tried->nearer($cell))->toBe([])
            ->and(array_map(fn (array $one) => [$one[0]->key, $one[1]], $tried->harmful($cell)))->toBe([[$switch->key, [(new Cell('t', 'l', 'base'))->key()]]]);
    });

    it('keeps what brings a sound nearer: of two ways that leak one is shut', function () use ($trials, $cell) {
        $draft = Draft::rig()->unit('u', ['points' => [['id' => 'tone', 'kind' => 'origin', 'channels' => 1], ['id' => 'a', 'kind' => 'strip', 'channels' => 1, 'mute' => false], ['id' => 'b', 'kind' => 'strip', 'channels' => 1, 'mute' => false],
            ['id' => 'ear', 'kind' => 'ear', 'channels' => 1]], 'routes' => [['from' => 'tone', 'to' => 'a'], ['from' => 'tone', 'to' => 'b'], ['from' => 'a', 'to' => 'ear'], ['from' => 'b', 'to' => 'ear']]])
            ->source('s', 'u/tone')->listener('l', 'u/ear')->wish('s', 'l', 'must-not');
        $tried = $trials($draft);
        $mute = new Candidate('mute a', 'a is on', 'Mute a', [new SetPoint(new PointRef('u', 'a'), new PointSettings(mute: true))], Cost::SWITCH, []);
        expect($tried->outcome($mute, $cell))->toBeNull()->and(array_map(fn (Candidate $one) => $one->key, $tried->nearer($cell)))->toBe(['mute a'])->and($tried->harmful($cell))->toBe([]);
        // Both together are a set that mends it.
        $both = $mute->with(new Candidate('mute b', 'b is on', 'Mute b', [new SetPoint(new PointRef('u', 'b'), new PointSettings(mute: true))], Cost::SWITCH, []));
        expect($tried->outcome($both, $cell)?->mended)->toBe([$cell->key()])->and([$tried->count, $tried->singles, $tried->sets])->toBe([2, 1, 1])
            ->and($both->cure())->toBe('Mute a, and mute b')->and($both->cost)->toBe(2 * Cost::SWITCH);
    });
});
