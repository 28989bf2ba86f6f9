<?php

declare(strict_types=1);

namespace HiddenWire\Core\Signal;

use HiddenWire\Core\Rig\Listener;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\Source;
use HiddenWire\Core\Rig\Unit;

/**
 * What passes a point as everything stands: which sounds are there, who listens behind it, and what inside a unit leads where. Computed as
 * the hearing is: a sound is at a point if it would be heard by an ear there.
 */
final class Passage
{
    /**
     * @var array<array-key, list<array{float, int, Spread}>> what spreads of each source: the level of its origin, the part, what arrives
     *     where
     */
    private array $spreads = [];

    /** @var array<array-key, array<int, true>> channels that reach a listener */
    private array $heard = [];

    /** @var array<string, list<Source>> by point: checks ask for the same ones again and again */
    private array $sounds = [];

    public function __construct(private readonly SignalGraph $graph)
    {
        $channels = $graph->byChannel();
        $everywhere = $graph->channels === 0 ? [] : array_fill(0, $graph->channels, true);
        $propagation = new Propagation($channels, new LoopGains($channels), $everywhere, new Effort);
        foreach ($graph->rig->sources as $source) {
            $this->spreads[$source->id] = [];
            foreach ($source->origins as $origin) {
                foreach ($graph->channelsOf($graph->entry($origin->at)) as $part => $channel) {
                    $this->spreads[$source->id][] = [10 ** ($origin->db->value() / 20), $part, $propagation->from($channel)];
                }
            }
        }
        foreach ($graph->rig->listeners as $listener) {
            $ends = [];
            foreach ($listener->at as $ear) {
                array_push($ends, ...$graph->channelsOf($graph->exit($ear)));
            }
            $this->heard[$listener->id] = $channels->reach($ends, backward: true);
        }
    }

    /** @return list<Source> in the rig's order */
    public function sourcesAt(PointRef|string $point): array
    {
        $channels = $this->graph->channelsOf($this->graph->exit($point));

        return $this->sounds[(string) $point] ??= array_values(array_filter(
            $this->graph->rig->sources,
            fn (Source $source) => $this->levelAt($source, $channels) >= -Sum::HEARD_DB,
        ));
    }

    /** @return array<array-key, float> dB of each sound that is at a point, on its louder channel, by source */
    public function levelsAt(PointRef|string $point): array
    {
        $channels = $this->graph->channelsOf($this->graph->exit($point));
        $levels = array_map(fn (Source $source) => $this->levelAt($source, $channels), $this->graph->rig->sources);

        return array_filter($levels, fn (float $db) => $db >= -Sum::HEARD_DB);
    }

    /** @return list<Listener> in the rig's order */
    public function listenersBehind(PointRef|string $point): array
    {
        $channels = array_flip($this->graph->channelsOf($this->graph->exit($point)));

        return array_values(array_filter(
            $this->graph->rig->listeners,
            fn (Listener $listener) => array_intersect_key($this->heard[$listener->id], $channels) !== [],
        ));
    }

    /**
     * Which points of a unit a sound comes to that enters at one of them, without leaving the unit.
     *
     * @param  bool  $whateverIsOff  what could be switched on, opened and raised counts too
     * @return array<string, true> by point
     */
    public static function inside(SignalGraph $graph, Unit $unit, string $point, bool $whateverIsOff): array
    {
        $section = $graph->sections[$unit->id];
        $onwards = [];
        for ($id = $section->link; $id < $section->linkEnd; $id++) {
            $link = $graph->links[$id];
            foreach ($whateverIsOff || $link->carries() ? $link->map : [] as [$a, $b]) {
                $onwards[$graph->first[$link->from] + $a][] = $graph->first[$link->to] + $b;
            }
        }
        $open = $graph->channelsOf($graph->entry("{$unit->id}/{$point}"));
        $reached = array_fill_keys($open, true);
        while ($open !== []) {
            foreach ($onwards[array_pop($open)] ?? [] as $channel) {
                if (! isset($reached[$channel])) {
                    $reached[$channel] = true;
                    $open[] = $channel;
                }
            }
        }
        $points = [];
        foreach ($section->model->points as $id => $_) {
            foreach ($graph->channelsOf($graph->exit("{$unit->id}/{$id}")) as $channel) {
                if (isset($reached[$channel])) {
                    $points[(string) $id] = true;
                }
            }
        }

        return $points;
    }

    /**
     * @param  list<int>  $channels
     * @return float dB where it is loudest; -INF where nothing of it comes
     */
    private function levelAt(Source $source, array $channels): float
    {
        $loudest = -INF;
        foreach ($channels as $channel) {
            $parts = [];
            foreach ($this->spreads[$source->id] as [$level, $part, $spread]) {
                foreach ($spread->taps[$channel] ?? [] as $key => $amplitude) {
                    $parts[$part][$key] = ($parts[$part][$key] ?? 0.0) + $amplitude * $level;
                }
                $rest = ($spread->rest[$channel] ?? 0.0) * $level;
                $loudest = max($loudest, $rest > 0 ? 20 * log10($rest) : -INF);
            }
            foreach ($parts as $part => $taps) {
                $loudest = max($loudest, Slot::of('', 0, $part, $taps)->decibels());
            }
        }

        return $loudest;
    }
}
