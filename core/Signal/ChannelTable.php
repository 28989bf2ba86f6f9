<?php

declare(strict_types=1);

namespace HiddenWire\Core\Signal;

use HiddenWire\Core\Devices\Device;
use HiddenWire\Core\Equipment\ChannelMap;
use HiddenWire\Core\Equipment\Direction;
use HiddenWire\Core\Equipment\EquipmentModel;
use HiddenWire\Core\Equipment\Lane;
use HiddenWire\Core\Equipment\Socket;
use HiddenWire\Core\Equipment\Way;

/**
 * The numbers that a computer knows the channels of a device by, beside what is printed at the unit and what programs do with them: side
 * by side, so that nobody takes the pair next to the right one.
 */
final readonly class ChannelTable
{
    /** More sockets than these at one channel are a mix. */
    private const MOST_SOCKETS = 3;

    public function __construct(private SignalGraph $graph)
    {
    }

    /** Whether its channels need telling apart: there are more than two, or a program has picked some of them. */
    public function isUseful(Device $device): bool
    {
        $picked = array_filter(
            $this->graph->links,
            fn (Link $link) => $link->pick !== null && (string) $link->at === (string) $device->ref
                && $this->graph->state->pick($link->pick->unit, $link->pick->point)?->channels !== null,
        );

        return $device->isConnected && ($device->channels > 2 || $picked !== []);
    }

    /**
     * @return list<array{number: int, print: string, used: list<string>}> by channel: its number in the system, what is printed where it
     *     comes from or goes to ("" for nothing), and the programs that use it ("Recorder: Track 2, left")
     */
    public function rows(Device $device): array
    {
        $model = $this->graph->rig->modelOf($device->ref->unit);
        $rows = [];
        foreach ($device->laneChannels ?? range(1, $device->channels) as $i => $channel) {
            $prints = array_values(array_unique($this->prints($device, $model, $device->point, $channel, [])));
            $rows[] = [
                'number' => $i + 1,
                'print' => count($prints) > self::MOST_SOCKETS ? 'a mix of '.count($prints) : implode(' and ', $prints),
                'used' => $this->uses($device, $i),
            ];
        }

        return $rows;
    }

    /**
     * What is printed where a channel of a point comes from (recording), or goes to (playback).
     *
     * @param  array<string, true>  $seen  points and channels that have been looked at
     * @return list<string>
     */
    private function prints(Device $device, EquipmentModel $model, string $point, int $channel, array $seen): array
    {
        if (isset($seen["{$point} {$channel}"])) {
            return [];
        }
        $seen["{$point} {$channel}"] = true;
        $isRecording = $device->direction === Direction::Recording;
        $prints = [];
        foreach ($model->sockets as $socket) {
            foreach ($socket->lanes as $lane) {
                if ($lane->point === $point && $lane->way === ($isRecording ? Way::In : Way::Out)
                    && ($lane->channels === null || in_array($channel, $lane->channels, true))) {
                    $prints[] = $this->print($model, $socket, $lane, $channel);
                }
            }
        }
        foreach ($model->routes as $route) {
            [$here, $there] = $isRecording ? [$route->to, $route->from] : [$route->from, $route->to];
            if ($here !== $point || ! $this->graph->state->route($device->ref->unit, $route)->on) {
                continue;
            }
            [$from, $to] = [$model->points[$route->from]->channels, $model->points[$route->to]->channels];
            foreach (($route->map ?? ChannelMap::usual($from, $to))->between($from, $to) as [$out, $in]) {
                if (($isRecording ? $in : $out) === $channel - 1) {
                    array_push($prints, ...$this->prints($device, $model, $there, ($isRecording ? $out : $in) + 1, $seen));
                }
            }
        }

        return $prints;
    }

    /** "In 4", "Optical in, left", "what the computer plays on 7" */
    private function print(EquipmentModel $model, Socket $socket, Lane $lane, int $channel): string
    {
        $channels = $lane->channels ?? range(1, $model->points[$lane->point]->channels);
        $number = (int) array_search($channel, $channels, true) + 1;
        if ($lane->device !== null) {
            return ($lane->way === Way::In ? 'what the computer plays on ' : 'what the computer records on ').$number;
        }

        return $socket->label.match (count($channels)) {
            1 => '',
            2 => $number === 1 ? ', left' : ', right',
            default => " {$number}",
        };
    }

    /** @return list<string> ins and outs of programs that use a channel of a device, counted from 0 */
    private function uses(Device $device, int $channel): array
    {
        $uses = [];
        foreach ($this->graph->links as $link) {
            if ($link->pick === null || $link->kind !== HopKind::Device || (string) $link->at !== (string) $device->ref) {
                continue;
            }
            $unit = $this->graph->rig->units[$link->pick->unit];
            $point = $this->graph->rig->point($link->pick);
            $sides = [];
            foreach ($link->map as [$from, $to]) {
                if (($point->picks === Direction::Playback ? $to : $from) === $channel) {
                    $sides[] = ($point->picks === Direction::Playback ? $from : $to) === 0 ? 'left' : 'right';
                }
            }
            if ($sides !== []) {
                $uses[] = "{$unit->name}: {$point->label}".($point->channels === 2 && count($sides) === 1 ? ", {$sides[0]}" : '');
            }
        }

        return $uses;
    }
}
