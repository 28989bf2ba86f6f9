<?php

declare(strict_types=1);

use HiddenWire\Core\Dependence\Chain;
use HiddenWire\Core\Dependence\Dependence;
use HiddenWire\Core\Dependence\Element;
use HiddenWire\Core\Dependence\Outage;
use HiddenWire\Core\Dependence\Rehearsal;
use HiddenWire\Core\Dependence\StartOrder;
use HiddenWire\Core\Dependence\Touch;
use HiddenWire\Core\Dependence\Unused;
use HiddenWire\Core\Planning\Hearings;
use HiddenWire\Core\Rig\CableRef;
use HiddenWire\Core\Rig\Unit;
use HiddenWire\Core\Rig\UnitRef;
use Tests\Support\Draft;

/** Two tones on leads of their own into a desk with one output to an ear, and a lead that carries nothing. */
function twoInto(): Draft
{
    $socket = fn (string $id, string $way) => ['id' => $id, 'label' => ucfirst($id), 'connector' => 'trs-3.5', 'lanes' => [['id' => 'l', 'way' => $way, 'point' => $id]]];

    return Draft::rig()->tone('a')->tone('b')->ear('e')->ear('spare')->unit('desk', ['sockets' => [$socket('one', 'in'), $socket('two', 'in'), $socket('out', 'out'), $socket('aux', 'out')],
        'points' => [['id' => 'one', 'kind' => 'strip', 'channels' => 2, 'mute' => false], ['id' => 'two', 'kind' => 'strip', 'channels' => 2], ['id' => 'out', 'kind' => 'bus', 'channels' => 2],
            ['id' => 'aux', 'kind' => 'bus', 'channels' => 2]],
        'routes' => [['from' => 'one', 'to' => 'out'], ['from' => 'two', 'to' => 'out'], ['from' => 'one', 'to' => 'aux', 'on' => false, 'can' => ['on']]]])
        ->cable('trs', 'a/out', 'desk/one')->cable('trs', 'b/out', 'desk/two')->cable('trs', 'desk/out', 'e/in')->cable('trs', 'desk/aux', 'spare/in')
        ->wish('a', 'e', 'must')->wish('b', 'e', 'must');
}

/** A computer with players and programs that pick what others install. @param  array<string, array<string, mixed>>  $units  more of each */
function programs(array $units): Draft
{
    return Draft::rig()->place('pc')->unit('pc', 'streaming-computer', 'pc')->unit('soft', 'software-mixer', 'pc')->unit('cast', 'broadcast-program-small', 'pc')->unit('music', 'music-player', 'pc')
        ->pick('music/sound', ['device' => 'soft/played-1'])->pick('cast/source-1', ['device' => 'soft/feed-1'])
        ->with(fn (array $d) => ['units' => array_map(fn (array $one) => $one + ($units[$one['id']] ?? []), $d['units'])] + $d);
}

it('says what is lost when something fails: what both pass first', function () {
    $lost = array_map(fn (Element $one) => ["{$one->at}", count($one->lost)], (new Dependence(twoInto()->hear()))->elements);
    expect(array_slice($lost, 0, 3))->toEqualCanonicalizing([['desk', 2], ['w-3', 2], ['e', 2]])->and($lost)->toContain(['a', 1])->toContain(['w-1', 1])
        ->and(array_column($lost, 0))->not->toContain('w-4')->not->toContain('spare');
});

it('joins what takes the same sounds along to a chain, in the order in which the sound passes', function () {
    // Of either sound: its own source and lead; of both: desk, lead, ear. What carries nothing is in no chain.
    $chains = array_map(fn (Chain $one) => [implode(' ', array_map(strval(...), $one->links)), count($one->lost)], (new Dependence(twoInto()->hear()))->chains());
    expect($chains)->toBe([['desk w-3 e', 2], ['a w-1', 1], ['b w-2', 1]]);
    $chain = (new Dependence(twoInto()->hear()))->chains()[0];
    expect(array_map(count(...), $chain->byListener()))->toBe(['e' => 2])->and($chain->has(new CableRef('w-3')))->toBeTrue()->and($chain->has(new UnitRef('a')))->toBeFalse();
});

it('says what goes dark when something fails', function () {
    $dark = function (UnitRef|CableRef $at, ?Draft $draft = null): array {
        $outage = new Outage(($draft ?? twoInto())->hear(), $at);

        return [array_keys($outage->failed), array_keys($outage->dark), array_map(fn ($pair) => "{$pair->source->id} {$pair->listener->id}", $outage->lost), $outage->wanted];
    };
    expect($dark(new CableRef('w-1')))->toBe([['cable:w-1'], ['unit:a'], ['a e'], 2])
        ->and($dark(new UnitRef('desk')))->toBe([['unit:desk'], ['unit:a', 'cable:w-1', 'cable:w-3', 'unit:e', 'unit:b', 'cable:w-2'], ['a e', 'b e'], 2])
        ->and($dark(new CableRef('w-4')))->toBe([['cable:w-4'], [], [], 2]);
    // A computer takes its programs along.
    $draft = programs([])->add('listeners', ['id' => 'viewers', 'name' => 'Viewers', 'kind' => 'stream', 'at' => ['cast/stream']])->source('song', 'music/sound')->wish('song', 'viewers', 'must');
    expect($dark(new UnitRef('pc'), $draft))->toBe([['unit:pc', 'unit:soft', 'unit:cast', 'unit:music'], [], ['song viewers'], 1])
        ->and($dark(new UnitRef('soft'), $draft)[1])->toEqualCanonicalizing(['unit:music', 'unit:cast']);
});

it('loses in an outage nothing that does not depend on it', function (string $file) {
    $hearing = Draft::from($file)->hear();
    $key = fn ($pair) => "{$pair->source->id} {$pair->listener->id}";
    $elements = (new Dependence($hearing))->elements;
    $same = 0;
    foreach (array_slice($elements, 0, 12) as $element) {
        $lost = array_map($key, (new Outage($hearing, $element->at))->lost);
        $depends = array_map($key, $element->lost);
        expect(["{$element->at}", array_values(array_diff($lost, $depends))])->toBe(["{$element->at}", []]);
        $same += count($lost) === count($depends) ? 1 : 0;
    }
    // What only feeds power is known to dependence alone; most elements carry the sound themselves.
    expect($same)->toBeGreaterThanOrEqual(intdiv(min(12, count($elements)), 2));
})->with(fn () => shippedRigs());

it('times the start: each when all that it needs is ready', function () {
    $start = new StartOrder(programs(['soft' => ['ready_s' => 8], 'cast' => ['ready_s' => 5, 'needs' => ['music']], 'music' => ['ready_s' => 2]])->hear()->graph(), 'pc');
    // The mixer is there after 8 s; the player, which picks its device, at 10; the broadcast program, which needs both, at 15.
    expect($start->times())->toBe(['soft' => [0, 8], 'music' => [8, 10], 'cast' => [10, 15]]);
});

it('does not depend on one of two ways', function () {
    $two = Draft::rig()->unit('u', ['points' => [['id' => 'tone', 'kind' => 'origin', 'channels' => 1], ['id' => 'ear', 'kind' => 'ear', 'channels' => 1]], 'routes' => [['from' => 'tone', 'to' => 'ear']],
        'sockets' => [['id' => 'o', 'label' => 'O', 'connector' => 'ts-6.35', 'lanes' => [['id' => 'l', 'way' => 'out', 'point' => 'tone']]], ['id' => 'i', 'label' => 'I', 'connector' => 'ts-6.35', 'lanes' => [['id' => 'l', 'way' => 'in', 'point' => 'ear']]]]])
        ->unit('x', 'isolator-one')->cable('ts', 'u/o', 'x/in')->cable('ts', 'x/out', 'u/i')->source('s', 'u/tone')->listener('l', 'u/ear')->wish('s', 'l', 'must');
    expect(array_map(fn (Element $one) => (string) $one->at, (new Dependence($two->hear()))->elements))->toBe(['u']);
});

it('falls with its computer, and with what it needs', function () {
    $draft = programs(['cast' => ['needs' => ['music']]])->add('listeners', ['id' => 'viewers', 'name' => 'Viewers', 'kind' => 'stream', 'at' => ['cast/stream']])
        ->source('song', 'music/sound')->wish('song', 'viewers', 'must');
    expect(array_map(fn (Element $one) => (string) $one->at, (new Dependence($draft->hear()))->elements))->toEqualCanonicalizing(['music', 'pc', 'soft', 'cast']);
});

it('orders the start: what installs a device before what picks it', function (array $units, array $order, array $late, array $circle) {
    $start = new StartOrder(programs($units)->hear()->graph(), 'pc');
    $names = fn (array $all): array => array_map(fn (Unit $one) => $one->id, $all);
    expect($names($start->order))->toBe($order)->and(array_map($names, $start->late))->toBe($late)->and($names($start->circle))->toBe($circle);
})->with([
    'nobody has a turn' => [[], ['soft', 'cast', 'music'], [], []],
    'in their turns' => [['soft' => ['start' => 1], 'music' => ['start' => 2], 'cast' => ['start' => 3]], ['soft', 'music', 'cast'], [], []],
    'too early' => [['soft' => ['start' => 2], 'cast' => ['start' => 1]], ['soft', 'cast', 'music'], [['cast', 'soft']], []],
    'at login it is there' => [['soft' => ['at_login' => true], 'cast' => ['start' => 1]], ['soft', 'cast', 'music'], [], []],
    'each waits for the other' => [['soft' => ['needs' => ['cast']]], ['soft', 'cast', 'music'], [], ['soft', 'cast']],
]);

it('finds what no wanted way uses, but no picture lead and no computer', function () {
    $unused = fn (Draft $draft): array => array_map(strval(...), (new Unused($rig = $draft->make(), [(new Hearings($rig))->in($rig->base()->id)]))->elements);
    expect($unused(twoInto()))->toBe(['spare', 'w-4'])->and($unused(twoInto()->wish('a', 'spare', 'must')->set('desk', 'routes', 'one>aux', ['on' => true])))->toBe([]);
});

it('mutes a sound for all in the fewest places', function () {
    $hearing = twoInto()->hear();
    $touch = fn (string $source): Touch => new Touch($hearing, $hearing->rig->sources[$source], $hearing->field()->sourcesAt(...));
    expect(array_map(strval(...), $touch('a')->places))->toBe(['desk/one'])->and($touch('a')->left)->toBe([])
        // The second strip has no mute, and everything behind it carries the other sound too.
        ->and($touch('b')->places)->toBe([])->and(array_map(fn ($pair) => $pair->listener->id, $touch('b')->left))->toBe(['e']);
});

it('rehearses that something takes the defaults: who follows, who is lost, who is protected', function (array $pick, array $follow, int $protected, array $lost) {
    $draft = programs([])->pick('music/sound', $pick)->device('pc', 'soft/played-1', ['roles' => ['playback']])->source('song', 'music/sound')
        ->add('listeners', ['id' => 'viewers', 'name' => 'Viewers', 'kind' => 'stream', 'at' => ['cast/stream']])->wish('song', 'viewers', 'must');
    $hearing = $draft->hear();
    $rehearsal = new Rehearsal($hearing, $hearing->rig->units['pc']);
    expect(array_map(strval(...), $rehearsal->follow))->toBe($follow)->and(count($rehearsal->protected))->toBe($protected)
        ->and(array_map(fn ($pair) => "{$pair->source->id} {$pair->listener->id}", $rehearsal->lost))->toBe($lost);
})->with([
    'by name' => [['device' => 'soft/played-1'], [], 2, []],
    'by default' => [['default' => 'system'], ['music/sound'], 1, ['song viewers']],
]);
