<?php

declare(strict_types=1);

namespace HiddenWire\Core\Checks\Plug;

use HiddenWire\Core\Checks\Check;
use HiddenWire\Core\Checks\Finding;
use HiddenWire\Core\Checks\Inspection;
use HiddenWire\Core\Checks\Severity;
use HiddenWire\Core\Equipment\Supply;
use HiddenWire\Core\Quantity\Listing;
use HiddenWire\Core\Rig\CableRef;
use HiddenWire\Core\Rig\UnitRef;

/** A passive splitter used backwards to mix two outputs. */
final readonly class JoinedOutputs implements Check
{
    public function code(): string
    {
        return 'plug.joined-outputs';
    }

    public function findings(Inspection $in): iterable
    {
        $into = [];
        foreach ($in->rig->cables as $cable) {
            if (WrongDirection::isJoinedOutputs($in, $cable)) {
                foreach ([$cable->from, $cable->to] as $end) {
                    if ($in->joints->isPassive($end->unit) && $in->rig->modelOf($end->unit)->supply === Supply::None) {
                        $into[$end->unit][] = $cable;
                    }
                }
            }
        }
        foreach ($into as $unit => $cables) {
            $labels = array_map(fn ($cable) => $cable->label, $cables);
            yield new Finding(
                $this->code(),
                Severity::Fault,
                Listing::of($labels).(count($cables) === 1 ? ' leads an output into an output of ' : ' lead outputs into outputs of ')
                    .$in->rig->units[(string) $unit]->name.': it splits one sound, it does not mix two',
                'The outputs drive each other. Mix with resistors, or take two inputs of a mixer.',
                [new UnitRef((string) $unit), ...array_map(fn ($cable) => new CableRef($cable->id), $cables)],
            );
        }
    }
}
