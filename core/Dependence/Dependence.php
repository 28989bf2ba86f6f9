<?php

declare(strict_types=1);

namespace HiddenWire\Core\Dependence;

use HiddenWire\Core\Equipment\LinkRole;
use HiddenWire\Core\Equipment\Supply;
use HiddenWire\Core\Rig\CableRef;
use HiddenWire\Core\Rig\DeviceRef;
use HiddenWire\Core\Rig\SocketRef;
use HiddenWire\Core\Rig\UnitRef;
use HiddenWire\Core\Signal\HeardPair;
use HiddenWire\Core\Signal\Hearing;
use HiddenWire\Core\Signal\Hop;
use HiddenWire\Core\Signal\HopKind;

/** What the wishes that are met depend on: for each unit, program and cable, what is lost when it fails. */
final readonly class Dependence
{
    /** @var list<Element> those of which most depends first */
    public array $elements;

    public function __construct(private Hearing $hearing)
    {
        $lost = [];
        foreach ($hearing->all() as $pair) {
            if ($pair->meetsMust()) {
                foreach ($this->passedByAll($pair) as $ref => $at) {
                    $lost[$ref] ??= [$at, []];
                    $lost[$ref][1][] = $pair;
                }
            }
        }
        $elements = array_map(fn (array $one) => new Element($one[0], $one[1]), array_values($lost));
        usort($elements, fn (Element $a, Element $b) => count($b->lost) <=> count($a->lost));
        $this->elements = $elements;
    }

    /** @return list<Chain> what takes the same sounds along together, that on which most depends first */
    public function chains(): array
    {
        $chains = [];
        foreach ($this->elements as $one) {
            $key = implode(' ', array_map(fn (HeardPair $pair) => "{$pair->source->id}:{$pair->listener->id}", $one->lost));
            $chains[$key] ??= [[], $one->lost];
            $chains[$key][0][] = $one->at;
        }

        return array_map(fn (array $one) => new Chain($one[0], $one[1]), array_values($chains));
    }

    /** @return array<string, UnitRef|CableRef> what every way of a pair passes, by reference */
    private function passedByAll(HeardPair $pair): array
    {
        $all = null;
        foreach ($pair->arrivals() as $arrival) {
            $passed = [];
            foreach ($arrival->hops as $hop) {
                foreach ($this->elementsOf($hop) as $at) {
                    $passed[(string) $at] = $at;
                }
            }
            foreach ($this->with($arrival->ear->unit) as $at) {
                $passed[(string) $at] = $at;
            }
            $all = $all === null ? $passed : array_intersect_key($all, $passed);
        }

        return $all ?? [];
    }

    /** @return list<UnitRef|CableRef> a program falls with its computer, and works only with what it needs */
    private function elementsOf(Hop $hop): array
    {
        $at = $hop->at;
        if ($at instanceof CableRef) {
            return [$at];
        }
        $units = $hop->units();
        $host = $at instanceof DeviceRef ? $this->hostOf($hop, $at) : null;
        // What the system itself plays needs no program, but the computer.
        if ($host !== null && $hop->kind === HopKind::System) {
            $units[] = $host;
        }

        return [...$this->with(...$units), ...($at instanceof DeviceRef ? $this->leadsOf($at, $host) : [])];
    }

    /** The computer in whose list a device is: that of the program that uses it, else the one that lists it. */
    private function hostOf(Hop $hop, DeviceRef $at): ?string
    {
        $graph = $this->hearing->graph();
        if ($hop->pick !== null) {
            return $graph->rig->hostOf($graph->rig->units[$hop->pick->unit]->place)?->id;
        }
        foreach ($graph->devices->all() as $host => $list) {
            if (isset($list[(string) $at])) {
                return (string) $host;
            }
        }

        return null;
    }

    /**
     * A device is there only as long as it is plugged in, even where its sound is taken inside the computer and passes no lead.
     *
     * @return list<UnitRef|CableRef> the leads from the computer to it, and the hubs between
     */
    private function leadsOf(DeviceRef $at, ?string $host): array
    {
        $leads = [];
        $via = $host === null ? [] : $this->hearing->graph()->devices->of($host)[(string) $at]->via ?? [];
        foreach ($via as ['cable' => $cable, 'hub' => $hub]) {
            array_push($leads, new CableRef($cable), ...($hub === null ? [] : [new UnitRef($hub)]));
        }

        return $leads;
    }

    /** @return list<UnitRef|CableRef> units, their computers, what they need, and the lead by which a unit has its power */
    private function with(string ...$units): array
    {
        $rig = $this->hearing->rig;
        $all = $needed = [];
        while ($units !== []) {
            $id = array_pop($units);
            if (isset($all[$id])) {
                continue;
            }
            $all[$id] = new UnitRef($id);
            $needed += array_fill_keys($rig->units[$id]->needs, true);
            foreach (isset($needed[$id]) || $rig->modelOf($id)->supply === Supply::Bus ? $this->onlyLead($id) : [] as $at) {
                $all[(string) $at] = $at;
            }
            $host = $rig->modelOf($id)->isProgram() ? $rig->hostOf($rig->units[$id]->place) : null;
            array_push($units, ...($host === null ? [] : [$host->id]), ...$rig->units[$id]->needs);
        }

        return array_values($all);
    }

    /** @return list<UnitRef|CableRef> the lead by which a unit hangs at a computer, and where it leads; none where there are two */
    private function onlyLead(string $unit): array
    {
        $wiring = $this->hearing->graph()->wiring();
        $leads = [];
        foreach ($this->hearing->rig->modelOf($unit)->sockets as $socket) {
            if ($socket->link === LinkRole::Device || $socket->link === LinkRole::Upstream) {
                $here = new SocketRef($unit, $socket->id);
                foreach ($wiring->at($here) as $cable) {
                    $leads[] = [new CableRef($cable->id), new UnitRef($wiring->across($cable, $here)->unit)];
                }
            }
        }

        return count($leads) === 1 ? $leads[0] : [];
    }
}
