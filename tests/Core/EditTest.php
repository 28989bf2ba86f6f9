<?php

declare(strict_types=1);

use HiddenWire\Core\Document\DocumentWriter;
use HiddenWire\Core\Edit\MarkWish;
use HiddenWire\Core\Edit\RemoveUnit;
use HiddenWire\Core\Edit\RigEdit;
use HiddenWire\Core\Edit\SetPick;
use HiddenWire\Core\Edit\SetPoint;
use HiddenWire\Core\Edit\SetRoute;
use HiddenWire\Core\Edit\SetWish;
use HiddenWire\Core\Edit\SetWishes;
use HiddenWire\Core\Quantity\Decibels;
use HiddenWire\Core\Rig\Apart;
use HiddenWire\Core\Rig\InvalidRig;
use HiddenWire\Core\Rig\Naming;
use HiddenWire\Core\Rig\Pick;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\PointSettings;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\RouteRef;
use HiddenWire\Core\Rig\RouteSettings;
use HiddenWire\Core\Rig\Want;
use HiddenWire\Core\Signal\GraphBuilder;
use HiddenWire\Core\Signal\Hearing;
use HiddenWire\Core\Signal\Verdict;
use Tests\Support\Draft;

function relay(): Rig
{
    return Draft::from(dirname(__DIR__, 2).'/resources/rigs/night-relay.json')->make();
}

function heard(Rig $rig, ?string $situation = null): Hearing
{
    return new Hearing((new GraphBuilder($rig))
        ->build($rig->situation($situation) ?? throw new InvalidArgumentException("No situation {$situation}")));
}

it('says in words what is done', function (RigEdit $edit, string $words) {
    expect($edit->words(relay()))->toBe($words);
})->with([
    [new SetWish('voice', 'viewers', Want::MustNot), 'Presenter voice must not be heard by Viewers'],
    [new SetWish('voice', null, Want::May, 'break'), 'Presenter voice may be heard by every listener in Break'],
    [new SetWish(null, 'clip', null), 'No wish for any sound at Clip, no talk'],
    [new SetRoute(new RouteRef('mixer', 'ch-1>main'), new RouteSettings(on: false, db: Decibels::of(-3))),
        'Desk mixer: Mic 1 → Main off, at −3.0 dB'],
    [new SetPoint(new PointRef('mixer', 'ch-1'), new PointSettings(mute: true), 'off'), 'Desk mixer: Mic 1 muted in Off'],
    [new SetPick(new PointRef('chimes', 'sound'), null), 'Donation chimes: Chimes uses no device'],
]);

it('sets a wish for all situations, or for one and leaves the others', function () {
    $rig = (new SetWish('voice', 'viewers', Want::May))->applyTo(relay());
    foreach (['on-air', 'break', 'off'] as $situation) {
        expect(heard($rig, $situation)->pair('voice', 'viewers')->wish?->want)->toBe(Want::May);
    }
    $rig = (new SetWish('voice', 'viewers', Want::Must, 'talk'))->applyTo(relay());
    // What was said for break and talk together stays for the break.
    expect(heard($rig, 'talk')->pair('voice', 'viewers')->wish?->want)->toBe(Want::Must)
        ->and(heard($rig, 'break')->pair('voice', 'viewers')->wish?->want)->toBe(Want::MustNot)
        ->and(heard($rig, 'on-air')->pair('voice', 'viewers')->wish?->want)->toBe(Want::Must);
    expect(heard((new SetWish('voice', 'viewers', null))->applyTo(relay()))->pair('voice', 'viewers')->wish)->toBeNull();
});

it('fills a row and a column', function () {
    $rig = (new SetWish('pages', null, Want::May))->applyTo((new SetWish(null, 'team', Want::MustNot))->applyTo(relay()));
    foreach (heard($rig)->all() as $pair) {
        if ($pair->source->id === 'pages') {
            expect($pair->wish?->want)->toBe(Want::May);
        } elseif ($pair->listener->id === 'team') {
            expect($pair->wish?->want)->toBe(Want::MustNot);
        }
    }
});

it('keeps a change made in a situation to that situation', function () {
    $rig = (new SetPoint(new PointRef('mixer', 'ch-1'), new PointSettings(mute: true), 'break'))->applyTo(relay());
    expect(heard($rig, 'break')->pair('voice', 'ferry')->verdict)->toBe(Verdict::Missing)
        ->and(heard($rig)->pair('voice', 'ferry')->verdict)->toBe(Verdict::Ok);
    // Set again, it is one change there, not two.
    $again = (new SetPoint(new PointRef('mixer', 'ch-1'), new PointSettings(fader: Decibels::of(-9)), 'break'))->applyTo($rig);
    expect(count($again->situations['break']->changes))->toBe(count($rig->situations['break']->changes));
});

it('moves an exclusive selector as one change, for good and in a situation', function () {
    $rig = Draft::from(dirname(__DIR__, 2).'/resources/starters/regatta.json')->make();
    $back = (new SetRoute(new RouteRef('desk', 'mic-3>main'), new RouteSettings(on: true)))->applyTo($rig);
    expect(heard($back)->pair('starter', 'ears')->arrivals())->not->toBe([])->and(heard($back)->pair('starter', 'pier')->arrivals())->toBe([]);
    $there = (new SetRoute(new RouteRef('desk', 'mic-1>group-1'), new RouteSettings(on: true), 'start'))->applyTo($rig);
    expect(heard($there, 'start')->pair('ann', 'pier')->arrivals())->not->toBe([])->and(heard($there)->pair('ann', 'pier')->arrivals())->toBe([]);
});

it('leaves the rest of the document alone', function () {
    $rig = relay();
    $there = (new SetPick(
        new PointRef('chimes', 'sound'),
        new Pick(new PointRef('chimes', 'sound'), HiddenWire\Core\Rig\DeviceRef::point('softmix', 'played-1')),
    ))->applyTo($rig);
    $back = (new SetPick(new PointRef('chimes', 'sound'), $rig->picks['chimes/sound']))->applyTo($there);
    expect((new DocumentWriter)->write($back))->toBe((new DocumentWriter)->write($rig));
});

it('makes no rig that is none', function () {
    expect(fn () => (new SetPoint(new PointRef('mixer', 'ch-1'), new PointSettings(fader: Decibels::of(99))))->applyTo(relay()))
        ->toThrow(InvalidRig::class, 'lies outside');
});

it('takes any unit of the demo away and leaves a rig, without a trace of it', function () {
    $rig = relay();
    foreach (array_keys($rig->units) as $unit) {
        $isHost = $rig->modelOf($unit)->family->isHost();
        // A computer can't go while its programs are there: that is said, not guessed.
        if ($isHost) {
            expect(fn () => (new RemoveUnit($unit))->applyTo($rig))->toThrow(InvalidRig::class, 'A program runs in a place');

            continue;
        }
        $text = (new DocumentWriter)->write((new RemoveUnit($unit))->applyTo($rig));
        // No reference into it is left, and it is no unit and no need any more.
        expect($text)->not->toContain("\"{$unit}/")->not->toContain("{\"id\": \"{$unit}\", \"model\"")
            ->not->toMatch('/"needs": \[[^\]]*"'.preg_quote($unit, '/').'"/');
    }
});

it('gives ids that are free and plain', function (string $name, array $taken, string $id) {
    expect(Naming::id($name, $taken))->toBe($id);
})->with([['Old console', [], 'old-console'], ['Old console', ['old-console', 'old-console-2'], 'old-console-3'], ['Übermikro №5', [],
    'ubermikro-no5'], ['***', [], 'thing'], [str_repeat('x', 90), [], str_repeat('x', 56)]]);

it('paints cells of any shape with one wish, in all situations or one, and keeps what else was said of them', function () {
    $rig = (new MarkWish('voice', 'viewers', ownLevel: Apart::Listeners, alone: false))->applyTo(relay());
    $cells = [['voice', 'viewers'], ['ring', 'team'], ['voice', 'team']];
    $everywhere = (new SetWishes($cells, Want::May))->applyTo($rig);
    foreach ($cells as [$source, $listener]) {
        expect(heard($everywhere, 'break')->pair($source, $listener)->wish?->want)->toBe(Want::May);
    }
    expect(heard($everywhere)->pair('voice', 'viewers')->wish?->ownLevel)->toBe(Apart::Listeners);

    $there = (new SetWishes($cells, Want::MustNot, 'talk'))->applyTo($everywhere);
    $again = (new SetWishes($cells, null, 'talk'))->applyTo($there);
    expect(heard($there, 'talk')->pair('ring', 'team')->wish?->want)->toBe(Want::MustNot)
        ->and(heard($there)->pair('ring', 'team')->wish?->want)->toBe(Want::May)
        ->and($again->wishes)->toEqual($everywhere->wishes);
    expect((new SetWishes($cells, Want::May))->words($rig))->toBe('May hear: 3 cells')
        ->and((new SetWishes($cells, null, 'talk'))->words($rig))->toBe('No wish: 3 cells in Off-air talk')
        ->and((new SetWishes([['voice', 'team']], Want::Must))->words($rig))->toBe('Presenter voice must be heard by Driver\'s team')
        ->and((new SetWishes(array_map(fn ($id) => [$id, 'team'], array_keys($rig->sources)), Want::Must))->words($rig))
        ->toBe('Every sound must be heard by Driver\'s team');
});
