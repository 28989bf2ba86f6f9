<?php

declare(strict_types=1);

use HiddenWire\Core\Document\DocumentReader;
use HiddenWire\Core\Document\DocumentWriter;
use HiddenWire\Core\Document\Json;
use HiddenWire\Core\Edit\AddListener;
use HiddenWire\Core\Edit\AddPlace;
use HiddenWire\Core\Edit\AddSituation;
use HiddenWire\Core\Edit\AddSource;
use HiddenWire\Core\Edit\ClearChange;
use HiddenWire\Core\Edit\CopyUnit;
use HiddenWire\Core\Edit\DescribeRig;
use HiddenWire\Core\Edit\DescribeUnit;
use HiddenWire\Core\Edit\EnableDevice;
use HiddenWire\Core\Edit\MarkWish;
use HiddenWire\Core\Edit\MoveUnit;
use HiddenWire\Core\Edit\Named;
use HiddenWire\Core\Edit\OrderStart;
use HiddenWire\Core\Edit\PlaceSound;
use HiddenWire\Core\Edit\Plug;
use HiddenWire\Core\Edit\RemovePlace;
use HiddenWire\Core\Edit\RemoveSituation;
use HiddenWire\Core\Edit\RemoveUnit;
use HiddenWire\Core\Edit\Rename;
use HiddenWire\Core\Edit\Replug;
use HiddenWire\Core\Edit\RigEdit;
use HiddenWire\Core\Edit\SetAbsent;
use HiddenWire\Core\Edit\SetCable;
use HiddenWire\Core\Edit\SetPick;
use HiddenWire\Core\Edit\SetPoint;
use HiddenWire\Core\Edit\SetRoute;
use HiddenWire\Core\Edit\SetSituationDefault;
use HiddenWire\Core\Edit\SetWish;
use HiddenWire\Core\Edit\SwapUnit;
use HiddenWire\Core\Edit\Unplug;
use HiddenWire\Core\Equipment\CableType;
use HiddenWire\Core\Equipment\Direction;
use HiddenWire\Core\History\Elements;
use HiddenWire\Core\History\RigDifference;
use HiddenWire\Core\Quantity\Decibels;
use HiddenWire\Core\Rig\DeviceRef;
use HiddenWire\Core\Rig\InvalidRig;
use HiddenWire\Core\Rig\ListenerKind;
use HiddenWire\Core\Rig\Pick;
use HiddenWire\Core\Rig\PlaceKind;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\PointSettings;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\Role;
use HiddenWire\Core\Rig\RouteRef;
use HiddenWire\Core\Rig\RouteSettings;
use HiddenWire\Core\Rig\SocketRef;
use HiddenWire\Core\Rig\SourceKind;
use HiddenWire\Core\Rig\SystemDefault;
use HiddenWire\Core\Rig\Want;
use HiddenWire\Core\Signal\GraphBuilder;
use Tests\Support\Draft;

function relayRig(): Rig
{
    static $rig;

    return $rig ??= Draft::from(dirname(__DIR__, 2).'/resources/rigs/night-relay.json')->make();
}

/*
 * Every kind of change: the elements that it touches, and what the difference of two revisions says of it.
 */
dataset('changes', [
    'a cable out' => [new Unplug('w-20'), ['cables/w-20'], 'Cables',
        'W-20 is out: it joined HDMI of Broadcast computer and HDMI 1 of Broadcast monitor'],
    'a cable in' => [new Plug(new SocketRef('cast-pc', 'line-out'), new SocketRef('card', 'line')), ['cables/w-35'], 'Cables',
        'W-35 is new: Line out · green of Broadcast computer to Line in of Capture card'],
    'a cable moved' => [new Replug('w-20', false, new SocketRef('cast-monitor', 'hdmi-2')), ['cables/w-20'], 'Cables',
        'W-20 moved from HDMI 1 of Broadcast monitor to HDMI 2 of Broadcast monitor'],
    'a label' => [new SetCable('w-20', 'M-1', CableType::Hdmi, 1.5, '', true), ['cables/w-20'], 'Cables', 'W-20 is labelled M-1'],
    'a colour' => [new SetCable('w-20', 'W-20', CableType::Hdmi, 1.5, 'grey', false), ['cables/w-20'], 'Cables',
        'W-20 is an HDMI cable, 1.5 m, grey, to buy'],
    'a route' => [new SetRoute(new RouteRef('mixer', 'ch-usb>main'), new RouteSettings(on: true)), ['units/mixer/routes/ch-usb>main'],
        'Routes and settings', 'Desk mixer: Computer → Main on'],
    'a mute' => [new SetPoint(new PointRef('mixer', 'ch-1'), new PointSettings(mute: true)), ['units/mixer/points/ch-1'],
        'Routes and settings', 'Desk mixer: Mic 1 muted'],
    'a fader in a situation' => [new SetPoint(new PointRef('mixer', 'main'), new PointSettings(fader: Decibels::of(-3)), 'off'),
        ['situations/off/mixer/main'], 'Situations', 'Off: Desk mixer · Main fader −3.0 dB, muted'],
    'a pick' => [new SetPick(new PointRef('browser', 'sound'), new Pick(new PointRef('browser', 'sound'), null, SystemDefault::System)),
        ['picks/browser/sound'], 'Devices and picks', 'Browser: Pages uses the system default'],
    'a device off' => [new EnableDevice('cast-pc', DeviceRef::lane('card', 'usb', 'rec'), false), ['devices/cast-pc card/usb/rec'],
        'Devices and picks', 'Broadcast computer: Capture card with line in disabled'],
    'a unit moved' => [new MoveUnit('webcam', 'hall'), ['units/webcam'], 'Places and units',
        'Webcam moved from Presenter\'s desk to Arcade hall'],
    'a unit\'s firmware' => [new DescribeUnit('card', ['firmware' => '2.1']), ['units/card'], 'Places and units',
        'Capture card has firmware 2.1'],
    'a unit\'s name' => [new Rename(Named::Unit, 'card', 'Grabber'), ['units/card'], 'Places and units', 'Capture card renamed to Grabber'],
    'a copy' => [new CopyUnit('webcam'), ['units/webcam-2', 'units/webcam-2/values/level'], 'Places and units', 'Webcam 2 is new'],
    'a place' => [new AddPlace('Balcony', PlaceKind::Desk), ['places/balcony'], 'Places and units', 'Balcony is new'],
    'the start order' => [new OrderStart('sim', ['game']), ['units/voice-relay', 'units/mic-relay', 'units/picture-relay'],
        'Places and units', 'Voice repeater starts out of turn'],
    'a wish' => [new SetWish('voice', 'team', Want::May), ['wishes/voice team '], 'Sounds, listeners and wishes',
        'Presenter voice at Driver\'s team: may'],
    'alone' => [new MarkWish('voice', 'team', null, true), ['wishes/voice team '], 'Sounds, listeners and wishes',
        'Presenter voice at Driver\'s team: must not, alone'],
    'a sound' => [new AddSource('Kettle', SourceKind::Other, null), ['sources/kettle'], 'Sounds, listeners and wishes', 'Kettle is new'],
    'a listener' => [new AddListener('Choir', ListenerKind::Headphones, null), ['listeners/choir'], 'Sounds, listeners and wishes',
        'Choir is new'],
    'a program that does not run in a situation' => [new SetAbsent('off', 'browser', true), ['situations/off'], 'Situations',
        'Off: Browser not running'],
    'a default in a situation' => [
        new SetSituationDefault('off', 'cast-pc', Direction::Recording, Role::Recording, DeviceRef::lane('card', 'usb', 'rec')),
        ['situations/off'], 'Situations', 'Off: Broadcast computer: the default recording device is Capture card with line in'],
    'where a sound begins' => [new PlaceSound('voice', new PointRef('webcam', 'capsule'), Decibels::of(-20)), ['sources/voice'],
        'Sounds, listeners and wishes', 'Presenter voice starts at Presenter mic · Capsule and Webcam · Capsule at −20.0 dB'],
    'a situation' => [new AddSituation('Interval'), ['situations/interval'], 'Situations', 'Interval is new'],
    'a situation cleared' => [new ClearChange('break', 'broadcast/source-3'), ['situations/break/broadcast/source-3'], 'Situations',
        'Break: no longer Broadcast program · Caller (Source 3) muted'],
]);

it('touches the elements that it is about, and no other', function (RigEdit $edit, array $elements) {
    expect(Elements::changed(relayRig(), $edit->applyTo(relayRig())))->toEqualCanonicalizing($elements);
})->with('changes');

it('touches the same elements in the documents, read by nobody', function (RigEdit $edit, array $elements) {
    $write = fn (Rig $rig): string => (new DocumentWriter)->write($rig);
    expect(Elements::changedIn($write(relayRig()), $write($edit->applyTo(relayRig()))))->toEqualCanonicalizing($elements);
})->with('changes');

it('touches the same elements where two rigs have no thing in common', function (RigEdit $edit, array $elements) {
    $again = fn (Rig $rig): Rig => (new DocumentReader)->read((new DocumentWriter)->write($rig));
    expect(Elements::changed(relayRig(), $again($edit->applyTo(relayRig()))))->toEqualCanonicalizing($elements);
})->with('changes');

it('has a model among its elements, by its key', function () {
    $was = (new DocumentWriter)->write(relayRig());
    $said = Json::decode($was);
    $said->models->{'headphone-desk'}->name = 'Another desk';
    expect(Elements::changedIn($was, Json::encode($said)))->toBe(['models/headphone-desk']);
});

it('does not compare documents of which one is of an earlier version, or none', function (string $other) {
    $now = (new DocumentWriter)->write(relayRig());
    expect(Elements::changedIn($other, $now))->toBeNull()->and(Elements::changedIn($now, $other))->toBeNull()
        ->and(Elements::changedIn($now, $now))->toBe([]);
})->with(['{"format": "hidden-wire/rig", "version": 2, "name": "Night relay"}', '', 'no JSON', '[]']);

it('is told as a person would tell it', function (RigEdit $edit, array $elements, string $heading, string $line) {
    $lines = (new RigDifference(relayRig(), $edit->applyTo(relayRig())))->lines();
    expect(array_keys($lines))->toBe([$heading])->and($lines[$heading])->toContain($line);
})->with('changes');

it('is told the other way round when it is taken back', function (RigEdit $edit, array $elements, string $heading) {
    expect(array_keys((new RigDifference($edit->applyTo(relayRig()), relayRig()))->lines()))->toBe([$heading]);
})->with('changes');

it('touches all that hangs on a unit that goes', function () {
    $touched = Elements::changed(relayRig(), (new RemoveUnit('headset-amp'))->applyTo(relayRig()));
    expect($touched)->toContain(
        'units/headset-amp',
        'cables/w-06',
        'cables/w-08',
        'cables/w-09',
        'picks/game/chat',
        'picks/voice-relay/out',
        'picks/mic-relay/in',
        'devices/sim-pc headset-amp/usb/play',
        'models/headphone-desk',
    );
    $place = Elements::changed(relayRig(), (new RemovePlace('corner'))->applyTo(relayRig()));
    expect($place)->toContain('places/corner', 'units/old-console', 'cables/w-25', 'sources/console');
    $situation = Elements::changed(relayRig(), (new RemoveSituation('talk'))->applyTo(relayRig()));
    expect($situation)->toContain('situations/talk', 'situations/talk/mixer/ch-opt');
});

it('has the rig\'s name and summary among its elements', function () {
    expect(Elements::changed(relayRig(), (new DescribeRig('Day relay', relayRig()->summary))->applyTo(relayRig())))->toBe(['name'])
        ->and(Elements::changed(relayRig(), (new DescribeRig(relayRig()->name, ''))->applyTo(relayRig())))->toBe(['summary']);
});

it('keeps a copied unit apart from its original', function () {
    $both = (new SetPoint(new PointRef('desk-mixer-2', 'ch-1'), new PointSettings(mute: true)))
        ->applyTo($copied = (new CopyUnit('mixer'))->applyTo(relayRig()));
    expect(Elements::changed($copied, $both))->toBe(['units/desk-mixer-2/points/ch-1']);
});

it('tells a swap and its return in words, whichever sockets the other model has', function () {
    $swaps = 0;
    foreach (array_keys(shippedRigs()) as $number => $name) {
        $rig = (new DocumentReader)->read((string) file_get_contents(shippedRigs()[$name]));
        foreach ($rig->units as $id => $unit) {
            $now = $rig->modelOf($unit);
            // Every third model of its family, another third for each rig: all of them take minutes.
            foreach (array_values(wholeCatalogue()->models) as $which => $model) {
                if ($model->family !== $now->family || $model->id === $now->id || $which % 3 !== $number % 3) {
                    continue;
                }
                try {
                    $swapped = (new SwapUnit((string) $id, $model))->applyTo($rig);
                } catch (InvalidRig) {
                    continue;
                }
                $swaps++;
                foreach ([[$rig, $swapped], [$swapped, $rig]] as [$before, $after]) {
                    expect((new RigDifference($before, $after))->lines())->not->toBe([], "{$name}: {$id} to {$model->id}");
                }
            }
        }
    }
    expect($swaps)->toBeGreaterThan(150);
});

describe('what passes a point', function () {
    beforeEach(fn () => $this->names = fn (array $things): array => array_map(fn ($one) => $one->name, $things));

    it(
        'is every sound that reaches it as all stands, and whoever listens behind it',
        function (string $point, array $sounds, array $listeners) {
            $field = (new GraphBuilder(relayRig()))->build(relayRig()->situation())->field();
            expect(($this->names)($field->sourcesAt($point)))->toBe($sounds)->and(($this->names)($field->listenersBehind($point)))
                ->toBe($listeners);
        },
    )->with([
        'a microphone\'s strip' => ['mixer/ch-1', ['Presenter voice'],
            ['Presenter', 'Driver', 'Viewers', 'Archive', 'Clip, no talk', 'Navigator', 'Arcade hall']],
        'the mix for the driver' => ['mixer/aux-1', ['Presenter voice', 'Visitor voice', 'Music', 'Navigator', 'Call ring'],
            ['Driver']],
        'a player\'s out' => ['music/sound', ['Music'], ['Presenter', 'Driver', 'Viewers', 'Archive']],
        'a track that nothing is on' => ['broadcast/track-3', [], []],
    ]);

    it('changes with the situation', function () {
        $off = (new GraphBuilder(relayRig()))->build(relayRig()->situation('off'))->field();
        // Nothing comes through the muted main any more, though the hall still hangs behind it.
        expect(($this->names)($off->listenersBehind('mixer/main')))->toBe(['Arcade hall'])->and($off->sourcesAt('mixer/main'))->toBe([])
            ->and(($this->names)($off->sourcesAt('broadcast/track-1')))->not->toContain('Music');
    });

    it('begins nowhere for a sound without an origin', function () {
        $rig = (new PlaceSound('music', new PointRef('music', 'sound'), null))->applyTo(relayRig());
        $field = (new GraphBuilder($rig))->build($rig->situation())->field();
        expect($field->sourcesAt('music/sound'))->toBe([]);
    });
});
