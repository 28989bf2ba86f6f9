<?php

declare(strict_types=1);

namespace HiddenWire\Core\Signal;

use HiddenWire\Core\Devices\Device;
use HiddenWire\Core\Equipment\EquipmentModel;
use HiddenWire\Core\Equipment\Point;
use HiddenWire\Core\Equipment\PointKind;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\State;

/** What programs do not open: devices and sources beyond their limits, in the order of their ins and outs. */
final class Refused
{
    /** @var array<array-key, array{devices: list<Device>, refused: array<string, true>, sources: int}> by program */
    private array $asked = [];

    public function __construct(private readonly SignalGraph $graph)
    {
    }

    /** Whether a program opens no more devices than it has for its other ins and outs before this one, or takes no more sources. */
    public function isRefused(PointRef $at, Device $device): bool
    {
        return isset($this->of($at->unit)['refused']["{$at->point} {$device->ref}"]);
    }

    /** @return list<Device> all that a program is asked to open, each once, those that it can use */
    public function devices(string $program): array
    {
        return $this->of($program)['devices'];
    }

    /**
     * Tracks of a unit that are asked to take something: its buses, or its ears where it has none, into which a route is on.
     *
     * @return list<string> ids of points, in the order of the model
     */
    public static function tracksAsked(EquipmentModel $model, State $state, string $unit): array
    {
        if ($model->limits->tracks === null) {
            return [];
        }
        $of = fn (PointKind $kind): array => array_filter($model->points, fn (Point $point) => $point->kind === $kind);
        $tracks = $of(PointKind::Bus) ?: $of(PointKind::Ear);
        $asked = [];
        foreach (count($tracks) > $model->limits->tracks ? $model->routes : [] as $route) {
            if (isset($tracks[$route->to]) && $state->route($unit, $route)->on) {
                $asked[$route->to] = true;
            }
        }

        return array_values(array_filter(array_map(strval(...), array_keys($tracks)), fn (string $id) => isset($asked[$id])));
    }

    /** How many of a program's ins are asked to take something. */
    public function sources(string $program): int
    {
        return $this->of($program)['sources'];
    }

    /** @return array{devices: list<Device>, refused: array<string, true>, sources: int} */
    private function of(string $program): array
    {
        return $this->asked[$program] ??= $this->asked($program);
    }

    /** @return array{devices: list<Device>, refused: array<string, true>, sources: int} */
    private function asked(string $program): array
    {
        $unit = $this->graph->rig->units[$program];
        $limits = $this->graph->rig->modelOf($unit)->limits;
        $opened = $refused = $ins = [];
        foreach ($limits->devicesAtOnce === null && $limits->sources === null ? [] : $this->graph->rig->modelOf($unit)->points as $point) {
            foreach ($point->picks === null ? [] : $this->graph->allPicked($unit, $point) as $device) {
                if (! $device->isUsable()) {
                    continue;
                }
                $opened[(string) $device->ref] ??= $device;
                $ins += $point->kind === PointKind::In ? [$point->id => true] : [];
                $number = array_search((string) $device->ref, array_map(strval(...), array_keys($opened)), true);
                if ($number >= ($limits->devicesAtOnce ?? PHP_INT_MAX)
                    || ($point->kind === PointKind::In && count($ins) > ($limits->sources ?? PHP_INT_MAX))) {
                    $refused["{$point->id} {$device->ref}"] = true;
                }
            }
        }

        return ['devices' => array_values($opened), 'refused' => $refused, 'sources' => count($ins)];
    }
}
