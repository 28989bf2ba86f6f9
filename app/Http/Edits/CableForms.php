<?php

declare(strict_types=1);

namespace App\Http\Edits;

use App\ViewModels\CableImport;
use HiddenWire\Core\Document\Catalogue;
use HiddenWire\Core\Edit\Plug;
use HiddenWire\Core\Edit\PlugInTurn;
use HiddenWire\Core\Edit\RenumberCables;
use HiddenWire\Core\Edit\Replug;
use HiddenWire\Core\Edit\RigEdit;
use HiddenWire\Core\Edit\SetCable;
use HiddenWire\Core\Edit\Unplug;
use HiddenWire\Core\Equipment\CableType;
use HiddenWire\Core\Import\CsvTable;
use HiddenWire\Core\Planning\Between;
use HiddenWire\Core\Quantity\Bounds;
use HiddenWire\Core\Rig\Cable;
use HiddenWire\Core\Rig\InvalidRig;
use HiddenWire\Core\Rig\Problem;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\SocketRef;
use Illuminate\Validation\ValidationException;

/** Changes of what is plugged into what. */
final class CableForms
{
    /** Rows of the cable table from this number on are new ones, the first of them 1. */
    /** No lead is shorter, in metres. */
    private const SHORTEST_M = 0.01;

    public const NEW_ROWS = 100_000;

    /** @return list<RigEdit> */
    public static function plug(EditFields $in): array
    {
        return [new Plug($in->socket('from'), $in->socket('to'))];
    }

    /** @return list<RigEdit> */
    public static function plugInTurn(EditFields $in): array
    {
        return [new PlugInTurn($in->socket('from'), $in->socket('to'), $in->known('which', $in->rig->situations))];
    }

    /** @return list<RigEdit> */
    public static function between(EditFields $in): array
    {
        $model = $in->model();
        $offers = (new Between($in->rig, Catalogue::holding([$model->id => $model])))->offers($in->socket('from'), $in->socket('to'));

        return $offers === [] ? $in->refuse('model', "A {$model->name} does not fit between these two.") : [$offers[0]];
    }

    /** @return list<RigEdit> */
    public static function unplug(EditFields $in): array
    {
        return [new Unplug($in->known('cable', $in->rig->cables))];
    }

    /** @return list<RigEdit> */
    public static function replug(EditFields $in): array
    {
        return [new Replug($in->known('cable', $in->rig->cables), $in->text('end', 4) === 'from', $in->socket('to'))];
    }

    /**
     * Another cable in a cable's stead, with a label of its own.
     *
     * @return list<RigEdit>
     */
    public static function replace(EditFields $in): array
    {
        $cable = $in->rig->cables[$in->known('cable', $in->rig->cables)];

        return [new Unplug($cable->id), new Plug($cable->from, $cable->to, Plug::nextLabel($in->rig))];
    }

    /** @return list<RigEdit> */
    public static function cable(EditFields $in): array
    {
        return [self::described($in, $in->rig->cables[$in->known('cable', $in->rig->cables)])];
    }

    /** @return list<RigEdit> */
    public static function renumber(EditFields $in): array
    {
        return [new RenumberCables];
    }

    /**
     * The cable table: a row that names a cable changes it or takes it out, a row without one plugs a new one; rows that change nothing are
     * passed over. All or nothing: what is wrong is said of every row, at its field.
     *
     * @return list<RigEdit>
     */
    public static function cables(EditFields $in): array
    {
        $edits = $errors = [];
        $rig = $in->rig;
        // What comes out first makes room for what goes in.
        $rows = array_filter($in->rows('cables'), fn (EditFields $row) => $row->has('cable') || $row->has('from') || $row->has('to'));
        uasort($rows, fn (EditFields $a, EditFields $b) => ($b->flag('out') === true) <=> ($a->flag('out') === true));
        foreach ($rows as $number => $row) {
            try {
                foreach (self::row($row->against($rig)) as $edit) {
                    $rig = $edit->applyTo($rig);
                    $edits[] = $edit;
                }
            } catch (InvalidRig $e) {
                $errors[$number][self::fieldOf($e->problems[0])] = $e->problems[0]->message;
            } catch (ValidationException $e) {
                $errors[$number] = array_map(fn (array $messages) => $messages[0], $e->errors());
            }
        }
        if ($errors !== []) {
            ksort($errors);
            $in->refuseAll(self::told($errors, $rows));
        }

        return $edits === [] ? $in->refuse('cables', 'No row changes anything.') : $edits;
    }

    /**
     * Cables from a CSV file, as the preview has shown: what can be made of it.
     *
     * @return list<RigEdit>
     */
    public static function import(EditFields $in): array
    {
        $import = new CableImport($in->rig, $in->text('csv', CsvTable::MAX_BYTES), $in->named('columns'));
        if ($import->plan === null) {
            $in->refuse('csv', $import->trouble === '' ? 'Choose a CSV file first.' : $import->trouble);
        }
        $edits = $import->plan->all();

        return $edits === [] ? $in->refuse('csv', 'No row changes anything.') : $edits;
    }

    /**
     * @param  array<int, array<string, string>>  $errors  by row, by field
     * @param  array<int, EditFields>  $rows
     * @return array<string, string> by the name of the field, with the row and column in words
     */
    private static function told(array $errors, array $rows): array
    {
        $columns = ['label' => 'Label', 'from' => 'From', 'to' => 'To', 'type' => 'Type', 'length' => 'Length', 'colour' => 'Colour'];
        $told = [];
        foreach ($errors as $number => $fields) {
            $cable = $rows[$number]->rig->cables[$rows[$number]->text('cable', Bounds::NAME)] ?? null;
            $row = $cable === null ? 'New row '.($number % self::NEW_ROWS) : $cable->label;
            foreach ($fields as $field => $message) {
                $told["cables.{$number}.{$field}"] = "{$row}, ".($columns[$field] ?? 'the row').": {$message}";
            }
        }

        return $told;
    }

    /** The column that a problem of a cable is in. */
    private static function fieldOf(Problem $problem): string
    {
        $last = substr((string) strrchr($problem->pointer, '/'), 1);

        return match ($last) {
            'label', 'from', 'to', 'type' => $last, 'length_m' => 'length', default => 'to',
        };
    }

    /** @return list<RigEdit> */
    private static function row(EditFields $row): array
    {
        $cable = $row->has('cable') ? $row->rig->cables[$row->known('cable', $row->rig->cables)] : null;
        if ($row->flag('out') === true) {
            return $cable === null ? [] : [new Unplug($cable->id)];
        }
        [$from, $to] = [self::socketNamed($row, 'from'), self::socketNamed($row, 'to')];
        if ($cable === null) {
            $plug = new Plug($from, $to);
            $after = $plug->applyTo($row->rig);
            $new = $after->cables[array_key_last($after->cables)];

            return array_filter([$plug, self::changing($row, $new)]);
        }

        return array_values(array_filter([
            (string) $from === (string) $cable->from ? null : new Replug($cable->id, true, $from),
            (string) $to === (string) $cable->to ? null : new Replug($cable->id, false, $to),
            self::changing($row, $cable),
        ]));
    }

    /** A socket by its reference, or by its names as the table shows them: "Line out · Broadcast computer". */
    private static function socketNamed(EditFields $row, string $key): SocketRef
    {
        $said = $row->text($key, 200);
        foreach (str_contains($said, ' · ') ? $row->rig->units : [] as $unit) {
            foreach ($row->rig->modelOf($unit)->sockets as $socket) {
                if (self::socketName($row->rig, $unit->id, $socket->id) === $said) {
                    return new SocketRef($unit->id, $socket->id);
                }
            }
        }

        return $row->socket($key);
    }

    /** What the table calls a socket. */
    public static function socketName(Rig $rig, string $unit, string $socket): string
    {
        return "{$rig->units[$unit]->name} · {$rig->modelOf($unit)->sockets[$socket]->label}";
    }

    private static function changing(EditFields $row, Cable $cable): ?SetCable
    {
        $set = self::described($row, $cable);

        return [$set->label, $set->type, $set->lengthM, $set->colour, $set->isOwned] === [$cable->label, $cable->type, $cable->lengthM,
            $cable->colour, $cable->owned]
            ? null
            : $set;
    }

    /** To the millimetre, as it is kept. */
    private static function length(EditFields $in, ?float $was): ?float
    {
        $said = $in->text('length', 40);
        // What was typed in feet and inches is kept: to the inch it would become another length.
        if ($said === '' || ($was !== null && $said === $in->user->lengths->field($was))) {
            return $said === '' ? null : $was;
        }
        $metres = $in->user->lengths->read($said);
        if ($metres === null || $metres < self::SHORTEST_M || $metres > Bounds::LENGTH_M[1]) {
            return $in->refuse('length', 'Write a length like "1.5 m", "50 cm" or "5 ft 3 in", up to '
                .$in->user->lengths->words(Bounds::LENGTH_M[1]).'.');
        }

        return round($metres, 3);
    }

    private static function described(EditFields $in, Cable $cable): SetCable
    {
        return new SetCable(
            $cable->id,
            $in->text('label', Bounds::LABEL, $cable->label),
            $in->choiceOrNone('type', CableType::class) ?? $cable->type,
            self::length($in, $cable->lengthM),
            $in->text('colour', Bounds::COLOUR),
            $in->flag('owned') ?? true,
            $in->isSent('price') ? $in->text('price', Bounds::PRICE) : null,
            $in->isSent('price') ? $in->text('supplier', Bounds::SUPPLIER) : '',
        );
    }
}
