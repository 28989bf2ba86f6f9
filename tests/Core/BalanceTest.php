<?php

declare(strict_types=1);

use HiddenWire\Core\Document\DocumentReader;
use HiddenWire\Core\Document\DocumentWriter;
use HiddenWire\Core\Document\InvalidDocument;
use HiddenWire\Core\Edit\MarkWish;
use HiddenWire\Core\Edit\RemoveListener;
use HiddenWire\Core\Edit\SetBalance;
use HiddenWire\Core\History\RigDifference;
use HiddenWire\Core\Planning\Rebalance;
use HiddenWire\Core\Rig\Balance;
use HiddenWire\Core\Rig\Side;
use HiddenWire\Core\Signal\Compared;
use HiddenWire\Core\Signal\GraphBuilder;
use HiddenWire\Core\Signal\Hearing;
use Tests\Support\Draft;

/** Three sounds into two mixes. @param  array<string, float|null>  $phones  dB of each in the second; null for not at all */
function twoMixes(array $phones, array $air = ['a' => 0, 'b' => 0, 'c' => 0]): Draft
{
    $points = [['id' => 'air', 'kind' => 'ear', 'channels' => 2], ['id' => 'phones', 'kind' => 'ear', 'channels' => 2]];
    $routes = [];
    foreach (['air' => $air, 'phones' => $phones] as $mix => $levels) {
        foreach ($levels as $sound => $db) {
            $routes = $db === null ? $routes : [...$routes, ['from' => $sound, 'to' => $mix, 'db' => $db]];
        }
    }
    foreach (array_keys($air) as $sound) {
        $points[] = ['id' => $sound, 'kind' => 'origin', 'channels' => 1];
    }
    $draft = Draft::rig()->unit('u', ['points' => $points, 'routes' => $routes])->listener('me', 'u/phones')->listener('viewers', 'u/air');
    foreach (array_keys($air) as $sound) {
        $draft = $draft->source($sound, "u/{$sound}")->wish($sound, 'me', 'may')->wish($sound, 'viewers', 'must');
    }

    return $draft;
}

function compared(Draft $draft): Compared
{
    return new Compared($draft->hear(), 'me', 'viewers');
}

it('compares two listeners sound by sound, by what they have in common', function (array $phones, ?float $offset, array $off, array $beyond) {
    $compared = compared(twoMixes($phones));
    expect($compared->offset)->toBe($offset)->and(array_map(fn (array $row) => $row['off'], $compared->rows))->toBe($off)
        ->and($compared->beyond(3.0))->toBe($beyond);
})->with([
    'the same' => [['a' => 0, 'b' => 0, 'c' => 0], 0.0, [0.0, 0.0, 0.0], []],
    // All 10 dB softer is the same balance.
    'softer as a whole' => [['a' => -10, 'b' => -10, 'c' => -10], -10.0, [0.0, 0.0, 0.0], []],
    'one too loud' => [['a' => -10, 'b' => -4, 'c' => -10], -10.0, [0.0, 6.0, 0.0], ['b' => 6.0]],
    'within 3 dB' => [['a' => 0, 'b' => -3, 'c' => 0], 0.0, [0.0, -3.0, 0.0], []],
    'two off, the farther first' => [['a' => 0, 'b' => -5, 'c' => 8], 0.0, [0.0, -5.0, 8.0], ['c' => 8.0, 'b' => -5.0]],
    // The median of two is between them.
    'one is not there' => [['a' => -2, 'b' => null, 'c' => -6], -4.0, [2.0, null, -2.0], []],
    'nothing in common' => [['a' => null, 'b' => null, 'c' => null], null, [null, null, null], []],
]);

it('leaves out what must not be heard, and bleed', function () {
    $unwanted = twoMixes(['a' => 0, 'b' => -20, 'c' => 0])->with(function (array $d) {
        $d['wishes'][2]['want'] = 'must-not';

        return $d;
    });
    expect(compared($unwanted)->rows[1]['off'])->toBeNull();
    // 41 dB below the loudest is bleed.
    expect(compared(twoMixes(['a' => 0, 'b' => -41, 'c' => 0]))->rows[1]['off'])->toBeNull()
        ->and(compared(twoMixes(['a' => 0, 'b' => -39, 'c' => 0]))->rows[1]['off'])->toBe(-39.0);
});

it('is wished, taken back, compared and kept in documents', function () {
    $rig = twoMixes(['a' => 0, 'b' => 0, 'c' => 0])->make();
    $set = (new SetBalance('me', 'viewers', 3))->applyTo($rig);
    expect((new SetBalance('me', 'viewers', 3))->words($rig))->toBe('Me hears the balance of Viewers within 3.0 dB')
        ->and((new RigDifference($rig, $set))->lines())->toBe(['Sounds, listeners and wishes' => ['Me hears the balance of Viewers within 3.0 dB']])
        ->and((new SetBalance('me', 'viewers', 1.5))->applyTo($set)->balances)->toHaveCount(1)
        ->and((new SetBalance('me', 'viewers', null))->applyTo($set)->balances)->toBe([])
        ->and((new RemoveListener('viewers'))->applyTo($set)->balances)->toBe([]);
    $text = (new DocumentWriter)->write($set);
    expect((new DocumentWriter)->write((new DocumentReader)->read($text)))->toBe($text)
        ->and($text)->toContain('"balances": [{"listener": "me", "like": "viewers", "within_db": 3}]');
});

it('refuses a balance with itself, twice, or of nobody', function (array $balances, string $refusal) {
    try {
        twoMixes(['a' => 0, 'b' => 0, 'c' => 0])->with(fn (array $d) => $d + ['balances' => $balances])->make();
        $told = [];
    } catch (InvalidDocument $e) {
        $told = array_map(fn ($problem) => "{$problem->pointer}: {$problem->message}", $e->problems);
    }
    expect($told)->toBe([$refusal]);
})->with([
    [[['listener' => 'me', 'like' => 'me', 'within_db' => 3]], '/balances/0/like: A balance is that of another listener.'],
    [[['listener' => 'me', 'like' => 'nobody', 'within_db' => 3]], '/balances/0/like: There is no listener "nobody".'],
    [array_fill(0, 2, ['listener' => 'me', 'like' => 'viewers', 'within_db' => 3]), '/balances/1: /balances/0 says this already.'],
]);

describe('a sound on one side, on purpose', function () {
    $sided = function (string $map, ?Side $side): array {
        $draft = Draft::rig()->unit('u', ['points' => [['id' => 'a', 'kind' => 'origin', 'channels' => 1], ['id' => 'ears', 'kind' => 'ear', 'channels' => 2]],
            'routes' => [['from' => 'a', 'to' => 'ears', 'map' => $map]]])->source('a', 'u/a')->listener('me', 'u/ears')->wish('a', 'me', 'must');
        $rig = $side === null ? $draft->make() : (new MarkWish('a', 'me', null, false, null, $side))->applyTo($draft->make());
        $pair = (new Hearing((new GraphBuilder($rig))->build($rig->base())))->pair('a', 'me');

        return [$pair->channels(), $pair->verdict->value];
    };

    it('is no fault where it is wished, and one where it is not', function (string $map, ?Side $side, array $heard) use ($sided) {
        expect($sided($map, $side))->toBe($heard);
    })->with([
        ['to-left', null, ['left', 'one-sided']], ['to-left', Side::Left, ['left', 'ok']], ['to-right', Side::Left, ['right', 'one-sided']],
        ['to-both', Side::Left, ['both', 'one-sided']], ['to-both', null, ['both', 'ok']], ['to-right', Side::Right, ['right', 'ok']],
    ]);

    it('is said, and comes through a document', function () {
        $rig = twoMixes(['a' => 0, 'b' => 0, 'c' => 0])->make();
        $mark = new MarkWish('a', 'me', null, false, null, Side::Left);
        expect($mark->words($rig))->toBe('A at Me: left only');
        $text = (new DocumentWriter)->write($mark->applyTo($rig));
        expect($text)->toContain('"side": "left"')->and((new DocumentWriter)->write((new DocumentReader)->read($text)))->toBe($text)
            ->and((new RigDifference($rig, $mark->applyTo($rig)))->lines())->toBe(['Sounds, listeners and wishes' => ['A at Me: may, left only']]);
    });
});

/** @return array{list<string>, bool} what is changed, in words, and whether the balance is as wished then */
function rebalanced(Draft $draft): array
{
    $rebalance = new Rebalance($draft->make(), new Balance('me', 'viewers', 1.0), null);
    $rig = $draft->make();
    $words = [];
    foreach ($rebalance->edits as $edit) {
        $words[] = $edit->words($rig);
        $rig = $edit->applyTo($rig);
    }

    return [$words, $rebalance->isWhole];
}

it('brings a listener to the balance of another by levels that change nothing else', function () {
    $can = fn (Draft $draft): Draft => $draft->with(function (array $d) {
        foreach ($d['models'] as &$model) {
            foreach ($model['routes'] as &$route) {
                $route += ['can' => ['db']];
            }
        }

        return $d;
    });
    // Of three 10 dB down, b is 6 dB too loud and c 4 dB too soft: the median is a's.
    expect(rebalanced($can(twoMixes(['a' => -10, 'b' => -4, 'c' => -14]))))->toBe([
        ['U: b → phones at −10.0 dB', 'U: c → phones at −10.0 dB'], true,
    ])->and(rebalanced($can(twoMixes(['a' => 0, 'b' => 0, 'c' => 0]))))->toBe([[], true])
        // Nothing can be set there.
        ->and(rebalanced(twoMixes(['a' => -10, 'b' => -4, 'c' => -10])))->toBe([[], false]);
});

it('sets no level that somebody else hears, too', function () {
    // My phones hang behind a strip that the viewers hear as well: b can't be turned down for me alone.
    $draft = Draft::rig()->unit('u', [
        'points' => [['id' => 'a', 'kind' => 'origin', 'channels' => 1], ['id' => 'b', 'kind' => 'origin', 'channels' => 1],
            ['id' => 'strip', 'kind' => 'strip', 'channels' => 1, 'fader' => ['from' => -90, 'to' => 10, 'db' => 0]],
            ['id' => 'air', 'kind' => 'ear', 'channels' => 1], ['id' => 'phones', 'kind' => 'ear', 'channels' => 1]],
        'routes' => [['from' => 'b', 'to' => 'strip'], ['from' => 'strip', 'to' => 'air'], ['from' => 'strip', 'to' => 'phones', 'db' => 12],
            ['from' => 'a', 'to' => 'air'], ['from' => 'a', 'to' => 'phones']],
    ])->source('a', 'u/a')->source('b', 'u/b')->listener('me', 'u/phones')->listener('viewers', 'u/air');
    expect(rebalanced($draft))->toBe([[], false]);
});
