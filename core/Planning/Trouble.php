<?php

declare(strict_types=1);

namespace HiddenWire\Core\Planning;

use HiddenWire\Core\Equipment\Direction;
use HiddenWire\Core\Rig\CableRef;
use HiddenWire\Core\Rig\Names;
use HiddenWire\Core\Rig\Pick;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\PointSettings;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\RouteRef;
use HiddenWire\Core\Rig\RouteSettings;
use HiddenWire\Core\Rig\SocketRef;
use HiddenWire\Core\Rig\Wiring;
use HiddenWire\Core\Signal\HeardPair;
use HiddenWire\Core\Signal\Hearing;
use HiddenWire\Core\Signal\Hop;
use HiddenWire\Core\Signal\SignalGraph;
use HiddenWire\Core\Signal\Verdict;

/** One cell that is not as wished, with what a remedy needs to know of it. */
final class Trouble
{
    /** Ways that are looked at for what could stop them. */
    private const WAYS = 8;

    public readonly Rig $rig;

    public readonly SignalGraph $graph;

    public readonly Names $names;

    public readonly Region $region;

    public readonly Wiring $wiring;

    /** @var list<Hop>|null */
    private ?array $hops = null;

    /** @var array<string, bool> by step: whether every way passes it */
    private array $onAll = [];

    private ?FreeSockets $free = null;

    /**
     * @param  list<Rig>  $earlier  states of the rig that were before, the latest first
     * @param  EmptySockets|null  $empty  of the same graph, where they are known
     * @param  Region|null  $region  what is taken for reached; null for what is
     */
    public function __construct(
        public readonly Cell $cell,
        public readonly HeardPair $pair,
        public readonly Hearing $hearing,
        public readonly array $earlier = [],
        private readonly ?EmptySockets $empty = null,
        ?Region $region = null,
    ) {
        $this->graph = $hearing->graph();
        $this->rig = $hearing->rig;
        $this->names = new Names($this->rig);
        $this->region = $region ?? Region::of($pair, $hearing);
        $this->wiring = $this->graph->wiring();
    }

    /** Whether something has to be joined for it to be heard as wished. */
    public function lacks(): bool
    {
        return in_array($this->pair->verdict, [Verdict::Missing, Verdict::OneSided], true);
    }

    /** Whether something has to be stopped. */
    public function hasTooMuch(): bool
    {
        return ! $this->lacks() || ($this->pair->verdict === Verdict::Missing && $this->pair->sum->isReached);
    }

    public function free(): FreeSockets
    {
        return $this->free ??= new FreeSockets($this, $this->empty ?? new EmptySockets($this->graph));
    }

    /**
     * Every step of its ways once, the one nearest to the listener first, as far as something there could mend it: of a leak only what all
     * of its ways pass.
     *
     * @return list<Hop>
     */
    public function hops(): array
    {
        if ($this->hops === null) {
            $hops = $counts = [];
            $arrivals = $this->pair->arrivals();
            foreach ($arrivals as $number => $arrival) {
                foreach (array_reverse($arrival->hops) as $hop) {
                    $key = self::step($hop);
                    $counts[$key][$number] = true;
                    if ($number < self::WAYS) {
                        $hops[$key] ??= $hop;
                    }
                }
            }
            foreach ($hops as $key => $_) {
                $this->onAll[$key] = count($counts[$key]) === count($arrivals);
            }
            $this->hops = array_values($this->pair->verdict === Verdict::Leak ? array_filter($hops, $this->isOnAllWays(...)) : $hops);
        }

        return $this->hops;
    }

    /** Whether every way passes a step: to stop it there would stop the whole sound. */
    public function isOnAllWays(Hop $hop): bool
    {
        return $this->onAll[self::step($hop)] ?? false;
    }

    private static function step(Hop $hop): string
    {
        return "{$hop->kind->value} {$hop->ref} {$hop->pick}";
    }

    /**
     * Where a setting can be made: in the situation that has its own, else for good, and for this situation alone where that is not the
     * base.
     *
     * @param  'gain'|'fader'|'mute'|'mono'|'delay'|'autoMute'|'solo'|'inverted'|'on'|'db'|'tap'|'pick'  $property
     * @return array<int, string|null> the situation, null for the base; by what it costs more
     */
    public function placesOf(PointRef|RouteRef $at, string $property): array
    {
        $situation = $this->graph->state->situation;
        foreach ($situation->changes as $change) {
            $isSet = match (true) {
                $change->set instanceof Pick => $property === 'pick',
                $change->set instanceof PointSettings,
                $change->set instanceof RouteSettings => $property !== 'pick' && property_exists($change->set, $property)
                    && $change->set->{$property} !== null,
            };
            if ($isSet && (string) $change->at === (string) $at) {
                return [0 => $this->rig->isBase($situation->id) ? null : $situation->id];
            }
        }

        return $this->rig->isBase($situation->id) ? [0 => null] : [0 => null, Cost::ONE_SITUATION => $situation->id];
    }

    /** " in Off-air talk", where a change is made for one situation. */
    public function where(?string $situation): string
    {
        return $situation === null ? '' : " in {$this->rig->situations[$situation]->name}";
    }

    /** "Mic 1 of Desk mixer" */
    public function partOf(PointRef|RouteRef|SocketRef $at): string
    {
        $label = match (true) {
            $at instanceof PointRef => $this->rig->point($at)->label,
            $at instanceof RouteRef => $this->names->route($at),
            $at instanceof SocketRef => $this->rig->socket($at)->label,
        };
        $unit = $this->rig->units[$at->unit]->name;

        return $label === $unit ? $unit : "{$label} of {$unit}";
    }

    /**
     * What to pick for a point: 'Game: play Sound to "Headset"', 'Recorder: take Track 1 from "Interface in", channel 4'.
     *
     * @param  string  $choice  the device or devices, in words
     */
    public function picking(PointRef $at, string $choice): string
    {
        $unit = $this->rig->units[$at->unit]->name;
        $point = $this->rig->point($at);
        $what = $point->label === $unit ? '' : " {$point->label}";

        return $point->picks === Direction::Playback ? "{$unit}: play{$what} to {$choice}" : "{$unit}: take{$what} from {$choice}";
    }

    /** 'Recorder: no device for Track 1' */
    public function pickingNone(PointRef $at): string
    {
        $unit = $this->rig->units[$at->unit]->name;
        $label = $this->rig->point($at)->label;

        return $label === $unit ? "{$unit}: no device" : "{$unit}: no device for {$label}";
    }

    public function cable(string $id): string
    {
        return $this->names->of(new CableRef($id));
    }
}
