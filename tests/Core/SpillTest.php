<?php

declare(strict_types=1);

use HiddenWire\Core\Edit\SetDistance;
use HiddenWire\Core\Edit\SetMeasure;
use HiddenWire\Core\Equipment\Pattern;
use HiddenWire\Core\Planning\Hearings;
use HiddenWire\Core\Rig\ElementRef;
use HiddenWire\Core\Rig\MeasureKind;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Signal\Verdict;
use Tests\Support\Draft;

/** Ann at her own microphone and, further away, at Bob's, whose track she must not be on. */
function atTwoMicrophones(?float $own, ?float $away, ?string $pattern, float $db = 0): Draft
{
    $capsule = ['mv_per_pa' => 2] + array_filter(['pattern' => $pattern]);
    $origin = fn (string $at, float $db, ?float $metres): array => ['at' => $at] + ($db === 0.0 ? [] : ['db' => $db]) + array_filter(['distance_m' => $metres]);

    return Draft::rig()->unit('u', ['points' => [['id' => 'ann', 'kind' => 'origin', 'channels' => 1, 'capsule' => $capsule], ['id' => 'bob', 'kind' => 'origin', 'channels' => 1, 'capsule' => $capsule],
        ['id' => 'track', 'kind' => 'ear', 'channels' => 1]], 'routes' => [['from' => 'bob', 'to' => 'track']]])
        ->source('ann', 'u/ann')->source('bob', 'u/bob')->listener('track', 'u/track')->wish('ann', 'track', 'must-not')
        ->with(fn (array $d) => ['sources' => [['origins' => [$origin('u/ann', 0.0, $own), $origin('u/bob', $db, $away)]] + $d['sources'][0], $d['sources'][1]]] + $d);
}

it('works the level at a further microphone out from distances and its pattern', function (?float $own, ?float $away, ?string $pattern, float $db, float $level, float $ms, Verdict $verdict) {
    $pair = atTwoMicrophones($own, $away, $pattern, $db)->pair('ann', 'track');
    expect($pair->level()?->value())->toBe($level)->and($pair->delay()?->value())->toBe($ms)->and($pair->verdict)->toBe($verdict);
})->with([
    // 20 log10(3) is 9.54; 0.3 m at 343 m/s are 0.87 ms.
    'three to one, no pattern' => [0.15, 0.45, null, 0.0, -9.5, 0.9, Verdict::Leak],
    // 10 log10(1/3) is -4.77 more.
    'three to one, a cardioid' => [0.15, 0.45, 'cardioid', 0.0, -14.3, 0.9, Verdict::Leak],
    // 20 log10(6) is 15.56: -20.3 in all. 0.75 m are 2.19 ms.
    'six to one, a cardioid: as soft as spill may be' => [0.15, 0.9, 'cardioid', 0.0, -20.3, 2.2, Verdict::Ok],
    'what is said of a wall between comes on top' => [0.15, 0.45, null, -12.0, -21.5, 0.9, Verdict::Ok],
    'nearer than her own is no louder' => [0.4, 0.2, null, 0.0, 0.0, 0.0, Verdict::Leak],
    'no distance of her own: as it is said' => [null, 0.45, 'cardioid', -8.0, -8.0, 0.0, Verdict::Leak],
]);

it('gives the random energy efficiency of each pattern', function (Pattern $pattern, float $db) {
    expect(round($pattern->aroundDb(), 1))->toBe($db);
})->with([
    [Pattern::Omni, 0.0], [Pattern::Cardioid, -4.8], [Pattern::Supercardioid, -5.7], [Pattern::Hypercardioid, -6.0], [Pattern::FigureEight, -4.8],
]);

it('takes the measured distance of her own microphone, and hears anew where that alone is altered', function () {
    $rig = atTwoMicrophones(null, 0.6, null)->make();
    $before = new Hearings($rig);
    expect($before->in('base')->pair('ann', 'track')->level()?->value())->toBe(0.0);
    $measured = (new SetMeasure(ElementRef::read('units/u/points/ann'), MeasureKind::Distance, 0.15))->applyTo($rig);
    // 20 log10(4) is 12.04.
    expect((new Hearings($measured, [], $before))->in('base')->pair('ann', 'track')->level()?->value())->toBe(-12.0);
});

it('sets a distance, says so, and keeps the rest of where a sound begins', function () {
    $rig = atTwoMicrophones(0.1, null, null, -6)->make();
    $edit = new SetDistance('ann', new PointRef('u', 'bob'), 0.5);
    $after = $edit->applyTo($rig);
    expect($edit->words($rig))->toBe('Ann is 0.5 m from bob of U')->and($after->sources['ann']->origins[1]->distanceM)->toBe(0.5)
        ->and($after->sources['ann']->origins[1]->db->value())->toBe(-6.0)
        ->and((new SetDistance('ann', new PointRef('u', 'bob'), null))->words($rig))->toBe('How far Ann is from bob of U is not said any more');
});
