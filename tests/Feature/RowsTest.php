<?php

declare(strict_types=1);

use App\Actions\ChangeRig;
use App\Actions\ImportRig;
use App\Models\Rig;
use App\Models\User;
use App\Rigs\CatalogueFiles;
use App\Rigs\RigFromRows;
use App\Rigs\StoredRig;
use HiddenWire\Core\Document\DocumentWriter;
use HiddenWire\Core\Edit\AcceptFinding;
use HiddenWire\Core\Edit\AddPlace;
use HiddenWire\Core\Edit\AddSituation;
use HiddenWire\Core\Edit\AddSource;
use HiddenWire\Core\Edit\AddUnit;
use HiddenWire\Core\Edit\ChooseScene;
use HiddenWire\Core\Edit\ClearChange;
use HiddenWire\Core\Edit\ClearPlugs;
use HiddenWire\Core\Edit\CopyUnit;
use HiddenWire\Core\Edit\DescribeUnit;
use HiddenWire\Core\Edit\Follow;
use HiddenWire\Core\Edit\Grow;
use HiddenWire\Core\Edit\LinkLevels;
use HiddenWire\Core\Edit\MarkWish;
use HiddenWire\Core\Edit\MoveShowStep;
use HiddenWire\Core\Edit\MoveUnit;
use HiddenWire\Core\Edit\Named;
use HiddenWire\Core\Edit\NamePoint;
use HiddenWire\Core\Edit\PlayDevice;
use HiddenWire\Core\Edit\PlugInTurn;
use HiddenWire\Core\Edit\PlugLast;
use HiddenWire\Core\Edit\RemoveListener;
use HiddenWire\Core\Edit\RemovePlace;
use HiddenWire\Core\Edit\RemoveShowStep;
use HiddenWire\Core\Edit\RemoveSituation;
use HiddenWire\Core\Edit\RemoveSound;
use HiddenWire\Core\Edit\RemoveUnit;
use HiddenWire\Core\Edit\Rename;
use HiddenWire\Core\Edit\RenumberCables;
use HiddenWire\Core\Edit\RigEdit;
use HiddenWire\Core\Edit\SetBalance;
use HiddenWire\Core\Edit\SetDevice;
use HiddenWire\Core\Edit\SetEffect;
use HiddenWire\Core\Edit\SetFact;
use HiddenWire\Core\Edit\SetLoudness;
use HiddenWire\Core\Edit\SetMeasure;
use HiddenWire\Core\Edit\SetPick;
use HiddenWire\Core\Edit\SetPicture;
use HiddenWire\Core\Edit\SetPoint;
use HiddenWire\Core\Edit\SetProgramLevel;
use HiddenWire\Core\Edit\SetPulled;
use HiddenWire\Core\Edit\SetReason;
use HiddenWire\Core\Edit\SetScene;
use HiddenWire\Core\Edit\SetShowStep;
use HiddenWire\Core\Edit\SetSystemLevel;
use HiddenWire\Core\Edit\SetValue;
use HiddenWire\Core\Edit\SetWish;
use HiddenWire\Core\Edit\SwapUnit;
use HiddenWire\Core\Edit\SwitchEffect;
use HiddenWire\Core\Edit\Unplug;
use HiddenWire\Core\Equipment\EffectKind;
use HiddenWire\Core\Equipment\RouteSetting;
use HiddenWire\Core\Equipment\SettingKind;
use HiddenWire\Core\Quantity\Decibels;
use HiddenWire\Core\Quantity\Milliseconds;
use HiddenWire\Core\Rig\Acceptance;
use HiddenWire\Core\Rig\Apart;
use HiddenWire\Core\Rig\Certainty;
use HiddenWire\Core\Rig\DriverMode;
use HiddenWire\Core\Rig\Effect;
use HiddenWire\Core\Rig\ElementRef;
use HiddenWire\Core\Rig\Fact;
use HiddenWire\Core\Rig\Following;
use HiddenWire\Core\Rig\InvalidRig;
use HiddenWire\Core\Rig\MeasureKind;
use HiddenWire\Core\Rig\Ownership;
use HiddenWire\Core\Rig\Phase;
use HiddenWire\Core\Rig\Picture;
use HiddenWire\Core\Rig\PlaceKind;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\PointSettings;
use HiddenWire\Core\Rig\Processing;
use HiddenWire\Core\Rig\Rig as CoreRig;
use HiddenWire\Core\Rig\RouteRef;
use HiddenWire\Core\Rig\Scene;
use HiddenWire\Core\Rig\ShowStep;
use HiddenWire\Core\Rig\Side;
use HiddenWire\Core\Rig\SocketRef;
use HiddenWire\Core\Rig\SourceKind;
use HiddenWire\Core\Rig\Treatment;
use HiddenWire\Core\Rig\Unlisted;
use HiddenWire\Core\Rig\Want;
use HiddenWire\Core\Rig\WebLink;

/** Some change of a rig, by chance: of any kind, of anything in it. */
function someEdit(CoreRig $rig): ?RigEdit
{
    $one = fn (array $things) => $things === [] ? null : array_keys($things)[mt_rand(0, count($things) - 1)];
    [$unit, $place, $cable, $source, $listener, $situation] = array_map(
        $one,
        [$rig->units, $rig->places, $rig->cables, $rig->sources, $rig->listeners, $rig->situations],
    );
    $models = CatalogueFiles::catalogue()->models;
    $model = $models[$one($models)];
    $faders = $unit === null ? [] : array_filter($rig->modelOf($unit)->points, fn ($point) => $point->fader !== null);

    $steps = $rig->papers->steps;

    $device = $rig->devices === [] ? null : $rig->devices[mt_rand(0, count($rig->devices) - 1)];
    $picks = array_filter($rig->picks, fn ($pick) => $rig->point($pick->at)->picks !== null);

    $settings = $unit === null ? [] : array_values($rig->modelOf($unit)->settings);
    $points = $unit === null ? [] : array_values($rig->modelOf($unit)->points);
    [$following, $soloing] = [array_values(array_filter($points, fn ($point) => $point->canFollow !== [])),
        array_values(array_filter($points, fn ($point) => $point->solo !== null))];
    $inScenes = array_values(array_filter($points, fn ($point) => $point->inScenes));
    $racks = array_values(array_filter($points, fn ($point) => $point->effects !== null));
    $levels = $unit === null ? []
        : array_values(array_filter($rig->modelOf($unit)->routes, fn ($route) => $route->allows(RouteSetting::Db)));

    return match (mt_rand(0, 52)) {
        0 => new AddPlace('Place '.mt_rand(1, 99), PlaceKind::Desk),
        1 => $place === null ? null : new AddUnit($model, $place, $model->name, mt_rand(1, 2)),
        2 => $unit === null ? null : new CopyUnit($unit),
        3 => $unit === null ? null : new DescribeUnit($unit, ['name' => 'Unit '.mt_rand(1, 99), 'firmware' => '1.'.mt_rand(0, 9), 'serial' => '', 'notes' => 'note']),
        4 => $unit === null || $place === null ? null : new MoveUnit($unit, $place),
        5 => $unit === null ? null : new RemoveUnit($unit),
        6 => $unit === null ? null : new SwapUnit($unit, $model),
        7 => $place === null ? null : new RemovePlace($place),
        8 => $cable === null ? null : new Unplug($cable),
        9 => new RenumberCables,
        10 => new AddSource('Sound '.mt_rand(1, 99), SourceKind::Other, null),
        11 => $source === null ? null : new RemoveSound($source),
        12 => $listener === null ? null : new RemoveListener($listener),
        13 => new AddSituation('Situation '.mt_rand(1, 99), mt_rand(0, 1) === 0 ? null : (string) $situation),
        14 => new RemoveSituation((string) $situation),
        15 => new ClearChange((string) $situation),
        16 => $unit === null ? null : new Rename(Named::Unit, $unit, 'Name '.mt_rand(1, 99)),
        17 => $source === null ? null : new Rename(Named::Source, $source, 'Name '.mt_rand(1, 99)),
        18 => $faders === [] ? null
            : new SetPoint(
                new PointRef((string) $unit, (string) array_key_first($faders)),
                new PointSettings(fader: Decibels::of(-mt_rand(0, 20))),
                mt_rand(0, 1) === 0 ? null : (string) $situation,
            ),
        19 => $cable === null ? null : new SetReason(ElementRef::cable($cable), 'Since '.mt_rand(1, 99), mt_rand(0, 1) === 0),
        20 => $faders === [] ? null
            : new SetReason(ElementRef::read("units/{$unit}/points/".array_key_first($faders)), mt_rand(0, 2) === 0 ? '' : 'Loud', false),
        21 => new SetShowStep(new ShowStep(
            'step-'.mt_rand(1, 9),
            Phase::cases()[mt_rand(0, 4)],
            'Do it',
            mt_rand(0, 1) === 0 ? null : -mt_rand(0, 60),
            mt_rand(0, 40),
        )),
        22 => $steps === [] ? null : new MoveShowStep($steps[0]->id, mt_rand(0, 1) === 0),
        23 => $steps === [] ? null : new RemoveShowStep($steps[0]->id),
        24 => new AcceptFinding(new Acceptance(sprintf('%016x', mt_rand(0, 5)), 'It hums', 'Nobody minds')),
        25 => $unit === null ? null : new DescribeUnit($unit, ['price' => mt_rand(1, 99).' EUR', 'supplier' => 'A shop',
            'powerW' => mt_rand(0, 1) === 0 ? null : mt_rand(0, 900), 'ownership' => Ownership::cases()[mt_rand(0, 3)],
            'spareFor' => mt_rand(0, 2) === 0 ? null : array_values(array_diff([...array_keys($rig->units), null], [$unit]))[mt_rand(0, count($rig->units) - 1)],
            'links' => mt_rand(0, 1) === 0 ? [] : [new WebLink('Manual', 'https://example.test/'.mt_rand(1, 9))],
            'readyS' => mt_rand(0, 1) === 0 ? null : mt_rand(0, 60)]),
        26 => $device === null ? null : new SetSystemLevel(
            $device->computer,
            $device->device,
            Decibels::of(-mt_rand(0, 30)),
            mt_rand(0, 1) === 0,
            mt_rand(0, 1) === 0 ? null : (string) $situation,
        ),
        27 => $device === null ? null : new PlayDevice(
            $device->computer,
            $device->device,
            mt_rand(0, 1) === 0 ? null : $rig->devices[mt_rand(0, count($rig->devices) - 1)]->device,
        ),
        28 => $picks === [] ? null : new SetProgramLevel(
            array_values($picks)[0]->at,
            Decibels::of(-mt_rand(0, 30)),
            mt_rand(0, 1) === 0,
            mt_rand(0, 1) === 0 ? null : (string) $situation,
        ),
        29 => $settings === [] ? null : new SetValue((string) $unit, $settings[0]->id, match ($settings[0]->kind) {
            SettingKind::Choice => $settings[0]->choices[1], SettingKind::Toggle => true, SettingKind::Number => 3.5, SettingKind::Text => 'so',
        }, mt_rand(0, 1) === 0 ? null : (string) $situation),
        30 => $unit === null || $rig->modelOf($unit)->points === [] ? null
            : new NamePoint(new PointRef($unit, (string) $one($rig->modelOf($unit)->points)), mt_rand(0, 2) === 0 ? '' : 'Own '.mt_rand(1, 9)),
        31 => $cable === null ? null : new PlugLast($cable, mt_rand(0, 1) === 0 ? null : (string) $situation),
        32 => $device === null ? null : new SetDevice($device->with(
            unlisted: [null, ...Unlisted::cases()][mt_rand(0, 2)],
            processing: mt_rand(0, 1) === 0 ? [] : [Processing::cases()[mt_rand(0, 3)]],
        )),
        33 => $picks === [] ? null : new SetPick(
            array_values($picks)[0]->at,
            array_values($picks)[0]->with(mode: DriverMode::cases()[mt_rand(0, 2)]),
            mt_rand(0, 1) === 0 ? null : (string) $situation,
        ),
        34 => new ClearPlugs((string) $situation),
        35 => $following === [] ? null : new Follow(new PointRef((string) $unit, $following[0]->id), mt_rand(0, 2) === 0 ? null
            : new Following($following[0]->canFollow[0], mt_rand(0, 1) === 0)),
        36 => count($levels) < 2 ? null : new LinkLevels(
            new RouteRef((string) $unit, $levels[mt_rand(0, count($levels) - 1)]->key()),
            mt_rand(0, 2) === 0 ? null : $levels[0]->key(),
        ),
        38 => $racks === [] ? null : new SetEffect((string) $unit, new Effect(
            'effect-'.mt_rand(1, 5),
            $racks[0]->id,
            EffectKind::cases()[mt_rand(0, 5)],
            delay: mt_rand(0, 1) === 0 ? null : Milliseconds::of(mt_rand(1, 30)),
            db: mt_rand(0, 1) === 0 ? null : Decibels::of(mt_rand(-9, 9)),
        )),
        39 => $unit === null || $rig->units[$unit]->effects === [] ? null : new SwitchEffect(
            (string) $situation,
            (string) $unit,
            $rig->units[$unit]->effects[0]->id,
            [null, true, false][mt_rand(0, 2)],
        ),
        40 => $source === null || $listener === null ? null
            : new MarkWish(
                $source,
                $listener,
                [null, ...Apart::cases()][mt_rand(0, 3)],
                mt_rand(0, 1) === 0,
                [null, ...Treatment::cases()][mt_rand(0, 2)],
                [null, ...Side::cases()][mt_rand(0, 2)],
                mt_rand(0, 1) === 0,
                mt_rand(0, 1) === 0 ? null : Decibels::of(-mt_rand(0, 60)),
            ),
        43 => count($rig->listeners) < 2 || $listener === null ? null : new SetBalance(
            $listener,
            (string) $one(array_diff_key($rig->listeners, [$listener => 0])),
            [null, 3.0, 0.5][mt_rand(0, 2)],
        ),
        44 => $unit === null || $rig->modelOf($unit)->grows === [] ? null : new Grow($unit, (string) $one($rig->modelOf($unit)->grows), mt_rand(1, 5)),
        45 => $unit === null ? null : new SetFact(ElementRef::unit($unit), null, mt_rand(0, 2) === 0 ? null
            : new Fact(ElementRef::unit($unit), Certainty::cases()[mt_rand(0, 3)], 'It works', null, 'Ann', mt_rand(0, 1) === 0 ? '' : '2026-02-01', minutes: mt_rand(0, 1) === 0 ? null : 5)),
        52 => new SetMeasure(...[
            $source === null ? [ElementRef::unit((string) array_key_first($rig->units)), MeasureKind::Card] : [ElementRef::read("sources/{$source}"), MeasureKind::Speech],
            $cable === null ? [ElementRef::read('situations/'.$rig->base()->id), MeasureKind::Length] : [ElementRef::cable((string) $cable), MeasureKind::Delay],
        ][mt_rand(0, 1)], ...[[null], [mt_rand(31, 99) + 0.125]][mt_rand(0, 1)]),
        46 => $source === null ? null : new SetLoudness($source, mt_rand(0, 2) === 0 ? null : Decibels::of(mt_rand(-20, 20)), mt_rand(0, 1) === 0),
        47, 48 => $cable === null || count($rig->units) < 2 ? null : (function () use ($rig, $cable, $situation, $one) {
            $unit = (string) $one($rig->units);
            $sockets = $rig->modelOf($unit)->sockets;

            return $sockets === [] ? null : new PlugInTurn($rig->cables[$cable]->to, new SocketRef($unit, (string) $one($sockets)), (string) $situation);
        })(),
        49 => $cable === null ? null : new SetPulled((string) $situation, $cable, mt_rand(0, 1) === 0),
        50 => $inScenes === [] ? null : new SetPicture((string) $unit, new Picture(
            'picture-'.mt_rand(1, 2),
            'Screen',
            mt_rand(0, 1) === 0 ? null : Milliseconds::of(40),
            $inScenes[0]->id,
            mt_rand(0, 1) === 0,
        )),
        41 => $inScenes === [] ? null : new SetScene((string) $unit, new Scene('scene-'.mt_rand(1, 3), 'Scene', mt_rand(0, 1) === 0 ? [] : [$inScenes[0]->id])),
        42 => $unit === null || $rig->units[$unit]->scenes === [] ? null : new ChooseScene(
            (string) $situation,
            (string) $unit,
            mt_rand(0, 2) === 0 ? null : $rig->units[$unit]->scenes[0]->id,
        ),
        37 => $soloing === [] ? null : new SetPoint(
            new PointRef((string) $unit, $soloing[0]->id),
            new PointSettings(solo: mt_rand(0, 1) === 0),
            mt_rand(0, 1) === 0 ? null : (string) $situation,
        ),
        default => $source === null || $listener === null ? null
            : new SetWish($source, $listener, Want::cases()[mt_rand(0, 2)], mt_rand(0, 1) === 0 ? null : (string) $situation),
    };
}

it('holds in its rows exactly what the revision holds, whatever is done and undone in whatever order', function (string $file, int $seed) {
    mt_srand($seed);
    $user = User::factory()->create();
    $rig = app(ImportRig::class)($user, shipped($file));
    $change = app(ChangeRig::class);
    $made = 0;
    for ($i = 0; $i < 40; $i++) {
        $rig = Rig::query()->findOrFail($rig->id);
        if (mt_rand(0, 7) === 0) {
            mt_rand(0, 1) === 0 ? $change->undo($rig, $rig->revision) : $change->redo($rig, $rig->revision);
        } else {
            $edit = someEdit(StoredRig::load($rig));
            try {
                $made += $edit === null ? 0 : (int) ($change->make($rig, $user, fn () => [$edit], $rig->revision)->words !== '');
            } catch (InvalidRig) {
                // Not everything can be done to every rig; then nothing is.
            }
        }
        $now = Rig::query()->findOrFail($rig->id);
        $document = $now->revisions()->where('number', $now->at)->sole()->document;
        expect((new DocumentWriter)->write(RigFromRows::rig($now)))->toBe($document)
            ->and((new DocumentWriter)->write(StoredRig::load($now)))->toBe($document);
    }
    expect($made)->toBeGreaterThan(12);
})->with(['rigs/penny-slot.json', 'starters/machine-of-the-week.json', 'starters/tram-depot.json', 'starters/party-booth.json', 'starters/puppet-theatre.json',
    'starters/oral-history.json', 'starters/night-market.json', 'starters/guided-evening.json', 'starters/storm-watch.json', 'starters/quiz-night.json'])
    ->with([3, 17, 2026]);
