<?php

declare(strict_types=1);

namespace App\Rigs;

use App\Models\Content\Cable;
use App\Models\Content\CableEnd;
use App\Models\Content\EquipmentModel;
use App\Models\Content\Listener;
use App\Models\Content\ModelLane;
use App\Models\Content\ModelPoint;
use App\Models\Content\ModelRoute;
use App\Models\Content\ModelSocket;
use App\Models\Content\Place;
use App\Models\Content\Situation;
use App\Models\Content\Source;
use App\Models\Content\Unit;
use App\Models\Content\Wish;
use App\Rigs\Tables\Child;
use App\Rigs\Tables\Tables;
use HiddenWire\Core\Rig as Core;
use Illuminate\Database\Eloquent\Model;

/**
 * A rig as rows: the tables hold exactly what a document holds, by the description of the format ({@see Tables}).
 *
 * @phpstan-type Rows array<class-string<Model>, list<array<string, mixed>>>
 */
final class RigRows
{
    /** Rows in one INSERT; MariaDB takes 65,535 placeholders, the widest table has 24 columns. */
    private const CHUNK = 1000;

    /**
     * Tables that others refer to, by the columns that identify their rows: of these only the rows that differ are written. Any
     * other table is written anew where it differs.
     */
    private const REFERRED_TO = [
        Place::class => ['key'],
        EquipmentModel::class => ['key'],
        ModelPoint::class => ['model', 'key'],
        ModelSocket::class => ['model', 'key'],
        ModelLane::class => ['model', 'socket', 'key'],
        ModelRoute::class => ['model', 'key'],
        Unit::class => ['key', 'model'],
        Source::class => ['key'],
        Listener::class => ['key'],
        Situation::class => ['key'],
        Wish::class => ['position'],
    ];

    /**
     * Replaces a rig's rows by those of a rig; where what is stored now is given, only those that differ. Call it in a transaction.
     */
    public static function store(int $rigId, Core\Rig $rig, ?Core\Rig $stored = null): void
    {
        // Most changes leave most lists alone.
        $lists = $stored === null ? null : self::altered($stored, $rig);
        $new = self::of($rig, $lists);
        $old = $stored === null ? null : self::of($stored, $lists);
        $steps = $old === null ? null : self::steps($old, $new);
        if ($old === null || $steps === null) {
            self::write($rigId, $lists === null ? $new : self::of($rig), self::tables());

            return;
        }
        $tables = array_values(array_filter(
            array_diff(self::tables(), array_keys(self::REFERRED_TO)),
            fn (string $table) => $old[$table] !== $new[$table],
        ));
        $at = fn (string $table, array $row) => $table::query()->where('rig_id', $rigId)->where(array_intersect_key(
            $row,
            array_flip(self::REFERRED_TO[$table]),
        ));
        self::clear($rigId, $tables);
        foreach ($steps as $table => ['other' => $other, 'more' => $more]) {
            foreach ($other as $row) {
                $at($table, $row)->update($row);
            }
            self::insert($rigId, $table, $more);
        }
        foreach ($tables as $table) {
            self::insert($rigId, $table, $new[$table]);
        }
        // Last, when nothing refers to them any more: what is deleted takes with it whatever does.
        foreach (array_reverse($steps, true) as $table => ['gone' => $gone]) {
            foreach ($gone as $row) {
                $at($table, $row)->delete();
            }
        }
    }

    /** @return list<string>|null lists of which anything is otherwise, by key of the document; null where rows of any may be */
    private static function altered(Core\Rig $stored, Core\Rig $rig): ?array
    {
        // Rows say the model of the unit that they are about, and what faults were let in.
        $models = fn (Core\Rig $of): array => array_map(fn (Core\Unit $unit) => $unit->model, $of->units);
        if ($stored->models !== $rig->models || $models($stored) !== $models($rig) || $stored->faults != $rig->faults) {
            return null;
        }
        $lists = array_keys(array_filter(
            Tables::all(),
            fn (Child $list) => self::things($list, $stored) !== self::things($list, $rig),
        ));

        // Which leads wait for their turn, situations say.
        return in_array('situations', $lists, true) ? array_values(array_unique(['cables', ...$lists])) : $lists;
    }

    /**
     * What has to be done in the tables that others refer to; null where rows change places, or some come while others go: then all is
     * written anew.
     *
     * @param  Rows  $old
     * @param  Rows  $new
     * @return array<class-string<Model>, array{gone: list<array<string, mixed>>, other: list<array<string, mixed>>,
     *     more: list<array<string, mixed>>}>|null
     */
    private static function steps(array $old, array $new): ?array
    {
        $steps = [];
        foreach (self::REFERRED_TO as $table => $columns) {
            if ($old[$table] === $new[$table]) {
                continue;
            }
            $named = fn (array $rows): array => array_combine(
                array_map(fn (array $row) => implode(' ', array_map(fn (string $column) => $row[$column], $columns)), $rows),
                $rows,
            );
            [$was, $is] = [$named($old[$table]), $named($new[$table])];
            foreach (array_intersect_key($is, $was) as $name => $row) {
                if ($row['position'] !== $was[$name]['position']) {
                    return null;
                }
            }
            $steps[$table] = [
                'gone' => array_values(array_diff_key($was, $is)), 'more' => array_values(array_diff_key($is, $was)),
                'other' => array_values(array_filter(
                    $is,
                    fn (array $row, string|int $name) => isset($was[$name]) && $was[$name] !== $row,
                    ARRAY_FILTER_USE_BOTH,
                )),
            ];
            if ($steps[$table]['gone'] !== [] && $steps[$table]['more'] !== []) {
                return null;
            }
        }

        return $steps;
    }

    /**
     * @param  Rows  $rows
     * @param  list<class-string<Model>>  $tables
     */
    private static function write(int $rigId, array $rows, array $tables): void
    {
        self::clear($rigId, $tables);
        foreach ($tables as $table) {
            self::insert($rigId, $table, $rows[$table]);
        }
    }

    /** @param  list<class-string<Model>>  $tables */
    private static function clear(int $rigId, array $tables): void
    {
        foreach (array_reverse($tables) as $table) {
            $table::query()->where('rig_id', $rigId)->delete();
        }
    }

    /**
     * @param  class-string<Model>  $table
     * @param  list<array<string, mixed>>  $rows
     */
    private static function insert(int $rigId, string $table, array $rows): void
    {
        foreach (array_chunk($rows, self::CHUNK) as $chunk) {
            $table::query()->insert(array_map(fn (array $row) => ['rig_id' => $rigId, ...$row], $chunk));
        }
    }

    /** @return list<class-string<Model>> every table of content, parents before what refers to them */
    public static function tables(): array
    {
        return [...array_keys(Tables::byModel()), CableEnd::class];
    }

    /**
     * @param  list<string>|null  $lists  only these, by key of the document; null for all
     * @return Rows
     */
    public static function of(Core\Rig $rig, ?array $lists = null): array
    {
        $rows = array_fill_keys(self::tables(), []);
        foreach (Tables::all() as $key => $list) {
            if ($lists === null || in_array($key, $lists, true)) {
                self::add($list, $rig, $rig, [], $rows);
            }
        }
        if ($lists === null || in_array('cables', $lists, true)) {
            self::leads($rig, $rows);
        }

        return $rows;
    }

    /** @return array<array-key, mixed> what is in a list of something */
    private static function things(Child $list, object $of): array
    {
        /** @var \Closure(object): iterable<array-key, mixed> $things */
        $things = $list->things;

        $all = $things($of);

        return is_array($all) ? $all : iterator_to_array($all);
    }

    /**
     * Adds the rows of a list, and of the lists inside its things.
     *
     * @param  object  $of  whose list it is
     * @param  array<string, mixed>  $by  what tells that
     * @param  Rows  $rows
     */
    private static function add(Child $list, object $of, Core\Rig $rig, array $by, array &$rows): void
    {
        $table = $list->table;
        $position = 0;
        foreach (self::things($list, $of) as $key => $thing) {
            $row = ['position' => $position++, ...$by, ...($table->keyedBy === null ? [] : [$table->keyedBy => (string) $key])];
            foreach ($table->columns as $column) {
                $row[$column->name] = $column->of($thing, $rig);
            }
            $rows[$table->model][] = $row;
            foreach (is_object($thing) ? $table->children : [] as $child) {
                self::add($child, $thing, $rig, array_map(fn (string $column) => $row[$column], $child->by), $rows);
            }
        }
    }

    /**
     * Adds what the database goes by to let one lead into a socket, and one cable have a label: but for sockets that take several, leads
     * that wait for their turn, and faults that were stored before.
     *
     * @param  Rows  $rows
     */
    private static function leads(Core\Rig $rig, array &$rows): void
    {
        $faults = array_fill_keys(array_map(fn (Core\Problem $problem) => $problem->fault, $rig->faults), true);
        $inSocket = $labelled = $waits = $out = [];
        foreach ($rig->situations as $situation) {
            $out += array_fill_keys($situation->pulled, true);
        }
        foreach (array_values($rig->cables) as $position => $cable) {
            foreach (['from' => $cable->from, 'to' => $cable->to] as $end => $at) {
                $inSocket[(string) $at] = ($inSocket[(string) $at] ?? -1) + 1;
                $waits[(string) $at] = ($waits[(string) $at] ?? false) || isset($out[$cable->id]);
                $several = $rig->socket($at)->connector->takesSeveral() || $waits[(string) $at]
                    || isset($faults["taken {$cable->id} {$at}"]);
                $rows[CableEnd::class][] = [
                    'position' => 2 * $position + ($end === 'to' ? 1 : 0),
                    'cable' => $cable->id,
                    'end' => $end,
                    'unit' => $at->unit,
                    'socket' => $at->socket,
                    'twin' => $several ? $inSocket[(string) $at] : 0,
                ];
            }
            $labelled[$cable->label] = ($labelled[$cable->label] ?? -1) + 1;
            $twin = isset($faults["label {$cable->id} {$cable->label}"]) ? $labelled[$cable->label] : 0;
            $rows[Cable::class][$position]['label_twin'] = $twin;
        }
    }
}
