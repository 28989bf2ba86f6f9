<?php

declare(strict_types=1);

namespace HiddenWire\Core\Checks\Track;

use HiddenWire\Core\Checks\Check;
use HiddenWire\Core\Checks\Finding;
use HiddenWire\Core\Checks\Inspection;
use HiddenWire\Core\Checks\Severity;
use HiddenWire\Core\Quantity\Count;
use HiddenWire\Core\Recording\Storage;
use HiddenWire\Core\Rig\MeasureKind;
use HiddenWire\Core\Rig\UnitRef;

/** A card that is full before the show ends. */
final readonly class CardSpace implements Check
{
    private const MINUTES_AN_HOUR = 60;

    public function code(): string
    {
        return 'track.storage';
    }

    public function findings(Inspection $in): iterable
    {
        $base = $in->rig->base();
        $minutes = $in->rig->papers->measured(MeasureKind::Length)["situations/{$base->id}"] ?? null;
        foreach ($minutes === null ? [] : $in->rig->units as $unit) {
            $card = Storage::of($in->rig, $unit, $in->field($base->id));
            if ($card !== null && $card->hours() * self::MINUTES_AN_HOUR < $minutes) {
                yield new Finding(
                    $this->code(),
                    Severity::Fault,
                    "The card of {$unit->name} is full after ".number_format($card->hours(), 1)." h, and {$base->name} lasts "
                        .number_format($minutes / self::MINUTES_AN_HOUR, 1).' h',
                    'It stops recording by itself. '.Count::of($card->channels, 'channel').' of '.((int) $card->bits).' bits at '
                        .((int) $card->rateHz).' Hz: take a larger card, fewer tracks, or change it in a break.',
                    [new UnitRef($unit->id)],
                );
            }
        }
    }
}
