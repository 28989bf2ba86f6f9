<?php

declare(strict_types=1);

namespace HiddenWire\Core\Edit;

use HiddenWire\Core\Rig\Format\Things\Units;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\Unit;

/** What a person notes of a unit: its name, firmware, serial number, price, manuals, … */
final readonly class DescribeUnit implements RigEdit
{
    /** @param  array<string, mixed>  $says  by property of a unit; what is not named stays as it is */
    public function __construct(public string $unit, public array $says)
    {
    }

    public function applyTo(Rig $rig): Rig
    {
        return Settings::ofUnit($rig, $this->unit, fn (Unit $unit) => $unit->with(...$this->says));
    }

    public function words(Rig $rig): string
    {
        $was = $rig->units[$this->unit];
        $is = $was->with(...$this->says);
        $changed = [];
        foreach (array_keys($this->says) as $property) {
            if ($was->{$property} != $is->{$property}) {
                $changed[] = Units::unit()->field($property)->tell($is, $rig);
            }
        }

        return "{$was->name}: ".(implode(', ', $changed) ?: 'nothing new');
    }
}
