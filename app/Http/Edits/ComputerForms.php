<?php

declare(strict_types=1);

namespace App\Http\Edits;

use HiddenWire\Core\Devices\Device;
use HiddenWire\Core\Devices\DeviceLists;
use HiddenWire\Core\Edit\OrderStart;
use HiddenWire\Core\Edit\PlugLast;
use HiddenWire\Core\Edit\RigEdit;
use HiddenWire\Core\Edit\SetDevice;
use HiddenWire\Core\Edit\SetPick;
use HiddenWire\Core\Edit\SetProgramLevel;
use HiddenWire\Core\Edit\SetSituationDefault;
use HiddenWire\Core\Edit\SetSystemLevel;
use HiddenWire\Core\Equipment\Direction;
use HiddenWire\Core\Import\DeviceListing;
use HiddenWire\Core\Import\ObservedDevices;
use HiddenWire\Core\Import\UnreadableTable;
use HiddenWire\Core\Quantity\Bounds;
use HiddenWire\Core\Quantity\Count;
use HiddenWire\Core\Quantity\Decibels;
use HiddenWire\Core\Rig\DeviceSettings;
use HiddenWire\Core\Rig\DriverMode;
use HiddenWire\Core\Rig\Pick;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\Processing;
use HiddenWire\Core\Rig\Role;
use HiddenWire\Core\Rig\State;
use HiddenWire\Core\Rig\SystemDefault;
use HiddenWire\Core\Rig\Unlisted;
use HiddenWire\Core\Rig\Wiring;
use HiddenWire\Core\Signal\GraphBuilder;

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
            $in->isSent('unlisted') ? $in->choiceOrNone('unlisted', Unlisted::class) : $device->settings?->unlisted,
            $in->isSent('with_processing')
                ? array_values(array_filter(
                    Processing::cases(),
                    fn (Processing $one) => in_array($one->value, $in->list('processing'), true),
                ))
                : $device->settings->processing ?? [],
        ))];
    }

    /** @return list<RigEdit> a name for a device; empty for the system's */
    public static function nameDevice(EditFields $in): array
    {
        $computer = $in->unit('computer');
        $device = self::deviceAt($in, $computer, $in->text('device', 200));
        $set = $device->settings ?? new DeviceSettings($computer, $device->ref);

        return [new SetDevice($set->with(name: $in->text('name', Bounds::NAME)))];
    }

    /** @return list<RigEdit> what a computer's list was seen to say otherwise: one difference by its key, or all that a plan can say */
    public static function observed(EditFields $in): array
    {
        $computer = $in->unit('computer');
        try {
            $seen = DeviceListing::read($in->text('list', DeviceListing::MAX_BYTES));
        } catch (UnreadableTable $e) {
            return $in->refuse('list', $e->getMessage());
        }
        $asked = $in->text('difference', 12);
        $edits = [];
        $observed = new ObservedDevices($in->rig, $computer, (new DeviceLists($in->rig, new Wiring($in->rig)))->of($computer), $seen);
        foreach ($observed->differences as $difference) {
            if ($difference->takeOver !== null && ($asked === '' || $difference->key() === $asked)) {
                $edits[] = $difference->takeOver;
            }
        }

        return $edits === [] ? $in->refuse('difference', 'Nothing of it can be taken over any more.') : $edits;
    }

    /** @return list<RigEdit> how a program opens what it has picked, and which other devices it takes */
    public static function opens(EditFields $in): array
    {
        $at = $in->pointOfUnit();
        $host = $in->rig->hostOf($in->rig->units[$at->unit]->place);
        $pick = (new State($in->rig, $in->rig->situation($in->override()) ?? $in->rig->base()))->pick($at->unit, $at->point);
        if ($pick === null || $host === null) {
            return $in->refuse('point', 'Choose a device for it first.');
        }
        $also = array_map(fn (string $ref) => self::deviceAt($in, $host->id, $ref)->ref, array_values(array_unique($in->list('also'))));

        return [new SetPick(
            $at,
            $pick->with(mode: $in->choiceOrNone('mode', DriverMode::class), also: $in->isSent('with_also') ? $also : $pick->also),
            $in->override(),
        )];
    }

    /** @return list<RigEdit> a lead that is plugged in after all others, in the situation that is shown */
    public static function plugLast(EditFields $in): array
    {
        return [new PlugLast($in->known('cable', $in->rig->cables), $in->override())];
    }

    /**
     * The system's own level and mute of a device in a situation; empty fields: as in the default.
     *
     * @return list<RigEdit>
     */
    public static function systemLevel(EditFields $in): array
    {
        $situation = $in->override() ?? $in->refuse('situation', 'In the default situation a level is set with its device.');
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
     * A default that is another in a situation; no device: as in the default.
     *
     * @return list<RigEdit>
     */
    public static function default(EditFields $in): array
    {
        $situation = $in->override() ?? $in->refuse('situation', 'In the default situation a default is set with its device.');
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
        if ($in->rig->point($at)->deviceOf !== null) {
            $chosen = self::numbers($in) ?: range(1, $in->rig->point($at)->channels);
            $width = self::widthOfProgram($in, $at);
            if ($width !== null && max($chosen) > $width) {
                $in->refuse('channels', 'Its device has '.Count::of($width, 'channel').'.');
            }

            return [new SetPick($at, new Pick($at, null, null, $chosen), $in->override())];
        }
        $level = ['db' => $now?->db, 'mute' => $now->mute ?? false, 'mode' => $now?->mode];
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

    /** Channels of the device that a program has for all its points; null where it has none. */
    private static function widthOfProgram(EditFields $in, PointRef $at): ?int
    {
        $program = $in->rig->units[$at->unit];
        $giver = $in->rig->modelOf($program)->points[(string) $in->rig->point($at)->deviceOf];
        $graph = (new GraphBuilder($in->rig))->build($in->rig->situation($in->override()) ?? $in->rig->base());

        return $graph->picked($program, $giver)?->channels;
    }

    /** @return list<int> the channels that a form names */
    private static function numbers(EditFields $in): array
    {
        return array_map(
            fn (string $one) => ctype_digit($one) && (int) $one > 0 ? (int) $one : $in->refuse(
                'channels',
                'Channels are numbers from 1, with commas between them.',
            ),
            array_map(trim(...), $in->list('channels')),
        );
    }

    /**
     * The channels that a form names; those that were read of another device don't go with a new one.
     *
     * @return list<int>|null null for all
     */
    private static function channels(EditFields $in, PointRef $at, string $choice): ?array
    {
        $channels = self::numbers($in);
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
