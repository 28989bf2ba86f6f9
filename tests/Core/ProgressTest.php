<?php

declare(strict_types=1);

use HiddenWire\Core\Checks\Examination;
use HiddenWire\Core\Edit\SetAbsent;
use HiddenWire\Core\Edit\SetPick;
use HiddenWire\Core\Edit\SetRoute;
use HiddenWire\Core\Edit\Unplug;
use HiddenWire\Core\Planning\Hearings;
use HiddenWire\Core\Progress\AtStop;
use HiddenWire\Core\Progress\NextKind;
use HiddenWire\Core\Progress\Progress;
use HiddenWire\Core\Progress\Stop;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\RouteRef;
use HiddenWire\Core\Rig\RouteSettings;
use Tests\Support\Draft;

function progress(Draft $of, bool $isLooked = true): Progress
{
    $hearings = new Hearings($of->make());
    $all = $isLooked ? Examination::of($hearings, [], wholeCatalogue()) : null;

    return new Progress($hearings->rig, $hearings->in($hearings->rig->base()->id), $all?->causes, $all?->findings);
}

/** @return array<string, string> what each stop says, by its name */
function marks(Draft $of, bool $isLooked = true): array
{
    return array_map(fn (AtStop $one) => $one->words(), progress($of, $isLooked)->stops);
}

function next_(Draft $of, bool $isLooked = true): array
{
    $next = progress($of, $isLooked)->next;

    return [$next->kind, $next->stop, $next->sentence];
}

it('begins at Wishes, and goes on to what is there', function () {
    $empty = Draft::rig();
    expect(next_($empty))->toBe([NextKind::Sounds, Stop::Wishes, 'Begin with what is to be heard, and who is to hear it.'])
        ->and(array_unique(marks($empty)))->toBe(['wishes' => 'not begun']);
    $sounds = Draft::rig()->source('voice')->listener('me');
    expect(next_($sounds))->toBe([NextKind::Wishes, Stop::Wishes, 'Say who must hear what: choose a cell, then must, may or must not.']);
    $wished = $sounds->wish('voice', 'me', 'must');
    expect(next_($wished))->toBe([NextKind::Equipment, Stop::Equipment, 'Add the equipment that you have, one thing a line.'])
        ->and(marks($wished)['wishes'])->toBe('1 thing open')->and(marks($wished)['equipment'])->toBe('not begun');
    $there = $wished->unit('mic', 'dynamic-microphone');
    expect(next_($there))->toBe([NextKind::Starts, Stop::Wishes, 'Voice has no starting point yet.'])->and(progress($there)->next->about)->toBe('voice');
});

it('tells beginnings that are open as one step, and listeners after them', function () {
    $draft = Draft::rig()->unit('u', ['points' => [['id' => 'a', 'kind' => 'origin', 'channels' => 1], ['id' => 'l', 'kind' => 'ear', 'channels' => 1]]]);
    foreach (['one', 'two', 'three', 'four', 'five'] as $id) {
        $draft = $draft->source($id)->listener("to-{$id}")->wish($id, "to-{$id}", 'must');
    }
    expect(next_($draft)[2])->toBe('5 sounds have no starting point yet: One, Two, Three, Four and 1 more.');
    $begun = Draft::rig()->unit('u', ['points' => [['id' => 'a', 'kind' => 'origin', 'channels' => 1]]])->source('one', 'u/a')->listener('me')->wish('one', 'me', 'must');
    expect(next_($begun))->toBe([NextKind::Listens, Stop::Wishes, 'Me has no place to listen yet.']);
    // Nobody has asked for what may be heard.
    $may = Draft::rig()->unit('u', ['points' => [['id' => 'a', 'kind' => 'origin', 'channels' => 1]]])->source('one')->listener('me')->wish('one', 'me', 'may');
    expect(next_($may)[0])->toBe(NextKind::Ready);
});

it('offers the one cure, all of several, or says that there is none', function () {
    $switch = fn (array $more): Draft => Draft::rig()->unit('u', ['points' => [['id' => 'a', 'kind' => 'origin', 'channels' => 1], ['id' => 'b', 'kind' => 'origin', 'channels' => 1], ['id' => 'l', 'kind' => 'ear', 'channels' => 1], ['id' => 'm', 'kind' => 'ear', 'channels' => 1]],
        'routes' => [['from' => 'a', 'to' => 'l', 'on' => false] + $more, ['from' => 'b', 'to' => 'm', 'on' => false] + $more]])->source('ann', 'u/a')->source('bob', 'u/b')->listener('l', 'u/l')->listener('m', 'u/m');
    $new = fn (): Draft => $switch(['can' => ['on']])->wish('ann', 'l', 'must');
    $one = $new();
    expect(next_($one))->toBe([NextKind::Cure, Stop::Mixes, 'U · a → l is off.'])->and(marks($one)['mixes'])->toBe('1 thing open')->and(marks($one)['wishes'])->toBe('1 thing open')
        ->and(marks($one)['book'])->toBe('not begun');
    expect(next_($new()->wish('bob', 'm', 'must')))->toBe([NextKind::Cures, Stop::Wishes, '2 cures put 2 cells right.']);
    // Switched on for good, nothing is left but to print it.
    $routes = fn (Draft $draft): Draft => $draft->with(fn (array $d) => ['units' => [['settings' => ['routes' => ['a>l' => ['on' => true]]]] + $d['units'][0]]] + $d);
    expect(next_($routes($one)))->toBe([NextKind::Ready, Stop::Book, 'All as wished. The book says how it is plugged and set.'])
        ->and(marks($routes($one))['mixes'])->toBe('nothing open')->and(marks($routes($one))['book'])->toBe('nothing open')
        ->and(marks($routes($one))['computers'])->toBe('not begun')->and(marks($routes($one))['show'])->toBe('not begun');
    $none = Draft::rig()->unit('u', ['points' => [['id' => 'a', 'kind' => 'origin', 'channels' => 1], ['id' => 'l', 'kind' => 'ear', 'channels' => 1]]])->source('ann', 'u/a')->listener('l', 'u/l')->wish('ann', 'l', 'must');
    expect(next_($none)[0])->toBe(NextKind::Uncured)->and(next_($none)[2])->toEndWith('Nothing was found that cures it.');
});

it('says that causes are still being looked for', function () {
    $draft = Draft::rig()->unit('u', ['points' => [['id' => 'a', 'kind' => 'origin', 'channels' => 1], ['id' => 'l', 'kind' => 'ear', 'channels' => 1]]])->source('ann', 'u/a')->listener('l', 'u/l')->wish('ann', 'l', 'must');
    expect(next_($draft, false))->toBe([NextKind::Looking, Stop::Checks, '1 cell is not as wished. What cures them is being looked for.'])
        ->and(marks($draft, false)['mixes'])->toBe('not begun')->and(marks($draft, false)['checks'])->toBe('being looked at')->and(marks($draft, false)['wishes'])->toBe('1 thing open');
});

it('names a unit that a wish needs and nothing joins', function () {
    $draft = Draft::rig()->tone('desk')->ear('cans')->wish('desk', 'cans', 'must')
        ->with(fn (array $d) => ['wishes' => [['source' => 'desk', 'listener' => 'cans', 'want' => 'must']]] + $d);
    // A lead is the cure, so that it is at Wiring beside the two unconnected units.
    expect(marks($draft)['wiring'])->toBe('not begun')->and(progress($draft)->stops['wiring']->open)->toBe(3)
        ->and(next_($draft))->toBe([NextKind::Cure, Stop::Wiring, 'Nothing is plugged into Desk · Out.']);
});

it('knows the stop where a change is made', function () {
    expect(Progress::stopOf(new Unplug('w-1')))->toBe(Stop::Wiring)->and(Progress::stopOf(new SetPick(new PointRef('a', 'b'), null)))->toBe(Stop::Computers)
        ->and(Progress::stopOf(new SetRoute(new RouteRef('a', 'b>c'), new RouteSettings(on: true))))->toBe(Stop::Mixes)
        ->and(Progress::stopOf(new SetAbsent('off', 'a', true)))->toBe(Stop::Show);
});

it('has the demo open where its mistakes are cured', function () {
    $demo = Draft::from(dirname(__DIR__, 2).'/resources/rigs/night-relay.json');
    expect(array_map(fn (AtStop $one) => $one->open, progress($demo)->stops))
        ->toBe(['wishes' => 11, 'equipment' => 0, 'wiring' => 1, 'computers' => 1, 'mixes' => 3, 'checks' => 1, 'show' => 0, 'book' => 0])
        ->and(progress($demo)->next->sentence)->toBe('5 cures put 32 cells in all situations right.');
});
