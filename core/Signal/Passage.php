<?php

declare(strict_types=1);

namespace HiddenWire\Core\Signal;

use HiddenWire\Core\Rig\Listener;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\Source;

/** What passes a point as everything stands: which sounds are there, and who listens behind it. */
final class Passage
{
    /** @var array<string, array<int, true>> channels that a source reaches */
    private array $reached = [];

    /** @var array<string, array<int, true>> channels that reach a listener */
    private array $heard = [];

    public function __construct(private readonly SignalGraph $graph)
    {
        foreach ($graph->rig->sources as $source) {
            $start = array_merge([], ...array_map(fn ($origin) => $graph->channelsOf($graph->entry($origin->at)), array_values($source->origins)));
            $this->reached[$source->id] = $graph->byChannel()->reach($start);
        }
        foreach ($graph->rig->listeners as $listener) {
            $end = array_merge([], ...array_map(fn (PointRef $ear) => $graph->channelsOf($graph->exit($ear)), $listener->at));
            $this->heard[$listener->id] = $graph->byChannel()->reach($end, backward: true);
        }
    }

    /** @return list<Source> in the rig's order */
    public function sourcesAt(PointRef|string $point): array
    {
        $channels = array_flip($this->graph->channelsOf($this->graph->exit($point)));

        return array_values(array_filter($this->graph->rig->sources, fn (Source $source) => array_intersect_key($this->reached[$source->id], $channels) !== []));
    }

    /** @return list<Listener> in the rig's order */
    public function listenersBehind(PointRef|string $point): array
    {
        $channels = array_flip($this->graph->channelsOf($this->graph->exit($point)));

        return array_values(array_filter($this->graph->rig->listeners, fn (Listener $listener) => array_intersect_key($this->heard[$listener->id], $channels) !== []));
    }
}
