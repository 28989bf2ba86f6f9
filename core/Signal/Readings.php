<?php

declare(strict_types=1);

namespace HiddenWire\Core\Signal;

use HiddenWire\Core\Equipment\Lamp;
use HiddenWire\Core\Equipment\Meter;
use HiddenWire\Core\Equipment\Tap;
use HiddenWire\Core\Rig\Unit;

/** What the meters and lamps of units show in a situation: each sound by itself, as in a test where one thing plays at a time. */
final class Readings
{
    /** A meter shows more than an ear hears: down to 90 dB under nominal. */
    public const LEAST_DB = -90.0;

    public function __construct(private readonly SignalGraph $graph)
    {
    }

    /** @return array<array-key, float> dB relative to the sound's own level, by source, the loudest first; only what the meter shows */
    public function of(Unit $unit, Meter $meter): array
    {
        return $this->graph->field()->levelsAt($this->node($unit, $meter), self::LEAST_DB);
    }

    public function isLit(Unit $unit, Lamp $lamp): bool
    {
        $model = $this->graph->rig->modelOf($unit);

        return $lamp->setting !== null
            ? $this->graph->state->value($unit->id, $model->settings[$lamp->setting]) === $lamp->value
            : $this->graph->state->isMuted($unit->id, $model->points[(string) $lamp->point]) === $lamp->whileMuted;
    }

    private function node(Unit $unit, Meter $meter): int
    {
        $at = "{$unit->id}/{$meter->point}";
        if ($meter->tap === Tap::Input) {
            return $this->graph->entry($at);
        }
        if ($meter->tap === Tap::BeforeMute) {
            foreach ($this->graph->links as $link) {
                if ($link->kind === HopKind::Gain && $link->block === null && (string) $link->at === $at) {
                    return $link->to;
                }
            }

            return $this->graph->entry($at);
        }
        foreach ($meter->tap === Tap::PreFader ? $this->graph->links : [] as $link) {
            if ($link->kind === HopKind::Fader && (string) $link->at === $at) {
                return $link->from;
            }
        }

        return $this->graph->exit($at);
    }
}
