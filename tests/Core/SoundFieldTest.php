<?php

declare(strict_types=1);

use HiddenWire\Core\Book\CableContent;
use HiddenWire\Core\Document\DocumentReader;
use HiddenWire\Core\Equipment\Tap;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\Situation;
use HiddenWire\Core\Rig\Source;
use HiddenWire\Core\Rig\Wiring;
use HiddenWire\Core\Signal\Effort;
use HiddenWire\Core\Signal\GraphBuilder;
use HiddenWire\Core\Signal\Hearing;
use HiddenWire\Core\Signal\Readings;
use HiddenWire\Core\Signal\Recordings;
use HiddenWire\Core\Signal\SoundField;
use HiddenWire\Core\Signal\Verdict;
use Tests\Support\Draft;
use Tests\Support\PlainSums;
use Tests\Support\TransferFunctions;

/** Levels closer than this to a threshold may fall on either side of it by rounding, dB. */
const NEAR_DB = 0.2;

/** How far both methods may be apart: the second drops what is below -80 dB, of which there can be many. */
const APART_DB = 0.15;

/** The first reader that does not say what the second method says, and where; null where all agree. */
function firstDisagreement(Rig $rig, Situation $situation, PlainSums $plain): ?string
{
    $hearing = new Hearing((new GraphBuilder($rig))->build($situation));
    $readings = new Readings($hearing->graph());
    $recordings = new Recordings($hearing);
    $contents = new CableContent([$hearing], new Wiring($rig));
    $points = $here = $meters = [];
    foreach ($rig->sources as $source) {
        $powers = $plain->powers($source->id);
        $differs = fn (?float $is, float $should, float $least, bool $isCounted = true): bool => $isCounted
            && abs($should - $least) > NEAR_DB && ($should < $least ? $is !== null && $is >= $least : $is === null || abs($is - $should) > APART_DB);
        foreach ($rig->listeners as $listener) {
            $pair = $hearing->pair($source->id, $listener->id);
            $should = max([-INF, ...array_map(fn (PointRef $ear) => $plain->level($powers, (string) $ear), $listener->at)]);
            $isCounted = ! $pair->sum->isUncertain();
            if ($differs($pair->level()?->value(), $should, -60, $isCounted)) {
                return "{$source->id} at the ears of {$listener->id}: {$pair->level()?->value()}, not {$should}";
            }
            $track = $recordings->tracks[$listener->id]['sounds'] ?? null;
            if ($track !== null && $differs($track[$source->id] ?? null, $should, -60, $isCounted)) {
                return "{$source->id} on the track {$listener->id}";
            }
        }
        foreach ($rig->units as $unit) {
            foreach ($rig->modelOf($unit)->points as $point) {
                $at = "{$unit->id}/{$point->id}";
                $should = $plain->level($powers, $at);
                $points[$at] ??= [$hearing->field()->levelsAt($at), array_map(fn (Source $one) => $one->id, $hearing->field()->sourcesAt($at))];
                $isCounted = ! $hearing->field()->at($source, $at)->isUncertain();
                if ($differs($points[$at][0][$source->id] ?? null, $should, -60, $isCounted)) {
                    return "{$source->id} at {$at}: ".($points[$at][0][$source->id] ?? 'nothing').", not {$should}";
                }
                if ($isCounted && abs($should + 60) > NEAR_DB && in_array($source->id, $points[$at][1], true) !== ($should > -60)) {
                    return "{$source->id} listed at {$at}";
                }
                if ($isCounted && $should > -60 + NEAR_DB) {
                    $here[$at][] = $source->name;
                }
            }
            foreach ($rig->modelOf($unit)->meters as $meter) {
                $stage = [Tap::Input->value => 'in', Tap::PreFader->value => 'mid', Tap::PostFader->value => 'out'][$meter->tap->value];
                $should = $plain->level($powers, "{$unit->id}/{$meter->point}", $stage);
                $key = "{$unit->id} {$meter->id}";
                $meters[$key] ??= $readings->of($unit, $meter);
                $isCounted = ! $hearing->field()->at($source, "{$unit->id}/{$meter->point}")->isUncertain();
                // A meter shows less than the second method follows: they are held to each other where an ear would hear it.
                if ($isCounted && $should > -60 + NEAR_DB && abs(($meters[$key][$source->id] ?? -INF) - $should) > APART_DB) {
                    return "{$source->id} on the meter {$key}: ".($meters[$key][$source->id] ?? 'nothing').", not {$should}";
                }
            }
        }
    }
    foreach ($rig->cables as $cable) {
        foreach ((new Wiring($rig))->lanesOf($cable) as [$from, $lane]) {
            $point = "{$from->unit}/".$rig->lane($from->unit, $from->socket, $lane)->point;
            foreach (array_diff($here[$point] ?? [], []) as $name) {
                if (! str_contains($contents->of($cable), $name)) {
                    return "{$name} in cable {$cable->id}";
                }
            }
        }
    }

    return null;
}

it('gives every reader the level that a second method has, in every situation of every shipped rig', function (string $file) {
    $data = (array) json_decode(shipped($file), true);
    $rig = (new DocumentReader)->read(shipped($file));
    foreach ($rig->situations as $situation) {
        expect(firstDisagreement($rig, $situation, new PlainSums($data, $situation->id)))->toBeNull("{$file}, {$situation->id}");
    }
})->with(fn () => array_map(
    fn (mixed $file) => basename(dirname((string) $file)).'/'.basename((string) $file),
    [...(array) glob(dirname(__DIR__, 2).'/resources/starters/*.json'), ...(array) glob(dirname(__DIR__, 2).'/resources/rigs/*.json')],
));

/**
 * A random rig with a meter on every point, late origins, and a track.
 *
 * @return array<string, mixed> a document
 */
function meteredRig(): array
{
    $data = TransferFunctions::randomRig();
    foreach ($data['models'] as &$model) {
        foreach ($model['points'] as $i => $point) {
            $model['meters'][] = ['id' => "m-{$i}", 'label' => "Meter {$i}", 'point' => $point['id'],
                'tap' => ['input', 'pre-fader', 'post-fader'][mt_rand(0, 2)]];
        }
    }
    unset($model);
    foreach ($data['sources'][0]['origins'] as &$origin) {
        $origin += mt_rand(0, 2) === 0 ? ['delay_ms' => [0.05, 50, mt_rand(1, 40_000) / 1000][mt_rand(0, 2)]] : [];
    }
    unset($origin);
    // A second sound at a single origin, and a track at one of the ears alone.
    $data['sources'][] = ['id' => 'b', 'name' => 'Beside', 'kind' => 'music',
        'origins' => [['at' => 'u-'.mt_rand(0, count($data['units']) - 1).'/p0', 'db' => -mt_rand(0, 12)]]];
    $data['listeners'][] = ['id' => 't', 'name' => 'Track', 'kind' => 'track', 'at' => [$data['listeners'][0]['at'][0]]];

    return $data;
}

it('gives every reader the level that a second method has, in random rigs', function (int $seed) {
    mt_srand($seed);
    $compared = 0;
    for ($rig = 0; $rig < 100; $rig++) {
        $data = meteredRig();
        $made = Draft::rig()->with(fn () => $data)->make();
        $loop = (new Hearing((new GraphBuilder($made))->build($made->base())))->loops()[0] ?? null;
        // Close to howling there is no end that could be waited for.
        if ($loop !== null && $loop->gain->value() > -1.5) {
            continue;
        }
        $compared++;
        expect(firstDisagreement($made, $made->base(), new PlainSums($data)))->toBeNull("seed {$seed}, rig {$rig}");
    }
    expect($compared)->toBeGreaterThan(80);
})->with(range(1, 20));

it('adds two origins of one sound, or the two parts of it, alike for all who ask', function (array $second, array $route, ?float $db) {
    $rig = Draft::rig()->unit('u', ['meters' => [['id' => 'm', 'label' => 'Meter', 'point' => 'ear']],
        'points' => [['id' => 'one', 'kind' => 'origin', 'channels' => $route['wide'] ?? 1], ['id' => 'two', 'kind' => 'origin', 'channels' => 1],
            ['id' => 'pair', 'kind' => 'bus', 'channels' => 2], ['id' => 'ear', 'kind' => 'ear', 'channels' => 1]],
        'routes' => [['from' => 'one', 'to' => 'ear'], ...$route['ways'] ?? [['from' => 'two', 'to' => 'ear']]]])
        ->with(fn (array $d) => ['sources' => [['id' => 's', 'name' => 'S', 'kind' => 'voice',
            'origins' => [['at' => 'u/one'], ...$second === [] ? [] : [$second + ['at' => 'u/two']]]]]] + $d)
        ->track('t', 'u/ear')->make();
    $hearing = new Hearing((new GraphBuilder($rig))->build($rig->base()));
    $meter = (new Readings($hearing->graph()))->of($rig->units['u'], $rig->modelOf($rig->units['u'])->meters['m']);
    $all = [$hearing->pair('s', 't')->level()?->value(), $hearing->field()->levelsAt('u/ear')['s'] ?? null, $meter['s'] ?? null,
        (new Recordings($hearing))->tracks['t']['sounds']['s'] ?? null];
    expect($all)->toBe([$db, $db, $db, $db])->and($hearing->field()->sourcesAt('u/ear') !== [])->toBe($db !== null);
})->with([
    // 20 log10(1 + 1) = 6.02
    'at one time' => [['db' => 0], [], 6.02],
    // 10 log10(1 + 1) = 3.01
    'the second 50 ms later' => [['delay_ms' => 50], [], 3.01],
    // Within a tenth of a millisecond they are one.
    'the second 0.05 ms later' => [['delay_ms' => 0.05], [], 6.02],
    // 1 - 1 = 0
    'the second turned' => [['db' => 0], ['ways' => [['from' => 'two', 'to' => 'pair', 'map' => 'split-polarity'],
        ['from' => 'pair', 'to' => 'ear', 'map' => 'right']]], null],
    // Turned, but late: no longer the same.
    'the second turned, 50 ms later' => [['delay_ms' => 50], ['ways' => [['from' => 'two', 'to' => 'pair', 'map' => 'split-polarity'],
        ['from' => 'pair', 'to' => 'ear', 'map' => 'right']]], 3.01],
    // Each part by itself: 20 log10(1/2) = -6.02
    'a stereo sound by average into mono' => [[], ['wide' => 2], -6.02],
]);

it('never passes off as silence what could not be counted', function () {
    $rig = (new DocumentReader)->read(Tests\Support\Stages::text(4, 2));
    $hearing = new Hearing((new GraphBuilder($rig))->build($rig->base()));
    $pair = $hearing->pair('s-1', 'l');
    expect($pair->verdict)->toBe(Verdict::Uncounted);
    foreach ($rig->listeners['l']->at as $ear) {
        expect(array_map(fn (Source $one) => $one->id, $hearing->field()->sourcesAt($ear)))->toContain('s-1')
            ->and($hearing->field()->at($rig->sources['s-1'], $ear)->isUncertain())->toBeTrue();
    }
});

it('lists at a point what may be there, where nothing of it could be counted', function () {
    $rig = Draft::inside(['a' => 1, 'b' => 1], [['tone', 'a'], ['a', 'b'], ['b', 'ear']])->make();
    // Enough for one edge: past it nothing is counted, and nothing is known.
    $field = new SoundField((new GraphBuilder($rig))->build($rig->base()), new Effort(1));
    expect($field->levelsAt('u/ear'))->toBe([])->and($field->at($rig->sources['s'], 'u/ear')->isHeard())->toBeFalse()
        ->and(array_map(fn (Source $one) => $one->id, $field->sourcesAt('u/ear')))->toBe(['s']);
});

it('answers the same whoever asked before', function () {
    $rig = (new DocumentReader)->read(shipped('rigs/night-relay.json'));
    $ask = function (array $order) use ($rig): array {
        $field = (new GraphBuilder($rig))->build($rig->base())->field();
        $levels = [];
        foreach ($order as $at) {
            $levels[$at] = $field->levelsAt($at);
        }
        ksort($levels);

        return $levels;
    };
    $points = [];
    foreach ($rig->units as $unit) {
        foreach ($rig->modelOf($unit)->points as $point) {
            $points[] = "{$unit->id}/{$point->id}";
        }
    }
    $forward = $ask($points);
    $hearing = new Hearing((new GraphBuilder($rig))->build($rig->base()));
    $work = $hearing->work();
    expect($ask(array_reverse($points)))->toBe($forward)->and(array_filter($forward))->not->toBe([]);
    // Asked everywhere, what was heard is unchanged: a field that is read spreads nothing again.
    array_map($hearing->field()->levelsAt(...), $points);
    expect($hearing->work())->toBe($work)->and((new Hearing($hearing->graph()))->kept()->pairs)->toEqual($hearing->kept()->pairs);
});
