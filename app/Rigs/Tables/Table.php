<?php

declare(strict_types=1);

namespace App\Rigs\Tables;

use HiddenWire\Core\Rig\DeviceRef;
use HiddenWire\Core\Rig\Format\Field;
use HiddenWire\Core\Rig\Format\Group;
use HiddenWire\Core\Rig\Format\Shape;
use HiddenWire\Core\Rig\Format\Types\ObjectOf;
use HiddenWire\Core\Rig\Format\Types\Path;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\SocketRef;
use HiddenWire\Core\With;
use Illuminate\Database\Eloquent\Model;

/**
 * How a kind of thing is stored in a table, by its shape: which column holds which field. Lists whose things others refer to, or
 * that refer to others, have tables of their own.
 */
final readonly class Table
{
    use With;

    /**
     * @param  class-string<Model>  $model
     * @param  list<Column>  $columns
     * @param  string|null  $keyedBy  the column that holds the key of a map
     * @param  array<string, list<string>>  $refers  references that are taken apart: their key, by the columns of their tokens
     * @param  array<string, Child>  $children  by key; dots lead into objects
     * @param  array<string, \Closure(\stdClass): mixed>  $says  what documents say, of a row, by key
     */
    private function __construct(
        public string $model,
        public array $columns,
        public ?string $keyedBy = null,
        public array $refers = [],
        public array $children = [],
        private array $says = [],
    ) {
    }

    /**
     * @param  class-string<Model>  $model
     * @param  array<string, string>  $names  of columns that are not called like their keys, by the key behind its prefix
     * @param  list<string>  $inside  keys of objects that lie in columns of their own: `gain` in `gain_from`, `gain_to`, …
     * @param  list<string>  $apart  keys that lie in other tables
     */
    public static function of(string $model, Shape $shape, array $names = [], array $inside = [], array $apart = []): self
    {
        return self::holding($model)->and($shape->fields, $names, $inside, $apart);
    }

    /** @param  class-string<Model>  $model */
    public static function holding(string $model): self
    {
        return new self($model, []);
    }

    /**
     * With columns for fields.
     *
     * @param  list<Field|Group>  $fields
     * @param  array<string, string>  $names
     * @param  list<string>  $inside
     * @param  list<string>  $apart
     * @param  list<string>  $path  keys of objects in which the fields stand
     * @param  \Closure(mixed): mixed|null  $from  leads from an element to what has the fields; null there where it has none
     * @param  bool  $isFilled  whether the columns of an element that has none of the fields hold what is usual
     */
    public function and(
        array $fields,
        array $names = [],
        array $inside = [],
        array $apart = [],
        string $prefix = '',
        array $path = [],
        ?\Closure $from = null,
        bool $isFilled = false,
    ): self {
        $table = $this;
        $from ??= fn (mixed $thing): mixed => $thing;
        foreach ($fields as $field) {
            if (in_array($field->key, $apart, true)) {
                continue;
            }
            $at = [...$path, $field->key];
            if ($field instanceof Group) {
                $table = $table->and($field->fields, $names, $inside, $apart, $prefix, $at, $from);

                continue;
            }
            $held = function (mixed $thing) use ($field, $from): mixed {
                $of = $from($thing);

                return is_object($of) ? $field->heldBy($of) : null;
            };
            if ($field->type instanceof ObjectOf && in_array($field->key, $inside, true)) {
                $in = ($names[$field->key] ?? "{$field->key}_");
                $table = $table->and($field->type->shape->fields, $names, [], [], $prefix.$in, $at, $held);
            } elseif ($field->type instanceof Path && in_array($field->type->leadsTo, ['socket', 'point'], true)) {
                $table = $table->referring($at, $field->key === 'at' ? $prefix : "{$prefix}{$field->key}_", $field->type->leadsTo, $held);
            } else {
                $name = $prefix.$field->key;
                $usual = $field->usual === null || $field->usual === [] || $field->usual instanceof \Closure ? null
                    : $field->type->write($field->usual, new \stdClass);
                $table = $table->with(columns: [...$table->columns, new Column(
                    $names[$name] ?? $name,
                    ColumnKind::of($field->type),
                    $at,
                    function (mixed $thing) use ($field, $from, $usual, $isFilled): mixed {
                        $of = $from($thing);
                        if (! is_object($of)) {
                            return $isFilled ? $usual : null;
                        }
                        $value = $field->heldBy($of);

                        return $value === null || $value === [] ? null : $field->type->write($value, $of);
                    },
                    $usual,
                    $field->type,
                )]);
            }
        }

        return $table;
    }

    /**
     * With columns for a reference to a socket or point, and the unit's model, by which the database holds it to what there is.
     *
     * @param  list<string>  $path
     * @param  \Closure(mixed): mixed  $held
     */
    public function referring(array $path, string $prefix, string $to, \Closure $held): self
    {
        $columns = [
            new Column("{$prefix}unit", ColumnKind::Text, [], fn (mixed $thing) => $held($thing)?->unit),
            new Column("{$prefix}unit_model", ColumnKind::Text, [], function (mixed $thing, Rig $rig) use ($held): ?string {
                $unit = $held($thing)?->unit;

                return $unit === null ? null : $rig->units[$unit]->model;
            }),
            new Column("{$prefix}{$to}", ColumnKind::Text, [], function (mixed $thing) use ($held): ?string {
                $at = $held($thing);

                return match (true) {
                    $at instanceof SocketRef => $at->socket,
                    $at instanceof PointRef => $at->point,
                    default => null,
                };
            }),
        ];

        return $this->with(
            columns: [...$this->columns, ...$columns],
            refers: [...$this->refers, implode('.', $path) => ["{$prefix}unit", "{$prefix}{$to}"]],
        );
    }

    /**
     * With the unit of a device, by which the database holds it to what there is.
     *
     * @param  \Closure(never): (DeviceRef|null)  $device
     */
    public function ofUnit(string $column, \Closure $device): self
    {
        /** @var \Closure(mixed): (DeviceRef|null) $device */
        return $this->column(new Column($column, ColumnKind::Text, [], fn (mixed $thing) => $device($thing)?->unit));
    }

    public function column(Column $column): self
    {
        return $this->with(columns: [...$this->columns, $column]);
    }

    /** With the key of a map in a column. */
    public function keyedBy(string $column): self
    {
        return $this->with(keyedBy: $column);
    }

    /** @param  \Closure(\stdClass): mixed  $says  gets a row, gives what documents say */
    public function saying(string $key, \Closure $says): self
    {
        return $this->with(says: [...$this->says, $key => $says]);
    }

    public function child(string $key, Child $child): self
    {
        return $this->with(children: [...$this->children, $key => $child]);
    }

    /** @return array<string, string> casts of the Eloquent model */
    public function casts(): array
    {
        $casts = [];
        foreach ($this->columns as $column) {
            $casts[$column->name] = $column->kind->cast();
        }

        return array_filter($casts, fn (?string $cast) => $cast !== null);
    }

    /**
     * The object of a document that a row holds, without what other tables hold of it.
     *
     * @return array<string, mixed>
     */
    public function said(\stdClass $row): array
    {
        $said = [];
        foreach ($this->columns as $column) {
            $value = $column->path === [] ? null : $column->said($row->{$column->name});
            if ($value !== null) {
                self::put($said, $column->path, $value);
            }
        }
        foreach ($this->says as $key => $says) {
            $said[$key] = $says($row);
        }
        foreach ($this->refers as $path => $columns) {
            self::put($said, explode('.', $path), implode('/', array_map(fn (string $column) => $row->{$column}, $columns)));
        }

        return $said;
    }

    /**
     * @param  array<string, mixed>  $said
     * @param  non-empty-list<string>  $path
     */
    public static function put(array &$said, array $path, mixed $value): void
    {
        foreach (array_slice($path, 0, -1) as $key) {
            $said[$key] ??= [];
            $said = &$said[$key];
        }
        $said[$path[count($path) - 1]] = $value;
    }
}
