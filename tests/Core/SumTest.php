<?php

declare(strict_types=1);

use HiddenWire\Core\Signal\Effort;
use HiddenWire\Core\Signal\GraphBuilder;
use HiddenWire\Core\Signal\Hearing;
use HiddenWire\Core\Signal\LoopCut;
use HiddenWire\Core\Signal\Loss;
use HiddenWire\Core\Signal\Verdict;
use HiddenWire\Core\Signal\WayFinder;
use Tests\Support\Draft;
use Tests\Support\TransferFunctions;

/** Two microphones that each go to two loudspeakers, at a gain; each loudspeaker comes into both at -20 dB. */
function loudRoom(float $gain): Draft
{
    $routes = [['tone', 'm-1'], ['s-1', 'ear', -40]];
    foreach ([1, 2] as $m) {
        foreach ([1, 2] as $s) {
            array_push($routes, ["m-{$m}", "s-{$s}", $gain], ["s-{$s}", "m-{$m}", -20]);
        }
    }

    return Draft::inside(['m-1' => 1, 'm-2' => 1, 's-1' => 1, 's-2' => 1], $routes)
        ->with(fn (array $d) => ['wishes' => [['want' => 'may'] + $d['wishes'][0]]] + $d);
}

it('hears nothing of two copies that cancel, and names the two', function () {
    $pair = Draft::inside(['a' => 1, 'b' => 2], [['tone', 'a'], ['a', 'ear'], ...Draft::turned('tone', 'ear', 'b')])->pair('s', 'l');
    expect($pair->verdict)->toBe(Verdict::Missing)->and($pair->level())->toBeNull();
    expect(array_map(fn ($way) => array_map(fn ($hop) => $hop->label, array_slice($way->hops, 1)), $pair->cancelling() ?? []))
        ->toBe([['tone → a', 'a → ear'], ['tone → b', 'b → ear']]);
});

it('adds up many quiet copies', function (int $count, float $db, ?float $level, string $want, Verdict $verdict) {
    // Each by a way and a delay of its own: they add by their power, 10 log10 of their number.
    $points = $routes = [];
    foreach (range(1, $count) as $i) {
        $points["p-{$i}"] = 1;
        array_push($routes, ['tone', "p-{$i}", $db, 'straight', $i], ["p-{$i}", 'ear']);
    }
    $pair = Draft::inside($points, $routes)->with(fn (array $d) => ['wishes' => [['want' => $want] + $d['wishes'][0]]] + $d)
        ->pair('s', 'l');
    expect($pair->level()?->value())->toBe($level)->and($pair->verdict)->toBe($verdict);
})->with(['one is not heard' => [1, -70, null, 'must-not', Verdict::Ok],
    'seventy are a leak' => [70, -70, -51.55, 'must-not', Verdict::Leak]]);

it('is not kept from one loud way by many quiet ones before it', function () {
    $points = ['loud' => 1];
    $routes = [];
    foreach (range(1, 70) as $i) {
        $points["p-{$i}"] = 1;
        array_push($routes, ['tone', "p-{$i}", -70], ["p-{$i}", 'ear']);
    }
    array_push($routes, ['tone', 'loud'], ['loud', 'ear']);
    $pair = Draft::inside($points, $routes)->with(fn (array $d) => ['wishes' => [['want' => 'must-not'] + $d['wishes'][0]]] + $d)
        ->pair('s', 'l');
    expect($pair->verdict)->toBe(Verdict::Leak)->and($pair->arrivals()[0]->hops[1]->label)->toBe('tone → loud')->and($pair->arrivals())
        ->toHaveCount(1);
});

it('calls many small copies together a doubling', function (int $count, Verdict $verdict) {
    // -24 dB each: one is hidden, four are -18 dB together.
    $points = $routes = [];
    foreach (range(1, $count) as $i) {
        $points["p-{$i}"] = 1;
        array_push($routes, ['tone', "p-{$i}", -24, 'straight', 3 * $i], ["p-{$i}", 'ear']);
    }
    expect(Draft::inside($points, [['tone', 'ear'], ...$routes])->pair('s', 'l')->verdict)->toBe($verdict);
})->with([[1, Verdict::Ok], [2, Verdict::Ok], [4, Verdict::Doubled]]);

it('lets a turned copy cancel as far as its delay does', function (float $apart, ?float $db, Verdict $verdict, ?string $text) {
    $draft = Draft::inside(
        ['a' => 1, 'b' => 2],
        [['tone', 'a', 0, 'straight', $apart], ['a', 'ear'], ...Draft::turned('tone', 'ear', 'b')],
    );
    $pair = $draft->pair('s', 'l');
    expect($pair->level()?->value())->toEqualWithDelta($db, 0.02)->and($pair->verdict)->toBe($verdict)->and($pair->doubling?->text())->toBe($text);
    // The mean power of 2 sin(pi f t) over the octaves from 100 Hz to 8 kHz is 2 - 2 (Ci(2 pi 8000 t) - Ci(2 pi 100 t)) / ln 80.
})->with([
    'at one time' => [0.0, null, Verdict::Missing, null],
    // For small t: (2 pi t)² (8000² - 100²) / (2 ln 80) = (1.2566e-5)² x 7.302e6 = 1.153e-3
    '2 microseconds' => [0.002, -29.38, Verdict::Doubled, 'at the same time with opposite polarity: −60.0 dB'],
    // (3.7699e-5)² x 7.302e6 = 1.0378e-2, less 1/12 of the mean fourth power, 3.9e-5: -19.86 dB
    '6 microseconds' => [0.006, -19.86, Verdict::Thin, '0.006 ms apart with opposite polarity, thin: bass cancels below 27.8 kHz'],
    // Ci(2.5133) = 0.2818, Ci(0.031416) = -2.8836: 2 - 2 x 3.1654 / 4.3820 = 0.5553. 1 / (6 x 0.05 ms) = 3,333 Hz
    '0.05 ms' => [0.05, -2.55, Verdict::Thin, '0.05 ms apart with opposite polarity, thin: bass cancels below 3.3 kHz'],
    // Apart: they add by their power. The bass is gone below 1 / (6 x 0.2 ms), the first notch above is at 1 / 0.2 ms.
    '0.2 ms' => [0.2, 3.01, Verdict::Doubled, '0.2 ms apart: opposite polarity, bass cancels below 833 Hz, first notch above at 5.0 kHz'],
]);

it('takes arrivals of one sign within a tenth of a millisecond for one', function (float $apart, float $db) {
    $draft = Draft::inside(['a' => 1], [['tone', 'a', 0, 'straight', $apart], ['a', 'ear'], ['tone', 'ear']]);
    expect($draft->pair('s', 'l')->level()?->value())->toBe($db);
    // 20 log10(1 + 1) = 6.02; 10 log10(1 + 1) = 3.01
})->with([[0.05, 6.02], [0.2, 3.01]]);

it('judges what must not be heard where least of it cancels', function (float $apart, float $down, Verdict $verdict, ?float $db) {
    $pair = Draft::inside(
        ['a' => 1, 'b' => 2],
        [['tone', 'a', $down, 'straight', $apart], ['a', 'ear'], ...Draft::turned('tone', 'ear', 'b', $down)],
    )->with(fn (array $d) => ['wishes' => [['want' => 'must-not'] + $d['wishes'][0]]] + $d)->pair('s', 'l');
    expect($pair->verdict)->toBe($verdict)->and($pair->level()?->value())->toEqualWithDelta($db, 0.02);
})->with([
    // 2 sin(pi f t) is 2 at 1 / (2 x 0.09 ms) = 5,556 Hz: 6.02 dB
    'a leak' => [0.09, 0, Verdict::Leak, 6.02],
    // At 65 dB down each: 6.02 - 65 = -58.98 at that frequency, and a leak though its mean is -65 + 1.6
    'a faint one' => [0.09, -65, Verdict::Leak, -58.98],
    // At 8 kHz 2 sin(pi 8000 t) = 0.0503 with 1 microsecond: -25.97 dB; 40 dB down it is -66
    'none' => [0.001, -40, Verdict::Ok, null],
]);

it('does not call a sound doubled for copies far below it', function (float $db, Verdict $verdict) {
    // Stereo at 0 dB, and two mono sums so far below: left in the right ear at one time by two paths.
    $pair = Draft::inside(
        ['a' => 1, 'b' => 1],
        [['tone', 'ear'], ['tone', 'a', $db, 'average'], ['a', 'ear'], ['tone', 'b', $db, 'average'], ['b', 'ear']],
        2,
        2,
    )->pair('s', 'l');
    expect($pair->verdict)->toBe($verdict);
    // Half of each side: 6.02 dB less than the route's figure.
})->with([[-52, Verdict::Ok], [-24, Verdict::Ok], [-23.9, Verdict::Doubled], [-10, Verdict::Doubled]]);

it(
    'takes left and right by two leads for one arrival, unless they come at different times',
    function (float $late, Verdict $verdict, ?string $text) {
        $pair = Draft::inside(
            ['a' => 1, 'b' => 1],
            [['tone', 'a', 0, 'left'], ['tone', 'b', 0, 'right', $late], ['a', 'ear', 0, 'to-left'], ['b', 'ear', 0, 'to-right']],
            2,
            2,
        )
            ->pair('s', 'l');
        expect($pair->verdict)->toBe($verdict)->and($pair->doubling?->text())->toBe($text)->and($pair->channels())->toBe('both');
    },
)->with([[0, Verdict::Ok, null], [0.05, Verdict::Ok, null], [12, Verdict::Doubled,
    'left and right 12.0 ms apart: the stereo image shifts to one side'],
    [40, Verdict::Doubled, 'left and right 40.0 ms apart: an audible echo']]);

it('says what of a stereo sound is lost though both ears hear something', function (array $route, ?Loss $loss) {
    $pair = Draft::inside(['m' => 1, 'p' => 2], $route, 2, 2)->pair('s', 'l');
    expect($pair->loss)->toBe($loss)->and($pair->verdict)->toBe($loss === null ? Verdict::Ok : Verdict::OneSided);
})->with([
    'both sides' => [[['tone', 'ear']], null],
    'both sides in one' => [[['tone', 'm', 0, 'average'], ['m', 'ear']], null],
    'by a lead of one conductor' => [[['tone', 'm', 0, 'left'], ['m', 'ear']], Loss::RightPart],
    'the other lead of the pair is out' => [[['tone', 'm', 0, 'right'], ['m', 'ear']], Loss::LeftPart],
    'a stereo plug in a balanced input' => [[['tone', 'p', 0, 'difference'], ['p', 'ear']], Loss::Middle],
    'one ear only' => [[['tone', 'ear', 0, 'to-left']], Loss::RightEar],
]);

it('does not take echoes of different parts together', function () {
    // Left has an echo of -24 dB, right one of -24 dB at another time: neither is heard beside the direct sound.
    $draft = Draft::inside(
        ['a' => 2, 'b' => 2],
        [['tone', 'ear'], ['tone', 'a', -24, [[1, 1]], 9], ['tone', 'b', -24, [[2, 2]], 9], ['a', 'ear'], ['b', 'ear']],
        2,
        2,
    );
    expect($draft->pair('s', 'l')->verdict)->toBe(Verdict::Ok);
});

it('never lets two devices with clocks of their own add at the same time', function () {
    $draft = Draft::rig()->unit('mic-1', 'usb-microphone-plain')->unit('mic-2', 'usb-microphone-plain')->place('room')
        ->unit('pc', 'laptop', 'room')->unit('cast', 'broadcast-program', 'room')
        ->cable('usb', 'mic-1/usb', 'pc/usb-1')->cable('usb', 'mic-2/usb', 'pc/usb-2')
        ->pick('cast/source-1', ['device' => 'mic-1/usb/rec'])->pick('cast/source-2', ['device' => 'mic-2/usb/rec'])
        ->source('voice', 'mic-1/capsule', 'mic-2/capsule')->listener('viewers', 'cast/stream')->wish('voice', 'viewers', 'must');
    expect($draft->pair('voice', 'viewers')->doubling?->kind()->value)->toBe('drifts');
    // Picked twice from one device they add.
    expect($draft->pick('cast/source-2', ['device' => 'mic-1/usb/rec'])->pair('voice', 'viewers')->doubling?->kind()->value)->toBe('adds');
});

it('pays a playback device\'s delay once where loopback of it is taken', function () {
    // The player pays the usual 10 ms of the device; what takes loopback of it pays nothing more.
    $draft = Draft::rig()->place('room')->unit('pc', 'laptop', 'room')->unit('ears', 'usb-headset')->unit('music', 'music-player', 'room')
        ->unit('cast', 'broadcast-program', 'room')
        ->cable('usb', 'ears/usb', 'pc/usb-1')->pick('music/sound', ['device' => 'ears/usb/play'])
        ->pick('cast/source-1', ['device' => 'ears/usb/play', 'tap' => 'playback'])
        ->source('music', 'music/sound')->listener('head', 'ears/ear')->listener('viewers', 'cast/stream');
    expect($draft->pair('music', 'viewers')->delay()?->value())->toBe($draft->pair('music', 'head')->delay()?->value());
});

it('judges a loop by the gain matrix of the whole part', function (array $points, array $routes, ?string $gain, bool $howls) {
    $hearing = Draft::inside($points, $routes, 2, 2)->hear();
    expect(array_map(fn ($loop) => $loop->gain->text(), $hearing->loops()))->toBe($gain === null ? [] : [$gain]);
    expect(($hearing->loops()[0] ?? null)?->howls() ?? false)->toBe($howls)
        ->and(in_array($hearing->pair('s', 'l')->verdict, [Verdict::Loop], true))
        ->toBe($howls || ($gain !== null && (float) str_replace('−', '-', $gain) >= -6));
})->with([
    'stereo at +5 dB' => [['a' => 2, 'b' => 2], [['tone', 'a'], ['a', 'b', 5], ['b', 'a'], ['b', 'ear']], '5.0', true],
    'stereo at +5 dB with a mono switch in it' => [['a' => 2, 'b' => 2],
        [['tone', 'a'], ['a', 'b', 5, 'average'], ['b', 'a'], ['b', 'ear']], '5.0', true],
    'two returns of -4 dB in phase' => [['a' => 1, 'b' => 1, 'c' => 1],
        [['tone', 'a'], ['a', 'b', -4], ['a', 'c', -4], ['b', 'a'], ['c', 'a'], ['a', 'ear']], '2.0', true],
    'all four channel pairs of a stereo return at -5 dB' => [['a' => 2, 'b' => 2],
        [['tone', 'a'], ['a', 'b', -5, [[1, 1], [1, 2], [2, 1], [2, 2]]], ['b', 'a'], ['a', 'ear']], '1.0', true],
    'mono to stereo to mono at 0 dB' => [['a' => 1, 'b' => 2], [['tone', 'a'], ['a', 'b'], ['b', 'a'], ['a', 'ear']], '0.0', true],
    'left minus right fed back straight to both' => [['a' => 2, 'b' => 2],
        [['tone', 'a'], ['a', 'b', 0, 'difference'], ['b', 'a'], ['b', 'ear']], null, false],
    'the same with a delay on one of the two' => [['a' => 2, 'b' => 1, 'c' => 2],
        [['tone', 'a'], ['a', 'b', 0, 'left', 7], ['a', 'c', 0, 'split-polarity'], ['b', 'a'], ['c', 'a', 0, [[2, 1], [2, 2]]],
            ['a', 'ear']], '6.0', true],
    'turned polarity with a delay' => [['a' => 1, 'b' => 2, 'c' => 1],
        [['tone', 'a'], ['a', 'b', 0, 'split-polarity', 11], ['b', 'c', 0, 'right'], ['c', 'a'], ['a', 'ear']], '0.0', true],
    'two returns that cancel' => [['a' => 1, 'b' => 2, 'c' => 1, 'd' => 1],
        [['tone', 'a'], ['a', 'b', -3, 'split-polarity'], ['b', 'c', 0, 'right'], ['a', 'd', -3], ['c', 'a'], ['d', 'a'],
            ['a', 'ear']], null, false],
    'two returns that would cancel, but for their delays' => [['a' => 1, 'b' => 2, 'c' => 1, 'd' => 1],
        [['tone', 'a'], ['a', 'b', -3, 'split-polarity'], ['b', 'c', 0, 'right'], ['a', 'd', -3, 'straight', 4], ['c', 'a'], ['d', 'a'],
            ['a', 'ear']], '3.0', true],
    'quiet' => [['a' => 1, 'b' => 1], [['tone', 'a'], ['a', 'b', -12], ['b', 'a'], ['a', 'ear']], '−12.0', false],
]);

it('counts one round of two microphones before two loudspeakers', function (float $gain, string $round, bool $rings) {
    // Each microphone goes to both loudspeakers, each loudspeaker into both microphones, all at one time. Cut at the two microphones, a round
    // is a matrix of four like entries of two ways each: 4 x the gain of one way. -9 - 20 dB and 12.04 are -16.96.
    $hearing = loudRoom($gain)->hear();
    expect($hearing->loops())->toHaveCount(1)->and($hearing->loops()[0]->gain->text())->toBe($round)
        ->and(array_map(strval(...), $hearing->loops()[0]->cut))->toBe(['u/m-1', 'u/m-2'])
        ->and($hearing->loops()[0]->isAudible())->toBe($rings)->and($hearing->pair('s', 'l')->verdict === Verdict::Loop)->toBe($rings);
})->with([[-9.0, '−17.0', false], [1.9, '−6.1', false], [2.1, '−5.9', true], [7.97, '0.0', true]]);

it('howls with as much more at the points of the cut as it says', function (int $seed) {
    mt_srand($seed);
    for ($rig = 0; $rig < 40; $rig++) {
        $count = mt_rand(2, 5);
        $points = array_map(fn (int $i) => ['id' => "p{$i}", 'kind' => 'strip', 'channels' => mt_rand(1, 2), 'gain' => ['from' => -90, 'to' => 90]], range(1, $count));
        $routes = [];
        for ($i = 1; $i <= $count; $i++) {
            for ($j = 1; $j <= $count; $j++) {
                $i !== $j && mt_rand(0, 2) === 0 && $routes[] = ['from' => "p{$i}", 'to' => "p{$j}", 'db' => -mt_rand(0, 30), 'delay_ms' => mt_rand(1, 9)];
            }
        }
        $of = fn (array $set): Hearing => Draft::rig()->unit(
            'u',
            ['points' => [['id' => 'tone', 'kind' => 'origin', 'channels' => 1], ...$points,
                ['id' => 'ear', 'kind' => 'ear', 'channels' => 1]], 'routes' => [['from' => 'tone', 'to' => 'p1'], ...$routes, ['from' => 'p1', 'to' => 'ear']]],
            'desk',
            ['points' => $set],
        )->source('s', 'u/tone')->listener('l', 'u/ear')->hear();
        $loops = $of([])->loops();
        foreach ($loops as $loop) {
            foreach ([[0.1, true], [-0.1, false]] as [$more, $howls]) {
                $set = [];
                foreach ($loop->cut as $at) {
                    $set[$at->point] = ['gain' => round(-$loop->gain->value() + $more, 2)];
                }
                $then = array_values(array_filter($of($set)->loops(), fn ($one) => $one->elements === $loop->elements))[0];
                expect($then->isBound || $then->howls() === $howls)->toBeTrue("seed {$seed}, rig {$rig}, {$loop->gain->text()} and {$more}: {$then->gain->text()}");
            }
        }
    }
})->with([1, 2, 3]);

it('cuts a loop at the fewest channels, where a hand can turn it, then at the first', function (array $feeds, array $turnable, array $cut) {
    $of = array_map(fn (array $to) => array_fill_keys($to, 1.0), $feeds);
    expect(LoopCut::of($of, array_fill_keys($turnable, true)))->toBe($cut);
})->with([
    'a ring' => [[1 => [2], 2 => [3], 3 => [1]], [], [1]],
    'a ring with a fader' => [[1 => [2], 2 => [3], 3 => [1]], [3], [3]],
    'two rings with one channel in common' => [[1 => [2], 2 => [1, 3], 3 => [2]], [1, 3], [2]],
    'two apart by a way' => [[1 => [2], 2 => [1, 3], 3 => [4], 4 => [3]], [4], [1, 4]],
    'one that feeds itself' => [[1 => [1, 2], 2 => [1]], [2], [1]],
    'all feed all, four channels' => [[1 => [2, 3, 4], 2 => [1, 3, 4], 3 => [1, 2, 4], 4 => [1, 2, 3]], [4], [1, 2, 4]],
    'two before two' => [[1 => [3, 4], 2 => [3, 4], 3 => [1, 2], 4 => [1, 2]], [3, 4], [3, 4]],
]);

it('cuts a loop at no more channels than there are ways to, tried one by one', function () {
    mt_srand(7);
    for ($round = 0; $round < 150; $round++) {
        $count = mt_rand(3, 7);
        $feeds = [];
        for ($i = 0; $i < $count; $i++) {
            for ($j = 0; $j < $count; $j++) {
                mt_rand(0, 9) < 3 && $feeds[$i][$j] = 1.0;
            }
        }
        // Every set of channels: what is left has no circle if channels can be taken away one by one that nothing is fed by.
        $least = $count;
        for ($set = 0; $set < 1 << $count; $set++) {
            $left = array_filter(range(0, $count - 1), fn (int $i) => ($set >> $i & 1) === 0);
            do {
                $before = count($left);
                $left = array_filter($left, fn (int $i) => array_intersect(array_keys($feeds[$i] ?? []), $left) !== []);
            } while (count($left) < $before);
            $least = $left === [] ? min($least, substr_count(decbin($set), '1')) : $least;
        }
        expect(LoopCut::of($feeds, []))->toHaveCount($least);
    }
});

it('finds the loud pair among eight dense buses', function () {
    $points = $routes = [];
    foreach (range(1, 8) as $i) {
        $points["b-{$i}"] = 1;
        foreach (range(1, 8) as $j) {
            $i !== $j && $routes[] = ["b-{$i}", "b-{$j}", min($i, $j) === 3 && max($i, $j) === 7 ? 6 : -26];
        }
    }
    // Two buses feed each other at twice the level, six more at a twentieth: 2 + 12 × 0.05² / (2 − 5 × 0.05) = 2.017, +6.1 dB.
    $hearing = Draft::inside($points, [['tone', 'b-1'], ...$routes, ['b-8', 'ear']])->hear();
    expect($hearing->loops())->toHaveCount(1)->and($hearing->loops()[0]->gain->text())->toBe('6.1')->and($hearing->loops()[0]->howls())
        ->toBeTrue()->and($hearing->loops()[0]->elements)->toHaveCount(56);
});

it('never calls a loop quiet that may howl: what a search finds is a lower bound', function () {
    // Eight buses that all feed each other at 0.15, with the signs of a Hadamard matrix: together they come to sqrt(8) x 0.15 = 0.424, which is
    // quiet; without regard to signs to 8 x 0.15 = 1.2, +1.6 dB. A faint delayed way leaves phases open, so that nobody knows.
    $rig = function (bool $isOpen): array {
        $points = ['d' => 1];
        $routes = [];
        foreach (range(0, 7) as $i) {
            $points["b-{$i}"] = 1;
            foreach (range(0, 7) as $j) {
                if (substr_count(decbin($i & $j), '1') % 2 === 1) {
                    $points["n-{$i}-{$j}"] = 2;
                    array_push($routes, ...Draft::turned("b-{$i}", "b-{$j}", "n-{$i}-{$j}", -16.48));
                } elseif ($i === $j) {
                    $points["n-{$i}-{$j}"] = 1;
                    array_push($routes, ["b-{$i}", "n-{$i}-{$j}", -16.48], ["n-{$i}-{$j}", "b-{$j}"]);
                } else {
                    $routes[] = ["b-{$i}", "b-{$j}", -16.48];
                }
            }
        }
        $open = $isOpen ? [['b-0', 'd', -90, 'straight', 3], ['d', 'b-1']] : [];

        return [$points, [['tone', 'b-0'], ...$routes, ...$open, ['b-7', 'ear']]];
    };
    $known = Draft::inside(...$rig(false))->hear();
    expect($known->loops()[0]->gain->text())->toBe('−7.4')->and($known->loops()[0]->isBound)->toBeFalse()
        ->and($known->pair('s', 'l')->verdict)->not->toBe(Verdict::Loop);
    $open = Draft::inside(...$rig(true))->hear();
    expect($open->loops())->toHaveCount(1)->and($open->loops()[0]->isBound)->toBeTrue()->and($open->loops()[0]->gain->text())->toBe('1.6')
        ->and($open->pair('s', 'l')->verdict)->toBe(Verdict::Loop);
});

it('walks a way that passes a point twice by different channels', function () {
    // Right into a delay, back in on the left.
    $pair = Draft::inside(
        ['p' => 2, 'd' => 1],
        [['tone', 'p', 0, 'to-right'], ['p', 'd', 0, 'right', 30], ['d', 'p', 0, 'to-left'], ['p', 'ear']],
        1,
        2,
    )->pair('s', 'l');
    expect($pair->arrivals())->toHaveCount(2)->and($pair->channels())->toBe('both')->and($pair->verdict)->toBe(Verdict::Doubled);
    expect(Draft::inside(
        ['p' => 2, 'd' => 1],
        [['tone', 'p', 0, 'to-right'], ['p', 'd', 0, 'right', 30], ['d', 'p', 0, 'to-left'], ['p', 'ear']],
        1,
        2,
    )->hear()->loops())
        ->toBe([]);
});

it('lets an origin and the air have delays', function () {
    $draft = Draft::rig()->unit('mic', 'dynamic-microphone')->unit('m', 'eight-input-desk')->unit('h', 'closed-headphones')
        ->cable('xlr', 'mic/out', 'm/mic-1')->cable('trs', 'm/phones', 'h/plug')
        ->listener('ears', 'h/ear')
        ->with(fn (array $d) => ['sources' => [['id' => 'voice', 'name' => 'Voice', 'kind' => 'voice',
            'origins' => [['at' => 'mic/capsule', 'delay_ms' => 4.5]]]]] + $d)->set('m', 'points', 'ch-1', ['gain' => 50]);
    expect($draft->pair('voice', 'ears')->delay()?->value())->toBe(4.5);
});

it('hears through a chain of ten thousand units', function () {
    $draft = Draft::rig()->tone('a')->ear('b');
    $draft->unit('u-0', ['points' => [['id' => 'p', 'kind' => 'bus', 'channels' => 2]],
        'sockets' => [['id' => 'in', 'label' => 'In', 'connector' => 'trs-3.5',
            'lanes' => [['id' => 'l', 'way' => 'in', 'point' => 'p']]],
            ['id' => 'out', 'label' => 'Out', 'connector' => 'trs-3.5', 'lanes' => [['id' => 'l', 'way' => 'out', 'point' => 'p']]]]]);
    $draft->with(function (array $d) {
        $unit = array_pop($d['units']);
        for ($i = 0; $i < 10_000; $i++) {
            $d['units'][] = ['id' => "u-{$i}", 'name' => "U {$i}"] + $unit;
            $d['cables'][] = ['id' => "w-{$i}", 'label' => "W-{$i}", 'type' => 'trs', 'from' => $i === 0 ? 'a/out' : 'u-'.($i - 1).'/out',
                'to' => "u-{$i}/in"];
        }
        $d['cables'][] = ['id' => 'w-end', 'label' => 'W-end', 'type' => 'trs', 'from' => 'u-9999/out', 'to' => 'b/in'];

        return $d;
    });
    $pair = $draft->wish('a', 'b', 'must')->pair('a', 'b');
    expect($pair->verdict)->toBe(Verdict::Ok)->and($pair->arrivals())->toHaveCount(1);
});

it('counts every combination of a million million ways where they arrive together', function () {
    // Forty stages of two halves each: the sum is exactly the sound itself.
    $points = $routes = [];
    $last = 'tone';
    foreach (range(1, 40) as $i) {
        foreach (['a', 'b', 'j'] as $p) {
            $points["{$p}-{$i}"] = 1;
        }
        array_push($routes, [$last, "a-{$i}", -6.02], [$last, "b-{$i}", -6.02], ["a-{$i}", "j-{$i}"], ["b-{$i}", "j-{$i}"]);
        $last = "j-{$i}";
    }
    $pair = Draft::inside($points, [...$routes, [$last, 'ear']])->pair('s', 'l');
    expect(round($pair->level()?->value() ?? -99, 1))->toBe(0.0)->and($pair->isCapped())->toBeTrue();
});

it('says so where too much would have to be left out, with a bound', function () {
    // The same forty stages, each with a delay of its own: 10^12 arrivals at different times.
    $points = $routes = [];
    $last = 'tone';
    foreach (range(0, 39) as $i) {
        foreach (['a', 'b', 'j'] as $p) {
            $points["{$p}-{$i}"] = 1;
        }
        array_push(
            $routes,
            [$last, "a-{$i}", -6],
            [$last, "b-{$i}", -6, 'straight', min(60000, 0.001 * 2 ** $i)],
            ["a-{$i}", "j-{$i}"],
            ["b-{$i}", "j-{$i}"],
        );
        $last = "j-{$i}";
    }
    $pair = Draft::inside($points, [...$routes, [$last, 'ear']])->pair('s', 'l');
    // Together they are at most as loud as if all came at once: 40 × 20 log10(2 × 10^(-6/20)) = 40 × 0.0206 dB.
    expect($pair->verdict)->toBe(Verdict::Uncounted)->and($pair->sum->restAtMost()?->value())->toBeLessThanOrEqual(0.83)
        ->toBeGreaterThan(-6.0);
});

it('ends within bounds whatever the document', function (callable $make) {
    gc_collect_cycles();
    memory_reset_peak_usage();
    $before = memory_get_usage();
    $rig = $make()->make();
    $hearing = new Hearing((new GraphBuilder($rig))->build($rig->situation() ?? throw new LogicException('No situation')));
    foreach ($hearing->all() as $pair) {
        $pair->arrivals();
    }
    expect($hearing->work())->toBeLessThan(Effort::MOST * 1.2)->and($hearing->steps())->toBeLessThan(WayFinder::ALL_STEPS + WayFinder::STEPS)
        ->and((memory_get_peak_usage() - $before) / 1048576)->toBeLessThan(512.0);
})->with([
    'a 40 by 40 matrix with everything on and fed back' => [function () {
        $points = $routes = [];
        foreach (range(1, 40) as $i) {
            array_push(
                $points,
                ['id' => "in-{$i}", 'kind' => 'origin', 'channels' => 1],
                ['id' => "out-{$i}", 'kind' => 'ear', 'channels' => 2],
            );
            foreach (range(1, 40) as $j) {
                array_push($routes, ['from' => "in-{$i}", 'to' => "out-{$j}"], ['from' => "out-{$j}", 'to' => "in-{$i}", 'db' => -30]);
            }
        }
        $draft = Draft::rig()->unit('m', ['points' => $points, 'routes' => $routes]);
        foreach (range(1, 40) as $i) {
            $draft->source("s-{$i}", "m/in-{$i}")->listener("l-{$i}", "m/out-{$i}")->wish("s-{$i}", "l-{$i}", 'must');
        }

        return $draft;
    }],
    'the same, quiet, with delays of its own on every route' => [function () {
        $points = $routes = [];
        foreach (range(1, 40) as $i) {
            array_push(
                $points,
                ['id' => "in-{$i}", 'kind' => 'origin', 'channels' => 1],
                ['id' => "out-{$i}", 'kind' => 'ear', 'channels' => 2],
            );
            foreach (range(1, 40) as $j) {
                array_push(
                    $routes,
                    ['from' => "in-{$i}", 'to' => "out-{$j}", 'delay_ms' => $i * 0.37 + $j],
                    ['from' => "out-{$j}", 'to' => "in-{$i}", 'db' => -72, 'delay_ms' => $i + $j * 0.31],
                );
            }
        }
        $draft = Draft::rig()->unit('m', ['points' => $points, 'routes' => $routes]);
        foreach (range(1, 40) as $i) {
            $draft->source("s-{$i}", "m/in-{$i}")->listener("l-{$i}", "m/out-{$i}");
        }

        return $draft;
    }],
    'maps of 32 by 32 channels' => [function () {
        $map = [];
        foreach (range(1, 32) as $a) {
            foreach (range(1, 32) as $b) {
                $map[] = [$a, $b];
            }
        }
        $points = [['id' => 'tone', 'kind' => 'origin', 'channels' => 32], ['id' => 'ear', 'kind' => 'ear', 'channels' => 32]];
        $routes = [['from' => 'tone', 'to' => 'b-1'], ['from' => 'b-24', 'to' => 'ear']];
        foreach (range(1, 24) as $i) {
            $points[] = ['id' => "b-{$i}", 'kind' => 'bus', 'channels' => 32];
            $i > 1 && $routes[] = ['from' => 'b-'.($i - 1), 'to' => "b-{$i}", 'db' => -30, 'map' => $map, 'delay_ms' => $i * 0.7];
        }

        return Draft::rig()->unit('u', ['points' => $points, 'routes' => $routes])->source('s', 'u/tone')->listener('l', 'u/ear')
            ->wish('s', 'l', 'must');
    }],
]);

it('agrees with a second method: transfer functions by linear algebra', function (int $seed) {
    mt_srand($seed);
    for ($rig = 0; $rig < 100; $rig++) {
        TransferFunctions::compare(TransferFunctions::randomRig(), fn (string $why) => "seed {$seed}, rig {$rig}: {$why}");
    }
})->with(range(1, 20));
