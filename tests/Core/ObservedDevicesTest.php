<?php

declare(strict_types=1);

use HiddenWire\Core\Equipment\Direction;
use HiddenWire\Core\Import\DeviceDifference;
use HiddenWire\Core\Import\DeviceListing;
use HiddenWire\Core\Import\ObservedDevices;
use HiddenWire\Core\Import\SeenDevice;
use HiddenWire\Core\Import\UnreadableTable;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\Role;
use HiddenWire\Core\Signal\GraphBuilder;
use Tests\Support\Draft;

/** A laptop with a headset that has names of its own, a plain USB microphone, and its own socket disabled. */
function observed(): Draft
{
    return Draft::rig()->place('room')->unit('pc', 'laptop', 'room')->unit('set', 'usb-headset')->unit('mic', 'usb-microphone-plain')
        ->cable('usb', 'set/usb', 'pc/usb-1')->cable('usb', 'mic/usb', 'pc/usb-2')
        ->with(fn (array $d) => ['devices' => [
            ['computer' => 'pc', 'device' => 'set/usb/play', 'name' => 'Ears', 'roles' => ['playback', 'call'], 'rate_hz' => 48000, 'bits' => 24],
            ['computer' => 'pc', 'device' => 'set/usb/rec', 'roles' => ['call']],
            ['computer' => 'pc', 'device' => 'mic/usb/rec', 'name' => 'Voice', 'roles' => ['recording']],
            ['computer' => 'pc', 'device' => 'pc/headset/phones', 'enabled' => false],
            ['computer' => 'pc', 'device' => 'pc/headset/mic', 'enabled' => false],
        ]] + $d);
}

function compareSeen(Rig $rig, string $text): ObservedDevices
{
    return new ObservedDevices($rig, 'pc', (new GraphBuilder($rig))->build($rig->base())->devices->of('pc'), DeviceListing::read($text));
}

/** @return list<string> */
function seenOtherwise(string $text): array
{
    return array_map(fn (DeviceDifference $one) => "{$one->kind->value}: {$one->sentence}", compareSeen(observed()->make(), $text)->differences);
}

const ALL_THERE = "name,direction,default\nEars,playback,yes and calls\nUSB headset,recording,calls\nVoice,recording,yes\n";

it('reads tables and lists as systems write them', function (string $text, array $devices) {
    expect(array_map(fn (SeenDevice $one) => [
        $one->name, $one->direction === Direction::Playback, array_map(fn (Role $role) => $role->value, $one->roles), $one->rateHz, $one->bits, $one->isEnabled,
    ], DeviceListing::read($text)->devices))->toBe($devices);
})->with([
    'a table' => ["Device;Type;Default;Sample rate;Bits;State\nEars;Output;yes;48000;24;active\nVoice;Input;;44.1 kHz;16 bit;disabled\n",
        [['Ears', true, ['playback'], 48000, 24, true], ['Voice', false, [], 44100, 16, false]]],
    'calls apart' => [ALL_THERE, [['Ears', true, ['playback', 'call'], null, null, true], ['USB headset', false, ['call'], null, null, true],
        ['Voice', false, ['recording'], null, null, true]]],
    'lines below headings' => ["Playback devices:\n  * Ears, 48000 Hz, 24 bit\n  - Monitor (disabled)\n\nInput\n1. Voice (default)\n2. Model 24 line in [default for calls]\n",
        [['Ears', true, ['playback'], 48000, 24, true], ['Monitor', true, [], null, null, false], ['Voice', false, ['recording'], null, null, true],
            ['Model 24 line in', false, ['call'], null, null, true]]],
]);

it('says of which lines nothing was taken, and refuses what has no device', function () {
    expect(DeviceListing::read("Ears\nPlayback\nEars\n")->passedOver)->toBe(['Line 1: neither “Playback” nor “Recording” stands above it'])
        ->and(DeviceListing::read("name,direction\nEars,playback\n,playback\nX,sideways\n")->passedOver)->toHaveCount(2);
    foreach (['', 'nothing here', "Playback\n\nRecording\n"] as $text) {
        expect(fn () => DeviceListing::read($text))->toThrow(UnreadableTable::class, 'No device was found');
    }
});

it('finds each difference, and nothing where all is as planned', function (string $text, array $differences) {
    expect(seenOtherwise($text))->toBe($differences);
})->with([
    'all as planned' => [ALL_THERE, []],
    'in any order and case' => ["name,direction\nvoice,recording\nEARS,playback\nusb headset,recording\n", []],
    'one is missing' => [str_replace("Voice,recording,yes\n", '', ALL_THERE), ['missing: Voice (recording) is planned, and not in the list']],
    'one is disabled' => ["name,direction,state\nEars,playback,on\nUSB headset,recording,on\nVoice,recording,disabled\n", ['disabled: Voice (recording) is disabled there']],
    'one too many' => [ALL_THERE."Old webcam,recording,\n", ['unexpected: Old webcam (recording) is in the list, and not planned']],
    'a name is lost' => [str_replace('Ears', 'USB headset', ALL_THERE), ['renamed: Ears (playback) is called USB headset there']],
    'a number came before it' => [str_replace('Voice', '2- Voice', ALL_THERE), ['renamed: Voice (recording) is called 2- Voice there']],
    'another default' => ["name,direction,default\nEars,playback,yes\nUSB headset,recording,yes\nVoice,recording,\n",
        ['wrong default: The recording default is USB headset, and Voice is planned']],
    'another default for calls' => ["name,direction,default\nEars,playback,yes\nUSB headset,recording,\nVoice,recording,yes and calls\n",
        ['wrong default: The recording default for calls is Voice, and USB headset is planned']],
    'another format' => ["name,direction,rate,bits\nEars,playback,44100,24\nUSB headset,recording,44100,\nVoice,recording,,\n",
        ['other format: Ears (playback) runs at 44100 Hz, and 48000 Hz is planned']],
    'two alike' => [ALL_THERE."Voice,recording,\n", ['alike: Voice (recording) is there 2 times under one name', 'unexpected: Voice (recording) is in the list, and not planned']],
    'what should be off' => [ALL_THERE."\"Headset, built-in sound\",playback,\n", ['listed: Headset, built-in sound (playback) is disabled in the plan, and listed there']],
]);

it('takes each difference over that a plan can say: the next comparison finds nothing', function (string $text, bool $all) {
    $rig = observed()->make();
    $seen = compareSeen($rig, $text);
    expect($seen->differences)->not->toBe([]);
    foreach ($seen->differences as $difference) {
        expect($difference->takeOver === null)->toBe(! $all);
        $rig = $difference->takeOver?->applyTo($rig) ?? $rig;
    }
    expect($all ? compareSeen($rig, $text)->differences : [])->toBe([]);
})->with([
    'a name' => [str_replace('Ears', 'USB headset', ALL_THERE), true], 'missing' => [str_replace("Voice,recording,yes\n", '', ALL_THERE), true],
    'a default' => ["name,direction,default\nEars,playback,yes\nUSB headset,recording,yes\nVoice,recording,\n", true],
    'a format' => ["name,direction,rate,bits\nEars,playback,44100,16\nUSB headset,recording,,\nVoice,recording,,\n", true],
    'unexpected can\'t be' => [ALL_THERE."Old webcam,recording,\n", false],
]);

it('offers lines that say nothing of their direction to be told, and takes them as they were told', function () {
    $text = "sound card 0: [Desk USB]\n  1: \"Voice of the desk\" (16 bit)\n#2: Loudspeakers\nsomething else\n\nPlayback\nEars";
    $untold = DeviceListing::untold($text);
    expect($untold)->toBe([
        ['line' => 'sound card 0: [Desk USB]', 'name' => 'Desk USB'],
        ['line' => '1: "Voice of the desk" (16 bit)', 'name' => 'Voice of the desk'],
        ['line' => '#2: Loudspeakers', 'name' => 'Loudspeakers'],
        ['line' => 'something else', 'name' => 'something else'],
    ]);
    $told = DeviceListing::told($text, [1 => [Direction::Recording, 'Voice'], 2 => [Direction::Playback, 'Loudspeakers']]);
    expect($told)->toBe("Playback\nEars\nPlayback\nLoudspeakers\nRecording\nVoice");
    $devices = array_map(fn ($one) => [$one->name, $one->direction->value], DeviceListing::read($told)->devices);
    expect($devices)->toBe([['Ears', 'playback'], ['Loudspeakers', 'playback'], ['Voice', 'recording']]);
    // A table says it in its columns, a list below its headings: nothing is left to be listed.
    expect(DeviceListing::untold("name,direction\nEars,playback"))->toBe([])->and(DeviceListing::untold("Playback\nEars"))->toBe([])
        ->and(DeviceListing::untold("\xff"))->toBe([]);
});
