<?php

declare(strict_types=1);

namespace HiddenWire\Core\Tones;

use HiddenWire\Core\Quantity\Decibels;
use HiddenWire\Core\Rig\Listener;
use HiddenWire\Core\Rig\Source;

/**
 * A recorded tone test against the plan: the table of what is on each track, and what differs. How loud a sound begins that somebody plays
 * to a microphone, and when anybody begins to play, is not known: of those only differences between tracks count.
 */
final readonly class MeasuredTracks
{
    /** Deviation of a level from which it is reported, dB. */
    private const LEVEL_DB = 6.0;

    /** So much softer than the loudest side, a side does not count. */
    private const SIDE_DB = 20.0;

    /** A copy so much softer than the loudest is not heard beside it. */
    private const COPY_DB = 20.0;

    private const LATE_MS = 2.0;

    /** What nobody planned counts from so far under what is played. */
    private const EXTRA_DB = -60.0;

    private const JUMP_MS = 0.5;

    /** Clocks that differ by more are 2 s apart after ten hours. */
    private const DRIFT_PPM = 60.0;

    /** @var list<MeasuredTrack> */
    public array $tracks;

    /**
     * @param  list<array{Listener, non-empty-list<ChannelReading>}>  $readings  what was recorded of each track, by one clock
     */
    public function __construct(private TonePlan $plan, array $readings)
    {
        $planned = $found = [];
        foreach ($readings as [$track, $channels]) {
            $planned[$track->id] = $plan->arrivals($track);
            foreach ($plan->signatures as $source => $signatures) {
                foreach ($signatures as $part => $signature) {
                    foreach ($channels as $i => $channel) {
                        $one = $channel->find($signature->number);
                        if ($one !== null) {
                            $found[$track->id][$source][$part][$i] = $one;
                        }
                    }
                }
            }
        }
        $begun = $late = [];
        foreach ($plan->rig->sources as $id => $source) {
            $begun[$id] = $this->begun($source, $planned, $found);
            $late[$id] = [
                self::earliest(array_map(fn (array $of) => self::planned($of[$id] ?? [])[1], $planned)),
                self::earliest(array_map(fn (array $of) => self::measured($of[$id] ?? [])[1], $found)),
            ];
        }
        $tracks = [];
        foreach ($readings as [$track, $channels]) {
            $sounds = [];
            foreach ($plan->rig->sources as $id => $source) {
                $isPlayed = isset($plan->signatures[$id]);
                if ($isPlayed && (isset($planned[$track->id][$id]) || isset($found[$track->id][$id]))) {
                    $sound = $this->sound(
                        $source,
                        $track,
                        $planned[$track->id][$id] ?? [],
                        $found[$track->id][$id] ?? [],
                        $begun[$id],
                        $late[$id],
                    );
                    if ($sound->plannedDb !== null || $sound->db !== null) {
                        $sounds[$id] = $sound;
                    }
                }
            }
            $tracks[] = new MeasuredTrack($track, $channels, $sounds, $this->ofTrack($track, $channels, $readings));
        }
        $this->tracks = $tracks;
    }

    /** @return list<Difference> all of them; what matters most first */
    public function differences(): array
    {
        $all = [];
        foreach ($this->tracks as $track) {
            $all = [...$all, ...$track->differences];
            foreach ($track->sounds as $sound) {
                $all = [...$all, ...$sound->differences];
            }
        }
        usort($all, fn (Difference $one, Difference $other) => $one->kind->isSmall() <=> $other->kind->isSmall());

        return $all;
    }

    /**
     * @param  array<int, array<int, list<ToneArrival>>>  $planned
     * @param  array<int, array<int, FoundSignature>>  $found
     * @param  float  $begun  dB by which it is played louder than planned
     * @param  array{float|null, float|null}  $earliest  s; when it comes first on any track, by the plan and measured
     */
    private function sound(Source $source, Listener $track, array $planned, array $found, float $begun, array $earliest): MeasuredSound
    {
        [$plannedDb, $plannedAt] = self::planned($planned);
        [$db, $at] = self::measured($found);
        $later = fn (?float $at, ?float $first): ?float => $at === null || $first === null ? null : ($at - $first) * 1000;
        [$plannedLate, $late] = [$later($plannedAt, $earliest[0]), $later($at, $earliest[1])];
        $isExtra = $db !== null && $plannedDb === null;
        if ($isExtra && $db - $begun < self::EXTRA_DB) {
            return new MeasuredSound($source, [], [], null, null, null, null, []);
        }
        $told = match (true) {
            $plannedDb === null && $db === null => [],
            $plannedDb === null => [
                [DifferenceKind::Extra, "{$source->name} is on it, ".self::decibels((float) $db).' against what is played'],
            ],
            $db === null => [[DifferenceKind::Missing, "{$source->name} is not on it"]],
            default => $this->told($source, $planned, $found, $db - $begun - $plannedDb, $late === null ? null : $late - $plannedLate),
        };

        return new MeasuredSound($source, $planned, $found, $plannedDb, $db, $late, $plannedLate, array_map(
            fn (array $one) => new Difference($one[0], $track, $source, $one[1]),
            $told,
        ));
    }

    /**
     * @param  array<int, array<int, list<ToneArrival>>>  $planned
     * @param  array<int, array<int, FoundSignature>>  $found
     * @param  float  $more  dB by which it is louder than planned
     * @param  float|null  $later  ms by which it comes later than planned
     * @return list<array{DifferenceKind, string}>
     */
    private function told(Source $source, array $planned, array $found, float $more, ?float $later): array
    {
        $told = [];
        $name = $source->name;
        [$sides, $heard] = [self::sides($planned, self::loudest(...)), self::sides($found, self::level(...))];
        if ($sides !== $heard) {
            $told[] = match (true) {
                isset($sides[0], $sides[1], $heard[0], $heard[1]) && $sides[0] === $heard[1] && $sides[1] === $heard[0] => [
                    DifferenceKind::Swapped, "{$name} has left and right swapped",
                ],
                isset($heard[0], $heard[1]) && $heard[0] === $heard[1] && count($heard[0]) > 1 && count($sides[0] ?? []) === 1 => [
                    DifferenceKind::Mixed, "{$name} has both sides mixed to one",
                ],
                default => [DifferenceKind::OneSide, "{$name}: ".self::lost($sides, $heard)],
            };
        }
        $copy = self::copy($found, $planned);
        if ($copy !== null) {
            $told[] = [DifferenceKind::Doubled, "{$name} comes twice, ".number_format($copy[0], 1).' ms apart, the second '
                .number_format(abs($copy[1]), 1).' dB '.($copy[1] > 0 ? 'softer' : 'louder')];
        }
        if (self::isTurned($found, $planned)) {
            $told[] = [DifferenceKind::Turned, "{$name} has its polarity turned round"];
        }
        if (abs($more) > self::LEVEL_DB && $copy === null) {
            $told[] = [$more < 0 ? DifferenceKind::Soft : DifferenceKind::Loud,
                "{$name} is ".number_format(abs($more), 1).' dB '.($more < 0 ? 'softer' : 'louder').' than planned'];
        }
        if ($later !== null && abs($later) > self::LATE_MS) {
            $told[] = [DifferenceKind::Late, "{$name} comes ".number_format(abs($later), 1).' ms '.($later > 0 ? 'later' : 'earlier')
                .' than planned, against the other tracks'];
        }
        foreach ($found as $channels) {
            foreach ($channels as $one) {
                if ($one->jump !== null && abs($one->jump) > self::JUMP_MS) {
                    $told[] = [DifferenceKind::Jump, "{$name}: ".number_format(abs($one->jump), 1).' ms '
                        .($one->jump < 0 ? 'were lost' : 'too many').' within the minute'];

                    break 2;
                }
            }
        }
        $ppm = array_map(fn (array $channels) => reset($channels), $found);
        $drift = ($ppm === [] ? null : reset($ppm)) ?: null;
        if ($drift !== null && abs($drift->ppm) > self::DRIFT_PPM) {
            $told[] = [DifferenceKind::Drift, "The clock that plays {$name} is ".number_format(abs($drift->ppm), 1).' ppm '
                .($drift->ppm > 0 ? 'fast' : 'slow').' against the recorder: '.number_format(abs($drift->ppm) * 3.6, 0).' ms an hour'];
        }

        return $told;
    }

    /**
     * @param  non-empty-list<ChannelReading>  $channels
     * @param  list<array{Listener, non-empty-list<ChannelReading>}>  $readings
     * @return list<Difference>
     */
    private function ofTrack(Listener $track, array $channels, array $readings): array
    {
        $told = (new TrackTroubles($track, $channels))->all();
        $marks = fn (array $of): array => array_map(fn (ChannelReading $one) => $one->mark, $of);
        foreach ($readings as [$other, $its]) {
            if ($other->id !== $track->id && $marks($its) === $marks($channels)
                && $this->plan->arrivals($other) != $this->plan->arrivals($track)) {
                $told[] = new Difference(DifferenceKind::Same, $track, null, "Sample by sample the same as {$other->name}");
            }
        }

        return $told;
    }

    /**
     * By how much a sound is played louder than planned to a microphone, which nobody knows beforehand: the median of what all tracks say.
     *
     * @param  array<array-key, array<array-key, array<int, array<int, list<ToneArrival>>>>>  $planned  by track and source
     * @param  array<array-key, array<array-key, array<int, array<int, FoundSignature>>>>  $found
     */
    private function begun(Source $source, array $planned, array $found): float
    {
        $off = [];
        foreach ($this->plan->isPlayedToMicrophone($source) ? $planned : [] as $track => $of) {
            [$db, $measured] = [self::planned($of[$source->id] ?? [])[0], self::measured($found[$track][$source->id] ?? [])[0]];
            if ($db !== null && $measured !== null) {
                $off[] = $measured - $db;
            }
        }
        sort($off);

        return $off === [] ? 0.0 : $off[count($off) >> 1];
    }

    /**
     * @param  array<int, array<int, list<ToneArrival>>>  $planned
     * @return array{float|null, float|null} dB and s of the loudest arrival
     */
    private static function planned(array $planned): array
    {
        $best = [null, null];
        foreach ($planned as $channels) {
            foreach ($channels as $arrivals) {
                if ($best[0] === null || $arrivals[0]->db > $best[0]) {
                    $best = [$arrivals[0]->db, $arrivals[0]->seconds];
                }
            }
        }

        return $best;
    }

    /**
     * @param  array<int, array<int, FoundSignature>>  $found
     * @return array{float|null, float|null} dB, and s of the loudest arrival
     */
    private static function measured(array $found): array
    {
        $best = [null, null];
        foreach ($found as $channels) {
            foreach ($channels as $one) {
                $db = self::level($one);
                if ($best[0] === null || $db > $best[0]) {
                    $best = [$db, $one->arrivals[0]->seconds ?? null];
                }
            }
        }

        return $best;
    }

    /** @param  array<array-key, float|null>  $times */
    private static function earliest(array $times): ?float
    {
        $known = array_filter($times, fn (?float $one) => $one !== null);

        return $known === [] ? null : min($known);
    }

    /** @param  list<ToneArrival>  $arrivals */
    private static function loudest(array $arrivals): float
    {
        return $arrivals[0]->db;
    }

    /** Tones tell it most exactly, but what comes twice makes them louder here and softer there: then the loudest arrival does. */
    private static function level(FoundSignature $one): float
    {
        return count($one->arrivals) > 1 ? $one->arrivals[0]->db : $one->db;
    }

    /**
     * @template T
     *
     * @param  array<int, array<int, T>>  $parts
     * @param  callable(T): float  $level
     * @return array<int, list<int>> on which channels each part is, of those that count
     */
    private static function sides(array $parts, callable $level): array
    {
        $most = -INF;
        foreach ($parts as $channels) {
            foreach ($channels as $one) {
                $most = max($most, $level($one));
            }
        }
        $sides = [];
        foreach ($parts as $part => $channels) {
            $on = array_keys(array_filter($channels, fn ($one) => $level($one) > $most - self::SIDE_DB));
            sort($on);
            if ($on !== []) {
                $sides[$part] = $on;
            }
        }
        ksort($sides);

        return $sides;
    }

    /**
     * @param  array<int, list<int>>  $planned
     * @param  array<int, list<int>>  $found
     */
    private static function lost(array $planned, array $found): string
    {
        $names = fn (array $sides): string => implode(', ', array_map(
            fn (array $channels, int $part) => (count($planned) > 1 ? ['left', 'right'][$part] ?? 'part '.($part + 1) : 'it').' on '
                .implode(' and ', array_map(fn (int $channel) => ['left', 'right'][$channel] ?? 'channel '.($channel + 1), $channels)),
            $sides,
            array_keys($sides),
        ));

        return $names($found).' instead of '.$names($planned);
    }

    /**
     * A second arrival that the plan has not.
     *
     * @param  array<int, array<int, FoundSignature>>  $found
     * @param  array<int, array<int, list<ToneArrival>>>  $planned
     * @return array{float, float}|null ms after the first, and dB by which it is softer than the loudest
     */
    private static function copy(array $found, array $planned): ?array
    {
        foreach ($found as $part => $channels) {
            foreach ($channels as $channel => $one) {
                $apart = array_map(
                    fn (ToneArrival $copy) => $copy->seconds - ($planned[$part][$channel][0]->seconds ?? 0.0),
                    $planned[$part][$channel] ?? [],
                );
                foreach (array_slice($one->arrivals, 1) as $copy) {
                    $late = $copy->seconds - $one->arrivals[0]->seconds;
                    $isPlanned = array_filter($apart, fn (float $at) => $at !== 0.0 && abs($at - $late) * 1000 < self::LATE_MS) !== [];
                    if (! $isPlanned && $copy->db > $one->arrivals[0]->db - self::COPY_DB) {
                        return [abs($late) * 1000, $one->arrivals[0]->db - $copy->db];
                    }
                }
            }
        }

        return null;
    }

    /**
     * Whether the loudest arrival has another polarity than the plan says, everywhere that both are known.
     *
     * @param  array<int, array<int, FoundSignature>>  $found
     * @param  array<int, array<int, list<ToneArrival>>>  $planned
     */
    private static function isTurned(array $found, array $planned): bool
    {
        $turned = $asPlanned = 0;
        foreach ($found as $part => $channels) {
            foreach ($channels as $channel => $one) {
                $is = $one->arrivals[0]->polarity ?? 0;
                $was = $planned[$part][$channel][0]->polarity ?? 0;
                $turned += $is * $was < 0 ? 1 : 0;
                $asPlanned += $is * $was > 0 ? 1 : 0;
            }
        }

        return $turned > 0 && $asPlanned === 0;
    }

    private static function decibels(float $db): string
    {
        return Decibels::of(round($db, 1))->text().' dB';
    }
}
