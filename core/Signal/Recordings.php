<?php

declare(strict_types=1);

namespace HiddenWire\Core\Signal;

use HiddenWire\Core\Equipment\Realm;
use HiddenWire\Core\Rig\Listener;
use HiddenWire\Core\Rig\ListenerKind;
use HiddenWire\Core\Rig\Source;

/** What the recordings of one situation are good for afterwards: where a sound is best, what can be parted, what must not be summed. */
final readonly class Recordings
{
    /** Tracks among which the fewest are looked for; of more, the most useful are taken one by one. */
    private const TRIED = 12;

    /** The named setting that says what files a recorder writes. */
    private const CONTAINER = 'container';

    /** Copies closer than this add up, they don't comb, ms. */
    private const TOGETHER_MS = 0.05;

    /** @var array<array-key, array{track: Listener, sounds: array<array-key, float>}> dB of each sound on it by source, by track */
    public array $tracks;

    public function __construct(private Hearing $hearing)
    {
        $tracks = [];
        foreach ($hearing->rig->listeners as $listener) {
            if ($listener->kind !== ListenerKind::Track) {
                continue;
            }
            $sounds = [];
            foreach ($hearing->rig->sources as $source) {
                $level = $hearing->pair($source->id, $listener->id)->level();
                if ($level !== null) {
                    $sounds[$source->id] = $level->value();
                }
            }
            $tracks[$listener->id] = ['track' => $listener, 'sounds' => $sounds];
        }
        $this->tracks = $tracks;
    }

    /** The track on which a sound stands out most from all others, or is alone; null where no track has it. */
    public function best(Source $sound): ?BestTrack
    {
        $best = null;
        $rank = [];
        foreach ($this->tracks as $row) {
            if (! isset($row['sounds'][$sound->id])) {
                continue;
            }
            $level = $row['sounds'][$sound->id];
            $others = array_diff_key($row['sounds'], [$sound->id => true]);
            $above = $others === [] ? null : round($level - max($others), 2);
            [$calls, $conversions] = $this->passed($sound, $row['track']);
            // Of copies as good the one that passed no call, which takes the treble, and the fewest converters.
            if ($best === null || [$above ?? INF, -count($others), -$calls, -$conversions, $level] > $rank) {
                $rank = [$above ?? INF, -count($others), -$calls, -$conversions, $level];
                $best = new BestTrack($row['track'], $above, array_map($this->source(...), array_keys($others)));
            }
        }

        return $best;
    }

    /** @return array{int, int} networks and converters on the strongest way of a sound to a track */
    private function passed(Source $sound, Listener $track): array
    {
        $calls = $conversions = 0;
        foreach ($this->hearing->pair($sound->id, $track->id)->arrivals()[0]->hops ?? [] as $hop) {
            $calls += $hop->realm === Realm::Network && $hop->kind === HopKind::Cable ? 1 : 0;
            $conversions += $hop->kind === HopKind::Device ? 1 : 0;
        }

        return [$calls, $conversions];
    }

    /**
     * Sounds that can be left out afterwards: one track has them with others, another has just those others.
     *
     * @return list<array{sound: Source, with: Listener, without: Listener}>
     */
    public function removable(): array
    {
        $removable = [];
        foreach ($this->tracks as $with) {
            foreach ($this->tracks as $without) {
                $more = array_diff_key($with['sounds'], $without['sounds']);
                $isSame = count($more) === 1 && $without['sounds'] !== [] && array_diff_key($without['sounds'], $with['sounds']) === [];
                if ($isSame) {
                    $sound = $this->source((string) array_key_first($more));
                    $removable[$sound->id] ??= ['sound' => $sound, 'with' => $with['track'], 'without' => $without['track']];
                }
            }
        }

        return array_values($removable);
    }

    /** @return list<Source> sounds that are alone on some track: their level can still be changed without touching any other */
    public function partable(): array
    {
        return array_values(array_filter($this->hearing->rig->sources, fn (Source $one) => $this->isAlone($one->id)));
    }

    /**
     * The fewest tracks that hold all that was recorded, each sound alone wherever a track has it alone. What is on no other track is lost
     * with a track that is thrown away.
     *
     * @return list<Listener>
     */
    public function toKeep(): array
    {
        $kept = $held = [];
        foreach ($this->partable() as $sound) {
            foreach ($this->tracks as $id => $row) {
                if (self::only($row['sounds'], $sound->id) && (! isset($kept[$sound->id])
                    || $row['sounds'][$sound->id] > $this->tracks[$kept[$sound->id]]['sounds'][$sound->id])) {
                    $kept[$sound->id] = $id;
                }
            }
            $held[$sound->id] = true;
        }
        $rest = array_filter(
            array_map(fn (array $row) => array_diff_key($row['sounds'], $held), $this->tracks),
            fn (array $sounds) => $sounds !== [],
        );
        // A mix without a sound keeps the choice to leave it out.
        $choices = array_map(fn (array $one) => $one['without']->id, $this->removable());
        $keep = array_fill_keys([...array_values($kept), ...$this->cover($rest), ...$choices], true);

        return array_values(array_map(fn (array $row) => $row['track'], array_intersect_key($this->tracks, $keep)));
    }

    /**
     * Pairs of tracks that carry a sound both: summed, it is doubled.
     *
     * @return list<array{one: Listener, other: Listener, sounds: list<array{source: Source, apart: float|null, notch: float|null}>}> ms by
     *     which the copies are apart, null where two recorders are started by hand and have no common zero; and the Hz of the first notch
     *     that their sum has, null where they only add up
     */
    public function neverSummed(): array
    {
        $pairs = [];
        $rows = array_values($this->tracks);
        foreach ($rows as $i => $one) {
            foreach (array_slice($rows, $i + 1) as $other) {
                $sounds = [];
                foreach (array_keys(array_intersect_key($one['sounds'], $other['sounds'])) as $id) {
                    if ($one['track']->at[0]->unit !== $other['track']->at[0]->unit) {
                        $sounds[] = ['source' => $this->source($id), 'apart' => null, 'notch' => null];

                        continue;
                    }
                    $apart = round(abs($this->delay((string) $id, $one['track']) - $this->delay((string) $id, $other['track'])), 2);
                    $sounds[] = [
                        'source' => $this->source($id),
                        'apart' => $apart,
                        // Half a period apart, copies of one sign cancel: 4 ms is half of 8 ms, the period of 125 Hz.
                        'notch' => $apart < self::TOGETHER_MS ? null : 500 / $apart,
                    ];
                }
                if ($sounds !== []) {
                    $pairs[] = ['one' => $one['track'], 'other' => $other['track'], 'sounds' => $sounds];
                }
            }
        }

        return $pairs;
    }

    /**
     * What a sum of two tracks does to the sounds on both, in words.
     *
     * @param  list<array{source: Source, apart: float|null, notch: float|null}>  $sounds
     */
    public static function doubled(array $sounds): string
    {
        $alike = [];
        foreach ($sounds as $sound) {
            $alike[(string) $sound['apart']][] = $sound;
        }

        return implode('; ', array_map(function (array $group): string {
            $names = implode(', ', array_map(fn (array $one) => $one['source']->name, $group));
            $isOne = count($group) === 1;

            if ($group[0]['apart'] === null) {
                return $names.($isOne ? ' comes' : ' come').' twice, by two recorders that are started by hand: they have no common zero';
            }

            return $group[0]['notch'] === null ? $names.($isOne ? ' gets louder' : ' get louder')
                : $names.($isOne ? ' comes' : ' come')." twice, {$group[0]['apart']} ms apart (first notch at "
                .number_format($group[0]['notch']).' Hz)';
        }, array_values($alike)));
    }

    private function source(string|int $id): Source
    {
        return $this->hearing->rig->sources[(string) $id];
    }

    /** @param  array<array-key, float>  $sounds */
    private static function only(array $sounds, string $sound): bool
    {
        return count($sounds) === 1 && isset($sounds[$sound]);
    }

    /** @return array<string, string> what the files of each unit that records keep, by its name: "Matroska. Keeps all tracks." */
    public function containers(): array
    {
        $graph = $this->hearing->graph();
        $kept = [];
        foreach ($this->tracks as $row) {
            foreach ($row['track']->at as $ear) {
                $unit = $graph->rig->units[$ear->unit];
                $setting = $graph->rig->modelOf($unit)->settings[self::CONTAINER] ?? null;
                if ($setting !== null) {
                    $value = $graph->state->value($unit->id, $setting);
                    $kept[$unit->name] = trim("{$setting->words($value)}. {$setting->says($value)}");
                }
            }
        }

        return $kept;
    }

    private function isAlone(string $sound): bool
    {
        foreach ($this->tracks as $row) {
            if (self::only($row['sounds'], $sound)) {
                return true;
            }
        }

        return false;
    }

    private function delay(string $sound, Listener $track): float
    {
        return $this->hearing->pair($sound, $track->id)->delay()?->value() ?? 0.0;
    }

    /**
     * @param  array<array-key, array<array-key, float>>  $rest  sounds by track
     * @return list<array-key> the fewest tracks that have them all between them
     */
    private function cover(array $rest): array
    {
        $wanted = [];
        foreach ($rest as $sounds) {
            $wanted += $sounds;
        }
        // Of several that would do, those that carry the fewest others.
        uksort($rest, fn (string|int $a, string|int $b) => count($this->tracks[$a]['sounds']) <=> count($this->tracks[$b]['sounds']));
        if (count($rest) <= self::TRIED) {
            $sets = [[]];
            for ($size = 0; $size < count($rest); $size++) {
                foreach ($sets as $set) {
                    if ($this->has($rest, $set, $wanted)) {
                        return $set;
                    }
                }
                $larger = [];
                foreach ($sets as $set) {
                    $after = $set === [] ? -1 : array_search(end($set), array_keys($rest), true);
                    foreach (array_slice(array_keys($rest), (int) $after + 1) as $track) {
                        $larger[] = [...$set, $track];
                    }
                }
                $sets = $larger;
            }

            return array_keys($rest);
        }
        $taken = [];
        while ($wanted !== []) {
            uasort($rest, fn (array $a, array $b) => count(array_intersect_key($b, $wanted)) <=> count(array_intersect_key($a, $wanted)));
            $track = array_key_first($rest);
            $taken[] = $track;
            $wanted = array_diff_key($wanted, $rest[$track]);
        }

        return $taken;
    }

    /**
     * @param  array<array-key, array<array-key, float>>  $rest
     * @param  list<array-key>  $set
     * @param  array<array-key, float>  $wanted
     */
    private function has(array $rest, array $set, array $wanted): bool
    {
        foreach ($set as $track) {
            $wanted = array_diff_key($wanted, $rest[$track]);
        }

        return $wanted === [];
    }
}
