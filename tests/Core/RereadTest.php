<?php

declare(strict_types=1);

use HiddenWire\Core\Document\CanonicalText;
use HiddenWire\Core\Document\DocumentReader;
use HiddenWire\Core\Document\DocumentWriter;
use HiddenWire\Core\Document\InvalidDocument;
use HiddenWire\Core\Edit\AddSituation;
use HiddenWire\Core\Edit\CopyUnit;
use HiddenWire\Core\Edit\DescribeRig;
use HiddenWire\Core\Edit\RemoveUnit;
use HiddenWire\Core\Edit\RigEdit;
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
use Tests\Support\Draft;

/*
 * A document read beside an earlier one says what it says when it is read by itself, and shares with the earlier rig what is as it was.
 */

function rereadRig(): Rig
{
    static $rig;

    return $rig ??= Draft::from(dirname(__DIR__, 2).'/resources/rigs/night-relay.json')->make();
}

function writtenOut(Rig $rig): string
{
    return (new DocumentWriter)->write($rig);
}

dataset('changes that are read again', [
    'nothing' => [new DescribeRig('Night relay at the pier arcade', ''), ['units/mixer', 'cables/w-07', 'models/headphone-desk']],
    'a name' => [new DescribeRig('Another rig', 'In short'), ['units/mixer', 'cables/w-07', 'models/headphone-desk']],
    'a fader' => [new SetPoint(new PointRef('mixer', 'ch-1'), new PointSettings(fader: Decibels::of(-37))), ['units/headset-amp', 'cables/w-07']],
    'a fader in a situation' => [
        new SetPoint(new PointRef('mixer', 'ch-1'), new PointSettings(fader: Decibels::of(-3)), 'talk'), ['units/mixer', 'situations/off'],
    ],
    'a cable out' => [new Unplug('w-20'), ['units/mixer', 'cables/w-07', 'cables/w-21']],
    'a unit gone, with its model, cables and picks' => [new RemoveUnit('headset-amp'), ['units/mixer', 'cables/w-07']],
    'a unit copied' => [new CopyUnit('mixer'), ['units/mixer', 'models/headphone-desk']],
    'a wish' => [new SetWish('voice', 'team', Want::Must), ['units/mixer']],
    'what was measured' => [new SetMeasure(ElementRef::read('cables/w-07'), MeasureKind::Delay, 40.0), ['units/mixer', 'cables/w-07']],
    'a situation' => [new AddSituation('Interval'), ['units/mixer', 'situations/talk']],
]);

it('reads what is there, and shares what was there before', function (RigEdit $edit, array $shared) {
    $before = rereadRig();
    $text = writtenOut($edit->applyTo($before));
    $read = (new DocumentReader)->readStoredBeside($text, $before, writtenOut($before));
    expect(writtenOut($read))->toBe($text);
    foreach ($shared as $path) {
        [$list, $id] = explode('/', $path);
        expect($read->{$list}[$id])->toBe($before->{$list}[$id]);
    }
})->with('changes that are read again');

it('reads the way back as well', function (RigEdit $edit) {
    $after = $edit->applyTo(rereadRig());
    $text = writtenOut(rereadRig());
    expect(writtenOut((new DocumentReader)->readStoredBeside($text, $after, writtenOut($after))))->toBe($text);
})->with('changes that are read again');

it('makes anew what has changed, and only that', function () {
    $before = rereadRig();
    $fader = new SetPoint(new PointRef('mixer', 'ch-1'), new PointSettings(fader: Decibels::of(-37)));
    $read = (new DocumentReader)->readStoredBeside(writtenOut($fader->applyTo($before)), $before, writtenOut($before));
    expect($read->units['mixer']->points['ch-1']->fader?->value())->toBe(-37.0)
        ->and(array_keys(array_filter($read->units, fn ($unit, $id) => $unit !== $before->units[$id], ARRAY_FILTER_USE_BOTH)))->toBe(['mixer'])
        ->and($read->cables)->toBe($before->cables)->and($read->models)->toBe($before->models);
});

it('reads any rig beside any other', function (string $file) {
    $text = (string) file_get_contents($file);
    $known = writtenOut(rereadRig());
    expect(writtenOut((new DocumentReader)->readStoredBeside($text, rereadRig(), $known)))->toBe($text);
})->with(fn () => shippedRigs());

it('reads the whole document where the known text is not what the known rig says', function (string $known) {
    $text = writtenOut((new Unplug('w-20'))->applyTo(rereadRig()));
    expect(writtenOut((new DocumentReader)->readStoredBeside($text, rereadRig(), $known)))->toBe($text);
})->with([
    'empty' => '',
    'no document' => '{"a": 1}',
    'an earlier version' => fn () => str_replace('"version": 3', '"version": 2', writtenOut(rereadRig())),
    'one cable less' => fn () => writtenOut((new Unplug('w-07'))->applyTo(rereadRig())),
    'broken' => fn () => str_replace('"cables": [', '"cables": [,', writtenOut(rereadRig())),
]);

it('says of a document that can\'t be read what is wrong with it as a whole', function (string $from, string $to) {
    $text = str_replace($from, $to, writtenOut(rereadRig()));
    $said = [];
    foreach ([
        fn (DocumentReader $in) => $in->readStored($text),
        fn (DocumentReader $in) => $in->readStoredBeside($text, rereadRig(), writtenOut(rereadRig())),
    ] as $read) {
        try {
            $read(new DocumentReader);
        } catch (InvalidDocument $e) {
            $said[] = $e->problems;
        }
    }
    expect($said)->toHaveCount(2)->and($said[1])->toEqual($said[0])->and($said[0])->not->toBe([]);
})->with([
    'a cable that is there twice' => ['"id": "w-20"', '"id": "w-07"'],
    'a cable of no type' => ['"type": "hdmi"', '"type": "hemp"'],
    'a wish for nobody' => ['"listener": "driver-ears", "want"', '"listener": "nobody", "want"'],
    'no JSON' => ['"cables": [', '"cables": [,'],
    'an unknown key' => ['"summary":', '"abstract":'],
]);

it('takes a canonical document apart, and nothing else', function () {
    $text = writtenOut(rereadRig());
    $apart = CanonicalText::of($text);
    expect(array_keys($apart->says))->toBe(array_keys(json_decode($text, true)))
        ->and($apart->decoded('name'))->toBe(rereadRig()->name)->and($apart->decoded('no such key'))->toBeNull()
        ->and($apart->differing($apart))->toBe([])
        ->and($apart->differing(CanonicalText::of(writtenOut((new Unplug('w-20'))->applyTo(rereadRig())))))->toBe(['cables'])
        ->and(CanonicalText::of((string) json_encode(json_decode($text))))->toBeNull();
});

it('is not misled by a text that looks like a key', function () {
    $rig = (new DescribeRig("a\",\n  \"units\": [", "x\n}\n"))->applyTo(rereadRig());
    expect(CanonicalText::of(writtenOut($rig))->decoded('units'))->toHaveCount(count($rig->units))
        ->and(writtenOut((new DocumentReader)->readStoredBeside(writtenOut($rig), rereadRig(), writtenOut(rereadRig()))))->toBe(writtenOut($rig));
});
