<?php

declare(strict_types=1);

use HiddenWire\Core\Document\DocumentReader;
use HiddenWire\Core\Document\DocumentWriter;
use HiddenWire\Core\Document\Growing;
use HiddenWire\Core\Document\InvalidDocument;
use HiddenWire\Core\Edit\Grow;
use HiddenWire\Core\Equipment\EquipmentModel;
use HiddenWire\Core\Rig\InvalidRig;
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
})->with(['call-service', 'growing-mixer', 'multitrack-recorder', 'multitrack-recorder-mono', 'workstation-program', 'broadcast-program', 'broadcast-program-small']);

it('sums several devices in one input, and plays one mix to two: by hand', function () {
    // Two microphones of one input at 0 dB each, into a mix at -6 dB that goes to the loudspeakers and to a headset.
    $draft = Draft::rig()->place('room')->unit('pc', 'laptop', 'room')->unit('mixer', 'growing-mixer', 'room')
        ->unit('mic', 'usb-microphone-plain')->unit('set', 'usb-headset')
        ->cable('usb', 'mic/usb', 'pc/usb-1')->cable('usb', 'set/usb', 'pc/usb-2')->grown('mixer', 'mixes', 2)
        ->pick('mixer/input-1', ['device' => 'mic/usb/rec', 'also' => ['set/usb/rec']])
        ->pick('mixer/mix-2', ['device' => 'pc/headset/phones', 'also' => ['set/usb/play']])
        ->set('mixer', 'points', 'mix-2', ['fader' => -6])
        ->source('ann', 'mic/capsule')->source('ben', 'set/capsule')->listener('head', 'set/ear');
    expect($draft->pair('ann', 'head')->level()?->value())->toBe(-6.0)->and($draft->pair('ben', 'head')->level()?->value())->toBe(-6.0);
});
