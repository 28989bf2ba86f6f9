<?php

declare(strict_types=1);

namespace HiddenWire\Core\Signal;

use HiddenWire\Core\Equipment\Lamp;
use HiddenWire\Core\Equipment\Meter;
use HiddenWire\Core\Equipment\Tap;
use HiddenWire\Core\Rig\Source;
use HiddenWire\Core\Rig\Unit;

/** What the meters and lamps of units show in a situation: each sound by itself, as in a test where one thing plays at a time. */
final class Readings
{
    /** A meter shows more than an ear hears: down to 90 dB under nominal. */
    public const LEAST_DB = -90.0;

    /** @var array<string, array<string, Link>>|null the first gain and the first fader of each point, by kind and point */
    private ?array $steps = null;

    public function __construct(private readonly SignalGraph $graph)
    {
    }

    /** @return array<array-key, float> dB relative to the sound's own level, by source, the loudest first; only what the meter shows */
    public function of(Unit $unit, Meter $meter): array
    {
        return $this->graph->field()->levelsAt($this->node($unit, $meter), self::LEAST_DB);
    }

    /** One sound of {@see of()}, in dB; null where the meter does not show it. */
    public function ofSource(Unit $unit, Meter $meter, Source $source): ?float
    {
        return $this->graph->field()->levelAt($source, $this->node($unit, $meter), self::LEAST_DB);
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
            $gain = $this->steps()[HopKind::Gain->value][$at] ?? null;

            return $gain === null ? $this->graph->entry($at) : $gain->to;
        }
        $fader = $meter->tap === Tap::PreFader ? $this->steps()[HopKind::Fader->value][$at] ?? null : null;

        return $fader === null ? $this->graph->exit($at) : $fader->from;
    }

    /** @return array<string, array<string, Link>> */
    private function steps(): array
    {
        if ($this->steps === null) {
            $this->steps = [];
            foreach ($this->graph->links as $link) {
                if ($link->kind === HopKind::Fader || ($link->kind === HopKind::Gain && $link->block === null)) {
                    $this->steps[$link->kind->value][(string) $link->at] ??= $link;
                }
            }
        }

        return $this->steps;
    }
}
