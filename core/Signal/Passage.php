<?php

declare(strict_types=1);

namespace HiddenWire\Core\Signal;

use HiddenWire\Core\Rig\Unit;

/** What inside a unit leads where. */
final class Passage
{
    /**
     * Which points of a unit a sound comes to that enters at one of them, without leaving the unit.
     *
     * @param  bool  $whateverIsOff  what could be switched on, opened and raised counts too
     * @return array<string, true> by point
     */
    public static function inside(SignalGraph $graph, Unit $unit, string $point, bool $whateverIsOff): array
    {
        $section = $graph->sections[$unit->id];
        $onwards = [];
        for ($id = $section->link; $id < $section->linkEnd; $id++) {
            $link = $graph->links[$id];
            foreach ($whateverIsOff || $link->carries() ? $link->map : [] as [$a, $b]) {
                $onwards[$graph->first[$link->from] + $a][] = $graph->first[$link->to] + $b;
            }
        }
        $open = $graph->channelsOf($graph->entry("{$unit->id}/{$point}"));
        $reached = array_fill_keys($open, true);
        while ($open !== []) {
            foreach ($onwards[array_pop($open)] ?? [] as $channel) {
                if (! isset($reached[$channel])) {
                    $reached[$channel] = true;
                    $open[] = $channel;
                }
            }
        }
        $points = [];
        foreach ($section->model->points as $id => $_) {
            foreach ($graph->channelsOf($graph->exit("{$unit->id}/{$id}")) as $channel) {
                if (isset($reached[$channel])) {
                    $points[(string) $id] = true;
                }
            }
        }

        return $points;
    }
}
