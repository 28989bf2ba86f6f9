<?php

declare(strict_types=1);

namespace HiddenWire\Core\Checks\Level;

use HiddenWire\Core\Checks\Check;
use HiddenWire\Core\Checks\Finding;
use HiddenWire\Core\Checks\Inspection;
use HiddenWire\Core\Checks\Severity;
use HiddenWire\Core\Levels\Chain;
use HiddenWire\Core\Levels\Stage;
use HiddenWire\Core\Rig\AirRef;
use HiddenWire\Core\Signal\HeardPair;

/** Peaks that go over what a stage takes. */
final readonly class Clip implements Check
{
    public function code(): string
    {
        return 'level.clip';
    }

    public function findings(Inspection $in): iterable
    {
        foreach ($in->chains() as [$pair, $chain]) {
            $stage = self::tightest($chain);
            if ($stage !== null && ! $chain->isGuessed && $stage->headroom() < 0) {
                yield self::finding(
                    $in,
                    $this->code(),
                    Severity::Fault,
                    $pair,
                    $stage,
                    "exceed the limit at {$stage->label} by ".number_format(-$stage->headroom(), 1).' dB',
                    'What is over is cut off, and sounds distorted.',
                );
            }
        }
    }

    /** The stage with the least headroom: where it is clipped first is before it or there. */
    public static function tightest(Chain $chain): ?Stage
    {
        $tightest = null;
        foreach ($chain->stages as $stage) {
            if ($stage->headroom() !== null && ($tightest === null || $stage->headroom() < $tightest->headroom())) {
                $tightest = $stage;
            }
        }

        return $tightest;
    }

    public static function finding(
        Inspection $in,
        string $code,
        Severity $severity,
        HeardPair $pair,
        Stage $stage,
        string $how,
        string $why,
    ): Finding {
        $situation = $in->rig->base()->id;
        $room = NoHeadroom::WANTED_DB - (float) $stage->headroom();

        return new Finding(
            $code,
            $severity,
            "Peaks of {$pair->source->name} {$how} (".number_format($stage->level + Chain::CREST_DB, 1)
                ." {$stage->unit()} of ".number_format((float) $stage->max, 1).')',
            "{$why} Turn it down before, by ".number_format($room, 1).' dB.',
            $stage->hop->at instanceof AirRef ? [] : [$stage->hop->at],
            [],
            Turning::before($in, $situation, $pair->arrivals()[0]->hops ?? [], $stage->hop, -$room),
        );
    }
}
