<?php

declare(strict_types=1);

namespace HiddenWire\Core\Controls;

use HiddenWire\Core\Planning\Hearings;
use HiddenWire\Core\Rig\Control;
use HiddenWire\Core\Rig\ControlNames;

/** What controls do, as data: see the README of the format for its shape. */
final readonly class ReachReport
{
    /**
     * @param  list<Control>  $controls
     * @param  list<string>  $situations  ids
     * @return list<array<string, mixed>> a control each: {id, name, legend, moves: [words], situations: [{situation, reach: [{source,
     *     listener, by, with, to, levels: [{at, db}]}]}]}; `at` in hundredths of the way, or what is done with a key; `db` null where it is
     *     not heard
     */
    public function of(Hearings $plan, array $controls, array $situations): array
    {
        $reach = new ControlReach($plan);
        $names = new ControlNames($plan->rig);

        return array_map(fn (Control $control): array => [
            'id' => $control->id,
            'name' => $control->name,
            'legend' => $control->legend,
            'moves' => array_map($names->move(...), $control->moves),
            'situations' => array_map(fn (string $situation): array => [
                'situation' => $situation,
                'reach' => array_map($this->one(...), $reach->of($control, $situation)),
            ], $situations),
        ], $controls);
    }

    /** @return array<string, mixed> */
    private function one(MovedPair $reach): array
    {
        return [
            'source' => $reach->source->id,
            'listener' => $reach->listener->id,
            'by' => $reach->by->value,
            'with' => $reach->with,
            'to' => $reach->to?->slot(),
            'levels' => array_map(
                fn (Position $stop, ?float $db): array => ['at' => $stop->at === null ? $stop->words : $stop->at / 10,
                    'db' => $db === null ? null : round($db, 2)],
                $reach->stops,
                $reach->levels(),
            ),
        ];
    }
}
