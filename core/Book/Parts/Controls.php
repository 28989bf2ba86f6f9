<?php

declare(strict_types=1);

namespace HiddenWire\Core\Book\Parts;

use HiddenWire\Core\Book\BookInput;
use HiddenWire\Core\Book\Part;
use HiddenWire\Core\Book\Table;
use HiddenWire\Core\Controls\ControlReach;
use HiddenWire\Core\Controls\MovedPair;
use HiddenWire\Core\Planning\Hearings;
use HiddenWire\Core\Quantity\Decibels;
use HiddenWire\Core\Rig\Control;
use HiddenWire\Core\Rig\ControlNames;
use HiddenWire\Core\Rig\Move;

/** What hands move: each control with its label, its place, what it moves, and what changes for whom in the default. */
final class Controls implements Part
{
    public function key(): string
    {
        return 'controls';
    }

    public function title(): string
    {
        return 'Controls';
    }

    public function blocks(BookInput $of): array
    {
        $names = new ControlNames($of->rig);
        $base = $of->rig->base();
        $reach = new ControlReach(new Hearings($of->rig, [$base->id => $of->hearing($base->id)]));
        $rows = [];
        foreach ($of->rig->controls as $control) {
            $changes = array_map(
                fn (MovedPair $one) => "{$one->source->name} at {$one->listener->name}: {$one->words()}",
                array_filter($reach->of($control, $base->id), fn (MovedPair $one) => $one->isInLevel()),
            );
            $rows[] = [
                $this->name($control),
                $control->legend,
                $names->place($control).($control->bank === '' ? '' : ", {$control->bank}"),
                ($control->isAssigned ? 'one at a time: ' : '')
                    .(implode('; ', array_map(fn (Move $move) => $this->move($move, $names), $control->moves)) ?: 'nothing'),
                $control->goesTo() === [] ? implode('; ', $changes) ?: 'nothing' : 'see Situations',
            ];
        }

        return $rows === [] ? [] : [
            new Table(['Control', 'Label', 'Where', 'Moves', "Changes in {$base->name}"], $rows, [2, 1, 1, 3, 3]),
        ];
    }

    /** What it moves, and by which law where it goes along a way. */
    private function move(Move $move, ControlNames $names): string
    {
        return $names->move($move).($move->isChosen ? ' (now)' : '')
            .($move->law->isAlongWay() && is_float($move->to) ? ", {$move->law->words()}" : '');
    }

    private function name(Control $control): string
    {
        return "{$control->name}, {$control->kind->words()}"
            .($control->position === null ? '' : ' at '.Decibels::of($control->position)->text().' %')
            .($control->isLearned ? ', seen on the real one' : '');
    }
}
