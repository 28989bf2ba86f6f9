<?php

declare(strict_types=1);

namespace HiddenWire\Core\Checks\Level;

use HiddenWire\Core\Checks\Check;
use HiddenWire\Core\Checks\Finding;
use HiddenWire\Core\Checks\Inspection;
use HiddenWire\Core\Checks\Proposal;
use HiddenWire\Core\Checks\Severity;
use HiddenWire\Core\Edit\SetPoint;
use HiddenWire\Core\Edit\SetValue;
use HiddenWire\Core\Equipment\Family;
use HiddenWire\Core\Levels\Preamp;
use HiddenWire\Core\Planning\Cost;
use HiddenWire\Core\Quantity\Decibels;
use HiddenWire\Core\Rig\CableRef;
use HiddenWire\Core\Rig\PhantomFeed;
use HiddenWire\Core\Rig\PointSettings;
use HiddenWire\Core\Signal\HeardPair;
use HiddenWire\Core\Signal\HopKind;

/** A preamp that has less gain than a microphone needs: a booster helps. */
final readonly class GainShort implements Check
{
    public function code(): string
    {
        return 'level.gain-short';
    }

    public function findings(Inspection $in): iterable
    {
        foreach ($in->chains() as [$pair, $chain]) {
            $preamp = $chain->preamp;
            if ($preamp === null || $preamp->shortDb() <= 0) {
                continue;
            }
            $boosters = $this->boosters($in, $pair, $preamp);
            yield new Finding(
                $this->code(),
                Severity::Risk,
                "{$in->rig->units[$pair->source->origins[0]->at->unit]->name} needs {$preamp->wanted->text()} dB of gain at "
                    ."{$in->names->of($preamp->at)}, which has {$preamp->span->to->text()} dB",
                number_format($preamp->shortDb(), 1).' dB are missing. '
                    .($boosters === [] ? 'Take a booster, a microphone that gives more, or come closer.'
                        : "Put a booster in: {$boosters[0]->sentence}."),
                [$preamp->at, $pair->source->origins[0]->at],
                [],
                $boosters,
            );
        }
    }

    /** @return list<Proposal> */
    private function boosters(Inspection $in, HeardPair $pair, Preamp $preamp): array
    {
        foreach ($in->catalogue === null ? [] : $pair->arrivals()[0]->hops ?? [] as $hop) {
            $cable = $hop->kind === HopKind::Cable && $hop->at instanceof CableRef ? $in->rig->cables[$hop->at->cable] : null;
            if ($cable === null) {
                continue;
            }
            foreach ($in->joints->of($cable) as $joint) {
                $put = $in->between($joint->from, $joint->to, [Family::Booster])[0] ?? null;
                $gain = $put === null ? null : (array_values($put->model->routes)[0] ?? null)?->db;
                if ($put !== null && $gain !== null) {
                    $to = $preamp->span->nearest(Decibels::of($preamp->wanted->value() - $gain->value()));
                    $feed = PhantomFeed::at($in->base()->graph()->state, $in->wiring, $joint->to);
                    $power = $feed->switch === null || $feed->isOn !== false ? []
                        : [new SetValue($feed->socket->unit, $feed->switch->id, true)];

                    return [new Proposal(
                        "{$put->model->name} ({$gain->text()} dB) into {$cable->label}, "
                            .($power === [] ? '' : "{$feed->switch->label} on, ")."then the gain at {$to->text()} dB",
                        [$put, ...$power, new SetPoint($preamp->at, new PointSettings(gain: $to))],
                        Cost::PLUG,
                    )];
                }
            }

            return [];
        }

        return [];
    }
}
