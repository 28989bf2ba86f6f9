<?php

declare(strict_types=1);

namespace HiddenWire\Core\Dependence;

use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\RouteRef;
use HiddenWire\Core\Rig\Source;
use HiddenWire\Core\Signal\HeardPair;
use HiddenWire\Core\Signal\Hearing;
use HiddenWire\Core\Signal\Hop;
use HiddenWire\Core\Signal\HopKind;

/** In how few places a sound is muted for everybody who hears it, without muting another. */
final readonly class Touch
{
    /** @var list<PointRef|RouteRef> mutes and switches, each of this sound only; the one that silences most first */
    public array $places;

    /** @var list<PointRef> what a unit has kept mute by itself as long as one of these was open, and opens then */
    public array $opens;

    /** @var list<HeardPair> those for whom nothing on the way is this sound's own */
    public array $left;

    /** @param  \Closure(PointRef|string): list<Source>  $soundsAt  which sounds are at a point */
    public function __construct(Hearing $hearing, Source $source, \Closure $soundsAt)
    {
        $by = $controls = $pairs = [];
        foreach ($hearing->rig->listeners as $listener) {
            $pair = $hearing->pair($source->id, $listener->id);
            if (! $pair->isHeard()) {
                continue;
            }
            $pairs[$listener->id] = $pair;
            $ofAll = null;
            foreach ($pair->arrivals() as $way) {
                $own = [];
                foreach ($way->hops as $hop) {
                    $at = $this->control($hearing, $hop);
                    $from = $at instanceof RouteRef ? new PointRef($at->unit, strstr($at->key, '>', true) ?: $at->key) : $at;
                    $isOwn = $at !== null && $from !== null && $soundsAt($from) === [$source];
                    if ($isOwn && $this->isAlone($hearing, $at, $source, $soundsAt)) {
                        $own[(string) $at] = $at;
                    }
                }
                $ofAll = $ofAll === null ? $own : array_intersect_key($ofAll, $own);
            }
            foreach ($ofAll ?? [] as $ref => $at) {
                $by[$ref][$listener->id] = true;
                $controls[$ref] = $at;
            }
        }
        $places = [];
        while ($by !== []) {
            uasort($by, fn (array $a, array $b) => count($b) <=> count($a));
            $first = (string) array_key_first($by);
            $places[] = $controls[$first];
            $done = $by[$first];
            $pairs = array_diff_key($pairs, $done);
            $by = array_filter(array_map(fn (array $silenced) => array_diff_key($silenced, $done), $by));
        }
        $this->places = $places;
        $this->left = array_values($pairs);
        $this->opens = $this->opened($hearing);
    }

    /** @return list<PointRef> */
    private function opened(Hearing $hearing): array
    {
        $state = $hearing->graph()->state;
        $opens = [];
        foreach ($this->places as $at) {
            if (! $at instanceof PointRef) {
                continue;
            }
            $model = $hearing->rig->modelOf($at->unit);
            foreach ($model->autoMutes as $rule) {
                $open = array_filter($rule->whileOpen, fn (string $id) => ! $state->isMuted($at->unit, $model->points[$id]));
                if (array_values($open) === [$at->point]) {
                    $opens[] = new PointRef($at->unit, $rule->mutes);
                }
            }
        }

        return $opens;
    }

    /**
     * Whether a switch moves this sound only: routes of one choice are on and off together.
     *
     * @param  \Closure(PointRef|string): list<Source>  $soundsAt
     */
    private function isAlone(Hearing $hearing, PointRef|RouteRef $at, Source $source, \Closure $soundsAt): bool
    {
        $routes = $hearing->rig->modelOf($at->unit)->routes;
        $route = $at instanceof RouteRef ? $routes[$at->key] : null;
        if ($route?->choice === null) {
            return true;
        }
        foreach ($routes as $other) {
            $isTogether = $other->group === $route->group && $other->choice === $route->choice;
            $sounds = $isTogether ? $this->byId($soundsAt(new PointRef($at->unit, $other->from))) : [];
            if (array_diff_key($sounds, [$source->id => true]) !== []) {
                return false;
            }
        }

        return true;
    }

    /**
     * @param  list<Source>  $sources
     * @return array<string, Source>
     */
    private function byId(array $sources): array
    {
        return array_combine(array_map(fn (Source $one) => $one->id, $sources), $sources);
    }

    private function control(Hearing $hearing, Hop $hop): PointRef|RouteRef|null
    {
        $rig = $hearing->rig;
        if ($hop->at instanceof PointRef && $hop->kind === HopKind::Gain && $rig->point($hop->at)->mute !== null) {
            return $hop->at;
        }

        return $hop->at instanceof RouteRef && $rig->modelOf($hop->at->unit)->canSwitch($hop->at->key) ? $hop->at : null;
    }
}
