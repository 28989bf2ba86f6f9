<?php

declare(strict_types=1);

namespace HiddenWire\Core\Checks\Plug;

use HiddenWire\Core\Checks\Check;
use HiddenWire\Core\Checks\Finding;
use HiddenWire\Core\Checks\Inspection;
use HiddenWire\Core\Checks\Severity;
use HiddenWire\Core\Equipment\PointKind;
use HiddenWire\Core\Rig\CableRef;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\Situation;
use HiddenWire\Core\Rig\Unit;
use HiddenWire\Core\Rig\UnitRef;

/** A unit, an end of a cable, a bus or a strip that leads nowhere. */
final readonly class Loose implements Check
{
    public function code(): string
    {
        return 'plug.loose';
    }

    public function findings(Inspection $in): iterable
    {
        foreach ($in->rig->units as $unit) {
            yield from $this->unit($in, $unit);
            yield from $this->strips($in, $unit);
            yield from $this->buses($in, $unit);
        }
        foreach ($in->rig->cables as $cable) {
            $isAlwaysOut = array_filter($in->rig->situations, fn (Situation $one) => ! in_array($cable->id, $one->pulled, true)) === [];
            if ($isAlwaysOut) {
                yield new Finding(
                    $this->code(),
                    Severity::Note,
                    "{$cable->label} is out in every situation",
                    'Take it away, or plug it in where it belongs.',
                    [new CableRef($cable->id)],
                );
            }
        }
    }

    /** @return iterable<Finding> */
    private function unit(Inspection $in, Unit $unit): iterable
    {
        $model = $in->rig->modelOf($unit);
        if ($model->sockets === [] || $model->family->isHost() || $model->isProgram()) {
            return;
        }
        $used = array_filter($model->sockets, fn ($socket) => $in->wiring->at("{$unit->id}/{$socket->id}") !== []);
        $isLoose = $used === [];
        if ($isLoose || ($model->family->handsOn() && count($used) === 1 && count($model->sockets) > 1)) {
            yield new Finding(
                $this->code(),
                $isLoose ? Severity::Note : Severity::Risk,
                $isLoose ? "Nothing is plugged into {$unit->name}" : "{$unit->name} is plugged on one side only",
                $isLoose ? 'Plug it in, or put it back into the stock.' : 'It only hands on what comes: one of its leads is missing.',
                [new UnitRef($unit->id)],
            );
        }
    }

    /** @return iterable<Finding> buses into which somebody has switched something, and that nobody hears in any situation */
    private function buses(Inspection $in, Unit $unit): iterable
    {
        $model = $in->rig->modelOf($unit);
        $fed = [];
        foreach ($unit->routes as $key => $set) {
            $fed += $set->on === true ? [$model->routes[$key]->to => true] : [];
        }
        foreach (array_intersect_key($model->points, $fed) as $point) {
            $at = new PointRef($unit->id, $point->id);
            $isHeard = $point->kind !== PointKind::Bus;
            foreach ($isHeard ? [] : $in->each() as $situation => $_) {
                $isHeard = $isHeard || $in->field($situation)->listenersBehind($at) !== [];
            }
            if (! $isHeard) {
                $what = "{$in->names->of($at)} is mixed for nobody: nothing behind it reaches a listener";
                yield new Finding(
                    $this->code(),
                    Severity::Note,
                    $what,
                    'Plug in who is to hear it, or switch off what goes into it.',
                    [$at],
                );
            }
        }
    }

    /** @return iterable<Finding> strips at which a sound arrives that no route takes on */
    private function strips(Inspection $in, Unit $unit): iterable
    {
        $model = $in->rig->modelOf($unit);
        foreach ($model->points as $point) {
            if ($point->kind !== PointKind::Strip) {
                continue;
            }
            $at = new PointRef($unit->id, $point->id);
            $sounds = [];
            foreach ($in->each() as $situation => $hearing) {
                foreach ($model->routes as $route) {
                    if ($route->from === $point->id && $hearing->graph()->state->route($unit->id, $route)->on) {
                        continue 3;
                    }
                }
                $sounds = [...$sounds, ...$in->field($situation)->sourcesAt($at)];
            }
            if ($sounds !== []) {
                yield new Finding(
                    $this->code(),
                    Severity::Note,
                    "{$sounds[0]->name} comes to {$in->names->of($at)} and goes no further: every way out of it is off",
                    'Switch on where it is to go.',
                    [$at],
                );
            }
        }
    }
}
