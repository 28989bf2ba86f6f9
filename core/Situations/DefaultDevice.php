<?php

declare(strict_types=1);

namespace HiddenWire\Core\Situations;

use HiddenWire\Core\Devices\Device;
use HiddenWire\Core\Devices\DeviceLists;
use HiddenWire\Core\Equipment\Direction;
use HiddenWire\Core\Rig\Names;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\Role;
use HiddenWire\Core\Rig\State;
use HiddenWire\Core\Rig\Wiring;

/** Which device a computer's system uses when a program does not say. */
final readonly class DefaultDevice implements Adjustable
{
    use InUnit;

    public function __construct(Rig $rig, string $computer, public Direction $direction, public Role $role)
    {
        $this->rig = $rig;
        $this->unit = $computer;
    }

    public function key(): string
    {
        return "{$this->unit} default {$this->direction->value} {$this->role->value}";
    }

    public function what(): string
    {
        return "default {$this->direction->value} device".($this->role === Role::Call ? ' for calls' : '');
    }

    public function aspect(): string
    {
        return '';
    }

    public function stands(State $state): string
    {
        $device = $state->situation->defaultFor($this->unit, $this->direction, $this->role) ?? $this->usual()?->ref;

        return $device === null ? 'none' : (new Names($this->rig))->of($device);
    }

    public function told(State $state): string
    {
        return "{$this->name()}: the {$this->what()} is {$this->stands($state)}";
    }

    public function order(): array
    {
        return [1, 2, $this->direction === Direction::Playback ? 0 : 1, $this->role === Role::Call ? 1 : 0];
    }

    private function usual(): ?Device
    {
        foreach ((new DeviceLists($this->rig, new Wiring($this->rig)))->of($this->unit) as $device) {
            if ($device->direction === $this->direction && $device->has($this->role)) {
                return $device;
            }
        }

        return null;
    }
}
