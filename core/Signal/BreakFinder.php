<?php

declare(strict_types=1);

namespace HiddenWire\Core\Signal;

use HiddenWire\Core\Devices\Device;
use HiddenWire\Core\Edit\EnableDevice;
use HiddenWire\Core\Edit\Plug;
use HiddenWire\Core\Edit\RigEdit;
use HiddenWire\Core\Edit\SetPick;
use HiddenWire\Core\Edit\SetPoint;
use HiddenWire\Core\Edit\SetRoute;
use HiddenWire\Core\Equipment\ChannelMap;
use HiddenWire\Core\Equipment\Direction;
use HiddenWire\Core\Equipment\Lane;
use HiddenWire\Core\Equipment\Mating;
use HiddenWire\Core\Equipment\Point;
use HiddenWire\Core\Equipment\Realm;
use HiddenWire\Core\Equipment\Socket;
use HiddenWire\Core\Equipment\Way;
use HiddenWire\Core\Rig\Listener;
use HiddenWire\Core\Rig\Pick;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\PointSettings;
use HiddenWire\Core\Rig\RouteRef;
use HiddenWire\Core\Rig\RouteSettings;
use HiddenWire\Core\Rig\SocketRef;
use HiddenWire\Core\Rig\Source;
use HiddenWire\Core\Rig\Unit;

/**
 * Finds the nearest break: the cheapest way from a source to a listener over what carries, what is off, what could be picked, and cables that could be plugged between
 * free sockets of one medium. Dijkstra's method by channel, so that channels that do not meet count as a break too.
 */
final class BreakFinder
{
    /**
     * What a change costs a technician: a switch is at hand; a program left on the default wants a pick anyway; one in use is changed with more care than one that has none; a
     * cable has to be found and run. Steps that carry cost next to nothing, so that of two ways with equal changes the shorter is named.
     */
    private const COST = ['live' => 1, 'switch' => 1000, 'pick for default' => 1100, 'first pick' => 1200, 'other pick' => 1250, 'tap' => 50, 'cable' => 3000];

    /** @var list<array{Link, string|null, int, RigEdit|null}> a link, the text of the change that makes it carry (null where it carries now), the cost, the change itself */
    private array $steps = [];

    /** @var array<int, list<int>> steps by the channel that they leave; kept by node */
    private array $leaving = [];

    /** @var array<string, array{outs: list<array{int, list<int>, string, string}>, ins: list<array{int, list<int>, string, string}>}> free sockets by medium */
    private array $free = [];

    public function __construct(private readonly SignalGraph $graph)
    {
        foreach ($graph->links as $link) {
            $this->add($link, $link->block === null ? null : $this->undo($link), self::COST[$link->block === null ? 'live' : 'switch'],
                $link->block === null ? null : $this->undoing($link));
        }
        foreach ($graph->rig->units as $unit) {
            foreach ($graph->rig->modelOf($unit)->points as $point) {
                if ($point->picks !== null) {
                    $this->possiblePicks($unit, $point, $point->picks);
                }
            }
        }
        $this->freeSockets();
    }

    /** Null where nothing that is known could join them. */
    public function between(Source $source, Listener $listener): ?NearestBreak
    {
        $media = array_keys($this->free);
        $cost = [];
        /** @var array<int, array{int|null, Link|string, string|null, RigEdit|null}> $cameBy channel => (channel before, link or socket, change in words, change) */
        $cameBy = [];
        $queue = new \SplPriorityQueue;
        foreach ($source->origins as $origin) {
            foreach ($this->graph->channelsOf($this->graph->entry($origin->at)) as $channel) {
                $cost[$channel] = 0;
                $queue->insert($channel, 0);
            }
        }
        $ears = [];
        foreach ($listener->at as $ear) {
            $ears += array_fill_keys($this->graph->channelsOf($this->graph->exit($ear)), true);
        }
        $done = [];
        $end = null;
        while (! $queue->isEmpty()) {
            $channel = $queue->extract();
            if (isset($done[$channel])) {
                continue;
            }
            $done[$channel] = true;
            if (isset($ears[$channel])) {
                $end = $channel;

                break;
            }
            foreach ($this->onwards($channel, $media) as [$to, $by, $change, $price, $edit]) {
                $total = $cost[$channel] + $price;
                if (! isset($cost[$to]) || $total < $cost[$to]) {
                    $cost[$to] = $total;
                    $cameBy[$to] = [$channel, $by, $change, $edit];
                    $queue->insert($to, -$total);
                }
            }
        }

        return $end === null ? null : $this->told($end, $cameBy);
    }

    /**
     * @param  list<string>  $media
     * @return \Generator<int, array{int, Link|string, string|null, int, RigEdit|null}>
     */
    private function onwards(int $channel, array $media): \Generator
    {
        // Channels past the graph's own stand for "a free socket of this medium gives it".
        $medium = $media[$channel - $this->graph->channels] ?? null;
        if ($medium !== null) {
            foreach ($this->free[$medium]['ins'] as [$node, $channels, $ref, $words]) {
                foreach ($channels as $into) {
                    yield [$this->graph->first[$node] + $into, $ref, $words, 0, null];
                }
            }

            return;
        }
        $node = $this->nodeOf($channel);
        foreach ($this->leaving[$node] ?? [] as $id) {
            [$link, $change, $price, $edit] = $this->steps[$id];
            foreach ($link->map as [$a, $b]) {
                if ($channel === $this->graph->first[$node] + $a) {
                    yield [$this->graph->first[$link->to] + $b, $link, $change, $price, $edit];
                }
            }
        }
        foreach ($media as $number => $name) {
            foreach ($this->free[$name]['outs'] as [$from, $channels, $ref, $words]) {
                if ($from === $node && in_array($channel - $this->graph->first[$node], $channels, true)) {
                    yield [$this->graph->channels + $number, $ref, $words, self::COST['cable'], null];
                }
            }
        }
    }

    /** @param  array<int, array{int|null, Link|string, string|null, RigEdit|null}>  $cameBy */
    private function told(int $end, array $cameBy): ?NearestBreak
    {
        $way = [];
        for ($channel = $end; isset($cameBy[$channel]); $channel = (int) $cameBy[$channel][0]) {
            array_unshift($way, $cameBy[$channel]);
        }
        $live = $waiting = $changes = [];
        $plugFrom = null;
        foreach ($way as [, $by, $change, $edit]) {
            if ($by instanceof Link && $change === null) {
                $waiting[] = $by->label;
                if ($changes === []) {
                    $live[] = $by->label;
                }

                continue;
            }
            $waiting = [];
            if ($by instanceof Link) {
                $changes[] = new JoiningChange($by->block ?? BlockKind::Off, $by->ref, (string) $change, $edit);
            } elseif ($plugFrom === null) {
                $plugFrom = [$by, $change];
            } else {
                $changes[] = new JoiningChange(BlockKind::NotPlugged, "{$plugFrom[0]}>{$by}", "Plug a cable from {$plugFrom[1]} to {$change}", $this->plug($plugFrom[0], $by));
                $plugFrom = null;
            }
        }

        return $changes === [] ? null : new NearestBreak($live, $waiting, $changes);
    }

    private function add(Link $link, ?string $change, int $price, ?RigEdit $edit): void
    {
        $this->leaving[$link->from][] = count($this->steps);
        $this->steps[] = [$link, $change, $price, $edit];
    }

    /** What makes a blocked link carry. */
    private function undo(Link $link): string
    {
        $unit = $this->graph->rig->units[strstr($link->ref, '/', true) ?: $link->ref]->name ?? $link->ref;

        return match ($link->block) {
            BlockKind::Muted => "Unmute {$link->label} of {$unit}",
            BlockKind::Shut => "Raise the fader {$link->label} of {$unit}",
            BlockKind::Disabled => "Enable the device {$link->label}",
            BlockKind::NotConnected => "Connect {$link->label} to its computer again",
            default => "Switch on {$link->label} in {$unit}",
        };
    }

    /** The situation in which a change is made: null for the base, where it is made for good. */
    private function situation(): ?string
    {
        $id = $this->graph->state->situation->id;

        return $id === array_key_first($this->graph->rig->situations) ? null : $id;
    }

    /** The change that makes a blocked link carry; null where the product can't make it. */
    private function undoing(Link $link): ?RigEdit
    {
        [$unit, $thing] = [...explode('/', $link->ref, 2), ''];
        $point = new PointRef($unit, $thing);

        return match ($link->block) {
            BlockKind::Off => new SetRoute(new RouteRef($unit, $thing), new RouteSettings(on: true), $this->situation()),
            // A unit's own rule mutes too, and no switch undoes that.
            BlockKind::Muted => $this->graph->state->autoMutedBy($unit, $this->graph->rig->point($point)) === null ? new SetPoint($point, new PointSettings(mute: false), $this->situation()) : null,
            BlockKind::Shut => new SetPoint($point, new PointSettings(fader: $this->graph->rig->point($point)->fader?->db), $this->situation()),
            BlockKind::Disabled => $this->enabling($link),
            default => null,
        };
    }

    /** Null where the two sockets need an adapter. */
    private function plug(string $from, string $to): ?RigEdit
    {
        [$a, $b] = [new SocketRef(...explode('/', $from, 2)), new SocketRef(...explode('/', $to, 2))];

        return Mating::cable($this->graph->rig->socket($a), $this->graph->rig->socket($b)) === null ? null : new Plug($a, $b);
    }

    private function enabling(Link $link): ?RigEdit
    {
        $host = $link->pick === null ? null : $this->graph->rig->hostOf($this->graph->rig->units[(string) strstr($link->pick, '/', true)]->place);
        $device = $host === null ? null : $this->graph->devices->of($host->id)[$link->ref] ?? null;

        return $device === null ? null : new EnableDevice($device->computer, $device->ref, true);
    }

    private function possiblePicks(Unit $program, Point $point, Direction $direction): void
    {
        $host = $this->graph->rig->hostOf($program->place);
        if ($host === null) {
            return;
        }
        $at = new PointRef($program->id, $point->id);
        $now = $this->graph->state->pick($program->id, $point->id);
        $price = self::COST[match (true) {
            $now === null => 'first pick',
            $now->device === null => 'pick for default',
            default => 'other pick',
        }];
        foreach ($this->graph->devices->of($host->id) as $device) {
            if (! $device->isUsable() || $device->ref->unit === $program->id) {
                continue;
            }
            if ($device->direction === $direction) {
                $this->possiblePick($at, $point, $direction, $device, "Let {$point->label} of {$program->name} use {$device->name()}", $price);
            } elseif ($direction === Direction::Recording) {
                $this->possiblePick($at, $point, $direction, $device, "Let {$point->label} of {$program->name} take what the system sends to {$device->name()}", $price + self::COST['tap']);
            }
        }
    }

    private function possiblePick(PointRef $at, Point $point, Direction $direction, Device $device, string $text, int $price): void
    {
        $node = $this->graph->deviceNode($device);
        $map = $direction === Direction::Playback ? ChannelMap::usual($point->channels, $device->channels)->between($point->channels, $device->channels) : [];
        if ($direction === Direction::Recording) {
            foreach (range(0, $device->channels - 1) as $a) {
                $map[] = [$a, min($a % 2, $point->channels - 1), 1.0];
            }
        }
        $isOut = $direction === Direction::Playback;
        $this->add(new Link($isOut ? $this->graph->exit($at) : $node, $isOut ? $node : $this->graph->entry($at), $map, 0, 0, HopKind::Device, (string) $at,
            $device->name(), Realm::Computer, BlockKind::OtherDevicePicked), $text, $price,
            new SetPick($at, new Pick($at, $device->ref, tap: $device->direction === $direction ? null : $device->direction), $this->situation()));
    }

    private function freeSockets(): void
    {
        $taken = [];
        foreach ($this->graph->rig->cables as $cable) {
            $taken[(string) $cable->from] = $taken[(string) $cable->to] = true;
        }
        foreach ($this->graph->rig->units as $unit) {
            foreach ($this->graph->rig->modelOf($unit)->sockets as $socket) {
                if (isset($taken["{$unit->id}/{$socket->id}"]) || $socket->link !== null) {
                    continue;
                }
                foreach ($socket->lanes as $lane) {
                    $this->freeLane($unit, $socket, $lane);
                }
            }
        }
    }

    private function freeLane(Unit $unit, Socket $socket, Lane $lane): void
    {
        $at = "{$unit->id}/{$lane->point}";
        $node = $lane->way === Way::Out ? $this->graph->exit($at) : $this->graph->entry($at);
        $channels = $lane->channels === null ? range(0, $this->graph->width[$node] - 1) : array_map(fn (int $channel) => $channel - 1, $lane->channels);
        $medium = $lane->signal->medium();
        $this->free[$medium] ??= ['outs' => [], 'ins' => []];
        $this->free[$medium][$lane->way === Way::Out ? 'outs' : 'ins'][] = [$node, $channels, "{$unit->id}/{$socket->id}", "{$socket->label} of {$unit->name}"];
    }

    private function nodeOf(int $channel): int
    {
        $low = 0;
        $high = count($this->graph->first) - 1;
        while ($low < $high) {
            $middle = intdiv($low + $high + 1, 2);
            if ($this->graph->first[$middle] <= $channel) {
                $low = $middle;
            } else {
                $high = $middle - 1;
            }
        }

        return $low;
    }
}
