<?php

declare(strict_types=1);

use HiddenWire\Core\Document\DocumentReader;
use HiddenWire\Core\Document\DocumentWriter;
use HiddenWire\Core\Document\Growing;
use HiddenWire\Core\Document\InvalidDocument;
use HiddenWire\Core\Edit\Grow;
use HiddenWire\Core\Equipment\EquipmentModel;
use HiddenWire\Core\Rig\InvalidRig;
use HiddenWire\Core\Rig\Rig;
use Tests\Support\Draft;

function callService(int $guests = 1, int $members = 1): EquipmentModel
{
    $model = Draft::rig()->place('far', 'remote')->unit('call', 'call-service', 'far')->make()->modelOf('call');

    return Growing::to(Growing::to($model, $model->grows['members'], $members), $model->grows['guests'], $guests);
}

/** A mixer of one strip, of which everything is said that a model can say of one. */
function growingMixer(): Draft
{
    return Draft::rig()->unit('desk', [
        'name' => 'Desk', 'family' => 'mixer',
        'sockets' => [
            ['id' => 'in-1', 'label' => 'In 1', 'connector' => 'trs-3.5', 'lanes' => [['id' => 'in', 'way' => 'in', 'point' => 'strip-1']]],
            ['id' => 'usb', 'label' => 'USB', 'connector' => 'usb-c', 'link' => 'device', 'lanes' => [
                ['id' => 'rec-1', 'way' => 'out', 'point' => 'strip-1', 'device' => ['direction' => 'recording', 'system_name' => 'Desk strip 1']],
                ['id' => 'rec', 'way' => 'out', 'point' => 'main', 'device' => ['direction' => 'recording', 'system_name' => 'Desk main']],
            ]],
            ['id' => 'screen', 'label' => 'Screen', 'connector' => 'hdmi', 'lanes' => []],
        ],
        'points' => [
            ['id' => 'strip-1', 'kind' => 'strip', 'label' => 'Strip 1', 'channels' => 2, 'mute' => false, 'solo' => 'main'],
            ['id' => 'main', 'kind' => 'bus', 'label' => 'Main', 'channels' => 2],
        ],
        'routes' => [['from' => 'strip-1', 'to' => 'main']],
        'settings' => [
            ['id' => 'armed-1', 'label' => 'Strip 1 armed', 'kind' => 'switch', 'factory' => true, 'effects' => [['value' => false, 'point' => 'strip-1', 'on' => false]]],
            ['id' => 'all', 'label' => 'All on', 'kind' => 'switch', 'factory' => true, 'effects' => [['value' => false, 'point' => 'strip-1', 'on' => false]]],
        ],
        'meters' => [['id' => 'level-1', 'label' => 'Level 1', 'point' => 'strip-1'], ['id' => 'main', 'label' => 'Main', 'point' => 'main']],
        'lamps' => [['id' => 'mute-1', 'label' => 'Mute 1', 'point' => 'strip-1']],
        'rules' => [['id' => 'dim-1', 'label' => 'Strip 1 alone', 'when' => [['point' => 'strip-1', 'is' => 'soloed']], 'routes' => ['strip-1>main' => false]]],
        'auto_mutes' => [['mutes' => 'strip-1', 'while_open' => ['strip-1']]],
        'grows' => [['id' => 'strips', 'label' => 'strip', 'least' => 1, 'most' => 3, 'parts' => ['in', 'strip', 'armed']]],
    ]);
}

it('joins three guests and a member as written out by hand: everybody hears all others, nobody themselves', function () {
    $model = callService(3);
    $routes = array_keys($model->routes);
    sort($routes);
    expect($routes)->toBe([
        'from-1>ear-1', 'from-1>ear-2', 'from-1>ear-3', 'voice-1>ear-2', 'voice-1>ear-3', 'voice-1>to-1', 'voice-2>ear-1', 'voice-2>ear-3',
        'voice-2>to-1', 'voice-3>ear-1', 'voice-3>ear-2', 'voice-3>to-1',
    ])->and(array_keys($model->points))->toBe(['from-1', 'to-1', 'voice-1', 'ear-1', 'voice-2', 'ear-2', 'voice-3', 'ear-3'])
        ->and($model->points['ear-3']->label)->toBe('Guest 3, ear');
});

it('joins two members and a guest, each member by a socket of their own', function () {
    $model = callService(1, 2);
    $routes = array_keys($model->routes);
    sort($routes);
    expect($routes)->toBe(['from-1>ear-1', 'from-1>to-2', 'from-2>ear-1', 'from-2>to-1', 'voice-1>to-1', 'voice-1>to-2'])
        ->and($model->sockets['member-2']->label)->toBe('Member 2')
        ->and(array_map(fn ($lane) => $lane->point, $model->sockets['member-2']->lanes))->toBe(['talk' => 'from-2', 'hear' => 'to-2']);
});

it('is the same whichever grows first, and the same again when it has shrunk', function () {
    $one = callService();
    $members = Growing::to($one, $one->grows['members'], 4);
    $both = Growing::to($members, $one->grows['guests'], 5);
    $routes = array_keys($both->routes);
    $other = array_keys(Growing::to(Growing::to($one, $one->grows['guests'], 5), $one->grows['members'], 4)->routes);
    sort($routes);
    sort($other);
    // 4 members and 5 guests: each of 9 to 8 others.
    expect($routes)->toHaveCount(72)->toBe($other)
        ->and(Growing::to(Growing::to($both, $one->grows['guests'], 1), $one->grows['members'], 1))->toEqual($one);
});

it('says of the next whatever is said of the last: sockets, devices, settings, meters, lamps, rules', function () {
    $rig = growingMixer()->grown('desk', 'strips', 2)->make();
    $model = $rig->modelOf('desk');
    expect(array_keys($model->sockets))->toBe(['in-1', 'in-2', 'usb', 'screen'])
        ->and(array_map(fn ($lane) => $lane->device?->systemName, $model->sockets['usb']->lanes))
        ->toBe(['rec-1' => 'Desk strip 1', 'rec-2' => 'Desk strip 2', 'rec' => 'Desk main'])
        ->and(array_keys($model->points))->toBe(['strip-1', 'strip-2', 'main'])
        ->and(array_keys($model->routes))->toBe(['strip-1>main', 'strip-2>main'])
        ->and(array_keys($model->settings))->toBe(['armed-1', 'armed-2', 'all'])
        ->and(array_map(fn ($effect) => $effect->point, $model->settings['armed-2']->effects))->toBe(['strip-2'])
        ->and(array_map(fn ($effect) => $effect->point, $model->settings['all']->effects))->toBe(['strip-1', 'strip-2'])
        ->and(array_keys($model->meters))->toBe(['level-1', 'level-2', 'main'])
        ->and($model->lamps['mute-2']->label)->toBe('Mute 2')
        ->and($model->rules['dim-1']->routes)->toBe(['strip-1>main' => false, 'strip-2>main' => false])
        ->and($model->autoMutes)->toHaveCount(2);
    expect((new Grow('desk', 'strips', 1))->applyTo($rig))->toEqual(growingMixer()->make());
});

it('keeps to its least and most, and lets nothing go that is in use', function () {
    $rig = growingMixer()->grown('desk', 'strips', 3)->set('desk', 'points', 'strip-3', ['mute' => true])->make();
    expect(fn () => (new Grow('desk', 'strips', 4))->applyTo($rig))->toThrow(InvalidRig::class, 'Desk has at most 3 strips.')
        ->and(fn () => (new Grow('desk', 'strips', 0))->applyTo($rig))->toThrow(InvalidRig::class, 'Desk has at least 1 strip.')
        ->and(fn () => (new Grow('desk', 'strips', 2))->applyTo($rig))->toThrow(InvalidRig::class, 'Strip 3 of Desk is in use')
        ->and(fn () => (new Grow('desk', 'feet', 2))->applyTo($rig))->toThrow(InvalidRig::class, 'doesn\'t grow');
});

it('leaves other units of the model as they are, and uses a model of the same size that is there', function () {
    $rig = Draft::rig()->place('far', 'remote')->unit('a', 'call-service', 'far')->unit('b', 'call-service', 'far')
        ->unit('c', 'call-service', 'far')->make();
    $rig = (new Grow('a', 'guests', 2))->applyTo($rig);
    expect([$rig->units['a']->model, $rig->units['b']->model])->toBe(['call-service-2', 'call-service']);
    $rig = (new Grow('b', 'guests', 2))->applyTo($rig);
    expect($rig->units['b']->model)->toBe('call-service-2')->and(array_keys($rig->models))->toHaveCount(2);
    // The last of the small ones goes with its model.
    $rig = (new Grow('c', 'guests', 2))->applyTo($rig);
    expect(array_keys($rig->models))->toBe(['call-service-2'])
        ->and((new Grow('c', 'guests', 3))->words($rig))->toBe('C has 3 guests');
});

it('is kept in documents, and refused where the parts are not there', function () {
    $rig = growingMixer()->grown('desk', 'strips', 3)->make();
    expect((new DocumentReader)->read((new DocumentWriter)->write($rig)))->toEqual($rig);
    $wrong = fn (array $growth) => growingMixer()->with(function (array $d) use ($growth) {
        $d['models']['model-desk']['grows'][0] = $growth + $d['models']['model-desk']['grows'][0];

        return $d;
    });
    expect(fn () => $wrong(['parts' => ['strip', 'pad']])->make())->toThrow(InvalidDocument::class, 'The model has 0 strips by these parts')
        ->and(fn () => $wrong(['most' => 65])->make())->toThrow(InvalidDocument::class)
        ->and(fn () => $wrong(['parts' => []])->make())->toThrow(InvalidDocument::class, 'Say by "parts"')
        ->and(fn () => $wrong(['between' => [['from' => 'strip', 'to' => 'main']]])->make())->toThrow(InvalidDocument::class, '"main" is none of its parts');
});

it('lets every model of the catalogue grow to its most and back, and it is sound at every size', function (string $id) {
    $rig = Draft::rig()->place('here')->unit('pc', 'laptop', 'here')->unit('it', $id, 'here')->make();
    foreach ($rig->modelOf('it')->grows as $growth) {
        $large = (new Grow('it', $growth->id, $growth->most))->applyTo($rig);
        expect($growth->count($large->modelOf('it')))->toBe($growth->most);
        $small = (new Grow('it', $growth->id, max(1, $growth->least)))->applyTo($large);
        $back = (new Grow('it', $growth->id, $growth->count($rig->modelOf('it'))))->applyTo($small);
        $ids = fn (EquipmentModel $model): array => array_keys($model->points + $model->settings + $model->meters + $model->routes + $model->sockets);
        expect($ids($back->modelOf('it')))->toEqualCanonicalizing($ids($rig->modelOf('it')));
    }
})->with(fn () => array_keys(array_filter(wholeCatalogue()->models, fn (EquipmentModel $model) => $model->grows !== [])));

it('sums several devices in one input, and plays one mix to two: by hand', function () {
    // Two microphones of one input at 0 dB each, into a mix at -6 dB that goes to the loudspeakers and to a headset.
    $draft = Draft::rig()->place('room')->unit('pc', 'laptop', 'room')->unit('mixer', 'software-mixer', 'room')
        ->unit('mic', 'usb-microphone-plain')->unit('set', 'usb-headset')
        ->cable('usb', 'mic/usb', 'pc/usb-1')->cable('usb', 'set/usb', 'pc/usb-2')->grown('mixer', 'mixes', 2)
        ->pick('mixer/input-1', ['device' => 'mic/usb/rec', 'also' => ['set/usb/rec']])
        ->pick('mixer/mix-2', ['device' => 'pc/headset/phones', 'also' => ['set/usb/play']])
        ->set('mixer', 'points', 'mix-2', ['fader' => -6])
        ->source('ann', 'mic/capsule')->source('ben', 'set/capsule')->listener('head', 'set/ear');
    expect($draft->pair('ann', 'head')->level()?->value())->toBe(-6.0)->and($draft->pair('ben', 'head')->level()?->value())->toBe(-6.0);
});

describe('what widens', function () {
    /** Channel pairs of the routes that join a point with another, by the other. @return array<string, list<array{int, int}>> */
    $maps = fn (EquipmentModel $model, string $point): array => array_map(
        fn ($route) => $route->map?->form ?? [],
        array_filter($model->routes, fn ($route) => $route->to === $point || $route->from === $point),
    );
    $channels = fn (Rig $rig, string $unit, string $lane): ?array => $rig->modelOf($unit)->sockets['usb']->lanes[$lane]->channels;

    it('gives a new pair channels of its own, before the optical pairs, both ways: by hand', function () use ($maps) {
        // Three pairs and an optical pair are eight channels; the fourth pair has 7 and 8, and the optical pair moves to 9 and 10.
        $model = Draft::rig()->unit('face', Draft::sized('pair-interface', ['pairs' => 4]))->make()->modelOf('face');
        expect([$model->points['usb-in']->channels, $model->points['usb-out']->channels])->toBe([10, 10])
            ->and($maps($model, 'usb-out'))->toMatchArray([
                'left-3>usb-out' => [[1, 5]], 'right-3>usb-out' => [[1, 6]], 'out-3>usb-out' => [[1, 5], [2, 6]],
                'left-4>usb-out' => [[1, 7]], 'right-4>usb-out' => [[1, 8]], 'out-4>usb-out' => [[1, 7], [2, 8]],
                'optical-in-1>usb-out' => [[1, 9], [2, 10]], 'optical-out-1>usb-out' => [[1, 9], [2, 10]],
            ])
            ->and($maps($model, 'usb-in'))->toMatchArray(['usb-in>play-4' => [[7, 1], [8, 2]], 'usb-in>optical-play-1' => [[9, 1], [10, 2]]]);
    });

    it('lets an output mirror the first, and the headphones any, at any size', function () {
        $draft = Draft::rig()->unit('face', Draft::sized('pair-interface', ['pairs' => 4]));
        $model = $draft->make()->modelOf('face');
        expect($model->points['out-4']->canFollow)->toBe(['out-1'])->and($model->points['phones']->canFollow)->toBe(['out-1', 'out-2', 'out-3', 'out-4'])
            ->and($model->points['optical-out-1']->canFollow)->toBe(['out-1', 'out-2', 'out-3', 'out-4']);
        // The fourth output plays its own pair, until it mirrors the first.
        $draft->tone('deck', 1, 'trs-6.35')->ear('hall', 1, 'trs-6.35')->cable('ts', 'deck/out', 'face/left-1')->cable('ts', 'face/out-left-4', 'hall/in')
            ->set('face', 'routes', 'left-1>out-1', ['on' => true]);
        expect($draft->pair('deck', 'hall')->isHeard())->toBeFalse();
        $draft->with(function (array $d) {
            $d['units'][0]['follows'] = ['out-4' => ['of' => 'out-1']];

            return $d;
        });
        expect($draft->pair('deck', 'hall')->isHeard())->toBeTrue();
    });

    it('loops a new pair back in place of its own inputs, and plays it to its own output', function () {
        $model = Draft::rig()->unit('face', Draft::sized('pair-interface', ['pairs' => 5]))->make()->modelOf('face');
        expect([$model->routes['left-5>usb-out']->group, $model->routes['out-5>usb-out']->group, $model->routes['out-4>usb-out']->group])
            ->toBe(['record-out-5', 'record-out-5', 'record-out-4'])
            ->and([$model->routes['left-5>usb-out']->on, $model->routes['out-5>usb-out']->on])->toBe([true, false])
            ->and([$model->routes['play-5>out-5']->on, $model->routes['play-5>out-1']->on, $model->routes['left-1>out-5']->on])
            ->toBe([true, false, false])
            // Each of ten inputs and of five pairs that are played, to each of five outputs.
            ->and(array_filter(array_keys($model->routes), fn (string $key) => preg_match('/^(left|right|play)-\d>out-\d$/', $key) === 1))->toHaveCount(75);
    });

    it('moves the mix behind the channels of a desk, and back', function () use ($maps, $channels) {
        // Four microphones and a stereo line are six channels; the mix has 7 and 8. With a fifth microphone it has 8 and 9.
        $rig = Draft::rig()->unit('desk', Draft::sized('channel-desk', ['mics' => 5]))->make();
        expect($channels($rig, 'desk', 'rec-mix'))->toBe([8, 9])->and($channels($rig, 'desk', 'rec-all'))->toBeNull()
            ->and($maps($rig->modelOf('desk'), 'usb-out'))->toBe([
                'mic-1>usb-out' => [[1, 1]], 'mic-2>usb-out' => [[1, 2]], 'mic-3>usb-out' => [[1, 3]], 'mic-4>usb-out' => [[1, 4]],
                'mic-5>usb-out' => [[1, 5]], 'line-1>usb-out' => [[1, 6], [2, 7]], 'main>usb-out' => [[1, 8], [2, 9]],
            ]);
        $small = (new Grow('desk', 'mics', 1))->applyTo($rig);
        expect($channels($small, 'desk', 'rec-mix'))->toBe([4, 5])->and($small->modelOf('desk')->points['usb-out']->channels)->toBe(5);
    });

    it('lets picks follow their channels, in situations too, and keeps a channel that is picked', function () {
        $rig = Draft::rig()->place('room')->unit('pc', 'laptop', 'room')->unit('rec', Draft::sized('multitrack-recorder', ['tracks' => 2]), 'room')
            ->unit('desk', 'channel-desk')->cable('usb', 'desk/usb', 'pc/usb-1')
            ->pick('rec/in-1', ['device' => 'desk/usb/rec-all', 'channels' => [4]])->pick('rec/in-2', ['device' => 'desk/usb/rec-all', 'channels' => [5, 6]])
            ->situation('mix', ['rec/in-2' => ['device' => 'desk/usb/rec-mix', 'channels' => [1, 2]]])
            ->situation('both', ['rec/in-2' => ['device' => 'desk/usb/rec-all', 'channels' => [7, 8]]])->make();
        $grown = (new Grow('desk', 'mics', 6))->applyTo($rig);
        expect($grown->picks['rec/in-1']->channels)->toBe([4])->and($grown->picks['rec/in-2']->channels)->toBe([7, 8])
            ->and($grown->situations['mix']->changes[0]->set->channels)->toBe([1, 2])
            ->and($grown->situations['both']->changes[0]->set->channels)->toBe([9, 10])
            ->and(fn () => (new Grow('desk', 'mics', 3))->applyTo($rig))->toThrow(InvalidRig::class, 'Channel 4 of Desk is picked by Rec · Input 1');
    });

    it('is refused where no map says which channels are meant', function () {
        $wide = fn (string $point) => growingMixer()->with(fn (array $d) => array_replace_recursive($d, ['models' => ['model-desk' => ['grows' => [['widens' => [$point]]]]]]));
        expect(fn () => $wide('main')->make())->toThrow(InvalidDocument::class, 'No route with a channel map joins the last strip and the point "main"')
            ->and(fn () => $wide('nothing')->make())->toThrow(InvalidDocument::class, 'No route with a channel map');
    });
});

it('gives each microphone of a desk its own choice between main and groups, and every new group to all', function () {
    $model = Draft::rig()->unit('desk', Draft::sized('group-desk', ['mics' => 4, 'groups' => 3]))->make()->modelOf('desk');
    $of = fn (string $from): array => array_map(
        fn ($route) => [$route->group, $route->on],
        array_filter($model->routes, fn ($route) => $route->from === $from && preg_match('/^(main|group-\d)$/', $route->to) === 1),
    );
    expect($of('mic-4'))->toBe(['mic-4>main' => ['of-mic-4', true], 'mic-4>group-1' => ['of-mic-4', false], 'mic-4>group-2' => ['of-mic-4', false],
        'mic-4>group-3' => ['of-mic-4', false]])
        ->and(array_unique(array_column($of('line-1'), 0)))->toBe(['of-line-1'])
        ->and($model->sockets['group-right-3']->label)->toBe('Group 3 right');
});

it('keeps every device of a mixer out of the list but the first where the mode says so, at any size', function () {
    $model = Draft::rig()->unit('desk', Draft::sized('usb-mixer', ['plays' => 4, 'feeds' => 3]))->make()->modelOf('desk');
    $hidden = fn (string $value): array => array_values(array_filter(
        ['usb/play-1', 'usb/play-2', 'usb/play-3', 'usb/play-4', 'usb/feed-1', 'usb/feed-2', 'usb/feed-3'],
        fn (string $device) => $model->settings['devices']->hides($device, $value),
    ));
    expect($hidden('Every device'))->toBe([])
        ->and($hidden('One each way'))->toBe(['usb/play-2', 'usb/play-3', 'usb/play-4', 'usb/feed-2', 'usb/feed-3']);
});

it('mutes the loudspeakers for every microphone that a mixer has', function () {
    $model = Draft::rig()->unit('desk', Draft::sized('two-computer-mixer', ['mics' => 5]))->make()->modelOf('desk');
    expect($model->autoMutes[0]->whileOpen)->toBe(['mic-1', 'mic-2', 'mic-3', 'mic-4', 'mic-5']);
});
