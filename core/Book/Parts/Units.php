<?php

declare(strict_types=1);

namespace HiddenWire\Core\Book\Parts;

use HiddenWire\Core\Book\BookInput;
use HiddenWire\Core\Book\Heading;
use HiddenWire\Core\Book\Part;
use HiddenWire\Core\Book\Table;
use HiddenWire\Core\Equipment\EquipmentModel;
use HiddenWire\Core\Rig\Format\Things\Units as Described;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\Unit;

/** What there is, place by place, with firmware, serial numbers and notes. */
final class Units implements Part
{
    public function key(): string
    {
        return 'units';
    }

    public function title(): string
    {
        return 'Places and units';
    }

    public function blocks(BookInput $of): array
    {
        $blocks = [];
        foreach ($of->rig->places as $place) {
            $units = array_filter($of->rig->units, fn (Unit $unit) => $unit->place === $place->id);
            $blocks[] = new Heading("{$place->name} ({$place->kind->value})");
            $blocks[] = new Table(
                ['Unit', 'Model', 'Firmware', 'Serial number', 'Notes'],
                array_values(array_map(fn (Unit $unit) => [
                    $unit->name, self::model($of->rig->modelOf($unit)), $unit->firmware, $unit->serial, self::notes($unit, $of->rig),
                ], $units)),
                [1.4, 1.5, 0.8, 1, 2.3],
            );
        }

        return $blocks;
    }

    /** What is noted of a unit, and the notes on it. */
    private static function notes(Unit $unit, Rig $rig): string
    {
        $noted = [];
        foreach (Described::unit()->allFields() as $field) {
            if ($field->note !== null && $field->heldBy($unit) !== $field->usual) {
                $noted[] = ucfirst($field->tell($unit, $rig)).'.';
            }
        }

        return implode(' ', array_filter([...$noted, $unit->notes], fn (string $one) => $one !== ''));
    }

    /** A model as one finds it: "USB mixer: 2 microphones, 1 stereo line". */
    private static function model(EquipmentModel $model): string
    {
        return implode(': ', array_filter([$model->name, $model->size()]));
    }
}
