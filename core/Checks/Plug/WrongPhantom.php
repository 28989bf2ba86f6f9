<?php

declare(strict_types=1);

namespace HiddenWire\Core\Checks\Plug;

use HiddenWire\Core\Checks\Check;
use HiddenWire\Core\Checks\Finding;
use HiddenWire\Core\Checks\Inspection;
use HiddenWire\Core\Checks\Proposal;
use HiddenWire\Core\Checks\Severity;
use HiddenWire\Core\Edit\Replug;
use HiddenWire\Core\Edit\SetValue;
use HiddenWire\Core\Equipment\CableType;
use HiddenWire\Core\Equipment\Family;
use HiddenWire\Core\Equipment\Mating;
use HiddenWire\Core\Equipment\PhantomPower;
use HiddenWire\Core\Equipment\SignalKind;
use HiddenWire\Core\Planning\Cost;
use HiddenWire\Core\Quantity\Listing;
use HiddenWire\Core\Rig\Cable;
use HiddenWire\Core\Rig\CableRef;
use HiddenWire\Core\Rig\PhantomFeed;
use HiddenWire\Core\Rig\SocketRef;

/** A condenser without phantom power, and phantom power on something that it can harm. */
final readonly class WrongPhantom implements Check
{
    public function code(): string
    {
        return 'plug.phantom';
    }

    public function findings(Inspection $in): iterable
    {
        foreach ($in->rig->cables as $cable) {
            foreach ([[$cable->from, $cable->to], [$cable->to, $cable->from]] as [$needs, $gives]) {
                if ($in->rig->socket($needs)->phantom === PhantomPower::Needs) {
                    yield from $this->without($in, $cable, $needs, $gives);
                }
            }
        }
        foreach ($in->joints->analog() as $joint) {
            $feed = PhantomFeed::at($in->base()->graph()->state, $in->wiring, $joint->to);
            // Phantom power is on the pins of XLR only; a dynamic microphone does not notice it.
            if ($feed->switch !== null && $feed->isOn === true && $joint->cable->type === CableType::Xlr
                && $joint->gives !== SignalKind::Microphone
                && ! in_array($in->rig->modelOf($joint->from->unit)->family, [Family::Booster, Family::Microphone], true)) {
                yield new Finding(
                    $this->code(),
                    Severity::Risk,
                    "{$in->rig->units[$joint->to->unit]->name} puts phantom power on {$in->names->of($joint->from)} through "
                        .$joint->cable->label,
                    '48 V on an output that does not expect it can harm it. Switch it off there.',
                    [$joint->to, $joint->from, new CableRef($joint->cable->id)],
                    [],
                    [new Proposal(
                        "Switch {$feed->switch->label} of {$in->rig->units[$feed->socket->unit]->name} off",
                        [new SetValue($feed->socket->unit, $feed->switch->id, false)],
                        Cost::SWITCH,
                    )],
                );
            }
        }
    }

    /** @return iterable<Finding> */
    private function without(Inspection $in, Cable $cable, SocketRef $needs, SocketRef $gives): iterable
    {
        $without = $feeds = [];
        foreach ($in->rig->situations as $id => $situation) {
            $isThere = ! in_array($cable->id, $situation->pulled, true) && $in->isThere($needs->unit, $situation)
                && $in->isThere($gives->unit, $situation);
            if ($isThere && isset($in->graph((string) $id)->silenced->cables[$cable->id])) {
                $without[] = (string) $id;
                $feeds[(string) $id] = PhantomFeed::at($in->graph((string) $id)->state, $in->wiring, $gives);
            }
        }
        if ($without === []) {
            return;
        }
        $feed = $feeds[$without[0]];
        $isEverywhere = count($without) === count($in->rig->situations);
        $unit = $in->rig->units[$feed->socket->unit];
        $name = $in->rig->units[$needs->unit]->name;
        yield new Finding(
            $this->code(),
            Severity::Fault,
            $feed->isOffered ? "{$name} needs phantom power, and it is off at {$in->names->of($feed->socket)}"
                : "{$name} needs phantom power, and {$in->names->of($gives)} has none to give",
            $feed->isOffered ? 'It stays silent until that is on. Mute the channel first: it thumps.'
                : 'It stays silent. Plug it into a microphone input with phantom power.',
            [$needs, $gives, new CableRef($cable->id)],
            $isEverywhere ? [] : $without,
            match (true) {
                $feed->switch === null => $this->moves($in, $cable->id, $needs, $gives),
                default => [new Proposal(
                    "Switch {$feed->switch->label} of {$unit->name} on"
                        .($isEverywhere ? '' : ' in '.Listing::of(array_map(fn (string $id) => $in->rig->situations[$id]->name, $without))),
                    array_map(
                        fn (?string $id) => new SetValue($unit->id, $feed->switch->id, true, $id),
                        $isEverywhere ? [null] : array_map($in->override(...), $without),
                    ),
                    Cost::SWITCH,
                )],
            },
        );
    }

    /** @return list<Proposal> free inputs of the same unit that have it */
    private function moves(Inspection $in, string $cable, SocketRef $needs, SocketRef $now): array
    {
        foreach ($in->rig->modelOf($now->unit)->sockets as $socket) {
            $to = new SocketRef($now->unit, $socket->id);
            $isFree = $socket->phantom === PhantomPower::Offers && $in->wiring->at($to) === [];
            if ($isFree && Mating::cable($in->rig->socket($needs), $socket) !== null) {
                $feed = PhantomFeed::at($in->base()->graph()->state, $in->wiring, $to);

                return [new Proposal(
                    "Move {$in->rig->cables[$cable]->label} to {$in->names->of($to)}",
                    [
                        new Replug($cable, (string) $in->rig->cables[$cable]->from === (string) $now, $to),
                        ...($feed->switch === null || $feed->isOn === true ? [] : [new SetValue($to->unit, $feed->switch->id, true)]),
                    ],
                    Cost::REPLUG,
                )];
            }
        }

        return [];
    }
}
