<?php

declare(strict_types=1);

namespace HiddenWire\Core\Checks\Computer;

use HiddenWire\Core\Checks\Check;
use HiddenWire\Core\Checks\Finding;
use HiddenWire\Core\Checks\Inspection;
use HiddenWire\Core\Checks\Severity;
use HiddenWire\Core\Equipment\Direction;
use HiddenWire\Core\Equipment\Family;
use HiddenWire\Core\Quantity\Listing;
use HiddenWire\Core\Rig\PointRef;

/** A program that records from converters that have no clock in common: its tracks drift apart. */
final readonly class Clocks implements Check
{
    public function code(): string
    {
        return 'computer.clocks';
    }

    public function findings(Inspection $in): iterable
    {
        $graph = $in->base()->graph();
        foreach ($in->rig->units as $unit) {
            $model = $in->rig->modelOf($unit);
            $clocks = $about = [];
            foreach ($model->family === Family::Recorder && $model->isProgram() ? $model->points : [] as $point) {
                foreach ($point->picks === Direction::Recording ? $graph->allPicked($unit, $point) : [] as $device) {
                    // What comes off a computer's own bus has its computer's clock; what programs hand on has none of its own.
                    if ($device->isUsable() && $device->clock() !== null && $device->direction === Direction::Recording) {
                        $clocks[$device->clock()] ??= $device->name();
                        $about[$device->clock()] ??= new PointRef($unit->id, $point->id);
                    }
                }
            }
            if (count($clocks) > 1) {
                yield new Finding(
                    $this->code(),
                    Severity::Note,
                    "{$unit->name} records from ".Listing::of(array_values($clocks)).', which have a clock each',
                    'Two converters run apart, by up to 0.2 s an hour (50 parts in a million), unless the program holds them together. '
                        .'Take all by one interface, or clap at the beginning and at the end of a recording.',
                    array_values($about),
                );
            }
        }
    }
}
