<?php

declare(strict_types=1);

namespace HiddenWire\Core\Checks\Computer;

use HiddenWire\Core\Checks\Check;
use HiddenWire\Core\Checks\Finding;
use HiddenWire\Core\Checks\Inspection;
use HiddenWire\Core\Checks\Severity;
use HiddenWire\Core\Devices\Device;
use HiddenWire\Core\Equipment\PointKind;
use HiddenWire\Core\Quantity\Count;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\Unit;
use HiddenWire\Core\Rig\UnitRef;

/** A program of which more devices, sources or tracks are asked than it opens. */
final readonly class OneDevice implements Check
{
    public function code(): string
    {
        return 'computer.one-device';
    }

    public function findings(Inspection $in): iterable
    {
        $graph = $in->base()->graph;
        foreach ($in->rig->units as $unit) {
            $limits = $in->rig->modelOf($unit)->limits;
            if ($limits->devicesAtOnce === null && $limits->sources === null && $limits->tracks === null) {
                continue;
            }
            $tracks = [];
            foreach ($in->rig->modelOf($unit)->points as $point) {
                $at = new PointRef($unit->id, $point->id);
                $isTrack = in_array($point->kind, [PointKind::Bus, PointKind::Ear], true);
                $tracks += $isTrack && $in->field($in->rig->base()->id)->sourcesAt($at) !== [] ? [$point->id => true] : [];
            }
            $devices = array_map(fn (Device $one) => $one->name(), $graph->refused->devices($unit->id));
            yield from $this->over($unit, count($devices), $limits->devicesAtOnce, 'device', ': '.implode(', ', $devices));
            yield from $this->over($unit, $graph->refused->sources($unit->id), $limits->sources, 'source', '');
            yield from $this->over($unit, min(count($tracks), $this->buses($in, $unit)), $limits->tracks, 'track', '');
        }
    }

    /** Tracks are the program's buses, or its ears where it has none. */
    private function buses(Inspection $in, Unit $unit): int
    {
        $of = fn (PointKind $kind): int => count(array_filter(
            $in->rig->modelOf($unit)->points,
            fn ($point) => $point->kind === $kind,
        ));

        return $of(PointKind::Bus) ?: $of(PointKind::Ear);
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
