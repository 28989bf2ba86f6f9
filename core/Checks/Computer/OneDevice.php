<?php

declare(strict_types=1);

namespace HiddenWire\Core\Checks\Computer;

use HiddenWire\Core\Checks\Check;
use HiddenWire\Core\Checks\Finding;
use HiddenWire\Core\Checks\Inspection;
use HiddenWire\Core\Checks\Severity;
use HiddenWire\Core\Devices\Device;
use HiddenWire\Core\Quantity\Count;
use HiddenWire\Core\Rig\Unit;
use HiddenWire\Core\Rig\UnitRef;
use HiddenWire\Core\Signal\Refused;

/** A program of which more devices, sources or tracks are asked than it opens. */
final readonly class OneDevice implements Check
{
    public function code(): string
    {
        return 'computer.one-device';
    }

    public function findings(Inspection $in): iterable
    {
        $graph = $in->base()->graph();
        foreach ($in->rig->units as $unit) {
            $limits = $in->rig->modelOf($unit)->limits;
            if ($limits->devicesAtOnce === null && $limits->sources === null && $limits->tracks === null) {
                continue;
            }
            $tracks = Refused::tracksAsked($in->rig->modelOf($unit), $graph->state, $unit->id);
            $devices = array_map(fn (Device $one) => $one->name(), $graph->refused->devices($unit->id));
            yield from $this->over($unit, count($devices), $limits->devicesAtOnce, 'device', ': '.implode(', ', $devices));
            yield from $this->over($unit, $graph->refused->sources($unit->id), $limits->sources, 'source', '');
            yield from $this->over($unit, count($tracks), $limits->tracks, 'track', '');
        }
    }

    /** @return iterable<Finding> */
    private function over(Unit $unit, int $asked, ?int $most, string $what, string $named): iterable
    {
        if ($most !== null && $asked > $most) {
            yield new Finding(
                $this->code(),
                Severity::Fault,
                Count::of($asked, $what)." are asked of {$unit->name}, which has room for {$most}{$named}",
                'What comes last is left out, or the program refuses it. Merge some before, or take another program.',
                [new UnitRef($unit->id)],
            );
        }
    }
}
