<?php

declare(strict_types=1);

use HiddenWire\Core\Document\DocumentWriter;
use HiddenWire\Core\Edit\AddUnit;
use HiddenWire\Core\Edit\ClearChange;
use HiddenWire\Core\Edit\PlaceListener;
use HiddenWire\Core\Edit\PlaceSound;
use HiddenWire\Core\Edit\Plug;
use HiddenWire\Core\Edit\RemoveUnit;
use HiddenWire\Core\Edit\Replug;
use HiddenWire\Core\Edit\RigEdit;
use HiddenWire\Core\Edit\SetAbsent;
use HiddenWire\Core\Edit\SetCable;
use HiddenWire\Core\Edit\SetDevice;
use HiddenWire\Core\Edit\SetMeasure;
use HiddenWire\Core\Edit\SetPick;
use HiddenWire\Core\Edit\SetSystemLevel;
use HiddenWire\Core\Edit\SetWish;
use HiddenWire\Core\Equipment\CableType;
use HiddenWire\Core\Quantity\Decibels;
use HiddenWire\Core\Rig\DeviceRef;
use HiddenWire\Core\Rig\DeviceSettings;
use HiddenWire\Core\Rig\DriverMode;
use HiddenWire\Core\Rig\ElementRef;
use HiddenWire\Core\Rig\InvalidRig;
use HiddenWire\Core\Rig\MeasureKind;
use HiddenWire\Core\Rig\Pick;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\Role;
use HiddenWire\Core\Rig\SocketRef;
use HiddenWire\Core\Rig\SystemDefault;
use HiddenWire\Core\Rig\Want;
use Tests\Support\Draft;

/** A laptop with a headset and a microphone, two programs, a second situation in which the mic is muted and another device picked. */
function smallStudio(): Rig
{
    return Draft::rig()->place('room')->unit('pc', 'laptop', 'room')->unit('head', 'usb-headset', 'room')->unit('mic', 'usb-microphone', 'room')
        ->unit('music', 'music-player', 'room')->unit('clip', 'clip-recorder', 'room')
        ->cable('usb', 'head/usb', 'pc/usb-1')->cable('usb', 'mic/usb', 'pc/usb-2')
        ->device('pc', 'head/usb/play', ['roles' => ['playback']])->device('pc', 'mic/usb/rec', ['name' => 'Table'])
        ->pick('music/sound', ['device' => 'head/usb/play'])->pick('clip/in-1', ['device' => 'mic/usb/rec'])
        ->source('voice', 'mic/capsule', ['head/capsule', -20.0])->source('song', 'music/sound')->listener('me', 'head/ear')->track('tape', 'clip/track-1')
        ->situation('late', ['music/sound' => ['default' => 'system'], 'clip/in-1' => ['device' => 'head/usb/rec']])
        ->add('measures', ['about' => 'cables/w-1', 'kind' => 'delay', 'value' => 3])->make();
}

/** @return mixed what is at a place of the document, "cables.0.label" */
function standsAt(Rig $rig, string $path): mixed
{
    $data = (array) json_decode((string) json_encode((new DocumentWriter)->data($rig)), true);
    foreach (explode('.', $path) as $key) {
        $data = is_array($data) ? $data[$key] ?? null : null;
    }

    return $data;
}

it('does what it says, there and nowhere else', function (RigEdit $edit, string $words, array $stands) {
    $rig = smallStudio();
    expect($edit->words($rig))->toBe($words);
    $after = $edit->applyTo($rig);
    foreach ($stands as $path => $value) {
        expect(standsAt($after, $path))->toBe($value, $path);
    }
})->with([
    'a measure' => [new SetMeasure(ElementRef::cable('w-2'), MeasureKind::Delay, 12.5), 'W-2: measured delay 12.5 ms',
        ['measures.0.value' => 3, 'measures.1' => ['about' => 'cables/w-2', 'kind' => 'delay', 'value' => 12.5], 'measures.2' => null]],
    'the same again' => [new SetMeasure(ElementRef::cable('w-1'), MeasureKind::Delay, 4.0), 'W-1: measured delay 4 ms',
        ['measures.0.value' => 4, 'measures.1' => null]],
    'none any more' => [new SetMeasure(ElementRef::cable('w-1'), MeasureKind::Delay, null), 'W-1: measured delay removed', ['measures' => null]],
    'a second ear' => [new PlaceListener('me', new PointRef('clip', 'track-1'), true), 'Me listens at Track 1 of Clip', ['listeners.0.at' => ['head/ear', 'clip/track-1']]],
    'an ear less' => [new PlaceListener('me', new PointRef('head', 'ear'), false), 'Me no longer listens at Ears of Head', ['listeners.0.at' => []]],
    'an ear that is there, once' => [new PlaceListener('me', new PointRef('head', 'ear'), true), 'Me listens at Ears of Head', ['listeners.0.at' => ['head/ear']]],
    'where a sound begins' => [new PlaceSound('song', new PointRef('mic', 'capsule'), Decibels::of(-6)), 'Song starts at Capsule of Mic, −6.0 dB',
        ['sources.1.origins' => [['at' => 'music/sound'], ['at' => 'mic/capsule', 'db' => -6]]]],
    'at its own level' => [new PlaceSound('voice', new PointRef('head', 'capsule'), Decibels::of(0)), 'Voice starts at Capsule of Head',
        ['sources.0.origins' => [['at' => 'mic/capsule'], ['at' => 'head/capsule']]]],
    'where it does not any more' => [new PlaceSound('voice', new PointRef('mic', 'capsule'), null), 'Voice no longer starts at Capsule of Mic',
        ['sources.0.origins' => [['at' => 'head/capsule', 'db' => -20]]]],
    'a program that does not run' => [new SetAbsent('late', 'music', true), 'Music does not run in Late', ['situations.1.absent' => ['music']]],
    'a unit that is away' => [new SetAbsent('late', 'mic', true), 'Mic is not there in Late', ['situations.1.absent' => ['mic'], 'situations.0.absent' => null]],
    'one that is there' => [new SetAbsent('late', 'mic', false), 'Mic is there in Late', ['situations.1.absent' => null]],
    'one that runs' => [new SetAbsent('late', 'music', false), 'Music runs in Late', ['situations.1.absent' => null]],
    'a cable' => [new SetCable('w-1', 'Head lead', CableType::Usb, 1.5, 'red', false, '4.50 EUR', 'Pier shop'),
        'W-1: is labelled Head lead now, 1.5 m, red, to buy, price 4.50 EUR, supplier Pier shop',
        ['cables.0' => ['id' => 'w-1', 'label' => 'Head lead', 'type' => 'usb', 'from' => 'head/usb', 'to' => 'pc/usb-1', 'length_m' => 1.5, 'colour' => 'red', 'owned' => false,
            'price' => '4.50 EUR', 'supplier' => 'Pier shop']]],
    'a cable as it is' => [new SetCable('w-1', 'W-1', CableType::Usb, null, '', true), 'W-1: nothing new', ['cables.0.label' => 'W-1']],
    'a pick' => [new SetPick(new PointRef('music', 'sound'), new Pick(new PointRef('music', 'sound'), null, SystemDefault::System)),
        'Music: Music uses the system default', ['picks.0' => ['at' => 'music/sound', 'default' => 'system'], 'picks.1.device' => 'mic/usb/rec']],
    'a pick in a situation' => [new SetPick(new PointRef('music', 'sound'), new Pick(new PointRef('music', 'sound'), DeviceRef::lane('head', 'usb', 'play')), 'late'),
        'Music: Music uses USB headset in Late', ['picks.0.device' => 'head/usb/play', 'situations.1.changes.0.set' => ['device' => 'head/usb/play']]],
    'no pick' => [new SetPick(new PointRef('clip', 'in-1'), null), 'Clip: Input 1 uses no device', ['picks' => [['at' => 'music/sound', 'device' => 'head/usb/play']]]],
    'one change taken back' => [new ClearChange('late', 'music/sound', true), 'Late: Music reset to the default', ['situations.1.changes' => [['at' => 'clip/in-1', 'set' => ['device' => 'head/usb/rec']]]]],
    'what is set there is no pick' => [new ClearChange('late', 'music/sound'), 'Late: Music reset to the default', ['situations.1.changes.0.at' => 'music/sound']],
    'all taken back' => [new ClearChange('late'), 'Late: all reset to the default', ['situations.1.changes' => []]],
    'a device' => [new SetDevice(new DeviceSettings('pc', DeviceRef::lane('mic', 'usb', 'rec'), 'Desk', false, [Role::Recording], 48000, 24, DriverMode::Exclusive)),
        'Pc: Table renamed to Desk, disabled, default for recording, 48000 Hz 24 bits, exclusive driver mode',
        ['devices.1' => ['computer' => 'pc', 'device' => 'mic/usb/rec', 'name' => 'Desk', 'enabled' => false, 'roles' => ['recording'], 'rate_hz' => 48000, 'bits' => 24, 'driver_mode' => 'exclusive'],
            'devices.0.roles' => ['playback']]],
    'a unit and what goes with it' => [new RemoveUnit('mic'), 'Removed Mic, and with it W-2, 1 pick',
        ['units.2.id' => 'music', 'cables' => [['id' => 'w-1', 'label' => 'W-1', 'type' => 'usb', 'from' => 'head/usb', 'to' => 'pc/usb-1']], 'picks.1' => null, 'devices.1' => null,
            'sources.0.origins' => [['at' => 'head/capsule', 'db' => -20]], 'measures.0.about' => 'cables/w-1', 'situations.1.changes.1.set.device' => 'head/usb/rec']],
]);

it('says a wish in words', function (?string $source, ?string $listener, ?Want $want, ?string $situation, string $words) {
    expect((new SetWish($source, $listener, $want, $situation))->words(smallStudio()))->toBe($words);
})->with([
    ['voice', 'tape', Want::Must, null, 'Voice must be heard by Tape'], [null, 'tape', Want::Must, 'late', 'Every sound must be heard by Tape in Late'],
    ['voice', null, Want::May, null, 'Voice may be heard by every listener'], ['voice', 'tape', Want::MustNot, null, 'Voice must not be heard by Tape'],
    [null, 'tape', Want::MustNot, null, 'No sound may be heard by Tape'], [null, null, Want::MustNot, 'late', 'No sound may be heard by any listener in Late'],
    ['voice', null, null, null, 'No wish for Voice at any listener'], [null, 'me', null, 'late', 'No wish for any sound at Me in Late'],
]);

it('says what the system does to a device, for good or in a situation', function (?float $db, ?bool $mute, ?string $situation, string $words, array $stands) {
    $rig = smallStudio();
    $edit = new SetSystemLevel('pc', DeviceRef::lane('mic', 'usb', 'rec'), $db === null ? null : Decibels::of($db), $mute, $situation);
    expect($edit->words($rig))->toBe($words);
    foreach ($stands as $path => $value) {
        expect(standsAt($edit->applyTo($rig), $path))->toBe($value, $path);
    }
})->with([
    'for good' => [-6.0, true, null, 'Pc: Table in the system −6.0 dB, muted', ['devices.1.db' => -6, 'devices.1.mute' => true, 'devices.1.name' => 'Table']],
    'as it comes' => [null, null, null, 'Pc: Table in the system as usual', ['devices.1.db' => null, 'devices.1.mute' => null]],
    'in a situation' => [-6.0, null, 'late', 'Pc: Table in the system −6.0 dB in Late', ['situations.1.levels' => [['computer' => 'pc', 'device' => 'mic/usb/rec', 'db' => -6]], 'devices.1.db' => null]],
    'as in the default' => [null, null, 'late', 'Pc: Table in the system as in the default in Late', ['situations.1.levels' => null]],
]);

it('counts a label that was given by hand, too', function () {
    $rig = Draft::rig()->tone('a')->ear('b')->cable('trs', 'a/out', 'b/in')
        ->with(fn (array $d) => ['cables' => [['id' => 'w-1', 'label' => 'W-30'] + $d['cables'][0]]] + $d)->make();
    expect(Plug::nextLabel($rig))->toBe('W-31');
});

it('numbers units that come together, and says how many', function (int $count, string $words, array $names) {
    $rig = smallStudio();
    $edit = new AddUnit($rig->models['usb-microphone'], 'room', 'Mic', $count);
    expect($edit->words($rig))->toBe($words)
        ->and(array_slice(array_map(fn ($unit) => $unit->name, array_values($edit->applyTo($rig)->units)), 5))->toBe($names);
})->with([
    'one' => [1, 'New unit: Mic (USB microphone), Room', ['Mic']],
    'two' => [2, 'New units: Mic, Mic 2 (USB microphone), Room', ['Mic', 'Mic 2']],
]);

it('refuses, says why, and changes nothing', function (RigEdit $edit, string $message) {
    $rig = smallStudio();
    $before = (new DocumentWriter)->write($rig);
    expect(fn () => $edit->applyTo($rig))->toThrow(InvalidRig::class, $message)->and((new DocumentWriter)->write($rig))->toBe($before);
})->with([
    'a label of another cable' => [new SetCable('w-1', 'W-2', CableType::Usb, null, '', true), 'The label W-2 is on another cable already.'],
    'a socket that is taken' => [new Replug('w-1', false, new SocketRef('pc', 'usb-2')), 'has W-2 in it'],
    'a socket that no lead fits' => [new Replug('w-1', false, new SocketRef('pc', 'hdmi')), 'HDMI'],
]);
