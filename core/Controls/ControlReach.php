<?php

declare(strict_types=1);

namespace HiddenWire\Core\Controls;

use HiddenWire\Core\Edit\SetRoute;
use HiddenWire\Core\Edit\Settings;
use HiddenWire\Core\Planning\Hearings;
use HiddenWire\Core\Rig\Change;
use HiddenWire\Core\Rig\Control;
use HiddenWire\Core\Rig\DeviceRef;
use HiddenWire\Core\Rig\Hands;
use HiddenWire\Core\Rig\InvalidRig;
use HiddenWire\Core\Rig\Move;
use HiddenWire\Core\Rig\Pick;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\RouteRef;
use HiddenWire\Core\Rig\RouteSettings;
use HiddenWire\Core\Rig\SettingRef;
use HiddenWire\Core\Rig\SettingValue;
use HiddenWire\Core\Rig\Situation;
use HiddenWire\Core\Rig\SituationRef;
use HiddenWire\Core\Rig\State;
use HiddenWire\Core\Signal\HeardPair;
use HiddenWire\Core\Signal\Hearing;

/**
 * For whom what changes when a hand moves a control: the rig is heard at each position ({@see Positions}), and what differs between any two
 * is reported. Cost: one hearing per stop, of the sounds that pass what is moved.
 */
final class ControlReach
{
    /** @var array<string, Hearing> by situation and what differs in it */
    private array $heard = [];

    /** @var \WeakMap<Control, array<string, list<MovedPair>>> what is known already, by situation */
    private \WeakMap $known;

    public function __construct(private readonly Hearings $plan)
    {
        $this->known = new \WeakMap;
    }

    /**
     * @param  bool  $isBrief  only what is moved at all matters, see {@see Positions::of()}
     * @return list<MovedPair> in the order of the rig's sounds and listeners; none where it does nothing in the situation
     */
    public function of(Control $control, string $situation, bool $isBrief = false): array
    {
        $of = $this->known[$control] ?? [];
        $slot = $situation.($isBrief ? ' brief' : '');
        $of[$slot] ??= $this->reached($control, $situation, $isBrief);
        $this->known[$control] = $of;

        return $of[$slot];
    }

    /** @return list<MovedPair> */
    private function reached(Control $control, string $situation, bool $isBrief): array
    {
        $rig = $this->plan->rig;
        $stops = new Positions(new State($rig, $rig->situations[$situation]));
        $reached = [];
        foreach ($stops->of($control, $isBrief) as ['by' => $by, 'with' => $with, 'to' => $to, 'stops' => $of]) {
            $hearings = array_map(fn (Position $stop) => $this->at($stop, $situation), $of);
            $pairs = $this->differing($hearings);
            foreach ($pairs as [$source, $listener]) {
                $all = array_map(fn (Hearing $hearing) => $hearing->pair($source, $listener), $hearings);
                $reached[] = new MovedPair($rig->sources[$source], $rig->listeners[$listener], $by, $with, $of, $all, $to);
            }
        }

        return $reached;
    }

    /**
     * From the other side: which controls make a sound louder or softer at a listener, fewest other effects first. Of what units
     * come with, only what is on a way of the sound is tried; the ends of each are enough.
     *
     * @return list<array{control: Control, besides: list<MovedPair>}> what else each of them moves
     */
    public function moving(string $source, string $listener, string $situation): array
    {
        $found = [];
        $passed = [];
        foreach ($this->plan->in($situation)->pair($source, $listener)->arrivals() as $arrival) {
            foreach ($arrival->hops as $hop) {
                $passed[(string) $hop->at] = true;
            }
        }
        foreach (Hands::of($this->plan->rig) as $control) {
            $isNear = array_filter($control->moves, fn (Move $move) => isset($passed[(string) $move->at])) !== [];
            if (! $isNear && ! Hands::isOwn($this->plan->rig, $control)) {
                continue;
            }
            $reached = $this->of($control, $situation, isBrief: true);
            $moved = array_filter($reached, fn (MovedPair $one) => $one->isInLevel());
            $isIt = fn (MovedPair $one): bool => $one->source->id === $source && $one->listener->id === $listener;
            if (array_filter($moved, $isIt) !== []) {
                $found[] = ['control' => $control, 'besides' => array_values(array_filter($moved, fn (MovedPair $one) => ! $isIt($one)))];
            }
        }
        usort($found, fn (array $one, array $other) => count($one['besides']) <=> count($other['besides']));

        return $found;
    }

    /**
     * Faders on the strongest ways of what has to be heard and is, that no control moves.
     *
     * @return list<PointRef> in the order in which they are met
     */
    public function withoutHand(string $situation): array
    {
        $moved = $without = [];
        foreach (Hands::of($this->plan->rig) as $control) {
            foreach ($control->moves as $move) {
                $moved[(string) $move->at] = true;
            }
        }
        foreach ($this->plan->in($situation)->all() as $pair) {
            foreach ($pair->meetsMust() ? $pair->arrivals()[0]->hops ?? [] : [] as $hop) {
                $at = $hop->at;
                if ($at instanceof PointRef && ! isset($moved[(string) $at]) && $this->plan->rig->point($at)->fader !== null) {
                    $without[(string) $at] = $at;
                }
            }
        }

        return array_values($without);
    }

    /** What is heard with a control at a stop. */
    public function at(Position $stop, string $situation): Hearing
    {
        $changes = $values = [];
        foreach ($stop->values as [$move, $value]) {
            if ($move->at instanceof SituationRef) {
                $situation = $move->at->situation;
            } elseif ($move->at instanceof SettingRef) {
                $values[] = new SettingValue($move->at->unit, $move->at->setting, $value);
            } else {
                array_push($changes, ...$this->changes($move, $value, $situation));
            }
        }
        if ($changes === [] && $values === []) {
            return $this->plan->in($situation);
        }
        $key = $situation.' '.serialize([$changes, $values]);

        return $this->heard[$key] ??= $this->hear($situation, $changes, $values);
    }

    /**
     * @param  list<Change>  $changes
     * @param  list<SettingValue>  $values
     */
    private function hear(string $situation, array $changes, array $values): Hearing
    {
        try {
            $rig = $this->changed($situation, $changes, $values);
        } catch (InvalidRig) {
            // What can't stand together the hand does not bring about either: a group of which another choice is on.
            return $this->plan->in($situation);
        }

        return (new Hearings($rig, before: $this->plan))->in($situation);
    }

    /**
     * @param  list<Change>  $changes
     * @param  list<SettingValue>  $values
     *
     * @throws InvalidRig where it can't stand so
     */
    private function changed(string $situation, array $changes, array $values): Rig
    {
        $rig = $changes === [] ? $this->plan->rig : Settings::ofSituation($this->plan->rig, $situation, ...$changes);
        if ($values === []) {
            return $rig;
        }
        $slots = array_map(fn (SettingValue $one) => $one->slot(), $values);

        return new Rig($rig->parts()->changing('situations', $situation, fn (Situation $one): Situation => $one->with(settings: [
            ...array_values(array_filter($one->settings, fn (SettingValue $set) => ! in_array($set->slot(), $slots, true))),
            ...$values,
        ])));
    }

    /** @return list<Change> what is linked with a level moves with it */
    private function changes(Move $move, string|bool|float $value, string $situation): array
    {
        $set = $move->settings($value);
        $at = $move->at;
        if ($at instanceof RouteRef && $set instanceof RouteSettings) {
            return (new SetRoute($at, $set, $situation))->changes($this->plan->rig);
        }
        if ($at instanceof PointRef && $set !== null) {
            return [new Change($at, $set)];
        }

        return $at instanceof PointRef && is_string($value) && $value !== '' ? [new Change($at, $this->pick($at, $value, $situation))] : [];
    }

    /** As the program uses a device now, but another one; of one that plays, what goes there where the point takes in. */
    private function pick(PointRef $at, string $device, string $situation): Pick
    {
        $graph = $this->plan->in($situation)->graph();
        $tokens = explode('/', $device);
        $ref = isset($tokens[2]) ? DeviceRef::lane($tokens[0], $tokens[1], $tokens[2]) : DeviceRef::point($tokens[0], $tokens[1] ?? '');
        $now = $graph->state->pick($at->unit, $at->point) ?? new Pick($at, null);
        if ((string) $now->device === $device) {
            return $now;
        }
        $host = $this->plan->rig->hostOf($this->plan->rig->units[$at->unit]->place);
        $direction = $host === null ? null : ($graph->devices->of($host->id)[$device] ?? null)?->direction;
        $tap = $direction === $this->plan->rig->point($at)->picks ? null : $direction;

        return $now->with(device: $ref, default: null, channels: null, tap: $tap, also: []);
    }

    /**
     * @param  non-empty-list<Hearing>  $hearings
     * @return list<array{string, string}> ids of source and listener
     */
    private function differing(array $hearings): array
    {
        $first = array_shift($hearings);
        $differ = [];
        foreach ($hearings as $other) {
            foreach ($other->all() as $pair) {
                $was = $first->pair($pair->source->id, $pair->listener->id);
                if ($was !== $pair && ! self::isAlike($was, $pair)) {
                    $differ["{$pair->source->id} {$pair->listener->id}"] = [$pair->source->id, $pair->listener->id];
                }
            }
        }
        $all = [];
        foreach ($this->plan->rig->sources as $source) {
            foreach ($this->plan->rig->listeners as $listener) {
                $all[] = $differ["{$source->id} {$listener->id}"] ?? null;
            }
        }

        return array_values(array_filter($all));
    }

    private static function isAlike(HeardPair $one, HeardPair $other): bool
    {
        [$a, $b] = [$one->level()?->value(), $other->level()?->value()];

        return ($a === null) === ($b === null) && abs(($a ?? 0.0) - ($b ?? 0.0)) < MovedPair::LEAST_DB
            && $one->channels() === $other->channels()
            && abs(($one->delay()?->value() ?? 0.0) - ($other->delay()?->value() ?? 0.0)) < 0.1;
    }
}
