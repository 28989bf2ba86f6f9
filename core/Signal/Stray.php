<?php

declare(strict_types=1);

namespace HiddenWire\Core\Signal;

use HiddenWire\Core\Devices\Device;
use HiddenWire\Core\Equipment\Direction;
use HiddenWire\Core\Rig\Listener;
use HiddenWire\Core\Rig\Role;
use HiddenWire\Core\Rig\Unit;

/**
 * The stray sound of a computer: whom a program that nobody has listed, and the system's own sounds, would reach by the default device.
 */
final readonly class Stray
{
    /** The default playback device; null where there is none. */
    public ?Device $device;

    /** @var list<Listener> */
    public array $reaches;

    public function __construct(SignalGraph $graph, Unit $computer)
    {
        $default = null;
        foreach ($graph->devices->of($computer->id) as $device) {
            if ($device->direction === Direction::Playback && $device->has(Role::Playback)) {
                $default = $device;
            }
        }
        $this->device = $default;
        $this->reaches = $default?->isUsable() === true ? $graph->field()->heardFrom($graph->deviceNode($default)) : [];
    }

    /** "Desk return: Presenter, Viewers", or what bars it. */
    public function words(): string
    {
        return match (true) {
            $this->device === null => 'nobody: there is no default playback device',
            ! $this->device->isUsable() => "nobody: {$this->device->name()}, the default, is {$this->device->trouble()}",
            $this->reaches !== [] => implode(', ', array_map(fn (Listener $one) => $one->name, $this->reaches))
                ." (by {$this->device->name()})",
            $this->device->isMuted => "nobody: {$this->device->name()}, the default, is muted in the system",
            default => "nobody: {$this->device->name()}, the default, leads to no listener",
        };
    }
}
