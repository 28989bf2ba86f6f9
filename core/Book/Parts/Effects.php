<?php

declare(strict_types=1);

namespace HiddenWire\Core\Book\Parts;

use HiddenWire\Core\Book\BookInput;
use HiddenWire\Core\Book\Heading;
use HiddenWire\Core\Book\Part;
use HiddenWire\Core\Book\Table;
use HiddenWire\Core\Equipment\EquipmentModel;
use HiddenWire\Core\Rig\Effect;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\Unit;

/** Each chain of effects in its order: what is set at each stage, what that does, and when it is bypassed. */
final class Effects implements Part
{
    /** Shares of the columns. */
    private const WIDTHS = [1.3, 0.5, 1.3, 2.6, 2];

    public function key(): string
    {
        return 'effects';
    }

    public function title(): string
    {
        return 'Effects';
    }

    public function blocks(BookInput $of): array
    {
        $blocks = [];
        foreach ($of->rig->units as $unit) {
            $model = $of->rig->modelOf($unit);
            $chains = [];
            foreach ($unit->effects as $effect) {
                $chains[$effect->at][] = [
                    $model->points[$effect->at]->label, (string) (count($chains[$effect->at] ?? []) + 1), self::name($effect),
                    self::set($effect, $model), self::when($of->rig, $unit, $effect, $model),
                ];
            }
            if ($chains !== []) {
                $blocks[] = new Heading($unit->name);
                $blocks[] = new Table(['At', 'Stage', 'Effect', 'Set to', 'On'], array_merge(...array_values($chains)), self::WIDTHS);
            }
        }

        return $blocks;
    }

    /** "Sibilance (equaliser)"; the kind alone where it has no name of its own. */
    private static function name(Effect $effect): string
    {
        $kind = $effect->kind->words();

        return $effect->label() === $kind ? $kind : "{$effect->label()} (".lcfirst($kind).')';
    }

    private static function set(Effect $effect, EquipmentModel $model): string
    {
        return implode(', ', array_filter([
            $effect->values?->words(fn (string $point) => $model->points[$point]->label) ?? '',
            $effect->db === null ? '' : ($effect->db->value() > 0 ? '+' : '')."{$effect->db->text()} dB",
            $effect->delay === null ? '' : "holds it back {$effect->delay->text()} ms",
        ]));
    }

    /** "yes, bypassed in Interval; not into Monitor out". */
    private static function when(Rig $rig, Unit $unit, Effect $effect, EquipmentModel $model): string
    {
        $others = [];
        foreach ($rig->situations as $situation) {
            foreach ($situation->effects as $switch) {
                if ($switch->unit === $unit->id && $switch->effect === $effect->id && $switch->on !== $effect->on) {
                    $others[] = $situation->name;
                }
            }
        }
        $words = $effect->on ? 'yes' : 'bypassed';
        if ($others !== []) {
            $words .= ($effect->on ? ', bypassed in ' : ', on in ').implode(', ', $others);
        }

        return $effect->offFor === [] ? $words
            : "{$words}; not into ".implode(', ', array_map(fn (string $point) => $model->points[$point]->label, $effect->offFor));
    }
}
