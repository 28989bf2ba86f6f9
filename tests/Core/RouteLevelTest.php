<?php

declare(strict_types=1);

use HiddenWire\Core\Document\DocumentReader;
use HiddenWire\Core\Document\DocumentWriter;
use HiddenWire\Core\Document\InvalidDocument;
use HiddenWire\Core\Edit\LinkLevels;
use HiddenWire\Core\Edit\SetRoute;
use HiddenWire\Core\Edit\SwapUnit;
use HiddenWire\Core\Planning\Diagnosis;
use HiddenWire\Core\Planning\Hearings;
use HiddenWire\Core\Quantity\Decibels;
use HiddenWire\Core\Rig\InvalidRig;
use HiddenWire\Core\Rig\RouteRef;
use HiddenWire\Core\Rig\RouteSettings;
use HiddenWire\Core\Sheets\ModelSheets;
use Tests\Support\Draft;

/** A level in per cent: 100 % adds nothing, 50 % takes 6 dB, 0 % is silence. */
const PER_CENT = ['from' => -60, 'to' => 0, 'scale' => ['unit' => '%', 'marks' => [[0, -60], [10, -20], [50, -6], [100, 0]]]];

/** Two sounds, each by a send of its own to an ear. @param  array<string, mixed>|null  $level  of both sends */
function sent(?array $level, float $db = 0, string $family = 'mixer'): Draft
{
    $route = fn (string $from) => ['from' => $from, 'to' => 'mix', 'can' => ['on', 'db']] + ($level === null ? [] : ['level' => $level]);

    return Draft::rig()->unit('desk', ['name' => 'Desk', 'family' => $family, 'points' => [
        ['id' => 'one', 'kind' => 'origin', 'label' => 'One', 'channels' => 1], ['id' => 'two', 'kind' => 'origin', 'label' => 'Two', 'channels' => 1],
        ['id' => 'mix', 'kind' => 'bus', 'label' => 'Mix', 'channels' => 1], ['id' => 'ear', 'kind' => 'ear', 'label' => 'Ear', 'channels' => 1],
    ], 'routes' => [$route('one'), $route('two'), ['from' => 'mix', 'to' => 'ear']]], 'desk', ['routes' => ['one>mix' => ['db' => $db]]])
        ->source('s', 'desk/one')->source('t', 'desk/two')->listener('l', 'desk/ear')->wish('s', 'l', 'must');
}

it('lets nothing through at the lowest mark of a level that ends in silence', function (?array $level, float $db, ?float $heard) {
    expect(sent($level, $db)->pair('s', 'l')->level()?->value())->toBe($heard);
})->with([
    'no range is known' => [null, -60, -60.0], 'half way' => [PER_CENT, -6, -6.0], 'shut' => [PER_CENT, -60, null],
    'just open' => [PER_CENT, -59.5, -59.5], 'the lowest of a short range' => [['from' => -40, 'to' => 10], -40, -40.0],
]);

it('reads a mark as dB and back', function () {
    $scale = sent(PER_CENT)->make()->modelOf('desk')->routes['one>mix']->level?->scale;
    // Half of the way from 10 to 50 %: half of the way from -20 to -6 dB.
    expect($scale?->levelOf(30)->value())->toBe(-13.0)->and($scale?->words(Decibels::of(-13)))->toBe('30 %')
        ->and($scale?->words(Decibels::of(0)))->toBe('100 %');
});

it('refuses a level outside its range, wherever it is said', function () {
    $why = fn (callable $do): string => (function () use ($do) {
        try {
            $do();
        } catch (InvalidDocument|InvalidRig $e) {
            return "{$e->problems[0]->pointer}: {$e->problems[0]->message}";
        }

        return '';
    })();
    expect($why(fn () => sent(PER_CENT, 3)->make()))
        ->toBe('/units/0/settings/routes/one>mix/db: The level of "one>mix" goes from −60.0 to 0.0 dB; 3.0 dB lies outside.')
        ->and($why(fn () => (new SetRoute(new RouteRef('desk', 'two>mix'), new RouteSettings(db: Decibels::of(-61))))->applyTo(sent(PER_CENT)->make())))
        ->toContain('goes from −60.0 to 0.0 dB; −61.0 dB lies outside')
        ->and($why(fn () => sent(['from' => 0, 'to' => 0])->make()))->toContain('A level goes up from 0.0 dB, not to 0.0 dB.')
        ->and($why(fn () => sent(['from' => -20, 'to' => -10])->make()))->toContain('The level when new lies outside.');
    $fixed = sent(PER_CENT)->with(function (array $d) {
        $d['models']['model-desk']['routes'][2]['level'] = PER_CENT;

        return $d;
    });
    expect($why(fn () => $fixed->make()))->toContain('/models/model-desk/routes/2/level: A level that nobody can set goes nowhere');
});

it('turns up what is shut, and what is too low no further than it goes', function () {
    $cures = fn (Draft $draft) => array_map(fn ($cure) => $cure->sentence, (new Diagnosis(new Hearings($draft->make())))->causes()[0]->cures ?? []);
    expect($cures(sent(PER_CENT, -60))[0])->toBe('Turn up One → Mix of Desk')
        // 50 dB are missing, and 10 dB are left.
        ->and($cures(sent(['from' => -80, 'to' => -10], -50)->with(function (array $d) {
            $d['models']['model-desk']['routes'][0]['db'] = $d['models']['model-desk']['routes'][1]['db'] = -10;

            return $d;
        })))->toContain('Set One → Mix of Desk to −10.0 dB');
});

it('moves linked levels as far as they go', function () {
    $rig = (new LinkLevels(new RouteRef('desk', 'one>mix'), 'two>mix'))->applyTo(sent(PER_CENT, -20)->make());
    // Up by 15 dB; the other is at 0 dB already.
    $moved = (new SetRoute(new RouteRef('desk', 'one>mix'), new RouteSettings(db: Decibels::of(-5))))->applyTo($rig);
    expect($moved->units['desk']->routes['one>mix']->db?->value())->toBe(-5.0)->and($moved->units['desk']->routes['two>mix']->db?->value())->toBe(0.0);
});

it('keeps a level in a swap as near as the new model goes, and says so', function () {
    $rig = sent(null, 10)->make();
    $data = (array) json_decode((string) json_encode((new DocumentWriter)->model(sent(PER_CENT)->make()->modelOf('desk'))), true);
    $swap = new SwapUnit('desk', (new DocumentReader)->model(json_decode((string) json_encode(['name' => 'Other'] + $data)), 'other', []));
    expect($swap->applyTo($rig)->units['desk']->routes['one>mix']->db?->value())->toBe(0.0)
        ->and(implode('; ', $swap->losses($rig)))->toContain('which goes to 0.0 dB');
});

it('is written in documents and sheets, and read again', function () {
    $rig = sent(PER_CENT, -6)->make();
    $text = (new DocumentWriter)->write($rig);
    expect((new DocumentWriter)->write((new DocumentReader)->read($text)))->toBe($text)
        ->and(json_decode($text, true)['models']['model-desk']['routes'][0]['level'])->toBe(PER_CENT);
    $model = $rig->modelOf('desk');
    $sheets = new ModelSheets(ModelSheets::of($model), ['name' => $model->name, 'family' => 'mixer', 'summary' => '']);
    expect($sheets->model($model->id))->toEqual($model);
});
