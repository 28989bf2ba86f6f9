<?php

declare(strict_types=1);

namespace HiddenWire\Core\Signal;

/** Which sounds are at some places of the graph, and how loud: each sound by itself, as in a test where one thing plays at a time. */
final class Carried
{
    /** Below this nothing is shown of a sound: 90 dB under nominal. */
    private const NOTHING_DB = -90.0;

    /** @var array<array-key, array<string, float>> dB by place, by source */
    private array $levels = [];

    /**
     * @param  array<array-key, int>  $nodes  by whatever name the places have
     * @param  bool  $byChannel  each channel is a place of its own, called by the place's name and its number from 0
     */
    public function __construct(SignalGraph $graph, array $nodes, bool $byChannel = false)
    {
        $channels = $graph->byChannel();
        $places = array_map(fn (int $node) => $graph->channelsOf($node), $nodes);
        if ($places === []) {
            return;
        }
        if ($byChannel) {
            $places = array_merge(...array_map(fn (int|string $name, array $channels) => array_combine(
                array_map(fn (int $number) => "{$name} {$number}", array_keys($channels)),
                array_map(fn (int $channel) => [$channel], $channels),
            ), array_keys($places), $places));
        }
        $useful = $channels->reach(array_merge(...array_values($places)), backward: true);
        $propagation = new Propagation($channels, new LoopGains($channels), $useful, new Effort);
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
            foreach ($places as $name => $at) {
                $loudest = max([0.0, ...array_map(fn (int $channel) => $powers[$channel] ?? 0.0, $at)]);
                if ($loudest > 10 ** (self::NOTHING_DB / 10)) {
                    $this->levels[$name][$source->id] = 10 * log10($loudest);
                }
            }
        }
    }

    /** @return array<string, float> dB relative to the sound's own level, by source, the loudest first; only those that are there */
    public function at(int|string $place): array
    {
        $levels = $this->levels[$place] ?? [];
        arsort($levels);

        return $levels;
    }
}
