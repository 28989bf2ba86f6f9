<?php

declare(strict_types=1);

namespace HiddenWire\Core\Planning\Remedies;

use HiddenWire\Core\Devices\Device;
use HiddenWire\Core\Edit\SetPick;
use HiddenWire\Core\Equipment\Family;
use HiddenWire\Core\Planning\Candidate;
use HiddenWire\Core\Planning\Cost;
use HiddenWire\Core\Planning\Remedy;
use HiddenWire\Core\Planning\Trouble;
use HiddenWire\Core\Rig\Pick;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\Unit;

/** Repeaters that stand the wrong way round: they record what they should play to. */
final class Repeaters implements Remedy
{
    public function isOfCables(): bool
    {
        return false;
    }

    public function candidates(Trouble $trouble): iterable
    {
        foreach ($trouble->rig->units as $unit) {
            if ($trouble->rig->modelOf($unit)->family === Family::Repeater) {
                yield from $this->exchanged($trouble, $unit);
            }
        }
    }

    /** Whether the sound comes by the unit, or would if it took and played to other devices: it is at one, and goes on from the other. */
    private function isAsked(Trouble $trouble, Unit $unit, ?Device $taken, ?Device $played): bool
    {
        foreach ($trouble->hasTooMuch() ? $trouble->hops() : [] as $hop) {
            if ($hop->pick?->unit === $unit->id) {
                return true;
            }
        }

        return $trouble->lacks() && $taken !== null && $played !== null
            && $trouble->region->reachedOf($trouble->graph->deviceNode($taken)) !== []
            && $trouble->region->leadingOf($trouble->graph->deviceNode($played)) !== [];
    }

    /** @return iterable<Candidate> both picks exchanged: each takes the other side of what the other has */
    private function exchanged(Trouble $trouble, Unit $unit): iterable
    {
        $picks = [];
        foreach ($trouble->rig->modelOf($unit)->points as $point) {
            $at = new PointRef($unit->id, $point->id);
            $pick = $point->picks === null ? null : $trouble->graph->state->pick($unit->id, $point->id);
            $picks = $pick?->device === null ? $picks : [...$picks, [$at, $pick]];
        }
        $host = $trouble->rig->hostOf($unit->place);
        if (count($picks) !== 2 || $host === null) {
            return;
        }
        $edits = $names = $devices = [];
        foreach ([[$picks[0], $picks[1]], [$picks[1], $picks[0]]] as [[$at, $pick], [, $other]]) {
            $device = $this->sideOf($trouble, $host->id, $at, $other);
            if ($device === null) {
                return;
            }
            $situation = $trouble->placesOf($at, 'pick')[0];
            $edits[] = new SetPick($at, $pick->with(device: $device->ref, channels: null, tap: null), $situation);
            $names[] = $device->name();
            $devices[$trouble->rig->point($at)->picks->value ?? ''] = $device;
        }
        if (! $this->isAsked($trouble, $unit, $devices['recording'] ?? null, $devices['playback'] ?? null)) {
            return;
        }
        yield new Candidate(
            "exchange {$unit->id}",
            "{$unit->name} stands the wrong way round",
            "Exchange what {$unit->name} takes and plays to: {$names[0]} and {$names[1]}",
            $edits,
            Cost::PICK + Cost::CHANNELS,
            [$picks[0][0], $picks[1][0]],
        );
    }

    /** The device of the unit that another point has picked, in the direction of this one. */
    private function sideOf(Trouble $trouble, string $host, PointRef $at, Pick $other): ?Device
    {
        foreach ($trouble->graph->devices->of($host) as $device) {
            if ($device->ref->unit === $other->device?->unit && $device->direction === $trouble->rig->point($at)->picks
                && $device->isUsable()) {
                return $device;
            }
        }

        return null;
    }
}
