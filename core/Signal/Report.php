<?php

declare(strict_types=1);

namespace HiddenWire\Core\Signal;

use HiddenWire\Core\Devices\Device;
use HiddenWire\Core\Rig\Role;
use HiddenWire\Core\Rig\Source;

/** The whole answer for one situation as plain data, for the command line and for other programs. */
final class Report
{
    /** What is reported of a pair that nothing joins. */
    private const NOTHING = [
        'source' => '', 'listener' => '', 'wish' => null, 'verdict' => '',
        'level_db' => null,
        'delay_ms' => null,
        'channels' => '',
        'legs' => [],
        'lost' => null,
        'lost_channels' => [],
        'beside' => [],
        'doubling' => null,
        'lowered' => [],
        'cancelling' => [],
        'uncounted' => null,
        'arrivals' => [],
        'more_arrivals' => false,
    ];

    /**
     * @param  bool  $withResponse  with the impulse response of each pair
     * @return array{rig: string, situation: string, hearing: list<array<string, mixed>>, loops: list<array<string, mixed>>,
     *               devices: array<string, list<array<string, mixed>>>}
     */
    public function of(Hearing $hearing, bool $withResponse = false): array
    {
        return [
            'rig' => $hearing->rig->name,
            'situation' => $hearing->situation->id,
            'hearing' => iterator_to_array($this->pairs($hearing, $withResponse), false),
        ] + $this->besides($hearing);
    }

    /**
     * What is said beside the pairs.
     *
     * @return array{loops: list<array<string, mixed>>, devices: array<string, list<array<string, mixed>>>}
     */
    public function besides(Hearing $hearing): array
    {
        return [
            'loops' => array_map(fn (Loop $loop) => [
                'gain_db' => $loop->gain->number(),
                'delay_ms' => $loop->delay->number(),
                'howls' => $loop->howls(),
                'rings' => $loop->rings(),
                'at_most' => $loop->isBound,
                'margin_db' => $loop->margin()?->number(),
                'cut' => array_map(strval(...), $loop->cut),
                'hops' => array_map($this->hop(...), $loop->hops), 'elements' => $loop->elements,
            ], $hearing->loops()),
            'devices' => array_map(
                fn (array $list) => array_map($this->device(...), array_values($list)),
                $hearing->graph()->devices->all(),
            ),
        ];
    }

    /**
     * What is reported of each pair, as a stream: a large rig has too many to hold all at once.
     *
     * @return \Generator<int, array<string, mixed>>
     */
    public function pairs(Hearing $hearing, bool $withResponse = false): \Generator
    {
        $nothing = $withResponse ? [...self::NOTHING, 'response' => [], 'left_out' => null] : self::NOTHING;
        foreach ($hearing->rows() as [$source, $wishes, $pairs]) {
            $nothing['source'] = $source->id;
            foreach ($hearing->rig->listeners as $id => $listener) {
                $pair = $pairs[$id] ?? null;
                if ($pair !== null && ($pair->sum->isReached || $pair->sum->isUncertain())) {
                    yield $this->pair($hearing, $pair, $withResponse);
                    $pair->forgetWays();

                    continue;
                }
                $silent = $nothing;
                $silent['listener'] = $listener->id;
                $silent['wish'] = ($wishes[$id] ?? null)?->want->value;
                $silent['verdict'] = ($pair->verdict ?? Hearing::verdictOfSilence($wishes[$id] ?? null))->value;
                yield $silent;
            }
        }
    }

    /** @return array<string, mixed> */
    private function pair(Hearing $hearing, HeardPair $pair, bool $withResponse): array
    {
        $arrivals = [];
        foreach ($pair->arrivals() as $arrival) {
            $arrivals[] = $this->arrival($arrival);
        }

        return [
            'source' => $pair->source->id,
            'listener' => $pair->listener->id,
            'wish' => $pair->wish?->want->value,
            'verdict' => $pair->verdict->value,
            'level_db' => $pair->level()?->number(),
            'delay_ms' => $pair->delay()?->number(),
            'channels' => $pair->channels(),
            'legs' => $pair->legs(),
            'lost' => $pair->loss?->value,
            'lost_channels' => $pair->sum->isHeard() ? $pair->sum->namesOfLostParts() : [],
            'beside' => array_map(fn (Source $one) => $one->id, $pair->beside),
            'doubling' => $this->doubling($pair->doubling),
            'lowered' => array_map($this->lowering(...), (new Ducking($hearing->graph()))->of($pair)),
            'cancelling' => array_map($this->arrival(...), $pair->cancelling() ?? []),
            'uncounted' => $this->uncounted($pair), 'arrivals' => $arrivals, 'more_arrivals' => $pair->isCapped(),
        ] + ($withResponse ? [
            'response' => $hearing->response($pair),
            // Every tap down to -80 dB, but for what would have taken too long.
            'left_out' => $pair->sum->rest > 0 ? ['at_most_db' => $pair->sum->restAtMost()?->number()] : null,
        ] : []);
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

    /** @return array{at: string, effect: string, db: int|float, by: list<string>} */
    private function lowering(Lowering $lowering): array
    {
        return [
            'at' => (string) $lowering->at, 'effect' => $lowering->effect->id, 'db' => $lowering->lowers->number(),
            'by' => array_map(fn (Source $one) => $one->id, $lowering->by),
        ];
    }

    /** @return array<string, mixed>|null */
    public function doubling(?Doubling $doubling): ?array
    {
        return $doubling === null ? null : [
            'kind' => $doubling->kind()->value,
            'apart_ms' => $doubling->apart->number(),
            'difference_db' => $doubling->difference->number(),
            'first_notch_hz' => $doubling->firstNotch()?->value,
            'bass_cancels_below_hz' => $doubling->cancelsBelow()?->value,
            'depth_db' => $doubling->depth()->number(),
        ];
    }

    /**
     * @return array{at_most_db: int|float|null}|null null where everything that matters was counted; at_most_db null where there is no
     *     bound
     */
    private function uncounted(HeardPair $pair): ?array
    {
        return $pair->sum->isUncertain() ? ['at_most_db' => $pair->sum->restAtMost()?->number()] : null;
    }

    /** @return array{kind: string, ref: string, label: string, gain_db: int|float, delay_ms: int|float} */
    private function hop(Hop $hop): array
    {
        return [
            'kind' => $hop->kind->value,
            'ref' => $hop->ref,
            'label' => $hop->label,
            'gain_db' => $hop->gain->number(),
            'delay_ms' => $hop->delay->number(),
        ];
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
            'roles' => array_map(fn (Role $role) => $role->value, $device->roles),
        ];
    }
}
