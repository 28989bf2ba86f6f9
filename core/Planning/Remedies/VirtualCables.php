<?php

declare(strict_types=1);

namespace HiddenWire\Core\Planning\Remedies;

use HiddenWire\Core\Devices\Device;
use HiddenWire\Core\Document\Catalogue;
use HiddenWire\Core\Edit\AddUnit;
use HiddenWire\Core\Edit\RigEdit;
use HiddenWire\Core\Edit\SetPick;
use HiddenWire\Core\Equipment\Direction;
use HiddenWire\Core\Equipment\EquipmentModel;
use HiddenWire\Core\Equipment\Family;
use HiddenWire\Core\Equipment\Point;
use HiddenWire\Core\Planning\Candidate;
use HiddenWire\Core\Planning\Cost;
use HiddenWire\Core\Planning\Remedy;
use HiddenWire\Core\Planning\Trouble;
use HiddenWire\Core\Quantity\Listing;
use HiddenWire\Core\Rig\DeviceRef;
use HiddenWire\Core\Rig\Naming;
use HiddenWire\Core\Rig\Pick;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\Unit;
use HiddenWire\Core\Signal\BlockKind;

/**
 * A loopback on a system that has none: the program plays into a virtual cable, which is taken instead, and a repeater hands it on to the
 * device that it was played to, for whoever listens there. What the computer has of the two is used; the rest comes from the catalogue.
 */
final readonly class VirtualCables implements Remedy
{
    public function __construct(private ?Catalogue $catalogue)
    {
    }

    public function isOfCables(): bool
    {
        return false;
    }

    public function candidates(Trouble $trouble): iterable
    {
        foreach ($trouble->lacks() ? $trouble->graph->links : [] as $link) {
            if ($link->block === BlockKind::NoLoopback && $link->pick !== null && $trouble->region->isJoinedBy($link)) {
                $place = $trouble->rig->units[$link->pick->unit]->place;
                $host = $trouble->rig->hostOf($place);
                $pick = $trouble->graph->state->pick($link->pick->unit, $link->pick->point);
                $played = $host === null || $pick === null
                    ? null
                    : $trouble->graph->devices->resolve($host->id, $pick, Direction::Playback);
                if ($pick !== null && $played !== null) {
                    yield from $this->around($trouble, $link->pick, $pick, $played, $place);
                }
            }
        }
    }

    /** @return iterable<Candidate> without a repeater, where nobody listens at the device, and with one */
    private function around(Trouble $trouble, PointRef $taker, Pick $pick, Device $played, string $place): iterable
    {
        $players = $this->players($trouble, $played, $place);
        $cable = $this->cable($trouble, $place);
        if ($players === [] || $cable === null) {
            return;
        }
        [$unit, $name, $model, $edits] = $cable;
        [$in, $out] = [$this->device($unit, $model, Direction::Playback), $this->device($unit, $model, Direction::Recording)];
        if ($in === null || $out === null) {
            return;
        }
        $edits[] = new SetPick($taker, $pick->with(device: $out, default: null, tap: null, channels: null, also: []));
        foreach ($players as $at) {
            $now = $trouble->graph->state->pick($at->unit, $at->point);
            $edits[] = new SetPick($at, ($now ?? new Pick($at, null))->with(device: $in, default: null, channels: null, also: []));
        }
        $says = "Let {$this->named($trouble, $players)} play to {$name}, and let {$trouble->partOf($taker)} take {$name}";
        $cause = "{$trouble->rig->units[$trouble->rig->hostOf($place)->id ?? '']->name} has no loopback of {$played->name()}, which "
            ."{$trouble->names->of($taker)} is to take";
        $cost = Cost::PICK * (count($players) + 1) + count($cable[3]) * Cost::PLUG;
        yield new Candidate("virtual cable {$taker} {$unit}", $cause, $says, $edits, $cost, [$taker, $played->ref]);
        foreach ($this->repeater($trouble, $place, [...array_keys($trouble->rig->units), $unit]) as [$repeater, $called, $of, $more]) {
            $points = array_filter($of->points, fn ($point) => $point->picks !== null);
            $all = [...$edits, ...$more];
            foreach ($points as $point) {
                $at = new PointRef($repeater, $point->id);
                $all[] = new SetPick($at, new Pick($at, $point->picks === Direction::Playback ? $played->ref : $out));
            }
            yield new Candidate(
                "virtual cable {$taker} {$unit} {$repeater}",
                $cause,
                "{$says}; let {$called} take {$name} and play it to {$played->name()}",
                $all,
                $cost + Cost::PICK * 2 + count($more) * Cost::PLUG,
                [$taker, $played->ref],
            );
        }
    }

    /** @return list<PointRef> what plays the sound to a device now */
    private function players(Trouble $trouble, Device $played, string $place): array
    {
        $players = [];
        foreach ($trouble->rig->units as $unit) {
            foreach ($unit->place === $place ? $trouble->rig->modelOf($unit)->points : [] as $point) {
                $at = new PointRef($unit->id, $point->id);
                if ($point->picks === Direction::Playback && $point->deviceOf === null && $trouble->region->reaches($at)
                    && in_array($played, $trouble->graph->allPicked($unit, $point), true) && $trouble->rig->pickedIn($at) !== null) {
                    $players[] = $at;
                }
            }
        }

        return $players;
    }

    /** @return array{string, string, EquipmentModel, list<RigEdit>}|null a virtual cable that nobody uses, or a new one */
    private function cable(Trouble $trouble, string $place): ?array
    {
        $used = [];
        foreach ($trouble->rig->picks as $pick) {
            foreach ([...($pick->device === null ? [] : [$pick->device]), ...$pick->also] as $device) {
                $used[$device->unit] = true;
            }
        }
        foreach ($trouble->rig->units as $unit) {
            $model = $trouble->rig->modelOf($unit);
            if ($unit->place === $place && $model->family === Family::VirtualCable && ! isset($used[$unit->id])) {
                return [$unit->id, $unit->name, $model, []];
            }
        }

        return $this->fresh(Family::VirtualCable, $place, array_keys($trouble->rig->units));
    }

    /**
     * @param  list<array-key>  $ids  that are taken
     * @return iterable<array{string, string, EquipmentModel, list<RigEdit>}> a repeater that takes nothing yet, or a new one
     */
    private function repeater(Trouble $trouble, string $place, array $ids): iterable
    {
        $isFree = fn (Unit $unit): bool => array_filter(
            $trouble->rig->picks,
            fn (Pick $pick) => $pick->at->unit === $unit->id && $pick->device !== null,
        ) === [];
        foreach ($trouble->rig->units as $unit) {
            $model = $trouble->rig->modelOf($unit);
            if ($unit->place === $place && self::isRepeater($model) && $isFree($unit)) {
                yield [$unit->id, $unit->name, $model, []];

                return;
            }
        }
        $fresh = $this->fresh(Family::Repeater, $place, $ids);
        if ($fresh !== null) {
            yield $fresh;
        }
    }

    /**
     * @param  list<array-key>  $ids  that are taken
     * @return array{string, string, EquipmentModel, list<RigEdit>}|null one from the catalogue: its id, name and model, and what adds it
     */
    private function fresh(Family $family, string $place, array $ids): ?array
    {
        foreach ($this->catalogue->models ?? [] as $model) {
            if ($model->family === $family && $model->sockets === [] && ($family !== Family::Repeater || self::isRepeater($model))) {
                $id = Naming::id($model->name, $ids);

                return [$id, "a new {$model->name}", $model, [new AddUnit($model, $place, $model->name)]];
            }
        }

        return null;
    }

    /** Whether it takes any one device and plays it to any other. */
    private static function isRepeater(EquipmentModel $model): bool
    {
        $picks = array_map(fn (Point $point) => $point->pickFrom === [] ? $point->picks : null, array_values($model->points));

        return $model->family === Family::Repeater && in_array(Direction::Recording, $picks, true)
            && in_array(Direction::Playback, $picks, true);
    }

    private function device(string $unit, EquipmentModel $model, Direction $direction): ?DeviceRef
    {
        foreach ($model->points as $point) {
            if ($point->device?->direction === $direction) {
                return DeviceRef::point($unit, $point->id);
            }
        }

        return null;
    }

    /** @param  non-empty-list<PointRef>  $players */
    private function named(Trouble $trouble, array $players): string
    {
        return Listing::of(array_values(array_unique(array_map(fn (PointRef $at) => $trouble->rig->units[$at->unit]->name, $players))));
    }
}
