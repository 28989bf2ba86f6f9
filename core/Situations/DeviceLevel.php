<?php

declare(strict_types=1);

namespace HiddenWire\Core\Situations;

use HiddenWire\Core\Quantity\Decibels;
use HiddenWire\Core\Rig\DeviceRef;
use HiddenWire\Core\Rig\Names;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\State;
use HiddenWire\Core\Rig\SystemLevel;

/** The level and mute that a computer's own system has of a device. */
final readonly class DeviceLevel implements Adjustable
{
    use InUnit;

    public function __construct(Rig $rig, string $computer, public DeviceRef $device)
    {
        $this->rig = $rig;
        $this->unit = $computer;
    }

    public function key(): string
    {
        return "{$this->unit} level {$this->device}";
    }

    public function what(): string
    {
        return (new Names($this->rig))->of($this->device);
    }

    public function aspect(): string
    {
        return 'system level';
    }

    public function stands(State $state): string
    {
        [$db, $mute] = [null, null];
        foreach ($this->rig->devices as $set) {
            if ($set->computer === $this->unit && (string) $set->device === (string) $this->device) {
                [$db, $mute] = [$set->db, $set->mute];
            }
        }
        foreach ($state->situation->levels as $level) {
            if ($level->computer === $this->unit && (string) $level->device === (string) $this->device) {
                [$db, $mute] = [$level->db ?? $db, $level->mute ?? $mute];
            }
        }

        return SystemLevel::said($db ?? Decibels::zero(), $mute === true ? true : null);
    }

    public function told(State $state): string
    {
        return "{$this->name()}: {$this->what()} {$this->stands($state)}";
    }

    public function order(): array
    {
        return [1, 3];
    }
}
