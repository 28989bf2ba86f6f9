<?php

declare(strict_types=1);

use HiddenWire\Core\Document\DocumentReader;
use HiddenWire\Core\Document\InvalidDocument;
use HiddenWire\Core\Signal\GraphBuilder;
use HiddenWire\Core\Signal\Hearing;

/** One random injury to a document: bytes swapped, cut, doubled, or a value replaced by one of another kind. */
function injured(string $text): string
{
    $length = strlen($text);
    $at = mt_rand(0, $length - 1);
    $values = ['null', 'true', '-1', '1e308', '""', '[]', '{}', '"x/y"', '"../../x"', '99999999999999999999', '"\u0000"', '[[[[]]]]'];

    return match (mt_rand(0, 7)) {
        0 => substr($text, 0, $at),
        1 => substr($text, 0, $at).chr(mt_rand(0, 255)).substr($text, $at + 1),
        2 => substr($text, 0, $at).substr($text, min($length, $at + mt_rand(1, 200))),
        3 => substr($text, 0, $at).substr($text, $at, 40).substr($text, $at),
        // A value, a key or a reference replaced: still JSON, and a wrong document.
        4 => (string) preg_replace_callback('/: ("[^"]*"|-?\d+(\.\d+)?|true|false)/', fn ($m) => mt_rand(0, 120) === 0 ? ': '
            .$values[array_rand($values)] : $m[0], $text),
        5 => (string) preg_replace_callback('/"([a-z_]+)": /', fn ($m) => mt_rand(0, 150) === 0 ? '"'.$m[1].'x": ' : $m[0], $text),
        6 => (string) preg_replace_callback('/"([a-z0-9-]+\/[a-z0-9-]+)"/', fn ($m) => mt_rand(0, 40) === 0 ? '"'.strrev($m[1]).'"'
            : $m[0], $text),
        default => (string) preg_replace_callback('/-?\d+/', fn ($m) => mt_rand(0, 60) === 0 ? (string) mt_rand(-200, 200) : $m[0], $text),
    };
}

it('survives 5,000 injured documents: a rig or an error that says where, never a crash', function () {
    mt_srand(20261125);
    $texts = [shipped('rigs/penny-slot.json'), shipped('rigs/ticket-booth.json'), shipped('starters/tram-depot.json'),
        shipped('starters/oral-history.json'), shipped('starters/night-market.json'),
        shipped('starters/guided-evening.json'), shipped('starters/storm-watch.json'), shipped('starters/quiz-night.json')];
    $read = $refused = 0;
    for ($i = 0; $i < 5000; $i++) {
        $text = injured($texts[$i % 8]);
        try {
            $rig = (new DocumentReader)->read($text);
            // What is read can be computed.
            new Hearing((new GraphBuilder($rig))->build($rig->situation() ?? throw new LogicException('No situation')));
            $read++;
        } catch (InvalidDocument $e) {
            foreach ($e->problems as $problem) {
                expect($problem->message)->not->toBe('')->and($problem->pointer === '' || $problem->pointer[0] === '/')->toBeTrue();
            }
            $refused++;
        }
    }
    expect($read + $refused)->toBe(5000)->and($read)->toBeGreaterThan(200)->and($refused)->toBeGreaterThan(2500);
});
