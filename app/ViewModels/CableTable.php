<?php

declare(strict_types=1);

namespace App\ViewModels;

use App\Http\Edits\CableForms;
use HiddenWire\Core\Rig\Rig;

/** The cables as a table to write in, with room for new ones. */
final readonly class CableTable
{
    /** Empty rows at the end. */
    private const NEW_ROWS = 3;

    public function __construct(private Rig $rig)
    {
    }

    /**
     * @return array<int, array{cable: string, label: string, from: string, to: string, type: string, length: string, colour: string,
     *     owned: bool}> by the number of the row
     */
    public function rows(): array
    {
        $rows = [];
        foreach (array_values($this->rig->cables) as $number => $cable) {
            $rows[$number] = [
                'cable' => $cable->id,
                'label' => $cable->label,
                'from' => CableForms::socketName($this->rig, $cable->from->unit, $cable->from->socket),
                'to' => CableForms::socketName($this->rig, $cable->to->unit, $cable->to->socket),
                'type' => $cable->type->value,
                'length' => $cable->lengthM === null ? '' : (string) $cable->lengthM,
                'colour' => $cable->colour,
                'owned' => $cable->owned,
            ];
        }
        $new = ['cable' => '', 'label' => '', 'from' => '', 'to' => '', 'type' => '', 'length' => '', 'colour' => '', 'owned' => true];

        return $rows + array_fill(CableForms::NEW_ROWS + 1, self::NEW_ROWS, $new);
    }

    /** @return list<string> every socket of the rig, as the table names it */
    public function sockets(): array
    {
        $names = [];
        foreach ($this->rig->units as $unit) {
            foreach ($this->rig->modelOf($unit)->sockets as $socket) {
                $names[] = CableForms::socketName($this->rig, $unit->id, $socket->id);
            }
        }

        return $names;
    }
}
