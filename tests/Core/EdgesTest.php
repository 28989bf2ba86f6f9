<?php

declare(strict_types=1);

use HiddenWire\Core\Checks\Check;
use HiddenWire\Core\Checks\Finding;
use HiddenWire\Core\Document\DocumentReader;
use HiddenWire\Core\Document\DocumentWriter;
use HiddenWire\Core\Document\InvalidDocument;
use HiddenWire\Core\Edit\Plug;
use HiddenWire\Core\Edit\RemoveUnit;
use HiddenWire\Core\Edit\SetRoute;
use HiddenWire\Core\History\RigDifference;
use HiddenWire\Core\Import\CableMapping;
use HiddenWire\Core\Import\CablePlan;
use HiddenWire\Core\Import\CsvTable;
use HiddenWire\Core\Levels\Chain;
use HiddenWire\Core\Levels\VoiceBalance;
use HiddenWire\Core\Planning\Candidate;
use HiddenWire\Core\Planning\CutSets;
use HiddenWire\Core\Planning\Diagnosis;
use HiddenWire\Core\Planning\Gap;
use HiddenWire\Core\Planning\Hearings;
use HiddenWire\Core\Planning\Remedies\Levels;
use HiddenWire\Core\Rig\RouteRef;
use HiddenWire\Core\Rig\RouteSettings;
use HiddenWire\Core\Rig\SocketRef;
use HiddenWire\Core\Signal\DoublingKind;
use HiddenWire\Core\Signal\Loss;
use HiddenWire\Core\Signal\Stray;
use HiddenWire\Core\Signal\Verdict;
use HiddenWire\Core\Timing\Offsets;
use Tests\Support\Draft;

/*
 * What "never", "only", "at most" and "the latest" come to, each by a case of its own: a small change of the code at such a place would go
 * unnoticed by the tables of the starters.
 */

/** @return list<string> what a check finds */
function foundBy(Draft $draft, string $code): array
{
    return array_map(fn (Finding $one) => $one->sentence, findingsOf($draft, $code));
}

/** @return list<string> */
function curesOf(iterable $candidates): array
{
    return array_map(fn (Candidate $one) => $one->cure(), [...$candidates]);
}

/** @return array<string, mixed> a socket with one lane */
function socketOf(string $id, string $connector, string $way, string $signal, bool $isBalanced = false, ?string $point = null): array
{
    return ['id' => $id, 'label' => ucfirst($id), 'connector' => $connector, 'signal' => $signal, 'balanced' => $isBalanced,
        'lanes' => [['id' => 'l', 'way' => $way, 'point' => $point ?? $id]]];
}

describe('what is heard', function () {
    it('takes a source for as wide as it is where it is loudest', function () {
        // Its left side alone comes from the stereo origin; a mono one, 10 dB softer, leads nowhere.
        $draft = Draft::rig()->unit('u', ['points' => [['id' => 'wide', 'kind' => 'origin', 'channels' => 2], ['id' => 'soft', 'kind' => 'origin', 'channels' => 1],
            ['id' => 'ear', 'kind' => 'ear', 'channels' => 1]], 'routes' => [['from' => 'wide', 'to' => 'ear', 'map' => 'left']]])
            ->source('s', 'u/wide', ['u/soft', -10.0])->listener('l', 'u/ear')->wish('s', 'l', 'must');
        expect($draft->pair('s', 'l')->loss)->toBe(Loss::RightPart);
    });

    it('hears a sound at two ears of one listener twice, though left and right at one time are one', function () {
        $draft = Draft::rig()->unit('u', ['points' => [['id' => 'tone', 'kind' => 'origin', 'channels' => 1], ['id' => 'head', 'kind' => 'ear', 'channels' => 1],
            ['id' => 'room', 'kind' => 'ear', 'channels' => 1]], 'routes' => [['from' => 'tone', 'to' => 'head'], ['from' => 'tone', 'to' => 'room', 'db' => -6]]])
            ->source('s', 'u/tone')->listener('l', 'u/head', 'u/room')->wish('s', 'l', 'must');
        $pair = $draft->pair('s', 'l');
        expect($pair->verdict)->toBe(Verdict::Doubled)->and($pair->doubling?->kind())->toBe(DoublingKind::Adds)
            ->and($pair->doubling?->difference->value())->toBe(6.0);
    });

    it('turns the right side of a balanced output in a stereo input only where the lead has a ring', function (string $lead, array $channels) {
        $draft = Draft::rig()->tone('a', 1, 'trs-6.35', true)->ear('b', 2, 'trs-6.35')->cable($lead, 'a/out', 'b/in');
        $found = [];
        foreach ($draft->hear()->response($draft->pair('a', 'b')) as $row) {
            $found[$row['ear_channel']] = $row['taps'][0][1];
        }
        expect($found)->toBe($channels);
    })->with(['a lead with a ring' => ['trs', [1 => 1.0, 2 => -1.0]], 'one without' => ['ts', [1 => 1.0]]]);

    it('lets stray sound go nowhere by a default that can not be used', function (array $settings, array $reached) {
        $draft = Draft::rig()->place('room')->unit('pc', 'laptop', 'room')->unit('head', 'usb-headset', 'room')->cable('usb', 'pc/usb-1', 'head/usb')
            ->listener('me', 'head/ear')->device('pc', 'head/usb/play', ['roles' => ['playback']] + $settings);
        $graph = $draft->hear()->graph();
        expect(array_map(fn ($listener) => $listener->id, (new Stray($graph, $graph->rig->units['pc']))->reaches))->toBe($reached);
    })->with(['in use' => [[], ['me']], 'disabled' => [['enabled' => false], []], 'muted' => [['mute' => true], []], 'so soft that nobody hears it' => [['db' => -70], []]]);

    it('bounds what is left out alike, whichever polarity a loop has', function () {
        // 2^11 ways at times of their own, of which a channel holds 1,024; then a loop that takes 6 dB a round, with its polarity or turned.
        $rest = function (bool $isTurned): float {
            $points = ['x' => 2, 'y' => 1, 'z' => 1];
            $routes = [];
            $last = 'tone';
            foreach (range(0, 10) as $i) {
                $points += ["a-{$i}" => 1, "b-{$i}" => 1, "j-{$i}" => 1];
                array_push($routes, [$last, "a-{$i}", -6.02], [$last, "b-{$i}", -6.02, 'straight', 0.2 * 2 ** $i], ["a-{$i}", "j-{$i}"], ["b-{$i}", "j-{$i}"]);
                $last = "j-{$i}";
            }
            array_push($routes, [$last, 'y'], ['y', 'x', -6.02, $isTurned ? 'split-polarity' : 'to-both'], ['x', 'z', 0, 'right'], ['z', 'y'], ['y', 'ear']);

            return Draft::inside($points, $routes)->pair('s', 'l')->sum->rest;
        };
        // What comes is r; once round it is half of it: r (1 + 1/2 + 1/4 + ...) = 2 r, whatever the sign.
        expect($rest(true))->toBe($rest(false))->toBeGreaterThan(0.0);
    });
});

describe('causes and cures', function () {
    /** Two switches in a row, the second to either of two buses that lead out by sockets; a recorder with a socket. */
    $far = fn (): Draft => Draft::rig()->unit('a', ['points' => [['id' => 'tone', 'kind' => 'origin', 'channels' => 1], ['id' => 'bus', 'kind' => 'bus', 'channels' => 1],
        ['id' => 'one', 'kind' => 'bus', 'channels' => 1], ['id' => 'two', 'kind' => 'bus', 'channels' => 1]],
        'routes' => [['from' => 'tone', 'to' => 'bus', 'on' => false, 'can' => ['on']], ['from' => 'bus', 'to' => 'one'], ['from' => 'bus', 'to' => 'two']],
        'sockets' => [socketOf('one', 'trs-6.35', 'out', 'professional-line'), socketOf('two', 'trs-6.35', 'out', 'professional-line')]])
        ->unit('b', ['points' => [['id' => 'in', 'kind' => 'ear', 'channels' => 1]], 'sockets' => [socketOf('in', 'trs-6.35', 'in', 'professional-line')]])
        ->source('s', 'a/tone')->listener('l', 'b/in')->wish('s', 'l', 'must');

    it('proposes further ways without the dearest change of the one before, never without the cheapest', function () use ($far) {
        expect(curesOf((new Gap(troubleOf($far())))->candidates()))->toBe([
            'Switch on tone → bus of A, and plug One of A into In of B',
            'Switch on tone → bus of A, and plug Two of A into In of B',
        ]);
    });

    it('never closes a gap through the air', function () {
        // A loudspeaker plays the music in the room of a muted microphone: unmuted, the recorder would hear it through the air only.
        $draft = Draft::rig()->unit('mic', 'dynamic-microphone')->unit('desk', ['sockets' => [socketOf('mic', 'xlr-f', 'in', 'microphone', true, 'strip'),
            socketOf('left', 'trs-6.35', 'out', 'professional-line', true, 'main')],
            'points' => [['id' => 'tone', 'kind' => 'origin', 'channels' => 1], ['id' => 'strip', 'kind' => 'strip', 'channels' => 1, 'mute' => true],
                ['id' => 'main', 'kind' => 'bus', 'channels' => 1], ['id' => 'record', 'kind' => 'ear', 'channels' => 1]],
            'routes' => [['from' => 'tone', 'to' => 'main'], ['from' => 'strip', 'to' => 'record'], ['from' => 'tone', 'to' => 'record', 'on' => false, 'can' => ['on']]]])
            ->unit('box', ['family' => 'loudspeaker', 'sockets' => [socketOf('in', 'trs-6.35', 'in', 'professional-line', true, 'ear')], 'points' => [['id' => 'ear', 'kind' => 'ear', 'channels' => 1]]])
            ->cable('xlr', 'mic/out', 'desk/mic')->cable('trs', 'desk/left', 'box/in')->source('music', 'desk/tone')->listener('tape', 'desk/record')->wish('music', 'tape', 'must');
        expect(curesOf((new Gap(troubleOf($draft, 'music', 'tape')))->candidates()))->toBe(['Switch on tone → record of Desk']);
    });

    it('lowers what leads to the stage that overloads, and nothing behind it', function () {
        $draft = Draft::rig()->unit('u', ['points' => [['id' => 'tone', 'kind' => 'origin', 'channels' => 1],
            ['id' => 'strip', 'kind' => 'strip', 'channels' => 1, 'gain' => ['from' => -60, 'to' => 60, 'db' => 0]],
            ['id' => 'bus', 'kind' => 'bus', 'channels' => 1, 'fader' => ['from' => -90, 'to' => 10, 'db' => -30]], ['id' => 'ear', 'kind' => 'ear', 'channels' => 1]],
            'routes' => [['from' => 'tone', 'to' => 'strip'], ['from' => 'strip', 'to' => 'bus'], ['from' => 'bus', 'to' => 'ear']]])
            ->source('s', 'u/tone')->listener('l', 'u/ear')->wish('s', 'l', 'must')->set('u', 'points', 'strip', ['gain' => 30]);
        // 30 dB over nominal behind the gain, where 18 go.
        expect($draft->pair('s', 'l')->verdict)->toBe(Verdict::Overloads)
            ->and(curesOf((new Levels)->candidates(troubleOf($draft))))->toBe(['Lower the gain of strip of U to 0.0 dB']);
    });

    it('tries three levels with what joins a sound: the first that goes may not go far enough', function () {
        $draft = Draft::rig()->unit('u', ['points' => [['id' => 'tone', 'kind' => 'origin', 'channels' => 1],
            ['id' => 'first', 'kind' => 'strip', 'channels' => 1, 'gain' => ['from' => 0, 'to' => 5, 'db' => 0]],
            ['id' => 'second', 'kind' => 'strip', 'channels' => 1, 'gain' => ['from' => 0, 'to' => 60, 'db' => 0], 'mute' => false], ['id' => 'ear', 'kind' => 'ear', 'channels' => 1]],
            'routes' => [['from' => 'tone', 'to' => 'first'], ['from' => 'first', 'to' => 'second'], ['from' => 'second', 'to' => 'ear']]])
            ->source('s', ['u/tone', -50.0])->listener('l', 'u/ear')->wish('s', 'l', 'must')->set('u', 'points', 'second', ['mute' => true]);
        $causes = (new Diagnosis(new Hearings($draft->make())))->causes();
        // -50 + 5 = -45 dB is still too quiet; the second gain goes all 50 dB.
        expect($causes)->toHaveCount(1)->and($causes[0]->cures[0]->sentence)->toBe('Unmute second of U, and raise the gain of second of U to 50.0 dB');
    });

    it('prefers what sounds about as it does at most others, not at the first or the softest', function () {
        $points = [['id' => 'tone', 'kind' => 'origin', 'channels' => 1]];
        $routes = [];
        foreach (['e1' => -30, 'e2' => 0, 'e3' => 0] as $ear => $db) {
            $points[] = ['id' => $ear, 'kind' => 'ear', 'channels' => 1];
            $routes[] = ['from' => 'tone', 'to' => $ear, 'db' => $db];
        }
        array_push($points, ['id' => 'far', 'kind' => 'bus', 'channels' => 1], ['id' => 'near', 'kind' => 'bus', 'channels' => 1], ['id' => 'e4', 'kind' => 'ear', 'channels' => 1]);
        array_push(
            $routes,
            ['from' => 'tone', 'to' => 'far', 'db' => -29],
            ['from' => 'tone', 'to' => 'near', 'db' => -1],
            ['from' => 'far', 'to' => 'e4', 'on' => false, 'can' => ['on']],
            ['from' => 'near', 'to' => 'e4', 'on' => false, 'can' => ['on']],
        );
        $draft = Draft::rig()->unit('u', ['points' => $points, 'routes' => $routes])->source('s', 'u/tone');
        foreach (['e1', 'e2', 'e3', 'e4'] as $ear) {
            $draft = $draft->listener($ear, "u/{$ear}")->wish('s', $ear, 'must');
        }
        $causes = (new Diagnosis(new Hearings($draft->make())))->causes();
        expect($causes[0]->cures[0]->sentence)->toBe('Switch on near → e4 of U');
    });

    it('cuts both legs of a stereo pair or neither', function () {
        // Left and right by two leads, as they should; and twice more, late, by two other switches.
        $draft = Draft::rig()->unit('u', ['points' => [['id' => 'tone', 'kind' => 'origin', 'channels' => 2], ['id' => 'l1', 'kind' => 'bus', 'channels' => 1, 'mute' => false],
            ['id' => 'r1', 'kind' => 'bus', 'channels' => 1, 'mute' => false], ['id' => 'p', 'kind' => 'bus', 'channels' => 2, 'mute' => false], ['id' => 'q', 'kind' => 'bus', 'channels' => 2, 'mute' => false],
            ['id' => 'ear', 'kind' => 'ear', 'channels' => 2]],
            'routes' => [['from' => 'tone', 'to' => 'l1', 'map' => 'left'], ['from' => 'tone', 'to' => 'r1', 'map' => 'right'], ['from' => 'l1', 'to' => 'ear', 'map' => 'to-left'],
                ['from' => 'r1', 'to' => 'ear', 'map' => 'to-right'], ['from' => 'tone', 'to' => 'p', 'delay_ms' => 12], ['from' => 'p', 'to' => 'ear', 'db' => -3],
                ['from' => 'tone', 'to' => 'q', 'delay_ms' => 19], ['from' => 'q', 'to' => 'ear', 'db' => -3]]])
            ->source('s', 'u/tone')->listener('l', 'u/ear')->wish('s', 'l', 'must');
        $trouble = troubleOf($draft);
        expect($trouble->pair->verdict)->toBe(Verdict::Doubled);
        $sets = array_map(
            fn (Candidate $one) => implode(' ', array_map(fn ($edit) => $edit->at->point, $one->edits)),
            [...(new CutSets($trouble, $trouble->hearing))->candidates()],
        );
        // With a leg that stays the other stays: p and q go. With p or q that stays both legs go with the other.
        expect(array_values(array_unique($sets)))->toContain('p q')->toHaveCount(count(array_filter(
            array_unique($sets),
            fn (string $set) => str_contains($set, 'l1') === str_contains($set, 'r1'),
        )));
    });
});

describe('checks', function () {
    it('warns of phantom power on an output that does not expect it, not on a booster that lives by it', function (string $family, array $found) {
        $draft = Draft::rig()->unit('a', ['family' => $family, 'sockets' => [socketOf('out', 'xlr-m', 'out', 'professional-line', true)],
            'points' => [['id' => 'out', 'kind' => 'origin', 'channels' => 1]]])->unit('desk', 'eight-input-desk')->cable('xlr', 'a/out', 'desk/mic-1')->value('desk', 'phantom-mic-1', true);
        expect(foundBy($draft, 'plug.phantom'))->toBe($found);
    })->with(['a mixer' => ['mixer', ['Desk puts phantom power on A · Out through W-1']], 'a booster' => ['booster', []]]);

    it('charges a tablet by a hub with power of its own, not by whatever has it', function (string $family, string $supply, bool $isCharged) {
        $hub = ['family' => $family, 'supply' => $supply, 'sockets' => [['id' => 'up', 'label' => 'Up', 'connector' => 'usb-c', 'link' => $family === 'hub' ? 'upstream' : 'device',
            'lanes' => []]], 'points' => []];
        $draft = Draft::rig()->place('tab', 'tablet')->unit('tab', 'tablet', 'tab')->unit('box', $hub)->cable('usb', 'box/up', 'tab/usb-c-1');
        expect(foundBy($draft, 'plug.power'))->toBe($isCharged ? [] : ['Tab is not charged while Box is in its socket']);
    })->with(['a mains hub' => ['hub', 'mains-earthed', true], 'a hub on the bus' => ['hub', 'bus', false], 'an interface on the mains' => ['interface', 'mains-earthed', false]]);

    it('proposes three routes at most to make a track pure', function (int $others, int $edits) {
        $points = [['id' => 'wanted', 'kind' => 'origin', 'channels' => 1], ['id' => 'track', 'kind' => 'ear', 'channels' => 1]];
        $routes = [['from' => 'wanted', 'to' => 'track', 'can' => ['on']]];
        foreach (range(1, $others) as $i) {
            $points[] = ['id' => "o{$i}", 'kind' => 'origin', 'channels' => 1];
            $routes[] = ['from' => "o{$i}", 'to' => 'track', 'can' => ['on']];
        }
        $draft = Draft::rig()->unit('rec', ['family' => 'interface', 'points' => $points, 'routes' => $routes])->source('wanted', 'rec/wanted')->track('tape', 'rec/track');
        foreach (range(1, $others) as $i) {
            $draft = $draft->source("o{$i}", "rec/o{$i}");
        }
        $draft = $draft->with(fn (array $d) => ['wishes' => [['source' => 'wanted', 'listener' => 'tape', 'want' => 'must', 'alone' => true]]] + $d);
        $finding = findingsOf($draft, 'track.purity')[0];
        expect(count($finding->proposals[0]->edits ?? []))->toBe($edits);
    })->with(['one' => [1, 1], 'as many as are proposed' => [3, 3], 'one more' => [4, 0]]);

    it('offers no more delay than can be set', function (float $most, bool $canSet) {
        $draft = Draft::rig()->unit('cast', ['family' => 'broadcast', 'points' => [['id' => 'in', 'kind' => 'in', 'channels' => 2, 'picks' => 'recording', 'delay_to_ms' => $most, 'in_scenes' => true],
            ['id' => 'stream', 'kind' => 'ear', 'channels' => 2]], 'routes' => [['from' => 'in', 'to' => 'stream']]], 'pc')
            ->place('pc')->unit('pc', 'laptop', 'pc')->unit('mic', 'usb-microphone')->cable('usb', 'mic/usb', 'pc/usb-1')->pick('cast/in', ['device' => 'mic/usb/rec'])
            ->source('voice', 'mic/capsule')->add('listeners', ['id' => 'air', 'name' => 'Air', 'kind' => 'stream', 'at' => ['cast/stream']])->wish('voice', 'air', 'must');
        $late = $draft->pair('voice', 'air')->delay()?->value() ?? 0.0;
        $draft = $draft->with(fn (array $d) => ['units' => array_map(
            fn (array $one) => $one['id'] === 'cast' ? $one + ['pictures' => [['id' => 'cam', 'name' => 'Camera', 'delay_ms' => $late + 100]]] : $one,
            $d['units'],
        )] + $d);
        $finding = findingsOf($draft, 'time.sync')[0];
        expect($finding->proposals !== [])->toBe($canSet)->and(str_contains($finding->why, 'be set there'))->toBe(! $canSet);
    })->with(['just enough' => [100, true], 'too little' => [99.9, false]]);
});

describe('levels and times', function () {
    it('loads a source by what else a splitter feeds, the lightest load left out of it', function () {
        // 200 ohm into 1,000 and 10,000: 909.09 / 1,109.09 = -1.727 dB; into the lighter alone 10,000 / 10,200 = -0.172 dB; -1.555 dB more.
        $in = fn (float $ohm): array => ['family' => 'interface', 'points' => [['id' => 'in', 'kind' => 'ear', 'channels' => 1]],
            'sockets' => [['impedance_ohm' => $ohm] + socketOf('in', 'xlr-f', 'in', 'professional-line', true)]];
        $draft = Draft::rig()->unit('a', ['points' => [['id' => 'out', 'kind' => 'origin', 'channels' => 1]], 'sockets' => [['impedance_ohm' => 200] + socketOf('out', 'xlr-m', 'out', 'professional-line', true)]])
            ->unit('split', ['family' => 'splitter', 'points' => [['id' => 'thru', 'kind' => 'bus', 'channels' => 1]], 'sockets' => [socketOf('in', 'xlr-f', 'in', 'professional-line', true, 'thru'),
                socketOf('one', 'xlr-m', 'out', 'professional-line', true, 'thru'), socketOf('two', 'xlr-m', 'out', 'professional-line', true, 'thru')]])
            ->unit('b', $in(1000))->unit('c', $in(10000))->cable('xlr', 'a/out', 'split/in')->cable('xlr', 'split/one', 'b/in')
            ->source('s', 'a/out')->listener('l', 'b/in')->wish('s', 'l', 'must');
        $end = fn (Draft $one): float => Chain::of($one->hear()->graph(), $one->pair('s', 'l'))->end ?? NAN;
        $alone = $end($draft);
        expect(round($end($draft->cable('xlr', 'split/two', 'c/in')) - $alone, 3))->toBe(-1.555);
    });

    it('thinks a booster into the first lead only', function () {
        $draft = Draft::rig()->tone('a', 1, 'trs-6.35', true)->unit('b', ['points' => [['id' => 'thru', 'kind' => 'bus', 'channels' => 1]],
            'sockets' => [socketOf('in', 'trs-6.35', 'in', 'professional-line', true, 'thru'), socketOf('out', 'trs-6.35', 'out', 'professional-line', true, 'thru')]])
            ->ear('c', 1, 'trs-6.35', true)->cable('trs', 'a/out', 'b/in')->cable('trs', 'b/out', 'c/in');
        $levels = fn (float $boost): array => array_map(
            fn ($stage) => $stage->level,
            Chain::of($draft->hear()->graph(), $draft->pair('a', 'c'), $boost)->stages ?? [],
        );
        // Where it begins as before; from the first lead on 20 dB more, and no further 20 behind the second.
        $more = array_map(fn (float $with, float $without) => round($with - $without, 6), $levels(20.0), $levels(0.0));
        expect($more)->toBe([0.0, 20.0, 20.0]);
    });

    it('begins a voice at its capsule, with what it makes of the room and of itself', function () {
        $mic = fn (array $capsule): Draft => Draft::rig()->unit('mic', ['family' => 'microphone', 'points' => [['id' => 'capsule', 'kind' => 'origin', 'channels' => 1, 'capsule' => $capsule]],
            'sockets' => [socketOf('out', 'xlr-m', 'out', 'microphone', true, 'capsule')]])->ear('b', 1, 'xlr-f', true)->cable('xlr', 'mic/out', 'b/in')
            ->source('voice', 'mic/capsule')->with(fn (array $d) => $d + ['measures' => [
                ['about' => 'places/desk', 'kind' => 'noise', 'value' => 34], ['about' => 'sources/voice', 'kind' => 'speech', 'value' => 60],
                ['about' => 'units/mic/points/capsule', 'kind' => 'distance', 'value' => 0.1]]]);
        $first = function (array $capsule) use ($mic): array {
            $hearing = $mic($capsule)->hear();
            $pairs = array_filter(iterator_to_array($hearing->all(), false), fn ($pair) => $pair->isHeard());
            $stage = Chain::of($hearing->graph(), array_values($pairs)[0])->stages[0];

            return [$stage->isAnalog, round($stage->level, 2), $stage->max === null ? null : round($stage->max, 2), round($stage->floor, 2)];
        };
        // 10 mV/Pa: 20 log10(0.01 / 0.775) = -37.786 dBu a pascal, so -131.786 dBu at 0 dB SPL. 60 dB at a metre are 80 at 10 cm: -51.79 dBu.
        // Noise: the room 34 - 131.786 = -97.786 (1.665e-10); its own -111.786 (0.066e-10); the resistor -129.6 (0.001e-10): 1.732e-10, -97.61.
        expect($first(['mv_per_pa' => 10, 'noise_db_spl' => 20, 'max_db_spl' => 120]))->toBe([true, -51.79, -11.79, -97.61])
            // Without noise of its own: 1.665e-10 and 0.001e-10 are 1.666e-10, -97.78. No maximum is known.
            ->and($first(['mv_per_pa' => 10]))->toBe([true, -51.79, null, -97.78]);
    });

    it('begins what has no capsule inside, at its nominal level, below full scale', function () {
        $draft = Draft::rig()->tone('a', 1, 'trs-6.35', true)->ear('b', 1, 'trs-6.35', true)->cable('trs', 'a/out', 'b/in');
        $stage = Chain::of($draft->hear()->graph(), $draft->pair('a', 'b'))->stages[0] ?? null;
        expect([$stage?->isAnalog, $stage?->level, $stage?->max, $stage?->floor])->toBe([false, -18.0, 0.0, -110.0]);
    });

    it('takes the loudest voice to weigh others against, whoever comes first', function () {
        $draft = Draft::rig()->unit('u', ['points' => [['id' => 'one', 'kind' => 'origin', 'channels' => 1], ['id' => 'two', 'kind' => 'origin', 'channels' => 1],
            ['id' => 'song', 'kind' => 'origin', 'channels' => 1], ['id' => 'ear', 'kind' => 'ear', 'channels' => 1]],
            'routes' => [['from' => 'one', 'to' => 'ear'], ['from' => 'two', 'to' => 'ear', 'db' => -9], ['from' => 'song', 'to' => 'ear', 'db' => -20]]])
            ->source('one', 'u/one')->source('two', 'u/two')->add('sources', ['id' => 'song', 'name' => 'Song', 'kind' => 'music', 'origins' => [['at' => 'u/song']]])->listener('l', 'u/ear');
        $hearing = $draft->hear();
        $rows = (new VoiceBalance($hearing, $hearing->rig->listeners['l']))->rows;
        expect(array_map(fn (array $row) => [$row['pair']->source->id, $row['under'], round($row['chain']->end, 2)], $rows))
            ->toBe([['one', null, -18.0], ['two', null, -27.0], ['song', 20.0, -38.0]]);
    });

    it('loads a source of which nobody knows the ohms by what its kind has', function () {
        // A microphone has 200 ohms: into 1,000 beside 10,000 it is -1.555 dB, as above; a line of 150 would be -1.186.
        $in = fn (float $ohm): array => ['family' => 'interface', 'points' => [['id' => 'in', 'kind' => 'ear', 'channels' => 1]],
            'sockets' => [['impedance_ohm' => $ohm] + socketOf('in', 'xlr-f', 'in', 'microphone', true)]];
        $draft = Draft::rig()->unit('a', ['points' => [['id' => 'out', 'kind' => 'origin', 'channels' => 1]], 'sockets' => [socketOf('out', 'xlr-m', 'out', 'microphone', true)]])
            ->unit('split', ['family' => 'splitter', 'points' => [['id' => 'thru', 'kind' => 'bus', 'channels' => 1]], 'sockets' => [socketOf('in', 'xlr-f', 'in', 'microphone', true, 'thru'),
                socketOf('one', 'xlr-m', 'out', 'microphone', true, 'thru'), socketOf('two', 'xlr-m', 'out', 'microphone', true, 'thru')]])
            ->unit('b', $in(1000))->unit('c', $in(10000))->cable('xlr', 'a/out', 'split/in')->cable('xlr', 'split/one', 'b/in')
            ->source('s', 'a/out')->listener('l', 'b/in')->wish('s', 'l', 'must');
        $end = fn (Draft $one): float => Chain::of($one->hear()->graph(), $one->pair('s', 'l'))->end ?? NAN;
        $alone = $end($draft);
        expect(round($end($draft->cable('xlr', 'split/two', 'c/in')) - $alone, 3))->toBe(-1.555);
    });

    it('leaves a lead a lead where something passive hands it on', function (string $family, bool $isLead) {
        $draft = Draft::rig()->tone('a', 1, 'trs-6.35', true)->unit('b', ['family' => $family, 'points' => [['id' => 'thru', 'kind' => 'bus', 'channels' => 1]],
            'sockets' => [socketOf('in', 'trs-6.35', 'in', 'professional-line', true, 'thru'), socketOf('out', 'trs-6.35', 'out', 'professional-line', true, 'thru')]])
            ->ear('c', 1, 'trs-6.35', true)->cable('trs', 'a/out', 'b/in')->cable('trs', 'b/out', 'c/in');
        // What distorts there is known of what is no passive one.
        expect(Chain::of($draft->hear()->graph(), $draft->pair('a', 'c'))->stages[1]->max === null)->toBe($isLead);
    })->with([['isolator', true], ['splitter', true], ['adapter', true], ['booster', true], ['mixer', false], ['interface', false]]);

    it('leaves out of a balance what must not be heard', function () {
        $draft = Draft::rig()->unit('u', ['points' => [['id' => 'one', 'kind' => 'origin', 'channels' => 1], ['id' => 'two', 'kind' => 'origin', 'channels' => 1], ['id' => 'ear', 'kind' => 'ear', 'channels' => 1]],
            'routes' => [['from' => 'one', 'to' => 'ear'], ['from' => 'two', 'to' => 'ear']]])->source('one', 'u/one')->source('two', 'u/two')->listener('l', 'u/ear')
            ->wish('one', 'l', 'must')->wish('two', 'l', 'must-not');
        $hearing = $draft->hear();
        $rows = (new VoiceBalance($hearing, $hearing->rig->listeners['l']))->rows;
        expect(array_map(fn (array $row) => $row['pair']->source->id, $rows))->toBe(['one']);
    });

    it('holds the latest sound of a slot against its picture', function () {
        $draft = Draft::rig()->place('pc')->unit('pc', 'laptop', 'pc')->unit('face', ['family' => 'interface', 'points' => [['id' => 'early', 'kind' => 'origin', 'channels' => 2],
            ['id' => 'late', 'kind' => 'origin', 'channels' => 2], ['id' => 'mix', 'kind' => 'bus', 'channels' => 2]],
            'routes' => [['from' => 'late', 'to' => 'mix', 'delay_ms' => 80], ['from' => 'early', 'to' => 'mix']],
            'sockets' => [['id' => 'usb', 'label' => 'USB', 'connector' => 'usb-b', 'link' => 'device', 'lanes' => [['id' => 'rec', 'way' => 'out', 'point' => 'mix', 'device' => ['direction' => 'recording', 'latency_ms' => 5]]]]]])
            ->unit('cast', ['family' => 'broadcast', 'points' => [['id' => 'in', 'kind' => 'in', 'channels' => 2, 'picks' => 'recording', 'in_scenes' => true], ['id' => 'stream', 'kind' => 'ear', 'channels' => 2]],
                'routes' => [['from' => 'in', 'to' => 'stream']]], 'pc')->cable('usb', 'face/usb', 'pc/usb-1')->pick('cast/in', ['device' => 'face/usb/rec'])
            ->source('early', 'face/early')->source('late', 'face/late')->listener('air', 'cast/stream')
            ->with(fn (array $d) => ['units' => array_map(fn (array $one) => $one['id'] === 'cast' ? $one + ['pictures' => [['id' => 'cam', 'name' => 'Camera', 'delay_ms' => 200]]] : $one, $d['units'])] + $d);
        $hearing = $draft->hear();
        $offsets = (new Offsets($hearing, $hearing->rig->units['cast']))->offsets;
        // 5 ms and 85 ms: the later one.
        expect($offsets)->toHaveCount(1)->and($offsets[0]->pair->source->id)->toBe('late')->and($offsets[0]->soundMs)->toBe(85.0);
    });
});

describe('edits', function () {
    it('switches the usual choice of a group off with another only where none is chosen', function (array $set, array $after) {
        $group = fn (string $to, bool $on): array => ['from' => 'in', 'to' => $to, 'on' => $on, 'can' => ['on'], 'group' => 'g'];
        $draft = Draft::rig()->unit('u', ['points' => [['id' => 'in', 'kind' => 'origin', 'channels' => 1], ...array_map(fn (string $id) => ['id' => $id, 'kind' => 'bus', 'channels' => 1], ['a', 'b', 'c'])],
            'routes' => [$group('a', true), $group('b', false), $group('c', false)]], 'desk', $set === [] ? [] : ['routes' => $set]);
        $rig = (new SetRoute(new RouteRef('u', 'in>c'), new RouteSettings(on: false)))->applyTo($draft->make());
        expect(array_map(fn (RouteSettings $one) => $one->on, $rig->units['u']->routes))->toBe($after);
    })->with([
        'nothing chosen: off is off' => [[], ['in>c' => false, 'in>a' => false]],
        'another chosen: it stays' => [['in>b' => ['on' => true]], ['in>b' => true, 'in>c' => false]],
    ]);

    it('lets go of what a system plays to a unit that goes', function () {
        $draft = Draft::rig()->place('pc')->unit('pc', 'laptop', 'pc')->unit('head', 'usb-headset')->unit('mic', 'usb-microphone')->cable('usb', 'head/usb', 'pc/usb-1')
            ->cable('usb', 'mic/usb', 'pc/usb-2')->device('pc', 'mic/usb/rec', ['plays_to' => 'head/usb/play', 'name' => 'Table']);
        $rig = (new RemoveUnit('head'))->applyTo($draft->make());
        expect($rig->devices)->toHaveCount(1)->and($rig->devices[0]->playsTo)->toBeNull()->and($rig->devices[0]->name)->toBe('Table');
    });

    it('never gives a label again that a cable had, whatever it is called now', function () {
        $rig = Draft::rig()->tone('a')->ear('b')->tone('c')->ear('d')->cable('trs', 'a/out', 'b/in')
            ->with(fn (array $d) => ['cables' => [['id' => 'w-07', 'label' => 'Mic lead'] + $d['cables'][0]]] + $d)->make();
        expect(Plug::nextLabel($rig))->toBe('W-08')
            ->and(array_column((new Plug(new SocketRef('c', 'out'), new SocketRef('d', 'in')))->applyTo($rig)->cables, 'label'))->toBe(['Mic lead', 'W-08']);
    });
});

describe('documents', function () {
    it('refuses what is a little beyond', function (callable $spoil, string $message) {
        $draft = Draft::rig()->tone('a')->ear('b')->cable('trs', 'a/out', 'b/in')->with($spoil);
        expect(fn () => $draft->make())->toThrow(InvalidDocument::class, $message);
    })->with([
        'a time of four decimals' => [fn (array $d) => ['sources' => [['origins' => [['at' => 'a/tone', 'delay_ms' => 1.2345]]] + $d['sources'][0]]] + $d, 'three decimals at most'],
        'a length of four decimals' => [fn (array $d) => ['cables' => [['length_m' => 1.2345] + $d['cables'][0]]] + $d, 'three decimals at most'],
        'decibels past the bound' => [fn (array $d) => ['sources' => [['origins' => [['at' => 'a/tone', 'db' => 200.01]]] + $d['sources'][0]]] + $d, 'from -200 to 200'],
        'decibels of three decimals' => [fn (array $d) => ['sources' => [['origins' => [['at' => 'a/tone', 'db' => 1.005]]] + $d['sources'][0]]] + $d, 'two decimals at most'],
        'version 0' => [fn (array $d) => ['version' => 0] + $d, 'from 1 to 3'],
        'version 4' => [fn (array $d) => ['version' => 4] + $d, 'from 1 to 3'],
    ]);

    it('takes what is just within', function (callable $change) {
        $rig = Draft::rig()->tone('a')->ear('b')->cable('trs', 'a/out', 'b/in')->with($change)->make();
        expect((new DocumentReader)->read((new DocumentWriter)->write($rig)))->toEqual($rig);
    })->with([
        'three decimals' => [fn (array $d) => ['sources' => [['origins' => [['at' => 'a/tone', 'delay_ms' => 1.234]]] + $d['sources'][0]]] + $d],
        'decibels at the bound' => [fn (array $d) => ['sources' => [['origins' => [['at' => 'a/tone', 'db' => -200]]] + $d['sources'][0]]] + $d],
    ]);

    it('tells lanes and effects that changed', function () {
        $draft = fn (?array $lanes, array $effects): Draft => Draft::rig()->unit('a', ['points' => [['id' => 'tone', 'kind' => 'origin', 'channels' => 1, 'effects' => ['most' => 3]]],
            'sockets' => [['id' => 'out', 'label' => 'Out', 'connector' => 'trs-3.5', 'signal' => 'consumer-line', 'lanes' => [['id' => 'x', 'way' => 'out', 'point' => 'tone'], ['id' => 'y', 'way' => 'out', 'point' => 'tone']]]]])
            ->ear('b')->cable('trs', 'a/out', 'b/in')->with(function (array $d) use ($lanes, $effects) {
                $d['cables'][0] += $lanes === null ? [] : ['lanes' => $lanes];
                $d['units'][0] += $effects === [] ? [] : ['effects' => $effects];

                return $d;
            });
        $lines = fn (Draft $was, Draft $is): array => array_merge([], ...array_values((new RigDifference($was->make(), $is->make()))->lines()));
        $gate = ['id' => 'g', 'at' => 'tone', 'kind' => 'gate'];
        expect($lines($draft([['x', 'in']], []), $draft([['y', 'in']], [])))->toHaveCount(1)
            ->and($lines($draft(null, []), $draft([['y', 'in']], [])))->toHaveCount(1)
            ->and($lines($draft(null, [$gate]), $draft(null, [['on' => false] + $gate])))->toHaveCount(1)
            ->and($lines($draft(null, [$gate]), $draft(null, [$gate])))->toBe([]);
    });

    it('takes a cable that a table names from its other end for the same', function (string $length, string $outcome) {
        $rig = Draft::rig()->unit('mic', 'dynamic-microphone')->unit('desk', 'eight-input-desk')->cable('xlr', 'mic/out', 'desk/mic-1')->make();
        $table = CsvTable::read("Label,From unit,From socket,To unit,To socket,Type,Length\nW-1,Desk,Mic 1,Mic,Out,XLR,{$length}\n");
        $row = (new CablePlan($rig, $table, CableMapping::guess($table->columns)))->rows[0];
        expect($row->outcome)->toBe($outcome);
    })->with(['nothing new' => ['', 'same'], 'a centimetre' => ['0.01', 'changed'], 'less than that' => ['0.009', 'problem'], 'nothing at all' => ['0', 'changed']]);
});
