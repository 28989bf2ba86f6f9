<?php

declare(strict_types=1);

namespace HiddenWire\Core\Checks\Hear;

use HiddenWire\Core\Checks\Check;
use HiddenWire\Core\Checks\Finding;
use HiddenWire\Core\Checks\Inspection;
use HiddenWire\Core\Checks\Proposal;
use HiddenWire\Core\Checks\Severity;
use HiddenWire\Core\Edit\SetPoint;
use HiddenWire\Core\Planning\Cost;
use HiddenWire\Core\Quantity\Listing;
use HiddenWire\Core\Rig\AirRef;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\PointSettings;
use HiddenWire\Core\Signal\Hearing;
use HiddenWire\Core\Signal\HopKind;
use HiddenWire\Core\Signal\Loop;

/** An open microphone and live loudspeakers in one place, unless an automatic mute covers it. */
final readonly class AirLoop implements Check
{
    public function code(): string
    {
        return 'hear.air-loop';
    }

    public function findings(Inspection $in): iterable
    {
        foreach ($in->each() as $situation => $hearing) {
            foreach ($hearing->graph()->links as $link) {
                $at = $link->at;
                if ($link->kind !== HopKind::Air || ! $link->carries() || ! $at instanceof AirRef
                    || $in->field($situation)->sourcesAt($at->from) === [] || $in->field($situation)->listenersBehind($at->to) === []) {
                    continue;
                }
                $loop = $this->loop($hearing, $at);
                $names = [$in->rig->units[$at->from->unit]->name, $in->rig->units[$at->to->unit]->name];
                yield new Finding(
                    $this->code(),
                    $loop?->isAudible() ? Severity::Fault : Severity::Risk,
                    "{$names[0]} and {$names[1]} are both live in {$in->rig->places[$in->rig->units[$at->to->unit]->place]->name}"
                        .($loop === null ? '' : ": {$loop->gain->text()} dB a round"
                            .($loop->howls() ? ', it howls' : ($loop->rings() ? ', it rings' : ''))),
                    'What the loudspeakers play comes back through the microphone: callers hear themselves, and what is loud enough howls. '
                        .'Use headphones, or have the loudspeakers muted while the microphone is open.'
                        .($loop === null || $loop->howls() ? '' : " It howls with {$loop->margin()?->text()} dB more at "
                            .Listing::of(array_map($in->names->of(...), $loop->cut)).'.'),
                    [$at->from, $at->to],
                    [$situation],
                    $this->proposals($in, $at, $situation),
                    cells: $loop?->isAudible() ? SoundLoop::cells($hearing, $situation) : [],
                );
            }
        }
    }

    private function loop(Hearing $hearing, AirRef $at): ?Loop
    {
        foreach ($hearing->loops() as $loop) {
            if (in_array((string) $at, $loop->elements, true)) {
                return $loop;
            }
        }

        return null;
    }

    /** @return list<Proposal> rules of units that mute and are out of force */
    private function proposals(Inspection $in, AirRef $at, string $situation): array
    {
        $proposals = [];
        foreach ($in->rig->units as $unit) {
            foreach ($in->rig->modelOf($unit)->autoMutes as $rule) {
                $point = new PointRef($unit->id, $rule->mutes);
                $isOff = $in->graph($situation)->state->autoMutedBy($unit->id, $in->rig->point($point)) === null;
                if ($isOff) {
                    $proposals[] = new Proposal(
                        "Have {$unit->name} mute {$in->rig->point($point)->label} while a microphone is open",
                        [new SetPoint($point, new PointSettings(autoMute: true), $in->override($situation))],
                        Cost::RULE,
                    );
                }
            }
        }

        return $proposals;
    }
}
