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
    /** Below this a meter shows nothing of a sound: 90 dB under nominal. */
    private const NOTHING_DB = -90.0;

    /** @var array<string, array<string, float>> dB by meter (`unit meter`), by source */
    private array $levels = [];

    /** @param  list<Unit>  $units  whose meters are read */
    public function __construct(private readonly SignalGraph $graph, array $units)
    {
        $channels = $graph->byChannel();
        $nodes = $useful = [];
        foreach ($units as $unit) {
            foreach ($graph->rig->modelOf($unit)->meters as $meter) {
                $at = $graph->channelsOf($this->node($unit, $meter));
                $nodes["{$unit->id} {$meter->id}"] = $at;
                array_push($useful, ...$at);
            }
        }
        if ($nodes === []) {
            return;
        }
        $propagation = new Propagation($channels, new LoopGains($channels), $channels->reach($useful, backward: true), new Effort);
        foreach ($graph->rig->sources as $source) {
            $powers = [];
            foreach ($source->origins as $origin) {
                foreach ($graph->channelsOf($graph->entry($origin->at)) as $begin) {
                    foreach ($propagation->from($begin)->taps as $channel => $taps) {
                        // What comes at one time adds as it is, what comes at different times by its power.
                        $power = array_sum(array_map(fn (float $amplitude) => $amplitude ** 2, $taps));
                        $powers[$channel] = ($powers[$channel] ?? 0.0) + $power * 10 ** ($origin->db->value() / 10);
                    }
                }
            }
            foreach ($nodes as $meter => $at) {
                $loudest = max([0.0, ...array_map(fn (int $channel) => $powers[$channel] ?? 0.0, $at)]);
                if ($loudest > 10 ** (self::NOTHING_DB / 10)) {
                    $this->levels[$meter][$source->id] = 10 * log10($loudest);
                }
            }
        }
    }

    /** @return array<string, float> dB relative to the sound's own level, by source; those that the meter does not show left out */
    public function of(Unit $unit, Meter $meter): array
    {
        return $this->levels["{$unit->id} {$meter->id}"] ?? [];
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
        foreach ($meter->tap === Tap::PreFader ? $this->graph->links : [] as $link) {
            if ($link->kind === HopKind::Fader && (string) $link->at === $at) {
                return $link->from;
            }
        }

        return $this->graph->exit($at);
    }
}
