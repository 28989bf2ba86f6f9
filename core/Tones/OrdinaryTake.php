<?php

declare(strict_types=1);

namespace HiddenWire\Core\Tones;

use HiddenWire\Core\Audio\Loudness;
use HiddenWire\Core\Quantity\Decibels;
use HiddenWire\Core\Rig\Listener;
use HiddenWire\Core\Rig\Source;

/**
 * A recording without signatures, by the levels of its tracks over time: who speaks when, how well the microphones are kept apart, whose
 * loud moments are how loud. A track is somebody's where by the plan their voice is the loudest on it; that somebody speaks is guessed from
 * their track being louder than every other one that is somebody's, unless it was marked while they did.
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

    /** Loud moments that differ by more are told, dB. */
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

    /** @var array<array-key, string> what else is the loudest on a track by the plan: names of sounds, by track */
    private array $beds;

    /** @var array<array-key, string> whose tracks are whose: names of voices, by track */
    private array $voices;

    /** @var array<array-key, array-key> the track that was louder most of the time that somebody spoke, by theirs */
    public array $wrong;

    /** @var array<array-key, string> ids of voices, by track */
    private array $ids;

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
                $source = self::loudestOf($plan, $track);
                if ($source !== null && $plan->isPlayedToMicrophone($source)) {
                    $voices[$track->id] = $source->name;
                    $ids[$track->id] = $source->id;
                } elseif ($source !== null) {
                    $beds[$track->id] = $source->name;
                }
            }
        }
        [$this->tracks, $this->active, $this->loud] = [$tracks, $active, $loud];
        [$this->voices, $this->beds, $this->ids] = [$voices, $beds, $ids];
        [$this->spoken, $this->apart, $this->over, $this->wrong] = $this->turns($db);
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
     *     array<array-key, array-key>} seconds spoken, how far apart from other voices, how far over what else plays, louder tracks
     */
    private function turns(array $db): array
    {
        $voices = array_intersect_key($db, $this->voices);
        $spoken = array_fill_keys(array_keys($voices), 0.0);
        $differences = $louder = [];
        $count = $voices === [] ? 0 : min(array_map(count(...), $voices));
        for ($i = 0; $i < $count; $i++) {
            $now = array_map(fn (array $of) => $of[$i], $voices);
            arsort($now);
            $loudest = array_key_first($now);
            $second = array_values($now)[1] ?? -INF;
            $stands = $now[$loudest] > $this->loud[$loudest] - self::SPEAKS_DB && $now[$loudest] - $second > self::LOUDER_DB;
            $speaker = $this->marks === [] ? ($stands ? $loudest : null) : $this->marked($i * Loudness::STEP_SECONDS);
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

        return [$spoken, $apart, $over, $wrong];
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

    /** What is the loudest on a track by the plan; null where nothing is. */
    private static function loudestOf(TonePlan $plan, Listener $track): ?Source
    {
        $best = null;
        $most = -INF;
        foreach ($plan->arrivals($track) as $source => $parts) {
            foreach ($parts as $channels) {
                foreach ($channels as $arrivals) {
                    if ($arrivals !== [] && $arrivals[0]->db > $most) {
                        [$most, $best] = [$arrivals[0]->db, $source];
                    }
                }
            }
        }

        return $best === null ? null : $plan->rig->sources[$best] ?? null;
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
