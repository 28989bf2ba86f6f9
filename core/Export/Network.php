<?php

declare(strict_types=1);

namespace HiddenWire\Core\Export;

use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Signal\SignalGraph;

/** The signal graph by points and devices, without the stages inside a point: what graph formats are written from. */
final readonly class Network
{
    /** @var array<string, array{label: string, unit: string, place: string, kind: string, channels: int}> by id */
    public array $nodes;

    /**
     * @var list<array{from: string, to: string, kind: string, label: string, gain_db: float, delay_ms: float, carries: bool}>
     */
    public array $edges;

    public function __construct(SignalGraph $graph)
    {
        $rig = $graph->rig;
        $nodes = $at = [];
        foreach ($rig->units as $unit) {
            foreach ($rig->modelOf($unit)->points as $point) {
                $ref = new PointRef($unit->id, $point->id);
                $nodes[(string) $ref] = [
                    'label' => "{$unit->name}: {$point->label}", 'unit' => $unit->name, 'place' => $rig->places[$unit->place]->name,
                    'kind' => $point->kind->value, 'channels' => $point->channels,
                ];
                for ($node = $graph->entry($ref); $node <= $graph->exit($ref); $node++) {
                    $at[$node] = (string) $ref;
                }
            }
        }
        foreach ($graph->devices->all() as $computer => $devices) {
            foreach ($devices as $device) {
                $id = "device {$computer} {$device->ref}";
                $nodes[$id] = [
                    'label' => $device->name(), 'unit' => $rig->units[$computer]->name,
                    'place' => $rig->places[$rig->units[$computer]->place]->name, 'kind' => "{$device->direction->value} device",
                    'channels' => $device->channels,
                ];
                $at[$graph->deviceNode($device)] = $id;
            }
        }
        $edges = [];
        foreach ($graph->links as $link) {
            [$from, $to] = [$at[$link->from] ?? null, $at[$link->to] ?? null];
            if ($from !== null && $to !== null && $from !== $to) {
                $edges[] = [
                    'from' => $from, 'to' => $to, 'kind' => $link->kind->value, 'label' => $link->label, 'gain_db' => $link->gainDb,
                    'delay_ms' => $link->delayMs, 'carries' => $link->carries(),
                ];
            }
        }
        $this->nodes = $nodes;
        $this->edges = $edges;
    }
}
