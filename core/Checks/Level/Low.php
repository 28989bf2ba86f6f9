<?php

declare(strict_types=1);

namespace HiddenWire\Core\Checks\Level;

use HiddenWire\Core\Checks\Check;
use HiddenWire\Core\Checks\Finding;
use HiddenWire\Core\Checks\Inspection;
use HiddenWire\Core\Checks\Severity;
use HiddenWire\Core\Levels\Chain;
use HiddenWire\Core\Rig\SourceKind;
use HiddenWire\Core\Rig\Want;

/** A voice that arrives too low: what makes up for it brings the noise up. */
final readonly class Low implements Check
{
    /** Below this a voice on the air is looked for with the volume: 16 dB under alignment level. */
    private const LEAST_DBFS = -34.0;

    public function code(): string
    {
        return 'level.low';
    }

    public function findings(Inspection $in): iterable
    {
        foreach ($in->chains() as [$pair, $chain]) {
            $strongest = $pair->arrivals()[0] ?? null;
            // What only may be heard, and a voice that only spills into another's microphone, need no level.
            if ($pair->source->kind === SourceKind::Voice && $chain->end < self::LEAST_DBFS && ! $chain->isGuessed
                && $pair->wish?->want === Want::Must && $strongest?->isBleed === false) {
                $hops = $strongest->hops;
                $last = $hops[count($hops) - 1];
                yield new Finding(
                    $this->code(),
                    Severity::Risk,
                    "{$pair->source->name} comes to {$pair->listener->name} at ".number_format($chain->end, 1).' dBFS, '
                        .number_format(Chain::TARGET_DBFS - $chain->end, 1).' dB too low',
                    'Whoever turns it up turns the noise up: it stands '.number_format($chain->overNoise(), 0).' dB above it.',
                    [$pair->source->origins[0]->at, ...$pair->listener->at],
                    [],
                    Turning::before($in, $in->rig->base()->id, $hops, $last, Chain::TARGET_DBFS - $chain->end),
                );
            }
        }
    }
}
