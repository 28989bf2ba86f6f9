<?php

declare(strict_types=1);

use HiddenWire\Core\Document\DocumentReader;
use HiddenWire\Core\Document\DocumentWriter;
use HiddenWire\Core\Document\InvalidDocument;
use HiddenWire\Core\Edit\SetPoint;
use HiddenWire\Core\History\Elements;
use HiddenWire\Core\History\RigDifference;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\PointSettings;
use HiddenWire\Core\Signal\GraphBuilder;
use HiddenWire\Core\Signal\Hearing;
use HiddenWire\Core\Signal\Verdict;
use Tests\Support\Draft;
use Tests\Support\PlainSums;

/** One sound by two strips with a polarity switch each, the second as much later as is wished. */
function twoStrips(float $late = 0.0, array $settings = [], bool $isNewInverted = false): Draft
{
    $strip = fn (string $id, bool $is): array => ['id' => $id, 'kind' => 'strip', 'channels' => 1, 'inverted' => $is];

    return Draft::rig()->unit(
        'desk',
        ['points' => [['id' => 'tone', 'kind' => 'origin', 'channels' => 1], $strip('a', false), $strip('b', $isNewInverted),
            ['id' => 'plain', 'kind' => 'strip', 'channels' => 1, 'mute' => false], ['id' => 'ear', 'kind' => 'ear', 'channels' => 1]],
            'routes' => [['from' => 'tone', 'to' => 'a'], ['from' => 'tone', 'to' => 'b', 'delay_ms' => $late], ['from' => 'a', 'to' => 'ear'], ['from' => 'b', 'to' => 'ear']]],
        'desk',
        $settings === [] ? [] : ['points' => $settings],
    )->source('s', 'desk/tone')->listener('l', 'desk/ear')->wish('s', 'l', 'must')->situation('show', ['desk/b' => ['inverted' => false]]);
}

it('turns the polarity of what passes', function (float $late, array $settings, bool $isNewInverted, ?float $db, Verdict $verdict) {
    $draft = twoStrips($late, $settings, $isNewInverted);
    $pair = $draft->pair('s', 'l');
    expect($pair->level()?->value())->toBe($db)->and($pair->verdict)->toBe($verdict);
    // The second method says the same.
    $plain = new PlainSums((array) json_decode($draft->text(), true), 'base');
    $level = $plain->level($plain->powers('s'), 'desk/ear');
    expect($db === null ? $level < -60 : abs($level - $db) < 0.01)->toBeTrue();
})->with([
    // 20 log10(1 + 1) = 6.02
    'neither' => [0, [], false, 6.02, Verdict::Doubled],
    // 1 - 1 = 0
    'the second' => [0, ['b' => ['inverted' => true]], false, null, Verdict::Missing],
    'as it comes new' => [0, [], true, null, Verdict::Missing],
    'new, and set back' => [0, ['b' => ['inverted' => false]], true, 6.02, Verdict::Doubled],
    'both' => [0, ['a' => ['inverted' => true], 'b' => ['inverted' => true]], false, 6.02, Verdict::Doubled],
    // 40 ms later it is another sound: 10 log10(1 + 1) = 3.01
    'late' => [40, ['b' => ['inverted' => true]], false, 3.01, Verdict::Doubled],
]);

it('is set in a situation, taken over from what was heard before, told, joined and written like any dial', function () {
    $rig = twoStrips()->make();
    $edit = new SetPoint(new PointRef('desk', 'b'), new PointSettings(inverted: true));
    $after = $edit->applyTo($rig);
    $before = new Hearing((new GraphBuilder($rig))->build($rig->base()));
    $taken = new Hearing((new GraphBuilder($after))->build($after->base(), $before->graph()), before: $before);
    expect($taken->pair('s', 'l')->verdict)->toBe(Verdict::Missing)
        ->and((new Hearing((new GraphBuilder($after))->build($after->situations['show'])))->pair('s', 'l')->verdict)->toBe(Verdict::Doubled)
        ->and($edit->words($rig))->toBe('Desk: b polarity inverted')
        ->and(array_merge([], ...array_values((new RigDifference($rig, $after))->lines())))->toBe(['Desk: b polarity inverted'])
        ->and(Elements::changed($rig, $after))->not->toBe([])
        ->and((new DocumentReader)->read((new DocumentWriter)->write($after)))->toEqual($after)
        ->and((new DocumentWriter)->write($after))->toContain('"inverted": true');
});

it('is refused where there is no such switch, and is one of version 3', function () {
    expect(fn () => twoStrips(0, ['plain' => ['inverted' => true]])->make())->toThrow(InvalidDocument::class, 'has no polarity switch')
        ->and(fn () => twoStrips(0, ['b' => ['inverted' => 'yes']])->make())->toThrow(InvalidDocument::class)
        ->and(fn () => twoStrips()->with(fn (array $d) => ['version' => 2] + $d)->make())->toThrow(InvalidDocument::class, '/inverted: There is no such key here');
});
