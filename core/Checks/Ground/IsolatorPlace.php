<?php

declare(strict_types=1);

namespace HiddenWire\Core\Checks\Ground;

use HiddenWire\Core\Checks\Check;
use HiddenWire\Core\Checks\Finding;
use HiddenWire\Core\Checks\Inspection;
use HiddenWire\Core\Checks\Joint;
use HiddenWire\Core\Checks\Proposal;
use HiddenWire\Core\Checks\Severity;
use HiddenWire\Core\Edit\SetCable;
use HiddenWire\Core\Equipment\Family;
use HiddenWire\Core\Planning\Cost;
use HiddenWire\Core\Rig\CableRef;
use HiddenWire\Core\Rig\UnitRef;

/** An isolator far from the receiving end, or with too few channels for what comes in. */
final readonly class IsolatorPlace implements Check
{
    /** Metres from the isolator to what it protects: more collects hum again. */
    private const NEAR_M = 2.0;

    public function code(): string
    {
        return 'ground.isolator-place';
    }

    public function findings(Inspection $in): iterable
    {
        foreach ($in->joints->analog() as $joint) {
            $isBehind = $in->rig->modelOf($joint->from->unit)->family === Family::Isolator;
            if ($isBehind && $joint->cable->lengthM !== null && $joint->cable->lengthM > self::NEAR_M) {
                yield new Finding(
                    $this->code(),
                    Severity::Risk,
                    "{$in->rig->units[$joint->from->unit]->name} stands {$joint->cable->lengthM} m away from "
                        ."{$in->names->of($joint->to)}, which it is to protect",
                    'What the lead behind it collects goes in unhindered. Move it to the receiving end: the long lead before it.',
                    [new UnitRef($joint->from->unit), new CableRef($joint->cable->id), $joint->to],
                    [],
                    $this->exchanged($in, $joint),
                );
            }
            $isInto = $in->rig->modelOf($joint->to->unit)->family === Family::Isolator;
            $comes = count($joint->outLane->channels
                ?? range(1, $in->rig->modelOf($joint->from->unit)->points[$joint->outLane->point]->channels));
            $passes = $in->rig->modelOf($joint->to->unit)->points[$joint->inLane->point]->channels;
            if ($isInto && $comes > $passes) {
                yield new Finding(
                    $this->code(),
                    Severity::Fault,
                    "{$in->rig->units[$joint->to->unit]->name} passes ".($passes === 1 ? 'one channel' : "{$passes} channels")
                        .", and {$comes} come from {$in->names->of($joint->from)}",
                    'The rest is lost. Take an isolator with as many channels.',
                    [new UnitRef($joint->to->unit), new CableRef($joint->cable->id), $joint->from],
                );
            }
        }
    }

    /** @return list<Proposal> the long lead before the isolator, the short one behind it */
    private function exchanged(Inspection $in, Joint $joint): array
    {
        $isolator = $in->rig->units[$joint->from->unit]->name;
        foreach ($in->joints->before($joint->from, $joint->outLane) as [$at]) {
            $before = $in->wiring->at($at)[0] ?? null;
            if ($before !== null && $before->lengthM !== null && $before->lengthM <= self::NEAR_M) {
                return [new Proposal(
                    "Move {$isolator} to {$in->rig->units[$joint->to->unit]->name}: {$before->label} is the long lead then",
                    [
                        SetCable::like($before->with(lengthM: $joint->cable->lengthM)),
                        SetCable::like($joint->cable->with(lengthM: $before->lengthM)),
                    ],
                    Cost::EXCHANGE,
                )];
            }
        }

        return [];
    }
}
