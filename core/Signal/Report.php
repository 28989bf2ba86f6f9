<?php

declare(strict_types=1);

namespace HiddenWire\Core\Signal;

use HiddenWire\Core\Devices\Device;
use HiddenWire\Core\Rig\Role;

/** The whole answer for one situation as plain data, for the command line and for other programs. */
final class Report
{
    /**
     * @return array{rig: string, situation: string, hearing: list<array<string, mixed>>, loops: list<array<string, mixed>>,
     *               devices: array<string, list<array<string, mixed>>>, findings: list<never>}
     */
    public function of(Hearing $hearing): array
    {
        $pairs = [];
        foreach ($hearing->all() as $pair) {
            $arrivals = [];
            foreach ($pair->arrivals as $arrival) {
                $arrivals[] = $this->arrival($arrival);
            }
            $pairs[] = ['source' => $pair->source->id, 'listener' => $pair->listener->id, 'wish' => $pair->wish?->want->value, 'verdict' => $pair->verdict->value, 'arrivals' => $arrivals];
        }

        return [
            'rig' => $hearing->graph->rig->name,
            'situation' => $hearing->graph->state->situation->id,
            'hearing' => $pairs,
            'loops' => array_map(fn (Loop $loop) => [
                'gain_db' => $loop->gain->number(), 'delay_ms' => $loop->delay->number(), 'howls' => $loop->howls(), 'hops' => array_map($this->hop(...), $loop->hops),
            ], $hearing->loops),
            'devices' => array_map(fn (array $list) => array_map($this->device(...), array_values($list)), $hearing->graph->devices->all()),
            'findings' => [],
        ];
    }

    /** @return array<string, mixed> */
    public function arrival(Arrival $arrival): array
    {
        return [
            'gain_db' => $arrival->gain->number(),
            'delay_ms' => $arrival->delay->number(),
            'channels' => $arrival->channels(),
            'hops' => array_map($this->hop(...), $arrival->hops),
        ];
    }

    /** @return array{kind: string, ref: string, label: string, gain_db: int|float, delay_ms: int|float} */
    private function hop(Hop $hop): array
    {
        return ['kind' => $hop->kind->value, 'ref' => $hop->ref, 'label' => $hop->label, 'gain_db' => $hop->gain->number(), 'delay_ms' => $hop->delay->number()];
    }

    /** @return array<string, mixed> */
    private function device(Device $device): array
    {
        return [
            'device' => (string) $device->ref,
            'direction' => $device->direction->value,
            'system_name' => $device->systemName,
            'name' => $device->name(),
            'channels' => $device->channels,
            'enabled' => $device->isEnabled(),
            'connected' => $device->isConnected,
            'roles' => array_map(fn (Role $role) => $role->value, $device->settings->roles ?? []),
        ];
    }
}
