<?php

declare(strict_types=1);

namespace HiddenWire\Core\Tones;

use HiddenWire\Core\Equipment\EffectKind;
use HiddenWire\Core\Rig\Listener;
use HiddenWire\Core\Rig\ListenerKind;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\Source;
use HiddenWire\Core\Rig\SourceKind;
use HiddenWire\Core\Signal\Hearing;
use HiddenWire\Core\Signal\HopKind;

/**
 * Who plays which signature in a tone test of one situation, and what of it is to arrive on each track. The sides of a stereo sound have
 * one each. What passes a gate or a noise removal on its way to any track plays in bursts, which those let through.
 */
final readonly class TonePlan
{
    /** Copies closer together arrive as one, in ms: chirps do not part them. */
    public const TOGETHER_MS = 0.7;

    /** Softer than this nothing counts as planned, dB. */
    private const LEAST_DB = -60.0;

    /** @var array<array-key, list<Signature>> by source, one a part of it; sounds for which there are too few have none */
    public array $signatures;

    /** @var array<array-key, list<string>> what would eat steady tones, by source: "Noise removal of Stream mic" */
    public array $eaten;

    /** @var list<Listener> the tracks of the rig */
    public array $tracks;

    public Rig $rig;

    /** @param  array<array-key, list<array{int, bool}>>|null  $played  what was played, by {@see played()}; null for what is to be */
    public function __construct(private Hearing $hearing, ?array $played = null)
    {
        $this->rig = $hearing->rig;
        $this->tracks = array_values(array_filter(
            $this->rig->listeners,
            fn (Listener $one) => $one->kind === ListenerKind::Track && $one->at !== [],
        ));
        $eaten = $signatures = [];
        $next = 0;
        foreach ($this->rig->sources as $source) {
            if ($played !== null) {
                if (isset($played[$source->id])) {
                    $signatures[$source->id] = array_map(fn (array $one) => new Signature(...$one), $played[$source->id]);
                }

                continue;
            }
            $parts = $this->parts($source);
            if ($parts === 0 || $next + $parts > Signature::COUNT) {
                continue;
            }
            $eaten[$source->id] = $this->eatenBy($source);
            $signatures[$source->id] = [];
            for ($part = 0; $part < $parts; $part++) {
                $signatures[$source->id][] = new Signature($next++, $eaten[$source->id] !== []);
            }
        }
        $this->signatures = $signatures;
        $this->eaten = array_filter($eaten, fn (array $by) => $by !== []);
    }

    /** @return list<Signature> all that are played */
    public function all(): array
    {
        return array_merge(...array_values($this->signatures));
    }

    /** @return array<array-key, list<array{int, bool}>> number of each part of a sound, and whether in bursts, by source */
    public function played(): array
    {
        return array_map(
            fn (array $parts) => array_map(fn (Signature $one) => [$one->number, $one->inBursts], $parts),
            $this->signatures,
        );
    }

    /** Whether it is played to a microphone, so that nobody knows how loud it begins. */
    public function isPlayedToMicrophone(Source $source): bool
    {
        $origin = array_values($source->origins)[0] ?? null;

        return $origin !== null && in_array($source->kind, [SourceKind::Voice, SourceKind::Instrument], true)
            && ! $this->rig->modelOf($origin->at->unit)->isProgram();
    }

    /**
     * What is to arrive on a track: on each channel, of each part of each sound.
     *
     * @return array<array-key, array<int, array<int, list<ToneArrival>>>> by source, part and channel of the track; loudest first
     */
    public function arrivals(Listener $track): array
    {
        $planned = $offsets = [];
        $offset = 0;
        foreach ($track->at as $ear) {
            $offsets[(string) $ear] = $offset;
            $offset += $this->rig->point($ear)->channels;
        }
        foreach (array_keys($this->signatures) as $source) {
            foreach ($this->hearing->field()->response($this->rig->sources[$source], $track, 10 ** (self::LEAST_DB / 20)) as $way) {
                $channel = $offsets[$way['ear']] + $way['ear_channel'] - 1;
                $part = $way['part'] - 1;
                $planned[$source][$part][$channel] = [...($planned[$source][$part][$channel] ?? []), ...$way['taps']];
            }
        }

        return array_map(
            fn (array $parts) => array_map(fn (array $channels) => array_map(self::together(...), $channels), $parts),
            $planned,
        );
    }

    /** How many channels of a recording a track takes. */
    public function width(Listener $track): int
    {
        return array_sum(array_map(fn (PointRef $ear) => $this->rig->point($ear)->channels, $track->at));
    }

    /**
     * @param  list<array{float, float}>  $taps  ms and signed amplitude
     * @return list<ToneArrival>
     */
    private static function together(array $taps): array
    {
        sort($taps);
        $groups = [];
        foreach ($taps as [$ms, $amplitude]) {
            $last = count($groups) - 1;
            if ($last >= 0 && $ms - $groups[$last][0] < self::TOGETHER_MS) {
                $groups[$last][1] += $amplitude;
            } else {
                $groups[] = [$ms, $amplitude];
            }
        }
        $arrivals = array_map(
            fn (array $one) => new ToneArrival($one[0] / 1000, 20 * log10(abs($one[1]) + 1e-9), $one[1] < 0 ? -1 : 1),
            $groups,
        );
        usort($arrivals, fn (ToneArrival $one, ToneArrival $other) => $other->db <=> $one->db);

        return $arrivals;
    }

    /** How many channels a sound has where it begins; 0 where no unit gives it. */
    private function parts(Source $source): int
    {
        $graph = $this->hearing->graph();
        $parts = array_map(fn ($origin) => count($graph->channelsOf($graph->entry($origin->at))), array_values($source->origins));

        return $parts === [] ? 0 : max($parts);
    }

    /** @return list<string> */
    private function eatenBy(Source $source): array
    {
        $eaten = [];
        foreach ($this->tracks as $track) {
            foreach ($this->hearing->pair($source->id, $track->id)->arrivals() as $arrival) {
                foreach ($arrival->hopsOf(HopKind::Effect) as $hop) {
                    $effect = $hop->effect !== null && $hop->at instanceof PointRef
                        ? $this->rig->units[$hop->at->unit]->effect($hop->effect) : null;
                    if (in_array($effect?->kind, [EffectKind::Gate, EffectKind::NoiseRemoval], true)) {
                        $eaten[$hop->label] = true;
                    }
                }
            }
        }

        return array_keys($eaten);
    }
}
