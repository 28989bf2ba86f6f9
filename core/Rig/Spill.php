<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig;

use HiddenWire\Core\Quantity\Bounds;
use HiddenWire\Core\Quantity\Decibels;
use HiddenWire\Core\Quantity\Milliseconds;

/**
 * How a voice comes into microphones that stand further away than its own, where distances are given: 20 log10 of their ratio softer, so
 * that three to one is about 10 dB; less what the pattern of the microphone keeps out of all that does not come from its front; and later
 * by the way between.
 */
final class Spill
{
    /** Metres a millisecond, in air of 20 degrees Celsius. */
    private const SPEED = 0.343;

    /** @return list<Origin> of a source, with levels and delays that follow from distances; as they are where none is given */
    public static function origins(Rig $rig, Source $source): array
    {
        $origins = array_values($source->origins);
        $further = array_filter(array_slice($origins, 1, null, true), fn (Origin $one) => $one->distanceM !== null);
        $near = $further === [] ? null : self::near($rig, $origins[0]);
        foreach ($near === null ? [] : $further as $i => $origin) {
            $ratio = max(1.0, (float) $origin->distanceM / $near);
            $db = $origin->db->value() - 20 * log10($ratio) + ($rig->point($origin->at)->capsule?->pattern?->aroundDb() ?? 0.0);
            $origins[$i] = $origin->with(
                db: Decibels::of(round(max(-Bounds::DB, $db), 1)),
                delay: $origin->delay ?? Milliseconds::of(round(max(0.0, (float) $origin->distanceM - $near) / self::SPEED, 1)),
            );
        }

        return array_values($origins);
    }

    /** Metres from a voice to its own microphone; null where nobody has said. */
    private static function near(Rig $rig, Origin $own): ?float
    {
        return $own->distanceM ?? $rig->papers->measured(MeasureKind::Distance)["units/{$own->at->unit}/points/{$own->at->point}"] ?? null;
    }
}
