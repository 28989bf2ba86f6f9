<?php

declare(strict_types=1);

use HiddenWire\Core\Document\DocumentReader;
use HiddenWire\Core\Document\DocumentWriter;
use HiddenWire\Core\Document\InvalidDocument;
use HiddenWire\Core\Equipment\DeviceNames;
use HiddenWire\Core\Equipment\EquipmentModel;
use Tests\Support\Draft;

/** A box on USB: what it plays and records, by the labels of the points. */
function usbBox(array $plays, array $records, array $more = []): EquipmentModel
{
    $lanes = $points = [];
    foreach (['in' => $plays, 'out' => $records] as $way => $labels) {
        foreach ($labels as $id => $label) {
            $points[] = ['id' => $id, 'kind' => $way, 'label' => $label, 'channels' => 4];
            $lanes[] = ['id' => $id, 'way' => $way, 'point' => $id, ...$more[$id] ?? [],
                'device' => ['direction' => $way === 'in' ? 'playback' : 'recording', ...$more["{$id} device"] ?? []]];
        }
    }

    return Draft::rig()->unit('box', ['name' => 'USB box', 'points' => $points, 'sockets' => [
        ['id' => 'usb', 'label' => 'USB', 'connector' => 'usb-c', 'link' => 'device', 'lanes' => $lanes]]])->make()->modelOf('box');
}

it('calls a computer\'s own socket by its colour, or else its label, and what it belongs to', function (string $model, string $socket, string $lane, string $name) {
    expect(DeviceNames::of(Draft::rig()->place('room')->unit('pc', $model, 'room')->make()->modelOf('pc'), $socket, $lane))->toBe($name);
})->with([
    ['gaming-computer', 'line-out', 'out', 'Green socket, built-in sound'],
    ['gaming-computer', 'line-in', 'in', 'Blue socket, built-in sound'],
    ['gaming-computer', 'mic-in', 'in', 'Pink socket, built-in sound'],
    ['gaming-computer', 'optical', 'out', 'Optical out, built-in sound'],
    ['laptop', 'headset', 'phones', 'Headset, built-in sound'],
    // The number of the picture output, and what it reaches.
    ['gaming-computer', 'hdmi-1', 'sound', 'Picture 1, {partner}'],
    ['laptop', 'hdmi', 'sound', 'Picture, {partner}'],
]);

it('calls the only device of a direction by its box, and several by what they carry', function () {
    expect(DeviceNames::of(usbBox(['main' => 'Main'], ['mix' => 'Mix']), 'usb', 'main'))->toBe('USB box')
        ->and(DeviceNames::of(usbBox(['main' => 'Main', 'call' => 'Call'], ['mix' => 'Mix']), 'usb', 'call'))->toBe('Call, USB box')
        ->and(DeviceNames::of(usbBox(['main' => 'Main', 'call' => 'Call'], ['mix' => 'Mix']), 'usb', 'mix'))->toBe('USB box');
});

it('tells devices of one point apart by their channels', function () {
    $more = ['mix' => ['channels' => [1, 2]], 'all' => ['channels' => [1, 4]], 'three' => ['channels' => [3]]];
    $box = usbBox([], ['mix' => 'Out', 'all' => 'Out', 'three' => 'Out'], $more);
    expect(array_map(fn (string $lane) => DeviceNames::of($box, 'usb', $lane), ['mix', 'all', 'three']))
        ->toBe(['Out 1-2, USB box', 'Out 1+4, USB box', 'Out 3, USB box']);
});

it('keeps a text of the unit\'s own', function () {
    $box = usbBox(['main' => 'Main', 'call' => 'Call'], [], ['call device' => ['system_name' => 'USB sound']]);
    expect(DeviceNames::of($box, 'usb', 'call'))->toBe('USB sound')->and(DeviceNames::of($box, 'usb', 'main'))->toBe('Main, USB box');
});

it('is not misled by a name that somebody gave a point', function () {
    $rig = Draft::rig()->place('room')->unit('pc', 'laptop', 'room')->unit('cable', Draft::sized('software-mixer', ['played' => 2]), 'room')
        ->with(fn (array $d) => array_replace_recursive($d, ['units' => [1 => ['names' => ['played-1' => 'Guest']]]]))->make();
    expect(DeviceNames::of($rig->modelOf('cable'), 'played-1', null))->toStartWith('Played in 1, ');
});

it('writes a small letter inside a name, except in an abbreviation', function () {
    expect(DeviceNames::inside('Capture card'))->toBe('capture card')->and(DeviceNames::inside('USB mixer'))->toBe('USB mixer')
        ->and(DeviceNames::inside('Ünder'))->toBe('ünder');
});

describe('a document of version 2', function () {
    /** @return list<string> pointers of what is refused */
    $refused = function (array $changed): array {
        try {
            (new DocumentReader)->read((string) json_encode($changed));

            return [];
        } catch (InvalidDocument $e) {
            return array_map(fn ($problem) => $problem->pointer, $e->problems);
        }
    };
    $document = fn (int $version): array => ['version' => $version] + (array) json_decode(
        Draft::rig()->place('room')->unit('pc', 'older-computer', 'room')
            ->device('pc', 'pc/line-out/out', ['processing' => $version < 3 ? ['spatial', 'enhancement'] : ['room-sound', 'tone-correction']])
            ->text(),
        true,
    );

    it('has a name for every device and nothing that lowers others', function () use ($refused, $document) {
        expect($refused($document(3)))->toBe([])
            ->and($refused($document(2)))->toContain('/models/older-computer/sockets/0/lanes/0/device/system_name')
            ->toContain('/models/older-computer/settings/1/lowers_others');
    });

    it('has two other words for what a system does to a sound, and is written with those of today', function () {
        $of = fn (int $version, string $word): array => ['version' => $version, 'format' => 'hidden-wire/rig', 'name' => 'A',
            'places' => [['id' => 'room', 'kind' => 'computer', 'name' => 'Room']],
            'models' => ['pc' => ['name' => 'Computer', 'family' => 'computer', 'sockets' => [['id' => 'out', 'label' => 'Out', 'connector' => 'trs-3.5',
                'lanes' => [['id' => 'out', 'way' => 'out', 'point' => 'out', 'device' => ['direction' => 'playback', 'system_name' => 'Old name']]]]],
                'points' => [['id' => 'out', 'kind' => 'out', 'channels' => 2]]]],
            'units' => [['id' => 'pc', 'model' => 'pc', 'place' => 'room', 'name' => 'Pc']],
            'devices' => [['computer' => 'pc', 'device' => 'pc/out/out', 'processing' => [$word]]],
            'situations' => [['id' => 'base', 'name' => 'Base', 'changes' => []]]];
        $read = fn (array $data): string => (new DocumentWriter)->write((new DocumentReader)->read((string) json_encode($data)));
        expect($read($of(2, 'spatial')))->toBe($read($of(3, 'room-sound')))->toContain('"system_name": "Old name"')
            ->and($read($of(2, 'enhancement')))->toBe($read($of(3, 'tone-correction')))
            ->and(fn () => $read($of(3, 'spatial')))->toThrow(InvalidDocument::class, '/devices/0/processing/0');
    });
});

it('refuses a lowering that is no number of dB', function () {
    $setting = ['id' => 'calls', 'label' => 'Calls', 'kind' => 'switch', 'factory' => false, 'lowers_others' => true];
    expect(fn () => Draft::rig()->place('room')->unit('pc', ['family' => 'computer', 'settings' => [$setting]], 'room')->make())
        ->toThrow(InvalidDocument::class, 'lowers_others');
});
