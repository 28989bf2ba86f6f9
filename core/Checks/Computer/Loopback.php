<?php

declare(strict_types=1);

namespace HiddenWire\Core\Checks\Computer;

use HiddenWire\Core\Checks\Check;
use HiddenWire\Core\Checks\Finding;
use HiddenWire\Core\Checks\Inspection;
use HiddenWire\Core\Checks\Proposal;
use HiddenWire\Core\Checks\Severity;
use HiddenWire\Core\Edit\SetRoute;
use HiddenWire\Core\Equipment\Route;
use HiddenWire\Core\Planning\Cost;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\RouteRef;
use HiddenWire\Core\Rig\RouteSettings;
use HiddenWire\Core\Rig\Unit;

/** A looped-back output that takes the place of an input in use. */
final readonly class Loopback implements Check
{
    public function code(): string
    {
        return 'computer.loopback';
    }

    public function findings(Inspection $in): iterable
    {
        foreach ($in->each() as $situation => $hearing) {
            foreach ($in->rig->units as $unit) {
                $model = $in->rig->modelOf($unit);
                foreach ($model->routes as $route) {
                    $now = $hearing->graph()->state->route($unit->id, $route);
                    if ($now->group !== null && $now->on && $model->isPlayedTo($now->from)) {
                        foreach ($model->routes as $other) {
                            $isInstead = $other->group === $now->group && $other->to === $now->to && $other->choice() !== $now->choice()
                                && ! $model->isPlayedTo($other->from);
                            yield from $isInstead ? $this->taken($in, $situation, $unit, $now, $other) : [];
                        }
                    }
                }
            }
        }
    }

    /** @return iterable<Finding> */
    private function taken(Inspection $in, string $situation, Unit $unit, Route $loopback, Route $input): iterable
    {
        $sounds = $in->field($situation)->sourcesAt(new PointRef($unit->id, $input->from));
        if ($sounds === []) {
            return;
        }
        $model = $in->rig->modelOf($unit);
        $at = new RouteRef($unit->id, $input->key());
        yield new Finding(
            $this->code(),
            Severity::Risk,
            "{$model->points[$loopback->from]->label} of {$unit->name} is looped back in place of {$model->points[$input->from]->label}, "
                ."where {$sounds[0]->name} comes in",
            'The computer gets the one or the other on these channels. Loop back a pair whose input is free, or move the lead.',
            [new RouteRef($unit->id, $loopback->key()), $at],
            [$situation],
            [new Proposal(
                "Take {$model->points[$input->from]->label} again in place of the loopback",
                [new SetRoute($at, new RouteSettings(on: true), $in->override($situation))],
                Cost::SWITCH,
            )],
        );
    }
}
