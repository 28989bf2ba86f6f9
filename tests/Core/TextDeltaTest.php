<?php

declare(strict_types=1);

use HiddenWire\Core\History\TextDelta;

it('makes one text of another, byte for byte', function (string $old, string $new) {
    expect(TextDelta::apply($old, TextDelta::between($old, $new)))->toBe($new);
})->with(function () {
    $line = fn (int $number): string => "  {\"id\": \"unit-{$number}\", \"name\": \"Gerät {$number} · größer\"},\n";
    $text = implode('', array_map($line, range(1, 200)));

    return [
        'nothing of nothing' => ['', ''], 'something of nothing' => ['', 'a text'], 'nothing of something' => [$text, ''],
        'the same' => [$text, $text], 'a letter in the middle' => [$text, str_replace('unit-100"', 'unit-1000"', $text)],
        'a line gone' => [$text, str_replace($line(50), '', $text)], 'a line twice' => [$text, str_replace($line(50), $line(50).$line(50), $text)],
        'the end first' => [$text, implode('', array_map($line, [...range(101, 200), ...range(1, 100)]))],
        'a letter of several bytes changed' => [$text, str_replace('Gerät 7 ', 'Gerôt 7 ', $text)],
        'marks of several bytes before what is alike' => ['😀'.$text, '😁'.$text],
        'all new' => [$text, strtoupper(strrev((string) preg_replace('/[^ -~]/', '', $text)))],
        'one block over and over' => [str_repeat('ab', 5000), str_repeat('ab', 4999).'b'],
    ];
});

it('is small where little has changed', function () {
    $old = (string) file_get_contents(dirname(__DIR__, 2).'/resources/rigs/night-relay.json');
    $delta = TextDelta::between($old, str_replace('"Desk mixer"', '"Big mixer"', $old));
    expect(strlen($delta))->toBeLessThan(200)->and($delta)->toContain('Big m');
});

it('says that a delta is none of this text', function (string $delta) {
    expect(fn () => TextDelta::apply('a short text', $delta))->toThrow(UnexpectedValueException::class);
})->with(['', 'no JSON', '{"a": "x"}', '[[0, 99]]', '[[-1, 2]]', '[[0]]', '[3]', '[["0", "1"]]']);

it('goes there and back between texts that are drawn', function (int $seed) {
    mt_srand($seed);
    $words = ['ch-1', 'fader', ': ', "\n", '{', '}', 'é', '日本', '😀', '  ', '"name"', '0.5'];
    $draw = fn (int $count): string => implode('', array_map(fn () => $words[mt_rand(0, 11)], range(1, $count)));
    $old = $draw(600);
    for ($step = 0; $step < 20; $step++) {
        $at = mb_strlen($old) > 0 ? mt_rand(0, mb_strlen($old) - 1) : 0;
        $new = mb_substr($old, 0, $at).$draw(mt_rand(1, 20)).mb_substr($old, $at + mt_rand(0, 40));
        expect(TextDelta::apply($old, TextDelta::between($old, $new)))->toBe($new);
        $old = $new;
    }
})->with(range(1, 20));
