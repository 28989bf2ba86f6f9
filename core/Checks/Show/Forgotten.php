<?php

declare(strict_types=1);

namespace HiddenWire\Core\Checks\Show;

use HiddenWire\Core\Checks\Check;
use HiddenWire\Core\Checks\Finding;
use HiddenWire\Core\Checks\Inspection;
use HiddenWire\Core\Checks\Proposal;
use HiddenWire\Core\Checks\Severity;
use HiddenWire\Core\Edit\ClearChange;
use HiddenWire\Core\Edit\RigEdit;
use HiddenWire\Core\Edit\SetAbsent;
use HiddenWire\Core\Edit\SetPulled;
use HiddenWire\Core\Planning\Cell;
use HiddenWire\Core\Planning\Cost;
use HiddenWire\Core\Rig\CableRef;
use HiddenWire\Core\Rig\InvalidRig;
use HiddenWire\Core\Rig\Pick;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\RouteRef;
use HiddenWire\Core\Rig\Situation;
use HiddenWire\Core\Rig\UnitRef;
use HiddenWire\Core\Rig\Want;
use HiddenWire\Core\Signal\GraphBuilder;
use HiddenWire\Core\Signal\HeardPair;
use HiddenWire\Core\Signal\Hearing;
use HiddenWire\Core\Signal\Verdict;

/**
 * Something that a situation itself mutes, switches off or takes out, and that a wish needs there: it can be taken back without harm, so
 * that it is not meant.
 */
final readonly class Forgotten implements Check
{
    /** What a situation says otherwise that is looked at. */
    private const LOOKED = 24;

    public function code(): string
    {
        return 'situation.forgotten';
    }

    public function findings(Inspection $in): iterable
    {
        foreach ($in->rig->situations as $situation) {
            $missing = $in->rig->isBase($situation->id) ? [] : $this->missing($in, $situation);
            foreach ($missing === [] ? [] : $this->overrides($situation) as [$at, $edit, $cost]) {
                if ($this->isMeant($in, $at)) {
                    continue;
                }
                $found = $this->broughtBack($in, $situation, $edit, $missing);
                if ($found !== null) {
                    yield new Finding(
                        $this->code(),
                        Severity::Fault,
                        "{$found->source->name} is lost to {$found->listener->name} in {$situation->name}: "
                            .$this->what($in, $at, $situation),
                        "{$situation->name} says otherwise than {$in->rig->base()->name}, and a wish needs it there.",
                        [$at],
                        [$situation->id],
                        [new Proposal(ucfirst($edit->words($in->rig)), [$edit], $cost)],
                        cells: [Cell::of($found, $situation->id)->key()],
                    );
                }
            }
        }
    }

    /** Whether somebody has written down that it has to be left alone. */
    private function isMeant(Inspection $in, PointRef|RouteRef|UnitRef|CableRef $at): bool
    {
        $element = match (true) {
            $at instanceof PointRef => "units/{$at->unit}/points/{$at->point}",
            $at instanceof RouteRef => "units/{$at->unit}/routes/{$at->key}",
            $at instanceof UnitRef => "units/{$at->unit}",
            $at instanceof CableRef => "cables/{$at->cable}",
        };
        foreach ($in->rig->papers->reasons as $reason) {
            if ($reason->leaveAlone && (string) $reason->about === $element) {
                return true;
            }
        }

        return false;
    }

    /** @return list<HeardPair> what is missing there and is heard in some other situation */
    private function missing(Inspection $in, Situation $situation): array
    {
        $missing = [];
        foreach ($in->hearings->in($situation->id)->all() as $pair) {
            if ($pair->verdict === Verdict::Missing && $pair->wish?->want === Want::Must
                && $in->base()->pair($pair->source->id, $pair->listener->id)->isHeard()) {
                $missing[] = $pair;
            }
        }

        return $missing;
    }

    /** @return list<array{PointRef|RouteRef|UnitRef|CableRef, RigEdit, int}> what a situation says otherwise, and how it is taken back */
    private function overrides(Situation $situation): array
    {
        $overrides = [];
        foreach ($situation->changes as $change) {
            $isPick = $change->set instanceof Pick;
            $back = new ClearChange($situation->id, (string) $change->at, $isPick);
            $overrides[] = [$change->at, $back, $isPick ? Cost::PICK : Cost::SWITCH];
        }
        foreach ($situation->absent as $unit) {
            $overrides[] = [new UnitRef($unit), new SetAbsent($situation->id, $unit, false), Cost::ENABLE];
        }
        foreach ($situation->pulled as $cable) {
            $overrides[] = [new CableRef($cable), new SetPulled($situation->id, $cable, false), Cost::PLUG_AGAIN];
        }

        return array_slice($overrides, 0, self::LOOKED);
    }

    /** @param  list<HeardPair>  $missing */
    private function broughtBack(Inspection $in, Situation $situation, RigEdit $edit, array $missing): ?HeardPair
    {
        try {
            $rig = $edit->applyTo($in->rig);
        } catch (InvalidRig) {
            return null;
        }
        $before = $in->hearings->in($situation->id);
        $then = new Hearing((new GraphBuilder($rig))->build($rig->situations[$situation->id], $before->graph()), before: $before);
        foreach ($then->differing($before) as [$was, $is]) {
            if ($is->verdict->rank() > $was->verdict->rank()) {
                return null;
            }
        }
        foreach ($missing as $pair) {
            if ($then->pair($pair->source->id, $pair->listener->id)->isHeard()) {
                return $pair;
            }
        }

        return null;
    }

    private function what(Inspection $in, PointRef|RouteRef|UnitRef|CableRef $at, Situation $situation): string
    {
        $name = $in->names->of($at);
        foreach ($situation->changes as $change) {
            if ((string) $change->at === (string) $at) {
                return "{$name} ".($change->set instanceof Pick ? 'uses '.$change->set->words($in->names) : 'is '.$change->set->words());
            }
        }

        return $at instanceof CableRef ? "{$name} is out"
            : "{$name} ".($at instanceof UnitRef && $in->rig->modelOf($at->unit)->isProgram() ? 'does not run' : 'is not there');
    }
}
