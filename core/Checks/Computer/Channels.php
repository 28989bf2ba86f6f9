<?php

declare(strict_types=1);

namespace HiddenWire\Core\Checks\Computer;

use HiddenWire\Core\Checks\Check;
use HiddenWire\Core\Checks\Finding;
use HiddenWire\Core\Checks\Inspection;
use HiddenWire\Core\Checks\Proposal;
use HiddenWire\Core\Checks\Severity;
use HiddenWire\Core\Devices\Device;
use HiddenWire\Core\Edit\SetPick;
use HiddenWire\Core\Equipment\Direction;
use HiddenWire\Core\Equipment\Point;
use HiddenWire\Core\Planning\Cost;
use HiddenWire\Core\Quantity\Listing;
use HiddenWire\Core\Rig\Pick;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\Source;
use HiddenWire\Core\Rig\Unit;
use HiddenWire\Core\Rig\Want;
use HiddenWire\Core\Signal\Hearing;
use HiddenWire\Core\Signal\SignalGraph;
use HiddenWire\Core\Signal\Verdict;

/** A sound on channels of a device that the program which is to bring it does not read. */
final readonly class Channels implements Check
{
    public function code(): string
    {
        return 'computer.channels';
    }

    public function findings(Inspection $in): iterable
    {
        $hearing = $in->base();
        foreach ($in->rig->units as $unit) {
            foreach ($in->rig->modelOf($unit)->points as $point) {
                $pick = $hearing->graph()->state->pick($unit->id, $point->id);
                $device = $pick === null || $point->picks !== Direction::Recording ? null : $hearing->graph()->picked($unit, $point);
                if ($pick !== null && $device !== null && $device->isUsable()) {
                    yield from $this->past($in, $unit, $point, $pick, $device);
                    yield from $this->unread($in, $hearing, $unit, $point, $pick, $device);
                }
            }
        }
    }

    /** @return iterable<Finding> channels that are chosen and lie past those that the program reads */
    private function past(Inspection $in, Unit $unit, Point $point, Pick $pick, Device $device): iterable
    {
        $most = $in->rig->modelOf($unit)->limits->channelsRead;
        $past = $most === null ? [] : array_filter($pick->channels ?? [], fn (int $channel) => $channel > $most);
        if ($past !== []) {
            $at = new PointRef($unit->id, $point->id);
            yield new Finding(
                $this->code(),
                Severity::Fault,
                "{$in->names->of($at)} is to take channel ".Listing::of($past)." of {$device->name()}, and {$unit->name} reads the "
                    ."first {$most}",
                'What lies past them does not arrive. Give the sound channels further in front, or take it by another program.',
                [$at, $device->ref],
            );
        }
    }

    /** @return iterable<Finding> */
    private function unread(Inspection $in, Hearing $hearing, Unit $unit, Point $point, Pick $pick, Device $device): iterable
    {
        $most = min($device->channels, $in->rig->modelOf($unit)->limits->channelsRead ?? $device->channels);
        $read = array_filter($pick->channels ?? range(1, min($most, $point->channels)), fn (int $channel) => $channel <= $most);
        if ($device->channels <= count($read)) {
            return;
        }
        $at = new PointRef($unit->id, $point->id);
        foreach ($this->sourcesBesides($hearing->graph(), $device, $read) as $id => $channels) {
            $source = $in->rig->sources[$id];
            if (! $this->isMissed($in, $hearing, $at, $source)) {
                continue;
            }
            $can = array_values(array_filter($channels, fn (int $channel) => $channel <= $most));
            yield new Finding(
                $this->code(),
                Severity::Fault,
                "{$source->name} is on channel ".Listing::of($channels)." of {$device->name()}, and {$in->names->of($at)} takes "
                    .Listing::of($read),
                'It is at the program and goes no further.',
                [$at, $device->ref],
                [],
                $can === [] ? [] : [new Proposal(
                    "Let {$in->names->of($at)} take channel ".Listing::of(array_slice($can, 0, $point->channels)),
                    [new SetPick($at, $pick->with(channels: array_slice($can, 0, $point->channels)))],
                    Cost::PICK + Cost::CHANNELS,
                )],
            );
        }
    }

    /**
     * @param  array<int, int>  $read  channels of the device, from 1
     * @return array<array-key, list<int>> sounds that are on other channels only, each with those
     */
    private function sourcesBesides(SignalGraph $graph, Device $device, array $read): array
    {
        $node = $graph->deviceNode($device);
        $on = [];
        foreach ($graph->channelsOf($node) as $i => $channel) {
            foreach ($graph->field()->levelsIn([$channel]) as $source => $_) {
                $on[$source][] = $i + 1;
            }
        }

        return array_filter($on, fn (array $channels) => array_intersect($channels, $read) === []);
    }

    /** Whether somebody behind the slot is to hear it and does not. */
    private function isMissed(Inspection $in, Hearing $hearing, PointRef $at, Source $source): bool
    {
        foreach ($in->field($in->rig->base()->id)->listenersBehind($at) as $listener) {
            $pair = $hearing->pair($source->id, $listener->id);
            if ($pair->verdict === Verdict::Missing && $pair->wish?->want === Want::Must) {
                return true;
            }
        }

        return false;
    }
}
