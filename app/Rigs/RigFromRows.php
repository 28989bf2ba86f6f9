<?php

declare(strict_types=1);

namespace App\Rigs;

use App\Models\Rig;
use App\Rigs\Tables\Child;
use App\Rigs\Tables\Table;
use App\Rigs\Tables\Tables;
use HiddenWire\Core\Document\DocumentReader;
use HiddenWire\Core\Document\InvalidDocument;
use HiddenWire\Core\Rig\Format\PlainText;
use HiddenWire\Core\Rig\Format\Things\Rigs;
use HiddenWire\Core\Rig\Rig as CoreRig;
use Illuminate\Database\Eloquent\Model;

/**
 * Reads a rig's rows: they become the document's data, and the document's reader makes the rig, so that a row is held to the same rules as
 * a file.
 */
final class RigFromRows
{
    /** @var array<class-string<Model>, list<\stdClass>> as the database gives them, by table */
    private array $rows = [];

    /** @throws InvalidDocument when its rows are no rig */
    public static function rig(Rig $rig): CoreRig
    {
        $data = (new self)->data($rig);
        try {
            return (new DocumentReader)->readData($data, isStored: true);
        } catch (InvalidDocument $e) {
            // Code points that are no characters were let in once.
            $text = (string) json_encode($data, JSON_UNESCAPED_UNICODE);
            if (! PlainText::hasNoCharacters($text)) {
                throw $e;
            }

            return (new DocumentReader)->readStored($text);
        }
    }

    private function data(Rig $rig): \stdClass
    {
        foreach (Tables::byModel() as $model => $table) {
            $this->rows[$model] = $this->rowsOf($table, $rig->id);
        }
        $data = ['format' => Rigs::FORMAT, 'version' => Rigs::VERSION, 'name' => $rig->name, 'summary' => $rig->summary];
        if ($rig->first_day !== null) {
            $data['days'] = (object) ['from' => $rig->first_day, 'to' => $rig->last_day];
        }
        foreach (Tables::all() as $key => $list) {
            $data[$key] = $this->said($list, $this->rows[$list->table->model]);
        }

        return (object) $data;
    }

    /** @return list<\stdClass> without making an Eloquent model of each: a rig has some 1,500 rows, and only its parts are wanted */
    private function rowsOf(Table $table, int $rigId): array
    {
        return array_values($table->model::query()->where('rig_id', $rigId)->orderBy('position')->toBase()->get()->all());
    }

    /**
     * A list or map as a document has it.
     *
     * @param  list<\stdClass>  $rows
     * @return list<mixed>|\stdClass
     */
    private function said(Child $list, array $rows): array|\stdClass
    {
        $table = $list->table;
        $inside = array_map(fn (Child $child) => $this->by($child), $table->children);
        $said = [];
        foreach ($rows as $row) {
            $one = $table->said($row);
            foreach ($table->children as $key => $child) {
                $of = implode("\n", array_map(fn (string $column) => (string) $row->{$column}, $child->by));
                Table::put($one, explode('.', $key), $this->said($child, $inside[$key][$of] ?? []));
            }
            $thing = $one['*'] ?? $this->object($one);
            if ($table->keyedBy === null) {
                $said[] = $thing;
            } else {
                $said[$row->{$table->keyedBy}] = $thing;
            }
        }

        return $table->keyedBy === null ? array_values($said) : (object) $said;
    }

    /** @param  array<string, mixed>  $said */
    private function object(array $said): \stdClass
    {
        // What was put together is an object; lists come as they are.
        return (object) array_map(
            fn (mixed $value) => is_array($value) && ! array_is_list($value) ? $this->object($value) : $value,
            $said,
        );
    }

    /** @return array<string, list<\stdClass>> rows by what they belong to */
    private function by(Child $child): array
    {
        $by = [];
        foreach ($this->rows[$child->table->model] as $row) {
            $by[implode("\n", array_map(fn (string $column) => (string) $row->{$column}, array_keys($child->by)))][] = $row;
        }

        return $by;
    }
}
