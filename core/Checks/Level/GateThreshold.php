<?php

declare(strict_types=1);

namespace HiddenWire\Core\Checks\Level;

use HiddenWire\Core\Checks\Check;
use HiddenWire\Core\Checks\Finding;
use HiddenWire\Core\Checks\Inspection;
use HiddenWire\Core\Checks\Severity;
use HiddenWire\Core\Equipment\EffectKind;
use HiddenWire\Core\Levels\Chain;
use HiddenWire\Core\Quantity\Decibels;
use HiddenWire\Core\Rig\PointRef;

/** A gate that does not open for its sound, cuts off words, or never shuts because the noise holds it open. */
final readonly class GateThreshold implements Check
{
    public function code(): string
    {
        return 'level.gate';
    }

    public function findings(Inspection $in): iterable
    {
        foreach ($in->chains() as [$pair, $chain]) {
            foreach ($chain->isGuessed ? [] : $chain->effects as ['hop' => $hop, 'level' => $level, 'floor' => $floor]) {
                $at = $hop->at;
                $effect = $at instanceof PointRef && $hop->effect !== null ? $in->rig->units[$at->unit]->effect($hop->effect) : null;
                $threshold = $effect?->values?->threshold?->value();
                if (! $at instanceof PointRef || $effect?->kind !== EffectKind::Gate || $threshold === null) {
                    continue;
                }
                $gate = "{$effect->label()} of {$in->names->of($at)}";
                $opens = 'It opens at '.self::db($threshold).' dBFS, ';
                [$severity, $sentence, $why] = match (true) {
                    $level + Chain::CREST_DB < $threshold => [
                        Severity::Fault,
                        "{$gate} never opens for {$pair->source->name}",
                        $opens.'and its loudest moments come at '.self::db($level + Chain::CREST_DB).' dBFS.',
                    ],
                    $level < $threshold => [
                        Severity::Risk,
                        "{$gate} cuts off {$pair->source->name}'s quieter words",
                        $opens.'and the usual level comes at '.self::db($level).' dBFS.',
                    ],
                    $floor > $threshold => [
                        Severity::Risk,
                        "{$gate} never shuts: the noise holds it open",
                        $opens.'and the noise comes at '.self::db($floor)." dBFS, most of it from {$chain->noisiest}.",
                    ],
                    default => [null, '', ''],
                };
                if ($severity !== null) {
                    yield new Finding($this->code(), $severity, $sentence, $why, [$at, $pair->source->origins[0]->at]);
                }
            }
        }
    }

    private static function db(float $db): string
    {
        return Decibels::of(round($db, 1))->text();
    }
}
