<?php

declare(strict_types=1);

namespace Tests\Bench;

use HiddenWire\Core\Planning\Diagnosis;
use HiddenWire\Core\Planning\Hearings;
use HiddenWire\Core\Planning\Mending;
use HiddenWire\Core\Rig\InvalidRig;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\Want;
use HiddenWire\Core\Room\PossibleFaults;
use HiddenWire\Core\Signal\Verdict;

/** Possible faults of a rig are made, one or two at a time, and the cures that the product offers for them. */
final class Faults
{
    /**
     * Injects faults and makes the first cure of each.
     *
     * @param  int  $every  only every n-th fault
     * @return array{faults: int, cured: int, worse: int, rest: list<string>, slowest: float} of the faults that make a cell wrong; those
     *     not cured by name; in ms
     */
    public static function run(Rig $rig, int $every = 1, int $from = 0): array
    {
        $result = ['faults' => 0, 'cured' => 0, 'worse' => 0, 'rest' => [], 'slowest' => 0.0];
        $whole = self::table($rig);
        $number = 0;
        foreach (PossibleFaults::of($rig) as $name => $fault) {
            if ($number++ % $every !== $from % $every) {
                continue;
            }
            try {
                $faulty = $fault->applyTo($rig);
            } catch (InvalidRig) {
                continue;
            }
            $hearings = new Hearings($faulty);
            $broken = self::table($faulty, $hearings);
            if (array_diff(
                array_keys(array_filter($broken, self::isOdd(...))),
                array_keys(array_filter($whole, self::isOdd(...))),
            ) === []) {
                continue;
            }
            $result['faults']++;
            $start = hrtime(true);
            $cause = (new Diagnosis($hearings))->causes()[0] ?? null;
            $result['slowest'] = max($result['slowest'], (hrtime(true) - $start) / 1e6);
            $cure = $cause->cures[0] ?? null;
            $cured = $faulty;
            foreach ($cure->edits ?? [] as $edit) {
                $cured = $edit->applyTo($cured);
            }
            $after = self::table($cured);
            foreach ($after as $cell => $verdict) {
                if (self::isOdd($verdict) && ! self::isOdd($broken[$cell])) {
                    $result['worse']++;

                    break;
                }
            }
            if ($after === $whole) {
                $result['cured']++;
            } else {
                $result['rest'][] = "{$name}: "
                    .($cure === null ? 'no cure: '.($cause->sentence ?? 'no cause') : "{$cause?->sentence} → {$cure->sentence}, leaves "
                    .implode(', ', array_slice(array_keys(array_diff_assoc($after, $whole)), 0, 4)));
            }
        }

        return $result;
    }

    /**
     * Injects two faults at a time, drawn by a seed, makes the first cure, and then all of them.
     *
     * @return array{pairs: int, whole: int, worse: int, rest: list<string>, slowest: float} of the pairs that make a cell wrong; those not
     *     whole by name; in ms, of one diagnosis
     */
    public static function runPairs(Rig $rig, int $count, int $seed): array
    {
        $result = ['pairs' => 0, 'whole' => 0, 'worse' => 0, 'rest' => [], 'slowest' => 0.0];
        $faults = iterator_to_array(PossibleFaults::of($rig));
        $names = array_map(strval(...), array_keys($faults));
        $whole = self::table($rig);
        mt_srand($seed);
        for ($try = 0; $try < 12 * $count && $result['pairs'] < $count; $try++) {
            [$one, $two] = [$names[mt_rand(0, count($names) - 1)], $names[mt_rand(0, count($names) - 1)]];
            try {
                $first = $faults[$one]->applyTo($rig);
                $second = $faults[$two]->applyTo($rig);
                $faulty = $faults[$two]->applyTo($first);
            } catch (InvalidRig|\ErrorException|\TypeError) {
                continue;
            }
            // Each of them does something, and both together something else.
            $hearings = new Hearings($faulty);
            $broken = self::table($faulty, $hearings);
            $isFault = fn (array $table): bool => array_diff_key(array_filter($table, self::isOdd(...)), array_filter($whole, self::isOdd(...))) !== [];
            if ($one === $two || ! $isFault($broken) || ! $isFault(self::table($first)) || ! $isFault(self::table($second))) {
                continue;
            }
            $result['pairs']++;
            $start = hrtime(true);
            $causes = (new Diagnosis($hearings))->causes();
            $result['slowest'] = max($result['slowest'], (hrtime(true) - $start) / 1e6);
            $then = isset($causes[0]->cures[0]) ? $causes[0]->cures[0]->applyTo($faulty) : $faulty;
            $mending = new Mending($hearings, $causes);
            $harm = [...self::harm($hearings, new Hearings($then)), ...self::harm($hearings, new Hearings($mending->rig))];
            $after = self::table($mending->rig);
            $result['worse'] += $harm === [] ? 0 : 1;
            $result['whole'] += $after === $whole ? 1 : 0;
            if ($harm !== [] || $after !== $whole) {
                $left = array_keys(array_filter(array_diff_assoc($after, $whole), self::isOdd(...)));
                $result['rest'][] = "{$one} AND {$two}".($harm === [] ? '' : ': HARM '.implode(', ', array_slice($harm, 0, 3)))
                    .': made '.(implode('; ', array_map(fn ($cure) => $cure->sentence, $mending->cures)) ?: 'nothing').', leaves '
                    .implode(', ', array_slice($left, 0, 4)).($left === [] ? implode(', ', array_slice(array_keys(array_diff_assoc($after, $whole)), 0, 3)).' otherwise' : '');
            }
        }

        return $result;
    }

    /**
     * Wanted sounds that somebody heard and that are lost, or more than 6 dB below what the strongest arrival was.
     *
     * @return list<string>
     */
    public static function harm(Hearings $before, Hearings $after): array
    {
        $harm = [];
        $was = iterator_to_array($before->cells());
        foreach ($after->cells() as $cell => $pair) {
            // What was too loud for what it passes may become as soft as it likes.
            $isWanted = $was[$cell]->wish?->want === Want::Must && $was[$cell]->isHeard() && $was[$cell]->verdict !== Verdict::Overloads;
            $strongest = $isWanted ? $was[$cell]->arrivals()[0] ?? null : null;
            $most = $strongest === null || $strongest->levels === [] ? null : max(array_map(max(...), $strongest->levels));
            // What goes round has no level of its own.
            $isSofter = $was[$cell]->verdict !== Verdict::Loop && $pair->level()?->value() < $most - 6.03;
            if ($most !== null && ($pair->level() === null || $isSofter)) {
                $harm[] = "{$cell} from ".round($most, 1).' to '.($pair->level()?->text() ?? 'nothing');
            }
            if (self::isOdd($pair->verdict->value) && ! self::isOdd($was[$cell]->verdict->value)) {
                $harm[] = "{$cell} {$pair->verdict->value}";
            }
        }

        return $harm;
    }

    private static function isOdd(string $verdict): bool
    {
        return ! in_array($verdict, ['ok', 'silent', 'unwished'], true);
    }

    /** @return array<string, string> verdicts by cell */
    private static function table(Rig $rig, ?Hearings $hearings = null): array
    {
        return array_map(fn ($pair) => $pair->verdict->value, iterator_to_array(($hearings ?? new Hearings($rig))->cells()));
    }
}
