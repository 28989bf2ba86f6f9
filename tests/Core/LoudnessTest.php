<?php

declare(strict_types=1);

use HiddenWire\Core\Document\DocumentReader;
use HiddenWire\Core\Document\DocumentWriter;
use HiddenWire\Core\Document\InvalidDocument;
use HiddenWire\Core\Edit\SetLoudness;
use HiddenWire\Core\History\RigDifference;
use HiddenWire\Core\Quantity\Decibels;
use HiddenWire\Core\Signal\Blast;
use Tests\Support\Draft;

/** @param  array<string, array{float, float|null}>  $sounds  level of its route, and how loud it begins */
function sounding(array $sounds): Draft
{
    $points = [['id' => 'ear', 'kind' => 'ear', 'channels' => 2]];
    $routes = [];
    foreach ($sounds as $id => [$db]) {
        $points[] = ['id' => $id, 'kind' => 'origin', 'channels' => 2];
        $routes[] = ['from' => $id, 'to' => 'ear', 'db' => $db];
    }
    $draft = Draft::rig()->unit('u', ['points' => $points, 'routes' => $routes])->listener('me', 'u/ear');
    foreach (array_keys($sounds) as $id) {
        $draft = $draft->source($id, "u/{$id}");
    }

    return $draft->with(function (array $d) use ($sounds) {
        foreach ($d['sources'] as &$source) {
            $loudness = $sounds[$source['id']][1];
            $source += $loudness === null ? [] : ['loudness_db' => $loudness];
        }

        return $d;
    });
}

it('tells a sound that is 10 dB louder than all others, of those whose loudness is known', function (array $sounds, array $blasts) {
    expect(array_map(fn (Blast $one) => $one->words(), Blast::all(sounding($sounds)->hear())))->toBe($blasts);
})->with([
    // 18 - 6 = 12 dB over the voice at 0 dB.
    'a captured feed at full scale' => [['game' => [-6, 18], 'voice' => [0, 0]], ['Game is 12.0 dB louder than any other sound']],
    'turned down by as much' => [['game' => [-18, 18], 'voice' => [0, 0]], []],
    'just under' => [['game' => [0, 9.9], 'voice' => [0, 0]], []],
    'from 10 dB on' => [['game' => [0, 10], 'voice' => [0, 0]], ['Game is 10.0 dB louder than any other sound']],
    'the next loudest counts' => [['game' => [0, 18], 'voice' => [0, 0], 'music' => [0, 9]], []],
    'nobody knows the other' => [['game' => [0, 18], 'voice' => [0, null]], []],
    'alone' => [['game' => [0, 18]], []],
]);

it('changes no level in the table, and is kept, told and taken back', function () {
    $quiet = sounding(['game' => [-6, null], 'voice' => [0, null]]);
    $rig = $quiet->make();
    $edit = new SetLoudness('game', Decibels::of(18), true);
    $loud = $edit->applyTo($rig);
    expect($edit->words($rig))->toBe('Game: 18.0 dB over nominal, measured')
        ->and(sounding(['game' => [-6, 18], 'voice' => [0, null]])->pair('game', 'me')->level())->toEqual($quiet->pair('game', 'me')->level())
        ->and((new DocumentReader)->read((new DocumentWriter)->write($loud)))->toEqual($loud)
        ->and(array_merge(...array_values((new RigDifference($rig, $loud))->lines())))->toBe(['Game: 18.0 dB over nominal, measured'])
        ->and((new SetLoudness('game', null, true))->applyTo($loud))->toEqual($rig);
    $measured = sounding(['game' => [-6, null]])->with(fn (array $d) => array_replace_recursive($d, ['sources' => [['measured' => true]]]));
    expect(fn () => $measured->make())->toThrow(InvalidDocument::class, 'What was measured is the "loudness_db"');
});
