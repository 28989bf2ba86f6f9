<?php

declare(strict_types=1);

namespace App\ViewModels;

use HiddenWire\Core\Document\InvalidDocument;
use HiddenWire\Core\Rig\Problem;
use HiddenWire\Core\Sheets\Column;
use HiddenWire\Core\Sheets\ModelSheets;

/** What is wrong with a model as it is written, and in which cell. */
final readonly class ModelProblem
{
    /**
     * @param  string  $text  "Sockets, row 3, lane point: The model has no point …"
     * @param  string  $sheet  its key; empty where no sheet is meant
     * @param  int  $row  counted from 0
     * @param  string  $column  its heading; empty where no cell is known
     */
    private function __construct(public string $text, public string $sheet = '', public int $row = 0, public string $column = '')
    {
    }

    /** @return list<self> */
    public static function all(ModelSheets $sheets, InvalidDocument $e): array
    {
        return array_map(fn (Problem $problem) => self::of($sheets, $problem), $e->problems);
    }

    private static function of(ModelSheets $sheets, Problem $problem): self
    {
        $place = $sheets->placeOf($problem->pointer);
        if ($place === null) {
            return new self($problem->message);
        }
        [$key, $row, $cell] = $place;
        $sheet = ModelSheets::all()[$key];
        $column = array_values(array_filter($sheet->columns, fn (Column $one) => $one->key === $cell))[0] ?? null;
        $words = $column->words ?? '';
        $where = $key === 'model' ? [ucfirst($column->words ?? strtr($cell, '_', ' '))] : [$sheet->words, 'row '.($row + 1), $words];

        return new self(implode(', ', array_filter($where)).": {$problem->message}", $key, $row, $words);
    }
}
