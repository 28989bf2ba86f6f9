<?php

declare(strict_types=1);

use HiddenWire\Core\Document\DocumentReader;
use HiddenWire\Core\Document\DocumentWriter;
use HiddenWire\Core\Document\InvalidDocument;
use HiddenWire\Core\Document\Json;
use HiddenWire\Core\Edit\SetPoint;
use HiddenWire\Core\Edit\SetRoute;
use HiddenWire\Core\Edit\Unplug;
use HiddenWire\Core\Planning\Diagnosis;
use HiddenWire\Core\Planning\Hearings;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\PointSettings;
use HiddenWire\Core\Rig\RouteRef;
use HiddenWire\Core\Rig\RouteSettings;
use HiddenWire\Core\Rig\State;
use Tests\Support\Draft;

function twoTones(): Draft
{
    return Draft::rig()->tone('a')->tone('b')->ear('c')->cable('trs', 'a/out', 'c/in');
}

it('refuses what no hand could do, says why, and what would do it', function (Draft $draft, string $pointer, string $message) {
    try {
        $draft->make();
        $problems = [];
    } catch (InvalidDocument $e) {
        $problems = array_map(fn ($problem) => "{$problem->pointer}: {$problem->message}", $e->problems);
    }
    expect($problems)->toBe(["{$pointer}: {$message}"]);
})->with([
    'two leads in one socket' => fn () => [twoTones()->cable('trs', 'b/out', 'c/in'), '/cables/1/to',
        'In has W-1 in it already. Use another socket, or put a splitter or a hub between.'],
    'an optical lead between jacks' => fn () => [Draft::rig()->tone('a')->ear('c')->cable('optical', 'a/out', 'c/in')
        ->with(fn (array $d) => $d), '/cables/0/from', 'An optical lead does not go into Out (3.5 mm TRS). These two take a TRS lead.'],
    'one label twice' => fn () => [twoTones()->ear('d')->with(function (array $data) {
        $data['cables'][] = ['id' => 'w-9', 'label' => 'W-1', 'type' => 'trs', 'from' => 'b/out', 'to' => 'd/in'];

        return $data;
    }), '/cables/1/label', 'The label "W-1" is on /cables/0 already. Give each cable a label of its own.'],
    'another computer\'s socket' => fn () => [Draft::rig()->place('one')->place('two')->unit('pc', 'laptop', 'one')
        ->unit('tower', 'older-computer', 'two')->unit('music', 'music-player', 'one')
        ->pick('music/sound', ['device' => 'tower/line-out/out']),
        '/picks/0/device', 'Tower is not on the computer of Music: a program takes the devices of its own computer only.'],
    'a sound that begins twice at one point' => fn () => [Draft::rig()->tone('a')->with(function (array $data) {
        $data['sources'][0]['origins'][] = ['at' => 'a/tone', 'db' => -6];

        return $data;
    }), '/sources/0/origins/1/at', '"A" starts at "a/tone" already: say it once.'],
]);

it('keeps what a person can really do wrong, and carries nothing where nothing flows', function () {
    // Two outputs joined: nothing is heard, and nothing breaks.
    $draft = Draft::rig()->tone('a')->tone('b')->ear('c')->cable('trs', 'a/out', 'b/out')->wish('a', 'c', 'must');
    expect($draft->pair('a', 'c')->isHeard())->toBeFalse();
});

it('opens what was stored before it was refused, tells it, lets everything else be changed, and mends it', function () {
    $text = twoTones()->cable('trs', 'b/out', 'c/in')->wish('a', 'c', 'must')->text();
    $rig = (new DocumentReader)->readData(Json::decode($text), isStored: true);
    expect($rig->faults)->toHaveCount(1);
    $causes = (new Diagnosis(new Hearings($rig)))->causes();
    expect($causes[0]->sentence)->toBe('W-2: in has W-1 in it already. Use another socket, or put a splitter or a hub between.')
        ->and($causes[0]->cures[0]->sentence)->toBe('Unplug W-2');
    $renamed = (new HiddenWire\Core\Edit\Rename(HiddenWire\Core\Edit\Named::Unit, 'a', 'Another name'))->applyTo($rig);
    expect($renamed->faults)->toHaveCount(1);
    $mended = (new Unplug('w-2'))->applyTo($renamed);
    expect($mended->faults)->toBe([])->and((new DocumentReader)->read((new DocumentWriter)->write($mended))->units['a']->name)
        ->toBe('Another name');
});

it('lets nobody add to what is impossible already', function () {
    $rig = (new DocumentReader)->readData(Json::decode(twoTones()->cable('trs', 'b/out', 'c/in')->text()), isStored: true);
    expect(fn () => (new HiddenWire\Core\Edit\SetCable('w-2', 'W-2', HiddenWire\Core\Equipment\CableType::Optical, null, '', true))
        ->applyTo($rig))->toThrow(HiddenWire\Core\Rig\InvalidRig::class, 'does not go into');
});

it('switches a selector off for good: the usual choice does not come on instead', function () {
    // The picture is the capture card's usual sound; the line is chosen, then switched off.
    $rig = Draft::rig()->unit('c', 'capture-card')->make();
    $analog = new RouteRef('c', 'line>usb-out');
    $rig = (new SetRoute($analog, new RouteSettings(on: true)))->applyTo($rig);
    $rig = (new SetRoute($analog, new RouteSettings(on: false)))->applyTo($rig);
    $state = new State($rig, $rig->base());
    $routes = array_filter(
        $rig->modelOf('c')->routes,
        fn ($route) => $route->group === $rig->modelOf('c')->routes['line>usb-out']->group,
    );
    expect(array_filter($routes, fn ($route) => $state->route('c', $route)->on))->toBe([])->and(count($routes))->toBeGreaterThan(1);
});

it('works with ids of digits only', function () {
    $draft = Draft::rig()->with(fn (array $d) => ['situations' => [['id' => '1', 'name' => 'One', 'changes' => []],
        ['id' => '2', 'name' => 'Two', 'changes' => []]]] + $d)
        ->unit('7', ['points' => [['id' => '0', 'kind' => 'origin', 'channels' => 1, 'mute' => false],
            ['id' => '1', 'kind' => 'ear', 'channels' => 1]], 'routes' => [['from' => '0', 'to' => '1']]])
        ->set('7', 'points', '0', ['mute' => true])->source('5', '7/0')->listener('6', '7/1')->wish('5', '6', 'must');
    $rig = $draft->make();
    $text = (new DocumentWriter)->write($rig);
    expect($rig->isBase('1'))->toBeTrue()->and((new DocumentReader)->read($text)->units['7']->points[0]->mute)->toBeTrue()
        ->and((new DocumentWriter)->write((new DocumentReader)->read($text)))->toBe($text);
    $causes = (new Diagnosis(new Hearings($rig)))->causes();
    expect($causes)->toHaveCount(1)->and($causes[0]->cells)->toHaveCount(2);
    $cured = array_reduce($causes[0]->cures[0]->edits, fn ($now, $edit) => $edit->applyTo($now), $rig);
    expect((new Diagnosis(new Hearings($cured)))->causes())->toBe([]);
    $set = (new SetPoint(new PointRef('7', '0'), new PointSettings(mute: false)))->applyTo($rig);
    expect((new DocumentReader)->read((new DocumentWriter)->write($set))->units['7']->points[0]->mute)->toBeFalse();
});
