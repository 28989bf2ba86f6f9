<?php

declare(strict_types=1);

namespace HiddenWire\Core\Import;

use HiddenWire\Core\Edit\Plug;
use HiddenWire\Core\Edit\Replug;
use HiddenWire\Core\Edit\RigEdit;
use HiddenWire\Core\Edit\SetCable;
use HiddenWire\Core\Equipment\CableType;
use HiddenWire\Core\Quantity\Bounds;
use HiddenWire\Core\Quantity\Lengths;
use HiddenWire\Core\Rig\Cable;
use HiddenWire\Core\Rig\InvalidRig;
use HiddenWire\Core\Rig\Problem;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\SocketRef;

/** A table of cables against a rig: row by row, what would be made of it and what can't. Units and sockets go by their names. */
final class CablePlan
{
    /** What is shorter is a slip of the keys, but for a length of nothing, which our own tables can have. */
    private const SHORTEST_M = 0.01;

    /** @var array<string, list<string>> ids of units by name in small letters */
    private array $units = [];

    /** @var list<PlannedRow> */
    public readonly array $rows;

    /** The rig as all that can be made would leave it. */
    public readonly Rig $after;

    private readonly PlannedRows $planned;

    public function __construct(Rig $rig, CsvTable $table, private readonly CableMapping $mapping)
    {
        foreach ($rig->units as $unit) {
            $this->units[mb_strtolower($unit->name)][] = $unit->id;
        }

        $this->planned = new PlannedRows($rig, $table, Plug::class, $this->edits(...));
        $this->rows = $this->planned->rows;
        $this->after = $this->planned->after;
    }

    /** @return list<RigEdit> all that can be made */
    public function all(): array
    {
        return $this->planned->all();
    }

    public function count(string $outcome): int
    {
        return $this->planned->count($outcome);
    }

    /**
     * @param  list<string>  $row
     * @return list<RigEdit>
     *
     * @throws InvalidRig where a name is not known, or a value is none
     */
    private function edits(Rig $rig, array $row): array
    {
        $from = $this->socket($rig, $row, 'from');
        $to = $this->socket($rig, $row, 'to');
        $label = mb_substr($this->mapping->of('label', $row), 0, Bounds::LABEL);
        $known = $label === '' ? null : array_values(array_filter($rig->cables, fn (Cable $cable) => $cable->label === $label))[0] ?? null;
        if ($known === null) {
            $plug = new Plug($from, $to, $label === '' ? null : $label);
            $made = $plug->applyTo($rig);
            $cable = $made->cables[array_key_last($made->cables)];

            return [$plug, ...$this->described($cable, $row)];
        }
        $isTurned = (string) $known->from === (string) $to && (string) $known->to === (string) $from;
        [$a, $b] = $isTurned ? [$to, $from] : [$from, $to];

        return [
            ...((string) $known->from === (string) $a ? [] : [new Replug($known->id, true, $a)]),
            ...((string) $known->to === (string) $b ? [] : [new Replug($known->id, false, $b)]),
            ...$this->described($known, $row),
        ];
    }

    /**
     * @param  list<string>  $row
     * @return list<SetCable> none where nothing is otherwise
     *
     * @throws InvalidRig where a length is none, or there is no such type
     */
    private function described(Cable $cable, array $row): array
    {
        $said = $this->mapping->of('length', $row);
        $length = $said === '' ? null : Lengths::Metric->read($said);
        if ($said !== '' && ($length === null || ($length !== 0.0 && $length < self::SHORTEST_M) || $length > Bounds::LENGTH_M[1])) {
            throw $this->wrong("\"{$said}\" is no length: write \"1.5\" for metres, or \"5 ft 3 in\".");
        }
        $owned = mb_strtolower($this->mapping->of('owned', $row));
        $colour = $this->mapping->of('colour', $row);
        $price = mb_substr($this->mapping->of('price', $row), 0, Bounds::PRICE);
        $supplier = mb_substr($this->mapping->of('supplier', $row), 0, Bounds::SUPPLIER);
        // What a table does not say stays.
        $isPriced = $price !== '' || $supplier !== '';
        $set = new SetCable(
            $cable->id,
            $cable->label,
            $this->type($row) ?? $cable->type,
            $length === null ? $cable->lengthM : round($length, 3),
            $colour === '' ? $cable->colour : mb_substr($colour, 0, Bounds::COLOUR),
            $owned === '' ? $cable->owned : in_array($owned, ['1', 'yes', 'y', 'true', 'owned'], true),
            $isPriced ? ($price === '' ? $cable->price : $price) : null,
            $isPriced ? ($supplier === '' ? $cable->supplier : $supplier) : '',
        );

        $supplier = $isPriced ? $set->supplier : $cable->supplier;

        return [$set->type, $set->lengthM, $set->colour, $set->isOwned, $set->price ?? $cable->price, $supplier]
            === [$cable->type, $cable->lengthM, $cable->colour, $cable->owned, $cable->price, $cable->supplier] ? [] : [$set];
    }

    /**
     * @param  list<string>  $row
     *
     * @throws InvalidRig where there is no such type
     */
    private function type(array $row): ?CableType
    {
        $said = mb_strtolower($this->mapping->of('type', $row));
        foreach ($said === '' ? [] : CableType::cases() as $type) {
            if (in_array($said, [$type->value, mb_strtolower($type->words())], true)) {
                return $type;
            }
        }

        return $said === '' ? null : throw $this->wrong("There is no cable type \"{$said}\".");
    }

    /**
     * @param  list<string>  $row
     *
     * @throws InvalidRig where no unit or socket is called so, or several are
     */
    private function socket(Rig $rig, array $row, string $end): SocketRef
    {
        [$unit, $socket] = [$this->mapping->of("{$end}_unit", $row), $this->mapping->of("{$end}_socket", $row)];
        $units = $this->units[mb_strtolower($unit)] ?? [];
        $found = [];
        foreach ($units as $id) {
            foreach ($rig->modelOf($id)->sockets as $one) {
                if (mb_strtolower($one->label) === mb_strtolower($socket)) {
                    $found[] = new SocketRef($id, $one->id);
                }
            }
        }

        return match (true) {
            count($found) === 1 => $found[0],
            $units === [] => throw $this->wrong("The rig has no unit called \"{$unit}\"."),
            $found === [] => throw $this->wrong("{$rig->units[$units[0]]->name} has no socket called \"{$socket}\"; it has "
                .implode(', ', array_map(fn ($one) => $one->label, $rig->modelOf($units[0])->sockets)).'.'),
            default => throw $this->wrong("Several units are called \"{$unit}\". Give them names of their own first."),
        };
    }

    private function wrong(string $message): InvalidRig
    {
        return new InvalidRig([new Problem('/cables', $message)]);
    }
}
