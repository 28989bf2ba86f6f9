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
use HiddenWire\Core\Equipment\Setting;
use HiddenWire\Core\Equipment\SignalKind;
use HiddenWire\Core\Planning\Cost;
use HiddenWire\Core\Rig\CableRef;
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
                    yield from $this->without($in, $cable->id, $needs, $gives);
                }
            }
        }
        foreach ($in->joints->analog() as $joint) {
            [$setting, $isOn] = $this->switchOf($in, $joint->to);
            // Phantom power is on the pins of XLR only; a dynamic microphone does not notice it.
            if ($setting !== null && $isOn && $joint->cable->type === CableType::Xlr && $joint->gives !== SignalKind::Microphone
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
                        "Switch {$setting->label} of {$in->rig->units[$joint->to->unit]->name} off",
                        [new SetValue($joint->to->unit, $setting->id, false)],
                        Cost::SWITCH,
                    )],
                );
            }
        }
    }

    /** @return iterable<Finding> */
    private function without(Inspection $in, string $cable, SocketRef $needs, SocketRef $gives): iterable
    {
        $name = $in->rig->units[$needs->unit]->name;
        $about = [$needs, $gives, new CableRef($cable)];
        $socket = $in->rig->socket($gives);
        if ($socket->phantom === PhantomPower::Needs) {
            return;
        }
        if ($socket->phantom !== PhantomPower::Offers) {
            yield new Finding(
                $this->code(),
                Severity::Fault,
                "{$name} needs phantom power, and {$in->names->of($gives)} has none to give",
                'It stays silent. Plug it into a microphone input with phantom power.',
                $about,
                [],
                $this->moves($in, $cable, $needs, $gives),
            );

            return;
        }
        [$setting, $isOn] = $this->switchOf($in, $gives);
        if ($setting !== null && ! $isOn) {
            yield new Finding(
                $this->code(),
                Severity::Fault,
                "{$name} needs phantom power, and it is off at {$in->names->of($gives)}",
                'It stays silent until that is on. Mute the channel first: it thumps.',
                $about,
                [],
                [new Proposal(
                    "Switch {$setting->label} of {$in->rig->units[$gives->unit]->name} on",
                    [new SetValue($gives->unit, $setting->id, true)],
                    Cost::SWITCH,
                )],
            );
        }
    }

    /** @return list<Proposal> free inputs of the same unit that have it */
    private function moves(Inspection $in, string $cable, SocketRef $needs, SocketRef $now): array
    {
        foreach ($in->rig->modelOf($now->unit)->sockets as $socket) {
            $to = new SocketRef($now->unit, $socket->id);
            $isFree = $socket->phantom === PhantomPower::Offers && $in->wiring->at($to) === [];
            if ($isFree && Mating::cable($in->rig->socket($needs), $socket) !== null) {
                [$setting, $isOn] = $this->switchOf($in, $to);

                return [new Proposal(
                    "Move {$in->rig->cables[$cable]->label} to {$in->names->of($to)}",
                    [
                        new Replug($cable, (string) $in->rig->cables[$cable]->from === (string) $now, $to),
                        ...($setting === null || $isOn ? [] : [new SetValue($to->unit, $setting->id, true)]),
                    ],
                    Cost::REPLUG,
                )];
            }
        }

        return [];
    }

    /** @return array{Setting|null, bool} the switch of a socket's phantom power, and whether it is on; null where it has none */
    private function switchOf(Inspection $in, SocketRef $socket): array
    {
        $unit = $in->rig->units[$socket->unit];
        foreach ($in->rig->modelOf($unit)->settings as $setting) {
            foreach ($setting->effects as $effect) {
                if ($effect->socket === $socket->socket && $effect->phantom !== null) {
                    $now = $unit->value($setting);

                    return [$setting, $effect->value === $now ? $effect->phantom : ! $effect->phantom];
                }
            }
        }

        return [null, false];
    }
}
