<?php

declare(strict_types=1);

namespace HiddenWire\Core\Checks\Computer;

use HiddenWire\Core\Checks\Check;
use HiddenWire\Core\Checks\Finding;
use HiddenWire\Core\Checks\Inspection;
use HiddenWire\Core\Checks\Proposal;
use HiddenWire\Core\Checks\Severity;
use HiddenWire\Core\Devices\Device;
use HiddenWire\Core\Edit\SetPick;
use HiddenWire\Core\Equipment\PickFrom;
use HiddenWire\Core\Equipment\Takes;
use HiddenWire\Core\Planning\Cost;
use HiddenWire\Core\Rig\Pick;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\SystemDefault;
use HiddenWire\Core\Rig\Unit;

/** A default device that is not there, and programs that are left on a default. */
final readonly class Defaults implements Check
{
    public function code(): string
    {
        return 'computer.default';
    }

    public function findings(Inspection $in): iterable
    {
        $graph = $in->base()->graph;
        foreach ($graph->devices->all() as $computer => $devices) {
            foreach ($devices as $device) {
                if ($device->roles !== [] && ! $device->isUsable()) {
                    yield $this->gone($in, (string) $computer, $device);
                }
            }
        }
        foreach ($in->rig->picks as $pick) {
            $device = $pick->default === null ? null : $graph->picked($in->rig->units[$pick->at->unit], $in->rig->point($pick->at));
            $host = $in->rig->hostOf($in->rig->units[$pick->at->unit]->place);
            if ($device !== null && $device->isUsable() && $host !== null && $this->carriesAnything($in, $pick->at)) {
                yield $this->left($in, $host, $pick, $device);
            }
        }
    }

    private function gone(Inspection $in, string $computer, Device $device): Finding
    {
        return new Finding(
            $this->code(),
            Severity::Fault,
            "{$in->rig->units[$computer]->name} has {$device->name()} for its default {$device->direction->value} device, which is "
                .$device->trouble(),
            'The system then takes another one by itself, and whatever follows the default goes there.',
            [$device->ref],
        );
    }

    private function left(Inspection $in, Unit $host, Pick $pick, Device $device): Finding
    {
        $canChoose = $in->rig->modelOf($host)->takes === Takes::Chosen && $in->rig->point($pick->at)->offers(PickFrom::Plugged);
        $which = $pick->default === SystemDefault::Call ? 'default for calls' : 'default';

        return new Finding(
            $this->code(),
            Severity::Note,
            "{$in->names->of($pick->at)} follows the {$which} of {$host->name}, now {$device->name()}",
            $canChoose ? 'Whatever takes the default over takes this sound along: a headset that is plugged in, a driver that is installed.'
                : 'It can\'t choose by itself: whatever takes the default over takes this sound along.',
            [$pick->at],
            [],
            ! $canChoose ? [] : [new Proposal(
                "Let {$in->names->of($pick->at)} use {$device->name()} by name",
                [new SetPick($pick->at, $pick->with(device: $device->ref, default: null))],
                Cost::PICK,
            )],
        );
    }

    /** Whether any sound that somebody is to hear passes there. */
    private function carriesAnything(Inspection $in, PointRef $at): bool
    {
        $field = $in->field($in->rig->base()->id);

        return $field->sourcesAt($at) !== [] && $field->listenersBehind($at) !== [];
    }
}
