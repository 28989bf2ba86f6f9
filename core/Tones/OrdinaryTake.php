<?php

declare(strict_types=1);

namespace HiddenWire\Core\Tones;

use HiddenWire\Core\Audio\Loudness;
use HiddenWire\Core\Quantity\Decibels;
use HiddenWire\Core\Quantity\Listing;
use HiddenWire\Core\Rig\Listener;

/**
 * A recording without signatures, by the levels of its tracks over time: who speaks when, how well the microphones are kept apart, whose
 * loud moments are how loud, which voices a mix follows. A track is somebody's where by the plan their voice is alone on it, or well above
 * all else; that somebody speaks is guessed from their track being louder than every other one that is somebody's, unless it was marked
 * while they did.
 */
final readonly class OrdinaryTake
{
    /** Above the quietest tenth of its time a track has something on it, dB. */
    private const ACTIVE_DB = 12.0;

    private const SILENT_DB = -75.0;

    /** Somebody speaks who is so much louder than all others, and so near to their own loud moments, dB. */
    private const LOUDER_DB = 3.0;

    private const SPEAKS_DB = 20.0;

    /** Shorter gaps are breath, s. */
    private const BREATH = 0.7;

    /** Less of somebody tells nothing, s. */
    private const ENOUGH = 2.0;

    /** Microphones that hear each other this well are hardly apart, dB: three times as far is about 10. */
    private const APART_DB = 10.0;

    /** A track that is so much louder while somebody speaks than while nobody does has their voice on it, dB. */
    private const RISES_DB = 6.0;

    /** Where something else is less far under the loudest, a track is a mix, dB. */
    private const MIXED_DB = 6.0;

    /** A voice that the plan has so far under the loudest of a track is not expected to be seen on it, dB. */
    private const PLANNED_DB = 20.0;

    /** Difference of loud moments from which it is reported, dB. */
    private const MATCHED_DB = 3.0;

    /** @var array<array-key, list<array{float, float}>> from and to, s, when a track has something on it, by track */
    public array $active;

    /** @var array<array-key, float> dB against full scale of the loud moments of each track that has any, by track */
    public array $loud;

    /** @var array<array-key, float> s that somebody speaks, by their track */
    public array $spoken;

    /** @var array<array-key, array<array-key, float>> dB by which whoever speaks is louder on their own track than on another, by both */
    public array $apart;

    /** @var array<array-key, array<array-key, float>> dB by which whoever speaks is over what plays on another track then, by both */
    public array $over;

    /** @var array<array-key, Listener> by id */
    private array $tracks;

    /** @var array<array-key, string> name of the loudest sound on a track, by the plan, that nobody speaks, by track */
    private array $beds;

    /** @var array<array-key, string> whose tracks are whose: names of voices, by track */
    private array $voices;

    /** @var array<array-key, array-key> the track that was louder most of the time that somebody spoke, by theirs */
    public array $wrong;

    /** @var array<array-key, string> ids of voices, by track */
    private array $ids;

    /**
     * Which voices a mixed track follows: those that the plan has on it, and others; and those that it should follow and does not.
     *
     * @var array<array-key, array{fit: list<string>, extra: list<string>, missing: list<string>}> names, by track
     */
    public array $fits;

    /**
     * @param  list<array{Listener, list<float>}>  $levels  mean powers of each 100 ms of each track, by one clock
     * @param  list<array{string, float, float}>  $marks  whose voice, from when to when, s from the beginning; none where nobody has marked
     */
    public function __construct(TonePlan $plan, array $levels, private array $marks = [])
    {
        $tracks = $db = $active = $loud = $voices = $beds = $ids = [];
        foreach ($levels as [$track, $powers]) {
            $tracks[$track->id] = $track;
            $of = array_map(fn (float $power) => 10 * log10(2 * $power + 1e-12), $powers);
            $sorted = $of;
            sort($sorted);
            $count = count($sorted);
            $floor = $count === 0 ? self::SILENT_DB : $sorted[intdiv($count, 10)];
            $over = max(self::SILENT_DB, $floor + self::ACTIVE_DB);
            $db[$track->id] = $of;
            $active[$track->id] = self::spans($of, fn (float $level) => $level > $over);
            $heard = array_values(array_filter($sorted, fn (float $level) => $level > $over));
            if ($heard !== []) {
                $loud[$track->id] = $heard[intdiv(95 * count($heard), 100)];
                $planned = self::plannedOn($plan, $track);
                $source = $plan->rig->sources[array_key_first($planned) ?? ''] ?? null;
                $isOwn = count(array_filter($planned, fn (float $under) => $under < self::MIXED_DB)) === 1;
                if ($source !== null && $isOwn && $plan->isPlayedToMicrophone($source)) {
                    $voices[$track->id] = $source->name;
                    $ids[$track->id] = $source->id;
                }
                foreach (isset($ids[$track->id]) ? [] : array_keys($planned) as $other) {
                    if (! isset($beds[$track->id]) && ! $plan->isPlayedToMicrophone($plan->rig->sources[$other])) {
                        $beds[$track->id] = $plan->rig->sources[$other]->name;
                    }
                }
            }
        }
        [$this->tracks, $this->active, $this->loud] = [$tracks, $active, $loud];
        [$this->voices, $this->beds, $this->ids] = [$voices, $beds, $ids];
        [$this->spoken, $this->apart, $this->over, $this->wrong, $speakers] = $this->turns($db);
        $this->fits = $this->fitting($plan, $db, $speakers);
    }

    /** @return list<string> sentences */
    public function says(): array
    {
        $says = [];
        foreach ($this->tracks as $id => $track) {
            if (($this->active[$id] ?? []) === []) {
                $says[] = "{$track->name} has nothing on it but noise.";
            }
        }
        foreach ($this->voices as $id => $voice) {
            $spoken = $this->spoken[$id] ?? 0.0;
            $says[] = $spoken < self::ENOUGH
                ? "{$voice} never stands out on {$this->tracks[$id]->name}: nobody spoke there, or another microphone is recorded."
                : "{$voice} speaks for ".number_format($spoken, 0).' s, at '.self::db($this->loud[$id]).'FS in loud moments.';
        }
        foreach ($this->wrong as $one => $other) {
            $says[] = "While {$this->voices[$one]} spoke, {$this->tracks[$other]->name} was louder than {$this->tracks[$one]->name}: "
                .'the wrong microphone is on one of them.';
        }
        foreach ($this->apart as $one => $others) {
            unset($others[$this->wrong[$one] ?? '']);
            foreach ($others as $other => $apart) {
                $says[] = "{$this->voices[$one]} is ".self::db($apart)." louder on {$this->tracks[$one]->name} than on "
                    ."{$this->tracks[$other]->name}".($apart < self::APART_DB ? ': the two microphones are hardly apart.' : '.');
            }
        }
        foreach ($this->over as $one => $others) {
            foreach ($others as $other => $over) {
                $says[] = "{$this->voices[$one]} is ".self::db(abs($over)).($over < 0 ? ' under ' : ' over ')
                    ."{$this->beds[$other]} while it plays on {$this->tracks[$other]->name}.";
            }
        }
        foreach ($this->fits as $id => ['fit' => $fit, 'extra' => $extra, 'missing' => $missing]) {
            $name = $this->tracks[$id]->name;
            $says = [...$says, ...array_filter([
                $fit === [] ? '' : "{$name} follows ".Listing::of($fit).', as planned.',
                $extra === [] ? '' : "{$name} follows ".Listing::of($extra).', whom the plan does not have there.',
                $missing === [] ? '' : Listing::of($missing).' should be on '.$name.', and it does not follow them.',
            ])];
        }
        $spoke = array_filter($this->spoken, fn (float $seconds) => $seconds >= self::ENOUGH);
        $loud = array_intersect_key($this->loud, $spoke);
        arsort($loud);
        if (count($loud) > 1) {
            [$most, $least] = [array_key_first($loud), array_key_last($loud)];
            $by = $loud[$most] - $loud[$least];
            $says[] = $by > self::MATCHED_DB
                ? "{$this->voices[$most]} is ".self::db($by)." louder than {$this->voices[$least]}: match them at the preamps."
                : 'All voices are within '.self::db($by).' of each other.';
        }

        return $says;
    }

    /**
     * @param  array<array-key, list<float>>  $db  by track
     * @return array{array<array-key, float>, array<array-key, array<array-key, float>>, array<array-key, array<array-key, float>>,
     *     array<array-key, array-key>, list<string|int|null>} seconds spoken, how far apart from other voices, how far over what else
     *     plays, louder tracks, and for each 100 ms the track of whoever speaks; '' where nobody does, null where that can't be determined
     */
    private function turns(array $db): array
    {
        $voices = array_intersect_key($db, $this->voices);
        $spoken = array_fill_keys(array_keys($voices), 0.0);
        $differences = $louder = $speakers = [];
        $count = $voices === [] ? 0 : min(array_map(count(...), $voices));
        for ($i = 0; $i < $count; $i++) {
            $now = array_map(fn (array $of) => $of[$i], $voices);
            arsort($now);
            $loudest = array_key_first($now);
            $second = array_values($now)[1] ?? -INF;
            $stands = $now[$loudest] > $this->loud[$loudest] - self::SPEAKS_DB && $now[$loudest] - $second > self::LOUDER_DB;
            $speaker = $this->marks === [] ? ($stands ? $loudest : null) : $this->marked($i * Loudness::STEP_SECONDS);
            $isQuiet = $now[$loudest] < $this->loud[$loudest] - self::SPEAKS_DB;
            $speakers[] = $speaker ?? ($isQuiet ? '' : null);
            if ($speaker !== null) {
                $louder[$speaker][$loudest] = ($louder[$speaker][$loudest] ?? 0) + ($stands ? 1 : 0);
                $spoken[$speaker] += Loudness::STEP_SECONDS;
                foreach ($db as $id => $of) {
                    $plays = isset($this->beds[$id]) && ($of[$i] ?? -INF) > $this->loud[$id] - self::SPEAKS_DB;
                    if ($id !== $speaker && ($plays || isset($this->voices[$id]))) {
                        $differences[$speaker][$id][] = $now[$speaker] - $of[$i];
                    }
                }
            }
        }
        $apart = $over = [];
        foreach ($differences as $speaker => $others) {
            foreach ($spoken[$speaker] < self::ENOUGH ? [] : $others as $id => $all) {
                sort($all);
                $median = $all[count($all) >> 1];
                if (isset($this->voices[$id])) {
                    $apart[$speaker][$id] = $median;
                } elseif (count($all) * Loudness::STEP_SECONDS >= self::ENOUGH) {
                    $over[$speaker][$id] = $median;
                }
            }
        }

        $wrong = [];
        foreach ($louder as $speaker => $tracks) {
            arsort($tracks);
            $most = array_key_first($tracks);
            if ($most !== $speaker && $tracks[$most] > $spoken[$speaker] / Loudness::STEP_SECONDS / 2) {
                $wrong[$speaker] = $most;
            }
        }

        return [$spoken, $apart, $over, $wrong, $speakers];
    }

    /**
     * @param  array<array-key, list<float>>  $db  by track
     * @param  list<string|int|null>  $speakers  by {@see turns()}
     * @return array<array-key, array{fit: list<string>, extra: list<string>, missing: list<string>}>
     */
    private function fitting(TonePlan $plan, array $db, array $speakers): array
    {
        $fits = [];
        foreach (array_diff_key($this->tracks, $this->voices) as $id => $track) {
            $planned = self::plannedOn($plan, $track);
            $quiet = self::medianOf($db[$id], array_keys($speakers, '', true));
            foreach ($quiet === null ? [] : $this->ids as $own => $voice) {
                $while = self::medianOf($db[$id], array_keys($speakers, $own, true));
                if ($while === null) {
                    continue;
                }
                $fits[$id] ??= ['fit' => [], 'extra' => [], 'missing' => []];
                $rises = $while - $quiet >= self::RISES_DB;
                // Under something that plays on, a voice may not be seen.
                $isQuiet = $quiet < self::SILENT_DB + self::ACTIVE_DB || ! isset($this->loud[$id])
                    || $quiet < $this->loud[$id] - self::SPEAKS_DB;
                $kind = match (true) {
                    $rises => isset($planned[$voice]) ? 'fit' : 'extra',
                    isset($planned[$voice]) && $isQuiet => 'missing',
                    default => null,
                };
                if ($kind !== null) {
                    $fits[$id][$kind][] = $this->voices[$own];
                }
            }
        }

        return $fits;
    }

    /**
     * @param  list<float>  $levels
     * @param  list<int>  $at
     */
    private static function medianOf(array $levels, array $at): ?float
    {
        $chosen = array_values(array_intersect_key($levels, array_flip($at)));
        sort($chosen);

        return count($chosen) * Loudness::STEP_SECONDS < self::ENOUGH ? null : $chosen[count($chosen) >> 1];
    }

    /** @return array<array-key, float> sounds that the plan has on a track, and how far under its loudest, dB; the loudest first */
    private static function plannedOn(TonePlan $plan, Listener $track): array
    {
        $levels = [];
        foreach ($plan->arrivals($track) as $source => $parts) {
            foreach ($parts as $channels) {
                foreach ($channels as $arrivals) {
                    $levels[$source] = max($levels[$source] ?? -INF, $arrivals[0]->db ?? -INF);
                }
            }
        }
        arsort($levels);
        $most = max([-INF, ...array_values($levels)]);

        return array_filter(array_map(fn (float $level) => $most - $level, $levels), fn (float $under) => $under <= self::PLANNED_DB);
    }

    /** Whose track is that of the one voice that was marked then; null where none was, or several. */
    private function marked(float $seconds): ?string
    {
        $tracks = [];
        foreach ($this->marks as [$source, $from, $to]) {
            if ($seconds >= $from && $seconds < $to) {
                $tracks = [...$tracks, ...array_keys($this->ids, $source, true)];
            }
        }

        return count($tracks) === 1 ? (string) $tracks[0] : null;
    }

    /**
     * @param  list<float>  $levels
     * @param  callable(float): bool  $is
     * @return list<array{float, float}> from and to, s
     */
    private static function spans(array $levels, callable $is): array
    {
        $spans = [];
        foreach ($levels as $i => $level) {
            if (! $is($level)) {
                continue;
            }
            $from = $i * Loudness::STEP_SECONDS;
            $last = array_pop($spans);
            $goesOn = $last !== null && $from - $last[1] < self::BREATH;
            $spans = $last === null || $goesOn ? $spans : [...$spans, $last];
            $spans[] = [$goesOn ? $last[0] : $from, $from + Loudness::STEP_SECONDS];
        }

        return $spans;
    }

    private static function db(float $db): string
    {
        return Decibels::of(round($db, 1))->text().' dB';
    }
}
