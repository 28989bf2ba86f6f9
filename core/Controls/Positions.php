<?php

declare(strict_types=1);

namespace HiddenWire\Core\Controls;

use HiddenWire\Core\Equipment\Dials\DialKind;
use HiddenWire\Core\Equipment\Gesture;
use HiddenWire\Core\Equipment\Law;
use HiddenWire\Core\Quantity\Decibels;
use HiddenWire\Core\Quantity\Milliseconds;
use HiddenWire\Core\Rig\Control;
use HiddenWire\Core\Rig\Move;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\RouteRef;
use HiddenWire\Core\Rig\SettingRef;
use HiddenWire\Core\Rig\SituationRef;
use HiddenWire\Core\Rig\State;

/**
 * The positions of a control between which what it does can be heard: both ends, the middle, the current one and where a law bends; of a
 * key, before and after. Each gesture is one of its own: pressed long, a key may do something else.
 */
final readonly class Positions
{
    private const END = 1000;

    public function __construct(private State $state)
    {
    }

    /**
     * @param  bool  $isBrief  only the ends, and the middle where something turns there: enough to know what is moved at all
     * @return list<array{by: Gesture, with: string|null, to: Move|null, stops: non-empty-list<Position>}> the lowest first; of a key, at
     *     rest; of an assigned control for each thing that it can be assigned `to`
     */
    public function of(Control $control, bool $isBrief = false): array
    {
        $groups = [];
        foreach ($control->moves as $move) {
            $groups["{$move->by->value} {$move->with}".($control->isAssigned ? " {$move->slot()}" : '')][] = $move;
        }
        $all = [];
        foreach ($groups as $moves) {
            $isTurned = $control->kind->isTurned() && $moves[0]->by === Gesture::Move;
            $all[] = ['by' => $moves[0]->by, 'with' => $moves[0]->with, 'to' => $control->isAssigned ? $moves[0] : null,
                'stops' => $isTurned ? $this->alongWay($control, $moves, $isBrief) : $this->pressed($moves)];
        }

        return $all;
    }

    /**
     * @param  non-empty-list<Move>  $moves
     * @return non-empty-list<Position>
     */
    private function alongWay(Control $control, array $moves, bool $isBrief): array
    {
        $isInHalves = array_filter($moves, fn (Move $move) => in_array($move->law, [Law::FirstHalf, Law::SecondHalf], true)) !== [];
        $at = $isBrief && ! $isInHalves ? [0, self::END] : [0, intdiv(self::END, 2), self::END];
        if ($control->position !== null && ! $isBrief) {
            $at[] = (int) round($control->position * self::END / 100);
        }
        foreach ($moves as $move) {
            $at = ! $isBrief && is_float($move->from) && is_float($move->to) ? [...$at, ...$move->law->bends($move->from, $move->to)] : $at;
        }
        $at = array_values(array_unique($at));
        sort($at);

        return array_map(fn (int $one) => new Position($one, match ($one) {
            0 => 'lowest', self::END => 'highest', default => round($one / 10, 1).' %',
        }, array_map(fn (Move $move) => [$move, $this->valueAt($move, $one)], $moves)), $at);
    }

    /** The value of one move along the travel. A move without a travel is at its end from the middle on. */
    private function valueAt(Move $move, int $at): string|bool|float
    {
        if ($move->law === Law::Step) {
            // An endless encoder: one step either way from its current value.
            return $this->stepped($move, (int) round(($at - self::END / 2) * 2 / self::END));
        }
        if (is_float($move->from) && is_float($move->to)) {
            return round($move->law->value($at, $move->from, $move->to), 2);
        }
        $to = $move->to ?? $this->standing($move);

        return 2 * $at < self::END ? $move->from ?? $this->standing($move) : $to;
    }

    /**
     * @param  non-empty-list<Move>  $moves
     * @return non-empty-list<Position>
     */
    private function pressed(array $moves): array
    {
        $before = $after = [];
        foreach ($moves as $move) {
            if ($move->at instanceof SituationRef) {
                $after[] = [$move, $move->at->situation];

                continue;
            }
            $to = $move->law === Law::Step ? $this->stepped($move, 1) : $move->to ?? $this->standing($move);
            $rest = $move->from ?? ($move->law === Law::Toggle && is_bool($to) ? ! $to : null);
            if ($rest !== null) {
                $before[] = [$move, $rest];
            }
            $after[] = [$move, $to];
        }
        $done = $moves[0]->by === Gesture::Move ? 'turned' : $moves[0]->by->words();

        return [new Position(null, 'before', $before), new Position(null, $done, $after)];
    }

    /** A step or several from its current value; not past its ends. */
    private function stepped(Move $move, int $steps): string|bool|float
    {
        $now = $this->standing($move);
        $size = $move->to;
        if (! is_float($now) || ! is_float($size)) {
            return $now;
        }
        [$least, $most] = $this->ends($move);

        return round(max($least, min($most, $now + $steps * $size)), 2);
    }

    /** @return array{float, float} */
    private function ends(Move $move): array
    {
        $at = $move->at;
        $model = $at instanceof SituationRef ? null : $this->state->rig->modelOf($at->unit);
        if ($at instanceof PointRef && $model !== null) {
            $scale = $move->dial()?->scale($model->points[$at->point]);

            return $scale === null ? [-INF, INF] : [$scale->from, $scale->to];
        }
        $level = $at instanceof RouteRef ? $model?->routes[$at->key]->level : null;

        return $level === null ? [-INF, INF] : [$level->from->value(), $level->to->value()];
    }

    /** The current value of what is moved in the situation, as a move says it. */
    public function standing(Move $move): string|bool|float
    {
        $at = $move->at;
        if ($at instanceof SituationRef) {
            return $this->state->situation->id;
        }
        $model = $this->state->rig->modelOf($at->unit);
        if ($at instanceof SettingRef) {
            return $this->state->value($at->unit, $model->settings[$at->setting]);
        }
        if ($at instanceof RouteRef) {
            $route = $this->state->route($at->unit, $model->routes[$at->key]);

            return match ($move->set) {
                'on' => $route->on, 'db' => $route->db->value(), default => $route->tap->value,
            };
        }
        $kind = $move->dial();

        return $kind === null ? (string) $this->state->pick($at->unit, $at->point)?->device : $this->dialled($at, $kind);
    }

    private function dialled(PointRef $at, DialKind $kind): bool|float
    {
        $stands = $this->state->of($at->unit, $this->state->rig->modelOf($at->unit)->points[$at->point], $kind);

        return $stands instanceof Decibels || $stands instanceof Milliseconds ? $stands->value() : $stands;
    }
}
