<?php

declare(strict_types=1);

use HiddenWire\Core\Edit\NamePoint;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Signal\FeedNames;
use HiddenWire\Core\Signal\GraphBuilder;
use HiddenWire\Core\Signal\Misnomers;
use Tests\Support\Draft;

/** A box with two strips, Ann's and Bob's, in one bus to a computer; a player there that plays to the box. */
function feedRig(string $device = '', string $strip = ''): Rig
{
    $box = ['name' => 'Box', 'family' => 'interface', 'sockets' => [['id' => 'usb', 'label' => 'USB', 'connector' => 'usb-b', 'link' => 'device', 'lanes' => [
        ['id' => 'rec', 'way' => 'out', 'point' => 'bus', 'device' => ['direction' => 'recording', 'system_name' => 'Box in']],
        ['id' => 'play', 'way' => 'in', 'point' => 'return', 'device' => ['direction' => 'playback', 'system_name' => 'Box out']]]]],
        'points' => [['id' => 'ann', 'kind' => 'origin', 'channels' => 1], ['id' => 'bob', 'kind' => 'origin', 'channels' => 1],
            ['id' => 'one', 'kind' => 'strip', 'label' => 'Strip 1', 'channels' => 1, 'fader' => ['from' => -60, 'to' => 10, 'db' => 0]],
            ['id' => 'two', 'kind' => 'strip', 'label' => 'Strip 2', 'channels' => 1, 'fader' => ['from' => -60, 'to' => 10, 'db' => 0]],
            ['id' => 'bus', 'kind' => 'bus', 'label' => 'Bus', 'channels' => 2], ['id' => 'return', 'kind' => 'in', 'label' => 'Return', 'channels' => 2],
            ['id' => 'ear', 'kind' => 'ear', 'label' => 'Phones', 'channels' => 2]],
        'routes' => [['from' => 'ann', 'to' => 'one'], ['from' => 'bob', 'to' => 'two'], ['from' => 'one', 'to' => 'bus', 'can' => ['on']],
            ['from' => 'two', 'to' => 'bus', 'can' => ['on']], ['from' => 'return', 'to' => 'ear']]];
    $rig = Draft::rig()->place('room')->unit('pc', 'older-computer', 'room')->unit('box', $box)->cable('usb', 'pc/usb-1', 'box/usb')
        ->unit('cast', 'broadcast-program-small', 'room')->unit('player', 'music-player', 'room')
        ->source('ann', 'box/ann')->source('bob', 'box/bob')->source('music', 'player/sound')
        ->listener('viewers', 'cast/stream')->listener('phones', 'box/ear')
        ->pick('cast/source-1', ['device' => 'box/usb/rec'])->pick('player/sound', ['device' => 'box/usb/play'])
        ->device('pc', 'box/usb/rec', $device === '' ? ['rate_hz' => 48000] : ['name' => $device])->make();

    return $strip === '' ? $rig : (new NamePoint(new PointRef('box', 'one'), $strip))->applyTo($rig);
}

/** @return list<string> */
function feedsOf(Rig $rig): array
{
    return array_map(
        fn (array $row) => "({$row['beyond']}) ".implode(' > ', array_map(fn (array $stage) => "{$stage['where']}: {$stage['name']}", $row['stages'])),
        (new FeedNames((new GraphBuilder($rig))->build($rig->base())))->rows(),
    );
}

it('tells what one feed is called at each stage, back to where it is mixed and on to where it ends', function () {
    expect(feedsOf(feedRig('Desk')))->toBe([
        '(a mix of 2) Box: Bus > lead: W-1 > Pc: Desk > Cast: Source 1',
        '() Player: Music > Pc: Box out > lead: W-1 > Box: Return > Box: Phones',
    ]);
});

it('goes on where only one strip is in the bus, by its own name', function () {
    $rig = feedRig('Desk', 'Ann close');
    $alone = new Rig($rig->parts()->changing('units', 'box', fn ($unit) => $unit->with(routes: ['two>bus' => new HiddenWire\Core\Rig\RouteSettings(on: false)])));
    expect(feedsOf($alone)[0])->toBe('() Box: ann > Box: Ann close (Strip 1) > Box: Bus > lead: W-1 > Pc: Desk > Cast: Source 1');
});

it('tells a name that says the opposite of what is carried, and offers one from the content', function (string $device, string $strip, array $told) {
    $rig = feedRig($device, $strip);
    expect(array_map(fn ($one) => [$one->sentence, $one->offer], Misnomers::in($rig, [(new GraphBuilder($rig))->build($rig->base())])))->toBe($told);
})->with([
    'right' => ['Ann and Bob', 'Ann', []],
    'one of two is named' => ['Ann', '', []],
    'names no sound of the rig' => ['Desk feed', 'Close microphone', []],
    'the other sound' => ['', 'Bob', [['Box · Bob (Strip 1) is called Bob, but carries Ann', 'Ann']]],
    'what is not there at all' => ['Music', '', [['Music is called Music, but carries Ann and Bob', 'Ann + Bob']]],
    'what it says is left out' => ['Talk without Ann', '', [['Talk without Ann names Ann as left out, but carries it', 'Ann + Bob']]],
    'what is left out' => ['Talk without music', '', []],
]);

it('counts every situation: a name is right where its sound is there in one of them', function () {
    $rig = feedRig('', 'Bob');
    $graph = (new GraphBuilder($rig))->build($rig->base());
    $silent = new Rig($rig->parts()->changing('units', 'box', fn ($unit) => $unit->with(routes: ['one>bus' => new HiddenWire\Core\Rig\RouteSettings(on: false)])));
    expect(Misnomers::in($rig, [$graph, (new GraphBuilder($silent))->build($silent->base())]))->toHaveCount(1)
        ->and(Misnomers::in($rig, []))->toBe([]);
});
