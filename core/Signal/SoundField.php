<?php

declare(strict_types=1);

namespace HiddenWire\Core\Signal;

use HiddenWire\Core\Quantity\Decibels;
use HiddenWire\Core\Rig\Listener;
use HiddenWire\Core\Rig\Origin;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\Source;
use HiddenWire\Core\Rig\Spill;

/**
 * What every sound comes to everywhere in one graph: how loud, how late, with which polarity, in which parts and by which clocks. All who
 * say how loud a sound is at a place read it here: the hearing at ears, recipes, tracks, returns, meters, names, the book at points.
 *
 * Each source is spread once, when it is first asked about: at first over the channels that lead to a listener, over the rest only when
 * somebody asks what arrives there. None of the rest leads back, so the first answer remains valid.
 */
final class SoundField
{
    public readonly ChannelGraph $channels;

    public readonly LoopGains $gains;

    /** @var array<array-key, array<string, list<int>>> channels of each ear, by listener, by point */
    public readonly array $ears;

    /** @var array<int, array<array-key, true>> listeners, by channel of their ears */
    private array $listenersAt = [];

    /** @var array<int, true> channels from which a listener is reached */
    private readonly array $useful;

    /** @var array<array-key, list<array{Origin, list<Spread>}>> for each origin of a source, what spreads from each of its channels */
    private array $spreads = [];

    /** @var array<array-key, true> sources that are spread everywhere */
    private array $everywhere = [];

    /** @var array<array-key, int> taps moved, by source */
    private array $work = [];

    /** @var array<array-key, array<int, true>>|null channels that lead to a listener, by listener */
    private ?array $leading = null;

    /** @var array<string, list<Source>> by point: checks ask for the same ones again and again */
    private array $sourcesAt = [];

    private readonly Effort $each;

    private ?Sum $nothing = null;

    /**
     * @param  Effort  $effort  for all sources together: each has an equal share, so that no answer hangs on who asked before
     * @param  self|null  $before  of a graph that this one was made like
     */
    public function __construct(private readonly SignalGraph $graph, Effort $effort = new Effort, ?self $before = null)
    {
        $this->channels = $graph->byChannel();
        $this->gains = new LoopGains($this->channels, $graph);
        $this->each = $effort->share(count($graph->rig->sources));
        if ($before !== null && $graph->isLaidOutLike($before->graph) && $graph->rig->listeners === $before->graph->rig->listeners
            && $this->channels->isShapedLike($before->channels)) {
            [$this->ears, $this->listenersAt, $this->useful] = [$before->ears, $before->listenersAt, $before->useful];

            return;
        }
        $ears = $all = [];
        foreach ($graph->rig->listeners as $listener) {
            $ears[$listener->id] = [];
            foreach ($listener->at as $ear) {
                $channels = $graph->channelsOf($graph->exit($ear));
                $ears[$listener->id][(string) $ear] = $channels;
                foreach ($channels as $channel) {
                    $all[] = $channel;
                    $this->listenersAt[$channel][$listener->id] = true;
                }
            }
        }
        $this->ears = $ears;
        $this->useful = $this->channels->reach($all, backward: true);
    }

    /** @return list<array{Origin, list<Spread>}> what spreads from each channel of each origin, as far as a listener is reached */
    private function spreadsOf(Source $source): array
    {
        if (! isset($this->spreads[$source->id])) {
            $effort = $this->each->anew();
            $propagation = new Propagation($this->channels, $this->gains, $this->useful, $effort);
            $this->spreads[$source->id] = array_map(fn (Origin $origin) => [
                $origin,
                array_map($propagation->from(...), $this->graph->channelsOf($this->graph->entry($origin->at))),
            ], Spill::origins($this->graph->rig, $source));
            $this->work[$source->id] = $effort->spent();
        }

        return $this->spreads[$source->id];
    }

    /** How much work it was to spread a source as far as listeners are reached, in taps moved. */
    public function work(Source $source): int
    {
        $this->spreadsOf($source);

        return $this->work[$source->id];
    }

    /** Whether nothing of a source was left out on its way to listeners. */
    public function isCounted(Source $source): bool
    {
        foreach ($this->spreadsOf($source) as [, $ofParts]) {
            foreach ($ofParts as $spread) {
                if ($spread->rest !== []) {
                    return false;
                }
            }
        }

        return true;
    }

    /** @return array<array-key, true> the listeners to whom anything of a source comes, counted or not, by id */
    public function reachedBy(Source $source): array
    {
        $listeners = [];
        foreach ($this->spreadsOf($source) as [, $ofParts]) {
            foreach ($ofParts as $spread) {
                foreach ([$spread->taps, $spread->rest] as $channels) {
                    foreach (array_intersect_key($this->listenersAt, $channels) as $there) {
                        $listeners += $there;
                    }
                }
            }
        }

        return $listeners;
    }

    /**
     * @param  array<int, true>  $channels
     * @return array<array-key, true> the listeners with any of some channels at their ears, by id
     */
    public function listenersIn(array $channels): array
    {
        $listeners = [];
        foreach (array_intersect_key($this->listenersAt, $channels) as $there) {
            $listeners += $there;
        }

        return $listeners;
    }

    /** What of a source arrives at a listener. */
    public function heard(Source $source, Listener $listener): Sum
    {
        return $this->sum($this->spreadsOf($source), $this->ears[$listener->id]);
    }

    /** What of a source arrives at a point, as an ear there would get it, or at a node of the graph. */
    public function at(Source $source, PointRef|string|int $place): Sum
    {
        $channels = $this->channelsAt($place);

        return $this->sum($this->spreadsFor($source, $channels), ['' => $channels]);
    }

    /** @return list<Source> in the rig's order: what is heard at a point, or may be as far as could be counted */
    public function sourcesAt(PointRef|string $point): array
    {
        return $this->sourcesAt[(string) $point] ??= array_values(array_filter(
            $this->graph->rig->sources,
            fn (Source $source) => $this->at($source, $point)->mayBeHeard(),
        ));
    }

    /**
     * @param  PointRef|string|int  $place  a point, or a node of the graph
     * @param  float  $least  dB; what is softer is left out
     * @return array<array-key, float> dB of each sound that is there, in the channel where it is loudest, by source; the loudest first
     */
    public function levelsAt(PointRef|string|int $place, float $least = -Sum::HEARD_DB): array
    {
        return $this->levelsIn($this->channelsAt($place), $least);
    }

    /**
     * @param  list<int>  $channels
     * @return array<array-key, float> as {@see levelsAt()} has them, of what is in any of some channels
     */
    public function levelsIn(array $channels, float $least = -Sum::HEARD_DB): array
    {
        $levels = [];
        foreach ($this->graph->rig->sources as $source) {
            $level = $this->levelIn($source, $channels, $least);
            if ($level !== null) {
                $levels[$source->id] = $level;
            }
        }
        arsort($levels);

        return $levels;
    }

    /** One sound of {@see levelsAt()}; null where it is not there. */
    public function levelAt(Source $source, PointRef|string|int $place, float $least = -Sum::HEARD_DB): ?float
    {
        return $this->levelIn($source, $this->channelsAt($place), $least);
    }

    /** @param  list<int>  $channels */
    private function levelIn(Source $source, array $channels, float $least): ?float
    {
        $slots = $this->slots($this->spreadsFor($source, $channels), ['' => $channels]);
        $loudest = max([-INF, ...array_map(fn (Slot $slot) => $slot->decibels(), $slots)]);

        return $loudest >= $least - Sum::ROUNDING_DB ? Decibels::of($loudest)->value() : null;
    }

    /** @return list<Listener> in the rig's order: to whom a point leads, however quiet */
    public function listenersBehind(PointRef|string $point): array
    {
        $this->leading ??= array_map(
            fn (array $ears) => $this->channels->reach(array_merge(...array_values($ears)), backward: true),
            $this->ears,
        );
        $channels = array_flip($this->channelsAt($point));

        return array_values(array_filter(
            $this->graph->rig->listeners,
            fn (Listener $listener) => array_intersect_key($this->leading[$listener->id] ?? [], $channels) !== [],
        ));
    }

    /** @return list<Listener> who would hear a sound that begins at a node, at nominal level; or may, as far as could be counted */
    public function heardFrom(int $node): array
    {
        $propagation = new Propagation($this->channels, $this->gains, $this->useful, $this->each->anew());
        $spreads = [[null, array_map($propagation->from(...), $this->graph->channelsOf($node))]];

        return array_values(array_filter(
            $this->graph->rig->listeners,
            fn (Listener $listener) => $this->sum($spreads, $this->ears[$listener->id])->mayBeHeard(),
        ));
    }

    /**
     * The impulse response from a source to a listener: for each channel of an ear, each origin and part of the source, when how much
     * arrives. Sorted by delay.
     *
     * @param  float  $least  amplitude; what is softer is left out
     * @return list<array{ear: string, ear_channel: int, origin: string, part: int, taps: list<array{float, float}>}> channels and parts
     *     count from 1; a tap is the delay in ms and the signed amplitude (1 is 0 dB)
     */
    public function response(Source $source, Listener $listener, float $least): array
    {
        $response = [];
        foreach ($this->spreadsOf($source) as [$origin, $spreads]) {
            foreach ($this->ears[$listener->id] as $ear => $channels) {
                foreach ($channels as $number => $channel) {
                    foreach ($spreads as $part => $spread) {
                        $taps = [];
                        foreach ($this->from($origin, $spread->taps[$channel] ?? []) as $key => $amplitude) {
                            if (abs($amplitude) >= $least) {
                                $taps[] = [($key & ChannelGraph::DELAY) / 1000, $amplitude];
                            }
                        }
                        if ($taps !== []) {
                            sort($taps);
                            $response[] = [
                                'ear' => (string) $ear,
                                'ear_channel' => $number + 1,
                                'origin' => (string) $origin->at,
                                'part' => $part + 1,
                                'taps' => $taps,
                            ];
                        }
                    }
                }
            }
        }

        return $response;
    }

    /**
     * Whether a source may be louder anywhere on its way to a listener than a channel takes. Of one origin, with all copies at their
     * loudest: a bound, to tell quickly that nothing is too loud.
     *
     * @param  array<int, float>  $limits  power, by channel
     * @param  float  $usual  power, of any other channel
     */
    public function mayExceed(Source $source, array $limits, float $usual): bool
    {
        foreach ($this->spreadsOf($source) as [$origin, $ofParts]) {
            $more = 10 ** (($origin->db->value() + ($source->loudness?->value() ?? 0.0)) / 10);
            foreach ($ofParts as $spread) {
                foreach ($spread->taps as $channel => $taps) {
                    $power = 0.0;
                    foreach ($taps as $amplitude) {
                        $power += $amplitude * $amplitude;
                    }
                    if ($power * $more > ($limits[$channel] ?? $usual)) {
                        return true;
                    }
                }
            }
        }

        return false;
    }

    /** @return list<int> */
    private function channelsAt(PointRef|string|int $place): array
    {
        return $this->graph->channelsOf(is_int($place) ? $place : $this->graph->exit($place));
    }

    /**
     * @param  list<int>  $channels
     * @return list<array{Origin, list<Spread>}> as far as these channels
     */
    private function spreadsFor(Source $source, array $channels): array
    {
        $spreads = $this->spreadsOf($source);
        foreach (isset($this->everywhere[$source->id]) ? [] : $channels as $channel) {
            if (! isset($this->useful[$channel])) {
                $this->everywhere[$source->id] = true;
                $propagation = new Propagation($this->channels, $this->gains, $this->useful, $this->each->anew());
                foreach ($spreads as [$origin, $ofParts]) {
                    foreach ($this->graph->channelsOf($this->graph->entry($origin->at)) as $part => $begin) {
                        $propagation->beyond($begin, $ofParts[$part]);
                    }
                }

                break;
            }
        }

        return $spreads;
    }

    /**
     * What arrives at some ears together.
     *
     * @param  list<array{Origin|null, list<Spread>}>  $spreads  by origin; null for nominal level, now
     * @param  array<string, list<int>>  $ears  channels, by the ear's name
     */
    private function sum(array $spreads, array $ears): Sum
    {
        $rest = 0.0;
        $runsRound = $meets = $isReached = false;
        foreach ($ears as $channels) {
            foreach ($channels as $channel) {
                $parts = [];
                foreach ($spreads as [$origin, $ofParts]) {
                    foreach ($ofParts as $part => $spread) {
                        $rest = max($rest, ($spread->rest[$channel] ?? 0.0) * self::factor($origin));
                        if (! isset($spread->taps[$channel])) {
                            continue;
                        }
                        $isReached = true;
                        $meets = $meets || isset($spread->meets[$channel]) || isset($parts[$part]);
                        $parts[$part] = true;
                        foreach (array_keys($spread->parts[$channel] ?? []) as $loop) {
                            $runsRound = $runsRound || $this->gains->of($loop)->howls() || $this->gains->of($loop)->rings();
                        }
                    }
                }
            }
        }

        return $isReached || $rest > 0
            ? new Sum($this->slots($spreads, $ears), array_map(count(...), $ears), $this->parts($spreads), $rest, $runsRound, $meets)
            : $this->nothing ??= Sum::nothing();
    }

    /**
     * What arrives in each channel of some ears, all origins together, for each part of the source: the one place where amplitudes of
     * different ways are added.
     *
     * @param  list<array{Origin|null, list<Spread>}>  $spreads
     * @param  array<string, list<int>>  $ears  channels, by the ear's name
     * @return list<Slot>
     */
    private function slots(array $spreads, array $ears): array
    {
        $slots = [];
        foreach ($ears as $name => $channels) {
            foreach ($channels as $number => $channel) {
                $taps = [];
                foreach ($spreads as [$origin, $ofParts]) {
                    foreach ($ofParts as $part => $spread) {
                        if (isset($spread->taps[$channel])) {
                            $taps[$part] = $this->plus($taps[$part] ?? [], $this->from($origin, $spread->taps[$channel]));
                        }
                    }
                }
                foreach ($taps as $part => $ofPart) {
                    $slots[] = Slot::of((string) $name, $number, $part, $ofPart);
                }
            }
        }

        return $slots;
    }

    /**
     * @param  list<array{Origin|null, list<Spread>}>  $spreads
     * @return int parts of the source at its loudest origin, 2 for a stereo sound
     */
    private function parts(array $spreads): int
    {
        $loudest = null;
        $parts = 1;
        foreach ($spreads as [$origin, $ofParts]) {
            $factor = self::factor($origin);
            if ($loudest === null || $loudest < $factor) {
                [$loudest, $parts] = [$factor, count($ofParts)];
            }
        }

        return $parts;
    }

    private static function factor(?Origin $origin): float
    {
        return $origin === null ? 1.0 : 10 ** ($origin->db->value() / 20);
    }

    /**
     * What has spread from an origin, at its level and with its delay.
     *
     * @param  array<int, float>  $taps
     * @return array<int, float>
     */
    private function from(?Origin $origin, array $taps): array
    {
        $factor = self::factor($origin);
        $shift = (int) round(($origin?->delay?->value() ?? 0.0) * 1000);
        if ($factor === 1.0 && $shift === 0) {
            return $taps;
        }
        $there = [];
        foreach ($taps as $key => $amplitude) {
            $there[$key + $shift] = $amplitude * $factor;
        }

        return $there;
    }

    /**
     * @param  array<int, float>  $sum
     * @param  array<int, float>  $taps
     * @return array<int, float>
     */
    private function plus(array $sum, array $taps): array
    {
        if ($sum === []) {
            return $taps;
        }
        foreach ($taps as $key => $amplitude) {
            $sum[$key] = ($sum[$key] ?? 0.0) + $amplitude;
        }

        return $sum;
    }
}
