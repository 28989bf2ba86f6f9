<?php

declare(strict_types=1);

namespace HiddenWire\Core\Checks\Hear;

use HiddenWire\Core\Checks\Check;
use HiddenWire\Core\Checks\Finding;
use HiddenWire\Core\Checks\Inspection;
use HiddenWire\Core\Checks\Severity;
use HiddenWire\Core\Planning\Cell;
use HiddenWire\Core\Planning\Merging;
use HiddenWire\Core\Rig\AirRef;
use HiddenWire\Core\Rig\RouteRef;
use HiddenWire\Core\Signal\HeardPair;
use HiddenWire\Core\Signal\Hearing;

/** Two sounds that are wanted apart and are one signal from some element on. */
final readonly class Merged implements Check
{
    public function code(): string
    {
        return 'hear.merged';
    }

    public function findings(Inspection $in): iterable
    {
        foreach ($in->each() as $situation => $hearing) {
            $merging = new Merging($hearing);
            foreach ($hearing->all() as $pair) {
                if ($pair->wish?->alone !== true || ! $pair->isHeard()) {
                    continue;
                }
                foreach ($this->beside($hearing, $pair) as $other) {
                    $hop = $merging->between($pair, $other);
                    // What only comes together in the track itself is parted by a switch there.
                    $isInTrack = $hop === null || ($hop->at instanceof RouteRef && $this->isOfListener($pair, $hop->at->unit));
                    if ($isInTrack || $hop->at instanceof AirRef) {
                        continue;
                    }
                    yield new Finding(
                        $this->code(),
                        Severity::Fault,
                        "{$pair->source->name} and {$other->source->name} are one signal from {$in->names->of($hop->at)} on, "
                            ."and {$pair->listener->name} is to have {$pair->source->name} alone",
                        "Nothing behind it can part them. Give one of the two a way of its own before {$in->names->of($hop->at)}: another "
                            .'device, another strip, or one more mix.',
                        [$hop->at, ...$pair->listener->at],
                        [$situation],
                        cells: [Cell::of($pair, $situation)->key()],
                    );
                }
            }
        }
    }

    /** @return list<HeardPair> other sounds at the same listener */
    private function beside(Hearing $hearing, HeardPair $pair): array
    {
        $beside = [];
        foreach ($hearing->rig->sources as $source) {
            $other = $hearing->pair($source->id, $pair->listener->id);
            if ($source->id !== $pair->source->id && $other->isHeard() && ! $other->isSpill()) {
                $beside[] = $other;
            }
        }

        return $beside;
    }

    private function isOfListener(HeardPair $pair, string $unit): bool
    {
        return array_filter($pair->listener->at, fn ($at) => $at->unit === $unit) !== [];
    }
}
