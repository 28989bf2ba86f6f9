<?php

declare(strict_types=1);

use Tests\Support\Draft;

/*
 * The demo as it was meant: for each situation what every listener comes to with every sound, worked out from the description of the rig,
 * with its four mistakes. A letter a pair:
 *   o as wished (heard or silent)   M missing   L leak   D doubled   1 a side or a part is lost   . nothing said and nothing heard
 * The mistakes: the picture repeater sends the rally to the capture card, whose sound is on in the broadcast program (doubled for the
 * viewers); the old console's lead is a single
 * one (left only where it is heard in stereo, half of the game where it is heard in mono); the music is on the archive's track; the
 * chimes follow the system's default, which is the monitor. In Off the desk's phantom power is switched off, which the presenter's booster needs.
 */
const DEMO_LISTENERS = ['presenter', 'driver-ears', 'viewers', 'archive', 'clip', 'ferry', 'team', 'hall'];
const DEMO = [
    'on-air' => [
        'voice' => 'oooooooo', 'visitor' => 'oooooooo', 'driver' => 'oooooooo', 'rally' => 'ooDooooo', 'console' => '1o1111o1',
        'music' => 'oooLoooo',
        'navigator' => 'oooooooo', 'chime' => 'MoMMoooo', 'ring' => 'oooooooo', 'crew' => 'oooooo.o', 'pages' => 'oooooooo',
    ],
    // Microphones off the programme, the caller muted, the clips paused: the console and the rally may still be heard; music has to be,
    // and still leaks.
    'break' => [
        'voice' => 'oooooooo', 'visitor' => 'oooooooo', 'driver' => 'oooooooo', 'rally' => 'ooDooooo', 'console' => '1o11o1o1',
        'music' => 'oooLoooo',
        'navigator' => 'oooooooo', 'chime' => 'Mooooooo', 'ring' => 'oooooooo', 'crew' => 'oooooo.o', 'pages' => 'oooooooo',
    ],
    'talk' => [
        'voice' => 'oooooooo', 'visitor' => 'oooooooo', 'driver' => 'oooooooo', 'rally' => 'ooDooooo', 'console' => '1o11o1o1',
        'music' => 'oooLoooo',
        'navigator' => 'oooooooo', 'chime' => 'Mooooooo', 'ring' => 'oooooooo', 'crew' => 'oooooo.o', 'pages' => 'oooooooo',
    ],
    // Nothing goes out; the headphones stay on.
    'off' => [
        'voice' => 'oMoooMoo', 'visitor' => 'oooooooo', 'driver' => 'oooooooo', 'rally' => 'oooooooo', 'console' => '1oooo1oo',
        'music' => 'oooooooo',
        'navigator' => 'oooooooo', 'chime' => 'Mooooooo', 'ring' => 'oooooooo', 'crew' => 'oooooo.o', 'pages' => 'oooooooo',
    ],
];

it('comes to what was meant', function (string $situation) {
    $letters = ['ok' => 'o', 'missing' => 'M', 'leak' => 'L', 'doubled' => 'D', 'one-sided' => '1', 'silent' => '.', 'unwished' => '?',
        'loop' => '@'];
    $hearing = Draft::from(dirname(__DIR__, 2).'/resources/rigs/night-relay.json')->hear($situation);
    foreach (DEMO[$situation] as $source => $expected) {
        $found = implode('', array_map(
            fn (string $listener) => $letters[$hearing->pair($source, $listener)->verdict->value],
            DEMO_LISTENERS,
        ));
        expect($found)->toBe($expected, "{$source} in {$situation}");
    }
})->with(array_keys(DEMO));

it('is mended by undoing its four mistakes', function () {
    $draft = Draft::from(dirname(__DIR__, 2).'/resources/rigs/night-relay.json')
        ->set('broadcast', 'points', 'source-5', ['mute' => true])
        ->set('broadcast', 'routes', 'source-2>track-2', ['on' => false])
        ->pick('chimes/sound', ['device' => 'softmix/played-1'])
        ->with(function (array $d) {
            foreach ($d['cables'] as $i => $cable) {
                if ($cable['from'] === 'old-console/sound') {
                    $d['cables'][$i]['type'] = 'rca-pair';
                }
            }

            return $d;
        });
    expect(array_filter(array_intersect_key($draft->hear()->counts(), array_flip(['missing', 'leak', 'doubled', 'one-sided', 'loop']))))
        ->toBe([]);
});
