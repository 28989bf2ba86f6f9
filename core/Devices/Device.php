<?php

declare(strict_types=1);

namespace HiddenWire\Core\Devices;

use HiddenWire\Core\Equipment\Direction;
use HiddenWire\Core\Quantity\Decibels;
use HiddenWire\Core\Quantity\Milliseconds;
use HiddenWire\Core\Rig\DeviceRef;
use HiddenWire\Core\Rig\DeviceSettings;
use HiddenWire\Core\Rig\Processing;
use HiddenWire\Core\Rig\Role;
use HiddenWire\Core\With;

/** One audio device as a computer's system lists it, with the user's settings on it. */
final readonly class Device
{
    use With;

    /**
     * What a device's buffer costs where its unit states nothing: 480 frames at 48 kHz, the usual period of a shared-mode system mixer.
     */
    public const USUAL_LATENCY_MS = 10.0;

    /**
     * @param  string  $computer  the unit whose system lists it
     * @param  string  $point  the point of the giving unit where its sound enters or leaves
     * @param  list<int>|null  $laneChannels  which of the point's channels, counted from 1; null is all
     * @param  list<array{cable: string, hub: string|null}>  $via  the cables from the computer outward, each with the hub that it comes to
     * @param  list<Role>  $roles  what the system uses it for by default, in the situation
     * @param  Decibels|null  $db  the system's own level of it, in the situation; null for as it comes
     * @param  bool  $isMuted  in the system itself, in the situation
     * @param  bool  $isConnected  false for settings whose device the wiring no longer gives, and for a device that a mode keeps out
     * @param  string|null  $keptOutBy  the mode of its unit that keeps it out of the list: "USB mode is One pair"
     */
    public function __construct(
        public string $computer,
        public DeviceRef $ref,
        public Direction $direction,
        public string $systemName,
        public string $point,
        public ?array $laneChannels,
        public int $channels,
        public ?Milliseconds $statedLatency,
        public array $via,
        public bool $isConnected,
        public ?DeviceSettings $settings,
        public array $roles,
        public ?Decibels $db = null,
        public bool $isMuted = false,
        public ?string $keptOutBy = null,
    ) {
    }

    /** The name to show: the user's, else the system's. */
    public function name(): string
    {
        return $this->settings === null || $this->settings->name === '' ? $this->systemName : $this->settings->name;
    }

    /** Whether the system offers it to programs. */
    public function isEnabled(): bool
    {
        return $this->settings === null || ($this->settings->enabled && $this->settings->unlisted === null);
    }

    public function isUsable(): bool
    {
        return $this->isConnected && $this->isEnabled();
    }

    /** Why nothing can use it: "not connected", "kept out: USB mode is One pair", "disabled", "hidden in the list"; empty where it can. */
    public function trouble(): string
    {
        return match (true) {
            $this->keptOutBy !== null => "kept out: {$this->keptOutBy}",
            ! $this->isConnected => 'not connected',
            ! ($this->settings->enabled ?? true) => 'disabled',
            $this->settings?->unlisted !== null => $this->settings->unlisted->words(),
            default => '',
        };
    }

    /** @return list<Processing> what the system does to its sound */
    public function processing(): array
    {
        return $this->settings->processing ?? [];
    }

    public function has(Role $role): bool
    {
        return in_array($role, $this->roles, true);
    }

    public function latency(): Milliseconds
    {
        return $this->statedLatency ?? Milliseconds::of(self::USUAL_LATENCY_MS);
    }

    /** The unit whose converter clock it runs on; null for a virtual device, which runs on its computer's time. */
    public function clock(): ?string
    {
        return $this->ref->lane === null ? null : $this->ref->unit;
    }
}
