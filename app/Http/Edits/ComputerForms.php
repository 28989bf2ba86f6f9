<?php

declare(strict_types=1);

namespace App\Http\Edits;

use HiddenWire\Core\Devices\Device;
use HiddenWire\Core\Devices\DeviceLists;
use HiddenWire\Core\Edit\OrderStart;
use HiddenWire\Core\Edit\RigEdit;
use HiddenWire\Core\Edit\SetDevice;
use HiddenWire\Core\Edit\SetPick;
use HiddenWire\Core\Edit\SetProgramLevel;
use HiddenWire\Core\Edit\SetSituationDefault;
use HiddenWire\Core\Edit\SetSystemLevel;
use HiddenWire\Core\Equipment\Direction;
use HiddenWire\Core\Quantity\Bounds;
use HiddenWire\Core\Quantity\Decibels;
use HiddenWire\Core\Rig\DeviceSettings;
use HiddenWire\Core\Rig\DriverMode;
use HiddenWire\Core\Rig\Pick;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\Role;
use HiddenWire\Core\Rig\State;
use HiddenWire\Core\Rig\SystemDefault;
use HiddenWire\Core\Rig\Wiring;

/** Changes inside computers: what a device is called and used for, what a program picks, what starts when. */
final class ComputerForms
{
    /** @return list<RigEdit> */
    public static function device(EditFields $in): array
    {
        $computer = $in->unit('computer');
        $device = self::deviceAt($in, $computer, $in->text('device', 200));
        $roles = array_map(fn (string $role) => Role::tryFrom($role) ?? $in->refuse('roles', 'There is no such role.'), $in->list('roles'));

        return [new SetDevice(new DeviceSettings(
            $computer,
            $device->ref,
            $in->text('name', Bounds::NAME),
            $in->flag('enabled') ?? false,
            $roles,
            $in->whole('rate_hz', ...Bounds::RATE_HZ),
            $in->whole('bits', ...Bounds::BITS),
            $in->choiceOrNone('driver_mode', DriverMode::class),
            $in->isSent('db') ? self::level($in) : $device->settings?->db,
            $in->isSent('db') ? $in->flag('mute') ?? false : $device->settings->mute ?? false,
            $in->isSent('plays_to')
                ? ($in->has('plays_to') ? self::deviceAt($in, $computer, $in->text('plays_to', 200))->ref : null)
                : $device->settings?->playsTo,
        ))];
    }

    /**
     * The system's own level and mute of a device in a situation; empty fields: as in the base.
     *
     * @return list<RigEdit>
     */
    public static function systemLevel(EditFields $in): array
    {
        $situation = $in->override() ?? $in->refuse('situation', 'In the base a level is set with its device.');
        $computer = $in->unit('computer');
        $device = self::deviceAt($in, $computer, $in->text('device', 200));

        return [new SetSystemLevel($computer, $device->ref, self::level($in), $in->flag('mute'), $situation)];
    }

    /**
     * The system's own level and mute of a program.
     *
     * @return list<RigEdit>
     */
    public static function programLevel(EditFields $in): array
    {
        $at = $in->pointOfUnit();
        if ((new State($in->rig, $in->rig->situation($in->override()) ?? $in->rig->base()))->pick($at->unit, $at->point) === null) {
            $in->refuse('point', 'Choose a device for it first.');
        }

        return [new SetProgramLevel($at, self::level($in), $in->flag('mute') ?? false, $in->override())];
    }

    private static function level(EditFields $in): ?Decibels
    {
        $db = $in->number('db', Bounds::SYSTEM_DB[0], Bounds::SYSTEM_DB[1]);

        return $db === null ? null : Decibels::of(round($db, 2));
    }

    /**
     * A default that is another in a situation; no device: as in the base.
     *
     * @return list<RigEdit>
     */
    public static function default(EditFields $in): array
    {
        $situation = $in->override() ?? $in->refuse('situation', 'In the base a default is set with its device.');
        $computer = $in->unit('computer');
        $direction = $in->choice('direction', Direction::class, 'Choose playback or recording.');
        $role = $in->choice('role', Role::class, 'There is no such default.');
        $device = $in->has('device') ? self::deviceAt($in, $computer, $in->text('device', 200))->ref : null;

        return [new SetSituationDefault($situation, $computer, $direction, $role, $device)];
    }

    /** @return list<RigEdit> */
    public static function pick(EditFields $in): array
    {
        $at = $in->pointOfUnit();
        $host = $in->rig->hostOf($in->rig->units[$at->unit]->place);
        $picks = $in->rig->point($at)->picks;
        $choice = $in->text('device', 200);
        if ($choice === '' || $host === null || $picks === null) {
            return [new SetPick($at, null)];
        }
        $channels = self::channels($in, $at, $choice);
        $now = (new State($in->rig, $in->rig->situation($in->override()) ?? $in->rig->base()))->pick($at->unit, $at->point);
        $level = ['db' => $now?->db, 'mute' => $now->mute ?? false];
        if (SystemDefault::tryFrom($choice) !== null) {
            return [new SetPick($at, (new Pick($at, null, SystemDefault::from($choice), $channels))->with(...$level), $in->override())];
        }
        $device = self::deviceAt($in, $host->id, $choice);

        return [new SetPick(
            $at,
            (new Pick($at, $device->ref, null, $channels, $device->direction === $picks ? null : $device->direction))->with(...$level),
            $in->override(),
        )];
    }

    /**
     * The channels that a form names; those that were read of another device don't go with a new one.
     *
     * @return list<int>|null null for all
     */
    private static function channels(EditFields $in, PointRef $at, string $choice): ?array
    {
        $channels = array_map(
            fn (string $one) => ctype_digit($one) && (int) $one > 0 ? (int) $one : $in->refuse(
                'channels',
                'Channels are numbers from 1, with commas between them.',
            ),
            array_map(trim(...), $in->list('channels')),
        );
        $situation = $in->rig->situation($in->override()) ?? $in->rig->base();
        $now = (new State($in->rig, $situation))->pick($at->unit, $at->point);
        $isAnother = $now !== null && $choice !== (string) ($now->device ?? $now->default?->value);

        return $channels === [] || ($isAnother && $channels === $now->channels) ? null : $channels;
    }

    /** @return list<RigEdit> */
    public static function startOrder(EditFields $in): array
    {
        $place = $in->known('place', $in->rig->places);
        foreach ($in->list('programs') as $program) {
            ($in->rig->units[$program] ?? null)?->place === $place || $in->refuse(
                'programs',
                "There is no program \"{$program}\" in this place.",
            );
        }

        return [new OrderStart($place, $in->list('programs'))];
    }

    private static function deviceAt(EditFields $in, string $computer, string $ref): Device
    {
        return (new DeviceLists($in->rig, new Wiring($in->rig)))->of($computer)[$ref] ?? $in->refuse(
            'device',
            'The computer has no such device.',
        );
    }
}
