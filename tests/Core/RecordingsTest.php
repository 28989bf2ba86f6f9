<?php

declare(strict_types=1);

use HiddenWire\Core\Rig\Listener;
use HiddenWire\Core\Rig\Source;
use HiddenWire\Core\Signal\Recordings;
use Tests\Support\Draft;

/**
 * One recorder with the tracks given.
 *
 * @param  array<string, array<string, array{float, float}|float>>  $tracks  dB, or dB and ms, of each sound on a track, by sound
 */
function recorder(array $tracks): Draft
{
    $points = $routes = $sounds = [];
    $draft = Draft::rig();
    foreach ($tracks as $track => $on) {
        $points[] = ['id' => (string) $track, 'kind' => 'ear', 'channels' => 2];
        foreach ($on as $sound => $how) {
            [$db, $ms] = is_array($how) ? $how : [$how, 0.0];
            $routes[] = ['from' => (string) $sound, 'to' => (string) $track, 'db' => $db, 'delay_ms' => $ms];
            $sounds[$sound] = true;
        }
    }
    foreach (array_keys($sounds) as $sound) {
        $points[] = ['id' => (string) $sound, 'kind' => 'origin', 'channels' => 1];
    }
    $draft = $draft->unit('u', ['points' => $points, 'routes' => $routes]);
    foreach (array_keys($tracks) as $track) {
        $draft = $draft->track((string) $track, "u/{$track}");
    }
    foreach (array_keys($sounds) as $sound) {
        $draft = $draft->source((string) $sound, "u/{$sound}");
    }

    return $draft;
}

/** @param  array<string, array<string, array{float, float}|float>>  $tracks */
function recorded(array $tracks): Recordings
{
    return new Recordings(recorder($tracks)->hear());
}

/** @return array{string, string, list<string>}|null track, its state there, and what else is there */
function bestOf(array $tracks, string $sound): ?array
{
    $best = recorded($tracks)->best(recorder($tracks)->make()->sources[$sound]);

    return $best === null ? null : [$best->track->id, $best->words(), array_map(fn (Source $one) => $one->id, $best->others)];
}

/** @return list<string> */
function idsOf(array $all): array
{
    return array_map(fn (Listener|Source $one) => $one->id, $all);
}

// Worked out by hand. Mix: voice 0, game -6, music -10. Voice alone on its own track; game with music on another, -6 and -16.
const SHOW = [
    'mix' => ['voice' => 0.0, 'game' => -6.0, 'music' => -10.0],
    'mic' => ['voice' => -3.0],
    'play' => ['game' => -6.0, 'music' => -16.0],
];

it('finds the best track of each sound: alone before standing out, standing out before drowned', function () {
    expect(bestOf(SHOW, 'voice'))->toBe(['mic', 'alone', []])
        // -6 - -16 = 10 dB over the music there; in the mix 6 dB under the voice.
        ->and(bestOf(SHOW, 'game'))->toBe(['play', '10.0 dB louder than the loudest other', ['music']])
        // Both tracks have it 10 dB under the loudest: the one with less on it.
        ->and(bestOf(SHOW, 'music'))->toBe(['play', '10.0 dB quieter than the loudest other', ['game']]);
});

it('tells what can be parted, and keeps the fewest tracks that hold everything', function (array $tracks, array $partable, array $keep) {
    expect(idsOf(recorded($tracks)->partable()))->toBe($partable)->and(idsOf(recorded($tracks)->toKeep()))->toBe($keep);
})->with([
    'the mix is in the rest' => [SHOW, ['voice'], ['mic', 'play']],
    'only a mix' => [['mix' => ['a' => 0.0, 'b' => 0.0]], [], ['mix']],
    'nothing' => [['mix' => [], 'mic' => ['a' => -3.0]], ['a'], ['mic']],
    // The louder of two copies that are alone.
    'twice alone' => [['one' => ['a' => -9.0], 'two' => ['a' => 0.0]], ['a'], ['two']],
    'names of figures' => [['1' => ['7' => 0.0], '2' => ['7' => 0.0, '8' => 0.0]], ['7'], ['1', '2']],
    // Greed would take the largest first and need three: the two others hold all six between them.
    'two are enough' => [
        ['most' => ['a' => 0.0, 'b' => 0.0, 'd' => 0.0, 'e' => 0.0], 'abc' => ['a' => 0.0, 'b' => 0.0, 'c' => 0.0],
            'def' => ['d' => 0.0, 'e' => 0.0, 'f' => 0.0]],
        [], ['abc', 'def'],
    ],
]);

it('takes the most useful one by one where there are too many to try', function () {
    $tracks = [];
    foreach (range(0, 14) as $i) {
        $tracks["t{$i}"] = ["s{$i}" => 0.0, 's'.($i + 1) => 0.0];
    }
    $keep = recorded($tracks)->toKeep();
    $held = array_merge(...array_map(fn (Listener $one) => array_keys($tracks[$one->id]), $keep));
    expect(array_unique($held))->toHaveCount(16)->and(count($keep))->toBeLessThan(15);
});

it('names tracks that must never be summed, by how far the copies are apart', function () {
    $pairs = recorded(['mix' => ['voice' => 0.0, 'game' => 0.0], 'mic' => ['voice' => [0.0, 4.0]], 'clip' => ['game' => 0.0, 'voice' => 0.0]])->neverSummed();
    $words = array_map(fn (array $pair) => [$pair['one']->id, $pair['other']->id, Recordings::doubled($pair['sounds'])], $pairs);
    expect($words)->toBe([
        // 4 ms is half a period of 125 Hz.
        ['mix', 'mic', 'Voice comes twice, 4 ms apart (first notch at 125 Hz)'],
        ['mix', 'clip', 'Voice, Game get louder'],
        ['mic', 'clip', 'Voice comes twice, 4 ms apart (first notch at 125 Hz)'],
    ]);
});

it('tells what the container keeps, and hears only what is kept', function () {
    // Ogg keeps the first track: the second is silent, whatever goes to it.
    $draft = fn (string $container) => Draft::rig()->place('room')->unit('pc', 'laptop', 'room')->unit('cast', 'broadcast-program', 'room')
        ->unit('mic', 'usb-microphone-plain')->cable('usb', 'mic/usb', 'pc/usb-1')->pick('cast/source-1', ['device' => 'mic/usb/rec'])
        ->set('cast', 'routes', 'source-1>track-2', ['on' => true])->value('cast', 'container', $container)
        ->set('cast', 'routes', 'track-1>file-1', ['on' => true])->set('cast', 'routes', 'track-2>file-2', ['on' => true])
        ->source('ann', 'mic/capsule')->track('one', 'cast/file-1')->track('two', 'cast/file-2');
    $kept = fn (string $container): array => array_map(fn (array $row) => array_keys($row['sounds']), (new Recordings($draft($container)->hear()))->tracks);
    expect($kept('Matroska'))->toBe(['one' => ['ann'], 'two' => ['ann']])->and($kept('Ogg'))->toBe(['one' => ['ann'], 'two' => []])
        ->and((new Recordings($draft('Ogg')->hear()))->containers())->toBe(['Cast' => 'Ogg. Keeps the first track only.']);
});

it('parts everybody of a call that records each in a file of their own', function () {
    $draft = Draft::rig()->place('far', 'remote')->unit('call', 'call-service-files', 'far')->grown('call', 'guests', 2)
        ->source('ann', 'call/voice-1')->source('ben', 'call/voice-2')->track('first', 'call/guest-file-1')->track('second', 'call/guest-file-2');
    $recordings = new Recordings($draft->hear());
    expect(idsOf($recordings->partable()))->toBe(['ann', 'ben'])->and(idsOf($recordings->toKeep()))->toBe(['first', 'second'])
        ->and($recordings->neverSummed())->toBe([]);
});

it('says what can be left out later by taking a mix without it, and keeps that mix', function () {
    $recordings = recorded(['all' => ['ann' => 0, 'ben' => 0, 'caller' => 0], 'room' => ['ann' => 0, 'ben' => 0], 'ann-track' => ['ann' => 0]]);
    // All without Caller is Room; Room without Ben is the track of Ann.
    expect(array_map(fn (array $one) => [$one['sound']->id, $one['with']->id, $one['without']->id], $recordings->removable()))->toBe([['caller', 'all', 'room'], ['ben', 'room', 'ann-track']])
        ->and(idsOf($recordings->toKeep()))->toBe(['all', 'room', 'ann-track']);
});

it('knows no common zero of two recorders', function () {
    $draft = recorder(['a' => ['ann' => 0], 'b' => ['ann' => [0, 5]]]);
    expect(Recordings::doubled((new Recordings($draft->hear()))->neverSummed()[0]['sounds']))->toContain('5 ms apart');
    $two = Draft::rig()->unit('u', ['points' => [['id' => 'ann', 'kind' => 'origin', 'channels' => 1], ['id' => 'a', 'kind' => 'ear', 'channels' => 1]], 'routes' => [['from' => 'ann', 'to' => 'a']],
        'sockets' => [['id' => 'out', 'label' => 'Out', 'connector' => 'trs-6.35', 'lanes' => [['id' => 'l', 'way' => 'out', 'point' => 'ann']]]]])
        ->ear('v')->cable('trs', 'u/out', 'v/in')->source('ann', 'u/ann')->track('a', 'u/a')->track('b', 'v/ear');
    expect(Recordings::doubled((new Recordings($two->hear()))->neverSummed()[0]['sounds']))->toBe('Ann comes twice, by two recorders that are started by hand: they have no common zero');
});
