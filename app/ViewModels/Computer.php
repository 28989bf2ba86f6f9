<?php

declare(strict_types=1);

namespace App\ViewModels;

use HiddenWire\Core\Devices\Device;
use HiddenWire\Core\Equipment\Direction;
use HiddenWire\Core\Equipment\Point;
use HiddenWire\Core\Equipment\Socket;
use HiddenWire\Core\Rig\Role;
use HiddenWire\Core\Rig\Unit;
use HiddenWire\Core\Signal\Hearing;

/** A computer's devices as its system lists them, who uses each, and its programs with their picks. */
final readonly class Computer
{
    /** @var list<array{device: Device, colour: string, socket: string, users: list<string>}> */
    public array $devices;

    /**
     * @var list<array{unit: Unit, picks: list<array{point: Point, now: string, choices: array<string, string>, channels: string,
     *     width: int}>}> in the order of their start, then of the rig
     */
    public array $programs;

    /**
     * @var list<array{label: string, direction: string, role: string, now: string, choices: array<string, string>}> defaults that the
     *     situation can move; none in the base
     */
    public array $defaults;

    private function __construct(public Unit $unit, private RigPage $page)
    {
        $graph = $page->hearing->graph;
        $programs = array_values(array_filter(
            $page->rig->units,
            fn (Unit $one) => $one->place === $unit->place && $page->rig->modelOf($one)->isProgram(),
        ));
        usort($programs, fn (Unit $a, Unit $b) => ($a->start ?? PHP_INT_MAX) <=> ($b->start ?? PHP_INT_MAX));
        $users = [];
        foreach ($programs as $program) {
            foreach ($page->rig->modelOf($program)->points as $point) {
                $device = $point->picks === null ? null : $graph->picked($program, $point);
                if ($device !== null) {
                    $users[(string) $device->ref][] = "{$program->name}: {$point->label}";
                }
            }
        }
        $this->devices = array_values(array_map(fn (Device $device) => [
            'device' => $device,
            'colour' => $this->socketOf($device)->colour ?? '',
            'socket' => $this->socketOf($device)->label ?? 'program',
            'users' => $users[(string) $device->ref] ?? [],
        ], $graph->devices->of($unit->id)));
        $this->defaults = $page->rig->isBase($page->situation->id) ? [] : $this->defaults($graph->devices->of($unit->id));
        $this->programs = array_map(fn (Unit $program) => ['unit' => $program, 'picks' => $this->picks($program)], $programs);
    }

    /** @return list<self> */
    public static function all(RigPage $page): array
    {
        return array_values(array_map(
            fn (Unit $unit) => new self($unit, $page),
            array_filter($page->rig->units, fn (Unit $unit) => $page->rig->modelOf($unit)->family->isHost()),
        ));
    }

    /**
     * @param  array<string, Device>  $devices
     * @return list<array{label: string, direction: string, role: string, now: string, choices: array<string, string>}>
     */
    private function defaults(array $devices): array
    {
        $defaults = [];
        foreach (Direction::cases() as $direction) {
            $choices = array_map(
                fn (Device $device) => $device->name(),
                array_filter($devices, fn (Device $device) => $device->direction === $direction),
            );
            foreach ($choices === [] ? [] : [Role::from($direction->value), Role::Call] as $role) {
                $defaults[] = [
                    'label' => "Default for {$direction->value}".($role === Role::Call ? ' in calls' : '')
                        ." in {$this->page->situation->name}",
                    'direction' => $direction->value,
                    'role' => $role->value,
                    'now' => (string) $this->page->situation->defaultFor($this->unit->id, $direction, $role),
                    'choices' => $choices,
                ];
            }
        }

        return $defaults;
    }

    private function socketOf(Device $device): ?Socket
    {
        return $device->ref->lane === null ? null : $this->page->rig->modelOf($device->ref->unit)->sockets[$device->ref->givenBy];
    }

    /** @return list<array{point: Point, now: string, choices: array<string, string>, channels: string, width: int}> */
    private function picks(Unit $program): array
    {
        return array_values(array_filter(array_map(
            fn (Point $point) => self::pickOf($this->page->hearing, $program, $point),
            $this->page->rig->modelOf($program)->points,
        )));
    }

    /**
     * @return array{point: Point, now: string, choices: array<string, string>, channels: string, width: int}|null what a program's in or
     *     out uses, and what it could use; null where it takes no device
     */
    public static function pickOf(Hearing $hearing, Unit $program, Point $point): ?array
    {
        $host = $hearing->graph->rig->hostOf($program->place);
        if ($point->picks === null || $host === null) {
            return null;
        }
        $pick = $hearing->graph->state->pick($program->id, $point->id);

        return [
            'point' => $point,
            'now' => $pick === null ? '' : (string) ($pick->device ?? $pick->default?->value),
            'choices' => self::choices($hearing, $host, $program, $point),
            'channels' => implode(', ', $pick->channels ?? []),
            'width' => $pick === null ? 0 : ($hearing->graph->picked($program, $point)->channels ?? 0),
        ];
    }

    /** @return array<string, string> what a program's in or out can use, by the reference of the device */
    private static function choices(Hearing $hearing, Unit $host, Unit $program, Point $point): array
    {
        $choices = ['' => 'nothing', 'system' => 'the system default', 'call' => 'the call default'];
        foreach ($hearing->graph->devices->of($host->id) as $ref => $device) {
            if ($device->ref->unit === $program->id) {
                continue;
            }
            if ($device->direction === $point->picks) {
                $choices[$ref] = $device->name();
            } elseif ($point->picks === Direction::Recording) {
                $choices[$ref] = "loopback of {$device->name()}";
            }
        }

        return $choices;
    }
}
