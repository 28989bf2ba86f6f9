<?php

declare(strict_types=1);

namespace HiddenWire\Core\Signal;

use HiddenWire\Core\Devices\Device;
use HiddenWire\Core\Devices\DeviceLists;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\State;

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

    public function __construct(public readonly Rig $rig, public readonly State $state, public readonly DeviceLists $devices) {}

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
        $this->after ?? $this->joinChannels();

        return $this->after ?? [];
    }

    /** @return array<int, list<int>> channel numbers by the channel that they feed */
    public function channelsBefore(): array
    {
        $this->before ?? $this->joinChannels();

        return $this->before ?? [];
    }

    /** @return list<int> */
    public function channelsOf(int $node): array
    {
        return range($this->first[$node], $this->first[$node] + $this->width[$node] - 1);
    }

    private function joinChannels(): void
    {
        $this->after = [];
        $this->before = [];
        foreach ($this->leaving as $ids) {
            foreach ($ids as $id) {
                $link = $this->links[$id];
                foreach ($link->map as [$a, $b]) {
                    $from = $this->first[$link->from] + $a;
                    $to = $this->first[$link->to] + $b;
                    $this->after[$from][] = $to;
                    $this->before[$to][] = $from;
                }
            }
        }
    }
}
