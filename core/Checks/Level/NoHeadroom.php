<?php

declare(strict_types=1);

namespace HiddenWire\Core\Checks\Level;

use HiddenWire\Core\Checks\Check;
use HiddenWire\Core\Checks\Inspection;
use HiddenWire\Core\Checks\Severity;

/** Peaks that come too close to what a stage takes: a laugh is 6 dB louder. */
final readonly class NoHeadroom implements Check
{
    /** Peaks are to stand at half to three quarters of the scale: at -6 to -2.5 dBFS. */
    public const LEAST_DB = 2.5;

    public const WANTED_DB = 6.0;

    public function code(): string
    {
        return 'level.headroom';
    }

    public function findings(Inspection $in): iterable
    {
        $clipped = [];
        foreach ($in->chains() as [, $chain]) {
            $stage = Clip::tightest($chain);
            $clipped += $stage !== null && $stage->headroom() < 0 ? [$stage->hop->ref => true] : [];
        }
        foreach ($in->chains() as [$pair, $chain]) {
            $stage = Clip::tightest($chain);
            if ($stage !== null && ! $chain->isGuessed && ! isset($clipped[$stage->hop->ref]) && $stage->headroom() >= 0
                && $stage->headroom() < self::LEAST_DB) {
                yield Clip::finding(
                    $in,
                    $this->code(),
                    Severity::Risk,
                    $pair,
                    $stage,
                    'come within '.number_format((float) $stage->headroom(), 1)." dB of the limit at {$stage->label}",
                    'A laugh or a shout goes over it.',
                );
            }
        }
    }
}
