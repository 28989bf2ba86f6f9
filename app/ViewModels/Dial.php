<?php

declare(strict_types=1);

namespace App\ViewModels;

use HiddenWire\Core\Equipment\Dials\Dials;
use HiddenWire\Core\Equipment\EquipmentModel;
use HiddenWire\Core\Equipment\OwnScale;
use HiddenWire\Core\Equipment\Point;
use HiddenWire\Core\Rig\Control;
use HiddenWire\Core\Rig\Move;
use HiddenWire\Core\Rig\State;

/** One point's knobs and switches as they stand. */
final readonly class Dial
{
    /** @var list<Knob|Key> in the order of the register */
    public array $parts;

    /** The open point that keeps this one mute by a rule of the unit. */
    public ?string $keptMuteBy;

    public bool $isMuted;

    /** Where it is set and how long it stays, where that is not as with the rest of the unit; empty where it is. */
    public string $life;

    /** Controls that somebody has entered and that move something of it: "Fader 1 (Music), Left pad"; empty where none does. */
    public string $hands;

    public function __construct(public string $unit, public Point $point, State $state, EquipmentModel $model)
    {
        $at = "{$unit}/{$point->id}";
        $this->hands = implode(', ', array_map(fn (Control $one) => $one->words(), array_filter(
            $state->rig->controls,
            fn (Control $one) => array_filter($one->moves, fn (Move $move) => (string) $move->at === $at) !== [],
        )));
        $parts = [];
        foreach (Dials::of($model, $point) as $kind) {
            $value = $state->of($unit, $point, $kind);
            $scale = $kind->scale($point);
            $parts[] = $scale === null ? Key::of($kind, $value === true)
                : new Knob($kind->key(), $kind->name(), $kind->plain($value), $scale, self::ownScale($point, $kind->key()));
        }
        $this->parts = $parts;
        $this->life = implode(', ', array_filter([
            $point->made === null ? '' : "set {$point->made->words()}",
            $point->holds === null ? '' : "holds {$point->holds->words()}",
        ]));
        $this->isMuted = $state->isMuted($unit, $point);
        $this->keptMuteBy = $point->mute === null ? null : $state->autoMutedBy($unit, $point)?->label;
    }

    /** The knob of that field, where the point has one. */
    public function knob(string $field): ?Knob
    {
        foreach ($this->parts as $part) {
            if ($part instanceof Knob && $part->field === $field) {
                return $part;
            }
        }

        return null;
    }

    /**
     * @param  list<string>  $fields
     * @return list<Knob|Key> all others
     */
    public function partsBut(array $fields): array
    {
        return array_values(array_filter($this->parts, fn (Knob|Key $part) => ! in_array($part->field, $fields, true)));
    }

    private static function ownScale(Point $point, string $control): ?OwnScale
    {
        return match ($control) {
            'gain' => $point->gain?->scale, 'fader' => $point->fader?->scale, default => null,
        };
    }
}
