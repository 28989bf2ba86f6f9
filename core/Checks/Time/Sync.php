<?php

declare(strict_types=1);

namespace HiddenWire\Core\Checks\Time;

use HiddenWire\Core\Checks\Check;
use HiddenWire\Core\Checks\Finding;
use HiddenWire\Core\Checks\Inspection;
use HiddenWire\Core\Checks\Proposal;
use HiddenWire\Core\Checks\Severity;
use HiddenWire\Core\Edit\SetPoint;
use HiddenWire\Core\Planning\Cost;
use HiddenWire\Core\Quantity\Milliseconds;
use HiddenWire\Core\Rig\PointSettings;
use HiddenWire\Core\Timing\Offset;
use HiddenWire\Core\Timing\Offsets;

/** Sound that does not come with its picture: the offset to set. */
final readonly class Sync implements Check
{
    public function code(): string
    {
        return 'time.sync';
    }

    public function findings(Inspection $in): iterable
    {
        foreach ($in->rig->units as $unit) {
            foreach ($unit->pictures === [] ? [] : (new Offsets($in->base(), $unit))->offsets as $offset) {
                if ($offset->isNoticed()) {
                    yield $this->finding($in, $offset);
                }
            }
        }
    }

    private function finding(Inspection $in, Offset $offset): Finding
    {
        $early = $offset->earlyMs();
        $to = $offset->toSet();
        $most = $in->rig->point($offset->at)->delayTo?->value();
        $canSet = $to !== null && $most !== null && $to <= $most;

        return new Finding(
            $this->code(),
            Severity::Risk,
            "{$offset->pair->source->name} comes ".number_format(abs($early), 1).' ms '.($early > 0 ? 'before' : 'after')
                ." the picture {$offset->picture->name} in {$in->rig->units[$offset->at->unit]->name}",
            match (true) {
                $canSet => 'Lips and sound part. Hold '.$in->names->of($offset->at)." back by {$to} ms.",
                $to !== null => 'Lips and sound part. It has to be held back by '."{$to} ms, which can't be set there.",
                default => 'Lips and sound part, and the sound can\'t be made earlier: hold the picture back.',
            },
            [$offset->at],
            [],
            ! $canSet ? [] : [new Proposal(
                "Hold {$in->names->of($offset->at)} back by {$to} ms",
                [new SetPoint($offset->at, new PointSettings(delay: Milliseconds::of($to)))],
                Cost::FADER,
            )],
        );
    }
}
