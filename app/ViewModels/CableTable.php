<?php

declare(strict_types=1);

namespace App\ViewModels;

use App\Http\Edits\CableForms;
use HiddenWire\Core\Quantity\Lengths;
use HiddenWire\Core\Rig\Rig;

/** The cables as a table to write in, with room for new ones. */
final readonly class CableTable
{
    /** Empty rows at the end. */
    private const NEW_ROWS = 3;

    /** Cables that are drawn at once. */
    public const DRAWN = 100;

    /** The number of the first cable that is drawn, from 0. */
    private int $from;

    /** @param  int  $page  which of the pages, from 1; the nearest that there is */
    public function __construct(private Rig $rig, int $page = 1, public Lengths $lengths = Lengths::Metric)
    {
        $pages = max(1, (int) ceil(count($rig->cables) / self::DRAWN));
        $this->from = (max(1, min($pages, $page)) - 1) * self::DRAWN;
    }

    /** @return list<array{page: int, words: string, isHere: bool}> "1 to 100"; none where all is on one */
    public function pages(): array
    {
        $all = count($this->rig->cables);
        $pages = [];
        for ($from = 0; $all > self::DRAWN && $from < $all; $from += self::DRAWN) {
            $pages[] = [
                'page' => intdiv($from, self::DRAWN) + 1, 'words' => ($from + 1).' to '.min($all, $from + self::DRAWN),
                'isHere' => $from === $this->from,
            ];
        }

        return $pages;
    }

    /**
     * @return array<int, array{cable: string, label: string, from: string, to: string, type: string, length: string, colour: string,
     *     owned: bool}> by the number of the row
     */
    public function rows(): array
    {
        $rows = [];
        foreach (array_slice(array_values($this->rig->cables), $this->from, self::DRAWN, true) as $number => $cable) {
            $rows[$number] = [
                'cable' => $cable->id,
                'label' => $cable->label,
                'from' => CableForms::socketName($this->rig, $cable->from->unit, $cable->from->socket),
                'to' => CableForms::socketName($this->rig, $cable->to->unit, $cable->to->socket),
                'type' => $cable->type->value,
                'length' => $this->lengths->field($cable->lengthM),
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
