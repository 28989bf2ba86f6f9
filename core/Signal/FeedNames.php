<?php

declare(strict_types=1);

namespace HiddenWire\Core\Signal;

use HiddenWire\Core\Devices\Device;
use HiddenWire\Core\Equipment\Direction;
use HiddenWire\Core\Equipment\Point;
use HiddenWire\Core\Rig\AirRef;
use HiddenWire\Core\Rig\CableRef;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\Unit;
use HiddenWire\Core\Rig\UnitRef;

/**
 * What one feed is called at each of its stages: at the strip or bus of a unit, on its lead, in a computer's list, in the program. A feed
 * is followed from where a program picks it for as long as it is one signal: back to where it is mixed, on to where it parts.
 *
 * @phpstan-type FeedRow array{at: PointRef, direction: Direction, device: Device, stages: list<array{where: string, name: string}>,
 *     beyond: string}
 */
final class FeedNames
{
    /** Stages that anybody reads in one row. */
    private const STAGES = 12;

    /** @var array<int, list<Link>>|null links that carry, by the node that they come to */
    private ?array $arriving = null;

    /** @var array<int, PointRef>|null */
    private ?array $points = null;

    public function __construct(private readonly SignalGraph $graph)
    {
    }

    /**
     * @return list<FeedRow> one for each pick of a device that is there; `stages` in the order of the sound, `beyond` what is
     *     before the first of them (recording) or behind the last (playback): "a mix of 3", "" for nothing
     */
    public function rows(): array
    {
        $rows = [];
        foreach ($this->graph->rig->units as $unit) {
            foreach ($this->graph->rig->modelOf($unit)->points as $point) {
                foreach ($point->picks === null ? [] : $this->graph->allPicked($unit, $point) as $device) {
                    if ($point->picks !== null && $device->isUsable()) {
                        $rows[] = $this->row($unit, $point, $point->picks, $device);
                    }
                }
            }
        }

        return $rows;
    }

    /** @return FeedRow */
    private function row(Unit $unit, Point $point, Direction $direction, Device $device): array
    {
        $listed = ['where' => $this->graph->rig->units[$device->computer]->name, 'name' => $device->name()];
        $channels = $this->graph->state->pick($unit->id, $point->id)->channels ?? [];
        $own = [
            'where' => $unit->name,
            'name' => $point->label.($channels === [] ? '' : ($direction === Direction::Playback ? ' to ' : ' from ')
                .(count($channels) === 1 ? 'channel ' : 'channels ').implode(' and ', $channels)),
        ];
        // What a loopback takes has come from programs: there is nothing to follow outside.
        [$stages, $beyond] = $device->direction === $direction ? $this->followed($device, $direction) : [[], 'what is played to it'];
        $isPlayback = $direction === Direction::Playback;

        return [
            'at' => new PointRef($unit->id, $point->id),
            'direction' => $direction,
            'device' => $device,
            'stages' => $isPlayback ? [$own, $listed, ...$stages] : [...array_reverse($stages), $listed, $own],
            'beyond' => $beyond,
        ];
    }

    /** @return array{list<array{where: string, name: string}>, string} stages from the device outward, and what is beyond */
    private function followed(Device $device, Direction $direction): array
    {
        $node = $this->graph->deviceNode($device);
        $stages = [];
        $seen = [];
        for (; ;) {
            $seen[$node] = true;
            $links = array_values(array_filter(
                $direction === Direction::Playback ? $this->leaving($node) : $this->arriving($node),
                // Programs meet here too; what they do with it has rows of its own.
                fn (Link $link) => $link->pick === null && ! $link->at instanceof AirRef,
            ));
            $next = array_values(array_unique(array_map(
                fn (Link $link) => $direction === Direction::Playback ? $link->to : $link->from,
                $links,
            )));
            if (count($next) !== 1 || isset($seen[$next[0]]) || count($stages) >= self::STAGES) {
                $beyond = count($next) > 1 ? ($direction === Direction::Playback ? count($next).' ways on' : 'a mix of '.count($next)) : '';

                return [$stages, $beyond];
            }
            foreach ($this->read($links[0], $next[0]) as $stage) {
                if ($stage !== end($stages)) {
                    $stages[] = $stage;
                }
            }
            $node = $next[0];
        }
    }

    /** @return list<array{where: string, name: string}> what one reads on a link and at the node behind it */
    private function read(Link $link, int $node): array
    {
        $at = $this->points()[$node] ?? null;

        return array_values(array_filter([
            match (true) {
                $link->at instanceof CableRef => ['where' => 'lead', 'name' => $link->label],
                $link->at instanceof UnitRef => ['where' => 'hub', 'name' => $link->label],
                default => null,
            },
            $at === null ? null : ['where' => $this->graph->rig->units[$at->unit]->name, 'name' => $this->graph->rig->point($at)->label],
        ]));
    }

    /** @return array<int, PointRef> the point of each node that is one's entry or exit */
    private function points(): array
    {
        if ($this->points === null) {
            $this->points = [];
            foreach ($this->graph->rig->units as $unit) {
                foreach ($this->graph->rig->modelOf($unit)->points as $point) {
                    $at = new PointRef($unit->id, $point->id);
                    $this->points[$this->graph->entry($at)] = $this->points[$this->graph->exit($at)] = $at;
                }
            }
        }

        return $this->points;
    }

    /** @return list<Link> */
    private function leaving(int $node): array
    {
        return array_map(fn (int $link) => $this->graph->links[$link], $this->graph->leaving[$node]);
    }

    /** @return list<Link> */
    private function arriving(int $node): array
    {
        if ($this->arriving === null) {
            $this->arriving = [];
            foreach ($this->graph->links as $link) {
                if ($link->carries()) {
                    $this->arriving[$link->to][] = $link;
                }
            }
        }

        return $this->arriving[$node] ?? [];
    }
}
