<?php

declare(strict_types=1);

use HiddenWire\Core\Planning\Cause;
use HiddenWire\Core\Planning\Cell;
use HiddenWire\Core\Planning\Hearings;
use HiddenWire\Core\Planning\Reach;
use HiddenWire\Core\Planning\Rebalance;
use HiddenWire\Core\Rig\Balance;
use HiddenWire\Core\Rig\CableRef;
use HiddenWire\Core\Rig\UnitRef;
use Tests\Support\Draft;

/** A sound that comes as far as a strip, of which one way is off, and that one listener of two hears. */
function stranded(): Draft
{
    return Draft::rig()->unit('u', ['points' => [['id' => 'tone', 'kind' => 'origin', 'channels' => 1], ['id' => 'strip', 'kind' => 'strip', 'channels' => 1, 'fader' => ['from' => -90, 'to' => 10]],
        ['id' => 'near', 'kind' => 'ear', 'channels' => 1], ['id' => 'far', 'kind' => 'ear', 'channels' => 1]],
        'routes' => [['from' => 'tone', 'to' => 'near'], ['from' => 'tone', 'to' => 'strip'], ['from' => 'strip', 'to' => 'far', 'on' => false, 'can' => ['on']]]])
        ->source('s', 'u/tone')->listener('near', 'u/near')->listener('far', 'u/far')->wish('s', 'far', 'must');
}

describe('how far a sound comes', function () {
    it('names the last step and who hears it', function () {
        $hearing = stranded()->hear();
        $reach = Reach::of($hearing->pair('s', 'far'), $hearing);
        expect($reach->last)->toBe('U · strip')->and(array_map(fn ($listener) => $listener->name, $reach->listeners))->toBe(['Near']);
    });

    it('says where nobody has said where it begins', function () {
        $hearing = stranded()->add('sources', ['id' => 'lost', 'name' => 'Lost', 'kind' => 'voice', 'origins' => []])->hear();
        $reach = Reach::of($hearing->pair('lost', 'far'), $hearing);
        expect($reach->last)->toBe('nowhere: it has no starting point yet')->and($reach->listeners)->toBe([]);
    });
});

it('knows a cause again by what it rests on and explains, whatever the order and the words', function () {
    $of = fn (string $sentence, array $about, array $cells): string => (new Cause($sentence, $about, array_map(fn (string $source) => new Cell($source, 'l', 'base'), $cells), []))->evidence();
    [$cable, $unit] = [new CableRef('w-1'), new UnitRef('u')];
    $known = $of('W-1 is out', [$cable, $unit], ['a', 'b']);
    expect($of('The lead is out', [$unit, $cable], ['b', 'a']))->toBe($known)->and($of('W-1 is out', [$cable], ['a', 'b']))->not->toBe($known)
        ->and($of('W-1 is out', [$cable, $unit], ['a', 'c']))->not->toBe($known)->and($known)->toMatch('/^[0-9a-f]{16}$/');
});

it('hears a situation once', function () {
    $hearings = new Hearings(stranded()->make());
    expect($hearings->in('base'))->toBe($hearings->in('base'));
});

it('balances beside sounds that the listener does not hear', function () {
    // In the air all are as loud; at mine b is 6 dB up. The fourth is heard by nobody.
    $mixes = Draft::rig()->unit('u', ['points' => [...array_map(fn (string $id) => ['id' => $id, 'kind' => 'origin', 'channels' => 1], ['a', 'b', 'c', 'd']),
        ['id' => 'mine', 'kind' => 'ear', 'channels' => 1], ['id' => 'air', 'kind' => 'ear', 'channels' => 1]],
        'routes' => [...array_map(fn (string $id) => ['from' => $id, 'to' => 'air'], ['a', 'b', 'c']),
            ...array_map(fn (string $id) => ['from' => $id, 'to' => 'mine', 'db' => $id === 'b' ? 6 : 0, 'can' => ['db']], ['a', 'b', 'c'])]])
        ->listener('me', 'u/mine')->listener('viewers', 'u/air');
    foreach (['a', 'b', 'c', 'd'] as $sound) {
        $mixes->source($sound, "u/{$sound}")->wish($sound, 'me', 'may')->wish($sound, 'viewers', 'may');
    }
    $rig = $mixes->make();
    $rebalance = new Rebalance($rig, new Balance('me', 'viewers', 1.0), null);
    expect(array_map(fn ($edit) => $edit->words($rig), $rebalance->edits))->toBe(['U: b → mine at 0.0 dB'])->and($rebalance->isWhole)->toBeTrue();
});
