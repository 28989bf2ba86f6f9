<?php

declare(strict_types=1);

use HiddenWire\Core\Document\DocumentReader;
use HiddenWire\Core\Document\DocumentWriter;
use HiddenWire\Core\Document\InvalidDocument;
use HiddenWire\Core\Edit\RemoveUnit;
use HiddenWire\Core\Edit\SetFact;
use HiddenWire\Core\Edit\Unplug;
use HiddenWire\Core\History\RigDifference;
use HiddenWire\Core\Rig\Certainty;
use HiddenWire\Core\Rig\ElementRef;
use HiddenWire\Core\Rig\Fact;
use HiddenWire\Core\Signal\HeardPair;
use HiddenWire\Core\Signal\Reliance;
use Tests\Support\Draft;

/** Two tones by a lead each to two ears; facts as given. @param  list<array<string, mixed>>  $facts */
function relying(array $facts): Draft
{
    $draft = Draft::rig()->tone('left')->tone('right')->ear('ann')->ear('ben')
        ->cable('trs', 'left/out', 'ann/in')->cable('trs', 'right/out', 'ben/in');

    return $draft->with(fn (array $d) => $facts === [] ? $d : $d + ['facts' => $facts]);
}

/** @return list<array{string, list<string>}> each open fact, and what hangs on it */
function relied(Draft $draft): array
{
    return array_map(fn (array $row) => [
        $row['fact']->key(), array_map(fn (HeardPair $pair) => "{$pair->source->id} {$pair->listener->id}", $row['pairs']),
    ], Reliance::of($draft->hear())->all());
}

it('says what hangs on what: the element lies on the way, and of a fit of two both do', function (array $fact, array $hangs) {
    expect(relied(relying([$fact + ['certainty' => 'assumed', 'what' => 'It works']]))[0][1])->toBe($hangs);
})->with([
    'a lead' => [['about' => 'cables/w-1'], ['left ann']],
    'a unit' => [['about' => 'units/ben'], ['right ben']],
    'a socket' => [['about' => 'units/left/sockets/out'], ['left ann']],
    'a point' => [['about' => 'units/right/points/tone'], ['right ben']],
    'a sound' => [['about' => 'sources/left'], ['left ann']],
    'a listener' => [['about' => 'listeners/ben'], ['right ben']],
    'a place' => [['about' => 'places/desk'], ['left ann', 'right ben']],
    'a fit of two' => [['about' => 'units/left', 'with' => 'units/ann'], ['left ann']],
    'two that never meet' => [['about' => 'units/left', 'with' => 'units/ben'], []],
]);

it('puts what fails first, then the cheapest proof, then what most hangs on; what is proven is no doubt', function () {
    $fact = fn (string $about, string $certainty, ?int $minutes = null): array => array_filter(
        ['about' => $about, 'certainty' => $certainty, 'what' => 'It works', 'minutes' => $minutes],
        fn ($value) => $value !== null,
    );
    expect(array_column(relied(relying([
        $fact('cables/w-1', 'assumed'), $fact('places/desk', 'stated'), $fact('units/ann', 'stated', 30), $fact('units/ben', 'assumed', 2),
        $fact('units/left', 'proven'), $fact('units/right', 'fails'),
    ])), 0))->toBe(['units/right', 'units/ben', 'units/ann', 'places/desk', 'cables/w-1']);
});

it('changes no hearing, and is on the pair that hangs on it', function () {
    $with = relying([['about' => 'cables/w-1', 'certainty' => 'fails', 'what' => 'It carries stereo', 'by' => 'Ann', 'on' => '2026-02-01']]);
    $pair = $with->pair('left', 'ann');
    expect($pair->level())->toEqual(relying([])->pair('left', 'ann')->level());
    $behind = Reliance::of($with->hear())->behind($pair);
    expect($behind)->toHaveCount(1)->and($behind[0]->words())->toBe('Known not to work: It carries stereo (Ann, 2026-02-01)')
        ->and(Reliance::of($with->hear())->behind($with->pair('right', 'ben')))->toBe([]);
});

it('is set, told and removed by edits, and goes with what it is about', function () {
    $rig = relying([])->make();
    [$about, $with] = [ElementRef::cable('w-1'), ElementRef::unit('ann')];
    $fact = new Fact($about, Certainty::Assumed, 'It is long enough', $with, minutes: 3);
    $set = new SetFact($about, $with, $fact);
    $told = $set->applyTo($rig);
    expect($set->words($rig))->toBe('W-1 with Ann: assumed: It is long enough')
        ->and($told->papers->factFor($about, $with))->toEqual($fact)->and($told->papers->factFor($about, null))->toBeNull()
        ->and((new RigDifference($rig, $told))->lines())->toBe(['Reasons, facts, run-down and accepted findings' => ['W-1 with Ann: assumed: It is long enough']])
        ->and((new DocumentReader)->read((new DocumentWriter)->write($told)))->toEqual($told);
    $proven = (new SetFact($about, $with, $fact->with(certainty: Certainty::Proven)))->applyTo($told);
    expect($proven->papers->facts)->toHaveCount(1)->and($proven->papers->facts[0]->certainty)->toBe(Certainty::Proven)
        ->and((new SetFact($about, $with, null))->applyTo($told))->toEqual($rig)
        ->and((new Unplug('w-1'))->applyTo($told)->papers->facts)->toBe([])
        ->and((new RemoveUnit('ann'))->applyTo($told)->papers->facts)->toBe([]);
});

it('is refused where it is about nothing, is there twice, or says nothing', function (array $facts, string $pointer) {
    $found = [];
    try {
        relying($facts)->make();
    } catch (InvalidDocument $e) {
        $found = array_map(fn ($problem) => $problem->pointer, $e->problems);
    }
    expect($found)->toBe([$pointer]);
})->with([
    'nothing there' => [[['about' => 'cables/w-9', 'certainty' => 'assumed', 'what' => 'x']], '/facts/0/about'],
    'nothing beside it' => [[['about' => 'cables/w-1', 'with' => 'units/none', 'certainty' => 'assumed', 'what' => 'x']], '/facts/0/with'],
    'itself' => [[['about' => 'cables/w-1', 'with' => 'cables/w-1', 'certainty' => 'assumed', 'what' => 'x']], '/facts/0/with'],
    'no such certainty' => [[['about' => 'cables/w-1', 'certainty' => 'hoped', 'what' => 'x']], '/facts/0/certainty'],
    'nothing relied on' => [[['about' => 'cables/w-1', 'certainty' => 'assumed', 'what' => ' ']], '/facts/0/what'],
    'no day' => [[['about' => 'cables/w-1', 'certainty' => 'proven', 'what' => 'x', 'on' => '2026-13-01']], '/facts/0/on'],
    'twice' => [array_fill(0, 2, ['about' => 'cables/w-1', 'certainty' => 'assumed', 'what' => 'x']), '/facts/1'],
]);
