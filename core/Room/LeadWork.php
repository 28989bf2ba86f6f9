<?php

declare(strict_types=1);

namespace HiddenWire\Core\Room;

use HiddenWire\Core\Bench\Impression;
use HiddenWire\Core\Edit\Unplug;
use HiddenWire\Core\Planning\Hearings;
use HiddenWire\Core\Rig\InvalidRig;
use HiddenWire\Core\Rig\Rig;

/**
 * Checks by doing something to a lead and listening: it is taken out ("unplug w-12 game viewers"), or another is put in its stead in the
 * sockets of the plan ("swap w-12 game viewers").
 */
final class LeadWork
{
    public static function isOne(string $check): bool
    {
        return str_starts_with($check, 'unplug ') || str_starts_with($check, 'swap ');
    }

    /**
     * What is heard then in a room; as before where nothing can be done.
     *
     * @param  list<Fault>  $faults  of the room
     * @return string an {@see Impression}
     */
    public static function heard(Hearings $plan, string $situation, array $faults, string $check): string
    {
        [$kind, $cable, $source, $listener] = explode(' ', $check) + [1 => '', 2 => '', 3 => ''];
        if ($kind === 'swap') {
            $faults = array_values(array_filter($faults, fn (Fault $one) => ! in_array("cable:{$cable}", $one->about(), true)));
        }
        $rig = array_reduce($faults, self::with(...), $plan->rig);
        if ($kind === 'unplug' && isset($rig->cables[$cable])) {
            $rig = self::with($rig, Fault::of($rig, new Unplug($cable)));
        }
        $hearings = $rig === $plan->rig ? $plan : new Hearings($rig, [], $plan);

        return Impression::of($hearings->ofSource($situation, $source)->pair($source, $listener))->value;
    }

    private static function with(Rig $rig, Fault $fault): Rig
    {
        try {
            return $fault->edit->applyTo($rig);
        } catch (InvalidRig) {
            return $rig;
        }
    }
}
