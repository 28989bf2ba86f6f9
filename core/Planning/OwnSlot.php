<?php

declare(strict_types=1);

namespace HiddenWire\Core\Planning;

use HiddenWire\Core\Devices\Device;
use HiddenWire\Core\Edit\RigEdit;
use HiddenWire\Core\Edit\SetPick;
use HiddenWire\Core\Edit\SetPoint;
use HiddenWire\Core\Edit\SetRoute;
use HiddenWire\Core\Equipment\Point;
use HiddenWire\Core\Equipment\RouteSetting;
use HiddenWire\Core\Quantity\Bounds;
use HiddenWire\Core\Quantity\Decibels;
use HiddenWire\Core\Rig\InvalidRig;
use HiddenWire\Core\Rig\Pick;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\PointSettings;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\RouteRef;
use HiddenWire\Core\Rig\RouteSettings;
use HiddenWire\Core\Signal\HeardPair;
use HiddenWire\Core\Signal\Hearing;

/**
 * Moves a sound out of a mix that a program takes in one slot into a free slot of its own, at the level that it has. Tried: nobody hears
 * anything else afterwards, in any situation. The edits are in an order in which nothing is heard twice or too loud on the way.
 */
final class OwnSlot
{
    /** Hearings that are made at most. */
    private const TRIED = 30;

    /** What nobody would notice, dB. */
    private const UNNOTICED_DB = 0.1;

    /** The program's slot in which the sound comes with others; null where there is none. */
    public ?PointRef $shared = null;

    /** The slot that it can have. */
    public ?PointRef $slot = null;

    /** @var list<RigEdit> in a safe order; empty where there is no way */
    public array $edits = [];

    private int $tried = 0;

    private readonly Rig $rig;

    private readonly Hearing $hearing;

    private readonly HeardPair $pair;

    public function __construct(private readonly Hearings $hearings, string $source, string $listener)
    {
        $this->rig = $hearings->rig;
        $this->hearing = $hearings->in($this->rig->base()->id);
        $this->pair = $this->hearing->pair($source, $listener);
        $this->shared = $this->sharedSlot();
        if ($this->shared === null) {
            return;
        }
        foreach ($this->slots($this->shared) as $slot) {
            foreach ($this->picks($slot) as $pick) {
                foreach ($this->departures($this->shared) as $departure) {
                    $edits = $this->moved($slot, $pick, $departure);
                    if ($edits !== null) {
                        [$this->slot, $this->edits] = [$slot, $edits];

                        return;
                    }
                }
            }
        }
    }

    private function sharedSlot(): ?PointRef
    {
        $field = null;
        foreach (array_reverse($this->pair->isHeard() ? $this->pair->arrivals()[0]->hops ?? [] : []) as $hop) {
            if ($hop->pick !== null && $this->rig->point($hop->pick)->picks !== null) {
                $field ??= $this->hearing->field();
                if (count($field->sourcesAt($hop->pick)) > 1) {
                    return $hop->pick;
                }
            }
        }

        return null;
    }

    /** @return list<PointRef> slots of the same program with nothing in them, that lead to the same places */
    private function slots(PointRef $shared): array
    {
        $model = $this->rig->modelOf($shared->unit);
        $like = $model->points[$shared->point];
        $slots = [];
        foreach ($model->points as $point) {
            $isFree = $point->id !== $like->id && $point->kind === $like->kind && $point->picks === $like->picks
                && $point->deviceOf === null && ! isset($this->rig->picks["{$shared->unit}/{$point->id}"]);
            if ($isFree && $this->routesLike($shared, $point) !== null) {
                $slots[] = new PointRef($shared->unit, $point->id);
            }
        }

        return $slots;
    }

    /** @return list<RigEdit>|null what makes a slot lead where another leads; null where it can't */
    private function routesLike(PointRef $shared, Point $slot): ?array
    {
        $state = $this->hearing->graph()->state;
        $edits = [];
        $routes = $this->rig->modelOf($shared->unit)->routes;
        foreach ($routes as $route) {
            if ($route->from === $shared->point || $route->from === $slot->id) {
                [$like, $mine] = [$routes["{$shared->point}>{$route->to}"] ?? null, $routes["{$slot->id}>{$route->to}"] ?? null];
                $want = $like !== null && $state->route($shared->unit, $like)->on;
                if ($want !== ($mine !== null && $state->route($shared->unit, $mine)->on)) {
                    if ($mine === null || ! $mine->allows(RouteSetting::On)) {
                        return null;
                    }
                    $at = new RouteRef($shared->unit, $mine->key());
                    $edits[(string) $at] = new SetRoute($at, new RouteSettings(on: $want));
                }
            }
        }

        return array_values($edits);
    }

    /** @return list<Pick> devices on which the sound is alone */
    private function picks(PointRef $slot): array
    {
        $host = $this->rig->hostOf($this->rig->units[$slot->unit]->place);
        $point = $this->rig->point($slot);
        $devices = array_values(array_filter(
            $host === null ? [] : $this->hearing->graph()->devices->of($host->id),
            fn (Device $device) => $device->isUsable() && $device->ref->unit !== $slot->unit
                && $point->offers($device->ref->pickFrom($device->direction !== $point->picks)),
        ));
        $picks = [];
        foreach ($devices as $device) {
            $there = $this->hearing->field()->levelsAt($this->hearing->graph()->deviceNode($device));
            if (array_keys($there) == [$this->pair->source->id]) {
                $picks[] = new Pick($slot, $device->ref, tap: $device->direction === $point->picks ? null : $device->direction);
            }
        }
        usort($picks, fn (Pick $a, Pick $b) => ($a->tap !== null) <=> ($b->tap !== null));

        return $picks;
    }

    /** @return list<SetRoute> what leaves the sound out of the shared slot, nearest to it first */
    private function departures(PointRef $shared): array
    {
        $isBefore = false;
        $departures = [];
        foreach (array_reverse($this->pair->arrivals()[0]->hops) as $hop) {
            $isBefore = $isBefore || (string) $hop->pick === (string) $shared;
            if ($isBefore && $hop->at instanceof RouteRef && $this->rig->modelOf($hop->at->unit)->canSwitch($hop->at->key)) {
                $departures[] = new SetRoute($hop->at, new RouteSettings(on: false));
            }
        }

        return $departures;
    }

    /** @return list<RigEdit>|null */
    private function moved(PointRef $slot, Pick $pick, SetRoute $departure): ?array
    {
        $routes = $this->shared === null ? null : $this->routesLike($this->shared, $this->rig->point($slot));
        $then = $routes === null ? null : $this->tried([...$routes, new SetPick($slot, $pick), $departure]);
        $is = $then?->in($this->rig->base()->id)->pair($this->pair->source->id, $this->pair->listener->id)->level();
        $was = $this->pair->level();
        if ($then === null || $is === null || $was === null) {
            return null;
        }
        $level = $this->level($slot, $was->value() - $is->value());
        if ($level === null || ! $this->isUnheard($this->tried([...$routes, new SetPick($slot, $pick), $departure, ...$level]))) {
            return null;
        }
        $prepared = [...$level, ...$routes];
        // Where it can't be muted in between it is gone for a moment, which is better than twice.
        if ($this->rig->point($slot)->mute === null) {
            return [...$prepared, $departure, new SetPick($slot, $pick)];
        }

        return [new SetPoint($slot, new PointSettings(mute: true)), ...$prepared, new SetPick($slot, $pick), $departure,
            new SetPoint($slot, new PointSettings(mute: false))];
    }

    /** @return list<RigEdit>|null what makes a slot so much louder, dB; null where it doesn't go that far */
    private function level(PointRef $slot, float $louder): ?array
    {
        if (abs($louder) <= self::UNNOTICED_DB / 2) {
            return [];
        }
        $point = $this->rig->point($slot);
        $state = $this->hearing->graph()->state;
        foreach (['fader' => $state->fader($slot->unit, $point), 'gain' => $state->gain($slot->unit, $point)] as $knob => $now) {
            $to = round($now->value() + $louder, 2);
            if (abs($to) <= Bounds::DB && $point->{$knob} !== null && $point->{$knob}->reaches(Decibels::of($to))) {
                return [new SetPoint($slot, (new PointSettings)->with(...[$knob => Decibels::of($to)]))];
            }
        }

        return null;
    }

    /** @param  list<RigEdit>  $edits */
    private function tried(array $edits): ?Hearings
    {
        if ($this->tried++ >= self::TRIED) {
            return null;
        }
        try {
            $rig = array_reduce($edits, fn (Rig $rig, RigEdit $edit) => $edit->applyTo($rig), $this->rig);
        } catch (InvalidRig) {
            return null;
        }

        return new Hearings($rig, [], $this->hearings);
    }

    /** Whether everybody hears in every situation what they heard. */
    private function isUnheard(?Hearings $then): bool
    {
        $before = $then === null ? [] : iterator_to_array($this->hearings->cells());
        foreach ($then?->cells() ?? [] as $key => $is) {
            [$now, $was] = [$is->level()?->value(), $before[$key]->level()?->value()];
            $isAlike = ($was === null) === ($now === null) && abs(($now ?? 0.0) - ($was ?? 0.0)) <= self::UNNOTICED_DB;
            if (! $isAlike || ($is->verdict->isAtOdds() && $is->verdict !== $before[$key]->verdict)) {
                return false;
            }
        }

        return $then !== null;
    }
}
