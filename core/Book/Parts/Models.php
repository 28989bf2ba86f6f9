<?php

declare(strict_types=1);

namespace HiddenWire\Core\Book\Parts;

use HiddenWire\Core\Book\Block;
use HiddenWire\Core\Book\BookInput;
use HiddenWire\Core\Book\Heading;
use HiddenWire\Core\Book\Part;
use HiddenWire\Core\Book\Table;
use HiddenWire\Core\Book\Text;
use HiddenWire\Core\Equipment\EquipmentModel;
use HiddenWire\Core\Quantity\Listing;
use HiddenWire\Core\Rig\Unit;
use HiddenWire\Core\Sheets\ModelSheets;

/**
 * Models that the catalogue does not have so: all that is known of them, so that a stranger can rebuild them. A line for each socket,
 * point, route and setting, each with its figures by name.
 */
final class Models implements Part
{
    public function key(): string
    {
        return 'models';
    }

    public function title(): string
    {
        return 'Models that are not in the catalogue';
    }

    public function blocks(BookInput $of): array
    {
        $blocks = [];
        foreach ($of->rig->models as $id => $model) {
            $units = array_filter($of->rig->units, fn (Unit $unit) => $unit->model === (string) $id);
            if ($units !== [] && ! $of->isUsual($model)) {
                array_push($blocks, ...self::model($model, $units));
            }
        }

        return $blocks;
    }

    /**
     * @param  array<array-key, Unit>  $units  that are of it
     * @return list<Block>
     */
    private static function model(EquipmentModel $model, array $units): array
    {
        $names = Listing::of(array_map(fn (Unit $unit) => $unit->name, $units));
        $blocks = [
            new Heading($model->name),
            new Text("{$model->family->words()}. Used as {$names}.".($model->summary === '' ? '' : " {$model->summary}")),
        ];
        $texts = ModelSheets::of($model);
        foreach (ModelSheets::all() as $key => $sheet) {
            if ($texts[$key] !== '') {
                $blocks[] = new Table([$sheet->words, 'Figures'], self::rows($texts[$key]), [1, 4]);
            }
        }

        return $blocks;
    }

    /** @return list<list<string>> what a line is about, and what its other cells say, each with its heading */
    private static function rows(string $text): array
    {
        $lines = array_map(fn (string $line) => explode("\t", $line), explode("\n", $text));
        $heads = array_shift($lines);
        $rows = [];
        foreach ($lines as $cells) {
            $said = array_filter(array_combine($heads, $cells), fn (string $cell) => $cell !== '');
            $name = match (true) {
                isset($said['label']) => $said['label'],
                isset($said['from'], $said['to']) => "{$said['from']} → {$said['to']}",
                default => $said['mutes'] ?? $said['id'] ?? '',
            };
            unset($said['label']);
            if (str_contains($name, ' → ')) {
                unset($said['from'], $said['to']);
            }
            $rows[] = [$name, implode('; ', array_map(fn (string $head, string $cell) => "{$head}: {$cell}", array_keys($said), $said))];
        }

        return $rows;
    }
}
