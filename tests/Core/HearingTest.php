<?php

declare(strict_types=1);

use HiddenWire\Core\Document\DocumentReader;
use HiddenWire\Core\Signal\DoublingKind;
use HiddenWire\Core\Signal\Effort;
use HiddenWire\Core\Signal\GraphBuilder;
use HiddenWire\Core\Signal\HeardPair;
use HiddenWire\Core\Signal\Hearing;
use HiddenWire\Core\Signal\HopKind;
use HiddenWire\Core\Signal\Verdict;
use HiddenWire\Core\Signal\WayFinder;
use Tests\Support\Draft;
use Tests\Support\Stages;

/** A mixer of some strips into one bus: for rigs that need nothing else. */
function plainMixer(int $strips, array $routes = []): array
{
    $sockets = $points = [];
    foreach (range(1, $strips) as $i) {
        $sockets[] = ['id' => "in-{$i}", 'label' => "In {$i}", 'connector' => 'trs-3.5',
            'lanes' => [['id' => 'in', 'way' => 'in', 'point' => "s-{$i}"]]];
        $points[] = ['id' => "s-{$i}", 'kind' => 'strip', 'channels' => 2, 'gain' => ['from' => -20, 'to' => 20],
            'fader' => ['from' => -90, 'to' => 10], 'mute' => false, 'mono' => false];
        $routes[] = ['from' => "s-{$i}", 'to' => 'bus', 'can' => ['on', 'db', 'tap']];
    }
    $sockets[] = ['id' => 'out', 'label' => 'Out', 'connector' => 'trs-3.5',
        'lanes' => [['id' => 'out', 'way' => 'out', 'point' => 'bus']]];
    $points[] = ['id' => 'bus', 'kind' => 'bus', 'channels' => 2, 'fader' => ['from' => -90, 'to' => 10]];

    return ['sockets' => $sockets, 'points' => $points, 'routes' => $routes];
}

it(
    'carries what the conductors carry',
    function (
        int $channels,
        string $outConnector,
        bool $outBalanced,
        string $cable,
        string $inConnector,
        bool $inBalanced,
        int $earChannels,
        string $heard,
    ) {
        $pair = Draft::rig()->tone('a', $channels, $outConnector, $outBalanced)->ear('b', $earChannels, $inConnector, $inBalanced)
            ->cable($cable, 'a/out', 'b/in')->pair('a', 'b');
        expect($pair->channels())->toBe($heard);
    },
)->with([
    'stereo on three contacts' => [2, 'trs-3.5', false, 'trs', 'trs-3.5', false, 2, 'both'],
    'a mono lead between stereo sockets' => [2, 'trs-3.5', false, 'ts', 'trs-3.5', false, 2, 'left'],
    'a mono plug in a stereo socket' => [1, 'ts-3.5', false, 'ts', 'trs-3.5', false, 2, 'left'],
    'a stereo plug in an unbalanced mono socket' => [2, 'trs-3.5', false, 'trs', 'ts-3.5', false, 1, 'mono'],
    'balanced to balanced' => [1, 'xlr-m', true, 'xlr', 'xlr-f', true, 1, 'mono'],
    'a balanced microphone into a stereo strip' => [1, 'xlr-m', true, 'xlr', 'combo-f', true, 2, 'both'],
    'a balanced out in a stereo socket, the right turned round' => [1, 'trs-6.35', true, 'trs', 'trs-6.35', false, 2, 'both'],
]);

it('cancels what is common to left and right where a stereo plug sits in a balanced socket', function () {
    // One voice on both sides of a stereo line is gone; a stereo game is left as the difference of its sides.
    $mixer = plainMixer(1);
    $rig = fn (int $channels) => Draft::rig()->tone('a', $channels, 'ts-3.5')
        ->unit('m', ['points' => [['id' => 'in', 'kind' => 'in', 'channels' => $channels],
            ['id' => 'out', 'kind' => 'out', 'channels' => 2]],
            'sockets' => [['id' => 'in', 'label' => 'In', 'connector' => $channels === 1 ? 'ts-3.5' : 'trs-3.5',
                'lanes' => [['id' => 'i', 'way' => 'in', 'point' => 'in']]],
                ['id' => 'out', 'label' => 'Out', 'connector' => 'trs-6.35', 'lanes' => [['id' => 'o', 'way' => 'out', 'point' => 'out']]]],
            'routes' => [['from' => 'in', 'to' => 'out']]])->ear('b', 1, 'trs-6.35', true)->cable('trs', 'a/out', 'm/in')
        ->cable('trs', 'm/out', 'b/in');
    expect($rig(1)->wish('a', 'b', 'must')->pair('a', 'b')->verdict)->toBe(Verdict::Missing);
    expect(Draft::rig()->tone('a', 2)->ear('b', 1, 'trs-6.35', true)->cable('trs', 'a/out', 'b/in')->pair('a', 'b')->arrivals())
        ->toHaveCount(1);
});

it('cancels a balanced signal that was taken for stereo, when it is made mono', function () {
    $draft = Draft::rig()->tone('a', 1, 'trs-6.35', true)->unit('m', plainMixer(1))->ear('b')->cable('trs', 'a/out', 'm/in-1')
        ->cable('trs', 'm/out', 'b/in');
    expect($draft->pair('a', 'b')->channels())->toBe('both');
    expect($draft->set('m', 'points', 's-1', ['mono' => true])->pair('a', 'b')->arrivals())->toBe([]);
});

it('makes one stereo sound of two mono cables: two ways, not doubled', function () {
    $draft = Draft::rig()->unit(
        'a',
        ['points' => [['id' => 'tone', 'kind' => 'origin', 'channels' => 2]],
            'sockets' => array_map(fn ($n) => ['id' => "out-{$n}", 'label' => "Out {$n}", 'connector' => 'ts-6.35',
                'lanes' => [['id' => 'o', 'way' => 'out', 'point' => 'tone', 'channels' => [$n]]]], [1, 2])],
    )
        ->unit('b', ['points' => [['id' => 'ear', 'kind' => 'ear', 'channels' => 2]],
            'sockets' => array_map(fn ($n) => ['id' => "in-{$n}", 'label' => "In {$n}", 'connector' => 'ts-6.35',
                'lanes' => [['id' => 'i', 'way' => 'in', 'point' => 'ear', 'channels' => [$n]]]], [1, 2])])
        ->source('a', 'a/tone')->listener('b', 'b/ear')->cable('ts', 'a/out-1', 'b/in-1')->cable('ts', 'a/out-2', 'b/in-2')
        ->wish('a', 'b', 'must');
    $pair = $draft->pair('a', 'b');
    expect($pair->arrivals())->toHaveCount(2)->and($pair->verdict)->toBe(Verdict::Ok)->and($pair->channels())->toBe('both');
});

it('gives the verdict for a wish and what arrives', function (?string $want, bool $plugged, Verdict $verdict) {
    $draft = Draft::rig()->tone('a')->ear('b');
    $plugged && $draft->cable('trs', 'a/out', 'b/in');
    $want !== null && $draft->wish('a', 'b', $want);
    expect($draft->pair('a', 'b')->verdict)->toBe($verdict);
})->with([
    ['must', true, Verdict::Ok], ['must', false, Verdict::Missing], ['may', true, Verdict::Ok], ['may', false, Verdict::Ok],
    ['must-not', true, Verdict::Leak], ['must-not', false, Verdict::Ok], [null, true, Verdict::Unwished], [null, false, Verdict::Silent],
]);

it('lets a wish that names a situation go before one that holds in all', function () {
    $draft = Draft::rig()->tone('a')->ear('b')->cable('trs', 'a/out', 'b/in')->situation('off', [])->wish('a', 'b', 'must')
        ->wish('a', 'b', 'must-not', ['off']);
    expect($draft->pair('a', 'b')->verdict)->toBe(Verdict::Ok)->and($draft->pair('a', 'b', 'off')->verdict)->toBe(Verdict::Leak);
});

it('hears nothing that is 60 dB down, and what is just above', function (float $fader, int $arrivals) {
    $draft = Draft::rig()->tone('a')->unit('m', plainMixer(1))->ear('b')->cable('trs', 'a/out', 'm/in-1')->cable('trs', 'm/out', 'b/in')
        ->set('m', 'points', 's-1', ['fader' => $fader]);
    expect($draft->pair('a', 'b')->arrivals())->toHaveCount($arrivals);
})->with([[-60, 1], [-60.01, 0], [-90, 0]]);

it('takes a send before the fader, after it, or before everything', function (string $tap, bool $mute, ?float $level) {
    $draft = Draft::rig()->tone('a')->unit('m', plainMixer(1))->ear('b')->cable('trs', 'a/out', 'm/in-1')->cable('trs', 'm/out', 'b/in')
        ->set('m', 'points', 's-1', ['gain' => 4, 'fader' => -10, 'mute' => $mute])
        ->set('m', 'routes', 's-1>bus', ['tap' => $tap, 'db' => -1]);
    expect(($draft->pair('a', 'b')->arrivals()[0] ?? null)?->gain->value())->toBe($level);
})->with([['post-fader', false, -7.0], ['pre-fader', false, 3.0], ['input', false, -1.0], ['post-fader', true, null], ['pre-fader', true,
    null], ['input', true, -1.0]]);

it('moves an exclusive selector: switching one on switches the other off', function () {
    $draft = Draft::rig()->unit('c', 'capture-card')->place('room')->unit('pc', 'laptop', 'room')->unit('rec', 'clip-recorder', 'room')
        ->tone('line')->unit('console', 'console')
        ->cable('hdmi', 'console/picture', 'c/picture-1')->cable('trs', 'line/out', 'c/line')->cable('usb', 'c/usb', 'pc/usb-1')
        ->pick('rec/in-1', ['device' => 'c/usb/rec'])
        ->source('game', 'console/game')->listener('clip', 'rec/track-1')->situation('analog', ['c/line>usb-out' => ['on' => true]]);
    expect($draft->pair('game', 'clip')->arrivals())->toHaveCount(1)->and($draft->pair('line', 'clip')->arrivals())->toBe([])
        ->and($draft->pair('game', 'clip', 'analog')->arrivals())->toBe([])->and($draft->pair('line', 'clip', 'analog')->arrivals())
        ->toHaveCount(1);
});

/** One sound by two ways, the second later and weaker. */
function twice(float $apart, float $below): Draft
{
    $model = ['points' => [['id' => 'tone', 'kind' => 'origin', 'channels' => 2], ['id' => 'late', 'kind' => 'bus', 'channels' => 2],
        ['id' => 'ear', 'kind' => 'ear', 'channels' => 2]],
        'routes' => [['from' => 'tone', 'to' => 'ear'], ['from' => 'tone', 'to' => 'late', 'delay_ms' => $apart],
            ['from' => 'late', 'to' => 'ear', 'db' => -$below]]];

    return Draft::rig()->unit('u', $model)->source('s', 'u/tone')->listener('l', 'u/ear')->wish('s', 'l', 'must');
}

it('counts a second arrival as doubling down to 20 dB, and a late one down to 30', function (float $apart, float $below, Verdict $verdict) {
    $pair = twice($apart, $below)->pair('s', 'l');
    expect($pair->verdict)->toBe($verdict)->and($pair->arrivals())->toHaveCount(2);
})->with([
    'equal' => [10, 0, Verdict::Doubled], 'just within' => [10, 19.9, Verdict::Doubled], 'just outside' => [10, 20, Verdict::Ok],
    'at 25 ms still the short limit' => [25, 20, Verdict::Ok], 'late, just within' => [25.1, 29.9, Verdict::Doubled],
    'late, just outside' => [25.1, 30, Verdict::Ok],
]);

it('says what a doubling does', function (float $apart, DoublingKind $kind, ?string $notch, string $depth) {
    $doubling = twice($apart, 6)->pair('s', 'l')->doubling;
    expect($doubling?->kind())->toBe($kind)->and($doubling?->firstNotch()?->text())->toBe($notch)->and($doubling?->depth()->text())
        ->toBe($depth);
})->with([
    'adds' => [0.05, DoublingKind::Adds, null, '3.5'],
    'combs' => [2, DoublingKind::Combs, '250 Hz', '−6.0'],
    'echoes' => [40, DoublingKind::Echo, null, '−6.0'],
]);

it('does not call two weak copies a doubling that the strong one hides', function () {
    $model = ['points' => [['id' => 'tone', 'kind' => 'origin', 'channels' => 2], ['id' => 'a', 'kind' => 'bus', 'channels' => 2],
        ['id' => 'b', 'kind' => 'bus', 'channels' => 2], ['id' => 'ear', 'kind' => 'ear', 'channels' => 2]],
        'routes' => [['from' => 'tone', 'to' => 'ear'], ['from' => 'tone', 'to' => 'a', 'db' => -31],
            ['from' => 'tone', 'to' => 'b', 'db' => -32], ['from' => 'a', 'to' => 'ear'], ['from' => 'b', 'to' => 'ear']]];
    expect(Draft::rig()->unit('u', $model)->source('s', 'u/tone')->listener('l', 'u/ear')->wish('s', 'l', 'must')->pair('s', 'l')
        ->verdict)->toBe(Verdict::Ok);
});

it('finds a loop, says how loud it comes round, and survives it', function (float $back, Verdict $verdict, bool $howls) {
    // A mixer whose output is plugged back into a spare strip.
    $draft = Draft::rig()->tone('a')->unit('m', plainMixer(2))->unit('split', 'stereo-splitter')->ear('b')
        ->cable('trs', 'a/out', 'm/in-1')->cable('trs', 'm/out', 'split/in')
        ->cable('trs', 'split/out-1', 'b/in')->cable('trs', 'split/out-2', 'm/in-2')->set('m', 'points', 's-2', ['fader' => $back])
        ->wish('a', 'b', 'must');
    $hearing = $draft->hear();
    expect($hearing->loops())->not->toBe([])
        ->and($hearing->loops()[0]->gain->value())->toBe($back)->and($hearing->loops()[0]->howls())->toBe($howls)
        ->and($hearing->pair('a', 'b')->verdict)->toBe($verdict)->and($hearing->pair('a', 'b')->arrivals())->toHaveCount(1);
})->with(['howls' => [0, Verdict::Loop, true], 'rings' => [-3, Verdict::Loop, false], 'too weak to matter' => [-40, Verdict::Ok, false]]);

it('finds no loop where the channels do not meet', function () {
    // A repeater copies channels 5/6 of what an interface records to its channels 1/2 of what it plays: only the loopback closes the
    // circle.
    $draft = fn (bool $loopback) => Draft::rig()->place('room')->unit('pc', 'laptop', 'room')
        ->unit('i', 'pair-interface', 'desk', $loopback ? ['routes' => ['out-3>usb-out' => ['on' => true]]] : [])
        ->unit('r', 'repeater', 'room')
        ->cable('usb', 'i/usb', 'pc/usb-1')->pick('r/in', ['device' => 'i/usb/rec', 'channels' => [5, 6]])
        ->pick('r/out', ['device' => 'i/usb/play', 'channels' => [1, 2]]);
    expect($draft(true)->hear()->loops())->toBe([]);
    $closed = $draft(true)->pick('r/out', ['device' => 'i/usb/play', 'channels' => [5, 6]]);
    // Left and right go round by the same elements: one loop.
    expect($closed->hear()->loops())->toHaveCount(1);
});

it('counts ways exactly up to its cap', function (int $stages, int $count, bool $capped) {
    // Each stage doubles the number of ways.
    $points = [['id' => 'tone', 'kind' => 'origin', 'channels' => 1]];
    $routes = [];
    $last = 'tone';
    foreach (range(1, $stages) as $i) {
        array_push($points, ...array_map(fn ($p) => ['id' => "{$p}-{$i}", 'kind' => 'bus', 'channels' => 1], ['a', 'b', 'j']));
        array_push(
            $routes,
            ['from' => $last, 'to' => "a-{$i}"],
            ['from' => $last, 'to' => "b-{$i}"],
            ['from' => "a-{$i}", 'to' => "j-{$i}"],
            ['from' => "b-{$i}", 'to' => "j-{$i}"],
        );
        $last = "j-{$i}";
    }
    $points[] = ['id' => 'ear', 'kind' => 'ear', 'channels' => 1];
    $routes[] = ['from' => $last, 'to' => 'ear'];
    $pair = Draft::rig()->unit('u', ['points' => $points, 'routes' => $routes])->source('s', 'u/tone')->listener('l', 'u/ear')
        ->pair('s', 'l');
    expect($pair->arrivals())->toHaveCount($count)->and($pair->isCapped())->toBe($capped);
})->with(['few' => [3, 8, false], 'as many as are listed' => [6, WayFinder::MOST, false], 'a million' => [20, WayFinder::MOST, true]]);

it('walks a tangle of loops in bounded time', function () {
    $points = [['id' => 'tone', 'kind' => 'origin', 'channels' => 1], ['id' => 'ear', 'kind' => 'ear', 'channels' => 1]];
    $routes = [['from' => 'tone', 'to' => 'n-0']];
    foreach (range(0, 19) as $i) {
        $points[] = ['id' => "n-{$i}", 'kind' => 'bus', 'channels' => 1];
        foreach (range(0, 19) as $j) {
            $i !== $j && $routes[] = ['from' => "n-{$i}", 'to' => "n-{$j}", 'db' => -3];
        }
    }
    $routes[] = ['from' => 'n-19', 'to' => 'ear'];
    $hearing = Draft::rig()->unit('u', ['points' => $points, 'routes' => $routes])->source('s', 'u/tone')->listener('l', 'u/ear')
        ->wish('s', 'l', 'must')->hear();
    $pair = $hearing->pair('s', 'l');
    // Of the last step a channel of each link may be over.
    expect($pair->isCapped())->toBeTrue()->and($pair->verdict)->toBe(Verdict::Loop)
        ->and($hearing->steps())->toBeLessThan(WayFinder::STEPS + 100)->and($hearing->work())->toBeLessThan(100_000);
});

it('names a second microphone as a second arrival, and marks bleed', function () {
    $draft = Draft::rig()->unit('mic-1', 'usb-microphone-plain')->unit('mic-2', 'usb-microphone')->place('room')
        ->unit('pc', 'laptop', 'room')->unit('cast', 'broadcast-program', 'room')
        ->cable('usb', 'mic-1/usb', 'pc/usb-1')->cable('usb', 'mic-2/usb', 'pc/usb-2')
        ->pick('cast/source-1', ['device' => 'mic-1/usb/rec'])->pick('cast/source-2', ['device' => 'mic-2/usb/rec'])
        ->source('voice', 'mic-1/capsule', ['mic-2/capsule', -12.0])->listener('viewers', 'cast/stream')->wish('voice', 'viewers', 'must');
    $pair = $draft->pair('voice', 'viewers');
    expect($pair->verdict)->toBe(Verdict::Doubled)->and(array_map(fn ($arrival) => $arrival->isBleed, $pair->arrivals()))
        ->toBe([false, true]);
});

it('never brings a caller\'s own voice back through a call service', function () {
    $draft = Draft::rig()->place('far', 'remote')->unit('call', 'call-service', 'far')->grown('call', 'guests', 2)->source('one', 'call/voice-1')
        ->source('two', 'call/voice-2')->listener('ear-one', 'call/ear-1')->listener('ear-two', 'call/ear-2');
    expect($draft->pair('one', 'ear-one')->arrivals())->toBe([])->and($draft->pair('one', 'ear-two')->arrivals())->toHaveCount(1);
});

it('brings a caller\'s voice back where the mix for the call holds the call', function () {
    $draft = Draft::rig()->place('room')->place('far', 'remote')->unit('pc', 'laptop', 'room')->unit('call', 'call-program', 'room')
        ->unit('guest', 'call-service', 'far')->unit('cable', 'virtual-cable', 'room')
        ->cable('network', 'call/session', 'guest/member-1')->pick('call/speaker', ['device' => 'cable/in'])
        ->pick('call/microphone', ['device' => 'cable/out'])
        ->source('guest', 'guest/voice-1')->listener('guest-ear', 'guest/ear-1')->wish('guest', 'guest-ear', 'must-not');
    expect($draft->pair('guest', 'guest-ear')->verdict)->toBe(Verdict::Leak);
});

it('taps a playback device before any fader of the unit that receives it', function () {
    $draft = Draft::rig()->place('room')->unit('pc', 'laptop', 'room')->unit('ears', 'usb-headset')->unit('music', 'music-player', 'room')
        ->unit('cast', 'broadcast-program', 'room')
        ->cable('usb', 'ears/usb', 'pc/usb-1')->pick('music/sound', ['device' => 'ears/usb/play'])
        ->pick('cast/source-1', ['device' => 'ears/usb/play', 'tap' => 'playback'])
        ->source('music', 'music/sound')->listener('head', 'ears/ear')->listener('viewers', 'cast/stream')
        ->set('ears', 'points', 'ear', ['fader' => -30]);
    expect($draft->pair('music', 'head')->arrivals()[0]->gain->value())->toBe(-30.0)
        ->and($draft->pair('music', 'viewers')->arrivals()[0]->gain->value())->toBe(0.0);
});

it('reads the first channels only where a program reads no more', function () {
    $draft = fn (string $program, string $point) => Draft::rig()->place('room')->unit('pc', 'laptop', 'room')->unit('panel', Draft::sized('channel-desk', ['mics' => 5]))
        ->unit('prog', $program, 'room')->unit('mic', 'dynamic-microphone')
        ->cable('usb', 'panel/usb', 'pc/usb-1')->cable('xlr', 'mic/out', 'panel/mic-5')->set('panel', 'points', 'mic-5', ['gain' => 50])
        ->pick("prog/{$point}", ['device' => 'panel/usb/rec-all', 'channels' => [5]])
        ->source('voice', 'mic/capsule')->listener('l', $program === 'broadcast-program' ? 'prog/stream' : 'prog/track-1');
    expect($draft('broadcast-program', 'source-1')->pair('voice', 'l')->arrivals())->toBe([])
        ->and($draft('multitrack-recorder', 'in-1')->pair('voice', 'l')->channels())->toBe('both');
});

it('gives nothing from a device that is disabled', function () {
    $draft = Draft::rig()->place('room')->unit('pc', 'laptop', 'room')->unit('cam', 'webcam')->unit('rec', 'clip-recorder', 'room')
        ->cable('usb', 'cam/usb', 'pc/usb-1')->pick('rec/in-1', ['device' => 'cam/usb/rec'])->source('v', 'cam/capsule')
        ->listener('l', 'rec/track-1');
    expect($draft->pair('v', 'l')->arrivals())->toHaveCount(1);
    expect($draft->device('pc', 'cam/usb/rec', ['enabled' => false])->pair('v', 'l')->arrivals())->toBe([]);
});

it('follows a default to the device that has the role', function () {
    $draft = Draft::rig()->place('room')->unit('pc', 'older-computer', 'room')->unit('music', 'music-player', 'room')
        ->unit('boxes', 'desktop-loudspeakers')->cable('trs', 'pc/line-out', 'boxes/in')
        ->pick('music/sound', ['default' => 'system'])->source('music', 'music/sound')->listener('room', 'boxes/cone');
    expect($draft->pair('music', 'room')->arrivals())->toBe([]);
    expect($draft->device('pc', 'pc/line-out/out', ['roles' => ['playback']])->pair('music', 'room')->arrivals())->toHaveCount(1);
});

it('tells the hops in order, with running level and delay', function () {
    $draft = Draft::rig()->tone('a')->unit('m', plainMixer(1))->ear('b')->cable('trs', 'a/out', 'm/in-1')->cable('trs', 'm/out', 'b/in')
        ->set('m', 'points', 's-1', ['fader' => -6])->set('m', 'points', 'bus', ['fader' => -2]);
    $hops = $draft->pair('a', 'b')->arrivals()[0]->hops;
    expect(array_map(fn ($hop) => [$hop->kind, $hop->ref, $hop->level->value()], $hops))->toBe([
        [HopKind::Origin, 'a/tone', 0.0], [HopKind::Cable, 'w-1', 0.0], [HopKind::Gain, 'm/s-1', 0.0], [HopKind::Fader, 'm/s-1',
            -6.0], [HopKind::Route, 'm/s-1>bus', -6.0], [HopKind::Fader, 'm/bus', -8.0], [HopKind::Cable, 'w-2', -8.0],
    ]);
});

it('joins lanes by kind and order, and as a cable says where it says so', function () {
    // A headset: ears one way, microphone the other, on one plug.
    $draft = Draft::rig()->unit('amp', 'headphone-desk')->unit('head', 'trrs-headset')->place('room')->unit('pc', 'laptop', 'room')
        ->unit('rec', 'clip-recorder', 'room')->unit('music', 'music-player', 'room')
        ->cable('usb', 'amp/usb', 'pc/usb-1')->pick('rec/in-1', ['device' => 'amp/usb/rec'])
        ->pick('music/sound', ['device' => 'amp/usb/play'])->source('voice', 'head/capsule')->source('music', 'music/sound')
        ->listener('clip', 'rec/track-1')->listener('ears', 'head/ear');
    expect($draft->cable('captive', 'head/plug', 'amp/headset-1')->pair('voice', 'clip')->arrivals())->toHaveCount(1)
        ->and($draft->pair('music', 'ears')->arrivals())->toHaveCount(1);
    $draft->with(function (array $d) {
        $d['cables'][1]['lanes'] = [['mic', 'mic']];

        return $d;
    });
    expect($draft->pair('voice', 'clip')->arrivals())->toHaveCount(1)->and($draft->pair('music', 'ears')->arrivals())->toBe([]);
});

it('is put back from what was kept of it as it was', function (string $file) {
    $rig = (new DocumentReader)->read(shipped($file));
    foreach ($rig->situations as $situation) {
        $graph = (new GraphBuilder($rig))->build($situation);
        $heard = new Hearing($graph);
        $again = new Hearing($graph, kept: unserialize(serialize($heard->kept())));
        $told = fn (Hearing $one) => array_map(fn (HeardPair $pair) => [$pair->source->id, $pair->listener->id, $pair->verdict, $pair->wish, $pair->level(),
            $pair->delay(), $pair->sum, $pair->doubling, $pair->loss, $pair->overload?->overDb, $pair->arrivals()], iterator_to_array($one->all(), false));
        expect($told($again))->toEqual($told($heard))->and($again->counts())->toBe($heard->counts())->and($again->work())->toBe($heard->work());
    }
})->with(['rigs/night-relay.json', 'starters/harbour-radio.json', 'starters/storm-watch.json']);

it('counts no further than a page can wait, says which cells it has not counted, and counts them with patience', function () {
    $rig = (new DocumentReader)->read(Stages::text(4, 2));
    $graph = (new GraphBuilder($rig))->build($rig->base());
    // 3 leads in, then 9 ways a stage: 3 * 9^4 = 19,683 ways to the ear, of which a channel may hold 1,024.
    expect((new Hearing($graph))->uncounted())->toBe(2);
    // With 16,384 they are counted but for those that are too quiet to matter; here all are as loud, so that it has to be a stage less.
    $less = (new DocumentReader)->read(Stages::text(3, 2));
    $graph = (new GraphBuilder($less))->build($less->base());
    expect((new Hearing($graph))->uncounted())->toBe(2)->and((new Hearing($graph, effort: Effort::patient()))->uncounted())->toBe(0);
    // 3 * 9^3 = 2,187 ways at one listener, each at its own time: all of them are copies of the sound.
    $pair = (new Hearing($graph, effort: Effort::patient()))->pair('s-1', 'l');
    expect($pair->verdict)->toBe(Verdict::Doubled);
    // The work is bounded, whatever comes.
    $many = (new DocumentReader)->read(Stages::text(5, 60));
    expect((new Hearing((new GraphBuilder($many))->build($many->base())))->work())->toBeLessThan(Effort::MOST * 1.2);
});
