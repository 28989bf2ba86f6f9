<?php

declare(strict_types=1);

namespace HiddenWire\Core\Checks;

use HiddenWire\Core\Dependence\Dependence;
use HiddenWire\Core\Document\Catalogue;
use HiddenWire\Core\Edit\PutBetween;
use HiddenWire\Core\Equipment\Family;
use HiddenWire\Core\Levels\Chain;
use HiddenWire\Core\Planning\Between;
use HiddenWire\Core\Planning\Hearings;
use HiddenWire\Core\Rig\ListenerKind;
use HiddenWire\Core\Rig\Names;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\RouteRef;
use HiddenWire\Core\Rig\Situation;
use HiddenWire\Core\Rig\SocketRef;
use HiddenWire\Core\Rig\Unit;
use HiddenWire\Core\Rig\Want;
use HiddenWire\Core\Rig\Wiring;
use HiddenWire\Core\Signal\HeardPair;
use HiddenWire\Core\Signal\Hearing;
use HiddenWire\Core\Signal\Hop;
use HiddenWire\Core\Signal\SignalGraph;
use HiddenWire\Core\Signal\SoundField;

/** A rig as checks look at it: in all of its situations, each heard once. */
final class Inspection
{
    public readonly Rig $rig;

    public readonly Names $names;

    public readonly Wiring $wiring;

    public readonly Joints $joints;

    /** Chains that are looked at. */
    private const CHAINS = 400;

    /** @var list<array{HeardPair, Chain}>|null */
    private ?array $chains = null;

    private ?Between $between = null;

    private ?Dependence $dependence = null;

    /** @var array<array-key, list<Unit>>|null by place */
    private ?array $microphones = null;

    /** @param  Catalogue|null  $catalogue  what could be put between, where anything is to be proposed */
    public function __construct(public readonly Hearings $hearings, public readonly ?Catalogue $catalogue = null)
    {
        $this->rig = $hearings->rig;
        $this->names = new Names($this->rig);
        $this->wiring = new Wiring($this->rig);
        $this->joints = new Joints($this->rig, $this->wiring);
    }

    /** @return \Generator<string, Hearing> by situation */
    public function each(): \Generator
    {
        foreach ($this->rig->situations as $id => $_) {
            yield (string) $id => $this->hearings->in((string) $id);
        }
    }

    public function base(): Hearing
    {
        return $this->hearings->in($this->rig->base()->id);
    }

    public function graph(string $situation): SignalGraph
    {
        return $this->hearings->in($situation)->graph();
    }

    public function field(string $situation): SoundField
    {
        return $this->graph($situation)->field();
    }

    /** What hangs on what, in the base. */
    public function dependence(): Dependence
    {
        return $this->dependence ??= new Dependence($this->base());
    }

    /**
     * How loud what goes out is stage by stage, in the base: to the air, onto tracks, to callers. Of a large rig the first of them.
     *
     * @return list<array{HeardPair, Chain}>
     */
    public function chains(): array
    {
        if ($this->chains === null) {
            $this->chains = [];
            foreach ($this->base()->all() as $pair) {
                $goesOut = in_array($pair->listener->kind, [ListenerKind::Stream, ListenerKind::Track, ListenerKind::Caller], true);
                $chain = $goesOut && $pair->wish !== null && $pair->wish->want !== Want::MustNot && count($this->chains) < self::CHAINS
                    ? Chain::of($this->base()->graph(), $pair)
                    : null;
                $this->chains = $chain === null ? $this->chains : [...$this->chains, [$pair, $chain]];
            }
        }

        return $this->chains;
    }

    /** The route that a step takes, where somebody can switch it off. */
    public function switchAt(Hop $hop): ?RouteRef
    {
        return $hop->at instanceof RouteRef && $this->rig->modelOf($hop->at->unit)->canSwitch($hop->at->key) ? $hop->at : null;
    }

    /**
     * What of the catalogue can stand between two sockets; nothing where there is no catalogue.
     *
     * @param  list<Family>  $families
     * @return list<PutBetween>
     */
    public function between(SocketRef $a, SocketRef $b, array $families): array
    {
        $this->between ??= $this->catalogue === null ? null : new Between($this->rig, $this->catalogue);

        return $this->between?->offers($a, $b, $families) ?? [];
    }

    /** @return list<Unit> the units of a place that have a microphone */
    public function microphones(string $place): array
    {
        if ($this->microphones === null) {
            $this->microphones = [];
            foreach ($this->rig->units as $unit) {
                if ($this->rig->modelOf($unit)->family->hasMicrophone()) {
                    $this->microphones[$unit->place][] = $unit;
                }
            }
        }

        return $this->microphones[$place] ?? [];
    }

    /** Null for the base: changes are made for good there. */
    public function override(string $situation): ?string
    {
        return $this->rig->isBase($situation) ? null : $situation;
    }

    /** Whether a unit is there, or a program runs, in a situation. */
    public function isThere(string $unit, Situation $situation): bool
    {
        return ! in_array($unit, $situation->absent, true);
    }
}
