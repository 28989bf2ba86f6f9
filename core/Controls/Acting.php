<?php

declare(strict_types=1);

namespace HiddenWire\Core\Controls;

use HiddenWire\Core\Equipment\Condition;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\RouteRef;
use HiddenWire\Core\Rig\Unit;
use HiddenWire\Core\Signal\Hearing;
use HiddenWire\Core\Signal\Link;
use HiddenWire\Core\Signal\SignalGraph;
use HiddenWire\Core\Situations\Adjustables;
use HiddenWire\Core\Situations\DialSetting;
use HiddenWire\Core\Situations\NamedSetting;
use HiddenWire\Core\Situations\RouteAspect;
use HiddenWire\Core\Situations\Selector;

/**
 * Which settings act: what is on a way that some sound takes to a listener in any situation, what alone stops a sound that is in a
 * wish, and what such a thing follows by a rule of its unit. What somebody has set, in the rig or in a situation, is always among them.
 *
 * Costs a search through the channels of each graph for every sound and listener.
 */
final class Acting
{
    /** @var array<string, array<array-key, true>> `point` and `from>to`, by unit */
    private array $at = [];

    /** @param  iterable<Hearing>  $hearings  of the rig's situations */
    public function __construct(private readonly Rig $rig, iterable $hearings)
    {
        foreach ($hearings as $hearing) {
            $this->passed($hearing->graph());
            $this->stopping($hearing);
        }
        foreach ($rig->situations as $situation) {
            foreach ($situation->changes as $change) {
                $this->add($change->at);
            }
        }
        foreach ($rig->units as $unit) {
            $this->at[$unit->id] = ($this->at[$unit->id] ?? []) + array_fill_keys(array_keys($unit->points), true)
                + array_fill_keys(array_keys($unit->routes), true);
            $this->followed($unit);
        }
    }

    /** @return list<NamedSetting|DialSetting|RouteAspect|Selector> in the order of the signal */
    public function of(Unit $unit): array
    {
        return array_values(array_filter(
            Adjustables::of($this->rig, $unit),
            fn (NamedSetting|DialSetting|RouteAspect|Selector $one) => match (true) {
                $one instanceof NamedSetting => $this->isOn($unit) || isset($unit->values[$one->setting]),
                $one instanceof DialSetting => isset($this->at[$unit->id][$one->at->point]),
                $one instanceof RouteAspect => isset($this->at[$unit->id][$one->at->key]),
                default => array_intersect_key($this->at[$unit->id], $one->routes()) !== [],
            },
        ));
    }

    /** Whether a sound runs through a unit, or something is set there. */
    public function isOn(Unit $unit): bool
    {
        return $this->at[$unit->id] !== [];
    }

    private function passed(SignalGraph $graph): void
    {
        $channels = $graph->byChannel();
        $begin = $end = [];
        foreach ($graph->rig->sources as $source) {
            array_push($begin, ...self::begin($graph, $source->id));
        }
        foreach ($graph->rig->listeners as $listener) {
            array_push($end, ...self::end($graph, $listener->id));
        }
        $ahead = $channels->reach($begin);
        $back = $channels->reach($end, backward: true);
        foreach ($graph->links as $link) {
            if ($link->carries() && self::joins($graph, $link, $ahead, $back)) {
                $this->add($link->at);
            }
        }
    }

    private function stopping(Hearing $hearing): void
    {
        $graph = $hearing->graph();
        $ahead = $back = $wished = [];
        foreach ($hearing->all() as $pair) {
            if ($pair->wish !== null) {
                $wished[] = [$pair->source->id, $pair->listener->id];
            }
        }
        foreach ($graph->links as $link) {
            if ($link->block === null || ! ($link->at instanceof PointRef || $link->at instanceof RouteRef) || $this->has($link->at)) {
                continue;
            }
            foreach ($wished as [$source, $listener]) {
                $ahead[$source] ??= $graph->byChannel()->reach(self::begin($graph, $source));
                $back[$listener] ??= $graph->byChannel()->reach(self::end($graph, $listener), backward: true);
                if (self::joins($graph, $link, $ahead[$source], $back[$listener])) {
                    $this->add($link->at);

                    break;
                }
            }
        }
    }

    /** What the unit's own rules and automatic mutes look at, where what they switch acts. */
    private function followed(Unit $unit): void
    {
        $model = $this->rig->modelOf($unit);
        foreach ($model->autoMutes as $rule) {
            if (isset($this->at[$unit->id][$rule->mutes])) {
                $this->at[$unit->id] += array_fill_keys($rule->whileOpen, true);
            }
        }
        foreach ($model->rules as $rule) {
            if (array_intersect_key($this->at[$unit->id], $rule->routes) !== []) {
                $this->at[$unit->id] += array_fill_keys(array_map(fn (Condition $one) => $one->point, $rule->when), true);
            }
        }
    }

    private function add(object $at): void
    {
        if ($at instanceof PointRef) {
            $this->at[$at->unit][$at->point] = true;
        } elseif ($at instanceof RouteRef) {
            $this->at[$at->unit][$at->key] = true;
        }
    }

    /** Whether a point or a route acts. */
    public function has(PointRef|RouteRef $at): bool
    {
        return isset($this->at[$at->unit][$at instanceof PointRef ? $at->point : $at->key]);
    }

    /** @return list<int> channels where a sound begins */
    private static function begin(SignalGraph $graph, string $source): array
    {
        return array_merge(...array_map(
            fn ($origin) => $graph->channelsOf($graph->entry($origin->at)),
            $graph->rig->sources[$source]->origins,
        ));
    }

    /** @return list<int> channels where a listener listens */
    private static function end(SignalGraph $graph, string $listener): array
    {
        return array_merge(...array_map(fn ($ear) => $graph->channelsOf($graph->exit($ear)), $graph->rig->listeners[$listener]->at));
    }

    /**
     * Whether a link leads from one set of channels into another.
     *
     * @param  array<int, true>  $ahead
     * @param  array<int, true>  $back
     */
    private static function joins(SignalGraph $graph, Link $link, array $ahead, array $back): bool
    {
        $from = $graph->channelsOf($link->from);
        $to = $graph->channelsOf($link->to);
        foreach ($link->map as [$one, $other]) {
            if (isset($ahead[$from[$one]]) && isset($back[$to[$other]])) {
                return true;
            }
        }

        return false;
    }
}
