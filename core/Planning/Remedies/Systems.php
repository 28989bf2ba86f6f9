<?php

declare(strict_types=1);

namespace HiddenWire\Core\Planning\Remedies;

use HiddenWire\Core\Edit\PlayDevice;
use HiddenWire\Core\Edit\SetProgramLevel;
use HiddenWire\Core\Edit\SetSystemLevel;
use HiddenWire\Core\Planning\Candidate;
use HiddenWire\Core\Planning\Cost;
use HiddenWire\Core\Planning\Remedy;
use HiddenWire\Core\Planning\Trouble;
use HiddenWire\Core\Rig\DeviceRef;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\SystemLevel;
use HiddenWire\Core\Signal\BlockKind;
use HiddenWire\Core\Signal\HopKind;
use HiddenWire\Core\Signal\Link;

/** What the operating system does by itself: devices and programs that are muted there, and recording devices that it plays. */
final class Systems implements Remedy
{
    public function isOfCables(): bool
    {
        return false;
    }

    public function candidates(Trouble $trouble): iterable
    {
        foreach ($trouble->lacks() ? $trouble->graph->links : [] as $link) {
            if ($link->block === BlockKind::Muted && $link->at instanceof DeviceRef && $trouble->region->isJoinedBy($link)) {
                yield from self::unmute($trouble, $link, $link->at);
            }
            if ($link->block === BlockKind::Disabled && $link->kind === HopKind::System && $link->at instanceof DeviceRef
                && $trouble->region->isJoinedBy($link)) {
                yield from $this->enabling($trouble, $link->at);
            }
        }
        // Also where it is on no way by itself, but goes round.
        foreach ($trouble->hasTooMuch() ? $trouble->graph->links : [] as $link) {
            if ($link->kind !== HopKind::System || ! $link->carries() || ! $link->at instanceof DeviceRef
                || $trouble->region->reachedOf($link->from) === [] || $trouble->region->leadingOf($link->to) === []) {
                continue;
            }
            $computer = self::computerOf($trouble, $link->at);
            $to = $computer === null ? null : self::playedTo($trouble, $computer, $link->at);
            if ($computer !== null && $to !== null) {
                $name = $trouble->names->of($link->at);
                yield new Candidate(
                    "played {$computer} {$link->at}",
                    "{$trouble->rig->units[$computer]->name} itself plays {$name} to {$trouble->names->of($to)}",
                    "Stop {$trouble->rig->units[$computer]->name} from playing {$name}",
                    [new PlayDevice($computer, $link->at, null)],
                    Cost::SYSTEM,
                    [$link->at],
                );
            }
        }
    }

    /** @return iterable<Candidate> a device that the system plays, or to which it plays, offered again */
    private function enabling(Trouble $trouble, DeviceRef $played): iterable
    {
        $computer = self::computerOf($trouble, $played);
        if ($computer === null) {
            return;
        }
        $devices = $trouble->graph->devices->of($computer);
        foreach ([$played, self::playedTo($trouble, $computer, $played)] as $ref) {
            $device = $ref === null ? null : $devices[(string) $ref] ?? null;
            if ($device !== null) {
                yield from Devices::enabling($device, $trouble->rig->units[$computer]);
            }
        }
    }

    /** @return list<Candidate> what the system has muted at a link, open again: for good first */
    public static function unmute(Trouble $trouble, Link $link, DeviceRef $device): array
    {
        $situation = $trouble->graph->state->situation;
        $opened = [];
        $isBase = $trouble->rig->isBase($situation->id);
        if ($link->pick instanceof PointRef) {
            $db = $trouble->graph->state->pick($link->pick->unit, $link->pick->point)?->db;
            foreach ($trouble->placesOf($link->pick, 'pick') as $more => $where) {
                $opened[] = new Candidate(
                    "system {$link->pick} {$where}",
                    "{$trouble->names->of($link->pick)} is muted in the system",
                    "Unmute {$trouble->partOf($link->pick)} in the system{$trouble->where($where)}",
                    [new SetProgramLevel($link->pick, $db, false, $where)],
                    Cost::SYSTEM + $more,
                    [$link->pick],
                );
            }

            return $opened;
        }
        $computer = self::computerOf($trouble, $device);
        if ($computer === null) {
            return [];
        }
        $isHere = array_filter(
            $situation->levels,
            fn (SystemLevel $level) => $level->slot() === "{$computer} {$device}" && $level->mute !== null,
        ) !== [];
        $set = $trouble->graph->devices->of($computer)[(string) $device] ?? null;
        foreach ($isBase ? [null] : ($isHere ? [$situation->id] : [null, $situation->id]) as $place => $where) {
            $opened[] = new Candidate(
                "system {$computer} {$device} {$where}",
                "{$trouble->names->of($device)} is muted in the system of {$trouble->rig->units[$computer]->name}",
                "Unmute {$trouble->names->of($device)} in the system of {$trouble->rig->units[$computer]->name}{$trouble->where($where)}",
                [new SetSystemLevel($computer, $device, $where === null ? $set?->settings?->db : $set?->db, false, $where)],
                Cost::SYSTEM + ($place === 0 ? 0 : Cost::ONE_SITUATION),
                [$device],
            );
        }

        return $opened;
    }

    private static function computerOf(Trouble $trouble, DeviceRef $device): ?string
    {
        foreach ($trouble->graph->devices->all() as $computer => $list) {
            if (isset($list[(string) $device])) {
                return (string) $computer;
            }
        }

        return null;
    }

    private static function playedTo(Trouble $trouble, string $computer, DeviceRef $device): ?DeviceRef
    {
        return ($trouble->graph->devices->of($computer)[(string) $device] ?? null)?->settings?->playsTo;
    }
}
