<?php

declare(strict_types=1);

namespace HiddenWire\Core\Planning;

use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Signal\BlockKind;
use HiddenWire\Core\Signal\HeardPair;
use HiddenWire\Core\Signal\Hearing;
use HiddenWire\Core\Signal\HopKind;
use HiddenWire\Core\Signal\Link;
use HiddenWire\Core\Signal\Loss;
use HiddenWire\Core\Signal\SignalGraph;

/**
 * How far a sound gets, and from where on it would be heard: whatever joins the two would bring it. Where a side or a part of it is lost,
 * only that counts.
 */
final readonly class Region
{
    /**
     * @param  array<int, true>  $forward  channels that the sound reaches
     * @param  array<int, true>  $backward  channels from which the listener is reached
     */
    private function __construct(private SignalGraph $graph, public array $forward, public array $backward)
    {
    }

    public static function of(HeardPair $pair, Hearing $hearing): self
    {
        $graph = $hearing->graph();
        $starts = $ends = [];
        foreach ($pair->source->origins as $origin) {
            $channels = $graph->channelsOf($graph->entry($origin->at));
            array_push($starts, ...match ($pair->loss) {
                Loss::LeftPart => [$channels[0]],
                Loss::RightPart => array_slice($channels, 1, 1),
                default => $channels,
            });
        }
        foreach ($pair->listener->at as $ear) {
            $channels = $graph->channelsOf($graph->exit($ear));
            array_push($ends, ...match ($pair->loss) {
                Loss::LeftEar => [$channels[0]],
                Loss::RightEar => array_slice($channels, 1, 1),
                default => $channels,
            });
        }

        return new self($graph, $graph->byChannel()->reach($starts), $graph->byChannel()->reach($ends, backward: true));
    }

    /** The same where everything that is shut, muted or off were open: what several faults on one way keep apart. */
    public static function opened(HeardPair $pair, Hearing $hearing): self
    {
        $graph = $hearing->graph();
        $leaving = $entering = [];
        foreach ($graph->links as $link) {
            $isOpenable = $link->block === null || ! in_array($link->block, [BlockKind::Absent, BlockKind::NotPlugged], true);
            foreach ($isOpenable && $link->kind !== HopKind::Air ? $link->map : [] as [$a, $b]) {
                [$from, $to] = [$graph->first[$link->from] + $a, $graph->first[$link->to] + $b];
                $leaving[$from][] = $to;
                $entering[$to][] = $from;
            }
        }
        $starts = $ends = [];
        foreach ($pair->source->origins as $origin) {
            array_push($starts, ...$graph->channelsOf($graph->entry($origin->at)));
        }
        foreach ($pair->listener->at as $ear) {
            array_push($ends, ...$graph->channelsOf($graph->exit($ear)));
        }

        return new self($graph, self::reached($starts, $leaving), self::reached($ends, $entering));
    }

    /**
     * @param  list<int>  $from
     * @param  array<int, list<int>>  $next
     * @return array<int, true>
     */
    private static function reached(array $from, array $next): array
    {
        $reached = array_fill_keys($from, true);
        while ($from !== []) {
            foreach ($next[array_pop($from)] ?? [] as $to) {
                if (! isset($reached[$to])) {
                    $reached[$to] = true;
                    $from[] = $to;
                }
            }
        }

        return $reached;
    }

    /** Whether a link, if it carried, would join the two. */
    public function isJoinedBy(Link $link): bool
    {
        [$from, $to] = [$this->graph->first[$link->from], $this->graph->first[$link->to]];
        foreach ($link->map as [$a, $b]) {
            if (isset($this->forward[$from + $a], $this->backward[$to + $b])) {
                return true;
            }
        }

        return false;
    }

    /** Whether the sound reaches any of a point's channels where they leave it. */
    public function reaches(PointRef $at): bool
    {
        return $this->touches($this->forward, $this->graph->exit($at));
    }

    /** Whether the listener would hear what enters a point. */
    public function leadsOn(PointRef $at): bool
    {
        return $this->touches($this->backward, $this->graph->entry($at));
    }

    /** @return list<int> channels of a node, from 1, that the sound reaches */
    public function reachedOf(int $node): array
    {
        return $this->among($this->forward, $node);
    }

    /** @return list<int> channels of a node, from 1, from which the listener is reached */
    public function leadingOf(int $node): array
    {
        return $this->among($this->backward, $node);
    }

    /**
     * @param  array<int, true>  $channels
     * @return list<int>
     */
    private function among(array $channels, int $node): array
    {
        $of = [];
        foreach ($this->graph->channelsOf($node) as $number => $channel) {
            if (isset($channels[$channel])) {
                $of[] = $number + 1;
            }
        }

        return $of;
    }

    /** @param  array<int, true>  $channels */
    private function touches(array $channels, int $node): bool
    {
        return $this->among($channels, $node) !== [];
    }
}
