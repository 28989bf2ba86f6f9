<?php

declare(strict_types=1);

namespace HiddenWire\Core\Signal;

use HiddenWire\Core\Devices\Device;
use HiddenWire\Core\Devices\DeviceLists;
use HiddenWire\Core\Equipment\Point;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\State;
use HiddenWire\Core\Rig\Unit;

/**
 * A rig in one situation as a directed graph. A node is a stage of a point (as it enters, after gain and mute, after the fader) or a device on a computer; each node
 * has channels, numbered through the whole graph: channel c of node n is `first[n] + c`.
 */
final class SignalGraph
{
    /** @var list<Link> */
    public array $links = [];

    /** @var list<list<int>> links that carry, by the node that they leave */
    public array $leaving = [];

    /** @var list<int> number of the first channel, by node */
    public array $first = [];

    /** @var list<int> channels, by node */
    public array $width = [];

    public int $channels = 0;

    /** @var array<string, int> */
    private array $entries = [];

    /** @var array<string, int> */
    private array $exits = [];

    /** @var array<string, int> by `computer device` */
    private array $deviceNodes = [];

    /** @var array<int, list<int>>|null */
    private ?array $after = null;

    /** @var array<int, list<int>>|null */
    private ?array $before = null;

    public function __construct(public readonly Rig $rig, public readonly State $state, public readonly DeviceLists $devices)
    {
    }

    public function addNode(int $width): int
    {
        $this->first[] = $this->channels;
        $this->width[] = $width;
        $this->leaving[] = [];
        $this->channels += $width;

        return count($this->width) - 1;
    }

    public function addPoint(PointRef $at, int $entry, int $exit): void
    {
        $this->entries[(string) $at] = $entry;
        $this->exits[(string) $at] = $exit;
    }

    public function addLink(Link $link): void
    {
        if ($link->block === null && $link->map !== []) {
            $this->leaving[$link->from][] = count($this->links);
        }
        $this->links[] = $link;
    }

    public function addDevice(Device $device, int $node): void
    {
        $this->deviceNodes[$device->computer.' '.$device->ref] = $node;
    }

    /** The node where a computer's programs meet a device. */
    public function deviceNode(Device $device): int
    {
        return $this->deviceNodes[$device->computer.' '.$device->ref];
    }

    /** The device that a program's in or out comes to now; null where nothing is picked, or the pick leads nowhere. */
    public function picked(Unit $program, Point $point): ?Device
    {
        $host = $this->rig->hostOf($program->place);
        $pick = $this->state->pick($program->id, $point->id);

        return $point->picks === null || $pick === null || $host === null ? null
            : $this->devices->resolve($host->id, $pick, $pick->tap ?? $point->picks);
    }

    /** The node where a signal enters a point. */
    public function entry(PointRef|string $at): int
    {
        return $this->entries[(string) $at];
    }

    /** The node where a signal leaves a point, after its fader. */
    public function exit(PointRef|string $at): int
    {
        return $this->exits[(string) $at];
    }

    /**
     * Which channels a set of channels reaches, or is reached from, over the links that carry.
     *
     * @param  list<int>  $start  channel numbers
     * @param  bool  $backward  against the direction of the signal
     * @return array<int, true> by channel number, the start among them
     */
    public function reach(array $start, bool $backward = false): array
    {
        $next = $backward ? $this->channelsBefore() : $this->channelsAfter();
        $reached = array_fill_keys($start, true);
        while ($start !== []) {
            $channel = array_pop($start);
            foreach ($next[$channel] ?? [] as $other) {
                if (! isset($reached[$other])) {
                    $reached[$other] = true;
                    $start[] = $other;
                }
            }
        }

        return $reached;
    }

    /** @return array<int, list<int>> channel numbers by the channel that feeds them */
    public function channelsAfter(): array
    {
        return $this->after ??= $this->joined(0, 1);
    }

    /** @return array<int, list<int>> channel numbers by the channel that they feed */
    public function channelsBefore(): array
    {
        return $this->before ??= $this->joined(1, 0);
    }

    /** @return list<int> */
    public function channelsOf(int $node): array
    {
        return range($this->first[$node], $this->first[$node] + $this->width[$node] - 1);
    }

    /**
     * The channels that links join, by the channel at one end.
     *
     * @param  0|1  $by  the end to list by: 0 where a link leaves, 1 where it comes to
     * @param  0|1  $other
     * @return array<int, list<int>>
     */
    private function joined(int $by, int $other): array
    {
        $joined = [];
        foreach ($this->leaving as $ids) {
            foreach ($ids as $id) {
                $link = $this->links[$id];
                $first = [$this->first[$link->from], $this->first[$link->to]];
                foreach ($link->map as $triple) {
                    $joined[$first[$by] + $triple[$by]][] = $first[$other] + $triple[$other];
                }
            }
        }

        return $joined;
    }
}
