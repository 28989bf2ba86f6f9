<?php

declare(strict_types=1);

use HiddenWire\Core\Document\Catalogue;
use HiddenWire\Core\Document\DocumentWriter;
use HiddenWire\Core\Edit\AddSituation;
use HiddenWire\Core\Edit\AddUnit;
use HiddenWire\Core\Edit\ClearChange;
use HiddenWire\Core\Edit\CopyUnit;
use HiddenWire\Core\Edit\DescribeRig;
use HiddenWire\Core\Edit\DescribeUnit;
use HiddenWire\Core\Edit\EnableDevice;
use HiddenWire\Core\Edit\MarkWish;
use HiddenWire\Core\Edit\MoveUnit;
use HiddenWire\Core\Edit\Named;
use HiddenWire\Core\Edit\OrderStart;
use HiddenWire\Core\Edit\PlaceListener;
use HiddenWire\Core\Edit\PlaceSound;
use HiddenWire\Core\Edit\Plug;
use HiddenWire\Core\Edit\PutBetween;
use HiddenWire\Core\Edit\RemoveListener;
use HiddenWire\Core\Edit\RemovePlace;
use HiddenWire\Core\Edit\RemoveSituation;
use HiddenWire\Core\Edit\RemoveSound;
use HiddenWire\Core\Edit\Rename;
use HiddenWire\Core\Edit\RenumberCables;
use HiddenWire\Core\Edit\Replug;
use HiddenWire\Core\Edit\RigEdit;
use HiddenWire\Core\Edit\SetCable;
use HiddenWire\Core\Edit\SetDevice;
use HiddenWire\Core\Edit\SetPoint;
use HiddenWire\Core\Edit\SetRoute;
use HiddenWire\Core\Edit\SetWish;
use HiddenWire\Core\Edit\SwapUnit;
use HiddenWire\Core\Edit\Unplug;
use HiddenWire\Core\Equipment\CableType;
use HiddenWire\Core\Equipment\EquipmentModel;
use HiddenWire\Core\History\Elements;
use HiddenWire\Core\History\RigDifference;
use HiddenWire\Core\Planning\Between;
use HiddenWire\Core\Quantity\Decibels;
use HiddenWire\Core\Quantity\Milliseconds;
use HiddenWire\Core\Rig\Apart;
use HiddenWire\Core\Rig\Cable;
use HiddenWire\Core\Rig\DeviceRef;
use HiddenWire\Core\Rig\DeviceSettings;
use HiddenWire\Core\Rig\InvalidRig;
use HiddenWire\Core\Rig\Naming;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\PointSettings;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\Role;
use HiddenWire\Core\Rig\RouteRef;
use HiddenWire\Core\Rig\RouteSettings;
use HiddenWire\Core\Rig\SocketRef;
use HiddenWire\Core\Rig\Want;
use HiddenWire\Core\Signal\HearingDifference;
use Tests\Support\Draft;

function night(): Rig
{
    static $rig;

    return $rig ??= Draft::from(dirname(__DIR__, 2).'/resources/rigs/night-relay.json')->make();
}

function shelf(): Catalogue
{
    static $catalogue;

    return $catalogue ??= Catalogue::of((function () {
        foreach (glob(dirname(__DIR__, 2).'/resources/catalogue/*.json') ?: [] as $file) {
            yield basename($file, '.json') => (string) file_get_contents($file);
        }
    })());
}

function modelOf(string $id): EquipmentModel
{
    return shelf()->models[$id];
}

it('builds and says what it did', function (RigEdit $edit, string $words, callable $holds) {
    $before = (new DocumentWriter)->write(night());
    $after = $edit->applyTo(night());
    expect($edit->words(night()))->toBe($words)->and($holds($after))->toBeTrue()
        ->and((new DocumentWriter)->write($after))->not->toBe($before)->and((new DocumentWriter)->write(night()))->toBe($before);
})->with([
    'a place\'s name' => [new Rename(Named::Place, 'hall', 'Great hall'), 'Arcade hall renamed to Great hall',
        fn (Rig $rig) => $rig->places['hall']->name === 'Great hall'],
    'a situation\'s name' => [new Rename(Named::Situation, 'off', 'Dark'), 'Off renamed to Dark',
        fn (Rig $rig) => $rig->situations['off']->name === 'Dark' && count($rig->situations['off']->changes) === 7],
    'the rig\'s name' => [new DescribeRig('Day relay', 'By day.'), 'Rig renamed to Day relay',
        fn (Rig $rig) => $rig->name === 'Day relay' && $rig->summary === 'By day.'],
    'a unit\'s notes' => [new DescribeUnit('card', ['name' => 'Capture card', 'firmware' => '2.1', 'serial' => 'A-77', 'notes' => 'slot 3', 'needs' => ['cast-pc'], 'atLogin' => false]),
        'Capture card: firmware 2.1, serial number A-77, notes, needs Broadcast computer',
        fn (Rig $rig) => [$rig->units['card']->firmware, $rig->units['card']->serial, $rig->units['card']->notes,
            $rig->units['card']->needs] === ['2.1', 'A-77', 'slot 3', ['cast-pc']]],
    'a unit elsewhere' => [new MoveUnit('webcam', 'hall'), 'Webcam moved to Arcade hall',
        fn (Rig $rig) => $rig->units['webcam']->place === 'hall' && count($rig->cables) === 34],
    'a copy' => [new CopyUnit('mixer'), 'New unit: Desk mixer 2, a copy of Desk mixer',
        fn (Rig $rig) => $rig->units['desk-mixer-2']->points == $rig->units['mixer']->points
        && $rig->units['desk-mixer-2']->routes == $rig->units['mixer']->routes],
    'three of a kind' => [new AddUnit(modelOf('dynamic-microphone'), 'hall', 'Floor mic', 3),
        'New units: Floor mic, Floor mic 2, Floor mic 3 (Dynamic microphone), Arcade hall',
        fn (Rig $rig) => isset($rig->units['floor-mic'], $rig->units['floor-mic-2'], $rig->units['floor-mic-3'])],
    'a place away' => [new RemovePlace('corner'),
        'Removed Console corner, and with it Old console, Picture splitter, RCA adapter, Corner monitor',
        fn (Rig $rig) => ! isset($rig->places['corner']) && ! isset($rig->units['old-console'], $rig->cables['w-25'])],
    'a computer\'s place away, programs first' => [new RemovePlace('sim'), 'Removed '.night()->places['sim']->name.', and with it '
        .implode(', ', array_map(fn ($unit) => $unit->name, array_filter(night()->units, fn ($unit) => $unit->place === 'sim'))),
        fn (Rig $rig) => array_filter($rig->units, fn ($unit) => $unit->place === 'sim') === []],
    'a cable described' => [new SetCable('w-07', 'OPT-1', CableType::Optical, 2.5, 'black', false),
        'W-07: is labelled OPT-1 now, 2.5 m, black, to buy',
        fn (Rig $rig) => [$rig->cables['w-07']->label, $rig->cables['w-07']->lengthM, $rig->cables['w-07']->colour,
            $rig->cables['w-07']->owned] === ['OPT-1', 2.5, 'black', false]],
    'a situation' => [new AddSituation('Interval', 'break'), 'New situation: Interval, a copy of Break',
        fn (Rig $rig) => $rig->situations['interval']->changes == $rig->situations['break']->changes],
    'a situation away' => [new RemoveSituation('talk'), 'Removed the situation Off-air talk, and with it the way there by Key 3 (Off-air talk)',
        fn (Rig $rig) => ! isset($rig->situations['talk'])],
    'one change back' => [new ClearChange('break', 'broadcast/source-3'), 'Break: Broadcast program · Caller (Source 3) reset to the default',
        fn (Rig $rig) => count($rig->situations['break']->changes) === 5],
    'all changes back' => [new ClearChange('break'), 'Break: all reset to the default',
        fn (Rig $rig) => $rig->situations['break']->changes === []],
    'a device' => [new SetDevice(new DeviceSettings(
        'cast-pc',
        DeviceRef::lane('mixer', 'usb', 'play'),
        'Desk',
        roles: [Role::Playback],
        rateHz: 44100,
        bits: 16,
    )), 'Broadcast computer: Desk return renamed to Desk, default for playback, 44100 Hz 16 bits',
        fn (Rig $rig) => array_values(array_filter(
            $rig->devices,
            fn ($one) => (string) $one->device === 'cast-pc/hdmi/sound',
        ))[0]->roles === []],
    'the start order' => [new OrderStart('sim', ['mic-relay', 'voice-relay']),
        'Rally simulator starts Microphone repeater, Voice repeater', fn (Rig $rig) => $rig->units['mic-relay']->start === 1
        && $rig->units['voice-relay']->start === 2 && $rig->units['game']->start === null],
    'a level of its own' => [new MarkWish('voice', 'viewers', Apart::Listeners, false), 'Presenter voice at Viewers: own level, apart from other listeners',
        fn (Rig $rig) => array_values(array_filter($rig->wishes, fn ($wish) => $wish->source === 'voice'
        && $wish->listener === 'viewers'))[0]->ownLevel === Apart::Listeners],
    'a second origin' => [new PlaceSound('voice', new PointRef('webcam', 'capsule'), Decibels::of(-20)),
        'Presenter voice starts at Capsule of Webcam, −20.0 dB',
        fn (Rig $rig) => count($rig->sources['voice']->origins) === count(night()->sources['voice']->origins) + 1],
    'a listener elsewhere' => [new PlaceListener('viewers', new PointRef('broadcast', 'stream'), false),
        'Viewers no longer listens at Stream of Broadcast program', fn (Rig $rig) => $rig->listeners['viewers']->at === []],
    'a sound away' => [new RemoveSound('music'), 'Removed the sound '.night()->sources['music']->name,
        fn (Rig $rig) => array_filter($rig->wishes, fn ($wish) => $wish->source === 'music') === []],
    'a listener away' => [new RemoveListener('team'), 'Removed the listener Driver\'s team',
        fn (Rig $rig) => ! isset($rig->listeners['team'])],
    'a delay' => [new SetPoint(new PointRef('broadcast', 'source-5'), new PointSettings(delay: Milliseconds::of(80))),
        'Broadcast program: Old console (Source 5) delay 80.0 '
        .'ms', fn (Rig $rig) => $rig->units['broadcast']->points['source-5']->delay?->value() === 80.0],
]);

it('refuses what would leave no rig', function (RigEdit $edit, string $says) {
    expect(fn () => $edit->applyTo(night()))->toThrow(InvalidRig::class, $says);
})->with([
    'a label twice' => [new SetCable('w-07', 'W-08', CableType::Optical, null, '', true), 'The label W-08 is on another cable'],
    'a taken socket' => [new Replug('w-18', false, new SocketRef('isolator-c', 'in')), 'has W-29 in it'],
    'the base away' => [new RemoveSituation('on-air'), 'it stays'],
    'a computer out of its programs\' place' => [new MoveUnit('cast-pc', 'hall'), 'A program runs in a place that has a computer'],
    'longer than it holds' => [new SetPoint(new PointRef('broadcast', 'source-5'), new PointSettings(delay: Milliseconds::of(2500))),
        'goes up to 2000.0 ms; 2500.0 ms lies outside'],
    'a delay where there is none' => [new SetPoint(new PointRef('mixer', 'ch-1'), new PointSettings(delay: Milliseconds::of(1))),
        '"Mic 1" has no delay'],
]);

it('replugs the other end, and what flowed flows there', function () {
    $rig = Draft::rig()->tone('player')->ear('left')->ear('right')->cable('trs', 'player/out', 'left/in')->make();
    $moved = (new Replug('w-1', false, new SocketRef('right', 'in')))->applyTo($rig);
    expect(hearingOf($moved)->pair('player', 'left')->arrivals())->toBe([])->and(hearingOf($moved)->pair('player', 'right')->arrivals())
        ->toHaveCount(1)
        ->and($moved->cables['w-1']->label)->toBe('W-1')->and((string) $moved->cables['w-1']->to)->toBe('right/in');
});

it('takes a copied situation\'s wishes along, and a removed one\'s away', function () {
    $rig = (new AddSituation('Interval', 'break'))->applyTo(night());
    $pairs = fn (Rig $rig, string $situation): int => count(array_filter(
        $rig->wishes,
        fn ($wish) => in_array($situation, $wish->situations, true),
    ));
    expect($pairs($rig, 'interval'))->toBe($pairs($rig, 'break'))->toBeGreaterThan(3)
        ->and($pairs((new RemoveSituation('break'))->applyTo($rig), 'interval'))->toBe($pairs($rig, 'interval'))
        ->and($pairs((new RemoveSituation('interval'))->applyTo($rig), 'break'))->toBe($pairs(night(), 'break'));
});

it('numbers cables anew in their order', function () {
    $rig = (new RenumberCables)->applyTo((new Unplug('w-07'))->applyTo(night()));
    expect(array_map(fn ($cable) => $cable->label, array_values($rig->cables)))
        ->toBe(array_map(fn (int $number) => sprintf('W-%02d', $number), range(1, 33)))->and($rig->cables['w-08']->label)->toBe('W-07');
});

it('marks a wish only where there is one', function () {
    expect(fn () => (new MarkWish('music', 'viewers', Apart::Both, true))->applyTo((new SetWish('music', 'viewers', null))->applyTo(night())))
        ->toThrow(InvalidRig::class, 'Say first');
});

it('counts names on', function () {
    expect(Naming::next('Mic', ['Mic']))->toBe('Mic 2')->and(Naming::next('Mic 2', ['Mic', 'Mic 2']))->toBe('Mic 3')
        ->and(Naming::next('Line 3/4', []))->toBe('Line 3/4 2');
});

it('enables a device and leaves its name and roles', function () {
    $off = (new EnableDevice('cast-pc', DeviceRef::lane('mixer', 'usb', 'rec'), false))->applyTo(night());
    $set = array_values(array_filter($off->devices, fn ($one) => (string) $one->device === 'mixer/usb/rec'))[0];
    expect([$set->enabled, $set->name, $set->roles, $set->rateHz])->toBe([false, 'Desk programme', [Role::Recording], 48000]);
});

it('holds a source back in the viewers\' ears by what is set, and lines a late picture up', function () {
    $delay = fn (Rig $rig): float => hearingOf($rig)->pair('voice', 'viewers')->arrivals()[0]->delay->value();
    $held = (new SetPoint(new PointRef('broadcast', 'source-1'), new PointSettings(delay: Milliseconds::of(120))))->applyTo(night());
    expect(round($delay($held) - $delay(night()), 3))->toBe(120.0);
});

describe('a swap', function () {
    it('keeps everything when the model is the same', function () {
        foreach (['mixer', 'broadcast', 'cast-pc', 'card', 'driver-headset'] as $unit) {
            $edit = new SwapUnit($unit, night()->modelOf($unit));
            expect($edit->losses(night()))->toBe([])->and((new DocumentWriter)->write($edit->applyTo(night())))
                ->toBe((new DocumentWriter)->write(night()));
        }
    });

    it('keeps a microphone\'s cable and voice, whatever the socket is called', function () {
        // Behind a booster a condenser has no phantom power; the desk gives it.
        $desk = (new Plug(new SocketRef('presenter-mic', 'out'), new SocketRef('mixer', 'mic-1')))->applyTo((new Unplug('w-02'))->applyTo((new Unplug('w-01'))->applyTo(night())));
        $edit = new SwapUnit('presenter-mic', modelOf('condenser-microphone'));
        expect(hearingOf($edit->applyTo(night()))->pair('voice', 'viewers')->arrivals())->toBe([]);
        $rig = $edit->applyTo($desk);
        expect($edit->losses(night()))->toBe([])->and($rig->units['presenter-mic']->model)->toBe('condenser-microphone')
            ->and(array_key_exists('dynamic-microphone', $rig->models))->toBeFalse()
            ->and((string) array_values(array_filter($rig->cables, fn (Cable $one) => (string) $one->to === 'mixer/mic-1'))[0]->from)->toStartWith('presenter-mic/')
            ->and(hearingOf($rig)->pair('voice', 'viewers')->arrivals())->not->toBe([]);
    });

    it('lists before it acts what will not fit', function () {
        $edit = new SwapUnit('mixer', modelOf('two-channel-interface'));
        $losses = $edit->losses(night());
        $rig = $edit->applyTo(night());
        $lostCables = array_diff(array_keys(night()->cables), array_keys($rig->cables));
        expect($losses)->not->toBe([])->and($lostCables)->not->toBe([])->and(array_map('strtolower', $losses))
            ->toContain(...array_values($lostCables))
            ->and($edit->words(night()))->toContain('Desk mixer is a ', 'what did not fit: ');
    });

    it('keeps both when the rig has another model of that id', function () {
        $own = modelOf('dynamic-microphone')->with(name: 'My microphone');
        $rig = (new SwapUnit('presenter-mic', $own))->applyTo(night());
        expect($rig->modelOf('presenter-mic')->name)->toBe('My microphone')->and($rig->units['presenter-mic']->model)
            ->toBe('dynamic-microphone-2');
    });

    it('gives a rig for any unit and any model of its family, and never loses a cable in silence', function () {
        foreach (night()->units as $unit) {
            foreach (shelf()->models as $model) {
                if ($model->family === night()->modelOf($unit)->family) {
                    $edit = new SwapUnit($unit->id, $model);
                    $rig = $edit->applyTo(night());
                    $lost = array_map(
                        fn (string $id) => night()->cables[$id]->label,
                        array_values(array_diff(array_keys(night()->cables), array_keys($rig->cables))),
                    );
                    expect(array_diff($lost, $edit->losses(night())))->toBe([]);
                }
            }
        }
    });
});

describe('between two sockets', function () {
    it('offers the adapter that is missing, and plugs it in with its two cables', function () {
        $rig = Draft::rig()->unit('head', 'trrs-headset')->unit('pc', 'gaming-computer')->make();
        $offers = (new Between($rig, shelf()))->offers(new SocketRef('pc', 'line-out'), new SocketRef('head', 'plug'));
        $ids = array_map(fn (PutBetween $offer) => $offer->model->id, $offers);
        expect($ids)->not->toBe([]);
        foreach ($offers as $offer) {
            $after = $offer->applyTo($rig);
            expect(count($after->units))->toBe(3)->and(count($after->cables))->toBe(2);
        }
    });

    it('puts an isolator into a cable, and the first stretch keeps the label', function () {
        $offers = (new Between(night(), shelf()))->offers(new SocketRef('mixer', 'phones'), new SocketRef('headphones', 'plug'));
        $isolator = array_values(array_filter($offers, fn (PutBetween $offer) => $offer->model->id === 'isolator-stereo'))[0];
        $rig = $isolator->applyTo(night());
        expect($rig->cables['w-04']->label)->toBe('W-04')->and((string) $rig->cables['w-04']->from)->toBe('mixer/phones')
            ->and($rig->cables['w-04']->to->unit)->not->toBe('headphones')
            ->and(array_key_last($rig->cables))->toBe('w-35')->and(hearingOf($rig)->pair('voice', 'presenter')->arrivals())->not->toBe([])
            ->and($isolator->words(night()))->toContain('between Phones of Desk mixer and Plug of ');
    });

    it('offers a booster for a quiet microphone, and it lifts what arrives by its gain', function () {
        $rig = (new Unplug('w-02'))->applyTo((new Unplug('w-01'))->applyTo(night()));
        $offers = (new Between($rig, shelf()))->offers(new SocketRef('presenter-mic', 'out'), new SocketRef('mixer', 'mic-1'));
        $booster = array_values(array_filter($offers, fn (PutBetween $offer) => $offer->model->id === 'line-booster'))[0];
        $plain = (new Plug(new SocketRef('presenter-mic', 'out'), new SocketRef('mixer', 'mic-1')))->applyTo($rig);
        $level = fn (Rig $rig): float => hearingOf($rig)->pair('voice', 'viewers')->arrivals()[0]->gain->value();
        expect($level($booster->applyTo($rig)) - $level($plain))->toBe(25.0);
    });

    it('splits a taken output: what was plugged there goes on', function () {
        $rig = Draft::rig()->tone('player')->ear('one')->ear('two')->cable('trs', 'player/out', 'one/in')->make();
        $offers = (new Between($rig, shelf()))->offers(new SocketRef('player', 'out'), new SocketRef('two', 'in'));
        $splitter = array_values(array_filter($offers, fn (PutBetween $offer) => $offer->beside !== null))[0];
        $hearing = hearingOf($splitter->applyTo($rig));
        expect($hearing->pair('player', 'one')->arrivals())->not->toBe([])->and($hearing->pair('player', 'two')->arrivals())->not->toBe([]);
    });

    it('offers nothing where nothing helps', function () {
        expect((new Between(night(), shelf()))->offers(new SocketRef('card', 'picture-out'), new SocketRef('headphones', 'plug')))->toBe([]);
    });
});

describe('what two people change', function () {
    it('is apart where they touch different things', function (RigEdit $mine, RigEdit $theirs, bool $meet) {
        $now = $theirs->applyTo(night());
        $touched = array_intersect(Elements::changed(night(), $now), Elements::changed($now, $mine->applyTo($now)));
        expect($touched !== [])->toBe($meet);
    })->with([
        'two mutes' => [new SetPoint(new PointRef('mixer', 'ch-1'), new PointSettings(mute: true)),
            new SetPoint(new PointRef('mixer', 'ch-2'), new PointSettings(mute: true)), false],
        'one point' => [new SetPoint(new PointRef('mixer', 'ch-1'), new PointSettings(mute: true)),
            new SetPoint(new PointRef('mixer', 'ch-1'), new PointSettings(fader: Decibels::of(-3))), true],
        'two new cables' => [new Plug(new SocketRef('cast-pc', 'line-out'), new SocketRef('card', 'line')), new RenumberCables, false],
        'a wish and a unit' => [new SetWish('voice', 'team', Want::May), new CopyUnit('mixer'), false],
        'one wish' => [new SetWish('voice', 'team', Want::May), new SetWish('voice', 'team', null), true],
        'one cable' => [new SetCable('w-04', 'W-04', CableType::Trs, 3.0, '', true),
            new SetCable('w-04', 'PH-1', CableType::Trs, null, '', true), true],
    ]);

    it('tells every element of a change', function () {
        expect(Elements::changed(night(), (new Unplug('w-07'))->applyTo(night())))->toBe(['cables/w-07'])
            ->and(Elements::changed(
                night(),
                (new SetRoute(new RouteRef('mixer', 'ch-usb>main'), new RouteSettings(on: true)))->applyTo(night()),
            ))
            ->toBe(['units/mixer/routes/ch-usb>main'])
            ->and(Elements::changed(
                night(),
                (new SetPoint(new PointRef('mixer', 'main'), new PointSettings(fader: Decibels::of(-3)), 'off'))->applyTo(night()),
            ))
            ->toBe(['situations/off/mixer/main']);
    });
});

describe('the difference of two revisions', function () {
    it('names what was plugged, set and named otherwise, and for whom the hearing changes', function () {
        $after = night();
        foreach ([new Unplug('w-07'), new SetRoute(new RouteRef('mixer', 'ch-usb>main'), new RouteSettings(on: true)),
            new Rename(Named::Unit, 'card', 'Grabber'), new MoveUnit('webcam', 'hall'),
            new SetWish('voice', 'team', Want::May), new OrderStart('cast', ['softmix', 'broadcast'])] as $edit) {
            $after = $edit->applyTo($after);
        }
        $difference = new RigDifference(night(), $after);
        $lines = $difference->lines();
        expect($lines['Cables'])->toBe(['W-07 is out: it joined Out 2 of Optical splitter and Optical in of Desk mixer'])
            ->and($lines['Places and units'])
            ->toContain(
                'Capture card renamed to Grabber',
                'Webcam moved from Presenter\'s desk to Arcade hall',
                'Broadcast program starts as number 2',
            )
            ->and($lines['Routes and settings'])->toContain('Desk mixer: Computer → Main on')->and($lines['Sounds, listeners and wishes'])
            ->toBe(['Presenter voice at Driver\'s team: may'])
            ->and(array_keys($lines))->not->toContain('Devices and picks');
        $hearing = $difference->hearing();
        expect(array_keys($hearing))->toBe(['On air', 'Break', 'Off-air talk', 'Off'])->and($hearing['On air']->pairs)->not->toBe([]);
    });

    it('says nothing of two equal rigs', function () {
        $difference = new RigDifference(night(), (new Replug('w-04', false, new SocketRef('headphones', 'plug')))->applyTo(night()));
        expect($difference->lines())->toBe([])->and(array_map(fn ($one) => $one->words(), $difference->hearing()))
            ->toBe(['On air' => [], 'Break' => [], 'Off-air talk' => [], 'Off' => []]);
    });
});

it('says for whom a change changes what is heard', function () {
    $rig = Draft::rig()->tone('music')->ear('viewers')->cable('trs', 'music/out', 'viewers/in')->wish('music', 'viewers', 'must')->make();
    $without = (new Unplug('w-1'))->applyTo($rig);
    expect((new HearingDifference(hearingOf($rig), hearingOf($without)))->words())->toBe(['no longer heard at Viewers: Music'])
        ->and((new HearingDifference(hearingOf($without), hearingOf($rig)))->words())->toBe(['now as wished at Viewers: Music'])
        ->and((new HearingDifference(hearingOf($rig), hearingOf($rig)))->words())->toBe([]);
    // The rally comes twice, at -6 and -3 dB: together -1.24 dB, and with the first at -12 dB -2.49 dB.
    $softer = (new SetPoint(new PointRef('broadcast', 'source-1'), new PointSettings(fader: Decibels::of(-6))))->applyTo(night());
    expect((new HearingDifference(hearingOf(night()), hearingOf($softer)))->words())
        ->toContain('quieter at Viewers: Presenter voice by 6.0 dB, Visitor voice by 6.0 dB, Driver voice by 6.0 dB, Rally engine by '
        .'1.3 dB, Old console by 6.0 dB');
});
