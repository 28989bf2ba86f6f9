<?php

declare(strict_types=1);

namespace HiddenWire\Core\Checks\Computer;

use HiddenWire\Core\Checks\Check;
use HiddenWire\Core\Checks\Finding;
use HiddenWire\Core\Checks\Inspection;
use HiddenWire\Core\Checks\Severity;
use HiddenWire\Core\Equipment\Point;
use HiddenWire\Core\Quantity\Listing;
use HiddenWire\Core\Rig\Situation;
use HiddenWire\Core\Rig\Unit;
use HiddenWire\Core\Rig\UnitRef;

/** Programs that are to sound at once on a system that gives the sound to one of them. */
final readonly class OneProgram implements Check
{
    public function code(): string
    {
        return 'computer.one-program';
    }

    public function findings(Inspection $in): iterable
    {
        foreach ($in->rig->units as $computer) {
            foreach ($computer->system?->kind?->runsOneAtATime() === true ? $in->rig->situations : [] as $situation) {
                $programs = $this->sounding($in, $computer, $situation);
                if (count($programs) > 1) {
                    $names = Listing::of(array_map(fn (Unit $one) => $one->name, $programs));
                    yield new Finding(
                        $this->code(),
                        Severity::Risk,
                        "{$names} are to sound at once on {$computer->name}, whose system gives the sound to one of them",
                        'The one behind falls silent. Move one to another computer, or let them take turns: a situation says which runs.',
                        array_map(fn (Unit $one) => new UnitRef($one->id), [$computer, ...$programs]),
                        [$situation->id],
                    );
                }
            }
        }
    }

    /** @return list<Unit> programs that run there and have a device */
    private function sounding(Inspection $in, Unit $computer, Situation $situation): array
    {
        $isPicking = fn (Unit $unit): bool => array_filter(
            $in->rig->modelOf($unit)->points,
            fn (Point $point) => $point->picks !== null && $in->graph($situation->id)->state->pick($unit->id, $point->id) !== null,
        ) !== [];

        return array_values(array_filter(
            $in->rig->units,
            fn (Unit $unit) => $unit->place === $computer->place && $in->rig->modelOf($unit)->isProgram()
                && $in->isThere($unit->id, $situation) && $isPicking($unit),
        ));
    }
}
