<?php

declare(strict_types=1);

namespace HiddenWire\Core\Dependence;

use HiddenWire\Core\Equipment\Takes;
use HiddenWire\Core\Rig\DeviceSettings;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\Unit;
use HiddenWire\Core\Signal\GraphBuilder;
use HiddenWire\Core\Signal\HeardPair;
use HiddenWire\Core\Signal\Hearing;

/** Something is installed or plugged in that takes a computer's defaults: who changes then, and which picks protect what they have. */
final readonly class Rehearsal
{
    /** @var list<PointRef> programs' ins and outs that follow a default */
    public array $follow;

    /** @var list<PointRef> those that have a device by name */
    public array $protected;

    /** @var list<HeardPair> what is heard now and would be lost */
    public array $lost;

    public function __construct(Hearing $hearing, Unit $computer)
    {
        $rig = $hearing->rig;
        $follow = $protected = [];
        foreach ($rig->picks as $pick) {
            $isHere = $rig->hostOf($rig->units[$pick->at->unit]->place)?->id === $computer->id;
            if ($isHere && $pick->default !== null) {
                $follow[] = $pick->at;
            } elseif ($isHere && $pick->device !== null) {
                $protected[] = $pick->at;
            }
        }
        $this->follow = $follow;
        $this->protected = $protected;
        $isChosen = $rig->modelOf($computer)->takes === Takes::Chosen;
        $this->lost = $follow === [] || ! $isChosen ? [] : $this->lost($hearing, $computer);
    }

    /** @return list<HeardPair> */
    private function lost(Hearing $hearing, Unit $computer): array
    {
        $rig = $hearing->rig;
        $without = array_map(
            fn (DeviceSettings $set) => $set->computer === $computer->id ? $set->with(roles: []) : $set,
            $rig->devices,
        );
        $then = new Rig($rig->parts()->with(devices: $without));
        $situation = $then->situations[$hearing->situation->id]->with(defaults: []);
        $after = new Hearing((new GraphBuilder($then))->build($situation));
        $lost = [];
        foreach ($hearing->all() as $pair) {
            if ($pair->isHeard() && ! $after->pair($pair->source->id, $pair->listener->id)->isHeard()) {
                $lost[] = $pair;
            }
        }

        return $lost;
    }
}
