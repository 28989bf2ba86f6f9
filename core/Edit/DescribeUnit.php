<?php

declare(strict_types=1);

namespace HiddenWire\Core\Edit;

use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\Unit;

/**
 * What a person notes of a unit: its name, firmware version, serial number, notes, price, supplier, manuals, how long it takes to start;
 * and of a program, whether it starts at login and what it needs to work.
 */
final readonly class DescribeUnit implements RigEdit
{
    /**
     * @param  list<string>|null  $needs  ids of units; null leaves them
     * @param  Written|null  $written  what is written down besides; null leaves it
     */
    public function __construct(
        public string $unit,
        public string $name,
        public string $firmware = '',
        public string $serial = '',
        public string $notes = '',
        public ?array $needs = null,
        public ?bool $atLogin = null,
        public ?Written $written = null,
    ) {
    }

    public function applyTo(Rig $rig): Rig
    {
        return Settings::ofUnit($rig, $this->unit, fn (Unit $unit) => $unit->with(...[
            ...['name' => $this->name, 'firmware' => $this->firmware, 'serial' => $this->serial, 'notes' => $this->notes],
            ...['needs' => $this->needs ?? $unit->needs, 'atLogin' => $this->atLogin ?? $unit->atLogin],
            ...($this->written === null ? [] : get_object_vars($this->written)),
        ]));
    }

    public function words(Rig $rig): string
    {
        $unit = $rig->units[$this->unit];
        $changed = array_filter([
            $this->name === $unit->name ? '' : "renamed to {$this->name}",
            $this->firmware === $unit->firmware ? '' : "firmware {$this->firmware}",
            $this->serial === $unit->serial ? '' : "serial number {$this->serial}",
            $this->notes === $unit->notes ? '' : 'notes',
            $this->needs === null || $this->needs === $unit->needs
                ? ''
                : 'needs '.(implode(', ', array_map(fn (string $id) => $rig->units[$id]->name ?? $id, $this->needs)) ?: 'nothing'),
            $this->atLogin === null || $this->atLogin === $unit->atLogin ? '' : ($this->atLogin ? 'starts at login' : 'is started by hand'),
            ...($this->written?->changes($unit) ?? []),
        ]);

        return "{$unit->name}: ".(implode(', ', $changed) ?: 'nothing new');
    }
}
