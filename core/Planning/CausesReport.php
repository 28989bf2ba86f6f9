<?php

declare(strict_types=1);

namespace HiddenWire\Core\Planning;

use HiddenWire\Core\Edit\RigEdit;
use HiddenWire\Core\Quantity\Decibels;
use HiddenWire\Core\Quantity\Milliseconds;
use HiddenWire\Core\Rig\Rig;

/** Causes and cures as plain data, for the command line and for other programs. */
final class CausesReport
{
    /**
     * @param  list<Cause>  $causes
     * @return list<array{cause: string, why: string|null, notes: list<string>, about: list<string>,
     *                    cells: list<array{string, string, string}>,
     *                    cures: list<array{sentence: string, edits: list<array<string, mixed>>,
     *                                      cells: list<array{string, string, string}>, costs: list<string>, keeps: string|null,
     *                                      brings: list<string>}>}>
     */
    public function of(Rig $rig, array $causes): array
    {
        return array_map(fn (Cause $cause) => [
            'cause' => $cause->sentence,
            'why' => $cause->why,
            'notes' => $cause->notes,
            'about' => array_map(strval(...), $cause->about),
            'cells' => array_map($this->cell(...), $cause->cells),
            'cures' => array_map(
                fn (Cure $cure) => [
                    'sentence' => $cure->sentence,
                    'edits' => array_map($this->edit(...), $cure->edits),
                    'cells' => array_map($this->cell(...), $cure->cells),
                    'costs' => $cure->costs,
                    'keeps' => $cure->keeps,
                    'brings' => $cure->brings,
                ],
                $cause->cures,
            ),
        ], $causes);
    }

    /** @return array{string, string, string} */
    private function cell(Cell $cell): array
    {
        return [$cell->source, $cell->listener, $cell->situation];
    }

    /** @return array<string, mixed> the kind of edit, and what it is made of */
    public function edit(RigEdit $edit): array
    {
        $name = substr((string) strrchr($edit::class, '\\'), 1);

        return ['edit' => strtolower((string) preg_replace('/(?<!^)[A-Z]/', '-$0', $name)), ...$this->parts($edit)];
    }

    /** @return array<string, mixed> */
    private function parts(object $of): array
    {
        $parts = [];
        foreach (get_object_vars($of) as $key => $value) {
            if ($value !== null) {
                $parts[strtolower((string) preg_replace('/(?<!^)[A-Z]/', '_$0', $key))] = $this->plain($value);
            }
        }

        return $parts;
    }

    private function plain(mixed $value): mixed
    {
        return match (true) {
            is_array($value) => array_map($this->plain(...), $value),
            $value instanceof \BackedEnum => $value->value,
            $value instanceof \Stringable => (string) $value,
            $value instanceof Decibels, $value instanceof Milliseconds => $value->number(),
            is_object($value) => $this->parts($value),
            default => $value,
        };
    }
}
