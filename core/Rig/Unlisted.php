<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig;

/** Why a system does not offer a device that exists. */
enum Unlisted: string
{
    case Hidden = 'hidden';
    case NoPlugSensed = 'no-plug';

    public function words(): string
    {
        return $this === self::Hidden ? 'hidden in the list' : 'its socket senses no plug';
    }

    /** "Line out is hidden in the list of Streaming computer" */
    public function cause(string $device, string $computer): string
    {
        return $this === self::Hidden ? "{$device} is hidden in the list of {$computer}" : "{$computer} senses no plug in {$device}";
    }

    /** What a hand does about it, behind the name of the device: "Show Line out in the list". */
    public function cure(string $device): string
    {
        return $this === self::Hidden ? "Show {$device} in the list" : "Tell the system that something is plugged into {$device}";
    }
}
