<?php

declare(strict_types=1);

namespace App\Http\Edits;

use HiddenWire\Core\Document\Catalogue;
use HiddenWire\Core\Edit\Plug;
use HiddenWire\Core\Edit\RenumberCables;
use HiddenWire\Core\Edit\Replug;
use HiddenWire\Core\Edit\RigEdit;
use HiddenWire\Core\Edit\SetCable;
use HiddenWire\Core\Edit\Unplug;
use HiddenWire\Core\Equipment\CableType;
use HiddenWire\Core\Planning\Between;
use HiddenWire\Core\Quantity\Bounds;
use HiddenWire\Core\Rig\Cable;
use HiddenWire\Core\Rig\InvalidRig;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\SocketRef;
use Illuminate\Validation\ValidationException;

/** Changes of what is plugged into what. */
final class CableForms
{
    /** @return list<RigEdit> */
    public static function plug(EditFields $in): array
    {
        return [new Plug($in->socket('from'), $in->socket('to'))];
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
     * The cable table: a row that names a cable changes it, a row without one plugs a new one; rows that change nothing are passed over.
     *
     * @return list<RigEdit>
     */
    public static function cables(EditFields $in): array
    {
        $edits = [];
        $rig = $in->rig;
        foreach ($in->rows('cables') as $number => $row) {
            if (! $row->has('cable') && ! $row->has('from') && ! $row->has('to')) {
                continue;
            }
            try {
                foreach (self::row($row->against($rig)) as $edit) {
                    $edits[] = $edit;
                    $rig = $edit->applyTo($rig);
                }
            } catch (InvalidRig $e) {
                $in->refuse('cables', 'Row '.($number + 1).': '.$e->problems[0]->message);
            } catch (ValidationException $e) {
                $in->refuse('cables', 'Row '.($number + 1).': '.$e->validator->errors()->first());
            }
        }

        return $edits === [] ? $in->refuse('cables', 'No row changes anything.') : $edits;
    }

    /** @return list<RigEdit> */
    private static function row(EditFields $row): array
    {
        [$from, $to] = [self::socketNamed($row, 'from'), self::socketNamed($row, 'to')];
        if (! $row->has('cable')) {
            $plug = new Plug($from, $to);
            $after = $plug->applyTo($row->rig);
            $new = $after->cables[array_key_last($after->cables)];

            return array_filter([$plug, self::changing($row, $new)]);
        }
        $cable = $row->rig->cables[$row->known('cable', $row->rig->cables)];

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
    private static function length(EditFields $in): ?float
    {
        $metres = $in->number('length', 0.01, Bounds::LENGTH_M[1]);

        return $metres === null ? null : round($metres, 3);
    }

    private static function described(EditFields $in, Cable $cable): SetCable
    {
        return new SetCable(
            $cable->id,
            $in->text('label', Bounds::LABEL, $cable->label),
            $in->choiceOrNone('type', CableType::class) ?? $cable->type,
            self::length($in),
            $in->text('colour', Bounds::COLOUR),
            $in->flag('owned') ?? true,
        );
    }
}
