<?php

declare(strict_types=1);

use HiddenWire\Core\Edit\AddSituation;
use HiddenWire\Core\Edit\DescribeRig;
use HiddenWire\Core\Edit\DescribeUnit;
use HiddenWire\Core\Edit\MarkWish;
use HiddenWire\Core\Edit\RigEdit;
use HiddenWire\Core\Edit\SetAbsent;
use HiddenWire\Core\Edit\SetMeasure;
use HiddenWire\Core\Edit\SetPoint;
use HiddenWire\Core\Edit\SetWish;
use HiddenWire\Core\Edit\Unplug;
use HiddenWire\Core\Quantity\Decibels;
use HiddenWire\Core\Rig\ElementRef;
use HiddenWire\Core\Rig\MeasureKind;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\PointSettings;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\Want;
use HiddenWire\Core\Signal\ChangedSound;
use HiddenWire\Core\Signal\GraphBuilder;
use HiddenWire\Core\Signal\Hearing;
use Tests\Support\Draft;

function changedRig(): Rig
{
    static $rig;

    return $rig ??= Draft::from(dirname(__DIR__, 2).'/resources/rigs/night-relay.json')->make();
}

/** Every pair's verdict and level, heard from nothing. */
function notedPairs(Rig $rig, string $situation): array
{
    return (new Hearing((new GraphBuilder($rig))->build($rig->situations[$situation])))->note()->pairs;
}

$fader = fn (?string $situation): SetPoint => new SetPoint(
    new PointRef('mixer', 'ch-1'),
    new PointSettings(fader: Decibels::of(-37)),
    $situation,
);

// What has to be heard in all situations but those that are named after it.
dataset('changes of what sounds', [
    'a fader for good' => [$fader(null), null, []],
    'a fader in one situation' => [$fader('talk'), [], ['talk' => null]],
    'a program that does not run in one' => [new SetAbsent('off', 'browser', true), [], ['off' => null]],
    'a wish' => [new SetWish('voice', 'team', Want::Must), ['voice'], []],
    'a wish that counts alone' => [new MarkWish('voice', 'team', null, true), ['voice'], []],
    'a name' => [new DescribeUnit('mixer', ['name' => 'Big desk']), [], []],
    'the summary' => [new DescribeRig('Night relay', 'Another one'), [], []],
    'a cable out' => [new Unplug('w-20'), null, []],
    'what was measured' => [
        new SetMeasure(ElementRef::read('cables/w-07'), MeasureKind::Delay, 40.0), null, [],
    ],
    'a situation' => [new AddSituation('Interval'), [], ['interval' => null]],
]);

it('tells what has to be heard anew, situation by situation', function (RigEdit $edit, ?array $usual, array $but) {
    $after = $edit->applyTo(changedRig());
    $change = new ChangedSound(changedRig(), $after);
    foreach (array_keys($after->situations) as $id) {
        expect($change->in($id))->toBe(array_key_exists($id, $but) ? $but[$id] : $usual, $id);
    }
})->with('changes of what sounds');

it('passes over nothing that is heard otherwise', function (RigEdit $edit, ?array $usual, array $but) {
    $after = $edit->applyTo(changedRig());
    $change = new ChangedSound(changedRig(), $after);
    $alike = [];
    foreach (array_keys(changedRig()->situations) as $id) {
        $only = $change->in($id);
        if ($only !== null) {
            $rest = fn (Rig $rig): array => array_diff_key(notedPairs($rig, $id), array_flip($only));
            $alike[$id] = $rest($after) === $rest(changedRig());
        }
    }
    expect($alike)->not->toContain(false)->toHaveCount($usual === null ? 0 : count(changedRig()->situations) - count(array_intersect_key(
        $but,
        changedRig()->situations,
    )));
})->with('changes of what sounds');

it('would be noticed above if it passed over a fader', function () use ($fader) {
    $after = $fader('talk')->applyTo(changedRig());
    expect(notedPairs($after, 'talk'))->not->toBe(notedPairs(changedRig(), 'talk'));
});

it('takes a name for something that is otherwise, where words are asked for', function () use ($fader) {
    $named = (new DescribeUnit('mixer', ['name' => 'Big desk']))->applyTo(changedRig());
    $faded = $fader('talk')->applyTo(changedRig());
    $wished = (new SetWish('voice', 'team', Want::Must))->applyTo(changedRig());
    expect((new ChangedSound(changedRig(), $named))->isNone('off'))->toBeFalse()
        ->and((new ChangedSound(changedRig(), $faded))->isNone('off'))->toBeTrue()
        ->and((new ChangedSound(changedRig(), $faded))->isNone('talk'))->toBeFalse()
        ->and((new ChangedSound(changedRig(), $wished))->isNone('talk'))->toBeTrue();
});

it('hears all situations anew where the order of plugs changes in the base', function () {
    $rig = changedRig();
    $base = $rig->base()->with(plugged: ['w-07']);
    $after = new Rig($rig->parts()->with(situations: [$base, ...array_slice(array_values($rig->situations), 1)]));
    expect((new ChangedSound($rig, $after))->in('off'))->toBeNull();
});
