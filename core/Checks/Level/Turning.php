<?php

declare(strict_types=1);

namespace HiddenWire\Core\Checks\Level;

use HiddenWire\Core\Checks\Inspection;
use HiddenWire\Core\Checks\Proposal;
use HiddenWire\Core\Edit\SetPoint;
use HiddenWire\Core\Edit\SetRoute;
use HiddenWire\Core\Equipment\RouteSetting;
use HiddenWire\Core\Planning\Cost;
use HiddenWire\Core\Quantity\Bounds;
use HiddenWire\Core\Quantity\Decibels;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\PointSettings;
use HiddenWire\Core\Rig\RouteRef;
use HiddenWire\Core\Rig\RouteSettings;
use HiddenWire\Core\Signal\Hop;
use HiddenWire\Core\Signal\HopKind;

/** What could be turned at a step of a way to make everything behind it so much louder. */
final class Turning
{
    /** Null where nothing can, or not that far. */
    public static function by(Inspection $in, string $situation, Hop $hop, float $louder): ?Proposal
    {
        $state = $in->graph($situation)->state;
        if ($hop->at instanceof PointRef && in_array($hop->kind, [HopKind::Gain, HopKind::Fader], true)) {
            $control = $hop->kind === HopKind::Gain ? 'gain' : 'fader';
            $point = $in->rig->point($hop->at);
            $now = $control === 'gain' ? $state->gain($hop->at->unit, $point) : $state->fader($hop->at->unit, $point);
            $to = Decibels::of(round(max(-Bounds::DB, min(Bounds::DB, $now->value() + $louder)), 1));

            return $point->{$control}?->reaches($to) ? new Proposal(
                "Set the {$control} of {$in->names->of($hop->at)} to {$to->text()} dB",
                [new SetPoint($hop->at, (new PointSettings)->with(...[$control => $to]), $in->override($situation))],
                Cost::FADER,
            ) : null;
        }
        $at = $hop->at;
        $route = $at instanceof RouteRef ? $in->rig->route($at) : null;
        if (! $at instanceof RouteRef || ! $route?->allows(RouteSetting::Db)) {
            return null;
        }
        $to = Decibels::of(round(max(-Bounds::DB, min(Bounds::DB, $state->route($at->unit, $route)->db->value() + $louder)), 1));

        return $route->whyNotAt($to) !== null ? null : new Proposal(
            "Set {$in->names->of($at)} to {$to->text()} dB",
            [new SetRoute($at, new RouteSettings(db: $to), $in->override($situation))],
            Cost::FADER,
        );
    }

    /**
     * The nearest before a step, that included, which could be turned: at most two.
     *
     * @param  list<Hop>  $hops  of a way
     * @return list<Proposal>
     */
    public static function before(Inspection $in, string $situation, array $hops, Hop $until, float $louder): array
    {
        $proposals = [];
        foreach ($hops as $hop) {
            $proposal = self::by($in, $situation, $hop, $louder);
            if ($proposal !== null) {
                array_unshift($proposals, $proposal);
            }
            if ($hop === $until) {
                break;
            }
        }

        return array_slice($proposals, 0, 2);
    }
}
