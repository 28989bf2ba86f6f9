<?php

declare(strict_types=1);

use Eris\Generator\ChooseGenerator;
use Eris\Generator\ElementsGenerator;
use Eris\Generator\SequenceGenerator;
use Eris\Generator\TupleGenerator;
use Eris\TestTrait;
use HiddenWire\Core\Document\DocumentReader;
use HiddenWire\Core\Document\DocumentWriter;
use HiddenWire\Core\Signal\Hearing;
use HiddenWire\Core\Signal\Passage;
use Tests\Support\Draft;

uses(TestTrait::class);

/**
 * A random rig: one unit of eight points with random routes, two sources, two listeners. @param  list<array{int, int, int, string}>
 * $routes
 */
function tangle(array $routes, array $mutes = []): Draft
{
    $points = [['id' => 'p0', 'kind' => 'origin', 'channels' => 1, 'mute' => false],
        ['id' => 'p1', 'kind' => 'origin', 'channels' => 2, 'mute' => false]];
    foreach (range(2, 5) as $i) {
        $points[] = ['id' => "p{$i}", 'kind' => 'strip', 'channels' => $i % 2 + 1, 'mute' => false, 'fader' => ['from' => -90, 'to' => 10]];
    }
    array_push(
        $points,
        ['id' => 'p6', 'kind' => 'ear', 'channels' => 2, 'mute' => false],
        ['id' => 'p7', 'kind' => 'ear', 'channels' => 1, 'mute' => false],
    );
    $made = [];
    foreach ($routes as [$from, $to, $db, $tap]) {
        if ($from !== $to) {
            $made["{$from}>{$to}"] = ['from' => "p{$from}", 'to' => "p{$to}", 'db' => -$db, 'tap' => $tap, 'can' => ['on']];
        }
    }
    $draft = Draft::rig()->unit('u', ['points' => $points, 'routes' => array_values($made)])->source('a', 'u/p0')->source('b', 'u/p1')
        ->listener('x', 'u/p6')->listener('y', 'u/p7')
        ->wish('a', 'x', 'must')->wish('b', 'y', 'may');
    foreach ($mutes as $mute) {
        $draft->set('u', 'points', "p{$mute}", ['mute' => true]);
    }

    return $draft;
}

function randomRoutes(): SequenceGenerator
{
    return new SequenceGenerator(new TupleGenerator([new ChooseGenerator(0, 7), new ChooseGenerator(2, 7), new ChooseGenerator(0, 40),
        ElementsGenerator::fromArray(['input', 'pre-fader', 'post-fader'])]));
}

/**
 * Arrivals by pair, as comparable facts. Only those that are heard by themselves: where none is and the sum is, quieter ones are listed
 * to explain it.
 *
 * @return array<string, list<array{string, float, float, string}>>
 */
function facts(Hearing $hearing): array
{
    $facts = [];
    foreach ($hearing->all() as $pair) {
        $arrivals = array_map(
            fn ($arrival) => [implode(' ', array_map(fn ($hop) => $hop->kind->value.$hop->ref, $arrival->hops)),
                $arrival->gain->value(), $arrival->delay->value(), $arrival->channels()],
            array_filter($pair->arrivals(), fn ($arrival) => $arrival->gain->value() >= -60),
        );
        sort($arrivals);
        $facts["{$pair->source->id} {$pair->listener->id}"] = $arrivals;
    }
    ksort($facts);

    return $facts;
}

it('never adds an arrival by adding a mute', function () {
    $this->limitTo(150)->forAll(randomRoutes(), new ChooseGenerator(0, 7))->then(function (array $routes, int $mute) {
        $whole = tangle($routes)->hear();
        foreach ($whole->all() as $pair) {
            if ($pair->isCapped()) {
                // More ways than are listed: which of them are is no property of the rig.
                return;
            }
        }
        $open = facts($whole);
        foreach (facts(tangle($routes, [$mute])->hear()) as $pair => $arrivals) {
            expect(count($arrivals))->toBeLessThanOrEqual(count($open[$pair]));
            foreach ($arrivals as $arrival) {
                expect($open[$pair])->toContain($arrival);
            }
        }
    });
});

it('sums the gains and delays along every way', function () {
    $this->limitTo(150)->forAll(randomRoutes())->then(function (array $routes) {
        foreach (tangle($routes)->hear()->all() as $pair) {
            foreach ($pair->arrivals() as $arrival) {
                expect(round(array_sum(array_map(fn ($hop) => $hop->gain->value(), $arrival->hops)), 2))->toBe($arrival->gain->value());
                expect(round(array_sum(array_map(fn ($hop) => $hop->delay->value(), $arrival->hops)), 3))->toBe($arrival->delay->value());
                expect($arrival->hops[count($arrival->hops) - 1]->level->value())->toBe($arrival->gain->value());
            }
        }
        expect(true)->toBeTrue();
    });
});

it('takes no element twice on a way unless by other channels', function () {
    $this->limitTo(150)->forAll(randomRoutes())->then(function (array $routes) {
        foreach (tangle($routes)->hear()->all() as $pair) {
            foreach ($pair->arrivals() as $arrival) {
                $routesTaken = array_map(fn ($hop) => $hop->kind->value.$hop->ref, $arrival->hops);
                expect(count($routesTaken))->toBeLessThanOrEqual(2 * count(array_unique($routesTaken)));
            }
        }
        expect(true)->toBeTrue();
    });
});

it('does not care in which order a document lists its units, cables and picks', function () {
    $text = shipped('rigs/night-relay.json');
    $reference = facts(Draft::from(dirname(__DIR__, 2).'/resources/rigs/night-relay.json')->hear());
    $this->limitTo(12)->forAll(new ChooseGenerator(1, 1_000_000))->then(function (int $seed) use ($text, $reference) {
        $data = (array) json_decode($text, true);
        mt_srand($seed);
        foreach (['units', 'cables', 'picks', 'places', 'devices', 'wishes'] as $key) {
            shuffle($data[$key]);
        }
        expect(facts(Draft::rig()->with(fn () => $data)->hear()))->toBe($reference);
    });
});

it('shifts every arrival by what a source\'s level is shifted', function () {
    $this->limitTo(80)->forAll(randomRoutes(), new ChooseGenerator(1, 6))->then(function (array $routes, int $down) {
        $normal = tangle($routes);
        $lower = tangle($routes)->with(function (array $d) use ($down) {
            $d['sources'][0]['origins'][0]['db'] = -$down;

            return $d;
        });
        foreach (['x', 'y'] as $listener) {
            $levels = fn (Draft $draft) => array_values(array_filter(array_map(
                fn ($arrival) => $arrival->gain->value(),
                $draft->pair('a', $listener)->arrivals(),
            ), fn ($level) => $level >= -60));
            $expected = array_values(array_filter(
                array_map(fn ($level) => round($level - $down, 2), $levels($normal)),
                fn ($level) => $level >= -60,
            ));
            $found = $levels($lower);
            sort($expected);
            sort($found);
            expect($found)->toBe($expected);
        }
    });
});

it('reads what it wrote, and writes it the same', function () {
    $this->limitTo(80)->forAll(randomRoutes())->then(function (array $routes) {
        $text = (new DocumentWriter)->write(tangle($routes)->make());
        expect((new DocumentWriter)->write((new DocumentReader)->read($text)))->toBe($text);
    });
});

it('hears in a situation what it would hear with the situation\'s changes as settings', function () {
    $this->limitTo(60)->forAll(randomRoutes(), new ChooseGenerator(2, 5))->then(function (array $routes, int $strip) {
        $asSituation = tangle($routes)->situation('s', ["u/p{$strip}" => ['mute' => true, 'fader' => -12]])->hear('s');
        $asSettings = tangle($routes)->set('u', 'points', "p{$strip}", ['mute' => true, 'fader' => -12])->hear();
        expect(facts($asSituation))->toBe(facts($asSettings));
    });
});

it('says of every point what an ear there would say', function () {
    $this->limitTo(60)->forAll(randomRoutes(), new ChooseGenerator(0, 7))->then(function (array $routes, int $mute) {
        $hearing = tangle($routes, [$mute])->hear();
        $field = $hearing->field();
        foreach (['x' => 'u/p6', 'y' => 'u/p7'] as $listener => $at) {
            $there = array_map(fn ($source) => $source->id, $field->sourcesAt($at));
            foreach (['a', 'b'] as $source) {
                $pair = $hearing->pair($source, $listener);
                // Near the threshold two parts of a sound may be heard together that are not heard apart.
                if (abs(($pair->level()?->value() ?? -70) + 60) > 4) {
                    expect(in_array($source, $there, true))->toBe($pair->isHeard() || $pair->sum->isUncertain());
                }
            }
        }
    });
});

it('draws as passing inside a unit what the hearing says', function () {
    $this->limitTo(60)->forAll(randomRoutes(), new ChooseGenerator(0, 7))->then(function (array $routes, int $mute) {
        $hearing = tangle($routes, [$mute])->hear();
        $unit = $hearing->rig->units['u'];
        foreach (['a' => 'p0', 'b' => 'p1'] as $source => $from) {
            $reached = Passage::inside($hearing->graph(), $unit, $from, false);
            foreach (['x' => 'p6', 'y' => 'p7'] as $listener => $to) {
                // What cancels or is too quiet passes and is not heard; nothing is heard that does not pass.
                expect(isset($reached[$to]) || ! $hearing->pair($source, $listener)->sum->isReached)->toBeTrue();
                expect(isset($reached[$to]))
                    ->toBe(isset(Passage::inside($hearing->graph(), $unit, $from, true)[$to]) && isset($reached[$to]));
            }
        }
    });
});
