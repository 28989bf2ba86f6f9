<?php

declare(strict_types=1);

namespace App\Rigs\Tables;

use HiddenWire\Core\Rig\Format\Definitions;
use Illuminate\Support\Facades\Schema;

/** Columns that the description of the format asks for and the database has not: what a migration adds. */
final class MissingColumns
{
    private const ID_LENGTH = 64;

    /** Characters of a word of a choice. */
    private const WORD_LENGTH = 20;

    /** Characters up to which a text is no long one. */
    private const SHORT = 255;

    /** Wholes up to which a small column is enough. */
    private const SMALL = 65_535;

    /** @return array<string, array<string, string>> the call of a blueprint that makes it, by table and column */
    public static function all(): array
    {
        $missing = [];
        foreach (Tables::byModel() as $model => $table) {
            $name = (new $model)->getTable();
            foreach ($table->columns as $column) {
                if (! Schema::hasColumn($name, $column->name)) {
                    $missing[$name][$column->name] = self::call($column);
                }
            }
        }

        return $missing;
    }

    private static function call(Column $column): string
    {
        $definitions = new Definitions;
        $schema = $column->type?->schema($definitions) ?? [];
        $isId = ($schema['$ref'] ?? '') === '#/$defs/id';
        $schema = isset($schema['$ref']) ? $definitions->all()[basename($schema['$ref'])] : $schema;
        $name = "'{$column->name}'";
        $made = match ($column->kind) {
            ColumnKind::Text => match (true) {
                $isId => "string({$name}, ".self::ID_LENGTH.')->charset(\'ascii\')->collation(\'ascii_bin\')',
                isset($schema['enum']) => "string({$name}, ".max(self::WORD_LENGTH, ...array_map(strlen(...), $schema['enum'])).')',
                ($schema['maxLength'] ?? self::SHORT) <= self::SHORT => "string({$name}, ".($schema['maxLength'] ?? self::SHORT).')',
                default => "text({$name})",
            },
            ColumnKind::Whole => ($schema['minimum'] ?? 0) >= 0
                ? (($schema['maximum'] ?? PHP_INT_MAX) <= self::SMALL ? "unsignedSmallInteger({$name})" : "unsignedInteger({$name})")
                : "integer({$name})",
            ColumnKind::Number => "decimal({$name}, 12, 3)",
            ColumnKind::Flag => "boolean({$name})",
            ColumnKind::Data => "json({$name})",
        };

        return $made.($column->usual === null ? '->nullable()' : '->default('.var_export($column->usual, true).')');
    }
}
