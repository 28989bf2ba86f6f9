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
use HiddenWire\Core\Quantity\Listing;
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
        $graph = $in->base()->graph();
        foreach ($graph->devices->all() as $computer => $devices) {
            foreach ($devices as $device) {
                if ($device->roles !== [] && ! $device->isUsable()) {
                    yield $this->gone($in, (string) $computer, $device);
                }
            }
        }
        $left = [];
        foreach ($in->rig->picks as $pick) {
            $device = $pick->default === null ? null : $graph->picked($in->rig->units[$pick->at->unit], $in->rig->point($pick->at));
            $host = $in->rig->hostOf($in->rig->units[$pick->at->unit]->place);
            if ($device !== null && $device->isUsable() && $host !== null && $this->carriesAnything($in, $pick->at)) {
                $left[$host->id][] = [$pick, $device];
            }
        }
        foreach ($left as $host => $picks) {
            yield $this->left($in, $in->rig->units[$host], $picks);
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

    /** @param  non-empty-list<array{Pick, Device}>  $picks  that follow a default of a computer, with what they get */
    private function left(Inspection $in, Unit $host, array $picks): Finding
    {
        $canChoose = array_values(array_filter(
            $picks,
            fn (array $one) => $in->rig->modelOf($host)->takes === Takes::Chosen
                && $in->rig->point($one[0]->at)->offers(PickFrom::Plugged),
        ));
        $say = fn (array $one): string => $in->names->of($one[0]->at).' ('.$one[1]->name()
            .($one[0]->default === SystemDefault::Call ? ', for calls)' : ')');

        return new Finding(
            $this->code(),
            Severity::Note,
            Listing::of(array_map($say, $picks)).(count($picks) === 1 ? ' follows a default of ' : ' follow defaults of ').$host->name,
            $canChoose === []
                ? 'What can\'t choose by itself goes wherever the default goes: a headset that is plugged in, a driver that is installed.'
                : 'Whatever takes the default over takes this sound along: a headset that is plugged in, a driver that is installed.',
            array_map(fn (array $one) => $one[0]->at, $picks),
            [],
            $canChoose === [] ? [] : [new Proposal(
                'Let '.Listing::of(array_map(
                    fn (array $one) => "{$in->names->of($one[0]->at)} use {$one[1]->name()}",
                    $canChoose,
                )).' by name',
                array_map(fn (array $one) => new SetPick($one[0]->at, $one[0]->with(device: $one[1]->ref, default: null)), $canChoose),
                Cost::PICK * count($canChoose),
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
