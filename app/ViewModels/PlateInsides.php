<?php

declare(strict_types=1);

namespace App\ViewModels;

use HiddenWire\Core\Equipment\EquipmentModel;
use HiddenWire\Core\Equipment\Way;
use HiddenWire\Core\Rig\Unit;
use HiddenWire\Core\Signal\Passage;
use HiddenWire\Core\Signal\SignalGraph;

/** Which ports of a plate join inside the unit: what passes now, and on demand what could. */
final readonly class PlateInsides
{
    public function __construct(private SignalGraph $graph, private bool $withOff)
    {
    }

    /**
     * @param  list<MapPort>  $left
     * @param  list<MapPort>  $right
     * @return list<array{string, string, bool}>
     */
    public function of(Unit $unit, EquipmentModel $model, array $left, array $right): array
    {
        $ports = [...$left, ...$right];
        $joins = [];
        foreach ($ports as $in) {
            foreach ($this->pointsOf($model, $in, Way::In) as $start) {
                $passing = Passage::inside($this->graph, $unit, $start, false);
                $possible = $this->withOff ? Passage::inside($this->graph, $unit, $start, true) : $passing;
                foreach ($ports as $out) {
                    if ($out->id === $in->id) {
                        continue;
                    }
                    foreach ($this->pointsOf($model, $out, Way::Out) as $end) {
                        if (isset($possible[$end])) {
                            $joins["{$in->id} {$out->id}"] = [$in->id, $out->id, isset($passing[$end])];
                        }
                    }
                }
            }
        }

        return array_values($joins);
    }

    /** @return list<string> points of the model that a port leads into, or from which it is fed */
    private function pointsOf(EquipmentModel $model, MapPort $port, Way $way): array
    {
        $id = substr((string) strstr($port->id, '/'), 1);
        if ($port->kind === 'point') {
            return $port->isOut === ($way === Way::Out) ? [$id] : [];
        }

        return array_map(fn ($lane) => $lane->point, $model->sockets[$id]->lanesGoing($way));
    }

    /**
     * A line across a plate from one port to another; clear of the labels where it is thin.
     *
     * @param  array{x: float, y: float, port: MapPort}  $a
     * @param  array{x: float, y: float, port: MapPort}  $b
     */
    public static function line(array $a, array $b, bool $isClear): string
    {
        $inward = fn (array $at): float => ($at['port']->isOut ? -1 : 1) * ($isClear ? round(TextWidth::of(
            $at['port']->label,
            11.5,
        )) + 14 : 0);
        [$ax, $bx] = [$a['x'] + $inward($a), $b['x'] + $inward($b)];
        $reach = $a['port']->isOut === $b['port']->isOut ? 26 : max(12, abs($bx - $ax) / 2);
        $ac = $ax + ($a['port']->isOut ? -$reach : $reach);
        $bc = $bx + ($b['port']->isOut ? -$reach : $reach);

        return "M{$ax},{$a['y']} C{$ac},{$a['y']} {$bc},{$b['y']} {$bx},{$b['y']}";
    }
}
