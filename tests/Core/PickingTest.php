<?php

declare(strict_types=1);

use HiddenWire\Core\Book\BookInput;
use HiddenWire\Core\Book\Cards;
use HiddenWire\Core\Book\CardStep;
use HiddenWire\Core\Devices\OtherWays;
use HiddenWire\Core\Devices\RunsHere;
use HiddenWire\Core\Document\Catalogue;
use HiddenWire\Core\Document\DocumentReader;
use HiddenWire\Core\Document\DocumentWriter;
use HiddenWire\Core\Document\InvalidDocument;
use HiddenWire\Core\Edit\AddUnit;
use HiddenWire\Core\Edit\NamePoint;
use HiddenWire\Core\Edit\PlugLast;
use HiddenWire\Core\Edit\RemoveUnit;
use HiddenWire\Core\Edit\Swap;
use HiddenWire\Core\Edit\Unplug;
use HiddenWire\Core\Equipment\EquipmentModel;
use HiddenWire\Core\History\RigDifference;
use HiddenWire\Core\Planning\Diagnosis;
use HiddenWire\Core\Planning\Hearings;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Signal\GraphBuilder;
use Tests\Support\Draft;

/** Ann and Bob at a USB microphone each, both in one computer. @param  array<string, mixed>  $slot  what the program's slot says */
function studio(array $slot = []): Draft
{
    return Draft::rig()->place('room')->unit('pc', 'older-computer', 'room')
        ->unit('mic-a', 'usb-microphone-plain')->unit('mic-b', 'usb-microphone-plain')
        ->cable('usb', 'pc/usb-1', 'mic-a/usb')->cable('usb', 'pc/usb-2', 'mic-b/usb')
        ->device('pc', 'mic-a/usb/rec', ['name' => 'Left mic'])->device('pc', 'mic-b/usb/rec', ['name' => 'Right mic'])
        ->unit('rec', slotted($slot), 'room')->listener('file', 'rec/file')->source('ann', 'mic-a/capsule')->source('bob', 'mic-b/capsule');
}

/** @return array<string, mixed> a program that records one slot into a file */
function slotted(array $slot = []): array
{
    return ['name' => 'Keeper', 'family' => 'recorder', 'routes' => [['from' => 'in', 'to' => 'file']], 'points' => [
        ['id' => 'in', 'kind' => 'in', 'label' => 'Slot', 'channels' => 2, 'picks' => 'recording'] + $slot,
        ['id' => 'file', 'kind' => 'ear', 'label' => 'File', 'channels' => 2],
    ]];
}

/** @return array<string, list<string>> the cures by cause */
function pickingCauses(Rig $rig): array
{
    $causes = [];
    foreach ((new Diagnosis(new Hearings($rig)))->causes() as $cause) {
        $causes[$cause->sentence] = array_map(fn ($cure) => $cure->sentence, $cause->cures);
    }

    return $causes;
}

/** @return list<string> the offences of a draft, each with its place */
function refusals(Draft $draft): array
{
    try {
        $draft->make();
    } catch (InvalidDocument $e) {
        return array_map(fn ($problem) => "{$problem->pointer}: {$problem->message}", $e->problems);
    }

    return [];
}

/** @return array<string, bool> whether each sound is heard at a listener */
function arrives(Draft $draft, string $listener, ?string $situation = null): array
{
    $hearing = $draft->hear($situation);

    return array_map(fn (object $source) => $hearing->pair($source->id, $listener)->isHeard(), $hearing->rig->sources);
}

const LEFT_MIC = ['device' => 'mic-a/usb/rec'];

it('sums the devices that a slot takes at once, each as if it were picked alone', function () {
    $one = studio(['several' => 2])->pick('rec/in', LEFT_MIC);
    $two = studio(['several' => 2])->pick('rec/in', LEFT_MIC + ['also' => ['mic-b/usb/rec']]);
    expect(arrives($one, 'file'))->toBe(['ann' => true, 'bob' => false])->and(arrives($two, 'file'))->toBe(['ann' => true, 'bob' => true]);
    $level = fn (Draft $draft, string $source) => $draft->pair($source, 'file')->level()?->value();
    expect($level($two, 'ann'))->toBe($level($one, 'ann'))->and($level($two, 'bob'))->toBe($level($one, 'ann'));
});

it('takes a second device where one is missing, and does not where the slot takes one', function () {
    $wished = fn (array $slot): Rig => studio($slot)->pick('rec/in', LEFT_MIC)->wish('ann', 'file', 'must')->wish('bob', 'file', 'must')->make();
    $causes = pickingCauses($wished(['several' => 2]));
    expect($causes)->toHaveKey('Rec · Slot has only Left mic picked')
        ->and($causes['Rec · Slot has only Left mic picked'][0])->toBe('Rec: take Slot from Left mic and Right mic at once');
    // Two of three are taken already: all are named.
    $three = studio(['several' => 3])->unit('mic-c', 'usb-microphone-plain')->unit('hub', 'powered-hub')->unplug('mic-b/usb')
        ->cable('usb', 'pc/usb-2', 'hub/up')->cable('usb', 'hub/port-1', 'mic-b/usb')->cable('usb', 'hub/port-2', 'mic-c/usb')
        ->device('pc', 'mic-c/usb/rec', ['name' => 'Middle mic'])->source('cat', 'mic-c/capsule')
        ->pick('rec/in', LEFT_MIC + ['also' => ['mic-b/usb/rec']])->wish('ann', 'file', 'must')->wish('bob', 'file', 'must')->wish('cat', 'file', 'must')->make();
    expect(pickingCauses($three)['Rec · Slot has only Left mic and Right mic picked'][0])
        ->toBe('Rec: take Slot from Left mic, Right mic and Middle mic at once');
    $mended = (new Diagnosis(new Hearings($wished(['several' => 2]))))->causes()[0]->cures[0]->applyTo($wished(['several' => 2]));
    expect(pickingCauses($mended))->toBe([])->and(pickingCauses($wished([])))->not->toHaveKey('Rec · Slot has only Left mic picked');
});

it('refuses what a program does not offer, and more devices than it takes', function (array $slot, array $pick, array $refusals) {
    expect(refusals(studio($slot)->pick('rec/in', $pick)))->toBe($refusals);
})->with([
    'everything is offered where nothing is said' => [[], LEFT_MIC, []],
    'a default' => [['pick_from' => ['plugged', 'installed']], ['default' => 'system'],
        ['/picks/0/default: "Slot" does not offer the system\'s defaults, only devices that are plugged in, devices that programs install.']],
    'a device that is plugged in' => [['pick_from' => ['default']], LEFT_MIC,
        ['/picks/0/device: "Slot" does not offer devices that are plugged in, only the system\'s defaults.']],
    'a loopback' => [['pick_from' => ['plugged']], ['device' => 'pc/line-out/out', 'tap' => 'playback'],
        ['/picks/0/device: "Slot" does not offer loopbacks of playback devices, only devices that are plugged in.']],
    'two of one' => [[], LEFT_MIC + ['also' => ['mic-b/usb/rec']], ['/picks/0/also: "Slot" takes 1 device at once.']],
    'one twice' => [['several' => 3], LEFT_MIC + ['also' => ['mic-a/usb/rec']], ['/picks/0/also/0: This device is named already.']],
    'a playback device beside a recording one' => [['several' => 3], LEFT_MIC + ['also' => ['pc/line-out/out']],
        ['/picks/0/also/0: This is a playback device.']],
    'nothing' => [[], [], ['/picks/0: A pick names a "device", or follows a "default": system or call.']],
]);

it('says where a model says something of devices that it can\'t', function (array $slot, array $refusals) {
    $plain = ['id' => 'other', 'kind' => 'in', 'channels' => 2];
    $model = slotted($slot);
    $model['points'][] = $plain + ($slot === ['device_of' => 'other'] ? ['picks' => 'playback'] : []);
    expect(refusals(Draft::rig()->place('room')->unit('pc', 'older-computer', 'room')->unit('rec', $model, 'room')))->toBe($refusals);
})->with([
    'a device of a point that is not there' => [['device_of' => 'nowhere'], ['/models/model-keeper/points/0/device_of: This is another point that '
        .'picks a device of the same direction by itself.']],
    'a device of the other direction' => [['device_of' => 'other'], ['/models/model-keeper/points/0/device_of: This is another point that '
        .'picks a device of the same direction by itself.']],
]);

describe('one device for the whole program', function () {
    /** An interface of eight inputs in the computer; the program's device is it, and each track takes channels. */
    $desk = fn (array $tracks): Draft => array_reduce(
        array_keys($tracks),
        fn (Draft $draft, string $track) => $draft->pick("work/{$track}", ['channels' => $tracks[$track]]),
        Draft::rig()->place('room')->unit('pc', 'older-computer', 'room')->unit('work', 'workstation-program', 'room')
            ->unit('face', ['name' => 'Box', 'family' => 'interface', 'sockets' => [['id' => 'usb', 'label' => 'USB', 'connector' => 'usb-b',
                'link' => 'device', 'lanes' => [['id' => 'rec', 'way' => 'out', 'point' => 'out', 'device' => ['direction' => 'recording', 'system_name' => 'Box in']]]]],
                'points' => [['id' => 'ann', 'kind' => 'origin', 'channels' => 1], ['id' => 'bob', 'kind' => 'origin', 'channels' => 1],
                    ['id' => 'out', 'kind' => 'out', 'channels' => 4]],
                'routes' => [['from' => 'ann', 'to' => 'out', 'map' => [[1, 1]]], ['from' => 'bob', 'to' => 'out', 'map' => [[1, 4]]]]])
            ->cable('usb', 'pc/usb-1', 'face/usb')->source('ann', 'face/ann')->source('bob', 'face/bob')
            ->listener('one', 'work/file-1')->listener('two', 'work/file-2')->pick('work/device', ['device' => 'face/usb/rec']),
    );

    it('gives each track the channels that it takes of it', function () use ($desk) {
        $tracks = $desk(['track-1' => [1], 'track-2' => [4]]);
        expect(arrives($tracks, 'one'))->toBe(['ann' => true, 'bob' => false])->and(arrives($tracks, 'two'))->toBe(['ann' => false, 'bob' => true]);
        // A track that has chosen no channels takes nothing.
        expect(arrives($desk(['track-1' => [1]]), 'two'))->toBe(['ann' => false, 'bob' => false]);
    });

    it('refuses a device of its own for a track', function () use ($desk) {
        expect(refusals($desk([])->pick('work/track-1', ['device' => 'face/usb/rec'])))
            ->toBe(['/picks/1: "Track 1" takes the device of "Audio device": it has "channels" only.'])
            ->and(refusals($desk([])->pick('work/track-1', ['mode' => 'shared'])))
            ->toBe(['/picks/1: Say which "channels" of its device "Track 1" takes.']);
    });

    it('cures the wrong channel of a track, and one that takes none', function (array $tracks, string $cause, string $cure) use ($desk) {
        $rig = $desk($tracks)->wish('ann', 'one', 'must')->wish('bob', 'two', 'must')->wish('ann', 'two', 'must-not')->wish('bob', 'one', 'must-not')->make();
        $causes = pickingCauses($rig);
        expect(array_keys($causes))->toBe([$cause])->and($causes[$cause][0])->toBe($cure);
        expect(pickingCauses((new Diagnosis(new Hearings($rig)))->causes()[0]->cures[0]->applyTo($rig)))->toBe([]);
    })->with([
        [['track-1' => [1], 'track-2' => [1]], 'Work · Track 2 takes the wrong channels', 'Work: take Track 2 from "Box in", channel 4'],
        [['track-1' => [1]], 'Work · Track 2 has no device picked', 'Work: take Track 2 from "Box in", channel 4'],
    ]);
});

describe('a device that a program has for itself', function () {
    $two = fn (array $first, array $second): Draft => studio()->unit('other', slotted(), 'room')->listener('second', 'other/file')
        ->pick('rec/in', LEFT_MIC + $first)->pick('other/in', LEFT_MIC + $second)
        ->wish('ann', 'file', 'must')->wish('ann', 'second', 'must');
    $started = fn (Draft $draft, int $rec, int $other): Draft => $draft->with(function (array $d) use ($rec, $other) {
        foreach ($d['units'] as $i => $unit) {
            $d['units'][$i] += match ($unit['id']) {
                'rec' => ['start' => $rec], 'other' => ['start' => $other], default => [],
            };
        }

        return $d;
    });

    it('is shut to whoever starts later, and taken where it was opened before', function (array $first, array $second, int $rec, int $other, array $heard) use ($two, $started) {
        $draft = $started($two($first, $second), $rec, $other);
        expect(['file' => $draft->pair('ann', 'file')->isHeard(), 'second' => $draft->pair('ann', 'second')->isHeard()])->toBe($heard);
    })->with([
        'both share it' => [[], ['mode' => 'shared'], 1, 2, ['file' => true, 'second' => true]],
        'the first has it for itself' => [['mode' => 'exclusive'], [], 1, 2, ['file' => true, 'second' => false]],
        'the second wants it for itself, too late' => [['mode' => 'exclusive'], [], 2, 1, ['file' => false, 'second' => true]],
        'both want it for themselves' => [['mode' => 'exclusive'], ['mode' => 'exclusive'], 2, 1, ['file' => false, 'second' => true]],
    ]);

    it('is the cause, and sharing is the cure', function () use ($two, $started) {
        $rig = $started($two(['mode' => 'exclusive'], []), 1, 2)->make();
        expect(pickingCauses($rig))->toBe(['Rec has Left mic for itself, so that Other gets nothing' => ['Let Rec share Left mic']]);
        expect(pickingCauses((new Diagnosis(new Hearings($rig)))->causes()[0]->cures[0]->applyTo($rig)))->toBe([]);
        $late = $started($two(['mode' => 'exclusive'], []), 2, 1)->make();
        expect(pickingCauses($late))->toBe(['Rec wants Left mic for itself, which Other has opened before' => ['Let Rec share Left mic']]);
        // The device may be set so for every program.
        $device = $started($two([], [])->settings('mic-a/usb/rec', ['driver_mode' => 'exclusive']), 1, 2)->make();
        expect(pickingCauses($device)['Rec has Left mic for itself, so that Other gets nothing'][0])->toBe('Set the driver mode of Left mic to shared');
    });

    it('is free where its program does not run', function () use ($two, $started) {
        $draft = $started($two(['mode' => 'exclusive'], []), 1, 2)->add('situations', ['id' => 'late', 'name' => 'Late', 'changes' => [], 'absent' => ['rec']]);
        expect($draft->pair('ann', 'second', 'late')->isHeard())->toBeTrue();
    });
});

describe('a system that takes what was plugged in last', function () {
    /** A tablet with a headset and a USB microphone behind a hub; its call follows the defaults. */
    $tablet = fn (array $plugged = [], array $late = []): Draft => Draft::rig()->place('tab', 'tablet')->place('far', 'remote')
        ->unit('pad', 'tablet', 'tab')->unit('call', 'call-program', 'tab')->unit('guest', 'call-service', 'far')
        ->unit('hub', 'tablet-hub')->unit('set', 'usb-headset')->unit('mic', 'usb-microphone-plain')
        ->cable('usb', 'pad/usb-c-1', 'hub/up')->cable('usb', 'hub/port-1', 'set/usb')->cable('usb', 'hub/port-2', 'mic/usb')
        ->cable('network', 'call/session', 'guest/member-1')
        ->pick('call/microphone', ['default' => 'call'])->pick('call/speaker', ['default' => 'call'])
        ->source('lips', 'set/capsule')->source('voice', 'mic/capsule')->source('talk', 'pad/microphone')
        ->with(function (array $d) use ($plugged, $late) {
            $d['situations'][0] += $plugged === [] ? [] : ['plugged' => $plugged];
            $d['situations'][] = ['id' => 'late', 'name' => 'Late', 'changes' => [], ...$late];

            return $d;
        });
    $has = function (Draft $draft, ?string $situation = null): array {
        $rig = $draft->make();
        $has = [];
        foreach ((new GraphBuilder($rig))->build($rig->situation($situation))->devices->of('pad') as $device) {
            $has += $device->roles === [] ? [] : [$device->direction->value => (string) $device->ref];
        }

        return $has;
    };

    it('takes the one, and for the way that it does not go its own', function (array $plugged, array $late, array $base, array $then) use ($tablet, $has) {
        $sorted = function (array $has): array {
            ksort($has);

            return $has;
        };
        expect($sorted($has($tablet($plugged, $late))))->toBe($base)->and($sorted($has($tablet($plugged, $late), 'late')))->toBe($then);
    })->with([
        // The microphone's lead is the last of the rig; it has no playback device.
        'no order said' => [[], [],
            ['playback' => 'set/usb/play', 'recording' => 'mic/usb/rec'], ['playback' => 'set/usb/play', 'recording' => 'mic/usb/rec']],
        'the headset last' => [['w-2'], [],
            ['playback' => 'set/usb/play', 'recording' => 'set/usb/rec'], ['playback' => 'set/usb/play', 'recording' => 'set/usb/rec']],
        // The hub brings both at once: the microphone's own lead was the later.
        'the hub last' => [['w-1'], [],
            ['playback' => 'set/usb/play', 'recording' => 'mic/usb/rec'], ['playback' => 'set/usb/play', 'recording' => 'mic/usb/rec']],
        'otherwise in a situation' => [['w-2'], ['plugged' => ['w-3']],
            ['playback' => 'set/usb/play', 'recording' => 'set/usb/rec'], ['playback' => 'set/usb/play', 'recording' => 'mic/usb/rec']],
        'the hub is out' => [[], ['pulled' => ['w-1']],
            ['playback' => 'set/usb/play', 'recording' => 'mic/usb/rec'], ['playback' => 'pad/speaker', 'recording' => 'pad/microphone']],
        'the headset is out' => [[], ['pulled' => ['w-2']],
            ['playback' => 'set/usb/play', 'recording' => 'mic/usb/rec'], ['playback' => 'pad/speaker', 'recording' => 'mic/usb/rec']],
    ]);

    it('names the plug as the cause, and plugging again as the cure', function () use ($tablet) {
        // The guest has to hear the headset's microphone, but the other was plugged in after it.
        $rig = $tablet()->listener('guest', 'guest/ear-1')->wish('lips', 'guest', 'must')->wish('voice', 'guest', 'must-not')->make();
        $causes = pickingCauses($rig);
        expect(array_key_first($causes))->toBe('Pad takes USB microphone without monitoring, which was plugged in last')
            ->and($causes['Pad takes USB microphone without monitoring, which was plugged in last'][0])->toBe('Plug W-2 into Pad last');
        $mended = (new Diagnosis(new Hearings($rig)))->causes()[0]->cures[0]->applyTo($rig);
        expect(pickingCauses($mended))->toBe([])->and($mended->base()->plugged)->toBe(['w-2']);
        expect((new PlugLast('w-2'))->words($rig))->toBe('W-2 is plugged in last')
            ->and((new RigDifference($rig, $mended))->lines())->toBe(['Situations' => ['Base: plugged in last: W-2']]);
        // What is unplugged has no place in the order.
        expect((new Unplug('w-2'))->applyTo($mended)->base()->plugged)->toBe([]);
    });

    it('has no defaults that somebody chooses', function () use ($tablet) {
        $byPlug = 'This system takes what was plugged in last: say the order of the leads in a situation ("plugged").';
        expect(refusals($tablet()->device('pad', 'set/usb/play', ['roles' => ['playback']])))->toBe(["/devices/0/roles: {$byPlug}"])
            ->and(refusals($tablet([], ['defaults' => [['computer' => 'pad', 'direction' => 'playback', 'role' => 'call', 'device' => 'set/usb/play']]])))
            ->toBe(["/situations/1/defaults/0: {$byPlug}"]);
        expect(refusals($tablet(['w-9'])))->toBe(['/situations/0/plugged/0: There is no cable "w-9".']);
    });
});

describe('what a system hides and does', function () {
    $room = fn (array $more): Draft => studio()->device('pc', 'pc/line-out/out', ['name' => 'Room'])->unit('boxes', 'desktop-loudspeakers')
        ->unit('player', 'music-player', 'room')->cable('trs', 'pc/line-out', 'boxes/in')->source('music', 'player/sound')
        ->listener('room', 'boxes/cone')->pick('player/sound', ['device' => 'pc/line-out/out'])->settings('pc/line-out/out', $more)
        ->wish('music', 'room', 'must');

    it('leaves a device out that is hidden, or whose socket senses no plug, and lists it again', function (string $unlisted, string $cause, string $cure) use ($room) {
        $rig = $room(['unlisted' => $unlisted])->make();
        expect(pickingCauses($rig))->toBe([$cause => [$cure]]);
        $mended = (new Diagnosis(new Hearings($rig)))->causes()[0]->cures[0]->applyTo($rig);
        expect(pickingCauses($mended))->toBe([])->and((new RigDifference($rig, $mended))->lines())
            ->toBe(['Devices and picks' => ['Pc: Room in the list']]);
    })->with([
        ['hidden', 'Room is hidden in the list of Pc', 'Show Room in the list'],
        ['no-plug', 'Pc senses no plug in Room', 'Tell the system that something is plugged into Room'],
    ]);

    it('plays both sides at both ears where the system makes mono of it', function () use ($room) {
        // A sound on the left only: 6.02 dB down at both ears, by the average of the two sides.
        $left = ['family' => 'player', 'points' => [['id' => 'sound', 'kind' => 'origin', 'channels' => 1], ['id' => 'out', 'kind' => 'out', 'channels' => 2, 'picks' => 'playback']],
            'routes' => [['from' => 'sound', 'to' => 'out', 'map' => 'to-left']]];
        $ears = function (array $more) use ($room, $left): ?float {
            $pair = $room($more)->unit('left', $left, 'room')->source('beep', 'left/sound')->pick('left/out', ['device' => 'pc/line-out/out'])->pair('beep', 'room');

            return $pair->level()?->value();
        };
        [$plain, $mono] = [$ears([]), $ears(['processing' => ['mono']])];
        expect(round((float) $mono - (float) $plain, 2))->toBe(-6.02);
        // The others change nothing that can be computed, and are reported on the way.
        expect($ears(['processing' => ['automatic-level', 'room-sound']]))->toBe($plain);
        $hops = $room(['processing' => ['automatic-level']])->pair('music', 'room')->arrivals()[0]->hops;
        expect(array_map(fn ($hop) => $hop->label, $hops))->toContain('Room, in the system: automatic level');
    });

    it('lowers what others play while a call runs, and is silent where it is set so', function (float $value, ?float $difference) use ($room) {
        $draft = fn (float $value): Draft => $room([])->unit('call', 'call-program', 'room')->value('pc', 'calls', $value)
            ->add('situations', ['id' => 'quiet', 'name' => 'Quiet', 'changes' => [], 'absent' => ['call']]);
        $level = fn (Draft $of, ?string $in = null): ?float => $of->pair('music', 'room', $in)->level()?->value();
        $plain = (float) $level($room([]));
        $now = $level($draft($value));
        expect($difference === null ? $now : round((float) $now - $plain, 2))->toBe($difference)
            // Without a call everything is as it was.
            ->and($level($draft($value), 'quiet'))->toBe($plain);
    })->with([[0.0, 0.0], [17.0, -17.0], [40.0, -40.0], [60.0, null]]);

    it('names the setting that silences others during calls', function () use ($room) {
        $rig = $room([])->unit('call', 'call-program', 'room')->value('pc', 'calls', 60)->make();
        $causes = pickingCauses($rig);
        expect(array_keys($causes))->toBe(['Pc: Lowering of other sounds during calls is 60 dB'])
            ->and($causes['Pc: Lowering of other sounds during calls is 60 dB'])->toContain('Set Lowering of other sounds during calls of Pc to 0 dB');
    });

    it('says whose names installing a program spoils', function () {
        $rig = studio()->unit('tool', 'device-utility', 'room')->make();
        $devices = (new GraphBuilder($rig))->devices();
        expect(RunsHere::spoils($rig, $rig->units['pc'], $rig->units['tool'], $devices))->toBe(['Left mic', 'Right mic'])
            ->and(RunsHere::spoils($rig, $rig->units['pc'], $rig->units['rec'], $devices))->toBe([]);
        // Where a unit needs the program, its devices are meant.
        $needing = $rig->parts()->changing('units', 'mic-b', fn ($unit) => $unit->with(needs: ['tool']));
        $needing = new Rig($needing);
        expect(RunsHere::spoils($needing, $needing->units['pc'], $needing->units['tool'], $devices))->toBe(['Right mic']);
    });
});

describe('names of points', function () {
    $named = fn (): Rig => (new NamePoint(new PointRef('rec', 'in'), 'Both guests'))->applyTo(studio()->pick('rec/in', LEFT_MIC)->wish('bob', 'file', 'must')->make());

    it('go before what the unit calls the point, wherever it is named', function () use ($named) {
        expect($named()->modelOf('rec')->points['in']->label)->toBe('Both guests (Slot)')
            ->and($named()->models['model-keeper']->points['in']->label)->toBe('Slot')
            ->and(array_key_first(pickingCauses($named())))->toStartWith('Rec · Both guests (Slot)')
            ->and((new NamePoint(new PointRef('rec', 'in'), 'Guests'))->words($named()))->toBe('Rec: Slot is called Guests');
    });

    it('change nothing that is heard, are compared, and come through a document', function () use ($named) {
        $plain = (new NamePoint(new PointRef('rec', 'in'), ''))->applyTo($named());
        expect((new RigDifference($plain, $named()))->lines())->toBe(['Places and units' => ['Rec: Slot is called Both guests']])
            ->and((new RigDifference($named(), $plain))->lines())->toBe(['Places and units' => ['Rec: Slot has no name of its own']]);
        $text = (new DocumentWriter)->write($named());
        expect($text)->toContain('"names": {"in": "Both guests"}')->and((new DocumentWriter)->write((new DocumentReader)->read($text)))->toBe($text);
        // The same names make the same model, so that what was worked out for it holds.
        expect($named()->modelOf('rec'))->toEqual($named()->modelOf('rec'));
        $rig = $named();
        expect($rig->modelOf('rec'))->toBe($rig->modelOf($rig->units['rec']));
    });

    it('are refused at points that are not there', function () {
        $with = fn (array $names): array => refusals(studio()->with(function (array $d) use ($names) {
            $d['units'][3]['names'] = $names;

            return $d;
        }));
        expect($with(['in' => ' ']))->toContain('/units/3/names/in: A name is a text of 40 characters at most, and not empty.')
            ->and($with(['nowhere' => 'Guests']))->toBe(['/units/3/names/nowhere: The model "model-keeper" has no point "nowhere".']);
    });
});

it('keeps of picks what another program takes, and tells the rest', function () {
    $model = function (array $slot): EquipmentModel {
        $rig = Draft::rig()->place('room')->unit('pc', 'older-computer', 'room')->unit('new', ['name' => 'Newer'] + slotted($slot), 'room')->make();

        return $rig->modelOf('new');
    };
    $rig = (new NamePoint(new PointRef('rec', 'in'), 'Guests'))->applyTo(
        studio(['several' => 2])->pick('rec/in', LEFT_MIC + ['also' => ['mic-b/usb/rec'], 'mode' => 'exclusive'])->make(),
    );
    $swap = fn (array $slot) => new Swap($rig, $rig->units['rec'], $model($slot));
    expect($swap(['several' => 2])->losses)->toBe([])
        ->and($swap([])->losses)->toBe(['further devices of Slot'])->and($swap([])->rig->picks['rec/in']->also)->toBe([])
        ->and($swap(['pick_from' => ['default']])->losses)->toBe(['the pick of Rec: Slot'])
        ->and($swap([])->rig->units['rec']->names)->toBe(['in' => 'Guests']);
    // A tablet in the computer's stead has no defaults to choose.
    $with = studio()->settings('mic-a/usb/rec', ['roles' => ['recording']])->make();
    $tablet = Catalogue::of(['tablet' => (string) file_get_contents(dirname(__DIR__, 2).'/resources/catalogue/tablet.json')])->models['tablet'];
    $swapped = new Swap($with, $with->units['pc'], $tablet);
    expect($swapped->losses)->toContain('the default Left mic')->and($swapped->rig->devices[0]->roles)->toBe([]);
});

it('drops the second device of a pick with its unit, and leaves the first', function () {
    $rig = studio(['several' => 2])->pick('rec/in', LEFT_MIC + ['also' => ['mic-b/usb/rec']])
        ->situation('late', ['rec/in' => LEFT_MIC + ['also' => ['mic-b/usb/rec']]])->make();
    $without = (new RemoveUnit('mic-b'))->applyTo($rig);
    expect($without->picks['rec/in']->also)->toBe([])->and($without->situations['late']->changes[0]->set->also)->toBe([])
        ->and((string) $without->picks['rec/in']->device)->toBe('mic-a/usb/rec');
});

describe('a card', function () {
    $steps = function (Rig $rig, string $key, string $section): array {
        $card = Cards::card(new BookInput($rig), $key);

        return array_map(fn (CardStep $step) => $step->note === '' ? $step->text : "{$step->text} ({$step->note})", $card?->sections[$section] ?? []);
    };
    $starter = fn (string $name): Rig => (new DocumentReader)->read((string) file_get_contents(dirname(__DIR__, 2)."/resources/starters/{$name}.json"));

    it('installs a computer with what its system hides and does, and with the names that an installation spoils', function () use ($steps, $starter) {
        $rig = $starter('oral-history');
        expect($steps($rig, 'computer/pc', 'Install')[0])->toBe('Interface utility (needs the rights of an administrator; needs a restart; '
            .'renames devices of the system; spoils the names of Desk headphones, Microphones)');
        expect($steps($rig, 'computer/pc', 'Disable'))->toBe([
            'Hide Green socket, built-in sound (playback)', 'Pink socket, built-in sound (recording) is not sensed: see that it is listed',
        ]);
        expect($steps($rig, 'computer/pc', 'Levels in the system'))
            ->toBe(['Pink socket, built-in sound: switch on tone correction', 'Let the system play Guest to Desk headphones']);
        expect($steps($rig, 'computer/pc', 'In the programs'))->toContain(
            'Recording program, Audio device: Microphones, shared',
            'Recording program, Ann (Track 1): the device of the program, channel 1',
            'Caption recorder, Ann and the guest (Input 1): Microphones and Guest, channel 1',
        );
    });

    it('says in which order a tablet is plugged, where there is one', function () use ($steps) {
        $tablet = Draft::rig()->place('tab', 'tablet')->unit('pad', 'tablet', 'tab')->unit('hub', 'tablet-hub')->unit('set', 'usb-headset')
            ->unit('mic', 'usb-microphone-plain')->cable('usb', 'pad/usb-c-1', 'hub/up')->cable('usb', 'hub/port-1', 'set/usb')
            ->cable('usb', 'hub/port-2', 'mic/usb');
        $byPlug = 'it takes the sound of what was plugged in last';
        // The headset plays, the microphone records: each has the sound of one way.
        expect($steps($tablet->make(), 'run-down', 'Prepare'))->toContain("Pad: plug in last of all W-2, then W-3 ({$byPlug})");
        $ordered = (new PlugLast('w-2'))->applyTo($tablet->make());
        expect($steps($ordered, 'run-down', 'Prepare'))->toContain("Pad: plug in last of all W-2 ({$byPlug})");
    });

    it('says of a single control where it is set and that it has to be set again', function () {
        $rig = Draft::rig()->unit('mic', 'usb-microphone', 'desk', ['points' => ['mic' => ['gain' => 6], 'phones' => ['fader' => -6]]])->make();
        $again = array_merge(...array_values(array_map(
            fn (array $of) => array_map(fn (CardStep $step) => "{$step->text} ({$step->note})", $of),
            Cards::card(new BookInput($rig), 'unit/mic')?->sections ?? [],
        )));
        expect($again)->toContain('Microphone: gain 6.0 dB (holds until unplugged)')->not->toContain('Phones: fader −6.0 dB (holds until unplugged)')
            ->and(implode("\n", $again))->toContain('set on a page of the system: Sound')->toContain('set on the unit: knob');
    });
});

it('tells what a program does not offer, and by which way it could have it', function () {
    $rig = Draft::rig()->place('room')->unit('pc', 'older-computer', 'room')->unit('rec', slotted(['pick_from' => ['plugged', 'installed']]), 'room')
        ->unit('sounds', 'system-sounds', 'room')->unit('mic', 'usb-microphone-plain')->cable('usb', 'pc/usb-1', 'mic/usb')
        ->device('pc', 'pc/line-out/out', ['name' => 'Room'])->make();
    $ways = fn (Rig $of, string $unit, string $point): array => (new OtherWays($of, (new GraphBuilder($of))->devices()))
        ->at($of->units[$unit], $of->modelOf($unit)->points[$point]);
    expect($ways($rig, 'rec', 'in')['the loopback of Room'])->toBe('a virtual cable and a repeater would bring it to a device that is offered')
        ->and($ways($rig, 'rec', 'in'))->not->toHaveKey('Desk USB Mic')
        ->and($ways($rig, 'sounds', 'sound'))->toBe(['Room' => 'make it the default playback device of Pc']);
    $catalogue = Catalogue::of(array_combine(['virtual-cable', 'repeater'], array_map(
        fn (string $id) => (string) file_get_contents(dirname(__DIR__, 2)."/resources/catalogue/{$id}.json"),
        ['virtual-cable', 'repeater'],
    )));
    $cable = (new AddUnit($catalogue->models['virtual-cable'], 'room', 'Cable'))->applyTo($rig);
    expect($ways($cable, 'rec', 'in')['the loopback of Room'])
        ->toBe('a repeater that takes the loopback of Room and plays it to Cable would bring it here');
    $both = (new AddUnit($catalogue->models['repeater'], 'room', 'Repeater'))->applyTo($cable);
    expect($ways($both, 'rec', 'in')['the loopback of Room'])->toBe('let Repeater take the loopback of Room and play it to Cable, and take that here');
});
