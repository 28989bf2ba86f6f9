<?php

declare(strict_types=1);

namespace HiddenWire\Core\Checks\Hear;

use HiddenWire\Core\Checks\Check;
use HiddenWire\Core\Checks\Finding;
use HiddenWire\Core\Checks\Inspection;
use HiddenWire\Core\Checks\Proposal;
use HiddenWire\Core\Checks\Severity;
use HiddenWire\Core\Equipment\RouteSetting;
use HiddenWire\Core\Planning\Cost;
use HiddenWire\Core\Planning\OwnSlot;
use HiddenWire\Core\Quantity\Listing;
use HiddenWire\Core\Rig\Listener;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\RouteRef;
use HiddenWire\Core\Rig\Source;
use HiddenWire\Core\Signal\HeardPair;
use HiddenWire\Core\Signal\HopKind;
use HiddenWire\Core\Signal\SoundField;

/** A level of its own that was wanted, where every fader on the way also moves another listener, or another sound, as the wish says. */
final readonly class NoOwnLevel implements Check
{
    /** Of what a fader also moves these are named. */
    private const NAMED = 4;

    public function code(): string
    {
        return 'hear.no-own-level';
    }

    public function findings(Inspection $in): iterable
    {
        // Where hands have controls, those are what a level is moved by.
        foreach ($in->rig->controls === [] ? $in->each() : [] as $situation => $hearing) {
            foreach ($hearing->all() as $pair) {
                if ($pair->wish?->ownLevel !== null && $pair->isHeard()) {
                    yield from $this->shared($in, $situation, $pair);
                }
            }
        }
    }

    /** @return iterable<Finding> */
    private function shared(Inspection $in, string $situation, HeardPair $pair): iterable
    {
        $closest = null;
        foreach (self::controls($in->rig, $in->field($situation), $pair) as [$at, $sources, $listeners]) {
            $others = $pair->wish?->ownLevel?->isFromListeners() !== true ? []
                : array_values(array_filter($listeners, fn (Listener $one) => $one !== $pair->listener));
            $sounds = $pair->wish?->ownLevel?->isFromSounds() !== true ? []
                : array_values(array_filter($sources, fn (Source $one) => $one !== $pair->source));
            if ($others === [] && $sounds === []) {
                return;
            }
            $closest = $closest === null || count($sounds) + count($others) < count($closest[1]) + count($closest[2])
                ? [$at, $sounds, $others]
                : $closest;
        }
        $what = "{$pair->source->name} has no level of its own for {$pair->listener->name}";
        if ($closest === null) {
            yield new Finding(
                $this->code(),
                Severity::Fault,
                "{$what}: there is no fader on its way",
                'Put a fader in: a send of its own, or another mix.',
                $pair->listener->at,
                [$situation],
            );

            return;
        }
        [$at, $sounds, $others] = $closest;
        $moved = array_map(fn (Source|Listener $one) => $one->name, [...$sounds, ...$others]);
        yield new Finding(
            $this->code(),
            Severity::Fault,
            "{$what}: {$in->names->of($at)} also moves ".($sounds === [] ? 'it for ' : '').Listing::of($moved, self::NAMED),
            'Whoever turns it changes what others hear. Take the sound by a send of its own, or in a mix of its own.',
            [$at, ...$pair->listener->at],
            [$situation],
            $sounds !== [] && $in->rig->isBase($situation) ? $this->ownSlot($in, $pair) : [],
        );
    }

    /** @return list<Proposal> a slot of its own in the program where it comes with others */
    private function ownSlot(Inspection $in, HeardPair $pair): array
    {
        $own = new OwnSlot($in->hearings, $pair->source->id, $pair->listener->id);

        return $own->slot === null || $own->edits === [] ? [] : [new Proposal(
            "Give {$pair->source->name} a slot of its own: {$in->names->of($own->slot)}",
            $own->edits,
            Cost::FIRST_PICK,
        )];
    }

    /** The level nearest to the listener that moves only what was wished to be apart; null where there is none. */
    public static function own(Rig $rig, SoundField $field, HeardPair $pair): PointRef|RouteRef|null
    {
        $apart = $pair->wish?->ownLevel;
        if ($apart === null) {
            return null;
        }
        $own = null;
        foreach (self::controls($rig, $field, $pair) as [$at, $sources, $listeners]) {
            $isOwn = (! $apart->isFromListeners() || $listeners === [$pair->listener])
                && (! $apart->isFromSounds() || $sources === [$pair->source]);
            $own = $isOwn ? $at : $own;
        }

        return $own;
    }

    /**
     * The levels on the strongest way that somebody can turn.
     *
     * @return list<array{PointRef|RouteRef, list<Source>, list<Listener>}> each with the sounds and the listeners that it moves
     */
    public static function controls(Rig $rig, SoundField $field, HeardPair $pair): array
    {
        $controls = [];
        foreach ($pair->arrivals()[0]->hops ?? [] as $hop) {
            if ($hop->kind === HopKind::Fader && $hop->at instanceof PointRef) {
                $controls[] = [$hop->at, $field->sourcesAt($hop->at), $field->listenersBehind($hop->at)];
            } elseif ($hop->at instanceof RouteRef) {
                $route = $rig->modelOf($hop->at->unit)->routes[$hop->at->key];
                if ($route->allows(RouteSetting::Db)) {
                    $controls[] = [
                        $hop->at,
                        $field->sourcesAt(new PointRef($hop->at->unit, $route->from)),
                        $field->listenersBehind(new PointRef($hop->at->unit, $route->to)),
                    ];
                }
            }
        }

        return $controls;
    }
}
