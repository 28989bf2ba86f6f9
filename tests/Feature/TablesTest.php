<?php

declare(strict_types=1);

use App\Models\Content\Cable;
use App\Rigs\Tables\ColumnKind;
use App\Rigs\Tables\Table;
use App\Rigs\Tables\Tables;
use Illuminate\Support\Facades\DB;

/** @return array<string, stdClass> the columns of a table as the database has them, by name */
function columnsOf(string $table): array
{
    $columns = [];
    foreach (DB::select('SELECT column_name AS name, data_type AS type, character_maximum_length AS length, is_nullable AS nullable '
        .'FROM information_schema.columns WHERE table_schema = DATABASE() AND table_name = ?', [$table]) as $column) {
        $columns[$column->name] = $column;
    }

    return $columns;
}

/** @return list<list<string>> columns of a table that lead to another: each list of them without the rig's, with what they lead to */
function referencesOf(string $table): array
{
    $keys = [];
    foreach (DB::select('SELECT constraint_name AS name, column_name AS col, referenced_table_name AS target FROM '
        .'information_schema.key_column_usage WHERE table_schema = DATABASE() AND table_name = ? AND referenced_table_name IS NOT NULL '
        .'AND referenced_table_name <> "rigs" ORDER BY constraint_name, ordinal_position', [$table]) as $part) {
        $keys[$part->name] ??= [$part->target];
        if ($part->col !== 'rig_id') {
            $keys[$part->name][] = $part->col;
        }
    }

    return array_values($keys);
}

it('has a column for each field that the format describes, of its kind, and no other', function () {
    $kinds = [
        'Text' => ['char', 'varchar', 'text'], 'Whole' => ['tinyint', 'smallint', 'int'], 'Number' => ['decimal'], 'Flag' => ['tinyint'],
        'Data' => ['longtext'],
    ];
    foreach (Tables::byModel() as $model => $table) {
        $name = (new $model)->getTable();
        $held = columnsOf($name);
        $parents = [];
        foreach (Tables::byModel() as $other) {
            foreach ($other->children as $child) {
                $parents = $child->table->model === $model ? array_keys($child->by) : $parents;
            }
        }
        $own = ['rig_id', 'position', ...($table->keyedBy === null ? [] : [$table->keyedBy]), ...$parents];
        $described = [...$own, ...array_map(fn ($column) => $column->name, $table->columns)];
        $known = array_diff(array_keys($held), ['id', ...($model === Cable::class ? ['label_twin'] : [])]);
        sort($described);
        sort($known);
        expect(array_values($known))->toBe(array_values(array_unique($described)), $name);
        foreach ($table->columns as $column) {
            expect($kinds[$column->kind->name])->toContain($held[$column->name]->type);
        }
    }
});

it('has the casts that the format describes', function () {
    foreach (Tables::byModel() as $model => $table) {
        foreach ($table->columns as $column) {
            expect((new $model)->getCasts()[$column->name] ?? null)->toBe($column->kind->cast());
        }
    }
    expect(ColumnKind::Data->cast())->toBe('array');
});

it('lets every reference that is taken apart lead to what is there', function () {
    foreach (Tables::byModel() as $model => $table) {
        $references = referencesOf((new $model)->getTable());
        foreach ($table->refers as [$unit, $thing]) {
            $target = str_ends_with($thing, 'socket') ? 'model_sockets' : 'model_points';
            expect($references)->toContain(['units', $unit, "{$unit}_model"])->toContain([$target, "{$unit}_model", $thing]);
        }
    }
    expect(count(array_merge(...array_map(fn (Table $table) => array_values($table->refers), array_values(Tables::byModel())))))->toBe(7);
});
