<?php

declare(strict_types=1);

namespace HiddenWire\Core\Planning\Remedies;

use HiddenWire\Core\Edit\SetDevice;
use HiddenWire\Core\Edit\SetPick;
use HiddenWire\Core\Edit\SetRoute;
use HiddenWire\Core\Equipment\Route;
use HiddenWire\Core\Planning\Candidate;
use HiddenWire\Core\Planning\Cost;
use HiddenWire\Core\Planning\Remedy;
use HiddenWire\Core\Planning\Trouble;
use HiddenWire\Core\Quantity\Count;
use HiddenWire\Core\Rig\DeviceRef;
use HiddenWire\Core\Rig\DriverMode;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\RouteRef;
use HiddenWire\Core\Rig\RouteSettings;
use HiddenWire\Core\Rig\UnitRef;
use HiddenWire\Core\Signal\BlockKind;
use HiddenWire\Core\Signal\Refused;

/** Devices that one program has for itself, so that another gets nothing of them, and devices beyond what a program opens. */
final class Locks implements Remedy
{
    public function isOfCables(): bool
    {
        return false;
    }

    public function candidates(Trouble $trouble): iterable
    {
        foreach ($trouble->lacks() ? $trouble->graph->links : [] as $link) {
            if ($link->block === BlockKind::LockedOut && $link->pick !== null && $link->at instanceof DeviceRef
                && $trouble->region->isJoinedBy($link)) {
                yield from $this->sharing($trouble, $link->pick, $link->at);
            }
            if ($link->block === BlockKind::Refused && $link->pick !== null && $trouble->region->isJoinedBy($link)) {
                yield from $this->room($trouble, $link->pick);
            }
            if ($link->block === BlockKind::Refused && $link->at instanceof RouteRef && $trouble->region->isJoinedBy($link)) {
                yield from $this->trackFor($trouble, $link->at);
            }
        }
    }

    /** @return iterable<Candidate> another track of the unit takes nothing, so that this one has room */
    private function trackFor(Trouble $trouble, RouteRef $refused): iterable
    {
        $model = $trouble->rig->modelOf($refused->unit);
        $state = $trouble->graph->state;
        foreach (Refused::tracksAsked($model, $state, $refused->unit) as $track) {
            $on = array_filter(
                $model->routes,
                fn (Route $one, string|int $key) => $one->to === $track && $state->route($refused->unit, $one)->on
                    && $model->canSwitch((string) $key),
                ARRAY_FILTER_USE_BOTH,
            );
            if ($on !== [] && $model->routes[$refused->key]->to !== $track) {
                $name = $trouble->partOf(new PointRef($refused->unit, $track));
                yield new Candidate(
                    "track {$refused->unit} {$track}",
                    "{$trouble->rig->units[$refused->unit]->name} records only ".Count::of($model->limits->tracks ?? 0, 'track')
                        .", and {$model->points[$model->routes[$refused->key]->to]->label} is one too many",
                    "Send nothing to {$name}",
                    array_map(
                        fn (string|int $key) => new SetRoute(new RouteRef($refused->unit, (string) $key), new RouteSettings(on: false)),
                        array_keys($on),
                    ),
                    Cost::SWITCH * count($on),
                    [new UnitRef($refused->unit), $refused],
                );
            }
        }
    }

    /** @return iterable<Candidate> another in or out of the program lets go of its device, so that this one is opened */
    private function room(Trouble $trouble, PointRef $refused): iterable
    {
        $program = $trouble->rig->units[$refused->unit];
        foreach ($trouble->rig->modelOf($program)->points as $point) {
            $at = new PointRef($program->id, $point->id);
            $isOther = $point->picks !== null && $point->id !== $refused->point;
            $pick = $isOther ? $trouble->graph->state->pick($program->id, $point->id) : null;
            if ($pick !== null && $point->deviceOf === null) {
                yield new Candidate(
                    "pick {$at} none",
                    fn () => Picks::refused($trouble, $refused) ?? "{$trouble->names->of($refused)} is not opened",
                    $trouble->pickingNone($at),
                    [new SetPick($at, null)],
                    Cost::NO_PICK,
                    [$refused, $at, new UnitRef($program->id)],
                );
            }
        }
    }

    /** @return iterable<Candidate> whoever opens the device exclusively shares it */
    private function sharing(Trouble $trouble, PointRef $lockedOut, DeviceRef $ref): iterable
    {
        $host = $trouble->rig->hostOf($trouble->rig->units[$lockedOut->unit]->place);
        $device = $host === null ? null : $trouble->graph->devices->of($host->id)[(string) $ref] ?? null;
        $holder = $device === null ? null : $trouble->graph->holders->of($lockedOut, $device);
        if ($device === null || $holder === null) {
            return;
        }
        $unit = fn (PointRef $at): string => $trouble->rig->units[$at->unit]->name;
        foreach ([$holder, $lockedOut] as $at) {
            $pick = $trouble->graph->state->pick($at->unit, $at->point);
            if ($pick === null || $trouble->graph->holders->mode($at, $device) !== DriverMode::Exclusive) {
                continue;
            }
            $cause = $at === $holder
                ? "{$unit($holder)} has {$device->name()} for itself, so that {$unit($lockedOut)} gets nothing"
                : "{$unit($lockedOut)} wants {$device->name()} for itself, which {$unit($holder)} has opened before";
            foreach ($trouble->placesOf($at, 'pick') as $more => $situation) {
                yield new Candidate(
                    "share {$at} {$situation}",
                    $cause,
                    "Let {$unit($at)} share {$device->name()}{$trouble->where($situation)}",
                    [new SetPick($at, $pick->with(mode: DriverMode::Shared), $situation)],
                    Cost::PICK + $more,
                    [$at, $ref],
                );
            }
            if ($pick->mode === null && $device->settings !== null) {
                yield new Candidate(
                    "share {$device->computer} {$ref}",
                    $cause,
                    "Set the driver mode of {$device->name()} to shared",
                    [new SetDevice($device->settings->with(driverMode: DriverMode::Shared))],
                    Cost::SYSTEM,
                    [$ref],
                );
            }
        }
    }
}
