<?php

declare(strict_types=1);

use HiddenWire\Core\Grounds\Grounds;
use HiddenWire\Core\Rig\Cable;
use HiddenWire\Core\Rig\Rig;
use Tests\Support\Draft;

const GROUND_LEADS = [
    'balanced' => ['trs', 'trs-6.35', 'professional-line', true], 'unbalanced' => ['ts', 'ts-6.35', 'consumer-line', false],
    'coaxial' => ['coaxial', 'coaxial', 'coaxial-digital', false], 'optical' => ['optical', 'optical', 'optical-digital', false],
];

/**
 * Units with or without an earth pin, and leads between them. @param  list<bool>  $earthed  @param  list<array{int, int, string}>  $leads  from, to, of
 * which kind
 */
function grounded(array $earthed, array $leads): Rig
{
    $sockets = array_fill(0, count($earthed), []);
    $cables = [];
    foreach ($leads as $i => [$from, $to, $kind]) {
        [$type, $connector, $signal, $isBalanced] = GROUND_LEADS[$kind];
        foreach ([[$from, 'out'], [$to, 'in']] as [$unit, $way]) {
            $sockets[$unit][] = ['id' => "s{$i}", 'label' => "S{$i}", 'connector' => $connector, 'signal' => $signal, 'balanced' => $isBalanced,
                'lanes' => [['id' => 'l', 'way' => $way, 'point' => $way]]];
        }
        $cables[] = [$type, "u{$from}/s{$i}", "u{$to}/s{$i}"];
    }
    $draft = Draft::rig();
    foreach ($earthed as $i => $hasPin) {
        $draft->unit("u{$i}", ['family' => 'mixer', 'supply' => $hasPin ? 'mains-earthed' : 'mains-unearthed', 'sockets' => $sockets[$i],
            'points' => [['id' => 'in', 'kind' => 'strip', 'channels' => 1], ['id' => 'out', 'kind' => 'strip', 'channels' => 1]]]);
    }
    foreach ($cables as [$type, $from, $to]) {
        $draft->cable($type, $from, $to);
    }

    return $draft->make();
}

/**
 * Whether some analog lead is part of a circle: its two ends are joined without it. By walking, with no parts joined in advance.
 *
 * @param  list<bool>  $earthed
 * @param  array<int, array{int, int, string}>  $leads
 */
function hums(array $earthed, array $leads): bool
{
    foreach ($leads as $i => [$from, $to, $kind]) {
        if (! in_array($kind, ['balanced', 'unbalanced'], true)) {
            continue;
        }
        $reached = [$from => true];
        do {
            $count = count($reached);
            foreach ($leads as $j => [$a, $b, $of]) {
                if ($j !== $i && $of !== 'optical' && (isset($reached[$a]) || isset($reached[$b]))) {
                    $reached += [$a => true, $b => true];
                }
            }
            if (array_filter($earthed, fn (bool $hasPin, int $unit) => $hasPin && isset($reached[$unit]), ARRAY_FILTER_USE_BOTH) !== []) {
                $reached += array_filter($earthed);
            }
        } while (count($reached) > $count);
        if (isset($reached[$to])) {
            return true;
        }
    }

    return false;
}

/** The fewest analog leads whose isolation ends every hum, and of as many the fewest balanced, by trying all. @return array{int, int} */
function fewestToIsolate(array $earthed, array $leads): array
{
    $analog = array_keys(array_filter($leads, fn (array $lead) => in_array($lead[2], ['balanced', 'unbalanced'], true)));
    $best = null;
    for ($set = 0; $set < 2 ** count($analog); $set++) {
        $out = array_values(array_filter($analog, fn (int $place) => ($set >> $place & 1) === 1, ARRAY_FILTER_USE_KEY));
        $cost = [count($out), count(array_filter($out, fn (int $lead) => $leads[$lead][2] === 'balanced'))];
        if (($best === null || $cost < $best) && ! hums($earthed, array_diff_key($leads, array_flip($out)))) {
            $best = $cost;
        }
    }

    return $best ?? throw new LogicException('Without any analog lead nothing hums.');
}

it('isolates the fewest leads, unbalanced ones first, as trying every set of them does', function (int $seed) {
    mt_srand($seed);
    $units = mt_rand(2, 5);
    $earthed = array_map(fn () => mt_rand(0, 1) === 1, range(1, $units));
    $leads = [];
    for ($i = mt_rand(1, 8); $i > 0; $i--) {
        $from = mt_rand(0, $units - 1);
        $leads[] = [$from, ($from + mt_rand(1, $units - 1)) % $units, (string) array_rand(GROUND_LEADS)];
    }
    $grounds = new Grounds(grounded($earthed, $leads));
    $number = fn (Cable $cable): int => (int) substr($cable->id, 2) - 1;
    $out = array_map($number, $grounds->toIsolate);
    expect(hums($earthed, array_diff_key($leads, array_flip($out))))->toBeFalse()
        ->and([count($out), count(array_filter($out, fn (int $lead) => $leads[$lead][2] === 'balanced'))])->toBe(fewestToIsolate($earthed, $leads))
        ->and($grounds->channels())->toBe(count($out));
    // Every reported circle leads from one end of its lead to the other, each step by a lead or by the earth.
    foreach ($grounds->cycles as $cycle) {
        [$from, $to] = [(int) substr($cycle->closing->from->unit, 1), (int) substr($cycle->closing->to->unit, 1)];
        $circle = array_intersect_key($leads, array_flip(array_map($number, [$cycle->closing, ...$cycle->cables])));
        $pins = $cycle->isByEarth ? $earthed : array_fill(0, $units, false);
        expect(hums($pins, $circle))->toBeTrue()->and($cycle->units)->toContain("u{$from}")->toContain("u{$to}");
    }
})->with(range(1, 60));

it('tells by what a circle is closed: another lead or the earth, and leaves out what is out', function () {
    $rig = grounded([false, false], [[0, 1, 'unbalanced'], [0, 1, 'coaxial']]);
    expect((new Grounds($rig))->toIsolate)->toHaveCount(1)->and((new Grounds($rig))->cycles[0]->isByEarth)->toBeFalse()
        ->and((new Grounds($rig, ['w-2' => true]))->toIsolate)->toBe([])->and((new Grounds($rig, ['w-1' => true]))->toIsolate)->toBe([]);
    $earthed = grounded([true, true], [[0, 1, 'unbalanced'], [0, 1, 'optical']]);
    expect((new Grounds($earthed))->cycles[0]->isByEarth)->toBeTrue()->and((new Grounds($earthed))->earthed)->toBe(['u0', 'u1']);
});
