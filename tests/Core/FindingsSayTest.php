<?php

declare(strict_types=1);

use HiddenWire\Core\Checks\Check;
use HiddenWire\Core\Checks\Finding;
use HiddenWire\Core\Checks\FindingsReport;
use HiddenWire\Core\Checks\Inspection;
use HiddenWire\Core\Checks\LeadsBring;
use HiddenWire\Core\Checks\Noises;
use HiddenWire\Core\Edit\AcceptFinding;
use HiddenWire\Core\Edit\DescribeUnit;
use HiddenWire\Core\Edit\Plug;
use HiddenWire\Core\Planning\Cause;
use HiddenWire\Core\Planning\Cell;
use HiddenWire\Core\Planning\Cure;
use HiddenWire\Core\Planning\Hearings;
use HiddenWire\Core\Rig\Acceptance;
use HiddenWire\Core\Rig\SocketRef;
use Tests\Support\Draft;

/** Why the only finding of a check matters. */
function reason(Draft $draft, string $code): string
{
    $findings = findingsOf($draft, $code);
    expect($findings)->toHaveCount(1);

    return $findings[0]->why;
}

/** A unit of points and routes, with a sound at `tone` and somebody at `ear`. @param  list<array<string, mixed>>  $points  @param  list<array<string, mixed>>  $routes */
function wired(array $points, array $routes, array $model = []): Draft
{
    return Draft::rig()->unit('u', ['points' => [['id' => 'tone', 'kind' => 'origin', 'channels' => 1], ['id' => 'ear', 'kind' => 'ear', 'channels' => 1], ...$points],
        'routes' => $routes] + $model)->source('s', 'u/tone')->listener('l', 'u/ear');
}

/** A sound that goes round between two buses at so many dB. */
function circling(float $db): Draft
{
    return wired(
        [['id' => 'a', 'kind' => 'bus', 'channels' => 1], ['id' => 'b', 'kind' => 'bus', 'channels' => 1]],
        [['from' => 'tone', 'to' => 'a'], ['from' => 'a', 'to' => 'b'], ['from' => 'b', 'to' => 'a', 'db' => $db, 'can' => ['on', 'db']], ['from' => 'b', 'to' => 'ear']],
    );
}

/** A voice at a microphone with a switch of its own, a webcam beside it, both in a broadcast program. */
function overheard(array $origins = ['mic/capsule']): Draft
{
    return Draft::rig()->place('pc')->unit('pc', 'streaming-computer', 'pc')->unit('mic', 'usb-microphone-plain')->unit('cam', 'webcam')
        ->unit('cast', 'broadcast-program-small', 'pc')->cable('usb', 'mic/usb', 'pc/usb-1')->cable('usb', 'cam/usb', 'pc/usb-2')
        ->pick('cast/source-1', ['device' => 'mic/usb/rec'])->pick('cast/source-2', ['device' => 'cam/usb/rec'])->source('voice', ...$origins)
        ->add('listeners', ['id' => 'viewers', 'name' => 'Viewers', 'kind' => 'stream', 'at' => ['cast/stream']]);
}

describe('a loop', function () {
    it('rests on everything that it goes through, and a switch opens it', function () {
        expect(restsOn(circling(2), 'hear.loop'))->toBe(['u/a>b', 'u/b>a'])
            ->and(curedBy(circling(2), 'hear.loop'))->toBe(['Switch b → a of U off']);
    });

    it('is about whoever hears it go round', function () {
        expect(findingsOf(circling(2)->wish('s', 'l', 'must'), 'hear.loop')[0]->cells)->toBe([(new Cell('s', 'l', 'base'))->key()]);
    });

    it('is told once, with every situation in which it goes round', function () {
        $findings = findingsOf(circling(2)->situation('break', [])->situation('cut', ['u/b>a' => ['on' => false]])->situation('end', []), 'hear.loop');
        expect($findings)->toHaveCount(1)->and($findings[0]->situations)->toBe(['base', 'break', 'end']);
    });
});

describe('a second microphone', function () {
    it('is let go of where nothing else is in the way', function () {
        expect(curedBy(overheard(), 'hear.second-microphone'))->toBe(['Let Cast · Source 2 pick nothing'])
            ->and(restsOn(overheard(), 'hear.second-microphone'))->toBe(['cam/capsule', 'mic/capsule']);
    });

    it('that the voice is said to reach is shut along its way', function () {
        $both = overheard(['mic/capsule', 'cam/capsule']);
        expect(found($both, 'hear.second-microphone'))->toBe(['risk: Voice reaches Viewers by Mic and by Cam'])
            ->and(curedBy($both, 'hear.second-microphone'))->toContain('Let Cast · Source 2 pick nothing', 'Mute Cast · Source 2');
    });

    it('that is somebody else\'s, or that nobody on the air hears, is none', function () {
        expect(found(overheard()->source('guest', 'cam/capsule'), 'hear.second-microphone'))->toBe([])
            ->and(found(overheard()->set('cast', 'points', 'source-2', ['mute' => true]), 'hear.second-microphone'))->toBe([]);
    });
});

describe('a level of its own', function () {
    /** Two faders on one way; behind the first sits the room, behind both the viewers. */
    $shared = fn (string ...$rooms): Draft => array_reduce($rooms, fn (Draft $draft, string $room) => $draft->listener($room, "u/{$room}"), wired(
        [['id' => 'one', 'kind' => 'strip', 'channels' => 1, 'fader' => ['from' => -90, 'to' => 10]], ['id' => 'two', 'kind' => 'strip', 'channels' => 1, 'fader' => ['from' => -90, 'to' => 10]],
            ['id' => 'air', 'kind' => 'ear', 'channels' => 1], ['id' => 'room', 'kind' => 'ear', 'channels' => 1]],
        [['from' => 'tone', 'to' => 'one'], ['from' => 'one', 'to' => 'two'], ['from' => 'one', 'to' => 'room'], ['from' => 'two', 'to' => 'ear'], ['from' => 'two', 'to' => 'air']],
    ))->listener('viewers', 'u/air')->with(fn (array $d) => ['wishes' => [['source' => 's', 'listener' => 'l', 'want' => 'must', 'own_level' => true]]] + $d);

    it('names the fader that moves the fewest others, the first of two that move as many', function () use ($shared) {
        expect(found($shared('room'), 'hear.no-own-level'))->toBe(['fault: S has no level of its own for L: U · two also moves it for Viewers'])
            ->and(found($shared(), 'hear.no-own-level'))->toBe(['fault: S has no level of its own for L: U · one also moves it for Viewers']);
    });

    it('that no fader gives', function () {
        $bare = wired([], [['from' => 'tone', 'to' => 'ear']])->with(fn (array $d) => ['wishes' => [['source' => 's', 'listener' => 'l', 'want' => 'must', 'own_level' => true]]] + $d);
        expect(found($bare, 'hear.no-own-level'))->toBe(['fault: S has no level of its own for L: there is no fader on its way']);
    });
});

it('takes what does not belong on a track off it', function () {
    $track = Draft::rig()->unit('rec', ['family' => 'interface', 'points' => [['id' => 'one', 'kind' => 'origin', 'channels' => 1], ['id' => 'two', 'kind' => 'origin', 'channels' => 1], ['id' => 'track', 'kind' => 'ear', 'channels' => 1]],
        'routes' => [['from' => 'one', 'to' => 'track'], ['from' => 'two', 'to' => 'track', 'db' => -6, 'can' => ['on']]]])->source('one', 'rec/one')->source('two', 'rec/two')->track('tape', 'rec/track')
        ->with(fn (array $d) => ['wishes' => [['source' => 'one', 'listener' => 'tape', 'want' => 'must', 'alone' => true]]] + $d);
    expect(found($track, 'track.purity'))->toBe(['fault: Tape is to have One alone, and carries Two at −6.0 dB'])
        ->and(restsOn($track, 'track.purity'))->toBe(['rec/track', 'rec/two'])
        ->and(curedBy($track, 'track.purity'))->toBe(['Switch two → track of Rec off']);
});

describe('plugs', function () {
    it('of two female sockets, of which one takes a plug as well', function () {
        $led = fn (string $a, string $b, string $type): array => found(led([$a, 'out', 'professional-line', 1], [$b, 'in', 'professional-line', 1], $type), 'plug.mismatch');
        expect($led('xlr-f+', 'combo-f+', 'xlr'))->toBe(['fault: W-1 between A · Out and B · In: both ends are XLR, female'])
            ->and($led('xlr-f+', 'xlr-f+', 'xlr'))->toBe(['fault: W-1 between A · Out and B · In: both ends are XLR, female'])
            ->and($led('combo-f+', 'combo-f+', 'trs'))->toBe([]);
    });

    it('of which both give or both take: what that does', function () {
        expect(reason(led(LINE, ['trs-6.35+', 'out', 'professional-line', 1], 'trs'), 'plug.direction'))
            ->toBe('Each drives the other: both sound wrong, and one may be damaged. Nothing is carried.')
            ->and(reason(led(['trs-6.35+', 'in', 'professional-line', 1], LINE_IN, 'trs'), 'plug.direction'))
            ->toBe('Nothing is carried. Plug one end where the other kind is.');
    });

    it('that need phantom power at both ends ask each other for none', function () {
        $both = led(['xlr-m+', 'out', 'microphone', 1], ['xlr-f+', 'in', 'microphone', 1], 'xlr', ['a' => ['out' => ['phantom' => 'needs']], 'b' => ['in' => ['phantom' => 'needs']]]);
        expect(found($both, 'plug.phantom'))->toBe([]);
    });

    it('of a balanced output in an unbalanced mono input are in order', function () {
        expect(found(led(LINE, ['trs-6.35', 'in', 'professional-line', 1], 'trs'), 'plug.stereo-balanced'))->toBe([]);
    });

    it('that send coded surround: the first value that does not is set', function () {
        $coded = fn (array $choices): Draft => Draft::rig()->unit('a', ['family' => 'console', 'sockets' => [['id' => 'out', 'label' => 'Out', 'connector' => 'optical', 'signal' => 'optical-digital', 'lanes' => [['id' => 'l', 'way' => 'out', 'point' => 'tone']]]],
            'points' => [['id' => 'tone', 'kind' => 'origin', 'channels' => 2]], 'settings' => [['id' => 'format', 'label' => 'Format', 'kind' => 'choice', 'choices' => $choices, 'factory' => 'Coded',
                'effects' => [['value' => 'Coded', 'socket' => 'out', 'coded' => true], ['value' => 'Coded too', 'socket' => 'out', 'coded' => true]]]]])
            ->unit('b', box('mixer', [['in', 'optical', 'in', 'optical-digital', 2]]))->cable('optical', 'a/out', 'b/in');
        expect(curedBy($coded(['Coded', 'Coded too', 'Plain']), 'plug.digital-format'))->toBe(['Set Format of A to Plain'])
            ->and(found($coded(['Coded', 'Coded too']), 'plug.digital-format'))->toHaveCount(1)
            ->and(curedBy($coded(['Coded', 'Coded too']), 'plug.digital-format'))->toBe([]);
    });

    it('that end at a strip from which every way is off, in every situation', function () {
        $ended = wired([['id' => 'strip', 'kind' => 'strip', 'channels' => 1]], [['from' => 'tone', 'to' => 'strip'], ['from' => 'strip', 'to' => 'ear', 'on' => false, 'can' => ['on']]]);
        expect(found($ended, 'plug.loose'))->toBe(['note: S comes to U · strip and goes no further: every way out of it is off'])->and(restsOn($ended, 'plug.loose'))->toBe(['u/strip'])
            ->and(found($ended->situation('later', ['u/strip>ear' => ['on' => true]]), 'plug.loose'))->toBe([]);
    });

    it('that take current: as much as units of that kind do', function (string $family, int $mA) {
        $drawing = Draft::rig()->place('pc')->unit('pc', ['family' => 'computer', 'sockets' => [['id' => 'usb', 'label' => 'USB', 'connector' => 'usb-a', 'signal' => 'usb-audio', 'link' => 'host', 'gives_ma' => 50]]], 'pc')
            ->unit('it', ['family' => $family, 'supply' => 'bus', 'sockets' => [['id' => 'up', 'label' => 'Up', 'connector' => 'usb-b', 'signal' => 'usb-audio', 'link' => $family === 'hub' ? 'upstream' : 'device']]])
            ->cable('usb', 'it/up', 'pc/usb');
        expect(found($drawing, 'plug.power'))->toBe(["risk: It {$mA} mA take {$mA} mA from Pc · USB, which gives 50 mA"]);
    })->with([['hub', 100], ['headset', 100], ['adapter', 100], ['microphone', 150], ['headset-amplifier', 250], ['converter', 250], ['webcam', 300], ['capture-card', 450], ['mixer', 450]]);
});

describe('computers', function () {
    it('a sound past the channels that the program reads has to be taken by another', function () {
        // The program reads two channels of four; the sound is on the third.
        $past = fn (int $on): Draft => Draft::rig()->place('pc')->unit('pc', 'streaming-computer', 'pc')->unit('face', ['family' => 'interface', 'supply' => 'bus',
            'sockets' => [['id' => 'usb', 'label' => 'USB', 'connector' => 'usb-b', 'signal' => 'usb-audio', 'link' => 'device', 'lanes' => [['id' => 'rec', 'way' => 'out', 'point' => 'out', 'device' => ['direction' => 'recording']]]]],
            'points' => [['id' => 'tone', 'kind' => 'origin', 'channels' => 1], ['id' => 'out', 'kind' => 'out', 'channels' => 4]],
            'routes' => [['from' => 'tone', 'to' => 'out', 'map' => [[1, $on]]]]])
            ->unit('cast', 'broadcast-program-small', 'pc')->cable('usb', 'face/usb', 'pc/usb-1')->pick('cast/source-1', ['device' => 'face/usb/rec'])->source('s', 'face/tone')
            ->add('listeners', ['id' => 'viewers', 'name' => 'Viewers', 'kind' => 'stream', 'at' => ['cast/stream']])->wish('s', 'viewers', 'must');
        expect(found($past(3), 'computer.channels'))->toHaveCount(1)->and(found($past(3), 'computer.channels')[0])->toStartWith('fault: S is on channel 3 of ')->toEndWith('takes 1 and 2')
            ->and(curedBy($past(3), 'computer.channels'))->toBe([])->and(found($past(2), 'computer.channels'))->toBe([])
            ->and(found($past(3)->pick('cast/source-1', ['device' => 'face/usb/rec', 'channels' => [3]]), 'computer.channels')[0])->toEndWith(', and Cast reads the first 2');
    });

    it('a slot takes the channels on which the sound is', function () {
        $mic = judgedStudio()->unit('mic', 'dynamic-microphone')->cable('xlr', 'mic/out', 'face/in-2')->set('face', 'points', 'in-2', ['gain' => 50])
            ->source('voice', 'mic/capsule')->wish('voice', 'viewers', 'must')->pick('cast/source-2', ['device' => 'face/usb/rec', 'channels' => [1]]);
        expect(curedBy($mic, 'computer.channels'))->toBe(['Let Cast · Source 2 take channel 2']);
    });

    it('what follows the default is told whether it can choose', function () {
        $default = fn (string $model): Draft => judgedStudio()->settings('head/usb/play', ['roles' => ['playback']])->with(fn (array $d) => ['picks' => array_values(array_filter($d['picks'], fn (array $pick) => $pick['at'] !== 'music/sound'))] + $d)
            ->unit('sys', $model, 'pc')->source('sys', 'sys/sound')->wish('sys', 'me', 'must')->pick('sys/sound', ['default' => 'system']);
        expect(reason($default('music-player'), 'computer.default'))->toBe('Whatever takes the default over takes this sound along: a headset that is plugged in, a driver that is installed.')
            ->and(reason($default('system-sounds'), 'computer.default'))->toBe('What can\'t choose by itself goes wherever the default goes: a headset that is plugged in, a driver that is installed.')
            ->and(curedBy($default('system-sounds'), 'computer.default'))->toBe([]);
    });

    it('more tracks than a program has, by its buses or else its ears', function (string $kind) {
        $tracks = fn (bool $both): Draft => Draft::rig()->unit('u', ['points' => [['id' => 'tone', 'kind' => 'origin', 'channels' => 1], ['id' => 'a', 'kind' => $kind, 'channels' => 1], ['id' => 'b', 'kind' => $kind, 'channels' => 1]],
            'routes' => [['from' => 'tone', 'to' => 'a'], ['from' => 'tone', 'to' => 'b', 'on' => $both, 'can' => ['on']]], 'limits' => ['tracks' => 1]])->source('s', 'u/tone');
        expect(found($tracks(true), 'computer.one-device'))->toBe(['fault: 2 tracks are asked of U, which has room for 1'])->and(found($tracks(false), 'computer.one-device'))->toBe([]);
    })->with(['bus', 'ear']);

    it('programs that start too early, and such as wait for each other', function () {
        $needing = fn (array $music, array $cast): Draft => judgedStudio()->with(fn (array $d) => ['units' => array_map(
            fn (array $one) => $one + match ($one['id']) {
                'music' => $music, 'cast' => $cast, default => [],
            },
            $d['units'],
        )] + $d);
        expect(found($needing(['needs' => ['cast'], 'start' => 1], ['start' => 2]), 'computer.needs'))->toBe(['risk: Music starts before Cast, which has to run first'])
            ->and(curedBy($needing(['needs' => ['cast'], 'start' => 1], ['start' => 2]), 'computer.needs'))->toBe(['Start in this order: Cast, Music'])
            ->and(found($needing(['needs' => ['cast'], 'start' => 2], ['start' => 1]), 'computer.needs'))->toBe([])
            ->and(found($needing(['needs' => ['cast']], ['needs' => ['music']]), 'computer.needs'))->toBe(['fault: Music and Cast wait for each other to start first'])
            ->and(restsOn($needing(['needs' => ['cast']], ['needs' => ['music']]), 'computer.needs'))->toBe(['cast', 'music']);
    });
});

describe('grounds', function () {
    it('an isolator comes to the receiving end: the two leads change places', function () {
        $far = Draft::rig()->unit('a', box('mixer', [['out', 'ts-6.35', 'out', 'professional-line', 1]]))->unit('iso', 'isolator-one')->unit('b', box('mixer', [['in', 'ts-6.35', 'in', 'professional-line', 1]]))
            ->cable('ts', 'a/out', 'iso/in')->cable('ts', 'iso/out', 'b/in')->with(fn (array $d) => ['cables' => [['length_m' => 1] + $d['cables'][0], ['length_m' => 8] + $d['cables'][1]]] + $d);
        expect(curedBy($far, 'ground.isolator-place'))->toBe(['Move Iso to B: W-1 is the long lead then']);
    });

    it('a loop through a computer whines, another hums, and an isolator at the receiving end stops both', function () {
        $noises = fn (Draft $draft): array => array_map(fn (array $one) => implode(' | ', $one), (new Noises(new Inspection(new Hearings($draft->make()))))->all);
        $earthed = ['model' => ['supply' => 'mains-earthed']];
        $desk = Draft::rig()->unit('a', box('mixer', [['out', 'trs-3.5', 'out', 'consumer-line', 2]], $earthed));
        expect($noises((clone $desk)->unit('b', box('mixer', [['in', 'trs-3.5', 'in', 'consumer-line', 2]], $earthed))->cable('trs', 'a/out', 'b/in')))
            ->toBe(['hum | W-1, along a ground loop | an isolator at B · In'])
            ->and($noises((clone $desk)->place('pc')->unit('pc', 'streaming-computer', 'pc')->cable('trs', 'a/out', 'pc/line-in')))
            ->toBe(['whine | W-1, along a ground loop with Pc | an isolator at Pc · Line in · blue']);
    });
});

describe('levels', function () {
    it('a sound barely over the voice, and how far it has to come down', function () {
        $mixed = Draft::rig()->unit('u', ['points' => [['id' => 'a', 'kind' => 'origin', 'channels' => 1], ['id' => 'b', 'kind' => 'origin', 'channels' => 1], ['id' => 'ear', 'kind' => 'ear', 'channels' => 1]],
            'routes' => [['from' => 'a', 'to' => 'ear'], ['from' => 'b', 'to' => 'ear', 'db' => 0.5, 'can' => ['db']]]])->source('voice', 'u/a')
            ->add('sources', ['id' => 'game', 'name' => 'Game', 'kind' => 'game', 'origins' => [['at' => 'u/b']]])->listener('me', 'u/ear')->wish('voice', 'me', 'must')->wish('game', 'me', 'must')
            ->with(fn (array $d) => $d + ['measures' => [['about' => 'listeners/me', 'kind' => 'voice-over', 'value' => 6]]]);
        expect(found($mixed, 'level.balance'))->toBe(['risk: Game is 0.5 dB over the voice at Me, and 6 dB are wanted'])
            ->and(reason($mixed, 'level.balance'))->toBe('It covers the voice. Turn it down there by 6.5 dB.')
            ->and(curedBy($mixed, 'level.balance'))->toBe(['Set U · b → ear to −6.0 dB']);
    });

    it('two voices apart: the soft one is turned up, or the loud one down', function () {
        $two = Draft::rig()->place('pc')->unit('pc', 'streaming-computer', 'pc')->unit('face', 'two-channel-interface')->unit('one', 'dynamic-microphone')->unit('two', 'dynamic-microphone')
            ->unit('cast', 'broadcast-program-small', 'pc')->cable('usb', 'face/usb', 'pc/usb-1')->cable('xlr', 'one/out', 'face/in-1')->cable('xlr', 'two/out', 'face/in-2')
            ->set('face', 'points', 'in-1', ['gain' => 50])->set('face', 'points', 'in-2', ['gain' => 43])->pick('cast/source-1', ['device' => 'face/usb/rec'])->source('ann', 'one/capsule')->source('ben', 'two/capsule')
            ->add('listeners', ['id' => 'viewers', 'name' => 'Viewers', 'kind' => 'stream', 'at' => ['cast/stream']])->wish('ann', 'viewers', 'must')->wish('ben', 'viewers', 'must');
        expect(curedBy($two, 'level.unmatched'))->toContain('Set the gain of Face · In 2 to 50.0 dB', 'Set the gain of Face · In 1 to 43.0 dB');
    });
});

describe('two sounds in one', function () {
    /** A mixer with a way from its bus to its output, which a recorder's track takes: one is to have it alone. */
    $alone = fn (array $routes, array $points = []): Draft => wired(
        [['id' => 'two', 'kind' => 'origin', 'channels' => 1], ['id' => 'bus', 'kind' => 'bus', 'channels' => 1], ...$points],
        [['from' => 'tone', 'to' => 'bus'], ['from' => 'two', 'to' => 'bus'], ...$routes],
    )->source('t', 'u/two');
    $only = fn (Draft $draft): Draft => $draft->with(fn (array $d) => ['wishes' => [['source' => 's', 'listener' => 'tape', 'want' => 'must', 'alone' => true]]] + $d);

    it('are told where a way inside a mixer takes both on, and not where that is the track\'s own', function () use ($alone, $only) {
        $mixer = ['sockets' => [['id' => 'o', 'label' => 'O', 'connector' => 'ts-6.35', 'lanes' => [['id' => 'l', 'way' => 'out', 'point' => 'out']]]]];
        $apart = Draft::rig()->unit('u', ['points' => [['id' => 'tone', 'kind' => 'origin', 'channels' => 1], ['id' => 'two', 'kind' => 'origin', 'channels' => 1], ['id' => 'bus', 'kind' => 'bus', 'channels' => 1], ['id' => 'out', 'kind' => 'out', 'channels' => 1]],
            'routes' => [['from' => 'tone', 'to' => 'bus'], ['from' => 'two', 'to' => 'bus'], ['from' => 'bus', 'to' => 'out']]] + $mixer)->ear('rec', 1, 'ts-6.35')->cable('ts', 'u/o', 'rec/in')
            ->source('s', 'u/tone')->source('t', 'u/two')->track('tape', 'rec/ear');
        expect(found($only($apart), 'hear.merged'))->toBe(['fault: S and T are one signal from U · bus → out on, and Tape is to have S alone'])
            ->and(restsOn($apart, 'hear.merged'))->toBe(['rec/ear', 'u/bus>out'])
            ->and(found($only($alone([['from' => 'bus', 'to' => 'ear']])->track('tape', 'u/ear')), 'hear.merged'))->toBe([]);
    });
});

describe('one\'s own voice that comes back', function () {
    /** A caller whose voice the mix takes that goes back to them and to the room. */
    $called = fn (): Draft => Draft::rig()->unit('far', ['family' => 'remote', 'points' => [['id' => 'voice', 'kind' => 'origin', 'channels' => 1], ['id' => 'ear', 'kind' => 'ear', 'channels' => 1]], 'sockets' => [
        ['id' => 'out', 'label' => 'Out', 'connector' => 'ts-6.35', 'lanes' => [['id' => 'l', 'way' => 'out', 'point' => 'voice']]], ['id' => 'in', 'label' => 'In', 'connector' => 'ts-6.35', 'lanes' => [['id' => 'l', 'way' => 'in', 'point' => 'ear']]]]])
        ->unit('desk', ['points' => [['id' => 'strip', 'kind' => 'strip', 'channels' => 1], ['id' => 'mix', 'kind' => 'bus', 'channels' => 1], ['id' => 'room', 'kind' => 'ear', 'channels' => 1]], 'sockets' => [
            ['id' => 'in', 'label' => 'In', 'connector' => 'ts-6.35', 'lanes' => [['id' => 'l', 'way' => 'in', 'point' => 'strip']]], ['id' => 'out', 'label' => 'Out', 'connector' => 'ts-6.35', 'lanes' => [['id' => 'l', 'way' => 'out', 'point' => 'mix']]]],
            'routes' => [['from' => 'strip', 'to' => 'mix', 'can' => ['on']], ['from' => 'mix', 'to' => 'room']]])
        ->cable('ts', 'far/out', 'desk/in')->cable('ts', 'desk/out', 'far/in')->source('ann', 'far/voice')->add('listeners', ['id' => 'ann-ear', 'name' => 'Ann', 'kind' => 'caller', 'at' => ['far/ear']])->listener('room', 'desk/room');

    it('is left out of the mix, and what else that takes away is said once, however many situations there are', function () use ($called) {
        $rig = $called()->situation('later', [])->make();
        $findings = curedFindings($rig, 'hear.own-return');
        $cures = array_merge(...array_map(fn (Finding $one) => $one->cures, $findings));
        $told = (new FindingsReport)->of($findings, 'later');
        expect($told[0]['situation'])->toBe('later')->and($told[0]['about'])->toBe(['far/voice', 'far/ear', 'desk/strip>mix'])->and(array_keys($told[0]['cures'][0]))->toBe(['sentence', 'edits', 'costs'])
            ->and($told[0]['cures'][0]['costs'])->toBe(['Ann at Ann is no longer heard', 'Ann at Room is no longer heard']);
        expect(array_map(fn (Cure $one) => $one->sentence, $cures))->toBe(['Leave strip → mix of Desk out'])
            ->and($cures[0]->costs)->toBe(['Ann at Ann is no longer heard', 'Ann at Room is no longer heard'])
            ->and($cures[0]->edits[0]->words($rig))->toContain('off');
    });
});

it('asks for a program between leads to be started, too', function () {
    // On its way the voice passes a lead before it comes to the program.
    $draft = judgedStudio()->unit('mic', 'dynamic-microphone')->cable('xlr', 'mic/out', 'face/in-1')->set('face', 'points', 'in-1', ['gain' => 50])->unit('rep', 'repeater', 'pc')
        ->pick('rep/in', ['device' => 'face/usb/rec'])->pick('rep/out', ['device' => 'head/usb/play'])->source('voice', 'mic/capsule')->wish('voice', 'me', 'must');
    expect(found($draft, 'computer.needs'))->toBe(['risk: Voice reaches Me only while Rep runs, and it does not start at login'])->and(restsOn($draft, 'computer.needs'))->toBe(['rep']);
});

it('tells a device that is chosen where nothing can choose it', function () {
    // The player is picked in the system's list of programs, and a plain system has none.
    $draft = judgedStudio()->with(fn (array $d) => ['units' => array_map(fn (array $one) => $one['id'] === 'pc' ? $one + ['system' => ['name' => 'Ferry', 'kind' => 'plain']] : $one, $d['units'])] + $d)->unit('game', 'game', 'pc')
        ->add('sources', ['id' => 'game', 'name' => 'Game', 'kind' => 'game', 'origins' => [['at' => 'game/sound']]])->pick('game/sound', ['device' => 'head/usb/play']);
    expect(found($draft, 'computer.unavailable'))->toBe(['fault: Game · Game sound is to use Headset, but has no choice of its own']);
    $nowhere = array_values(array_filter(findingsOf($draft, 'computer.unavailable'), fn (Finding $one) => str_starts_with($one->sentence, 'Game')));
    expect(array_map(strval(...), $nowhere[0]->about))->toBe(['game/sound', 'head/usb/play']);
});

it('tells a device that is not there in the situations in which it is used', function () {
    $draft = judgedStudio()->unplug('face/usb')->situation('late', ['cast/source-1' => ['device' => 'face/usb/rec']])->situation('end', []);
    expect(array_map(fn (Finding $one) => $one->situations, findingsOf($draft, 'computer.unavailable')))->toBe([['late']]);
});

it('names no program that plays to nothing where one program has the sound', function () {
    $draft = Draft::rig()->place('room')->unit('pc', 'laptop', 'room')->unit('mic', 'usb-microphone-plain')->unit('take', 'clip-recorder', 'room')->unit('horns', 'soundboard', 'room')->unit('idle', 'soundboard', 'room')
        ->cable('usb', 'mic/usb', 'pc/usb-1')->pick('take/in-1', ['device' => 'mic/usb/rec'])->pick('horns/sound', ['device' => 'pc/headset/phones'])
        ->with(fn (array $d) => ['units' => array_map(fn (array $one) => $one['id'] === 'pc' ? $one + ['system' => ['name' => 'Ferry', 'kind' => 'mobile']] : $one, $d['units'])] + $d);
    expect(restsOn($draft, 'computer.one-program'))->toBe(['horns', 'pc', 'take']);
});

it('sets devices to what most of them have, and to the better one of as many', function (array $rates, string $cure) {
    $draft = judgedStudio()->pick('cast/source-2', ['device' => 'face/usb/rec'])->pick('cast/source-3', ['device' => 'head/usb/rec']);
    foreach (['head/usb/play', 'face/usb/rec', 'head/usb/rec'] as $i => $device) {
        $draft = isset($rates[$i]) ? $draft->settings($device, ['rate_hz' => $rates[$i]]) : $draft;
    }
    expect(curedBy($draft, 'computer.format'))->toBe([$cure]);
})->with([
    'most' => [[48000, 44100, 44100], 'Set Headset to 44.1 kHz'], 'as many' => [[48000, 44100], 'Set Interface mics to 48 kHz'],
]);

it('is accepted by what it rests on', function () {
    $draft = circling(2);
    $finding = findingsOf($draft, 'hear.loop')[0];
    $rig = (new AcceptFinding(new Acceptance($finding->evidence(), $finding->sentence, 'it is an effect')))->applyTo($draft->make());
    expect($rig->papers->acceptanceOf(...$finding->evidences())?->why)->toBe('it is an effect');
});

it('puts a lead that brings nothing before one that closes a ground loop, and says what the other brings', function () {
    $earthed = fn (string $way): array => box('mixer', [['line', 'ts-6.35', $way, 'professional-line', 1], ['light', 'optical', $way, 'optical-digital', 1]], ['model' => ['supply' => 'mains-earthed']]);
    $in = new Inspection(new Hearings(Draft::rig()->unit('a', $earthed('out'))->unit('b', $earthed('in'))->make()));
    $lead = fn (string $socket): Cure => new Cure("Plug {$socket}", [new Plug(new SocketRef('a', $socket), new SocketRef('b', $socket), 'W-9')], [new Cell('s', 'l', 'base')], [], 10);
    // What moves no lead is not looked at.
    $name = new Cure('Call it Desk', [new DescribeUnit('b', ['name' => 'Desk'])], [new Cell('s', 'l', 'base')], [], 10);
    $ordered = (new LeadsBring($in))->of([new Cause('S cannot reach L', [], [new Cell('s', 'l', 'base')], [$lead('line'), $name, $lead('light')])])[0]->cures;
    expect(array_map(fn (Cure $one) => $one->sentence, $ordered))->toBe(['Call it Desk', 'Plug light', 'Plug line'])->and($ordered[0])->toBe($name)->and($ordered[1]->brings)->toBe([])
        ->and($ordered[2]->brings)->toBe(['but: W-9 closes a ground loop through A and B, both earthed']);
});
