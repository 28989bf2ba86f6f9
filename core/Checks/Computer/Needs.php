<?php

declare(strict_types=1);

namespace HiddenWire\Core\Checks\Computer;

use HiddenWire\Core\Checks\Check;
use HiddenWire\Core\Checks\Finding;
use HiddenWire\Core\Checks\Inspection;
use HiddenWire\Core\Checks\Proposal;
use HiddenWire\Core\Checks\Severity;
use HiddenWire\Core\Dependence\StartOrder;
use HiddenWire\Core\Edit\DescribeUnit;
use HiddenWire\Core\Edit\OrderStart;
use HiddenWire\Core\Equipment\Family;
use HiddenWire\Core\Planning\Cost;
use HiddenWire\Core\Quantity\Listing;
use HiddenWire\Core\Rig\Unit;
use HiddenWire\Core\Rig\UnitRef;
use HiddenWire\Core\Signal\BlockKind;
use HiddenWire\Core\Signal\HeardPair;

/** Sounds that depend on a program that nobody starts, or that starts too late, or on a unit that is only there to unlock software. */
final readonly class Needs implements Check
{
    public function code(): string
    {
        return 'computer.needs';
    }

    public function findings(Inspection $in): iterable
    {
        foreach ($in->dependence()->elements as $element) {
            $unit = $element->at instanceof UnitRef ? $in->rig->units[$element->at->unit] : null;
            if ($unit === null) {
                continue;
            }
            $works = in_array($in->rig->modelOf($unit)->family, [Family::SoftwareMixer, Family::Repeater, Family::Utility], true);
            if ($works && ! $unit->atLogin) {
                yield $this->unstarted($unit, $element->lost[0]);
            }
        }
        yield from $this->silenced($in);
        foreach ($in->rig->places as $place) {
            yield from $in->rig->hostOf($place->id) === null ? [] : $this->order($in, $place->id);
        }
        foreach ($in->rig->units as $unit) {
            foreach ($unit->needs as $need) {
                if (isset($in->rig->units[$need]) && $this->onlyUnlocks($in, $in->rig->units[$need])) {
                    yield new Finding(
                        $this->code(),
                        Severity::Note,
                        "{$unit->name} works only while {$in->rig->units[$need]->name} is there, through which no sound passes",
                        'Whoever takes it out to save a socket takes the sound away. Write it on the card.',
                        [new UnitRef($unit->id), new UnitRef($need)],
                    );
                }
            }
        }
    }

    /** @return iterable<Finding> what gives no sound, since it has no power or since something is away that it works with */
    private function silenced(Inspection $in): iterable
    {
        foreach ($in->each() as $situation => $hearing) {
            foreach ($hearing->graph()->silenced->units as $id => $block) {
                $unit = $in->rig->units[$id];
                $needs = array_filter($unit->needs, fn (string $need) => isset($in->rig->units[$need]));
                $names = array_map(fn (string $need) => $in->rig->units[$need]->name, $needs);
                yield new Finding(
                    $this->code(),
                    Severity::Fault,
                    $block === BlockKind::NoPower ? "{$unit->name} has no power: it takes it from the lead that is not plugged in"
                        : "{$unit->name} gives no sound: it works only with ".Listing::of($names).', which is away or not plugged in',
                    $block === BlockKind::NoPower ? 'Plug it into a computer or a hub.'
                        : 'Plug it in again, or take the need back where there is none.',
                    [new UnitRef($unit->id), ...array_map(fn (string $need) => new UnitRef($need), $needs)],
                    [$situation],
                );
            }
        }
    }

    /** @return iterable<Finding> programs that start before what they need, or wait for each other */
    private function order(Inspection $in, string $place): iterable
    {
        $order = new StartOrder($in->base()->graph(), $place);
        foreach ($order->late as [$program, $other]) {
            yield new Finding(
                $this->code(),
                Severity::Risk,
                "{$program->name} starts before {$other->name}, which has to run first",
                'It finds its device missing, and takes another or none.',
                [new UnitRef($program->id), new UnitRef($other->id)],
                [],
                $order->circle !== [] ? [] : [new Proposal(
                    'Start in this order: '.implode(', ', array_map(fn (Unit $unit) => $unit->name, $order->order)),
                    [new OrderStart($place, array_map(fn (Unit $unit) => $unit->id, $order->order))],
                    Cost::SWITCH,
                )],
            );
        }
        if ($order->circle !== []) {
            yield new Finding(
                $this->code(),
                Severity::Fault,
                Listing::of(array_map(fn (Unit $unit) => $unit->name, $order->circle)).' wait for each other to start first',
                'No order serves all of them. Take one of the needs, or one of the picks, back.',
                array_map(fn (Unit $unit) => new UnitRef($unit->id), $order->circle),
            );
        }
    }

    private function unstarted(Unit $unit, HeardPair $lost): Finding
    {
        $isInOrder = $unit->start !== null;

        return new Finding(
            $this->code(),
            $isInOrder ? Severity::Note : Severity::Risk,
            "{$lost->source->name} reaches {$lost->listener->name} only while {$unit->name} runs, and it does not start at login",
            $isInOrder ? 'It is in the order of the start: whoever follows the run-down starts it.'
                : 'After a restart everything looks as it was, and nothing is heard.',
            [new UnitRef($unit->id)],
            [],
            [new Proposal("Start {$unit->name} at login", [new DescribeUnit($unit->id, ['atLogin' => true])], Cost::SYSTEM)],
        );
    }

    /** Whether a unit is no program, and no sound passes it. */
    private function onlyUnlocks(Inspection $in, Unit $unit): bool
    {
        $model = $in->rig->modelOf($unit);
        if ($model->isProgram() || $model->family->isHost()) {
            return false;
        }
        foreach ($model->points as $point) {
            if ($in->field($in->rig->base()->id)->sourcesAt("{$unit->id}/{$point->id}") !== []) {
                return false;
            }
        }

        return true;
    }
}
