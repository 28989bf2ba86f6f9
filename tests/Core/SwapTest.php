<?php

declare(strict_types=1);

use HiddenWire\Core\Edit\SwapUnit;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Signal\GraphBuilder;
use HiddenWire\Core\Signal\Hearing;
use Tests\Support\Draft;

/** A small desk as data: lines into strips, strips into buses, buses out. */
function desk(array $strips, array $buses, array $more = []): array
{
    $socket = fn (string $id, string $way, string $connector = 'trs-3.5') => ['id' => $id, 'label' => ucfirst($id), 'connector' => $connector, 'signal' => 'consumer-line',
        'lanes' => [['id' => $way, 'way' => $way, 'point' => $id]]];
    $routes = [];
    foreach (array_keys($strips) as $strip) {
        foreach (array_keys($buses) as $bus) {
            $routes[] = ['from' => $strip, 'to' => $bus, 'can' => ['on', 'db']];
        }
    }

    return [
        'sockets' => [...array_map(fn (string $id) => $socket($id, 'in'), array_keys($strips)),
            ...array_map(fn (string $id) => $socket($id, 'out'), array_keys($buses))],
        'points' => [...array_map(fn (string $id, array $point) => ['id' => $id, 'kind' => 'strip', 'label' => ucfirst($id),
            'channels' => 2] + $point, array_keys($strips), $strips),
            ...array_map(fn (string $id, array $point) => ['id' => $id, 'kind' => 'bus', 'label' => ucfirst($id),
                'channels' => 2] + $point, array_keys($buses), $buses)],
        'routes' => $routes,
    ] + $more;
}

/** What a rig with a desk loses when another desk takes its place. */
function swapped(Draft $draft, array $other): array
{
    // The other model comes into the rig on a unit that is kept aside.
    $rig = $draft->unit('aside', $other)->make();
    $edit = new SwapUnit('desk', $rig->modelOf('aside'));

    return [$edit->applyTo($rig), $edit->losses($rig)];
}

const FADER = ['fader' => ['from' => -60, 'to' => 10, 'db' => 0]];
const GAIN = ['gain' => ['from' => 0, 'to' => 40, 'db' => 0]];

function played(array $model, array $settings = []): Draft
{
    return Draft::rig()->tone('player')->tone('other')->unit('desk', $model, 'desk', $settings)->ear('hall')
        ->cable('trs', 'player/out', 'desk/a')->cable('trs', 'other/out', 'desk/b')->cable('trs', 'desk/main', 'hall/in');
}

function audible(Rig $rig, string $source): bool
{
    return (new Hearing((new GraphBuilder($rig))->build($rig->situation() ?? throw new LogicException)))->pair($source, 'hall')
        ->arrivals() !== [];
}

it('keeps cables by the sockets\' ids, then by what fits', function (array $strips, array $lost, array $to) {
    [$rig, $losses] = swapped(played(desk(['a' => FADER, 'b' => FADER], ['main' => FADER])), desk($strips, ['main' => FADER]));
    expect($losses)->toBe($lost);
    foreach ($to as $cable => $socket) {
        expect((string) $rig->cables[$cable]->to)->toBe($socket);
    }
    foreach (['player' => 'w-1', 'other' => 'w-2'] as $source => $cable) {
        expect(audible($rig, $source))->toBe(isset($rig->cables[$cable]));
    }
})->with([
    'the same sockets' => [['a' => FADER, 'b' => FADER], [], ['w-1' => 'desk/a', 'w-2' => 'desk/b']],
    'in another order' => [['b' => FADER, 'a' => FADER], [], ['w-1' => 'desk/a', 'w-2' => 'desk/b']],
    'other names' => [['x' => FADER, 'y' => FADER], [], ['w-1' => 'desk/x', 'w-2' => 'desk/y']],
    'more of them' => [['x' => FADER, 'b' => FADER, 'y' => FADER], [], ['w-1' => 'desk/x', 'w-2' => 'desk/b']],
    'one too few' => [['a' => FADER], ['W-2'], ['w-1' => 'desk/a']],
    'none that fits' => [[], ['W-1', 'W-2'], []],
]);

it('keeps settings as far as the other model has and reaches them', function (array $strip, array $set, array $kept, array $lost) {
    [$rig, $losses] = swapped(played(desk(
        ['a' => FADER + GAIN + ['mute' => false, 'mono' => false, 'delay_to_ms' => 500], 'b' => []],
        ['main' => []],
    ), ['points' => ['a' => $set]]), desk(['a' => $strip, 'b' => []], ['main' => []]));
    $now = $rig->units['desk']->points['a'] ?? null;
    expect($losses)->toBe($lost)
        ->and(array_filter(['gain' => $now?->gain?->value(), 'fader' => $now?->fader?->value(), 'mute' => $now?->mute,
            'mono' => $now?->mono, 'delay' => $now?->delay?->value()], fn ($value) => $value !== null))->toBe($kept);
})->with([
    'all of them' => [FADER + GAIN + ['mute' => false, 'mono' => false, 'delay_to_ms' => 500],
        ['gain' => 20, 'fader' => -3, 'mute' => true, 'mono' => true, 'delay_ms' => 40], ['gain' => 20.0, 'fader' => -3.0, 'mute' => true,
            'mono' => true, 'delay' => 40.0], []],
    'no gain' => [FADER, ['gain' => 20, 'fader' => -3], ['fader' => -3.0], ['the gain of A']],
    'a gain that ends before' => [FADER + ['gain' => ['from' => 0, 'to' => 10, 'db' => 0]], ['gain' => 20, 'fader' => -3],
        ['fader' => -3.0], ['the gain of A']],
    'no mute' => [FADER, ['mute' => true], [], ['the mute of A']],
    'no mono switch' => [FADER, ['mono' => true], [], ['the mono switch of A']],
    'a shorter delay' => [FADER + ['delay_to_ms' => 20], ['delay_ms' => 40], [], ['the delay of A']],
    'no delay' => [FADER, ['delay_ms' => 40], [], ['the delay of A']],
]);

it('keeps routes between points that have counterparts, and what of them can be set', function () {
    $from = played(
        desk(['a' => [], 'b' => []], ['main' => [], 'aux' => []]),
        ['routes' => ['a>main' => ['db' => -6], 'b>main' => ['on' => false], 'a>aux' => ['on' => false]]],
    );
    $other = desk(['a' => [], 'b' => []], ['main' => []]);
    $other['routes'] = [['from' => 'a', 'to' => 'main', 'can' => ['on']], ['from' => 'b', 'to' => 'main', 'can' => ['on', 'db']]];
    [$rig, $losses] = swapped($from, $other);
    expect($losses)->toBe(['db of A → Main', 'the route A → Aux'])->and(array_keys($rig->units['desk']->routes))->toBe(['b>main'])
        ->and($rig->units['desk']->routes['b>main']->on)->toBeFalse()
        ->and(audible($rig, 'player'))->toBeTrue()->and(audible($rig, 'other'))->toBeFalse();
});

it('keeps what situations change, and says in which one something goes', function () {
    $from = played(desk(['a' => FADER + ['mute' => false], 'b' => []], ['main' => []]))
        ->situation('break', ['desk/a' => ['mute' => true], 'desk/b>main' => ['on' => false]]);
    [$rig, $losses] = swapped($from, desk(['a' => FADER, 'b' => []], ['main' => []]));
    expect($losses)->toBe(['the mute of A', 'what Break changes'])
        ->and(array_map(fn ($change) => (string) $change->at, $rig->situations['break']->changes))->toBe(['desk/b>main']);
});

it('moves picks and device settings to the counterpart devices of an interface', function () {
    $usb = fn (string $play, string $rec, int $channels) => [
        'family' => 'interface',
        'sockets' => [['id' => 'usb', 'label' => 'USB', 'connector' => 'usb-c', 'link' => 'device',
            'lanes' => [['id' => $play, 'way' => 'in', 'point' => 'from',
                'device' => ['direction' => 'playback', 'system_name' => 'Box out']],
                ['id' => $rec, 'way' => 'out', 'point' => 'to', 'device' => ['direction' => 'recording', 'system_name' => 'Box in']]]]],
        'points' => [['id' => 'from', 'kind' => 'in', 'channels' => 2], ['id' => 'to', 'kind' => 'out', 'channels' => $channels]],
    ];
    $draft = fn (): Draft => Draft::rig()->place('room')->unit('pc', 'laptop', 'room')->unit('cast', 'broadcast-program-small', 'room')
        ->unit('game', 'game', 'room')->unit('desk', $usb('play', 'rec', 4))->cable('usb', 'pc/usb-1', 'desk/usb')
        ->pick('game/sound', ['device' => 'desk/usb/play'])->pick('cast/source-1', ['device' => 'desk/usb/rec', 'channels' => [3, 4]])
        ->device('pc', 'desk/usb/rec', ['name' => 'Box', 'roles' => ['recording']]);
    [$rig, $losses] = swapped($draft(), $usb('sound-in', 'sound-out', 4));
    expect($losses)->toBe([])->and((string) $rig->picks['game/sound']->device)->toBe('desk/usb/sound-in')
        ->and((string) $rig->picks['cast/source-1']->device)->toBe('desk/usb/sound-out')->and($rig->picks['cast/source-1']->channels)
        ->toBe([3, 4])
        ->and([(string) $rig->devices[0]->device, $rig->devices[0]->name])->toBe(['desk/usb/sound-out', 'Box']);
    // A narrower one gives up the channels that it does not have.
    [$rig, $losses] = swapped($draft(), $usb('play', 'rec', 2));
    expect($losses)->toBe(['the channels of Source 1'])->and($rig->picks['cast/source-1']->channels)->toBeNull();
    // One without devices loses the picks, which are named.
    [$rig, $losses] = swapped($draft(), desk(['a' => []], ['main' => []]));
    expect($losses)->toBe(['W-1', 'the settings of the device Box', 'the pick of Game: Game sound', 'the pick of Cast: Source 1'])
        ->and($rig->picks)->toBe([])->and($rig->devices)->toBe([]);
});

it('lets a sound begin and a listener listen where the counterpart is', function () {
    $rig = Draft::rig()->tone('desk')
        ->unit('aside', ['sockets' => [['id' => 'jack', 'label' => 'Jack', 'connector' => 'trs-3.5', 'signal' => 'consumer-line',
            'lanes' => [['id' => 'out', 'way' => 'out', 'point' => 'reed']]]],
            'points' => [['id' => 'reed', 'kind' => 'origin', 'channels' => 1]]])
        ->ear('hall')->cable('trs', 'desk/out', 'hall/in')->make();
    $edit = new SwapUnit('desk', $rig->modelOf('aside'));
    $after = $edit->applyTo($rig);
    expect($edit->losses($rig))->toBe([])->and((string) $after->sources['desk']->origins[0]->at)->toBe('desk/reed')
        ->and(audible($after, 'desk'))->toBeTrue();
    // A box that gives no sound takes its beginning away, and says so.
    $mute = Draft::rig()->tone('desk')->unit('aside', desk(['a' => []], ['main' => []]))->ear('hall')->make();
    $edit = new SwapUnit('desk', $mute->modelOf('aside'));
    expect($edit->losses($mute))->toBe(['a sound beginning at tone'])->and($edit->applyTo($mute)->sources['desk']->origins)->toBe([]);
});
