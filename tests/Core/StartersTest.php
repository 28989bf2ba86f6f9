<?php

declare(strict_types=1);

use HiddenWire\Core\Signal\HeardPair;
use HiddenWire\Core\Signal\Hearing;
use HiddenWire\Core\Signal\HopKind;
use Tests\Support\Draft;
use Tests\Support\PlainSums;

/*
 * What every starter comes to, worked out by hand from its description (tests/Core/starters/, a file each) and held against the engine. A
 * cell says, for one sound at one listener:
 *
 *   verdict   nothing: as wished · M missing · L leak · D doubled · S one-sided · T not dry or processed as wished · @ loop · ? not wished for
 *   arrivals  how many; "." is no arrival and no wish
 *   channels  l left · r right · b both · m mono
 *   :faders   the faders that the strongest arrival passes, in order, by the letters that the file gives them
 *   /dB/ms    the strongest of what arrives, and when; computed by Tests\Support\PlainSums, which shares no code with the engine
 */

/** @return array<string, array<string, mixed>> */
function starterTables(): array
{
    $tables = [];
    foreach ((array) glob(__DIR__.'/starters/*.php') as $file) {
        $tables[basename((string) $file, '.php')] = require $file;
    }

    return $tables;
}

/**
 * A table as it is written: a line of listeners, then a line a source.
 *
 * @return array<string, string> cells by "source listener"
 */
function cells(string $table): array
{
    $lines = array_map(fn (string $line) => (array) preg_split('/\s+/', trim($line)), explode("\n", trim($table)));
    $listeners = array_shift($lines);
    $cells = [];
    foreach ($lines as $line) {
        $source = array_shift($line);
        expect($line)->toHaveCount(count($listeners), "the row {$source}");
        foreach ($listeners as $i => $listener) {
            $cells["{$source} {$listener}"] = $line[$i];
        }
    }

    return $cells;
}

/** "/-6/20": the level in dB and the delay in ms of the strongest that arrives; empty where nothing does. */
function strongest(Hearing $hearing, HeardPair $pair): string
{
    $best = null;
    foreach ($hearing->response($pair) as $row) {
        $taps = [];
        foreach ($row['taps'] as [$ms, $amplitude]) {
            $taps[(int) round($ms * 1000)] = ($taps[(int) round($ms * 1000)] ?? 0.0) + $amplitude;
        }
        foreach (PlainSums::merged($taps) as [$time, $amplitude]) {
            $size = abs($amplitude);
            $best = $best === null || $size > $best[0] * 1.0001 || ($size > $best[0] * 0.9999 && $time < $best[1]) ? [$size, $time] : $best;
        }
    }

    return $best === null || $best[0] < 1e-3 ? '' : '/'.(0 + round(20 * log10($best[0]), 1)).'/'.round($best[1] / 1000, 1);
}

/** @param  array<string, string>  $letters  by fader reference */
function cell(HeardPair $pair, array $letters): string
{
    $verdict = ['ok' => '', 'silent' => '', 'missing' => 'M', 'leak' => 'L', 'doubled' => 'D', 'one-sided' => 'S', 'treated' => 'T', 'loop' => '@',
        'unwished' => '?'][$pair->verdict->value];
    if ($pair->arrivals() === []) {
        return $pair->verdict->value === 'silent' ? '.' : "{$verdict}0";
    }
    $faders = implode('', array_map(fn ($hop) => $letters[$hop->ref] ?? "[{$hop->ref}]", $pair->arrivals()[0]->hopsOf(HopKind::Fader)));

    return $verdict.count($pair->arrivals()).$pair->channels()[0].($faders === '' ? '' : ":{$faders}");
}

/**
 * @param  array<string, string>  $letters
 * @return array<string, string>
 */
function heardCells(Draft $draft, ?string $situation, array $letters): array
{
    $cells = [];
    $hearing = $draft->hear($situation);
    foreach ($hearing->all() as $pair) {
        $cells["{$pair->source->id} {$pair->listener->id}"] = cell($pair, $letters).strongest($hearing, $pair);
    }

    return $cells;
}

function starter(string $name): Draft
{
    return Draft::from(dirname(__DIR__, 2)."/resources/starters/{$name}.json");
}

it('has a table for every starter, and twenty-seven of them or more', function () {
    $starters = array_map(fn ($file) => basename((string) $file, '.json'), (array) glob(dirname(__DIR__, 2).'/resources/starters/*.json'));
    expect(array_keys(starterTables()))->toBe($starters)->and(count($starters))->toBeGreaterThanOrEqual(27);
});

it('comes to what its description says', function (string $name) {
    $table = starterTables()[$name];
    $letters = array_flip($table['faders']);
    $base = cells($table['table']);
    expect(heardCells(starter($name), null, $letters))->toBe($base);
    $situations = array_map(fn (array $situation) => $situation['id'], json_decode(shipped("starters/{$name}.json"), true)['situations']);
    // At least a second situation, and each of them reported.
    expect(array_keys($table['situations']))->toBe(array_slice($situations, 1))->not->toBe([]);
    foreach ($table['situations'] as $situation => $changed) {
        expect(heardCells(starter($name), $situation, $letters))->toBe([...$base, ...$changed], $situation);
    }
})->with(fn () => array_keys(starterTables()));

it('shows a planted mistake in the verdicts', function (string $name) {
    $table = starterTables()[$name];
    expect(count($table['mistakes']))->toBeGreaterThanOrEqual(2);
    $letters = array_flip($table['faders']);
    $base = cells($table['table']);
    foreach ($table['mistakes'] as $mistake => [$plant, $changed]) {
        expect(heardCells($plant(starter($name)), null, $letters))->toBe([...$base, ...$changed], $mistake);
        $verdicts = fn (array $cells) => array_map(fn (string $cell) => preg_replace('/[\d.].*$/', '', $cell), $cells);
        expect($verdicts([...$base, ...$changed]))->not->toBe($verdicts($base), "{$mistake} changes a verdict");
    }
})->with(fn () => array_keys(starterTables()));

it('is as loud and as late as plain sums say, in every situation of the demo', function () {
    $file = dirname(__DIR__, 2).'/resources/rigs/night-relay.json';
    $data = (array) json_decode((string) file_get_contents($file), true);
    foreach (array_column($data['situations'], 'id') as $situation) {
        $sums = new PlainSums($data, $situation);
        $hearing = Draft::from($file)->hear($situation);
        foreach ($hearing->all() as $pair) {
            $plain = $sums->strongest($pair->source->id, $pair->listener->id);
            expect(strongest($hearing, $pair))
                ->toBe(
                    $plain === null ? '' : '/'.(0 + $plain[0]).'/'.$plain[1],
                    "{$pair->source->id} at {$pair->listener->id} in {$situation}",
                );
        }
    }
});

it('gives every starter full wishes and a description', function (string $name) {
    $rig = starter($name)->make();
    expect(strlen($rig->summary))->toBeGreaterThan(60);
    $wished = [];
    foreach ($rig->wishes as $wish) {
        $wished["{$wish->source} {$wish->listener}"] = true;
    }
    expect($wished)->toHaveCount(count($rig->sources) * count($rig->listeners));
})->with(fn () => array_keys(starterTables()));
