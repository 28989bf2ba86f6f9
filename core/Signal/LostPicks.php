<?php

declare(strict_types=1);

namespace HiddenWire\Core\Signal;

/** What programs have picked that a change takes out of reach: a mode that lists fewer devices, a cable that is pulled. */
final class LostPicks
{
    /** @return list<string> "Music player: Out (Four-Pair Mixer 3)" for each pick whose device was there before and is not any more */
    public static function between(SignalGraph $was, SignalGraph $is): array
    {
        $lost = [];
        foreach ($is->rig->units as $unit) {
            foreach (isset($was->rig->units[$unit->id]) ? $is->rig->modelOf($unit)->points : [] as $point) {
                $had = $point->picks === null ? null : $was->picked($was->rig->units[$unit->id], $point);
                if ($had === null || ! $had->isConnected) {
                    continue;
                }
                $has = $is->picked($unit, $point);
                if ((string) $has?->ref === (string) $had->ref && $has?->isConnected === false) {
                    $lost[] = "{$unit->name}: {$point->label} ({$had->name()})";
                }
            }
        }

        return $lost;
    }
}
