<?php

declare(strict_types=1);

namespace HiddenWire\Core\Controls;

use HiddenWire\Core\Edit\CopyRecipe;
use HiddenWire\Core\Edit\RigEdit;
use HiddenWire\Core\Edit\SetPoint;
use HiddenWire\Core\Edit\SetRoute;
use HiddenWire\Core\Equipment\Route;
use HiddenWire\Core\Equipment\RouteSetting;
use HiddenWire\Core\Equipment\Tap;
use HiddenWire\Core\Planning\Hearings;
use HiddenWire\Core\Quantity\Decibels;
use HiddenWire\Core\Rig\Control;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\PointSettings;
use HiddenWire\Core\Rig\RouteRef;
use HiddenWire\Core\Rig\RouteSettings;
use HiddenWire\Core\Signal\HeardPair;
use HiddenWire\Core\Signal\Hearing;
use HiddenWire\Core\Signal\Hop;

/**
 * What takes others off a control that moves a sound as was wished, and besides at other listeners: they get it before the fader that it
 * moves, or from a second mix. Not tried. All is at the level at which it is now.
 */
final readonly class OwnHand
{
    private Hearing $hearing;

    /** @var array<string, PointRef> points whose faders the control moves */
    private array $moved;

    /**
     * @param  HeardPair  $pair  what it is to move
     * @param  list<MovedPair>  $besides  what else it moves
     */
    public function __construct(
        private Hearings $plan,
        private string $situation,
        private HeardPair $pair,
        Control $control,
        private array $besides,
    ) {
        $this->hearing = $plan->in($situation);
        $moved = [];
        foreach ($control->moves as $move) {
            if ($move->at instanceof PointRef && $move->set === 'fader') {
                $moved[(string) $move->at] = $move->at;
            }
        }
        $this->moved = $moved;
    }

    /** @return list<RigEdit> that take what others get before the fader; none where that does not do for all of them */
    public function beforeTheFader(): array
    {
        $own = $this->behindFader($this->pair);
        $edits = [];
        foreach ($this->besides as $one) {
            $routes = array_diff_key($this->behindFader($this->hearing->pair($one->source->id, $one->listener->id)), $own);
            $taken = array_filter($routes, fn (RouteRef $at) => $this->route($at)->allows(RouteSetting::Tap)
                && $this->route($at)->tap === Tap::PostFader);
            if ($taken === []) {
                return [];
            }
            $first = array_values($taken)[0];
            $edits[(string) $first] = new SetRoute($first, $this->before($first, $this->route($first)), $this->where());
        }

        return array_values($edits);
    }

    /** @return list<RigEdit> that give others a mix that nobody has, alike the one that the control moves; none where that does not do */
    public function secondMix(): array
    {
        $edits = $given = [];
        foreach ($this->besides as $one) {
            $out = null;
            foreach ($this->hops($this->hearing->pair($one->source->id, $one->listener->id)) as $hop) {
                $isChoice = $hop->at instanceof RouteRef && $this->route($hop->at)->group !== null;
                $out ??= $isChoice && isset($this->moved["{$hop->at->unit}/{$this->route($hop->at)->from}"]) ? $hop->at : null;
            }
            if ($out === null) {
                return [];
            }
            if (! isset($given[(string) $out])) {
                $given[(string) $out] = true;
                $second = $this->freeMix($out);
                if ($second === null) {
                    return [];
                }
                array_push($edits, ...$second);
            }
        }

        return $edits;
    }

    /** @return list<RigEdit>|null another choice of the same group that nobody listens to, made alike and chosen */
    private function freeMix(RouteRef $out): ?array
    {
        $model = $this->plan->rig->modelOf($out->unit);
        $now = $this->route($out);
        $mix = new PointRef($out->unit, $now->from);
        foreach ($model->routes as $key => $route) {
            $other = new PointRef($out->unit, $route->from);
            $isOther = $route->group === $now->group && $route->to === $now->to && $route->from !== $now->from;
            if (! $isOther || $this->hearing->field()->listenersBehind($other) !== []
                || ! CopyRecipe::isPossible($this->plan->rig, $mix, $other)) {
                continue;
            }
            $state = $this->hearing->graph()->state;
            $fader = $model->points[$other->point]->fader === null ? []
                : [new SetPoint($other, new PointSettings(fader: $state->fader($mix->unit, $model->points[$mix->point])), $this->where())];

            return [
                new CopyRecipe($out->unit, $mix->point, $other->point, $this->where()),
                ...$fader,
                new SetRoute(new RouteRef($out->unit, (string) $key), new RouteSettings(on: true), $this->where()),
            ];
        }

        return null;
    }

    /** @return array<string, RouteRef> routes by which a pair's strongest way leaves a point whose fader the control moves */
    private function behindFader(HeardPair $pair): array
    {
        $routes = [];
        foreach ($this->hops($pair) as $hop) {
            if ($hop->at instanceof RouteRef && isset($this->moved["{$hop->at->unit}/{$this->route($hop->at)->from}"])) {
                $routes[(string) $hop->at] = $hop->at;
            }
        }

        return $routes;
    }

    /** @return list<Hop> */
    private function hops(HeardPair $pair): array
    {
        return $pair->arrivals()[0]->hops ?? [];
    }

    private function route(RouteRef $at): Route
    {
        return $this->hearing->graph()->state->route($at->unit, $this->plan->rig->modelOf($at->unit)->routes[$at->key]);
    }

    /** Before the fader, and as loud as behind it now where the send has a level. */
    private function before(RouteRef $at, Route $now): RouteSettings
    {
        $fader = $this->hearing->graph()->state->fader($at->unit, $this->plan->rig->modelOf($at->unit)->points[$now->from]);
        $loud = $now->db->plus($fader);

        return new RouteSettings(
            db: $now->allows(RouteSetting::Db) && ! $fader->equals(Decibels::zero()) ? $now->level?->nearest($loud) ?? $loud : null,
            tap: Tap::PreFader,
        );
    }

    /** The situation in which it is set; null for the base. */
    private function where(): ?string
    {
        return $this->plan->rig->isBase($this->situation) ? null : $this->situation;
    }
}
