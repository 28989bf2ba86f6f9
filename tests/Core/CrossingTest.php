<?php

declare(strict_types=1);

use HiddenWire\Core\Controls\Crossing;
use HiddenWire\Core\Controls\Overrides;
use HiddenWire\Core\Document\DocumentReader;
use HiddenWire\Core\Edit\SetPoint;
use HiddenWire\Core\Edit\SetRoute;
use HiddenWire\Core\Planning\Hearings;
use HiddenWire\Core\Rig\PointSettings;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\RouteSettings;
use HiddenWire\Core\Rig\State;
use HiddenWire\Core\Rig\Want;
use HiddenWire\Core\Signal\GraphBuilder;
use HiddenWire\Core\Signal\Hearing;
use HiddenWire\Core\Situations\DialSetting;
use HiddenWire\Core\Situations\RouteAspect;
use HiddenWire\Core\Situations\SituationRow;
use HiddenWire\Core\Situations\SituationTable;
use Tests\Support\Draft;

// A hearing and its pairs hold each other: what many rigs were heard for goes at once.
afterEach(fn () => gc_collect_cycles());

function crossed_rig(string $file): Rig
{
    return (new DocumentReader)->read((string) file_get_contents(dirname(__DIR__, 2)."/resources/{$file}.json"));
}

/** @return array<string, float|null> level of each pair */
function crossed_levels(Hearing $hearing): array
{
    $levels = [];
    foreach ($hearing->all() as $pair) {
        $level = $pair->sum->level?->value();
        $levels["{$pair->source->id} {$pair->listener->id}"] = $level === null ? null : round($level, 2);
    }

    return $levels;
}

it('has all as in the other situation once every press is done', function (string $file) {
    $rig = crossed_rig($file);
    $table = new SituationTable($rig);
    foreach ($rig->situations as $from) {
        // Taken apart and put together it is the same.
        $again = Overrides::of($from)->situation($from);
        expect(crossed_levels(new Hearing((new GraphBuilder($rig))->build($again))))
            ->toBe(crossed_levels(new Hearing((new GraphBuilder($rig))->build($from))));
        foreach ($rig->situations as $to) {
            $presses = array_map(fn (SituationRow $row) => $row->of, $table->between($from->id, $to->id));
            $there = Overrides::of($from)->with($presses, Overrides::of($to))->situation($from);
            expect(crossed_levels(new Hearing((new GraphBuilder($rig))->build($there))))
                ->toBe(crossed_levels(new Hearing((new GraphBuilder($rig))->build($to))));
        }
    }
})->with(fn () => ['rigs/night-relay', ...array_map(
    fn (string $file) => 'starters/'.basename($file, '.json'),
    glob(dirname(__DIR__, 2).'/resources/starters/*.json') ?: [],
)]);

it('finds an order in which nobody hears what they must not, and says what another one does', function () {
    $rig = crossed_rig('starters/harbour-radio');
    $crossing = new Crossing(new Hearings($rig), 'hour', 'talk');
    // By hand: in the hour the three microphones are muted and go to the programme; to talk they are unmuted and taken off it. Unmuted
    // first, each is heard by the viewers for a moment.
    expect($crossing->presses)->toBe(7)->and($crossing->isByUnit)->toBeFalse()
        ->and(array_map(fn (array $one) => $one['words'], $crossing->dangers()))->toBe([
            'Host is heard at Viewers', 'Reader is heard at Viewers', 'Chair is heard at Viewers',
        ]);
    foreach ($crossing->dangers() as ['words' => $words, 'after' => $after]) {
        expect($after)->toHaveCount(1)->and($crossing->steps[$after[0]]['words'][0])->toContain('unmuted');
    }
    $order = $crossing->safeOrder() ?? [];
    expect($order)->toHaveCount(7);
    // By another way: press after press as edits of the first situation, each heard whole.
    $rows = (new SituationTable($rig))->between('hour', 'talk');
    $end = new State($rig, $rig->situations['talk']);
    $talk = (new Hearings($rig))->in('talk');
    // What must not be heard in either: what is wished otherwise in the two is on its way from one to the other.
    $mustNot = function (Hearing $hearing) use ($talk): array {
        $heard = [];
        foreach ($hearing->all() as $pair) {
            $isMeant = fn ($wish) => $wish?->want === Want::MustNot;
            if ($isMeant($pair->wish) && $isMeant($talk->pair($pair->source->id, $pair->listener->id)->wish) && $pair->isHeard()) {
                $heard[] = "{$pair->source->id} {$pair->listener->id}";
            }
        }

        return $heard;
    };
    $at = fn (Rig $rig): Hearing => new Hearing((new GraphBuilder($rig))->build($rig->situations['hour']));
    expect($mustNot($at($rig)))->toBe([]);
    foreach ($order as $place) {
        $of = $rows[$place]->of;
        $rig = match (true) {
            $of instanceof DialSetting => (new SetPoint($of->at, (new PointSettings)->with(...[
                $of->kind->property() => $end->of($of->at->unit, $rig->point($of->at), $of->kind),
            ]), 'hour'))->applyTo($rig),
            $of instanceof RouteAspect => (new SetRoute(
                $of->at,
                new RouteSettings(on: $end->route($of->at->unit, $rig->route($of->at) ?? throw new LogicException)->on),
                'hour',
            ))->applyTo($rig),
            default => throw new LogicException($of::class),
        };
        expect($mustNot($at($rig)))->toBe([]);
    }
});

it('says that no order is safe where there is none', function () {
    // Two ways that cancel each other, both muted first and both open then: whichever is opened first, its sound is heard alone.
    $point = fn (string $id, int $channels) => ['id' => $id, 'kind' => 'bus', 'channels' => $channels, 'mute' => true];
    $route = fn (array $one) => array_combine(array_slice(['from', 'to', 'db', 'map'], 0, count($one)), $one);
    $rig = Draft::rig()->unit('u', [
        'points' => [
            ['id' => 'tone', 'kind' => 'origin', 'channels' => 1], ['id' => 'ear', 'kind' => 'ear', 'channels' => 1], $point('a', 1), $point('b', 2),
        ],
        'routes' => array_map($route, [['tone', 'a'], ['a', 'ear'], ...Draft::turned('tone', 'ear', 'b')]),
    ])->source('s', 'u/tone')->listener('l', 'u/ear')->wish('s', 'l', 'must-not')
        ->situation('open', ['u/a' => ['mute' => false], 'u/b' => ['mute' => false]])->make();
    $crossing = new Crossing(new Hearings($rig), 'base', 'open');
    expect($crossing->safeOrder())->toBeNull()->and($crossing->dangers())->toHaveCount(1)
        ->and($crossing->dangers()[0]['after'])->toHaveCount(1)->and($crossing->trouble(0b01))->toBe(['S is heard at L'])
        ->and($crossing->trouble(0b10))->toBe(['S is heard at L'])->and($crossing->trouble(0b11))->toBe([]);
    // Nothing between a situation and itself.
    $none = new Crossing(new Hearings($rig), 'open', 'open');
    expect([$none->presses, $none->safeOrder(), $none->dangers()])->toBe([0, [], []]);
});

it('takes what is done on one unit together where there are too many presses', function () {
    $crossing = new Crossing(new Hearings(crossed_rig('rigs/night-relay')), 'talk', 'off');
    expect($crossing->presses)->toBe(11)->and($crossing->isByUnit)->toBeTrue()->and($crossing->steps)->toHaveCount(2)
        ->and(array_sum(array_map(fn (array $step) => count($step['words']), $crossing->steps)))->toBe(11);
});
