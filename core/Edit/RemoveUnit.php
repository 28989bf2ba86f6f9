<?php

declare(strict_types=1);

namespace HiddenWire\Core\Edit;

use HiddenWire\Core\Rig\Cable;
use HiddenWire\Core\Rig\Change;
use HiddenWire\Core\Rig\DeviceRef;
use HiddenWire\Core\Rig\Format\References;
use HiddenWire\Core\Rig\Hands;
use HiddenWire\Core\Rig\Move;
use HiddenWire\Core\Rig\Pick;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\RouteRef;
use HiddenWire\Core\Rig\Situation;
use HiddenWire\Core\Rig\Unit;

/**
 * Takes a unit away, with its cables, picks, device settings and what situations change of it. Sounds and listeners stay, without their
 * place in it.
 */
final readonly class RemoveUnit implements RigEdit
{
    public function __construct(public string $unit)
    {
    }

    public function applyTo(Rig $rig): Rig
    {
        $isHere = fn (PointRef|RouteRef|DeviceRef|null $ref): bool => $ref?->unit === $this->unit;
        $model = $rig->units[$this->unit]->model;
        $isLast = array_filter($rig->units, fn (Unit $unit) => $unit->model === $model && $unit->id !== $this->unit) === [];
        $gone = array_filter($rig->cables, fn (Cable $cable) => $cable->from->unit === $this->unit || $cable->to->unit === $this->unit);
        // A pick without its device is none, and what a situation changes is about a point, a route or a pick.
        $parts = $rig->parts()->with(
            models: $isLast ? array_diff_key($rig->models, [$model => true]) : $rig->models,
            picks: array_values(array_filter($rig->picks, fn (Pick $pick) => ! $isHere($pick->device))),
            situations: array_values(array_map(fn (Situation $situation) => $situation->with(changes: array_values(array_map(
                fn (Change $change) => $change->set instanceof Pick ? new Change($change->at, $this->withoutIt($change->set)) : $change,
                array_filter(
                    $situation->changes,
                    fn (Change $change) => ! $isHere($change->at) && ! ($change->set instanceof Pick && $isHere($change->set->device)),
                ),
            ))), $rig->situations)),
        );
        foreach ($gone as $cable) {
            $parts = References::gone($parts, 'cables', $cable->id);
        }

        return new Rig(Hands::held(References::gone($parts, 'units', $this->unit)));
    }

    private function withoutIt(Pick $pick): Pick
    {
        return $pick->with(also: array_values(array_filter($pick->also, fn (DeviceRef $one) => $one->unit !== $this->unit)));
    }

    public function words(Rig $rig): string
    {
        $goes = $this->goesWithIt($rig);

        return "Removed {$rig->units[$this->unit]->name}".($goes === [] ? '' : ', and with it '.implode(', ', $goes));
    }

    /**
     * What goes with the unit, in words, for the question before and the history after.
     *
     * @return list<string>
     */
    public function goesWithIt(Rig $rig): array
    {
        $cables = array_filter($rig->cables, fn (Cable $cable) => $cable->from->unit === $this->unit || $cable->to->unit === $this->unit);
        $picks = array_filter($rig->picks, fn (Pick $pick) => $pick->at->unit === $this->unit || $pick->device?->unit === $this->unit);

        return array_values(array_filter([
            implode(', ', array_map(fn (Cable $cable) => $cable->label, $cables)),
            $picks === [] ? '' : count($picks).(count($picks) === 1 ? ' pick' : ' picks'),
            ...$this->controls($rig),
        ]));
    }

    /** @return list<string> controls that are on it, and what others move in it */
    private function controls(Rig $rig): array
    {
        $goes = [];
        foreach ($rig->controls as $control) {
            $moves = array_filter($control->moves, fn (Move $move) => $move->unit() === $this->unit);
            $goes[] = match (true) {
                (string) $control->at === "units/{$this->unit}" => $control->words(),
                $moves !== [] => "what {$control->words()} moves in it",
                default => '',
            };
        }

        return $goes;
    }
}
