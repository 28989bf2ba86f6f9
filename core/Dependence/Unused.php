<?php

declare(strict_types=1);

namespace HiddenWire\Core\Dependence;

use HiddenWire\Core\Equipment\CableType;
use HiddenWire\Core\Rig\AirRef;
use HiddenWire\Core\Rig\CableRef;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\UnitRef;
use HiddenWire\Core\Rig\Want;
use HiddenWire\Core\Signal\Hearing;

/** What no wanted way uses in any situation. What only a picture runs through is left out: it may be wanted for that. */
final readonly class Unused
{
    /** @var list<UnitRef|CableRef> */
    public array $elements;

    /** @param  iterable<Hearing>  $hearings  of all situations */
    public function __construct(Rig $rig, iterable $hearings)
    {
        $used = [];
        foreach ($hearings as $hearing) {
            foreach ($hearing->all() as $pair) {
                $isWanted = $pair->wish !== null && $pair->wish->want !== Want::MustNot && $pair->isHeard();
                foreach ($isWanted ? $pair->arrivals() : [] as $way) {
                    foreach ($way->hops as $hop) {
                        $used += match (true) {
                            $hop->at instanceof AirRef => [],
                            $hop->at instanceof CableRef => ["cable {$hop->at->cable}" => true],
                            default => ["unit {$hop->at->unit}" => true],
                        };
                        $used += $hop->pick === null ? [] : ["unit {$hop->pick->unit}" => true];
                    }
                }
            }
        }
        foreach ($rig->units as $unit) {
            $used += $rig->modelOf($unit)->family->isHost() ? ["unit {$unit->id}" => true] : [];
            foreach (isset($used["unit {$unit->id}"]) ? $unit->needs : [] as $need) {
                $used["unit {$need}"] = true;
            }
        }
        $elements = [];
        foreach ($rig->cables as $cable) {
            $isPicture = in_array($cable->type, [CableType::Hdmi, CableType::DisplayPort], true);
            if (isset($used["cable {$cable->id}"])) {
                $used["unit {$cable->from->unit}"] = $used["unit {$cable->to->unit}"] = true;
            } elseif ($isPicture || $rig->socket($cable->from)->lanes === [] || $rig->socket($cable->to)->lanes === []) {
                // A hub's lead carries whatever hangs on the hub.
                $used += ["unit {$cable->from->unit}" => true, "unit {$cable->to->unit}" => true];
            } else {
                $elements[] = new CableRef($cable->id);
            }
        }
        $units = array_map(
            fn ($unit) => new UnitRef($unit->id),
            array_filter($rig->units, fn ($unit) => ! isset($used["unit {$unit->id}"])),
        );
        $this->elements = [...array_values($units), ...$elements];
    }
}
