<?php

declare(strict_types=1);

use HiddenWire\Core\Planning\Cause;
use HiddenWire\Core\Planning\CausesReport;
use HiddenWire\Core\Planning\Cell;
use HiddenWire\Core\Planning\Diagnosis;
use HiddenWire\Core\Planning\Hearings;
use HiddenWire\Core\Planning\Remedies;
use HiddenWire\Core\Planning\Remedy;
use HiddenWire\Core\Rig\CableRef;
use HiddenWire\Core\Rig\UnitRef;
use Tests\Support\Draft;

/** One unit with nothing that can be switched. @param  list<array<string, mixed>>  $points  @param  list<array<string, mixed>>  $routes */
function fixedBox(array $points, array $routes): Draft
{
    return Draft::rig()->unit('u', ['points' => $points, 'routes' => $routes]);
}

/** @return array{string, string|null} the only cause, and why there is no cure */
function onlyCause(Draft $draft): array
{
    $causes = (new Diagnosis(new Hearings($draft->make())))->causes();
    expect($causes)->toHaveCount(1)->and($causes[0]->cures)->toBe([]);

    return [$causes[0]->sentence, $causes[0]->why];
}

const TONE = ['id' => 'tone', 'kind' => 'origin', 'channels' => 1];
const EAR = ['id' => 'ear', 'kind' => 'ear', 'channels' => 1];

it('says why there is no cure', function (Draft $draft, string $cause, string $why) {
    expect(onlyCause($draft))->toBe([$cause, $why]);
})->with([
    'no way' => [fixedBox([TONE, EAR], [])->source('s', 'u/tone')->listener('l', 'u/ear')->wish('s', 'l', 'must'),
        'S cannot reach L', 'There is nothing on its way that could be changed.'],
    'nobody said where it begins' => [fixedBox([TONE, EAR], [])->add('sources', ['id' => 's', 'name' => 'S', 'kind' => 'voice', 'origins' => []])->listener('l', 'u/ear')->wish('s', 'l', 'must'),
        'S has no starting point yet', 'Until it has one nobody hears it.'],
    'nobody said who listens where' => [fixedBox([TONE, EAR], [])->source('s', 'u/tone')->listener('l')->wish('s', 'l', 'must'),
        'L has no place to listen yet', 'Until there is one nothing arrives.'],
    'a leak' => [fixedBox([TONE, EAR], [['from' => 'tone', 'to' => 'ear']])->source('s', 'u/tone')->listener('l', 'u/ear')->wish('s', 'l', 'must-not'),
        'S at L is heard and must not be', 'There is nothing on its way that could be changed.'],
    'twice' => [fixedBox([TONE, EAR, ['id' => 'b', 'kind' => 'bus', 'channels' => 1]], [['from' => 'tone', 'to' => 'ear'], ['from' => 'tone', 'to' => 'b', 'delay_ms' => 30], ['from' => 'b', 'to' => 'ear']])
        ->source('s', 'u/tone')->listener('l', 'u/ear')->wish('s', 'l', 'must'), 'S at L arrives twice', 'There is nothing on its way that could be changed.'],
    'one side' => [fixedBox([TONE, ['channels' => 2] + EAR], [['from' => 'tone', 'to' => 'ear', 'map' => 'to-left']])->source('s', 'u/tone')->listener('l', 'u/ear')->wish('s', 'l', 'must'),
        'S at L is heard on the left side only', 'There is nothing on its way that could be changed.'],
    'too quiet' => [fixedBox([TONE, EAR], [['from' => 'tone', 'to' => 'ear', 'db' => -45]])->source('s', 'u/tone')->listener('l', 'u/ear')->wish('s', 'l', 'must'),
        'S at L arrives too quiet: −45.0 dB', 'It needs a booster, or a preamp with more gain. There is nothing on its way that could be changed.'],
    'far too quiet' => [fixedBox([TONE, EAR], [['from' => 'tone', 'to' => 'ear', 'db' => -55]])->source('s', 'u/tone')->listener('l', 'u/ear')->wish('s', 'l', 'must'),
        'S at L arrives far too quiet: −55.0 dB', 'It needs a booster, or a preamp with more gain. There is nothing on its way that could be changed.'],
    // 25 dB over nominal where 18 go.
    'too loud' => [fixedBox([TONE, EAR], [['from' => 'tone', 'to' => 'ear', 'db' => 25]])->source('s', 'u/tone')->listener('l', 'u/ear')->wish('s', 'l', 'must'),
        'S at L overloads U · tone → ear by 7.0 dB', 'Take another input, or put a pad in. There is nothing on its way that could be changed.'],
    'a loop' => [fixedBox(
        [TONE, EAR, ['id' => 'a', 'kind' => 'bus', 'channels' => 1], ['id' => 'b', 'kind' => 'bus', 'channels' => 1]],
        [['from' => 'tone', 'to' => 'a'], ['from' => 'a', 'to' => 'b'], ['from' => 'b', 'to' => 'a'], ['from' => 'b', 'to' => 'ear']],
    )->source('s', 'u/tone')->listener('l', 'u/ear')->wish('s', 'l', 'must'),
        'S at L runs in a loop', 'There is nothing on its way that could be changed.'],
]);

it('says what it has looked at, and who would pay for what it found', function () {
    // One switch lets Ann and Bob through; opening it for the one brings the other where they must not be.
    $draft = Draft::rig()->unit('u', ['points' => [['id' => 'a', 'kind' => 'origin', 'channels' => 1], ['id' => 'b', 'kind' => 'origin', 'channels' => 1], ['id' => 'mix', 'kind' => 'bus', 'channels' => 1], EAR],
        'routes' => [['from' => 'a', 'to' => 'mix'], ['from' => 'b', 'to' => 'mix'], ['from' => 'mix', 'to' => 'ear', 'on' => false, 'can' => ['on']]]])
        ->source('ann', 'u/a')->source('bob', 'u/b')->listener('l', 'u/ear')->wish('ann', 'l', 'must')->wish('bob', 'l', 'must-not');
    [$cause, $why] = onlyCause($draft);
    expect($cause)->toBe('Ann cannot reach L')
        ->and($why)->toMatch('/^Not found among \d+ single changes and \d+ sets of several\. Switch on mix → ear of U would do it, and makes it worse for L: Bob\.$/');
});

it('mutes nobody for what spills into the microphone of another', function () {
    // Ann is 12 dB down in the microphone of Bob, which has a mute and a switch.
    $draft = Draft::rig()->unit('u', ['points' => [['id' => 'ann', 'kind' => 'origin', 'channels' => 1], ['id' => 'bob', 'kind' => 'origin', 'channels' => 1], ['id' => 'strip', 'kind' => 'strip', 'channels' => 1, 'mute' => false], EAR],
        'routes' => [['from' => 'bob', 'to' => 'strip'], ['from' => 'strip', 'to' => 'ear', 'can' => ['on']]]])
        ->source('ann', 'u/ann', ['u/bob', -12])->listener('l', 'u/ear')->wish('ann', 'l', 'must-not');
    [$cause, $why] = onlyCause($draft);
    expect($cause)->toBe('Ann at L spills into U · bob: −12.0 dB')->and($why)->toContain('three times the distance')->not->toContain('mute');
});

it('takes only what moves leads for work on cables', function () {
    $ofCables = array_map(fn (Remedy $one) => $one->isOfCables(), [
        new Remedies\Switches, new Remedies\NamedSettings, new Remedies\Presence, new Remedies\Faders, new Remedies\Levels, new Remedies\Picks, new Remedies\Devices, new Remedies\Systems,
        new Remedies\Locks, new Remedies\Effects, new Remedies\Scenes, new Remedies\Leads, new Remedies\AutoMutes, new Remedies\Channels, new Remedies\Repeaters, new Remedies\Supplies,
        new Remedies\VirtualCables(wholeCatalogue()), new Remedies\Plugs(true), new Remedies\Moves(true), new Remedies\Plugs(false), new Remedies\Moves(false),
    ]);
    expect($ofCables)->toBe([...array_fill(0, 19, false), true, true]);
});

it('is told as data, whole, and rests on what it is about in whatever order', function () {
    $draft = Draft::rig()->tone('a')->ear('b')->cable('trs', 'a/out', 'b/in')->wish('a', 'b', 'must')->with(fn (array $d) => ['situations' => [['pulled' => ['w-1']] + $d['situations'][0]]] + $d);
    $rig = $draft->make();
    $causes = (new Diagnosis(new Hearings($rig)))->causes();
    $told = (new CausesReport)->of($rig, $causes);
    expect($told)->toHaveCount(1)->and(array_keys($told[0]))->toBe(['cause', 'why', 'notes', 'about', 'cells', 'cures'])->and($told[0]['cells'])->toBe([['a', 'b', 'base']])
        ->and($told[0]['cures'][0]['cells'])->toBe([['a', 'b', 'base']])->and($told[0]['cures'][0]['edits'][0])->toBe(['edit' => 'set-pulled', 'situation' => 'base', 'cable' => 'w-1', 'is_pulled' => false]);
    [$one, $two] = [new Cell('a', 'b', 'base'), new Cell('c', 'b', 'base')];
    $cause = fn (array $about, array $cells): string => (new Cause('x', $about, $cells, []))->evidence();
    expect($cause([new CableRef('w-1'), new UnitRef('u')], [$one, $two]))->toBe($cause([new UnitRef('u'), new CableRef('w-1')], [$two, $one]))->toHaveLength(16)
        ->and($cause([new CableRef('w-1')], [$one]))->not->toBe($cause([new CableRef('w-1')], [$two]));
});
