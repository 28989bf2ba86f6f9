<?php

declare(strict_types=1);

namespace HiddenWire\Core\Edit;

use HiddenWire\Core\Rig\Format\References;
use HiddenWire\Core\Rig\Rig;

/** Takes a place away with all that is in it. */
final readonly class RemovePlace implements RigEdit
{
    public function __construct(public string $place)
    {
    }

    public function applyTo(Rig $rig): Rig
    {
        // Programs go before the computer that they run on.
        $units = $this->units($rig);
        usort($units, fn (string $a, string $b) => $rig->modelOf($b)->isProgram() <=> $rig->modelOf($a)->isProgram());
        foreach ($units as $unit) {
            $rig = (new RemoveUnit($unit))->applyTo($rig);
        }

        return new Rig(References::gone($rig->parts(), 'places', $this->place));
    }

    public function words(Rig $rig): string
    {
        $units = array_map(fn (string $unit) => $rig->units[$unit]->name, $this->units($rig));

        return "Removed {$rig->places[$this->place]->name}".($units === [] ? '' : ', and with it '.implode(', ', $units));
    }

    /** @return list<string> the ids of what is in it */
    public function units(Rig $rig): array
    {
        return array_values(array_map(fn ($unit) => $unit->id, array_filter($rig->units, fn ($unit) => $unit->place === $this->place)));
    }
}
