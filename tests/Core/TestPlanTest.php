<?php

declare(strict_types=1);

use HiddenWire\Core\Bench\Heard;
use HiddenWire\Core\Bench\TestPlan;
use HiddenWire\Core\Bench\TestStep;
use HiddenWire\Core\Planning\Hearings;
use HiddenWire\Core\Rig\Want;
use Tests\Support\Draft;

/** A talker, two tunes of one kind and a game, to a hall, to ears elsewhere, and to somebody far away. */
function benched(): Draft
{
    $model = ['name' => 'Desk', 'family' => 'mixer', 'points' => [
        ...array_map(fn (string $id) => ['id' => $id, 'kind' => 'origin', 'channels' => 1], ['talk', 'waltz', 'polka', 'game']),
        ['id' => 'main', 'kind' => 'bus', 'label' => 'Main', 'channels' => 1, 'fader' => ['from' => -60, 'to' => 10, 'db' => 0]],
        ['id' => 'hall', 'kind' => 'ear', 'channels' => 1],
    ], 'routes' => [
        ...array_map(fn (string $id) => ['from' => $id, 'to' => 'main', 'can' => ['on', 'db']], ['talk', 'waltz', 'polka', 'game']), ['from' => 'main', 'to' => 'hall'],
    ], 'meters' => [['id' => 'main', 'label' => 'Main', 'point' => 'main', 'zones' => [['name' => 'Low', 'from_db' => -40], ['name' => 'Good', 'from_db' => -9]]]]];
    $phones = ['name' => 'Phones', 'family' => 'mixer', 'points' => [['id' => 'hum', 'kind' => 'origin', 'channels' => 1], ['id' => 'ear', 'kind' => 'ear', 'channels' => 1]],
        'routes' => [['from' => 'hum', 'to' => 'ear', 'can' => ['on']]]];
    $draft = Draft::rig()->place('loft', 'desk')->place('far', 'remote')->unit('desk', $model)->unit('set', $phones, 'loft')->unit('guest', [...$phones, 'name' => 'Guest'], 'far')
        ->source('ann', 'desk/talk')->source('waltz', 'desk/waltz')->source('polka', 'desk/polka')->source('game', 'desk/game')->source('hum', 'set/hum')
        ->listener('guest', 'guest/ear')->listener('hall', 'desk/hall')->listener('me', 'set/ear')->situation('late', []);
    foreach (['ann', 'waltz', 'polka', 'game'] as $source) {
        $draft->wish($source, 'hall', 'must')->wish($source, 'me', 'must-not')->wish($source, 'guest', 'must-not');
    }

    return $draft->wish('hum', 'me', 'must')->wish('hum', 'hall', 'must-not')->with(function (array $d) {
        foreach (['voice', 'music', 'music', 'game', 'alerts'] as $i => $kind) {
            $d['sources'][$i]['kind'] = $kind;
        }
        $d['situations'][1]['absent'] = ['desk'];

        return $d;
    });
}

/** @return list<string> */
function benched_steps(Draft $draft): array
{
    $plan = new TestPlan(new Hearings($draft->make()));

    return array_map(fn (TestStep $one) => "{$one->situation->id} {$one->place->id} {$one->listener->id}: {$one->play()}: {$one->look()}", $plan->steps);
}

it('plays together what can be told apart, silence alone, and visits each place once, those far away last', function () {
    // Worked out by hand. Two tunes can't be distinguished: the second is a step of its own, wanted or not.
    expect(benched_steps(benched()))->toBe([
        'base desk hall: Ann speaks; Waltz and Game play: all 3 are heard',
        'base desk hall: Polka plays: it is heard',
        'base desk hall: Hum plays; nothing else sounds: nothing is heard',
        'base loft me: Hum plays: it is heard',
        'base loft me: Ann speaks; Waltz and Game play; nothing else sounds: nothing is heard',
        'base loft me: Polka plays; nothing else sounds: nothing is heard',
        'base far guest: Ann speaks; Waltz and Game play; nothing else sounds: nothing is heard',
        'base far guest: Polka plays; nothing else sounds: nothing is heard',
        // The desk is not there: nothing of it can be played. Who is far away is still last.
        'late desk hall: Hum plays; nothing else sounds: nothing is heard',
        'late loft me: Hum plays: it is heard',
    ]);
    $plan = new TestPlan(new Hearings(benched()->make()));
    // In the base 5 at the hall, 5 at me, 4 at the guest; later 1 and 1. Walks: to the loft, far away, back to the desk, to the loft.
    expect($plan->naive)->toBe(16)->and($plan->walks())->toBe(4);
});

it('covers every wish and every must-not of every shipped rig at least once, in fewer steps than one by one', function (string $file) {
    $rig = Draft::from($file)->make();
    $hearings = new Hearings($rig);
    $plan = new TestPlan($hearings);
    $asked = [];
    foreach ($plan->steps as $step) {
        foreach ($step->expected as $one) {
            $asked["{$step->situation->id} {$one->source->id} {$step->listener->id}"] = $one->isHeard;
        }
    }
    $wished = [];
    foreach ($rig->situations as $id => $situation) {
        foreach ($hearings->in((string) $id)->all() as $pair) {
            $isThere = array_filter($pair->source->origins, fn ($origin) => ! in_array($origin->at->unit, $situation->absent, true)) !== [];
            if ($isThere && in_array($pair->wish?->want, [Want::Must, Want::MustNot], true)) {
                $wished["{$id} {$pair->source->id} {$pair->listener->id}"] = $pair->wish->want === Want::Must;
            }
        }
    }
    ksort($asked);
    ksort($wished);
    expect($asked)->toBe($wished)->and(count($plan->steps))->toBeLessThanOrEqual($plan->naive)->and($plan->naive)->toBe(count($wished))
        ->and(count(array_unique(array_map(fn (TestStep $one) => $one->key, $plan->steps))))->toBe(count($plan->steps));
})->with(fn () => array_values(shippedRigs()));

it('reads meters in their own terms, says what is softer than usual, and where the plan itself is not so', function () {
    $draft = benched()->set('desk', 'routes', 'waltz>main', ['db' => -20])->set('desk', 'routes', 'game>main', ['on' => false]);
    $step = (new TestPlan(new Hearings($draft->make())))->steps[0];
    // Of what plays together the loudest decides: the voice, at nominal.
    expect($step->meters)->toBe(['Desk, Main: Good'])
        ->and($step->notes())->toBe(['Waltz 20.0 dB softer than usual', 'the plan itself is not so for Game']);
});

it('keeps the question when the rig changes, and tells that its answer may be another', function () {
    $of = fn (Draft $draft): array => array_column(array_map(
        fn (TestStep $one) => ['key' => $one->key, 'state' => $one->state],
        (new TestPlan(new Hearings($draft->make())))->steps,
    ), 'state', 'key');
    $before = $of(benched());
    $after = $of(benched()->set('desk', 'routes', 'polka>main', ['db' => -3]));
    expect(array_keys($after))->toBe(array_keys($before))
        // Polka at the hall, and nothing else: it comes nowhere else.
        ->and(array_keys(array_diff_assoc($after, $before)))->toBe([array_keys($before)[1]]);
    // What changes nothing that is heard leaves every answer.
    expect($of(benched()->with(fn (array $d) => ['name' => 'Another'] + $d)))->toBe($before);
});

it('offers what can be said of a step', function () {
    $steps = (new TestPlan(new Hearings(benched()->make())))->steps;
    $words = fn (TestStep $step) => array_map(fn (Heard $one) => $one->words($step->isSilence()), Heard::of($step));
    expect($words($steps[0]))->toBe(['All there', 'Something missing', 'Faint', 'One side', 'Echo', 'Hum', 'Something else'])
        ->and($words($steps[2]))->toBe(['Silent', 'Something comes', 'Faint', 'Hum', 'Something else'])
        ->and(Heard::AsPlanned->isFine())->toBeTrue()->and(Heard::Hum->isFine())->toBeFalse();
});
