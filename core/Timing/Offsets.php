<?php

declare(strict_types=1);

namespace HiddenWire\Core\Timing;

use HiddenWire\Core\Rig\Picture;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\Unit;
use HiddenWire\Core\Signal\Hearing;

/** By how much each source of a broadcast program has to be held back so that it comes with its picture. */
final readonly class Offsets
{
    /** @var list<Offset> in the order of the program's sources, the latest sound of each */
    public array $offsets;

    public function __construct(private Hearing $hearing, Unit $program)
    {
        $rig = $hearing->rig;
        $latest = [];
        foreach ($program->pictures === [] ? [] : $hearing->all() as $pair) {
            $ear = $pair->listener->at[0] ?? null;
            $arrival = $ear?->unit === $program->id && $pair->isHeard() ? $pair->arrivals()[0] ?? null : null;
            foreach ($arrival->hops ?? [] as $hop) {
                if ($hop->pick?->unit === $program->id && (! isset($latest[$hop->pick->point])
                    || $latest[$hop->pick->point]->delay()?->value() < $pair->delay()?->value())) {
                    $latest[$hop->pick->point] = $pair;
                }
            }
        }
        $offsets = [];
        foreach ($rig->modelOf($program)->points as $point) {
            $pair = $latest[$point->id] ?? null;
            $picture = $pair === null ? null : $this->pictureOf($program, $point->id);
            if ($pair !== null && $picture !== null) {
                $offsets[] = new Offset(
                    new PointRef($program->id, $point->id),
                    $pair,
                    $picture,
                    ($pair->delay()?->value() ?? 0.0),
                    $this->hearing->graph()->state->delay($program->id, $point)->value(),
                );
            }
        }
        $this->offsets = $offsets;
    }

    /** The picture that goes with a source: the one whose sound it is, else the latest that has no sound, a camera on a face. */
    private function pictureOf(Unit $program, string $point): ?Picture
    {
        $silent = null;
        foreach ($program->pictures as $picture) {
            if ($picture->sound === $point) {
                return $picture;
            }
            $isLater = ($picture->delay?->value() ?? 0.0) > ($silent?->delay?->value() ?? -1.0);
            if ($picture->sound === null && $isLater) {
                $silent = $picture;
            }
        }

        return $silent;
    }
}
