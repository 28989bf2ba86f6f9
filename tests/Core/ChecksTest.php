<?php

declare(strict_types=1);

use HiddenWire\Core\Checks\Check;
use HiddenWire\Core\Checks\Checks;
use HiddenWire\Core\Checks\Examination;
use HiddenWire\Core\Checks\Finding;
use HiddenWire\Core\Checks\Inspection;
use HiddenWire\Core\Checks\Noises;
use HiddenWire\Core\Document\DocumentReader;
use HiddenWire\Core\Edit\AcceptFinding;
use HiddenWire\Core\Planning\Hearings;
use HiddenWire\Core\Rig\Acceptance;
use Tests\Support\Draft;

describe('every check', function () {
    it('has a code of its own', function () {
        $codes = array_map(fn (Check $check) => $check->code(), Checks::all());
        expect($codes)->toBe(array_unique($codes))->and(array_filter($codes, fn (string $code) => preg_match('/^[a-z]+\.[a-z-]+$/', $code) !== 1))->toBe([]);
    });

    it('has nothing to say of an empty rig', function () {
        expect(Checks::findings(new Inspection(new Hearings(Draft::rig()->make()))))->toBe([]);
    });
});

describe('what is heard', function () {
    /** A caller at a mix-minus desk: into one mix, or not. */
    $called = fn (bool $back): Draft => Draft::rig()->unit('far', ['family' => 'remote', 'sockets' => [
        ['id' => 'out', 'label' => 'Out', 'connector' => 'trs-3.5', 'lanes' => [['id' => 'l', 'way' => 'out', 'point' => 'voice']]],
        ['id' => 'in', 'label' => 'In', 'connector' => 'trs-3.5', 'lanes' => [['id' => 'l', 'way' => 'in', 'point' => 'ear']]]],
        'points' => [['id' => 'voice', 'kind' => 'origin', 'channels' => 2], ['id' => 'ear', 'kind' => 'ear', 'channels' => 2]]])
        ->unit('desk', ['sockets' => [
            ['id' => 'in', 'label' => 'In', 'connector' => 'trs-3.5', 'lanes' => [['id' => 'l', 'way' => 'in', 'point' => 'strip']]],
            ['id' => 'out', 'label' => 'Out', 'connector' => 'trs-3.5', 'lanes' => [['id' => 'l', 'way' => 'out', 'point' => 'mix']]]],
            'points' => [['id' => 'strip', 'kind' => 'strip', 'channels' => 2], ['id' => 'mix', 'kind' => 'bus', 'channels' => 2]],
            'routes' => [['from' => 'strip', 'to' => 'mix', 'on' => $back, 'can' => ['on']]]])
        ->cable('trs', 'far/out', 'desk/in')->cable('trs', 'desk/out', 'far/in')->source('ann', 'far/voice')
        ->add('listeners', ['id' => 'ann-ear', 'name' => 'Ann', 'kind' => 'caller', 'at' => ['far/ear']]);

    it('a caller hears their own voice back through a mix that has them in', function () use ($called) {
        expect(found($called(true), 'hear.own-return'))->toBe(['fault: Ann hears Ann back, 0.0 ms late, by Desk · strip → mix'])
            ->and(found($called(false), 'hear.own-return'))->toBe([])
            ->and(restsOn($called(true), 'hear.own-return'))->toBe(['desk/strip>mix', 'far/ear', 'far/voice']);
    });

    it('a loop by wire, with its gain round', function () {
        $round = fn (float $db): Draft => Draft::rig()->unit('u', ['points' => [['id' => 'tone', 'kind' => 'origin', 'channels' => 1], ['id' => 'a', 'kind' => 'bus', 'channels' => 1],
            ['id' => 'b', 'kind' => 'bus', 'channels' => 1], ['id' => 'ear', 'kind' => 'ear', 'channels' => 1]],
            'routes' => [['from' => 'tone', 'to' => 'a'], ['from' => 'a', 'to' => 'b'], ['from' => 'b', 'to' => 'a', 'db' => $db, 'can' => ['on', 'db']], ['from' => 'b', 'to' => 'ear']]])
            ->source('s', 'u/tone')->listener('l', 'u/ear');
        expect(found($round(2), 'hear.loop'))->toBe(['fault: Sound goes round through U: 2.0 dB a round, it howls'])
            ->and(found($round(-3), 'hear.loop'))->toBe(['risk: Sound goes round through U: −3.0 dB a round, it rings'])
            ->and(found($round(-12), 'hear.loop'))->toBe([]);
    });

    /** A microphone and loudspeakers in places, both by one desk. */
    $room = fn (string $where, array $points = []): Draft => Draft::rig()->place('hall', 'desk')->unit('mic', 'dynamic-microphone')->unit('desk', ['sockets' => [
        ['id' => 'mic', 'label' => 'Mic', 'connector' => 'xlr-f', 'balanced' => true, 'lanes' => [['id' => 'l', 'way' => 'in', 'point' => 'strip']]],
        ['id' => 'left', 'label' => 'Left', 'connector' => 'trs-6.35', 'balanced' => true, 'lanes' => [['id' => 'l', 'way' => 'out', 'point' => 'main']]]],
        'points' => [['id' => 'tone', 'kind' => 'origin', 'channels' => 1], ['id' => 'strip', 'kind' => 'strip', 'channels' => 1, 'mute' => false],
            ['id' => 'main', 'kind' => 'bus', 'channels' => 1, 'mute' => false], ['id' => 'air', 'kind' => 'ear', 'channels' => 1]],
        'routes' => [['from' => 'tone', 'to' => 'main'], ['from' => 'strip', 'to' => 'air', 'db' => -40]],
        'auto_mutes' => [['mutes' => 'main', 'while_open' => ['strip']]]])
        ->unit('box', ['family' => 'loudspeaker', 'sockets' => [['id' => 'in', 'label' => 'In', 'connector' => 'trs-6.35', 'balanced' => true, 'lanes' => [['id' => 'l', 'way' => 'in', 'point' => 'ear']]]],
            'points' => [['id' => 'ear', 'kind' => 'ear', 'channels' => 1]]], $where)
        ->cable('xlr', 'mic/out', 'desk/mic')->cable('trs', 'desk/left', 'box/in')->source('voice', 'mic/capsule')->source('tone', 'desk/tone')
        ->listener('viewers', 'desk/air')->listener('room', 'box/ear')->set('desk', 'points', 'main', ['mute' => false] + $points);

    it('an open microphone and live loudspeakers in one place, unless an automatic mute covers it', function () use ($room) {
        expect(found($room('desk', ['auto_mute' => false]), 'hear.air-loop'))->toBe(['risk: Box and Mic are both live in Desk'])
            ->and(found($room('desk'), 'hear.air-loop'))->toBe([])
            ->and(found($room('hall', ['auto_mute' => false]), 'hear.air-loop'))->toBe([])
            ->and(restsOn($room('desk', ['auto_mute' => false]), 'hear.air-loop'))->toBe(['box/ear', 'mic/capsule']);
    });

    /** Two sounds, one wanted alone on a track; together on one lead, or in the track itself. */
    $merged = fn (bool $onLead): Draft => Draft::rig()->unit('a', ['sockets' => [
        ['id' => 'out', 'label' => 'Out', 'connector' => 'trs-3.5', 'lanes' => [['id' => 'l', 'way' => 'out', 'point' => 'bus']]]],
        'points' => [['id' => 'one', 'kind' => 'origin', 'channels' => 2], ['id' => 'two', 'kind' => 'origin', 'channels' => 2], ['id' => 'bus', 'kind' => 'bus', 'channels' => 2]],
        'routes' => [['from' => 'one', 'to' => 'bus'], ...($onLead ? [['from' => 'two', 'to' => 'bus']] : [])]])
        ->unit('rec', ['family' => 'interface', 'sockets' => [['id' => 'in', 'label' => 'In', 'connector' => 'trs-3.5', 'lanes' => [['id' => 'l', 'way' => 'in', 'point' => 'in']]]],
            'points' => [['id' => 'in', 'kind' => 'in', 'channels' => 2], ['id' => 'own', 'kind' => 'origin', 'channels' => 2], ['id' => 'track', 'kind' => 'ear', 'channels' => 2]],
            'routes' => [['from' => 'in', 'to' => 'track', 'can' => ['on']], ['from' => 'own', 'to' => 'track', 'on' => ! $onLead, 'can' => ['on']]]])
        ->cable('trs', 'a/out', 'rec/in')->source('one', 'a/one')->source('two', $onLead ? 'a/two' : 'rec/own')->track('tape', 'rec/track')
        ->with(fn (array $d) => ['wishes' => [['source' => 'one', 'listener' => 'tape', 'want' => 'must', 'alone' => true]]] + $d);

    it('two sounds that are wanted apart and are one signal from a named element on', function () use ($merged) {
        expect(found($merged(true), 'hear.merged'))->toBe(['fault: One and Two are one signal from W-1 on, and Tape is to have One alone'])
            ->and(found($merged(false), 'hear.merged'))->toBe([])
            ->and(restsOn($merged(true), 'hear.merged'))->toBe(['rec/track', 'w-1']);
    });

    it('a track that carries something besides what it is to have alone, and one that is empty', function () use ($merged) {
        expect(found($merged(false), 'track.purity'))->toBe(['fault: Tape is to have One alone, and carries Two at 0.0 dB'])
            ->and(found($merged(false)->set('rec', 'routes', 'own>track', ['on' => false]), 'track.purity'))->toBe([])
            ->and(found($merged(false)->set('rec', 'routes', 'own>track', ['on' => false])->unplug('rec/in'), 'track.purity'))
            ->toBe(['fault: Tape is empty, and One is wanted there'])
            ->and(restsOn($merged(false), 'track.purity'))->toBe(['rec/own', 'rec/track']);
    });

    it('a level of its own that was wanted, where the only fader also moves another listener', function () {
        $mixed = fn (string $governs): Draft => Draft::rig()->unit('u', ['points' => [['id' => 'tone', 'kind' => 'origin', 'channels' => 1],
            ['id' => 'strip', 'kind' => 'strip', 'channels' => 1, 'fader' => ['from' => -90, 'to' => 10]], ['id' => 'mine', 'kind' => 'ear', 'channels' => 1], ['id' => 'air', 'kind' => 'ear', 'channels' => 1]],
            'routes' => [['from' => 'tone', 'to' => 'strip'], ['from' => 'strip', 'to' => 'mine', ...($governs === 'send' ? ['can' => ['db']] : [])], ['from' => 'strip', 'to' => 'air']]])
            ->source('game', 'u/tone')->listener('me', 'u/mine')->listener('viewers', 'u/air')
            ->with(fn (array $d) => ['wishes' => [['source' => 'game', 'listener' => 'me', 'want' => 'must', 'own_level' => true]]] + $d);
        expect(found($mixed('strip'), 'hear.no-own-level'))->toBe(['fault: Game has no level of its own for Me: U · strip also moves it for Viewers'])
            ->and(found($mixed('send'), 'hear.no-own-level'))->toBe([])
            ->and(restsOn($mixed('strip'), 'hear.no-own-level'))->toBe(['u/mine', 'u/strip']);
    });

    it('one voice on the air through two microphones', function () {
        $two = fn (string $place, ?string $pick): Draft => ($draft = Draft::rig()->place('pc')->place('attic', 'desk')->unit('pc', 'streaming-computer', 'pc')
            ->unit('mic', 'usb-microphone-plain')->unit('cam', 'webcam', $place)->unit('cast', 'broadcast-program-small', 'pc')->cable('usb', 'mic/usb', 'pc/usb-1')
            ->cable('usb', 'cam/usb', 'pc/usb-2')->pick('cast/source-1', ['device' => 'mic/usb/rec'])->source('voice', 'mic/capsule')
            ->add('listeners', ['id' => 'viewers', 'name' => 'Viewers', 'kind' => 'stream', 'at' => ['cast/stream']]))
            && $pick !== null ? $draft->pick('cast/source-2', ['device' => $pick]) : $draft;
        expect(found($two('desk', 'cam/usb/rec'), 'hear.second-microphone'))->toBe(['risk: Voice reaches Viewers by Mic and by Cam'])
            ->and(found($two('desk', null), 'hear.second-microphone'))->toBe([])
            ->and(found($two('attic', 'cam/usb/rec'), 'hear.second-microphone'))->toBe([]);
    });
});

describe('plugs and leads', function () {
    it('ends that do not mate', function () {
        $xlr = fn (string $in) => led(['xlr-m+', 'out', 'professional-line', 1], [$in, 'in', 'professional-line', 1], 'xlr');
        expect(found($xlr('xlr-m+'), 'plug.mismatch'))->toBe(['fault: W-1 between A · Out and B · In: both ends are XLR, male'])
            ->and(found($xlr('xlr-f+'), 'plug.mismatch'))->toBe([])
            ->and(found(led(['rca-pair', 'out', 'consumer-line', 2], ['trs-3.5', 'in', 'consumer-line', 2], 'trs'), 'plug.mismatch'))
            ->toBe(['fault: W-1 between A · Out and B · In: no lead has RCA, left and right at one end and 3.5 mm TRS at the other'])
            ->and(restsOn($xlr('xlr-m+'), 'plug.mismatch'))->toBe(['a/out', 'b/in', 'w-1']);
    });

    it('an output into an output, an input into an input', function () {
        expect(found(led(LINE, ['trs-6.35+', 'out', 'professional-line', 1], 'trs'), 'plug.direction'))->toBe(['fault: W-1 between A · Out and B · In: both ends are outputs'])
            ->and(found(led(['trs-6.35+', 'in', 'professional-line', 1], LINE_IN, 'trs'), 'plug.direction'))->toBe(['risk: W-1 between A · Out and B · In: both ends are inputs'])
            ->and(found(led(LINE, LINE_IN, 'trs'), 'plug.direction'))->toBe([])
            ->and(restsOn(led(LINE, ['trs-6.35+', 'out', 'professional-line', 1], 'trs'), 'plug.direction'))->toBe(['a/out', 'b/in', 'w-1']);
    });

    it('a splitter used backwards joins outputs', function () {
        $split = fn (string $into): Draft => Draft::rig()->tone('a')->unit('split', 'stereo-splitter')->cable('trs', 'a/out', "split/{$into}");
        expect(found($split('out-1'), 'plug.joined-outputs'))->toBe(['fault: W-1 leads an output into an output of Split: it splits one sound, it does not mix two'])
            ->and(found($split('out-1'), 'plug.direction'))->toBe([])->and(found($split('in'), 'plug.joined-outputs'))->toBe([])
            ->and(restsOn($split('out-1'), 'plug.joined-outputs'))->toBe(['split', 'w-1']);
    });

    it('a signal into an input that is made for another', function (string $gives, string $takes, array $says) {
        $said = found(led(['trs-6.35+', 'out', $gives, 1], ['trs-6.35+', 'in', $takes, 1], 'trs'), 'plug.level');
        expect($said)->toBe(array_map(fn (string $what) => "{$what}", $says));
    })->with([
        ['microphone', 'professional-line', ['fault: W-1: A · Out gives a microphone, B · In is for professional line']],
        ['professional-line', 'microphone', ['risk: W-1: A · Out gives professional line, B · In is for a microphone']],
        ['headphone', 'consumer-line', ['note: W-1: A · Out gives headphones, B · In is for consumer line']],
        ['loudspeaker', 'consumer-line', ['fault: W-1: A · Out gives loudspeakers, B · In is for consumer line']],
        ['professional-line', 'consumer-line', ['note: W-1: A · Out gives professional line, B · In is for consumer line']],
        ['consumer-line', 'professional-line', ['note: W-1: A · Out gives consumer line, B · In is for professional line']],
        ['professional-line', 'professional-line', []], ['microphone', 'microphone', []], ['headphone', 'headphone', []], ['professional-line', 'instrument', []],
    ]);

    it('sees through isolators, and takes the middle of a combined socket for a line input', function () {
        $through = Draft::rig()->unit('a', box('microphone', [['out', 'ts-6.35', 'out', 'microphone', 1]]))->unit('iso', 'isolator-one')
            ->unit('b', box('mixer', [['in', 'ts-6.35', 'in', 'professional-line', 1]]))->cable('ts', 'a/out', 'iso/in')->cable('ts', 'iso/out', 'b/in');
        expect(found($through, 'plug.level'))->toBe(['fault: W-2: Iso · Out gives a microphone, B · In is for professional line']);
        $combined = fn (string $connector, string $type) => led([$connector, 'out', 'professional-line', 1], ['combo-f+', 'in', 'microphone', 1], $type);
        expect(found($combined('trs-6.35+', 'trs'), 'plug.level'))->toBe([])
            ->and(found($combined('xlr-m+', 'xlr'), 'plug.level'))->toBe(['risk: W-1: A · Out gives professional line, B · In is for a microphone'])
            ->and(restsOn($through, 'plug.level'))->toBe(['b/in', 'iso/out', 'w-2']);
    });

    it('a microphone input that is set to line takes a line', function () {
        $set = fn (string|bool $type): Draft => Draft::rig()->unit('a', box('mixer', [['out', 'xlr-m+', 'out', 'professional-line', 1]]))->unit('desk', 'eight-input-desk')
            ->cable('xlr', 'a/out', 'desk/mic-1')->value('desk', 'type-mic-1', $type);
        expect(found($set('Line'), 'plug.level'))->toBe([])->and(found($set('Microphone'), 'plug.level'))->toHaveCount(1);
    });

    it('stereo and mono plugs in balanced and stereo sockets', function (array $out, array $in, string $type, array $says) {
        expect(found(led($out, $in, $type), 'plug.stereo-balanced'))->toBe(array_map(fn (string $what) => "fault: W-1 between A · Out and B · In: {$what}", $says));
    })->with([
        'stereo into balanced' => [['trs-6.35', 'out', 'professional-line', 2], LINE_IN, 'trs', ['a stereo plug in a balanced mono input']],
        'a mono lead in stereo' => [['trs-6.35', 'out', 'professional-line', 2], ['trs-6.35', 'in', 'professional-line', 2], 'ts', ['a mono plug or lead in a stereo connection']],
        'balanced into stereo' => [LINE, ['trs-6.35', 'in', 'professional-line', 2], 'trs', ['a balanced output in an unbalanced stereo input']],
        'mono into stereo' => [['ts-6.35', 'out', 'professional-line', 1], ['trs-6.35', 'in', 'professional-line', 2], 'ts', ['a mono plug in a stereo input']],
        'stereo into stereo' => [['trs-6.35', 'out', 'professional-line', 2], ['trs-6.35', 'in', 'professional-line', 2], 'trs', []],
        'balanced into balanced' => [LINE, LINE_IN, 'trs', []],
        'a microphone into a computer' => [['ts-3.5', 'out', 'microphone', 1], ['trs-3.5', 'in', 'microphone', 2], 'ts', []],
    ]);

    it('a headset plug in a socket without the microphone\'s contact', function () {
        $headset = fn (string $socket): Draft => Draft::rig()->unit('a', 'trrs-headset')->unit('b', box('mixer', [['out', $socket, 'out', 'headphone', 2]]))->cable('trrs', 'a/plug', 'b/out');
        expect(found($headset('trs-3.5'), 'plug.stereo-balanced'))->toBe(['fault: W-1 between A · Plug and B · Out: a headset plug in a socket without a contact for the microphone'])
            ->and(found($headset('trrs-3.5'), 'plug.stereo-balanced'))->toBe([])
            ->and(restsOn($headset('trs-3.5'), 'plug.stereo-balanced'))->toBe(['a/plug', 'b/out', 'w-1']);
    });

    it('a condenser without phantom power, and phantom power on what it can harm', function () {
        $mic = fn (string $model, bool|string|null $is = null): Draft => ($draft = Draft::rig()->unit('mic', $model)->unit('desk', 'eight-input-desk')->cable('xlr', 'mic/out', 'desk/mic-1'))
            && $is !== null ? $draft->value('desk', 'phantom-mic-1', $is) : $draft;
        expect(found($mic('condenser-microphone'), 'plug.phantom'))->toBe(['fault: Mic needs phantom power, and it is off at Desk · Mic 1'])
            ->and(found($mic('condenser-microphone', true), 'plug.phantom'))->toBe([])->and(found($mic('dynamic-microphone', true), 'plug.phantom'))->toBe([])
            ->and(restsOn($mic('condenser-microphone'), 'plug.phantom'))->toBe(['desk/mic-1', 'mic/out', 'w-1']);
        $bare = Draft::rig()->unit('mic', 'condenser-microphone')->unit('b', box('mixer', [['in', 'xlr-f+', 'in', 'microphone', 1]]))->cable('xlr', 'mic/out', 'b/in');
        expect(found($bare, 'plug.phantom'))->toBe(['fault: Mic needs phantom power, and B · In has none to give']);
        $line = fn (bool $on): Draft => Draft::rig()->unit('a', box('mixer', [['out', 'xlr-m+', 'out', 'professional-line', 1]]))->unit('desk', 'eight-input-desk')
            ->cable('xlr', 'a/out', 'desk/mic-1')->value('desk', 'phantom-mic-1', $on);
        expect(found($line(true), 'plug.phantom'))->toBe(['risk: Desk puts phantom power on A · Out through W-1'])->and(found($line(false), 'plug.phantom'))->toBe([])
            ->and(restsOn($line(true), 'plug.phantom'))->toBe(['a/out', 'desk/mic-1', 'w-1']);
    });

    it('a lead that is longer than its kind carries well', function (array $out, array $in, string $type, float $most) {
        $long = fn (float $metres) => led($out, $in, $type)->with(fn (array $d) => ['cables' => [['length_m' => $metres] + $d['cables'][0]]] + $d);
        expect(found($long($most), 'plug.length'))->toBe([])->and(found($long($most + 0.5), 'plug.length'))->toHaveCount(1)
            ->and(restsOn($long($most + 0.5), 'plug.length'))->toBe(['w-1']);
    })->with([
        'unbalanced' => [['ts-6.35', 'out', 'professional-line', 1], ['ts-6.35', 'in', 'professional-line', 1], 'ts', 6], 'balanced' => [LINE, LINE_IN, 'trs', 100],
        'headphones' => [['trs-6.35', 'out', 'headphone', 2], ['trs-6.35', 'in', 'headphone', 2], 'trs', 15],
        'USB' => [['usb-b', 'out', 'usb-audio', 2], ['usb-a', 'in', 'usb-audio', 2], 'usb', 5], 'DisplayPort' => [['displayport', 'out', 'video-audio', 2], ['displayport', 'in', 'video-audio', 2], 'displayport', 3],
        'coaxial' => [['coaxial', 'out', 'coaxial-digital', 2], ['coaxial', 'in', 'coaxial-digital', 2], 'coaxial', 15], 'network' => [['rj45', 'out', 'network', 2], ['rj45', 'in', 'network', 2], 'network', 100],
        'optical' => [['optical', 'out', 'optical-digital', 2], ['optical', 'in', 'optical-digital', 2], 'optical', 10], 'HDMI' => [['hdmi', 'out', 'video-audio', 2], ['hdmi', 'in', 'video-audio', 2], 'hdmi', 10],
    ]);

    it('a unit that hangs in the air, one that is plugged on one side only, a lead that is always out', function () {
        $draft = Draft::rig()->tone('a')->ear('b')->unit('split', 'stereo-splitter')->cable('trs', 'a/out', 'split/in');
        expect(allRestOn($draft, 'plug.loose'))->toBe([['b'], ['split']]);
        expect(found($draft, 'plug.loose'))->toBe(['note: Nothing is plugged into B', 'risk: Split is plugged on one side only'])
            ->and(found($draft->cable('trs', 'split/out-1', 'b/in'), 'plug.loose'))->toBe([])
            ->and(found(Draft::rig()->tone('a')->ear('b')->cable('trs', 'a/out', 'b/in')->with(fn (array $d) => ['situations' => [['pulled' => ['w-1']] + $d['situations'][0]]] + $d), 'plug.loose'))
            ->toBe(['note: W-1 is out in every situation']);
    });

    it('more current than a hub gives, and a tablet that is not charged', function () {
        $hub = fn (string $hub): Draft => Draft::rig()->place('pc')->unit('pc', 'streaming-computer', 'pc')->unit('hub', $hub)->unit('face', 'two-channel-interface')->unit('cam', 'webcam')
            ->cable('usb', 'hub/up', 'pc/usb-1')->cable('usb', 'face/usb', 'hub/port-1')->cable('usb', 'cam/usb', 'hub/port-2');
        // 100 + 450 + 300 mA from one USB port of 500.
        expect(found($hub('plain-hub'), 'plug.power'))->toBe(['risk: Hub 100 mA, Face 450 mA, Cam 300 mA take 850 mA from Pc · USB 1, which gives 500 mA'])
            ->and(found($hub('powered-hub'), 'plug.power'))->toBe([])
            ->and(restsOn($hub('plain-hub'), 'plug.power'))->toBe(['cam', 'face', 'hub', 'pc/usb-1']);
        $tablet = fn (?string $hub): Draft => ($draft = Draft::rig()->place('tab', 'tablet')->unit('tab', 'tablet', 'tab')->unit('face', 'card-recorder'))
            && $hub !== null ? $draft->unit('hub', $hub)->cable('usb', 'hub/up', 'tab/usb-c-1')->cable('usb', 'face/usb', 'hub/port-1') : $draft->cable('usb', 'face/usb', 'tab/usb-c-1');
        expect(found($tablet(null), 'plug.power'))->toBe(['risk: Tab is not charged while Face is in its socket'])->and(found($tablet('tablet-hub'), 'plug.power'))->toBe([])
            ->and(restsOn($tablet(null), 'plug.power'))->toBe(['face', 'tab/usb-c-1']);
    });

    it('digital ends without a common rate, and coded surround into plain stereo', function () {
        $rates = fn (array $a, array $b) => led(['optical', 'out', 'optical-digital', 2], ['optical', 'in', 'optical-digital', 2], 'optical', ['a' => ['out' => ['rates_hz' => $a]], 'b' => ['in' => ['rates_hz' => $b]]]);
        expect(found($rates([96000], [44100, 48000]), 'plug.digital-format'))->toBe(['fault: W-1: A · Out runs at 96 kHz, B · In at 44.1, 48 kHz'])
            ->and(found($rates([48000, 96000], [44100, 48000]), 'plug.digital-format'))->toBe([])->and(found($rates([], [48000]), 'plug.digital-format'))->toBe([])
            ->and(restsOn($rates([96000], [44100, 48000]), 'plug.digital-format'))->toBe(['a/out', 'b/in', 'w-1']);
        $console = fn (string $format): Draft => Draft::rig()->unit('con', 'old-console')->unit('card', 'capture-card')->cable('hdmi', 'con/hdmi', 'card/picture-1')->value('con', 'format', $format);
        expect(found($console('Several channels'), 'plug.digital-format'))->toBe(['risk: Con · HDMI sends coded surround, and Card · Picture in 1 takes plain stereo'])
            ->and(found($console('Stereo'), 'plug.digital-format'))->toBe([])
            ->and(restsOn($console('Several channels'), 'plug.digital-format'))->toBe(['card/picture-1', 'con/hdmi', 'w-1']);
    });
});

describe('computers', function () {
    it('a default that is not there, and a program that is left on the default', function () {
        $default = judgedStudio()->settings('head/usb/play', ['roles' => ['playback']]);
        expect(found($default, 'computer.default'))->toBe([])
            ->and(found($default->pick('music/sound', ['default' => 'system']), 'computer.default'))->toBe(['note: Music (Headset) follows a default of Pc'])
            ->and(found($default->unplug('head/usb'), 'computer.default'))->toBe(['fault: Pc has Headset for its default playback device, which is not connected'])
            ->and(restsOn($default, 'computer.default'))->toBe(['head/usb/play']);
    });

    it('a pick of a device that is disabled or not connected', function () {
        expect(found(judgedStudio(), 'computer.unavailable'))->toBe([])
            ->and(found(judgedStudio()->settings('head/usb/play', ['enabled' => false])->pick('cast/source-1', ['device' => 'face/usb/rec']), 'computer.unavailable'))
            ->toBe(['fault: Music uses Headset, which is disabled'])
            ->and(found(judgedStudio()->unplug('face/usb')->pick('cast/source-1', ['device' => 'face/usb/rec']), 'computer.unavailable'))
            ->toBe(['fault: Cast · Source 1 uses Interface mics, which is not connected'])
            // What a situation takes away on purpose is no fault of the pick.
            ->and(found(judgedStudio()->with(fn (array $d) => ['situations' => [...$d['situations'], ['id' => 'off', 'name' => 'Off', 'changes' => [], 'pulled' => ['w-2']]]] + $d), 'computer.unavailable'))->toBe([])
            ->and(restsOn(judgedStudio()->unplug('face/usb')->pick('cast/source-1', ['device' => 'face/usb/rec']), 'computer.unavailable'))->toBe(['cast/source-1', 'face/usb/rec']);
    });

    it('two devices that can not be told apart', function () {
        $two = judgedStudio()->unit('other', 'usb-headset')->cable('usb', 'other/usb', 'pc/usb-3')->device('pc', 'other/usb/play', ['name' => 'Headset'])->device('pc', 'other/usb/rec', ['name' => 'Headset mic']);
        expect(allRestOn($two, 'computer.same-name'))->toBe([['head/usb/play', 'other/usb/play'], ['head/usb/rec', 'other/usb/rec']]);
        expect(found(judgedStudio(), 'computer.same-name'))->toBe([])
            ->and(found($two, 'computer.same-name'))->toBe(['risk: Pc lists 2 playback devices as Headset, of Head and Other', 'risk: Pc lists 2 recording devices as Headset mic, of Head and Other'])
            ->and(found($two->settings('other/usb/play', ['name' => 'Spare'])->settings('other/usb/rec', ['name' => 'Spare mic']), 'computer.same-name'))->toBe([]);
    });

    it('devices of one program at different rates or depths', function () {
        $at = fn (array $head, array $face): Draft => judgedStudio()->pick('cast/source-2', ['device' => 'face/usb/rec'])->settings('head/usb/play', $head)->settings('face/usb/rec', $face);
        expect(found($at(['rate_hz' => 48000], ['rate_hz' => 44100]), 'computer.format'))->toBe(['risk: Cast uses Headset at 48 kHz and Interface mics at 44.1 kHz'])
            ->and(found($at(['rate_hz' => 48000, 'bits' => 24], ['rate_hz' => 48000, 'bits' => 16]), 'computer.format'))->toBe(['note: Cast uses Headset at 24 bits and Interface mics at 16 bits'])
            ->and(found($at(['rate_hz' => 48000, 'bits' => 24], ['rate_hz' => 48000, 'bits' => 24]), 'computer.format'))->toBe([])->and(found($at(['rate_hz' => 48000], []), 'computer.format'))->toBe([])
            // The better one stays as it is.
            ->and(restsOn($at(['rate_hz' => 48000], ['rate_hz' => 44100]), 'computer.format'))->toBe(['cast', 'face/usb/rec']);
    });

    it('devices of one program in different driver modes', function () {
        $in = fn (string $mode): Draft => judgedStudio()->pick('cast/source-1', ['device' => 'head/usb/rec', 'mode' => $mode])->pick('cast/source-2', ['device' => 'face/usb/rec']);
        expect(found($in('shared'), 'computer.driver-mode'))->toBe([])
            ->and(found($in('direct'), 'computer.driver-mode'))->toBe(['risk: Cast opens Headset mic in direct mode and Interface mics in shared mode'])
            ->and(curedBy($in('direct'), 'computer.driver-mode'))->toBe(['Open all devices of Cast in direct mode', 'Open all devices of Cast in shared mode'])
            ->and(restsOn($in('direct'), 'computer.driver-mode'))->toBe(['cast/source-1', 'cast/source-2']);
    });

    it('a sound that depends on a program that nobody starts, and a unit that is only there to unlock another', function () {
        $by = fn (array $repeater): Draft => judgedStudio()->unit('rep', 'repeater', 'pc')->unit('cable', 'virtual-cable', 'pc')->pick('music/sound', ['device' => 'cable/in'])->pick('rep/in', ['device' => 'cable/out'])
            ->pick('rep/out', ['device' => 'head/usb/play'])->with(fn (array $d) => ['units' => array_map(fn (array $one) => $one['id'] === 'rep' ? $one + $repeater : $one, $d['units'])] + $d);
        expect(found($by([]), 'computer.needs'))->toBe(['risk: Music reaches Viewers only while Rep runs, and it does not start at login'])
            ->and(found($by(['start' => 1]), 'computer.needs'))->toBe(['note: Music reaches Viewers only while Rep runs, and it does not start at login'])
            ->and(found($by(['at_login' => true]), 'computer.needs'))->toBe([])
            ->and(restsOn($by([]), 'computer.needs'))->toBe(['rep']);
        $key = judgedStudio()->with(fn (array $d) => ['units' => array_map(fn (array $one) => $one['id'] === 'cast' ? $one + ['needs' => ['face']] : $one, $d['units'])] + $d);
        expect(found($key, 'computer.needs'))->toBe(['note: Cast works only while Face is there, through which no sound passes'])
            ->and(restsOn($key, 'computer.needs'))->toBe(['cast', 'face']);
    });

    it('a sound on channels that the program does not read', function () {
        $mic = fn (array $channels): Draft => judgedStudio()->unit('mic', 'dynamic-microphone')->cable('xlr', 'mic/out', 'face/in-2')->set('face', 'points', 'in-2', ['gain' => 50])
            ->source('voice', 'mic/capsule')->wish('voice', 'viewers', 'must')->pick('cast/source-2', ['device' => 'face/usb/rec', 'channels' => $channels]);
        expect(found($mic([1]), 'computer.channels'))->toBe(['fault: Voice is on channel 2 of Interface mics, and Cast · Source 2 takes 1'])->and(found($mic([2]), 'computer.channels'))->toBe([])
            ->and(restsOn($mic([1]), 'computer.channels'))->toBe(['cast/source-2', 'face/usb/rec']);
    });

    it('more devices than a program opens', function () {
        $two = fn (string $second): Draft => judgedStudio()->unit('rec', 'multitrack-recorder', 'pc')->pick('rec/in-1', ['device' => 'face/usb/rec'])->pick('rec/in-2', ['device' => $second]);
        expect(found($two('head/usb/rec'), 'computer.one-device'))->toBe(['fault: 2 devices are asked of Rec, which has room for 1: Interface mics, Headset mic'])
            ->and(found($two('face/usb/rec'), 'computer.one-device'))->toBe([])
            ->and(restsOn($two('head/usb/rec'), 'computer.one-device'))->toBe(['rec']);
    });

    it('a loopback that takes the place of an input in use', function () {
        $loop = fn (bool $isOn, string $into): Draft => Draft::rig()->unit('mic', 'dynamic-microphone')->unit('face', 'pair-interface')->cable('xlr', 'mic/out', "face/{$into}")->source('voice', 'mic/capsule')
            ->set('face', 'points', $into, ['gain' => 50])->set('face', 'routes', 'out-1>usb-out', ['on' => $isOn]);
        expect(found($loop(true, 'left-1'), 'computer.loopback'))->toBe(['risk: Out 1 of Face is looped back in place of In 1 left, where Voice comes in'])
            ->and(found($loop(true, 'left-2'), 'computer.loopback'))->toBe([])->and(found($loop(false, 'left-1'), 'computer.loopback'))->toBe([])
            ->and(restsOn($loop(true, 'left-1'), 'computer.loopback'))->toBe(['face/left-1>usb-out', 'face/out-1>usb-out']);
    });
});

describe('grounds', function () {
    /** Two mains units joined by an analog lead and by another one. */
    $two = fn (string $supply, string $second, bool $isolated = false): Draft => Draft::rig()
        ->unit('a', box('mixer', [['out', 'ts-6.35', 'out', 'professional-line', 1], ['two', $second, 'out', $second === 'optical' ? 'optical-digital' : 'consumer-line', 2]], ['model' => ['supply' => 'mains-earthed']]))
        ->unit('b', box('mixer', [['in', 'ts-6.35', 'in', 'professional-line', 1], ['back', $second, 'in', $second === 'optical' ? 'optical-digital' : 'consumer-line', 2]], ['model' => ['supply' => $supply], 'in' => ['isolated' => $isolated]]))
        ->cable('ts', 'a/out', 'b/in')->cable($second === 'optical' ? 'optical' : 'trs', 'a/two', 'b/back');

    it('a circle of grounds with an analog lead in it', function () use ($two) {
        // Two earthed units: the first lead closes the circle by the earth pins, the second closes another by the first.
        expect(found($two('mains-earthed', 'optical'), 'ground.loop'))->toBe(['risk: W-1 closes a ground loop through A and B, both earthed'])
            ->and(found($two('mains-unearthed', 'optical'), 'ground.loop'))->toBe([])
            ->and(found($two('mains-unearthed', 'trs-3.5'), 'ground.loop'))->toBe(['risk: W-2 closes a ground loop through A and B (W-1)'])
            ->and(found($two('mains-earthed', 'trs-3.5'), 'ground.loop'))->toHaveCount(2)
            ->and(found($two('mains-earthed', 'optical', isolated: true), 'ground.loop'))->toBe([])
            ->and(restsOn($two('mains-unearthed', 'trs-3.5'), 'ground.loop'))->toBe(['a', 'b', 'w-1', 'w-2']);
    });

    it('isolates as few leads as can be, unbalanced ones before balanced', function () {
        // A ring of three earthed by one: USB, balanced and unbalanced analog. One lead to isolate, and it is the unbalanced one.
        $ring = Draft::rig()->unit('a', box('mixer', [['one', 'xlr-m+', 'out', 'professional-line', 1], ['two', 'usb-b', 'out', 'usb-audio', 2]]))
            ->unit('b', box('mixer', [['one', 'xlr-f+', 'in', 'professional-line', 1], ['three', 'ts-6.35', 'out', 'professional-line', 1]]))
            ->unit('c', box('mixer', [['two', 'usb-a', 'in', 'usb-audio', 2], ['three', 'ts-6.35', 'in', 'professional-line', 1]]))
            ->cable('ts', 'b/three', 'c/three')->cable('xlr', 'a/one', 'b/one')->cable('usb', 'a/two', 'c/two');
        expect(found($ring, 'ground.loop'))->toBe(['risk: W-1 closes a ground loop through B, A and C (W-2, W-3)']);
    });

    it('headphones and microphones close no circle', function () {
        $headset = Draft::rig()->place('pc')->unit('pc', 'streaming-computer', 'pc')->unit('head', 'two-plug-headset')->cable('trs', 'pc/line-out', 'head/phones')->cable('ts', 'head/mic', 'pc/mic-in');
        expect(found($headset, 'ground.loop'))->toBe([]);
    });

    it('an isolator far from what it protects, or with too few channels', function () {
        $far = fn (float $metres, string $model = 'isolator-one'): Draft => Draft::rig()->unit('a', box('mixer', [['out', 'ts-6.35', 'out', 'professional-line', 1]]))->unit('iso', $model)
            ->unit('b', box('mixer', [['in', 'ts-6.35', 'in', 'professional-line', 1]]))->cable('ts', 'a/out', 'iso/in')->cable('ts', 'iso/out', 'b/in')
            ->with(fn (array $d) => ['cables' => [$d['cables'][0], ['length_m' => $metres] + $d['cables'][1]]] + $d);
        expect(found($far(8), 'ground.isolator-place'))->toBe(['risk: Iso stands 8 m away from B · In, which it is to protect'])->and(found($far(1), 'ground.isolator-place'))->toBe([])
            ->and(restsOn($far(8), 'ground.isolator-place'))->toBe(['b/in', 'iso', 'w-2']);
        $stereo = fn (string $model, string $plug): Draft => Draft::rig()->unit('a', box('mixer', [['out', $plug, 'out', 'professional-line', 2]]))->unit('iso', $model)->cable($plug === 'trs-3.5' ? 'trs' : 'ts', 'a/out', 'iso/in');
        expect(found($stereo('isolator-one', 'trs-6.35'), 'ground.isolator-place'))->toBe(['fault: Iso passes one channel, and 2 come from A · Out'])
            ->and(found($stereo('isolator-stereo', 'trs-3.5'), 'ground.isolator-place'))->toBe([])
            ->and(restsOn($stereo('isolator-one', 'trs-6.35'), 'ground.isolator-place'))->toBe(['a/out', 'iso', 'w-1']);
    });
});

describe('tracks, time and the show', function () {
    it('a card that is full before the show ends: 3 tracks of 24 bits at 48 kHz fill 32 GB in 20.6 h', function () {
        $show = fn (int $hours, float $gb = 32): Draft => Draft::rig()->unit('rec', ['family' => 'interface', 'points' => [['id' => 'tone', 'kind' => 'origin', 'channels' => 1], ...array_map(
            fn (int $i) => ['id' => "track-{$i}", 'kind' => 'ear', 'channels' => 1],
            [1, 2, 3],
        )], 'routes' => array_map(fn (int $i) => ['from' => 'tone', 'to' => "track-{$i}"], [1, 2, 3])])
            ->source('voice', 'rec/tone')->with(fn (array $d) => $d + ['measures' => [['about' => 'units/rec', 'kind' => 'card', 'value' => $gb], ['about' => 'situations/base', 'kind' => 'length', 'value' => 60 * $hours]]]);
        // 32e9 / (3 x 48000 x 3) = 74,074 s = 20.58 h
        expect(found($show(21), 'track.storage'))->toBe(['fault: The card of Rec is full after 20.6 h, and Base lasts 21.0 h'])
            ->and(found($show(20), 'track.storage'))->toBe([])->and(found($show(21, 64), 'track.storage'))->toBe([])
            ->and(restsOn($show(21), 'track.storage'))->toBe(['rec']);
    });

    it('a sound that comes before its picture', function () {
        $cast = fn (float $picture, float $held = 0): Draft => judgedStudio()->set('cast', 'points', 'source-1', ['delay_ms' => $held])->with(fn (array $d) => ['units' => array_map(
            fn (array $one) => $one['id'] === 'cast' ? $one + ['pictures' => [['id' => 'cam', 'name' => 'Camera', 'delay_ms' => $picture]]] : $one,
            $d['units'],
        )] + $d);
        // The player's device takes 10 ms, its loopback nothing more.
        $now = 10.0;
        expect(found($cast($now + 44), 'time.sync'))->toBe([])->and(found($cast($now + 80), 'time.sync'))->toBe(['risk: Music comes 80.0 ms before the picture Camera in Cast'])
            ->and(found($cast($now + 80, 80), 'time.sync'))->toBe([])->and(found($cast(0, 114), 'time.sync'))->toBe([])->and(found($cast(0, 120), 'time.sync'))->toBe(['risk: Music comes 130.0 ms after the picture Camera in Cast'])
            ->and(restsOn($cast($now + 80), 'time.sync'))->toBe(['cast/source-1']);
    });

    it('one\'s own voice late in the headphones', function () {
        $late = fn (float $ms, string $place = 'desk'): Draft => Draft::rig()->place('far', 'desk')->unit('u', ['points' => [['id' => 'mic', 'kind' => 'origin', 'channels' => 1], ['id' => 'out', 'kind' => 'bus', 'channels' => 1]],
            'routes' => [['from' => 'mic', 'to' => 'out', 'delay_ms' => $ms]], 'sockets' => [['id' => 'o', 'label' => 'O', 'connector' => 'ts-6.35', 'lanes' => [['id' => 'l', 'way' => 'out', 'point' => 'out']]]]])
            ->unit('phones', ['sockets' => [['id' => 'i', 'label' => 'I', 'connector' => 'ts-6.35', 'lanes' => [['id' => 'l', 'way' => 'in', 'point' => 'ear']]]], 'points' => [['id' => 'ear', 'kind' => 'ear', 'channels' => 1]]], $place)
            ->cable('ts', 'u/o', 'phones/i')->source('voice', 'u/mic')->listener('me', 'phones/ear');
        expect(found($late(12), 'time.monitor'))->toBe(['risk: Me hears Voice from beside them 12.0 ms late'])->and(found($late(9), 'time.monitor'))->toBe([])->and(found($late(12, 'far'), 'time.monitor'))->toBe([])
            ->and(restsOn($late(12), 'time.monitor'))->toBe(['phones/ear', 'u/mic', 'u/mic>out']);
    });

    it('a wireless link where timing matters, by what it takes or what somebody measured', function () {
        $by = fn (string $kind, array $measures = []): Draft => Draft::rig()->place('pc')->unit('pc', 'laptop', 'pc')->unit('head', 'wireless-headset')->unit('game', 'game', 'pc')->cable('wireless', 'head/radio', 'pc/bluetooth')
            ->add('sources', ['id' => 'game', 'name' => 'Game', 'kind' => $kind, 'origins' => [['at' => 'game/sound']]])->listener('me', 'head/ear')->pick('game/sound', ['device' => 'head/radio/play'])->wish('game', 'me', 'must')
            ->with(fn (array $d) => $measures === [] ? $d : $d + ['measures' => $measures]);
        expect(found($by('game'), 'time.bluetooth'))->toBe(['risk: Game reaches Me by radio over W-1, 180.0 ms late'])->and(found($by('music'), 'time.bluetooth'))->toBe([])
            ->and(found($by('game', [['about' => 'cables/w-1', 'kind' => 'delay', 'value' => 42.5]]), 'time.bluetooth'))->toBe(['risk: Game reaches Me by radio over W-1, 42.5 ms late'])
            ->and(restsOn($by('game'), 'time.bluetooth'))->toBe(['w-1']);
    });

    it('what a situation mutes itself though a wish needs it there', function () {
        $show = fn (array $set): Draft => Draft::rig()->unit('u', ['points' => [['id' => 'tone', 'kind' => 'origin', 'channels' => 1, 'mute' => false], ['id' => 'ear', 'kind' => 'ear', 'channels' => 1, 'mute' => false]], 'routes' => [['from' => 'tone', 'to' => 'ear']]])
            ->source('music', 'u/tone')->listener('viewers', 'u/ear')->wish('music', 'viewers', 'must')->situation('break', $set);
        expect(found($show(['u/tone' => ['mute' => true]]), 'situation.forgotten'))->toBe(['fault: Music is lost to Viewers in Break: U · tone is muted'])
            ->and(found($show([]), 'situation.forgotten'))->toBe([])
            ->and(found($show(['u/tone' => ['mute' => true]])->wish('music', 'viewers', 'may', ['break']), 'situation.forgotten'))->toBe([])
            ->and(restsOn($show(['u/tone' => ['mute' => true]]), 'situation.forgotten'))->toBe(['u/tone']);
    });

    it('a small part on which the whole show depends', function () {
        $two = judgedStudio()->unit('game', 'game', 'pc')->add('sources', ['id' => 'game', 'name' => 'Game', 'kind' => 'game', 'origins' => [['at' => 'game/sound']]])->wish('game', 'viewers', 'must');
        // The game is taken from the headset's device inside the computer: with its lead W-2 out, that device is gone.
        $direct = $two->pick('game/sound', ['device' => 'head/usb/play']);
        // That a show hangs at its computer, its program and its leads is no news; that it hangs at a hub is.
        expect(found($direct, 'single.point'))->toBe([])
            ->and(found($direct->unit('hub', 'plain-hub')->cable('usb', 'hub/up', 'pc/usb-3')->with(fn (array $d) => ['cables' => array_map(
                fn (array $one) => $one['to'] === 'pc/usb-2' ? ['to' => 'hub/port-1'] + $one : $one,
                $d['cables'],
            )] + $d), 'single.point'))->toBe(['note: Everything that Viewers has to hear depends on Hub']);
    });
});

describe('levels', function () {
    /** A dynamic microphone at so much gain through a desk to a track. */
    $desk = fn (float $gain, array $measures = []): Draft => throughDesk($gain, $measures);

    it('peaks over what a stage takes, and close to it', function () use ($desk) {
        // -55.68 dBu; at 50 dB -17.7 dBFS, peaks at -5.7: room enough. At 54: -1.7. At 60: 4.3 over.
        expect(found($desk(50), 'level.clip'))->toBe([])->and(found($desk(50), 'level.headroom'))->toBe([])
            ->and(found($desk(54), 'level.headroom'))->toBe(['risk: Peaks of Voice come within 1.7 dB of the limit at Desk · In 1 (-1.7 dBFS of 0.0)'])
            ->and(found($desk(60), 'level.clip'))->toBe(['fault: Peaks of Voice exceed the limit at Desk · In 1 by 4.3 dB (4.3 dBFS of 0.0)'])->and(found($desk(60), 'level.headroom'))->toBe([])
            ->and(restsOn($desk(54), 'level.headroom'))->toBe(['desk/in-1'])
            ->and(restsOn($desk(60), 'level.clip'))->toBe(['desk/in-1']);
    });

    it('a line into a combined socket: its microphone preamp clips, its line input does not, nor what is set to line', function () {
        // -18 dBFS of +22 dBu is +4 dBu, peaks 16; the preamp takes 10 at the most, a line input 22.
        $line = fn (string $connector, string $type, ?string $set): Draft => Draft::rig()->unit('a', box('mixer', [['out', $connector, 'out', 'professional-line', 1]]))
            ->unit('b', box('mixer', [['in', 'combo-f+', 'in', 'microphone', 1]], ['in' => ['max_dbu' => 10], 'model' => ['settings' => [['id' => 'type', 'label' => 'Type',
                'kind' => 'choice', 'choices' => ['Mic', 'Line'], 'factory' => 'Mic', 'effects' => [['value' => 'Mic', 'socket' => 'in', 'signal' => 'microphone'],
                    ['value' => 'Line', 'socket' => 'in', 'signal' => 'professional-line']]]]]]), 'desk', $set === null ? [] : ['values' => ['type' => $set]])
            ->cable($type, 'a/out', 'b/in')->source('tone', 'a/out')->track('tape', 'b/in')->wish('tone', 'tape', 'must');
        expect(found($line('xlr-m+', 'xlr', null), 'level.clip'))->toBe(['fault: Peaks of Tone exceed the limit at B · In by 6.0 dB (16.0 dBu of 10.0)'])
            ->and(found($line('xlr-m+', 'xlr', 'Mic'), 'level.clip'))->toHaveCount(1)->and(found($line('xlr-m+', 'xlr', 'Line'), 'level.clip'))->toBe([])
            ->and(found($line('trs-6.35+', 'trs', null), 'level.clip'))->toBe([]);
    });

    it('a voice that arrives too low, and a preamp without the gain for it', function () use ($desk) {
        expect(found($desk(33), 'level.low'))->toBe(['risk: Voice comes to Tape at -34.7 dBFS, 16.7 dB too low'])->and(found($desk(34), 'level.low'))->toBe([])
            ->and(restsOn($desk(33), 'level.low'))->toBe(['mic/capsule', 'rec/track-1']);
        $soft = [['about' => 'sources/voice', 'kind' => 'speech', 'value' => 50]];
        // 16 dB softer: 65.7 dB wanted, 60 there.
        expect(found($desk(60, $soft), 'level.gain-short'))->toBe(['risk: Mic needs 65.7 dB of gain at Desk · In 1, which has 60.0 dB'])->and(found($desk(60), 'level.gain-short'))->toBe([])
            ->and(restsOn($desk(60, $soft), 'level.gain-short'))->toBe(['desk/in-1', 'mic/capsule']);
    });

    it('a voice that is not as far above the rest as somebody wants', function () {
        $mixed = fn (float $game, ?float $wanted): Draft => Draft::rig()->unit('u', ['points' => [['id' => 'a', 'kind' => 'origin', 'channels' => 1], ['id' => 'b', 'kind' => 'origin', 'channels' => 1], ['id' => 'ear', 'kind' => 'ear', 'channels' => 1]],
            'routes' => [['from' => 'a', 'to' => 'ear'], ['from' => 'b', 'to' => 'ear', 'db' => $game]]])->source('voice', 'u/a')->add('sources', ['id' => 'game', 'name' => 'Game', 'kind' => 'game', 'origins' => [['at' => 'u/b']]])
            ->listener('me', 'u/ear')->wish('voice', 'me', 'must')->wish('game', 'me', 'must')->with(fn (array $d) => $wanted === null ? $d : $d + ['measures' => [['about' => 'listeners/me', 'kind' => 'voice-over', 'value' => $wanted]]]);
        expect(found($mixed(-2, 6), 'level.balance'))->toBe(['risk: Game is 2.0 dB under the voice at Me, and 6 dB are wanted'])
            ->and(found($mixed(-6, 6), 'level.balance'))->toBe([])->and(found($mixed(-2, null), 'level.balance'))->toBe([])->and(found($mixed(3, 6), 'level.balance'))->toBe(['risk: Game is 3.0 dB over the voice at Me, and 6 dB are wanted'])
            ->and(restsOn($mixed(-2, 6), 'level.balance'))->toBe(['u/b', 'u/ear']);
    });

    it('two microphones that come to the air at levels of their own', function () {
        $two = fn (float $gain): Draft => Draft::rig()->place('pc')->unit('pc', 'streaming-computer', 'pc')->unit('face', 'two-channel-interface')->unit('one', 'dynamic-microphone')->unit('two', 'dynamic-microphone')
            ->unit('cast', 'broadcast-program-small', 'pc')->cable('usb', 'face/usb', 'pc/usb-1')->cable('xlr', 'one/out', 'face/in-1')->cable('xlr', 'two/out', 'face/in-2')
            ->set('face', 'points', 'in-1', ['gain' => 50])->set('face', 'points', 'in-2', ['gain' => $gain])->pick('cast/source-1', ['device' => 'face/usb/rec'])->source('ann', 'one/capsule')->source('ben', 'two/capsule')
            ->add('listeners', ['id' => 'viewers', 'name' => 'Viewers', 'kind' => 'stream', 'at' => ['cast/stream']])->wish('ann', 'viewers', 'must')->wish('ben', 'viewers', 'must');
        expect(found($two(43), 'level.unmatched'))->toBe(['risk: Ann is 7.0 dB louder than Ben at Viewers'])->and(found($two(45), 'level.unmatched'))->toBe([])
            ->and(restsOn($two(43), 'level.unmatched'))->toBe(['cast/stream', 'one/capsule', 'two/capsule']);
        // On tracks of their own as well, by the same figures.
        $tracks = fn (float $gain): Draft => $two($gain)->unit('rec', 'multitrack-recorder', 'pc')->pick('rec/in-1', ['device' => 'face/usb/rec', 'channels' => [1]])->pick('rec/in-2', ['device' => 'face/usb/rec', 'channels' => [2]])
            ->track('one', 'rec/track-1')->track('two', 'rec/track-2')->with(fn (array $d) => ['wishes' => [['source' => 'ann', 'listener' => 'one', 'want' => 'must'], ['source' => 'ben', 'listener' => 'two', 'want' => 'must']]] + $d);
        expect(found($tracks(43), 'level.unmatched'))->toBe(['risk: Ann is 7.0 dB louder than Ben at Two, on One'])->and(found($tracks(45), 'level.unmatched'))->toBe([]);
    });
});

it('takes a voice alone, or a game alone, for together with nothing', function (string $kind) {
    $draft = Draft::rig()->unit('u', ['points' => [['id' => 'tone', 'kind' => 'origin', 'channels' => 1], ['id' => 'air', 'kind' => 'ear', 'channels' => 1]], 'routes' => [['from' => 'tone', 'to' => 'air', 'delay_ms' => 300]]])
        ->add('sources', ['id' => 's', 'name' => 'S', 'kind' => $kind, 'origins' => [['at' => 'u/tone']]])->add('listeners', ['id' => 'viewers', 'name' => 'Viewers', 'kind' => 'stream', 'at' => ['u/air']])->wish('s', 'viewers', 'must');
    expect(found($draft, 'time.sync'))->toBe([]);
})->with(['voice', 'game']);

it('holds the first of several voices against the game', function () {
    $draft = Draft::rig()->unit('u', ['points' => [['id' => 'a', 'kind' => 'origin', 'channels' => 1], ['id' => 'b', 'kind' => 'origin', 'channels' => 1], ['id' => 'play', 'kind' => 'origin', 'channels' => 1], ['id' => 'air', 'kind' => 'ear', 'channels' => 1]],
        'routes' => [['from' => 'a', 'to' => 'air'], ['from' => 'b', 'to' => 'air', 'delay_ms' => 200], ['from' => 'play', 'to' => 'air', 'delay_ms' => 200]]]);
    foreach (['ann' => ['voice', 'a'], 'bob' => ['voice', 'b'], 'game' => ['game', 'play']] as $id => [$kind, $at]) {
        $draft = $draft->add('sources', ['id' => $id, 'name' => ucfirst($id), 'kind' => $kind, 'origins' => [['at' => "u/{$at}"]]])->wish($id, 'viewers', 'must');
    }
    $draft = $draft->add('listeners', ['id' => 'viewers', 'name' => 'Viewers', 'kind' => 'stream', 'at' => ['u/air']]);
    expect(found($draft, 'time.sync'))->toBe(['risk: Ann comes 200 ms before Game at Viewers']);
});

it('hears a voice far from its game at the audience, though no picture is entered', function (float $late, array $found) {
    $draft = Draft::rig()->unit('u', ['points' => [['id' => 'mic', 'kind' => 'origin', 'channels' => 1], ['id' => 'play', 'kind' => 'origin', 'channels' => 1], ['id' => 'air', 'kind' => 'ear', 'channels' => 1]],
        'routes' => [['from' => 'mic', 'to' => 'air', 'delay_ms' => 20], ['from' => 'play', 'to' => 'air', 'delay_ms' => $late]]])
        ->add('sources', ['id' => 'ann', 'name' => 'Ann', 'kind' => 'voice', 'origins' => [['at' => 'u/mic']]])->add('sources', ['id' => 'game', 'name' => 'Game', 'kind' => 'game', 'origins' => [['at' => 'u/play']]])
        ->add('listeners', ['id' => 'viewers', 'name' => 'Viewers', 'kind' => 'stream', 'at' => ['u/air']])->wish('ann', 'viewers', 'must')->wish('game', 'viewers', 'must');
    expect(found($draft, 'time.sync'))->toBe($found);
})->with([
    'together' => [20, []], '100 ms' => [120, []], 'later' => [150, ['risk: Ann comes 130 ms before Game at Viewers']],
]);

describe('holds back', function () {
    it('from a microphone of which nothing is known', function (int $gain) {
        // As the documents of models have it: the capsule is 40 dB quieter, the gain makes up for it.
        $draft = Draft::rig()->unit('mic', ['family' => 'microphone', 'sockets' => [['id' => 'out', 'label' => 'Out', 'connector' => 'xlr-m', 'balanced' => true,
            'lanes' => [['id' => 'l', 'way' => 'out', 'point' => 'out']]]], 'points' => [['id' => 'capsule', 'kind' => 'origin', 'channels' => 1], ['id' => 'out', 'kind' => 'out', 'channels' => 1]],
            'routes' => [['from' => 'capsule', 'to' => 'out', 'db' => -40]]])
            ->place('pc')->unit('pc', 'streaming-computer', 'pc')->unit('face', 'two-channel-interface', 'desk', ['points' => ['in-1' => ['gain' => $gain]]])->unit('rec', 'clip-recorder', 'pc')
            ->cable('xlr', 'mic/out', 'face/in-1')->cable('usb', 'face/usb', 'pc/usb-1')->pick('rec/in-1', ['device' => 'face/usb/rec', 'channels' => [1]])
            ->source('voice', 'mic/capsule')->track('tape', 'rec/track-1')->wish('voice', 'tape', 'must');
        expect(found($draft, 'level.clip'))->toBe([])->and(found($draft, 'level.headroom'))->toBe([])->and(found($draft, 'level.low'))->toBe([]);
    })->with([10, 40, 55]);

    it('from a virtual cable that starts later: it is a driver', function () {
        $draft = judgedStudio()->unit('wire', 'virtual-cable', 'pc')
            ->with(fn (array $d) => ['units' => array_map(fn (array $one) => $one['id'] === 'cast' ? $one + ['needs' => ['wire'], 'start' => 1] : $one, $d['units'])] + $d);
        expect(found($draft, 'computer.needs'))->toBe([]);
    });

    it('from a mono plug in a balanced mono input that has two channels', function () {
        expect(found(led(['ts-6.35', 'out', 'professional-line', 1], ['trs-6.35+', 'in', 'professional-line', 2], 'ts'), 'plug.stereo-balanced'))->toBe([])
            ->and(found(led(['ts-6.35', 'out', 'professional-line', 1], ['trs-6.35', 'in', 'professional-line', 2], 'ts'), 'plug.stereo-balanced'))->toHaveCount(1);
    });

    it('from telling anybody to unplug what others need, and says so where it is unplugged', function () {
        $draft = judgedStudio()->with(fn (array $d) => ['units' => array_map(fn (array $one) => $one['id'] === 'cast' ? $one + ['needs' => ['face']] : $one, $d['units'])] + $d);
        expect(found($draft, 'computer.needs'))->toBe(['note: Cast works only while Face is there, through which no sound passes']);
        $usb = array_values(array_filter($draft->make()->cables, fn ($one) => (string) $one->from === 'face/usb'))[0]->id;
        $out = $draft->with(fn (array $d) => ['situations' => [['pulled' => [$usb]] + $d['situations'][0]]] + $d);
        expect(found($out, 'computer.needs'))->toContain('fault: Cast gives no sound: it works only with Face, which is away or not plugged in')
            ->and($out->pair('music', 'viewers')->verdict->value)->toBe('missing');
    });

    it('from the level of a voice that only spills, or only may be heard', function () {
        expect(found(throughDesk(30), 'level.low'))->toHaveCount(1);
        $may = throughDesk(30)->with(fn (array $d) => ['wishes' => array_map(fn (array $one) => ['want' => 'may'] + $one, $d['wishes'])] + $d);
        expect(found($may, 'level.low'))->toBe([]);
    });

    it('from a line in a microphone input that is sent far down', function (float $db, int $count) {
        // +4 dBu nominal, peaks 12 dB above: 16 dBu against the 12 that a microphone input takes; 4 dB down they fit.
        $draft = Draft::rig()->unit('a', ['family' => 'mixer', 'sockets' => [['id' => 'out', 'label' => 'Out', 'connector' => 'trs-6.35', 'signal' => 'professional-line', 'balanced' => true, 'lanes' => [['id' => 'l', 'way' => 'out', 'point' => 'bus']]]],
            'points' => [['id' => 'tone', 'kind' => 'origin', 'channels' => 1], ['id' => 'bus', 'kind' => 'bus', 'channels' => 1]], 'routes' => [['from' => 'tone', 'to' => 'bus', 'db' => $db]]])
            ->unit('b', box('mixer', [['in', 'xlr-f+', 'in', 'microphone', 1]]))->cable('trs', 'a/out', 'b/in')->source('s', 'a/tone')->listener('l', 'b/in');
        expect(found($draft, 'plug.level'))->toHaveCount($count);
    })->with([[0.0, 1], [-3.9, 1], [-4.0, 0], [-40.0, 0]]);

    it('from the hum of a short balanced lead, which is a note', function (?float $length, string $severity) {
        $draft = led(LINE, LINE_IN, 'trs', ['a' => ['model' => ['supply' => 'mains-earthed']], 'b' => ['model' => ['supply' => 'mains-earthed']]])
            ->with(fn (array $d) => ['cables' => [$d['cables'][0] + array_filter(['length_m' => $length])]] + $d);
        expect(array_map(fn (string $one) => strstr($one, ':', true), found($draft, 'ground.loop')))->toBe([$severity]);
    })->with([[3.0, 'note'], [5.0, 'note'], [6.0, 'risk']]);

    it('from what a situation mutes on purpose', function (array $more, int $count) {
        // In the break the tone is muted though everybody is to hear it.
        $show = Draft::rig()->unit('u', ['points' => [['id' => 'tone', 'kind' => 'origin', 'channels' => 1, 'mute' => false], ['id' => 'ear', 'kind' => 'ear', 'channels' => 1], ['id' => 'air', 'kind' => 'ear', 'channels' => 1]],
            'routes' => [['from' => 'tone', 'to' => 'ear'], ['from' => 'tone', 'to' => 'air']]])->source('music', 'u/tone')->listener('me', 'u/ear')->listener('viewers', 'u/air')
            ->wish('music', 'viewers', 'must')->situation('break', ['u/tone' => ['mute' => true]])->with(fn (array $d) => array_merge_recursive($d, $more));
        expect(found($show, 'situation.forgotten'))->toHaveCount($count);
    })->with([
        'nobody says why' => [[], 1],
        'it is to be left alone' => [['reasons' => [['about' => 'units/u/points/tone', 'leave_alone' => true]]], 0],
        'another must not hear it then' => [['wishes' => [['source' => 'music', 'listener' => 'me', 'want' => 'must-not', 'situations' => ['break']]]], 0],
    ]);
});

it('says once what a cause and checks say of one thing, and keeps how it was accepted', function () {
    $draft = powered(false, []);
    $finding = array_values(array_filter(Checks::findings(new Inspection(new Hearings($draft->make()))), fn (Finding $one) => $one->code === 'plug.phantom'))[0];
    $all = Examination::of(new Hearings($draft->make()));
    expect(array_map(fn (Finding $one) => $one->code, $all->findings))->not->toContain('plug.phantom')->and($all->causes[0]->joined)->toContain($finding->evidence())
        ->and($all->causes[0]->notes[0])->toStartWith('It stays silent until that is on.')
        ->and($all->cells)->toBe(2);
    $rig = (new AcceptFinding(new Acceptance($finding->evidence(), $finding->sentence, 'the spare is plugged')))->applyTo($draft->make());
    expect($rig->papers->acceptanceOf(...$all->causes[0]->evidences())?->why)->toBe('the spare is plugged')
        ->and($rig->papers->acceptanceOf($all->causes[0]->evidence()))->toBeNull();
});

it('tells noise by its kind, where it comes in and what stops it', function () {
    $kinds = fn (Draft $draft): array => array_map(fn (array $one) => "{$one['kind']}: {$one['where']}", (new Noises(new Inspection(new Hearings($draft->make()))))->all);
    // The room's 35 dB SPL are 57 dB below the voice; at 50 dB SPL and half a metre no more than 28.
    expect($kinds(throughDesk(50)))->toBe([])->and($kinds(throughDesk(50, [['about' => 'places/desk', 'kind' => 'noise', 'value' => 50], ['about' => 'units/mic/points/capsule', 'kind' => 'distance', 'value' => 0.3]])))
        ->toBe(['hiss: Voice, 26 dB above its noise, most of it from the room']);
    $socket = Draft::rig()->place('pc')->unit('pc', 'streaming-computer', 'pc')->tone('desk')->unit('rec', 'clip-recorder', 'pc')->cable('trs', 'desk/out', 'pc/line-in')->pick('rec/in-1', ['device' => 'pc/line-in/in'])
        ->track('tape', 'rec/track-1')->wish('desk', 'tape', 'must');
    expect($kinds($socket))->toBe(['whine: Pc · Line in · blue, from inside the case'])->and($kinds($socket->pick('rec/in-1', ['device' => 'pc/mic-in/in'])))->toBe([]);
});

it('finds nothing in a situation that only changes much: that is told at the show', function () {
    $points = array_map(fn (string $id) => ['id' => $id, 'kind' => 'strip', 'label' => ucfirst($id), 'channels' => 1, 'mute' => false], ['one', 'two']);
    $draft = fn (array $set): Draft => Draft::rig()->unit('u', ['points' => $points, 'routes' => []])->situation('break', $set);
    expect(found($draft(['u/one' => ['mute' => true], 'u/two' => ['mute' => true]]), 'situation.forgotten'))->toBe([]);
});

it('tells two leads in one socket of a rig that was kept before that was refused', function () {
    $two = Draft::rig()->tone('a')->tone('b')->ear('c')->cable('trs', 'a/out', 'c/in')->cable('trs', 'b/out', 'c/in');
    $kept = (new DocumentReader)->readStored($two->text());
    expect(found($kept, 'plug.taken'))->toHaveCount(1)->and(found($kept, 'plug.taken')[0])->toStartWith('fault: W-2: ')
        ->and(found($two->unplug('b/out'), 'plug.taken'))->toBe([]);
});

it('finds a bus into which somebody has mixed something for nobody', function () {
    $mixed = fn (bool $heard): Draft => Draft::rig()->unit('u', ['points' => [['id' => 'tone', 'kind' => 'origin', 'channels' => 1], ['id' => 'aux', 'kind' => 'bus', 'channels' => 1], ['id' => 'ear', 'kind' => 'ear', 'channels' => 1]],
        'routes' => [['from' => 'tone', 'to' => 'aux', 'on' => false, 'can' => ['on']], ['from' => 'aux', 'to' => 'ear', 'on' => $heard, 'can' => ['on']]]])
        ->source('s', 'u/tone')->listener('l', 'u/ear')->set('u', 'routes', 'tone>aux', ['on' => true]);
    expect(found($mixed(false), 'plug.loose'))->toBe(['note: U · aux is mixed for nobody: nothing behind it reaches a listener'])->and(found($mixed(true), 'plug.loose'))->toBe([]);
});

it('cures the first of more findings than are told', function () {
    // A mono lead between two stereo sockets, so many times; each is cured by a stereo lead.
    $mono = function (int $times): Draft {
        $draft = Draft::rig();
        for ($i = 1; $i <= $times; $i++) {
            $draft->unit("a{$i}", box('mixer', [['out', 'trs-6.35', 'out', 'professional-line', 2]]))
                ->unit("b{$i}", box('mixer', [['in', 'trs-6.35', 'in', 'professional-line', 2]]))->cable('ts', "a{$i}/out", "b{$i}/in");
        }

        return $draft;
    };
    $cured = array_map(fn (int $times) => count(curedBy($mono($times), 'plug.stereo-balanced')), [60, 61, 70]);
    expect($cured[0])->toBeGreaterThan(0)->and($cured[1])->toBe($cured[0])->and($cured[2])->toBe($cured[0]);
});

describe('cures', function () {
    it('moves a lead to the input that is made for it', function () {
        $line = Draft::rig()->unit('a', box('mixer', [['out', 'trs-6.35+', 'out', 'professional-line', 1]]))
            ->unit('b', box('mixer', [['mic', 'trs-6.35+', 'in', 'microphone', 1], ['line', 'trs-6.35+', 'in', 'professional-line', 1]]))->cable('trs', 'a/out', 'b/mic');
        expect(curedBy($line, 'plug.level'))->toBe(['Move W-1 to B · Line']);
    });

    it('gives phantom power where it is, or moves the microphone to it', function () {
        $mic = Draft::rig()->unit('mic', 'condenser-microphone')->unit('desk', 'eight-input-desk')->cable('xlr', 'mic/out', 'desk/mic-1');
        expect(curedBy($mic, 'plug.phantom'))->toBe(['Switch Phantom power, Mic 1 of Desk on']);
        $bare = Draft::rig()->unit('mic', 'condenser-microphone')->unit('b', box('mixer', [['plain', 'xlr-f+', 'in', 'microphone', 1], ['powered', 'xlr-f+', 'in', 'microphone', 1]], ['powered' => ['phantom' => 'offers']]))
            ->cable('xlr', 'mic/out', 'b/plain');
        expect(curedBy($bare, 'plug.phantom'))->toBe(['Move W-1 to B · Powered']);
    });

    it('puts a booster in, and sets the gain that is needed then', function () {
        expect(curedBy(throughDesk(60, [['about' => 'sources/voice', 'kind' => 'speech', 'value' => 50]]), 'level.gain-short'))->toBe(['Line booster (25.0 dB) into W-1, Phantom power, In 1 on, then the gain at 40.7 dB']);
    });

    it('sets a gain that is too low or too high', function () {
        expect(curedBy(throughDesk(30), 'level.low'))->toContain('Set the gain of Desk · In 1 to 49.7 dB')->and(curedBy(throughDesk(60), 'level.clip'))->toBe(['Set the gain of Desk · In 1 to 49.7 dB']);
    });

    it('names devices apart, takes a device by name, sets one rate, starts a program at login, turns a loopback back', function () {
        $two = judgedStudio()->unit('other', 'usb-headset')->cable('usb', 'other/usb', 'pc/usb-3')->device('pc', 'other/usb/play', ['name' => 'Headset']);
        expect(curedBy($two, 'computer.same-name'))->toBe(['Name them apart on Pc'])
            ->and(curedBy(judgedStudio()->settings('head/usb/play', ['roles' => ['playback']])->pick('music/sound', ['default' => 'system']), 'computer.default'))->toBe(['Let Music use Headset by name'])
            ->and(curedBy(judgedStudio()->pick('cast/source-2', ['device' => 'face/usb/rec'])->settings('head/usb/play', ['rate_hz' => 48000])->settings('face/usb/rec', ['rate_hz' => 44100]), 'computer.format'))
            ->toBe(['Set Interface mics to 48 kHz']);
    });
});

it('tells the whine of a computer\'s output that an isolator does not stop', function () {
    $noises = fn (Draft $draft): array => array_map(fn (array $one) => "{$one['where']}; {$one['stops']}", (new Noises(new Inspection(new Hearings($draft->make()))))->all);
    $draft = Draft::rig()->place('pc')->unit('pc', 'streaming-computer', 'pc')->unit('music', 'music-player', 'pc')->unit('iso', 'isolator-stereo')
        ->ear('boxes')->cable('trs', 'pc/line-out', 'iso/in')->cable('trs', 'iso/out', 'boxes/in')->source('music', 'music/sound')->listener('me', 'boxes/ear');
    expect($noises($draft))->toBe([])->and($noises($draft->pick('music/sound', ['device' => 'pc/line-out/out'])))
        ->toBe(['Pc · Line out · green, from inside the case: Iso behind it does not stop that; an interface outside it for this output']);
});

it('judges the level of a microphone with its converter in it by what that takes', function (float $gain, ?array $measure, float $end, string $from) {
    // It takes 100 dB SPL at 0 dB. 66 dB at a metre are 82.48 at 15 cm: 17.5 below; the room's 35 are 65 below.
    $draft = Draft::rig()->place('pc')->unit('pc', 'laptop', 'pc')->unit('mic', 'usb-microphone-plain', 'desk', ['points' => ['mic' => ['gain' => $gain]]])->unit('rec', 'clip-recorder', 'pc')->cable('usb', 'mic/usb', 'pc/usb-1')
        ->pick('rec/in-1', ['device' => 'mic/usb/rec'])->source('voice', 'mic/capsule')->track('tape', 'rec/track-1')->wish('voice', 'tape', 'must')
        ->with(fn (array $d) => ['measures' => array_values(array_filter([$measure]))] + $d);
    $in = new Inspection(new Hearings($draft->make()));
    [, $chain] = $in->chains()[0];
    expect([round($chain->end, 1), $chain->noisiest, $chain->preamp?->wanted->value()])->toBe([$end, $from, -0.5])
        ->and(round($chain->overNoise(), 1))->toBe($from === 'the room' ? 47.3 : 62.3);
})->with([
    [0.0, null, -17.5, 'the room'],
    [12.0, null, -5.5, 'the room'],
    // The room at 5 dB SPL, its own 20, and its resistance, which is as much as 2.19: 20.20 together, 62.28 below.
    [0.0, ['about' => 'places/desk', 'kind' => 'noise', 'value' => 5], -17.5, 'the microphone itself'],
]);

it('follows a format along a whole way, beyond what one program picks', function () {
    // The headset records with 24 bits into a mixer program; a virtual cable of that hands it on with 16 to the broadcast program.
    $draft = fn (int $bits): Draft => judgedStudio()->unit('cable', 'virtual-cable', 'pc')->unit('rep', 'repeater', 'pc')->unit('more', 'virtual-cable', 'pc')->unit('rep2', 'repeater', 'pc')
        ->source('voice', 'head/capsule')->pick('rep/in', ['device' => 'head/usb/rec'])->pick('rep/out', ['device' => 'cable/in'])->pick('rep2/in', ['device' => 'cable/out'])->pick('rep2/out', ['device' => 'more/in'])
        ->pick('cast/source-2', ['device' => 'more/out'])->wish('voice', 'viewers', 'must')
        ->settings('head/usb/rec', ['bits' => 24])->device('pc', 'more/in', ['bits' => $bits]);
    expect(found($draft(16), 'computer.format'))->toBe(['note: Voice comes with 24 bits from Headset mic, and goes on with 16 by Virtual cable'])
        ->and(found($draft(24), 'computer.format'))->toBe([])
        ->and(curedBy($draft(16), 'computer.format'))->toBe(['Set Virtual cable to 24 bits']);
});

it('tells converters without a common clock in one recording program', function () {
    $two = judgedStudio()->unit('rec', ['family' => 'recorder', 'points' => [['id' => 'a', 'kind' => 'in', 'channels' => 1, 'picks' => 'recording'], ['id' => 'b', 'kind' => 'in', 'channels' => 1, 'picks' => 'recording'],
        ['id' => 't', 'kind' => 'ear', 'channels' => 2]], 'routes' => [['from' => 'a', 'to' => 't'], ['from' => 'b', 'to' => 't']]], 'pc')->pick('rec/a', ['device' => 'face/usb/rec', 'channels' => [1]]);
    expect(found($two->pick('rec/b', ['device' => 'head/usb/rec']), 'computer.clocks'))->toBe(['note: Rec records from Interface mics and Headset mic, which have a clock each'])
        ->and(found($two->pick('rec/b', ['device' => 'face/usb/rec', 'channels' => [2]]), 'computer.clocks'))->toBe([]);
});
