<?php

declare(strict_types=1);

namespace HiddenWire\Core\Signal;

use HiddenWire\Core\Devices\Device;
use HiddenWire\Core\Devices\DeviceLists;
use HiddenWire\Core\Equipment\EquipmentModel;
use HiddenWire\Core\Equipment\Point;
use HiddenWire\Core\Rig\Cable;
use HiddenWire\Core\Rig\Change;
use HiddenWire\Core\Rig\EffectSwitch;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\SceneChoice;
use HiddenWire\Core\Rig\SettingValue;
use HiddenWire\Core\Rig\State;
use HiddenWire\Core\Rig\Unit;
use HiddenWire\Core\Rig\Wiring;

/**
 * A rig in one situation as a directed graph. A node is a stage of a point (as it enters, after gain and mute, after the fader) or a
 * device on a computer; each node has channels, numbered through the whole graph: channel c of node n is `first[n] + c`.
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

    /** Who holds a device for itself. */
    public Holders $holders;

    /** What programs do not open. */
    public Refused $refused;

    /** What gives no sound though it is there. */
    public Silenced $silenced;

    private ?ChannelGraph $byChannel = null;

    private ?SoundField $field = null;

    private ?Wiring $wiring = null;

    /** @var array<array-key, UnitSection> where each unit's nodes and links stand */
    public array $sections = [];

    /** @var array<array-key, array{Cable, list<Link>, BlockKind|null}> what each cable comes to, and why nothing passes it */
    public array $ofCables = [];

    /** @var array{int, int}|null how many nodes and links there are of units; null while they are made */
    public ?array $ofUnits = null;

    /** @var array{int, int}|null how many there are of units and cables */
    public ?array $ofWiring = null;

    /** @param  self|null  $like  the graph of a rig that differs little: its links are taken over where they are the same */
    public function __construct(
        public readonly Rig $rig,
        public readonly State $state,
        public readonly DeviceLists $devices,
        private ?self $like = null,
    ) {
    }

    /** The graph of another rig, or of another situation, that comes to the same: but for its links, which a unit may have otherwise. */
    public static function standing(Rig $rig, State $state, self $like): self
    {
        $graph = new self($rig, $state, $like->devices, $like);
        [$graph->first, $graph->width, $graph->channels] = [$like->first, $like->width, $like->channels];
        [$graph->links, $graph->leaving, $graph->holders] = [$like->links, $like->leaving, $like->holders];
        [$graph->silenced, $graph->refused] = [$like->silenced, $like->refused];
        [$graph->entries, $graph->exits, $graph->deviceNodes] = [$like->entries, $like->exits, $like->deviceNodes];
        [$graph->sections, $graph->ofCables] = [$like->sections, $like->ofCables];
        [$graph->ofUnits, $graph->ofWiring] = [$like->ofUnits, $like->ofWiring];

        return $graph;
    }

    /** A graph with the part before a unit in another one, to build the unit anew in its place. */
    public static function upTo(self $other, UnitSection $section): self
    {
        $graph = new self($other->rig, $other->state, $other->devices);
        $graph->width = array_slice($other->width, 0, $section->node);
        $graph->first = array_slice($other->first, 0, $section->node);
        $graph->leaving = array_slice($other->leaving, 0, $section->node);
        $graph->links = array_slice($other->links, 0, $section->link);
        $graph->channels = $other->first[$section->node] ?? $other->channels;

        return $graph;
    }

    /**
     * Puts links in the place of as many others.
     *
     * @param  list<Link>  $links  between the same nodes
     */
    public function replace(int $at, array $links): void
    {
        foreach ($links as $i => $link) {
            $old = $this->links[$at + $i];
            if ($link->isLike($old)) {
                $links[$i] = $old;

                continue;
            }
            foreach ([$old->from, $link->from] as $node) {
                $this->leaving[$node] = array_values(array_diff($this->leaving[$node], [$at + $i]));
            }
            if ($link->carries()) {
                $this->leaving[$link->from][] = $at + $i;
                sort($this->leaving[$link->from]);
            }
        }
        array_splice($this->links, $at, count($links), $links);
    }

    /** Which cables are in which socket of the rig, those that are out in the situation too. */
    public function wiring(): Wiring
    {
        return $this->wiring ??= new Wiring($this->rig);
    }

    /**
     * Takes a unit over from the graph that this is like, where nothing about it is different.
     *
     * @param  list<Change|SettingValue|EffectSwitch|SceneChoice>  $changes  what the situation changes about it
     */
    public function copyUnit(Unit $unit, EquipmentModel $model, array $changes, ?BlockKind $block): bool
    {
        $like = $this->like;
        $section = $like?->sections[$unit->id] ?? null;
        if ($like === null || $section === null || ! $section->isOf(
            $unit,
            $model,
            $changes,
            count($this->width),
            count($this->links),
            $block,
        )) {
            return false;
        }
        for ($node = $section->node; $node < $section->nodeEnd; $node++) {
            $this->addNode($like->width[$node]);
        }
        for ($link = $section->link; $link < $section->linkEnd; $link++) {
            $this->addLink($like->links[$link]);
        }
        foreach ($model->points as $id => $_) {
            $this->entries["{$unit->id}/{$id}"] = $like->entries["{$unit->id}/{$id}"];
            $this->exits["{$unit->id}/{$id}"] = $like->exits["{$unit->id}/{$id}"];
        }
        $this->sections[$unit->id] = $section;

        return true;
    }

    /** Takes all units over from the graph that this is like, and all cables too where they are the same. */
    public function copyAll(bool $isWithCables): void
    {
        $like = $this->like;
        [$nodes, $links] = ($isWithCables ? $like?->ofWiring : $like?->ofUnits) ?? [0, 0];
        if ($like === null) {
            return;
        }
        $this->width = array_slice($like->width, 0, $nodes);
        $this->first = array_slice($like->first, 0, $nodes);
        $this->channels = $like->first[$nodes] ?? $like->channels;
        $this->links = array_slice($like->links, 0, $links);
        $this->leaving = array_map(
            fn (array $leaving) => end($leaving) < $links ? $leaving : array_values(array_filter($leaving, fn (int $id) => $id < $links)),
            array_slice($like->leaving, 0, $nodes),
        );
        [$this->entries, $this->exits, $this->sections] = [$like->entries, $like->exits, $like->sections];
        $this->ofUnits = $like->ofUnits;
        if ($isWithCables) {
            [$this->ofWiring, $this->ofCables] = [$like->ofWiring, $like->ofCables];
        }
    }

    /** Takes a cable's links over from the graph that this is like; the units at its ends have to stand at the same nodes. */
    public function copyCable(Cable $cable, ?BlockKind $block): bool
    {
        [$was, $links, $wasBlocked] = $this->like?->ofCables[$cable->id] ?? [null, [], null];
        if ($was !== $cable || $wasBlocked !== $block || $this->like === null || ! $this->standsAsIn($this->like, $cable->from->unit)
            || ! $this->standsAsIn($this->like, $cable->to->unit)) {
            return false;
        }
        foreach ($links as $link) {
            $this->addLink($link);
        }
        $this->ofCables[$cable->id] = [$cable, $links, $block];

        return true;
    }

    private function standsAsIn(self $other, string $unit): bool
    {
        [$here, $there] = [$this->sections[$unit], $other->sections[$unit] ?? null];

        return $there !== null && $here->model === $there->model && $here->node === $there->node;
    }

    public function addNode(int $width): int
    {
        $this->first[] = $this->channels;
        $this->width[] = $width;
        $this->leaving[] = [];
        $this->channels += $width;

        return count($this->width) - 1;
    }

    /** @param  string  $at  `unit/point` */
    public function addPoint(string $at, int $entry, int $exit): void
    {
        $this->entries[$at] = $entry;
        $this->exits[$at] = $exit;
    }

    public function addLink(Link $link): void
    {
        $same = $this->like?->links[count($this->links)] ?? null;
        if ($same !== null && $same !== $link && $same->isLike($link)) {
            $link = $same;
        }
        if ($link->carries()) {
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
        return $this->allPicked($program, $point)[0] ?? null;
    }

    /** @return list<Device> all devices that a program's in or out comes to now, summed; none where nothing is picked */
    public function allPicked(Unit $program, Point $point): array
    {
        $host = $this->rig->hostOf($program->place);
        $own = $this->state->pick($program->id, $point->id);
        $pick = $own === null || $point->deviceOf === null ? $own : $this->state->pick($program->id, $point->deviceOf);
        if ($point->picks === null || $pick === null || $host === null) {
            return [];
        }
        $devices = [$this->devices->resolve($host->id, $pick, $pick->tap ?? $point->picks)];
        foreach ($pick->also as $also) {
            $devices[] = $this->devices->of($host->id)[(string) $also] ?? null;
        }

        return array_values(array_filter($devices));
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

    /** The links that carry, channel by channel. Asked for when the graph is finished. */
    public function byChannel(): ChannelGraph
    {
        if ($this->byChannel === null) {
            $like = $this->like;
            $this->byChannel = $like?->byChannel !== null && $like->width === $this->width && count($like->links) === count($this->links)
                ? ChannelGraph::after($like->byChannel, $like, $this)
                : new ChannelGraph($this);
            $this->like = null;
        }

        return $this->byChannel;
    }

    /**
     * What every sound comes to everywhere: made once, for all who read it. Asked for when the graph is finished.
     *
     * @param  SoundField|null  $before  of the graph that this one was made like
     */
    public function field(?SoundField $before = null): SoundField
    {
        return $this->field ??= new SoundField($this, before: $before);
    }

    /** Whether the same points and devices stand at the same nodes. */
    public function isLaidOutLike(self $other): bool
    {
        return $this->width === $other->width && $this->entries === $other->entries && $this->exits === $other->exits;
    }

    /** @return list<int> */
    public function channelsOf(int $node): array
    {
        return range($this->first[$node], $this->first[$node] + $this->width[$node] - 1);
    }
}
