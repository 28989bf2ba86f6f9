<?php

declare(strict_types=1);

namespace HiddenWire\Core\Grounds;

use HiddenWire\Core\Equipment\CableType;
use HiddenWire\Core\Equipment\Lane;
use HiddenWire\Core\Equipment\Supply;
use HiddenWire\Core\Rig\Cable;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\SocketRef;
use HiddenWire\Core\Rig\Wiring;

/**
 * What joins the grounds of units: earth pins, shields, USB, HDMI and coaxial leads; not light, radio, network transformers, MIDI's
 * optocouplers, and isolated sockets. Where an analog lead is part of a circle, hum runs along it.
 */
final readonly class Grounds
{
    /** The node of all earth pins: a unit can't be called so. */
    private const EARTH = ' earth';

    /** @var list<GroundEdge> every lead that joins the grounds of two units */
    public array $edges;

    /** @var list<string> units with an earth pin */
    public array $earthed;

    /** @var list<Cable> the fewest analog cables to isolate so that no circle has one in it, unbalanced ones before balanced */
    public array $toIsolate;

    /** Circles that are shown with all that is in them. */
    private const SHOWN = 100;

    /** @var list<GroundCycle> for the first cables to isolate the circle that each closes */
    public array $cycles;

    /** @param  array<array-key, true>  $without  cables that are out, by id */
    public function __construct(private Rig $rig, array $without = [])
    {
        $edges = [];
        foreach (array_diff_key($rig->cables, $without) as $cable) {
            if ($this->joins($cable)) {
                $edges[] = new GroundEdge($cable, $this->isAnalog($cable), $this->isBalanced($cable));
            }
        }
        $this->edges = $edges;
        $this->earthed = array_values(array_map(fn ($unit) => $unit->id, array_filter(
            $rig->units,
            fn ($unit) => $rig->modelOf($unit)->supply === Supply::MainsEarthed,
        )));
        [$this->toIsolate, $this->cycles] = $this->circles($edges);
    }

    /** Channels that isolators for all of them need: two for a stereo lead. */
    public function channels(): int
    {
        return array_sum(array_map($this->channelsOf(...), $this->toIsolate));
    }

    /** Channels of an analog cable, both ways together. */
    public function channelsOf(Cable $cable): int
    {
        $channels = 0;
        foreach ((new Wiring($this->rig))->lanesOf($cable) as [$from, $lane]) {
            $socket = $this->rig->socket($from);
            $channels += count($socket->lanes[$lane]->channels
                ?? range(1, $this->rig->modelOf($from->unit)->points[$socket->lanes[$lane]->point]->channels));
        }

        return max(1, $channels);
    }

    /** Where the isolator goes: the end that takes, since what the lead collects behind it does not count any more. */
    public function receivingEnd(Cable $cable): SocketRef
    {
        $lanes = (new Wiring($this->rig))->lanesOf($cable);

        return $lanes === [] ? $cable->to : $lanes[0][2];
    }

    private function joins(Cable $cable): bool
    {
        foreach ([$cable->from, $cable->to] as $end) {
            $model = $this->rig->modelOf($end->unit);
            // Headphones, a headset, a microphone with no power of their own: nothing runs on through them.
            if ($model->family->isEndOfLine() && in_array($model->supply, [Supply::None, Supply::Phantom, Supply::Battery], true)) {
                return false;
            }
        }
        $isIsolated = $this->rig->socket($cable->from)->isolated || $this->rig->socket($cable->to)->isolated;
        if ($isIsolated || $cable->from->unit === $cable->to->unit) {
            return false;
        }

        return match ($cable->type) {
            CableType::Optical, CableType::Wireless, CableType::Network, CableType::Midi => false,
            default => true,
        };
    }

    private function isAnalog(Cable $cable): bool
    {
        $lanes = [...$this->rig->socket($cable->from)->lanes, ...$this->rig->socket($cable->to)->lanes];

        return in_array('analog', $cable->type->media(), true)
            && array_filter($lanes, fn (Lane $lane) => $lane->signal->isAnalog()) !== [];
    }

    /** Whether a lead is balanced from end to end: what runs along its shield stays out of the sound. */
    public function isBalanced(Cable $cable): bool
    {
        return $this->rig->socket($cable->from)->balanced && $this->rig->socket($cable->to)->balanced && $cable->type->conductors() >= 2;
    }

    /**
     * Leads that can't be isolated first, then balanced analog ones, then the others: each joins two parts, or closes a circle. So the
     * analog ones that close circles are the fewest, and as many of them unbalanced as can be.
     *
     * @param  list<GroundEdge>  $edges
     * @return array{list<Cable>, list<GroundCycle>} those that close circles, and the circles of the first of them
     */
    private function circles(array $edges): array
    {
        $rank = fn (GroundEdge $edge): int => ! $edge->isAnalog ? 0 : ($edge->isBalanced ? 1 : 2);
        usort($edges, fn (GroundEdge $a, GroundEdge $b) => $rank($a) <=> $rank($b));
        /** @var array<array-key, array<array-key, Cable|null>> $near by node: its neighbours with the cable, null for an earth pin */
        $near = [];
        /** @var array<array-key, string> $joined one node of the part that a node is in, or one nearer to it */
        $joined = [];
        foreach ($this->earthed as $unit) {
            $near[self::EARTH][$unit] = $near[$unit][self::EARTH] = null;
            $joined[$unit] = self::EARTH;
        }
        $closing = $cycles = [];
        foreach ($edges as $edge) {
            [$a, $b] = [$edge->cable->from->unit, $edge->cable->to->unit];
            [$partA, $partB] = [self::part($joined, $a), self::part($joined, $b)];
            if ($partA !== $partB) {
                $near[$a][$b] = $near[$b][$a] = $edge->cable;
                $joined[$partA] = $partB;
            } elseif ($edge->isAnalog) {
                $closing[] = $edge->cable;
                $path = count($cycles) < self::SHOWN ? $this->path($near, $a, $b) : null;
                $cycles = $path === null ? $cycles : [...$cycles, $this->cycle($edge->cable, $path)];
            }
        }

        return [$closing, $cycles];
    }

    /** @param  array<array-key, string>  $joined */
    private static function part(array &$joined, string $node): string
    {
        while (isset($joined[$node])) {
            // Halving the way makes the next walk shorter.
            $joined[$node] = $joined[$joined[$node]] ?? $joined[$node];
            $node = $joined[$node];
        }

        return $node;
    }

    /**
     * @param  array<array-key, array<array-key, Cable|null>>  $near
     * @return list<array{string, Cable|null}>|null the steps from one to the other: to which node, by which cable
     */
    private function path(array $near, string $from, string $to): ?array
    {
        $came = [$from => null];
        $open = [$from];
        while ($open !== [] && ! array_key_exists($to, $came)) {
            $next = [];
            foreach ($open as $at) {
                foreach ($near[$at] ?? [] as $node => $cable) {
                    if (! array_key_exists($node, $came)) {
                        $came[$node] = [(string) $at, $cable];
                        $next[] = (string) $node;
                    }
                }
            }
            $open = $next;
        }
        if (! array_key_exists($to, $came)) {
            return null;
        }
        $path = [];
        for ($at = $to; $came[$at] !== null; $at = $came[$at][0]) {
            array_unshift($path, [$at, $came[$at][1]]);
        }

        return $path;
    }

    /** @param  list<array{string, Cable|null}>  $path */
    private function cycle(Cable $closing, array $path): GroundCycle
    {
        $units = [$closing->from->unit];
        $cables = [];
        $isByEarth = false;
        foreach ($path as [$node, $cable]) {
            $isByEarth = $isByEarth || $node === self::EARTH;
            if ($node !== self::EARTH) {
                $units[] = $node;
            }
            if ($cable !== null) {
                $cables[] = $cable;
            }
        }

        return new GroundCycle($closing, array_values(array_unique($units)), $cables, $isByEarth);
    }
}
