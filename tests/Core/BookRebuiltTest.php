<?php

declare(strict_types=1);

use HiddenWire\Core\Book\BookInput;
use HiddenWire\Core\Book\Parts;
use HiddenWire\Core\Document\Catalogue;
use HiddenWire\Core\Document\DocumentReader;
use HiddenWire\Core\Document\InvalidDocument;
use HiddenWire\Core\Export\Markdown;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Signal\GraphBuilder;
use HiddenWire\Core\Signal\Hearing;
use Tests\Support\BookText;
use Tests\Support\Rebuilt;

/** The whole book of a rig as Markdown, with the appendix of models that the catalogue does not have so. */
function bookOf(Rig $rig): string
{
    static $catalogue;
    $catalogue ??= Catalogue::of((function () {
        foreach (glob(dirname(__DIR__, 2).'/resources/catalogue/*.json') ?: [] as $file) {
            yield basename($file, '.json') => (string) file_get_contents($file);
        }
    })());

    return (new Markdown(array_keys(Parts::all())))->write(
        new BookInput($rig, causes: fn () => [], findings: fn () => [], usual: $catalogue->has(...)),
    );
}

/** @return array<string, array<mixed>> what is heard in each situation, by names */
function heardInBook(Rig $rig): array
{
    $heard = [];
    foreach ($rig->situations as $situation) {
        foreach ((new Hearing((new GraphBuilder($rig))->build($situation)))->all() as $pair) {
            $heard["{$situation->name}: {$pair->source->name} at {$pair->listener->name}"] = [
                $pair->isHeard(), $pair->level()?->number(), $pair->delay()?->number(), count($pair->arrivals()), $pair->verdict,
            ];
        }
    }

    return $heard;
}

/** @return array<string, list<string>> leads with their ends and lengths, picks, how all that acts is set, and what is late */
function bookRows(string $markdown): array
{
    $book = BookText::read($markdown);
    $rows = function (string $chapter, string $first, array $without = []) use ($book): array {
        $rows = array_map(fn (array $row) => implode(' | ', array_diff_key($row, array_flip($without))), $book->rows($chapter, $first));
        sort($rows);

        return $rows;
    };

    return ['leads' => $rows('Cabling card', 'Done'), 'picks' => $rows('Computers', 'Program'), 'devices' => $rows('Computers', 'Device'),
        'mixes' => $rows('Mixes and settings', 'Mix'), 'points' => $rows('Mixes and settings', 'At', ['Notes']),
        'settings' => $rows('Mixes and settings', 'What', ['Notes']), 'effects' => $rows('Effects', 'At'),
        'delays' => $rows('Delays, and what crosses the air', 'Where'), 'scenes' => $rows('Scenes and pictures', 'Scene')];
}

/** A shipped rig in which a dozen things are set, measured, cut or wished by chance. */
function drawnForBook(int $seed): Rig
{
    mt_srand($seed);
    $files = array_values(array_filter(shippedRigs(), fn (string $file) => ! str_contains($file, 'night-relay')));
    $data = (array) json_decode((string) file_get_contents($files[$seed % count($files)]), true);
    $any = fn (array $of): mixed => $of === [] ? null : $of[array_keys($of)[mt_rand(0, count($of) - 1)]];
    for ($i = 0; $i < 12; $i++) {
        $try = $data;
        $at = mt_rand(0, count($try['units']) - 1);
        $model = $try['models'][$try['units'][$at]['model']];
        $point = $any($model['points']);
        $route = $any(array_filter($model['routes'], fn (array $one) => ($one['can'] ?? []) !== []));
        $kind = mt_rand(0, 6);
        match (true) {
            $kind === 0 && $point !== null => $try['units'][$at]['settings']['points'][$point['id']] = array_filter([
                'gain' => isset($point['gain']) ? mt_rand($point['gain']['from'], $point['gain']['to']) : null,
                'fader' => isset($point['fader']) ? mt_rand(2 * $point['fader']['from'], 2 * $point['fader']['to']) / 2 : null,
                'mute' => isset($point['mute']) ? mt_rand(0, 3) === 0 : null, 'mono' => isset($point['mono']) ? mt_rand(0, 1) === 1 : null,
            ], fn (mixed $value) => $value !== null),
            $kind === 1 && $route !== null => $try['units'][$at]['settings']['routes']["{$route['from']}>{$route['to']}"] = array_intersect_key([
                'on' => mt_rand(0, 3) > 0, 'db' => mt_rand(-20, 0) / 2, 'tap' => $any(['pre-fader', 'post-fader', 'before-mute']),
            ], array_flip($route['can'])),
            $kind === 2 => $try['cables'][mt_rand(0, count($try['cables']) - 1)]['length_m'] = mt_rand(1, 200) / 10,
            $kind === 3 => $try['measures'][] = ['about' => "cables/{$any($try['cables'])['id']}", 'kind' => 'delay', 'value' => mt_rand(1, 400) / 10],
            $kind === 4 => $try['sources'][mt_rand(0, count($try['sources']) - 1)]['loudness_db'] = mt_rand(-100, 100) / 10,
            $kind === 5 && count($try['situations']) > 1 => $try['situations'][mt_rand(1, count($try['situations']) - 1)]['pulled'][]
                = $any($try['cables'])['id'],
            default => $try['wishes'][] = ['source' => $any($try['sources'])['id'], 'listener' => $any($try['listeners'])['id'],
                'want' => $any(['must', 'may', 'must-not']), 'alone' => mt_rand(0, 1) === 1],
        };
        try {
            (new DocumentReader)->read((string) json_encode($try));
            $data = $try;
        } catch (InvalidDocument) {
            // Something else is tried.
        }
    }

    return (new DocumentReader)->read((string) json_encode($data));
}

it('says enough to build a shipped rig again: the book alone gives the same leads, picks, settings, delays and hearing', function (string $file) {
    $book = bookOf((new DocumentReader)->read((string) file_get_contents($file)));
    $again = Rebuilt::from($book);
    expect(heardInBook($again))->toEqual(heardInBook((new DocumentReader)->read((string) file_get_contents($file))))
        ->and(bookRows(bookOf($again)))->toBe(bookRows($book));
})->with(fn () => shippedRigs());

it('says enough to build a rig again that was set by chance', function (int $from) {
    for ($seed = $from; $seed < $from + 10; $seed++) {
        $rig = drawnForBook($seed);
        $book = bookOf($rig);
        $again = Rebuilt::from($book);
        expect(heardInBook($again))->toEqual(heardInBook($rig), "seed {$seed}")
            ->and(bookRows(bookOf($again)))->toBe(bookRows($book), "seed {$seed}");
    }
})->with([1, 11, 21, 31, 41]);
