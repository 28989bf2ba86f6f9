<?php

declare(strict_types=1);

use HiddenWire\Core\Signal\Verdict;
use Tests\Support\Draft;
use Tests\Support\PlainSums;

/** The pair as the engine hears it, held against the second method. */
function heardAlike(Draft $draft, string $source, string $listener, string $point): array
{
    $pair = $draft->pair($source, $listener);
    $plain = new PlainSums((array) json_decode($draft->text(), true));
    $level = $plain->level($plain->powers($source), $point);
    expect($pair->level() === null ? $level < -60 : abs($pair->level()->value() - $level) < 0.02)->toBeTrue();

    return [$pair->verdict, $pair->level()?->value(), $pair->channels()];
}

it('has a microphone in a computer\'s microphone socket on both channels', function (array $more, string $family, Verdict $verdict, float $db, string $sides) {
    $device = ['device' => ['direction' => 'recording']];
    $isComputer = $family === 'computer';
    $draft = Draft::rig()->place('room')->unit('head', 'two-plug-headset', 'room')->unit('box', [
        'family' => $family,
        'sockets' => [
            ['id' => 'mic', 'label' => 'Mic', 'connector' => 'trs-3.5', 'signal' => 'microphone',
                'lanes' => [['id' => 'in', 'way' => 'in', 'point' => 'p'] + ($isComputer ? $device : []) + ($more['lane'] ?? [])]],
            ['id' => 'usb', 'label' => 'USB', 'connector' => $isComputer ? 'usb-a' : 'usb-b', 'link' => $isComputer ? 'host' : 'device',
                'lanes' => $isComputer ? [] : [['id' => 'in', 'way' => 'out', 'point' => 'p'] + $device]],
        ],
        'points' => [['id' => 'p', 'kind' => 'in', 'channels' => 2, 'gain' => ['from' => 0, 'to' => 40, 'db' => 40]]],
        'routes' => [],
    ], 'room')->unit('cast', 'broadcast-program', 'room')->cable('trs', 'head/mic', 'box/mic');
    if (! $isComputer) {
        $draft->unit('pc', 'laptop', 'room')->cable('usb', 'box/usb', 'pc/usb-1');
    }
    $draft->pick('cast/source-1', ['device' => $isComputer ? 'box/mic/in' : 'box/usb/in'] + ($more['pick'] ?? []))
        ->source('voice', 'head/capsule')->listener('viewers', 'cast/stream')->wish('voice', 'viewers', 'must');
    expect(heardAlike($draft, 'voice', 'viewers', 'cast/stream'))->toBe([$verdict, $db, $sides]);
})->with([
    // The microphone gives 40 dB less than the voice, the socket's gain 40 dB.
    'a computer' => [[], 'computer', Verdict::Ok, 0.0, 'both'],
    'a headset adapter' => [[], 'adapter', Verdict::Ok, 0.0, 'both'],
    'a channel picked, as was needed before' => [['pick' => ['channels' => [1]]], 'computer', Verdict::Ok, 0.0, 'both'],
    'an interface, whose inputs are its channels' => [[], 'interface', Verdict::OneSided, 0.0, 'left'],
    'a lane that says its channels' => [['lane' => ['channels' => [1, 2]]], 'computer', Verdict::OneSided, 0.0, 'left'],
    'a line input' => [['lane' => ['signal' => 'consumer-line']], 'computer', Verdict::OneSided, 0.0, 'left'],
]);
