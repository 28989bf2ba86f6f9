<?php

declare(strict_types=1);

namespace HiddenWire\Core\Checks\Time;

use HiddenWire\Core\Checks\Check;
use HiddenWire\Core\Checks\Finding;
use HiddenWire\Core\Checks\Inspection;
use HiddenWire\Core\Checks\Severity;
use HiddenWire\Core\Equipment\CableType;
use HiddenWire\Core\Rig\CableRef;
use HiddenWire\Core\Rig\ListenerKind;
use HiddenWire\Core\Rig\SourceKind;
use HiddenWire\Core\Rig\Want;
use HiddenWire\Core\Signal\HeardPair;

/** A wireless link on a way where timing matters. */
final readonly class Bluetooth implements Check
{
    public function code(): string
    {
        return 'time.bluetooth';
    }

    public function findings(Inspection $in): iterable
    {
        $by = [];
        foreach ($in->base()->all() as $pair) {
            if (! $pair->isHeard() || $pair->wish?->want !== Want::Must || ! $this->matters($pair)) {
                continue;
            }
            foreach ($pair->arrivals()[0]->hops ?? [] as $hop) {
                if ($hop->at instanceof CableRef && $in->rig->cables[$hop->at->cable]->type === CableType::Wireless) {
                    $by[$hop->at->cable] ??= [$pair, $hop->delay->text()];
                }
            }
        }
        foreach ($by as $cable => [$pair, $delay]) {
            yield new Finding(
                $this->code(),
                Severity::Risk,
                "{$pair->source->name} reaches {$pair->listener->name} by radio over {$in->rig->cables[$cable]->label}, {$delay} ms late",
                'Aiming by ear, talking across each other and singing along all fail at that. Take a lead, or a radio made for it.',
                [new CableRef((string) $cable)],
            );
        }
    }

    /** Where somebody plays, talks or listens to themselves; music for a room may come late. */
    private function matters(HeardPair $pair): bool
    {
        return in_array($pair->source->kind, [SourceKind::Voice, SourceKind::Game, SourceKind::Console, SourceKind::Caller], true)
            && $pair->listener->kind !== ListenerKind::Speakers;
    }
}
