<?php

declare(strict_types=1);

use HiddenWire\Core\Document\DocumentReader;
use HiddenWire\Core\Document\DocumentWriter;
use HiddenWire\Core\Document\InvalidDocument;
use HiddenWire\Core\Edit\AddSituation;
use HiddenWire\Core\Edit\PlugInTurn;
use HiddenWire\Core\Edit\SetPulled;
use HiddenWire\Core\Rig\InvalidRig;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\SocketRef;
use HiddenWire\Core\Rig\Turns;
use HiddenWire\Core\Signal\GraphBuilder;
use HiddenWire\Core\Signal\Hearing;
use Tests\Support\Draft;

/** Two tones and one ear: the first is in, by day; at night the second takes its socket. */
function inTurn(): Rig
{
    $rig = Draft::rig()->tone('day')->tone('night')->ear('ann')->cable('trs', 'day/out', 'ann/in')->situation('late', [])->make();

    return (new PlugInTurn(new SocketRef('night', 'out'), new SocketRef('ann', 'in'), 'late'))->applyTo($rig);
}

/** @return list<string> who is heard in a situation */
function heardIn(Rig $rig, string $situation): array
{
    $hearing = new Hearing((new GraphBuilder($rig))->build($rig->situations[$situation]));

    return array_values(array_filter(['day', 'night'], fn (string $source) => $hearing->pair($source, 'ann')->isHeard()));
}

it('lets two leads use one socket in turn: by hand, each is heard in its situation only', function () {
    $rig = inTurn();
    $base = $rig->base()->id;
    expect([heardIn($rig, $base), heardIn($rig, 'late')])->toBe([['day'], ['night']])
        ->and([$rig->situations[$base]->pulled, $rig->situations['late']->pulled])->toBe([['w-02'], ['w-1']])
        ->and((new DocumentReader)->read((new DocumentWriter)->write($rig)))->toEqual($rig);
});

it('takes the other out where one is plugged, and begins a new situation as the base is', function () {
    $rig = inTurn();
    $base = $rig->base()->id;
    $swapped = (new SetPulled($base, 'w-02', false))->applyTo($rig);
    expect(heardIn($swapped, $base))->toBe(['night']);
    // Both may be out: the socket is empty then.
    expect(heardIn((new SetPulled($base, 'w-1', true))->applyTo($rig), $base))->toBe([])
        ->and(heardIn((new AddSituation('Later'))->applyTo($rig), 'later'))->toBe(['day']);
});

it('refuses two that are in at once, a lead that does not fit, and more than eight in turn', function () {
    $both = Draft::rig()->tone('day')->tone('night')->ear('ann')->cable('trs', 'day/out', 'ann/in')->cable('trs', 'night/out', 'ann/in');
    expect(fn () => $both->make())->toThrow(InvalidDocument::class, 'has W-1 in it already')
        ->and(fn () => (new PlugInTurn(new SocketRef('night', 'out'), new SocketRef('day', 'out'), 'late'))->applyTo(inTurn()))->toThrow(InvalidRig::class);
    $many = Draft::rig()->ear('ann');
    foreach (range(1, 9) as $n) {
        $many = $many->tone("t{$n}");
    }
    $rig = $many->situation('late', [])->make();
    foreach (range(1, 8) as $n) {
        $rig = (new PlugInTurn(new SocketRef("t{$n}", 'out'), new SocketRef('ann', 'in'), 'late'))->applyTo($rig);
    }
    expect($rig->cables)->toHaveCount(8)
        ->and(fn () => (new PlugInTurn(new SocketRef('t9', 'out'), new SocketRef('ann', 'in'), 'late'))->applyTo($rig))->toThrow(InvalidRig::class);
});

it('says which end of a waiting lead hangs free: the one whose socket another lead uses', function () {
    $rig = inTurn();
    $free = fn (string $situation, string $cable): array => array_map(strval(...), Turns::freeEnds($rig->parts(), $rig->situations[$situation], $rig->cables[$cable]));
    expect($free('late', 'w-1'))->toBe(['ann/in'])->and($free($rig->base()->id, 'w-02'))->toBe(['ann/in']);
    // With both out nobody takes the other's place.
    $both = (new SetPulled('late', 'w-02', true))->applyTo($rig);
    expect(Turns::freeEnds($both->parts(), $both->situations['late'], $both->cables['w-1']))->toBe([]);
});
