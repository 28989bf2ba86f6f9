<?php

declare(strict_types=1);

namespace HiddenWire\Core\Sheets;

use HiddenWire\Core\Rig\Format\Field;
use HiddenWire\Core\Rig\Format\Shape;
use HiddenWire\Core\Rig\Format\Type;
use HiddenWire\Core\Rig\Format\Types\Choice;
use HiddenWire\Core\Rig\Format\Types\Custom;
use HiddenWire\Core\Rig\Format\Types\Flag;
use HiddenWire\Core\Rig\Format\Types\Id;
use HiddenWire\Core\Rig\Format\Types\ListOf;
use HiddenWire\Core\Rig\Format\Types\MapOf;
use HiddenWire\Core\Rig\Format\Types\ObjectOf;
use HiddenWire\Core\Rig\Format\Types\Text;
use HiddenWire\Core\Rig\Format\Types\Value;

/**
 * A list of a model as a sheet: a row for each thing, and one more for each further part of it (a socket's second lane, a setting's
 * second effect), whose own cells are empty. Its columns follow from the description of the format.
 *
 * @phpstan-type Row array<string, string>
 */
final readonly class Sheet
{
    /** Fields that hold pairs, or a word instead. */
    private const PAIRS = ['map'];

    /** @var list<Column> */
    public array $columns;

    /**
     * @param  string  $list  key of the list in a model; empty for the model itself
     * @param  string  $words  what it is called
     * @param  array<string, string>  $refers  what columns name, by key
     * @param  list<string>  $without  keys of fields that have sheets of their own
     */
    public function __construct(public string $list, public string $words, Shape $shape, private array $refers = [], array $without = [])
    {
        $fields = array_filter($shape->allFields(), fn (Field $field) => ! in_array($field->key, $without, true));
        $this->columns = array_merge(...array_map(fn (Field $field) => $this->columnsOf($field, '', ''), array_values($fields)));
    }

    /**
     * @param  list<array<string, mixed>>  $things
     * @return list<Row> only what is said, by key of the column
     */
    public function rows(array $things): array
    {
        $rows = [];
        foreach ($things as $thing) {
            $parts = [];
            foreach (array_unique(array_map(fn (Column $one) => $one->part(), $this->columns)) as $part) {
                $parts[$part] = self::partsOf($thing, $part);
            }
            for ($i = 0; $i < max(1, ...array_values(array_map(count(...), $parts))); $i++) {
                $row = [];
                foreach ($this->columns as $column) {
                    $value = self::at($parts[$column->part()][$i] ?? [], $column->path());
                    if ($value !== null && $value !== '' && $value !== []) {
                        $row[$column->key] = $column->cell->text($value);
                    }
                }
                $rows[] = $row;
            }
        }

        return $rows;
    }

    /**
     * The things that rows say, with the row of each and of each part.
     *
     * @param  list<Row>  $rows
     * @return array{list<array<string, mixed>>, list<int>, list<array<string, list<int>>>} things, their first rows, rows of their parts
     *     by list
     */
    public function things(array $rows): array
    {
        $things = $first = $ofParts = [];
        foreach ($rows as $number => $row) {
            $own = array_filter($this->columns, fn (Column $one) => $one->part() === '' && ($row[$one->key] ?? '') !== '');
            if ($things === [] || ($this->list !== '' && $own !== [] && ! $this->isSame($row, $own, end($things)))) {
                $things[] = [];
                $first[] = $number;
                $ofParts[] = [];
            }
            $at = count($things) - 1;
            $added = [];
            foreach ($this->columns as $column) {
                $text = trim($row[$column->key] ?? '');
                if ($text === '') {
                    continue;
                }
                if ($column->part() === '') {
                    $things[$at] = self::with($things[$at], $column->path(), $column->cell->value($text));
                } else {
                    $added[$column->part()] = self::with($added[$column->part()] ?? [], $column->path(), $column->cell->value($text));
                }
            }
            foreach ($added as $part => $said) {
                $key = substr($part, 0, -2);
                if (str_ends_with($part, '{}')) {
                    $things[$at][$key][(string) ($said['key'] ?? '')] = $said['value'] ?? '';
                } else {
                    $things[$at][$key][] = $said;
                }
                $ofParts[$at][$key][] = $number;
            }
        }

        return [$things, $first, $ofParts];
    }

    /**
     * Whether a row goes on with the thing before it: it says its label again, and nothing else of its own.
     *
     * @param  Row  $row
     * @param  array<int, Column>  $own  columns of the thing that it fills
     * @param  array<string, mixed>  $thing
     */
    private function isSame(array $row, array $own, array $thing): bool
    {
        return array_map(fn (Column $one) => $one->key, array_values($own)) === ['label'] && $row['label'] === ($thing['label'] ?? null);
    }

    /** @return list<Column> */
    private function columnsOf(Field $field, string $path, string $words): array
    {
        $key = $path.$field->key;
        $heading = trim("{$words} {$field->words()}");
        $type = $field->type;
        if ($type instanceof ObjectOf) {
            return $this->inside($type->shape, "{$key}.", $heading);
        }
        if ($type instanceof ListOf && $type->item instanceof ObjectOf) {
            return $this->inside($type->item->shape, "{$key}[].", rtrim($heading, 's'));
        }
        if ($type instanceof MapOf) {
            $refers = $this->refers["{$key}{}.key"] ?? '';

            return [
                new Column("{$key}{}.key", $heading, Cell::Text, refers: $refers),
                new Column("{$key}{}.value", "{$heading}: what", $this->cellOf($type->item, $field->key)),
            ];
        }
        $choices = $type instanceof Choice ? $type->options() : [];

        $refers = $this->refers[$key] ?? '';

        return [new Column($key, $heading, $this->cellOf($type, $field->key), $choices, $refers, $field->missing !== null)];
    }

    /** @return list<Column> */
    private function inside(Shape $shape, string $path, string $words): array
    {
        return array_merge(...array_map(fn (Field $field) => $this->columnsOf($field, $path, $words), $shape->allFields()));
    }

    private function cellOf(Type $type, string $key): Cell
    {
        return match (true) {
            $type instanceof Flag => Cell::Flag,
            $type instanceof Choice => Cell::Choice,
            $type instanceof Text, $type instanceof Id => Cell::Text,
            $type instanceof Value => Cell::Value,
            $type instanceof ListOf => match (true) {
                $type->item instanceof Text => Cell::Texts,
                $type->item instanceof Custom => Cell::Pairs,
                default => Cell::Words,
            },
            in_array($key, self::PAIRS, true) => Cell::Pairs,
            $type instanceof Custom => $key === 'channels' ? Cell::Words : Cell::Text,
            default => Cell::Number,
        };
    }

    /**
     * @param  array<string, mixed>  $thing
     * @return list<array<string, mixed>> the thing itself, or the parts of a list or map of it
     */
    private static function partsOf(array $thing, string $part): array
    {
        if ($part === '') {
            return [$thing];
        }
        $held = (array) ($thing[substr($part, 0, -2)] ?? []);
        if (str_ends_with($part, '[]')) {
            return array_map(fn (mixed $one) => (array) $one, array_values($held));
        }

        return array_map(fn (string|int $key) => ['key' => (string) $key, 'value' => $held[$key]], array_keys($held));
    }

    /** @param  array<string, mixed>  $thing */
    private static function at(array $thing, string $path): mixed
    {
        $value = $thing;
        foreach (explode('.', $path) as $key) {
            $value = is_array($value) ? $value[$key] ?? null : null;
        }

        return $value;
    }

    /**
     * @param  array<string, mixed>  $thing
     * @return array<string, mixed>
     */
    private static function with(array $thing, string $path, mixed $value): array
    {
        [$key, $rest] = [...explode('.', $path, 2), ''];
        $thing[$key] = $rest === '' ? $value : self::with((array) ($thing[$key] ?? []), $rest, $value);

        return $thing;
    }
}
