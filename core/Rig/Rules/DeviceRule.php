<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig\Rules;

use HiddenWire\Core\Equipment\Direction;
use HiddenWire\Core\Equipment\Takes;
use HiddenWire\Core\Rig\Altered;
use HiddenWire\Core\Rig\Role;

/** What is set of a device is that of one that a computer could have. */
final class DeviceRule implements Rule
{
    private const BY_PLUG = 'This system takes what was plugged in last: say the order of the leads in a situation ("plugged").';

    public function reads(): array
    {
        return ['devices', 'models', Altered::FRAME];
    }

    public function check(Fit $in): void
    {
        $seen = [];
        $roles = [];
        foreach ($in->parts->devices as $i => $settings) {
            $host = $in->modelAt($settings->computer, "/devices/{$i}/computer");
            if ($host !== null && ! $host->family->isHost()) {
                $in->problem("/devices/{$i}/computer", "\"{$settings->computer}\" is no computer or tablet.");
            }
            $offer = $in->offerAt($settings->device, "/devices/{$i}/device");
            if ($host?->takes === Takes::LastPlugged && $settings->roles !== []) {
                $in->problem("/devices/{$i}/roles", self::BY_PLUG);
            }
            $key = $settings->computer.' '.$settings->device;
            if (isset($seen[$key])) {
                $in->problem("/devices/{$i}/device", "The device has its settings at /devices/{$seen[$key]} already.");
            }
            $seen[$key] = $i;
            $target = $settings->playsTo === null ? null : $in->offerAt($settings->playsTo, "/devices/{$i}/plays_to");
            if ($target !== null && $target->direction !== Direction::Playback) {
                $in->problem("/devices/{$i}/plays_to", 'A system plays to a playback device.');
            }
            if ($settings->playsTo !== null && $offer !== null && $offer->direction !== Direction::Recording) {
                $in->problem("/devices/{$i}/plays_to", 'Only a recording device is played to another device.');
            }
            foreach ($settings->roles as $r => $role) {
                if ($offer === null) {
                    continue;
                }
                if ($role !== Role::Call && $role->value !== $offer->direction->value) {
                    $in->problem(
                        "/devices/{$i}/roles/{$r}",
                        "A {$offer->direction->value} device can't be the default for {$role->value}.",
                    );
                }
                $slot = $settings->computer.' '.$offer->direction->value.' '.$role->value;
                if (isset($roles[$slot])) {
                    $in->problem(
                        "/devices/{$i}/roles/{$r}",
                        "/devices/{$roles[$slot]} is the computer's default for {$role->value} ({$offer->direction->value}) already.",
                    );
                }
                $roles[$slot] = $i;
            }
        }
    }
}
