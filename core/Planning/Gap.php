<?php

declare(strict_types=1);

namespace HiddenWire\Core\Planning;

use HiddenWire\Core\Devices\Device;
use HiddenWire\Core\Edit\Plug;
use HiddenWire\Core\Edit\SetPick;
use HiddenWire\Core\Edit\SetPoint;
use HiddenWire\Core\Edit\SetRoute;
use HiddenWire\Core\Equipment\ChannelMap;
use HiddenWire\Core\Equipment\Direction;
use HiddenWire\Core\Equipment\Lane;
use HiddenWire\Core\Equipment\Mating;
use HiddenWire\Core\Equipment\Point;
use HiddenWire\Core\Equipment\RouteSetting;
use HiddenWire\Core\Equipment\Way;
use HiddenWire\Core\Planning\Remedies\Devices;
use HiddenWire\Core\Planning\Remedies\Systems;
use HiddenWire\Core\Quantity\Decibels;
use HiddenWire\Core\Rig\DeviceRef;
use HiddenWire\Core\Rig\Pick;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\PointSettings;
use HiddenWire\Core\Rig\RouteRef;
use HiddenWire\Core\Rig\RouteSettings;
use HiddenWire\Core\Rig\SocketRef;
use HiddenWire\Core\Signal\BlockKind;
use HiddenWire\Core\Signal\HopKind;
use HiddenWire\Core\Signal\Link;
use HiddenWire\Core\Signal\SignalGraph;

/**
 * The cheapest way from a source to a listener over what carries, what is off, what could be picked, and cables that could be plugged: for
 * a sound that one change alone does not bring. Dijkstra's method by channel, so that channels that do not meet count as a gap too. Never
 * through the air.
 */
final class Gap
{
    /** A step that carries costs next to nothing: of two ways with equal changes the shorter is taken. */
    private const LIVE = 1;

    /**
     * Ways proposed, each without the dearest change of the one before: first over what is picked and plugged now, whatever is
     * shut on it, then over what else could be.
     */
    private const WAYS = [1 => 2, 0 => 5];

    private readonly SignalGraph $graph;

    /**
     * @var list<array{list<array{int, int}>, Candidate|null, int, bool}> channel pairs, the change that makes them carry, its cost, whether
     *     it only opens what is shut
     */
    private array $steps = [];

    /** @var array<int, list<int>> steps by the node that they leave */
    private array $leaving = [];

    /** @var array<int, int> node by its first channel */
    private array $nodeAt = [];

    /** @param  bool  $isOnlyOpened  only what is shut is opened, nothing is picked or plugged */
    public function __construct(private readonly Trouble $trouble, private readonly bool $isOnlyOpened = false)
    {
        $this->graph = $trouble->graph;
    }

    /** @return iterable<Candidate> */
    public function candidates(): iterable
    {
        if (! $this->trouble->lacks()) {
            return;
        }
        $this->prepare();
        $yielded = [];
        foreach ($this->isOnlyOpened ? array_slice(self::WAYS, 0, 1, true) : self::WAYS as $isAsItStands => $ways) {
            $banned = [];
            for ($number = 0; $number < $ways; $number++) {
                $changes = $this->cheapest($banned, $isAsItStands === 1);
                if ($changes === []) {
                    break;
                }
                $all = array_reduce(array_slice($changes, 1), fn (Candidate $all, Candidate $one) => $all->with($one), $changes[0]);
                if (! isset($yielded[$all->key])) {
                    $yielded[$all->key] = true;
                    yield $all;
                }
                usort($changes, fn (Candidate $a, Candidate $b) => $b->cost <=> $a->cost);
                $banned[$changes[0]->key] = true;
            }
        }
    }

    private function prepare(): void
    {
        foreach ($this->graph->first as $node => $first) {
            for ($channel = $first; $channel < $first + $this->graph->width[$node]; $channel++) {
                $this->nodeAt[$channel] = $node;
            }
        }
        foreach ($this->graph->links as $link) {
            if ($link->kind === HopKind::Air) {
                continue;
            }
            $change = $link->block === null ? null : $this->undoing($link);
            if ($link->block === null || $change !== null) {
                $this->add($link->from, $link->to, $link->map, $change, isOpened: true);
            }
        }
        if ($this->isOnlyOpened) {
            return;
        }
        foreach ($this->trouble->rig->units as $unit) {
            $host = $this->trouble->rig->hostOf($unit->place);
            foreach ($host === null ? [] : $this->trouble->rig->modelOf($unit)->points as $point) {
                $takesOne = $point->picks !== null && $point->deviceOf === null;
                foreach ($host === null || ! $takesOne ? [] : $this->graph->devices->of($host->id) as $device) {
                    if ($device->isConnected && $device->ref->unit !== $unit->id && $point->picks !== null) {
                        $this->pick(new PointRef($unit->id, $point->id), $point, $point->picks, $device);
                    }
                }
            }
        }
        $this->freeSockets();
    }

    /**
     * @param  array<string, true>  $banned
     * @param  array<string, true>  $banned
     * @param  bool  $isAsItStands  over what is picked and plugged, whatever is shut
     * @return list<Candidate> the changes on the cheapest way, in order
     */
    private function cheapest(array $banned, bool $isAsItStands): array
    {
        $cost = $cameBy = $done = [];
        // Of equal ways the one that was come upon first: first sockets before second ones.
        $queue = new \SplPriorityQueue;
        $number = 0;
        foreach ($this->trouble->pair->source->origins as $origin) {
            foreach ($this->graph->channelsOf($this->graph->entry($origin->at)) as $channel) {
                $cost[$channel] = 0;
                $queue->insert($channel, [0, --$number]);
            }
        }
        $ears = [];
        foreach ($this->trouble->pair->listener->at as $ear) {
            $ears += array_fill_keys($this->graph->channelsOf($this->graph->exit($ear)), true);
        }
        while (! $queue->isEmpty()) {
            $channel = $queue->extract();
            if (isset($done[$channel])) {
                continue;
            }
            $done[$channel] = true;
            if (isset($ears[$channel])) {
                return $this->changesTo($channel, $cameBy);
            }
            $node = $this->nodeAt[$channel];
            foreach ($this->leaving[$node] ?? [] as $id) {
                [$pairs, $change, $price, $isOpened] = $this->steps[$id];
                $isOut = isset($banned[$change->key ?? '']) || ($isAsItStands && $change !== null && ! $isOpened);
                foreach ($isOut ? [] : $pairs as [$from, $to]) {
                    if ($from === $channel && (! isset($cost[$to]) || $cost[$to] > $cost[$channel] + $price)) {
                        $cost[$to] = $cost[$channel] + $price;
                        $cameBy[$to] = [$channel, $change];
                        $queue->insert($to, [-$cost[$to], --$number]);
                    }
                }
            }
        }

        return [];
    }

    /**
     * @param  array<int, array{int, Candidate|null}>  $cameBy
     * @return list<Candidate>
     */
    private function changesTo(int $channel, array $cameBy): array
    {
        $changes = [];
        while (isset($cameBy[$channel])) {
            [$channel, $change] = $cameBy[$channel];
            if ($change !== null && ! in_array($change->key, array_map(fn (Candidate $one) => $one->key, $changes), true)) {
                array_unshift($changes, $change);
            }
        }

        return $changes;
    }

    /** @param  list<array{int, int, float}>  $map */
    private function add(int $from, int $to, array $map, ?Candidate $change, bool $isOpened = false): void
    {
        $pairs = array_map(fn (array $triple) => [$this->graph->first[$from] + $triple[0], $this->graph->first[$to] + $triple[1]], $map);
        $this->leaving[$from][] = count($this->steps);
        $this->steps[] = [$pairs, $change, $change->cost ?? self::LIVE, $isOpened];
    }

    /** The change that makes a blocked link carry; null where there is none. */
    private function undoing(Link $link): ?Candidate
    {
        $trouble = $this->trouble;
        $at = $link->at;

        return match (true) {
            $link->block === BlockKind::Off && $at instanceof RouteRef
                && $trouble->rig->modelOf($at->unit)
                    ->routes[$at->key]->allows(RouteSetting::On) => new Candidate(
                        "route {$at} on",
                        "{$trouble->names->of($at)} is off",
                        "Switch on {$trouble->partOf($at)}",
                        [new SetRoute($at, new RouteSettings(on: true), $this->place($at, 'on'))],
                        Cost::SWITCH,
                        [$at],
                    ),
            $link->block === BlockKind::Muted && $at instanceof PointRef
                && $trouble->graph->state->autoMutedBy($at->unit, $trouble->rig->point($at)) === null => new Candidate(
                    "unmute {$at}",
                    "{$trouble->names->of($at)} is muted",
                    "Unmute {$trouble->partOf($at)}",
                    [new SetPoint($at, new PointSettings(mute: false), $this->place($at, 'mute'))],
                    Cost::SWITCH,
                    [$at],
                ),
            $link->block === BlockKind::Shut
                && $at instanceof PointRef => new Candidate(
                    "raise {$at}",
                    "{$trouble->names->of($at)}: the fader is all the way down",
                    "Raise the fader {$trouble->partOf($at)}",
                    [new SetPoint(
                        $at,
                        new PointSettings(fader: $trouble->rig->point($at)->fader?->db),
                        $this->place($at, 'fader'),
                    )],
                    Cost::FADER,
                    [$at],
                ),
            $link->block === BlockKind::Shut && $at instanceof RouteRef => new Candidate(
                "raise {$at}",
                "{$trouble->names->of($at)} is all the way down",
                "Turn up {$trouble->partOf($at)}",
                [new SetRoute($at, new RouteSettings(db: $this->openLevel($at)), $this->place($at, 'db'))],
                Cost::FADER,
                [$at],
            ),
            $link->block === BlockKind::Disabled && $at instanceof DeviceRef && $link->pick !== null => $this->enabling($at, $link->pick),
            $link->block === BlockKind::Muted && $at instanceof DeviceRef => Systems::unmute($trouble, $link, $at)[0] ?? null,
            default => null,
        };
    }

    private function enabling(DeviceRef $at, PointRef $pick): ?Candidate
    {
        $host = $this->trouble->rig->hostOf($this->trouble->rig->units[$pick->unit]->place);
        $device = $host === null ? null : $this->graph->devices->of($host->id)[(string) $at] ?? null;

        return $host === null || $device === null ? null : Devices::enabling($device, $host)[0] ?? null;
    }

    /**
     * Where a setting is made: in the situation only where that has its own.
     *
     * @param  'fader'|'mute'|'on'|'db'|'pick'  $property
     */
    private function place(PointRef|RouteRef $at, string $property): ?string
    {
        return $this->trouble->placesOf($at, $property)[0];
    }

    /** The level of a route that is open: its factory setting, or unity, as near as it goes. */
    private function openLevel(RouteRef $at): Decibels
    {
        $route = $this->trouble->rig->modelOf($at->unit)->routes[$at->key];
        $isShut = $route->level?->isShutAt($route->db) === true;

        return $isShut ? $route->level->nearest(Decibels::zero()) : $route->db;
    }

    private function pick(PointRef $at, Point $point, Direction $direction, Device $device): void
    {
        $isTap = $device->direction !== $direction;
        $isLooping = $this->trouble->rig->systemKindOf($this->trouble->rig->units[$at->unit]->place)?->loopsBack() ?? true;
        if (($isTap && ($direction === Direction::Playback || ! $isLooping)) || ! $point->offers($device->ref->pickFrom($isTap))) {
            return;
        }
        $trouble = $this->trouble;
        $node = $this->graph->deviceNode($device);
        $now = $trouble->graph->state->pick($at->unit, $at->point);
        $change = new Candidate(
            "pick {$at} {$device->ref}",
            $now === null ? "{$trouble->names->of($at)} has no device picked"
            : "{$trouble->names->of($at)} is not set to {$device->name()}",
            $trouble->picking($at, ($isTap ? 'the loopback of ' : '')."\"{$device->name()}\""),
            [new SetPick(
                $at,
                new Pick($at, $device->ref, tap: $isTap ? $device->direction : null, mode: $now?->mode),
                $this->place($at, 'pick'),
            )],
            ($now === null
                ? Cost::FIRST_PICK : Cost::PICK) + ($isTap ? Cost::TAP : 0),
            [$at, $device->ref],
        );
        $host = $trouble->rig->hostOf($trouble->rig->units[$at->unit]->place);
        // What is there, but not offered, is offered first.
        $offered = $host === null || $device->isUsable() ? null : Devices::enabling($device, $host)[0] ?? null;
        if ($offered === null && ! $device->isUsable()) {
            return;
        }
        $change = $offered === null ? $change : $offered->with($change);
        if ($direction === Direction::Playback) {
            $this->add(
                $this->graph->exit($at),
                $node,
                ChannelMap::usual($point->channels, $device->channels)->between($point->channels, $device->channels),
                $change,
            );
        } else {
            $read = min($device->channels, $trouble->rig->modelOf($at->unit)->limits->channelsRead ?? $device->channels);
            $this->add(
                $node,
                $this->graph->entry($at),
                ChannelMap::usual($read, $point->channels)->between($read, $point->channels),
                $change,
            );
        }
    }

    private function freeSockets(): void
    {
        $free = $this->trouble->free();
        $audio = array_filter($free->empty->all, fn (SocketRef $at) => $free->empty->socket($at)->link === null);
        foreach ($audio as $from) {
            $outs = $free->empty->socket($from)->lanesGoing(Way::Out);
            foreach ($outs === [] ? [] : $audio as $to) {
                $ins = $free->empty->socket($to)->lanesGoing(Way::In);
                if ($ins === [] || $from->unit === $to->unit
                    || Mating::cable($free->empty->socket($from), $free->empty->socket($to)) === null) {
                    continue;
                }
                $change = new Candidate(
                    "plug {$from} {$to}",
                    "Nothing is plugged into {$this->trouble->names->of($from)}",
                    "Plug {$this->trouble->partOf($from)} into {$this->trouble->partOf($to)}",
                    [new Plug($from, $to)],
                    Cost::PLUG + $free->empty->strangeness($from, $to),
                    [$from, $to],
                );
                foreach ($outs as $out) {
                    foreach ($ins as $in) {
                        if ($out->signal->medium() === $in->signal->medium()) {
                            $this->add($this->nodeOf($from, $out), $this->nodeOf($to, $in), $this->mapped($from, $out, $to, $in), $change);
                        }
                    }
                }
            }
        }
    }

    private function nodeOf(SocketRef $at, Lane $lane): int
    {
        $point = new PointRef($at->unit, $lane->point);

        return $lane->way === Way::Out ? $this->graph->exit($point) : $this->graph->entry($point);
    }

    /** @return list<array{int, int, float}> */
    private function mapped(SocketRef $from, Lane $out, SocketRef $to, Lane $in): array
    {
        $channels = fn (SocketRef $at, Lane $lane): array => $lane->channels ?? range(
            1,
            $this->trouble->rig->point(new PointRef($at->unit, $lane->point))->channels,
        );
        [$outs, $ins] = [$channels($from, $out), $channels($to, $in)];

        return array_map(
            fn (array $triple) => [$outs[$triple[0]] - 1, $ins[$triple[1]] - 1, $triple[2]],
            ChannelMap::usual(count($outs), count($ins))->between(count($outs), count($ins)),
        );
    }
}
