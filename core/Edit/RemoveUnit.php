<?php

declare(strict_types=1);

namespace HiddenWire\Core\Edit;

use HiddenWire\Core\Rig\AirPath;
use HiddenWire\Core\Rig\Cable;
use HiddenWire\Core\Rig\Change;
use HiddenWire\Core\Rig\DeviceRef;
use HiddenWire\Core\Rig\DeviceSettings;
use HiddenWire\Core\Rig\Format\References;
use HiddenWire\Core\Rig\Format\Things\Units;
use HiddenWire\Core\Rig\Listener;
use HiddenWire\Core\Rig\Origin;
use HiddenWire\Core\Rig\Pick;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\RouteRef;
use HiddenWire\Core\Rig\Situation;
use HiddenWire\Core\Rig\SocketRef;
use HiddenWire\Core\Rig\Source;
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
        $isHere = fn (PointRef|RouteRef|SocketRef|DeviceRef|null $ref): bool => $ref?->unit === $this->unit;
        $withoutIt = fn (Pick $pick): Pick => array_filter($pick->also, $isHere) === []
            ? $pick
            : $pick->with(also: array_values(array_filter($pick->also, fn (DeviceRef $one) => ! $isHere($one))));
        $units = [];
        foreach ($rig->units as $unit) {
            if ($unit->id !== $this->unit) {
                $units[] = $unit->with(...References::without(Units::unit(), $unit, 'units', $this->unit));
            }
        }
        $gone = array_values(array_map(
            fn (Cable $cable) => $cable->id,
            array_filter($rig->cables, fn (Cable $cable) => $isHere($cable->from) || $isHere($cable->to)),
        ));
        $model = $rig->units[$this->unit]->model;
        $isLast = ! in_array($model, array_map(fn (Unit $unit) => $unit->model, $units), true);

        return new Rig($rig->parts()->with(
            models: $isLast ? array_diff_key($rig->models, [$model => true]) : $rig->models,
            units: $units,
            cables: array_values(array_filter($rig->cables, fn (Cable $cable) => ! $isHere($cable->from) && ! $isHere($cable->to))),
            devices: array_values(array_map(
                fn (DeviceSettings $device) => $isHere($device->playsTo) ? $device->with(playsTo: null) : $device,
                array_filter(
                    $rig->devices,
                    fn (DeviceSettings $device) => $device->computer !== $this->unit && ! $isHere($device->device),
                ),
            )),
            picks: array_values(array_map(
                $withoutIt,
                array_filter($rig->picks, fn (Pick $pick) => ! $isHere($pick->at) && ! $isHere($pick->device)),
            )),
            air: array_values(array_filter($rig->air, fn (AirPath $path) => ! $isHere($path->from) && ! $isHere($path->to))),
            sources: array_values(array_map(
                fn (Source $source) => $source->with(origins: array_values(array_filter(
                    $source->origins,
                    fn (Origin $origin) => ! $isHere($origin->at),
                ))),
                $rig->sources,
            )),
            listeners: array_values(array_map(
                fn (Listener $listener) => $listener->with(at: array_values(array_filter(
                    $listener->at,
                    fn (PointRef $ear) => ! $isHere($ear),
                ))),
                $rig->listeners,
            )),
            situations: array_values(array_map(fn (Situation $situation) => $situation->with(changes: array_values(array_map(
                fn (Change $change) => $change->set instanceof Pick ? new Change($change->at, $withoutIt($change->set)) : $change,
                array_filter(
                    $situation->changes,
                    fn (Change $change) => ! $isHere($change->at) && ! ($change->set instanceof Pick && $isHere($change->set->device)),
                ),
            )))->without([$this->unit], $gone), $rig->situations)),
        ));
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
        ]));
    }
}
