<?php

declare(strict_types=1);

namespace HiddenWire\Core\Checks\Level;

use HiddenWire\Core\Checks\Check;
use HiddenWire\Core\Checks\Finding;
use HiddenWire\Core\Checks\Inspection;
use HiddenWire\Core\Checks\Proposal;
use HiddenWire\Core\Checks\Severity;
use HiddenWire\Core\Edit\SetPoint;
use HiddenWire\Core\Levels\Chain;
use HiddenWire\Core\Planning\Cost;
use HiddenWire\Core\Quantity\Decibels;
use HiddenWire\Core\Rig\ListenerKind;
use HiddenWire\Core\Rig\PointSettings;
use HiddenWire\Core\Signal\HeardPair;

/** Two microphones that come to the air at levels of their own. */
final readonly class Unmatched implements Check
{
    /** Twice as loud is 10 dB; from about 6 on listeners reach for the volume. */
    private const APART_DB = 6.0;

    public function code(): string
    {
        return 'level.unmatched';
    }

    public function findings(Inspection $in): iterable
    {
        $voices = [];
        foreach ($in->chains() as [$pair, $chain]) {
            $isSpill = $pair->arrivals()[0]->isBleed ?? false;
            // On the air together; on tracks of one recorder, each where it is loudest.
            $where = match (true) {
                ! $chain->isFromCapsule || $isSpill => null,
                $pair->listener->kind === ListenerKind::Stream => "air {$pair->listener->id}",
                $pair->listener->kind === ListenerKind::Track => "tracks {$pair->listener->at[0]->unit}",
                default => null,
            };
            $known = $where === null ? null : $voices[$where][$pair->source->id] ?? null;
            if ($where !== null && ($known === null || $known[1]->end < $chain->end)) {
                $voices[$where][$pair->source->id] = [$pair, $chain];
            }
        }
        // What is reported of the air is not reported again of tracks.
        ksort($voices);
        $told = [];
        foreach ($voices as $ofOne) {
            $ofOne = array_values($ofOne);
            usort($ofOne, fn (array $a, array $b) => $a[1]->end <=> $b[1]->end);
            [$soft, $softChain] = $ofOne[0];
            [$loud, $loudChain] = $ofOne[count($ofOne) - 1];
            $apart = $loudChain->end - $softChain->end;
            if ($apart > self::APART_DB && ! isset($told["{$soft->source->id} {$loud->source->id}"])) {
                $told["{$soft->source->id} {$loud->source->id}"] = true;
                yield new Finding(
                    $this->code(),
                    Severity::Risk,
                    "{$loud->source->name} is ".number_format($apart, 1)." dB louder than {$soft->source->name} at {$soft->listener->name}"
                        .($loud->listener === $soft->listener ? '' : ", on {$loud->listener->name}"),
                    'Listeners turn one up and are shouted at by the other.',
                    [$loud->source->origins[0]->at, $soft->source->origins[0]->at, ...$soft->listener->at],
                    [],
                    [
                        ...$this->matched($in, $softChain, $apart),
                        ...$this->matched($in, $loudChain, -$apart),
                        ...$this->turned($in, $soft, $apart),
                    ],
                );
            }
        }
    }

    /** @return list<Proposal> */
    private function turned(Inspection $in, HeardPair $pair, float $louder): array
    {
        $hops = $pair->arrivals()[0]->hops ?? [];

        return $hops === [] ? [] : Turning::before($in, $in->rig->base()->id, $hops, $hops[count($hops) - 1], round($louder, 1));
    }

    /** @return list<Proposal> */
    private function matched(Inspection $in, Chain $chain, float $louder): array
    {
        $preamp = $chain->preamp;
        $to = $preamp === null ? null : Decibels::of(round($preamp->now->value() + $louder, 1));

        return $preamp === null || $to === null || ! $preamp->span->reaches($to) ? [] : [new Proposal(
            "Set the gain of {$in->names->of($preamp->at)} to {$to->text()} dB",
            [new SetPoint($preamp->at, new PointSettings(gain: $to))],
            Cost::FADER,
        )];
    }
}
