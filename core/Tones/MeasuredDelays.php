<?php

declare(strict_types=1);

namespace HiddenWire\Core\Tones;

use HiddenWire\Core\Edit\SetMeasure;
use HiddenWire\Core\Planning\Hearings;
use HiddenWire\Core\Rig\CableRef;
use HiddenWire\Core\Rig\DeviceRef;
use HiddenWire\Core\Rig\ElementRef;
use HiddenWire\Core\Rig\Listener;
use HiddenWire\Core\Rig\MeasureKind;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Signal\Hop;

/**
 * Delays that a tone test has measured, as changes of the plan: of what holds a sound back on its way, each that explains the difference
 * when the plan has it. What explains it equally well is left to whoever knows the room.
 */
final readonly class MeasuredDelays
{
    /** What chirps tell on a clean recording. */
    private const EXACT_MS = 0.1;

    private const ROUNDS = 3;

    /**
     * @param  array<array-key, list<array{int, bool}>>  $played  by {@see TonePlan::played()}
     * @param  list<array{Listener, non-empty-list<ChannelReading>}>  $readings
     */
    public function __construct(private Hearings $plan, private string $situation, private array $played, private array $readings)
    {
    }

    /** @return list<SetMeasure> what leaves fewest sounds late comes first */
    public function explaining(Difference $late): array
    {
        if ($late->kind !== DifferenceKind::Late || $late->source === null) {
            return [];
        }
        [$source, $track] = [$late->source->id, $late->track->id];
        $before = $this->against($this->plan);
        $found = [];
        foreach ($this->holding($source, $track) as [$about, $usual]) {
            [$edit, $measured] = $this->fitted($about, $usual, $source, $track, $before) ?? [null, $before];
            if ($edit !== null && self::countLate($measured) < self::countLate($before)) {
                $found[] = [self::countLate($measured), $edit];
            }
        }
        usort($found, fn (array $one, array $other) => $one[0] <=> $other[0]);

        return array_column($found, 1);
    }

    /**
     * The delay with which the sound is as late as planned. A track that comes first by the plan may be overtaken: then what is left is
     * added once more.
     *
     * @return array{SetMeasure, MeasuredTracks}|null null where none can be set that fits
     */
    private function fitted(ElementRef $about, float $ms, string $source, string $track, MeasuredTracks $measured): ?array
    {
        [$least, $most] = MeasureKind::Delay->range();
        $edit = null;
        for ($round = 0; $round <= self::ROUNDS; $round++) {
            $off = self::off($measured, $source, $track);
            if ($off !== null && abs($off) < self::EXACT_MS && $edit !== null) {
                return [$edit, $measured];
            }
            $ms = round($ms + ($off ?? 0.0), 1);
            if ($off === null || $ms < $least || $ms > $most) {
                return null;
            }
            $edit = new SetMeasure($about, MeasureKind::Delay, $ms);
            $measured = $this->against(new Hearings($edit->applyTo($this->plan->rig), before: $this->plan));
        }

        return null;
    }

    private function against(Hearings $plan): MeasuredTracks
    {
        return new MeasuredTracks(new TonePlan($plan->in($this->situation), $this->played), $this->readings);
    }

    /** By how much a sound comes later on a track than planned, ms; null where that is not known. */
    private static function off(MeasuredTracks $measured, string $source, string $track): ?float
    {
        foreach ($measured->tracks as $one) {
            $sound = $one->track->id === $track ? $one->sounds[$source] ?? null : null;
            if ($sound?->lateMs !== null && $sound->plannedLateMs !== null) {
                return $sound->lateMs - $sound->plannedLateMs;
            }
        }

        return null;
    }

    private static function countLate(MeasuredTracks $measured): int
    {
        return count(array_filter($measured->differences(), fn (Difference $one) => $one->kind === DifferenceKind::Late));
    }

    /** @return array<string, array{ElementRef, float}> what holds the sound back on its strongest way, and by how much, ms */
    private function holding(string $source, string $track): array
    {
        $rig = $this->plan->rig;
        $there = [];
        foreach ($this->plan->in($this->situation)->pair($source, $track)->arrivals()[0]->hops ?? [] as $hop) {
            $about = $hop->delay->value() > 0 ? self::about($rig, $hop) : null;
            if ($about !== null) {
                $there[(string) $about] ??= [$about, $hop->delay->value()];
            }
        }

        return $there;
    }

    private static function about(Rig $rig, Hop $hop): ?ElementRef
    {
        $at = $hop->at;

        return match (true) {
            $at instanceof CableRef => ElementRef::cable($at->cable),
            ! $at instanceof DeviceRef || ! isset($rig->modelOf($at->unit)->sockets[$at->givenBy]) => null,
            default => ElementRef::read("units/{$at->unit}/sockets/{$at->givenBy}"),
        };
    }
}
