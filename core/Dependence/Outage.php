<?php

declare(strict_types=1);

namespace HiddenWire\Core\Dependence;

use HiddenWire\Core\Rig\CableRef;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\Unit;
use HiddenWire\Core\Rig\UnitRef;
use HiddenWire\Core\Signal\GraphBuilder;
use HiddenWire\Core\Signal\HeardPair;
use HiddenWire\Core\Signal\Hearing;

/** A unit, program or cable fails: which sounds are lost, and what carries none any more. */
final readonly class Outage
{
    /** @var list<HeardPair> what must be heard, is heard now, and then is not */
    public array $lost;

    /** @var array<string, true> units and cables (`unit:desk`, `cable:w-01`) by which anything is heard now, and then nothing */
    public array $dark;

    /** @var array<string, true> what fails, by such keys: a computer takes its programs along */
    public array $failed;

    /** What must be heard and is heard now: so many sounds at so many listeners. */
    public int $wanted;

    public function __construct(Hearing $hearing, public UnitRef|CableRef $at)
    {
        $graph = $hearing->graph();
        $situation = $graph->state->situation;
        $units = $at instanceof UnitRef ? [$at->unit, ...$this->programsOf($graph->rig, $at->unit)] : [];
        $cables = $at instanceof CableRef ? [$at->cable] : [];
        $then = $situation->with(
            absent: array_values(array_unique([...$situation->absent, ...$units])),
            pulled: array_values(array_unique([...$situation->pulled, ...$cables])),
        );
        $after = new Hearing((new GraphBuilder($graph->rig))->build($then));
        $lost = [];
        $wanted = 0;
        foreach ($hearing->all() as $pair) {
            if ($pair->meetsMust()) {
                $wanted++;
                if (! $after->pair($pair->source->id, $pair->listener->id)->isHeard()) {
                    $lost[] = $pair;
                }
            }
        }
        $this->lost = $lost;
        $this->wanted = $wanted;
        $this->failed = array_fill_keys([
            ...array_map(fn (string $id) => self::key(new UnitRef($id)), $units),
            ...array_map(fn (string $id) => self::key(new CableRef($id)), $cables),
        ], true);
        $this->dark = array_diff_key($this->carrying($hearing), $this->carrying($after), $this->failed);
    }

    /** `unit:desk`, `cable:w-01` */
    public static function key(UnitRef|CableRef $at): string
    {
        return ($at instanceof CableRef ? 'cable:' : 'unit:').$at;
    }

    /** @return list<string> */
    private function programsOf(Rig $rig, string $unit): array
    {
        $place = $rig->units[$unit]->place;
        if ($rig->modelOf($unit)->isProgram() || $rig->hostOf($place)?->id !== $unit) {
            return [];
        }

        return array_map(fn (Unit $one) => $one->id, array_values(array_filter(
            $rig->units,
            fn (Unit $one) => $one->place === $place && $rig->modelOf($one)->isProgram(),
        )));
    }

    /** @return array<string, true> units and cables by which somebody hears something */
    private function carrying(Hearing $hearing): array
    {
        $carrying = [];
        foreach ($hearing->all() as $pair) {
            foreach ($pair->arrivals() as $arrival) {
                foreach ($arrival->hops as $hop) {
                    $passed = $hop->at instanceof CableRef ? [$hop->at] : array_map(fn (string $id) => new UnitRef($id), $hop->units());
                    $carrying += array_fill_keys(array_map(self::key(...), $passed), true);
                }
                $carrying[self::key(new UnitRef($arrival->ear->unit))] = true;
            }
        }

        return $carrying;
    }
}
