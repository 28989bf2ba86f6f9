<?php

declare(strict_types=1);

namespace App\ViewModels;

use HiddenWire\Core\Devices\Device;
use HiddenWire\Core\Devices\RunsHere;
use HiddenWire\Core\Equipment\Direction;
use HiddenWire\Core\Equipment\Point;
use HiddenWire\Core\Equipment\Socket;
use HiddenWire\Core\Rig\DeviceRef;
use HiddenWire\Core\Rig\Role;
use HiddenWire\Core\Rig\SystemLevel;
use HiddenWire\Core\Rig\Unit;
use HiddenWire\Core\Signal\ChannelTable;
use HiddenWire\Core\Signal\GraphBuilder;
use HiddenWire\Core\Signal\Hearing;
use HiddenWire\Core\Signal\SignalGraph;
use HiddenWire\Core\Signal\Stray;

/** A computer's devices as its system lists them, who uses each, and its programs with their picks. */
final readonly class Computer
{
    /** Units up to which every situation is looked at, and not only the one that is shown. */
    private const ALL_SITUATIONS = 200;

    /** @var list<array{device: Device, colour: string, socket: string, users: list<string>, targets: array<string, string>,
     *     playsTo: string, here: SystemLevel|null, channels: list<array{number: int, print: string, used: list<string>}>}> `targets` that
     *     the system could play it to, `here` its level in the situation, `channels` where they need telling apart */
    public array $devices;

    /**
     * @var list<array{unit: Unit, picks: list<array{point: Point, now: string, choices: array<string, string>, channels: string,
     *     width: int, level: array{db: string, mute: bool, says: string}|null}>}> in the order of their start, then of the rig
     */
    public array $programs;

    /**
     * @var list<array{label: string, direction: string, role: string, now: string, choices: array<string, string>}> defaults that the
     *     situation can move; none in the base
     */
    public array $defaults;

    /** @var array<string, string> whom a stray sound would reach, by the name of the situation */
    public array $stray;

    /** @var array<string, string> what does not run here, and why, by the name of the unit */
    public array $troubles;

    /** @param  array<string, SignalGraph>  $graphs  by the name of the situation */
    private function __construct(public Unit $unit, private RigPage $page, array $graphs)
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
        $channels = new ChannelTable($graph);
        $this->devices = array_values(array_map(fn (Device $device) => [
            'device' => $device,
            'colour' => $this->socketOf($device)->colour ?? '',
            'socket' => $this->socketOf($device)->label ?? 'program',
            'users' => $users[(string) $device->ref] ?? [],
            'targets' => $this->targets($device),
            'playsTo' => $device->settings?->playsTo === null ? '' : $this->nameOf($device->settings->playsTo),
            'here' => $this->levelOf($device),
            'channels' => $channels->isUseful($device) ? $channels->rows($device) : [],
        ], $graph->devices->of($unit->id)));
        $this->stray = array_map(fn (SignalGraph $in) => (new Stray($in, $unit))->words(), $graphs);
        $troubles = [];
        foreach (RunsHere::troubles($page->rig, $unit, $graph->devices) as $id => $why) {
            $troubles[$page->rig->units[$id]->name] = $why;
        }
        $this->troubles = $troubles;
        $this->defaults = $page->rig->isBase($page->situation->id) ? [] : $this->defaults($graph->devices->of($unit->id));
        $this->programs = array_map(fn (Unit $program) => ['unit' => $program, 'picks' => $this->picks($program)], $programs);
    }

    /** @return list<self> */
    public static function all(RigPage $page): array
    {
        $graphs = [$page->situation->name => $page->hearing->graph];
        if (count($page->rig->units) <= self::ALL_SITUATIONS) {
            $builder = new GraphBuilder($page->rig);
            $graphs = [];
            foreach ($page->rig->situations as $situation) {
                $graphs[$situation->name] = $situation === $page->situation ? $page->hearing->graph : $builder->build($situation);
            }
        }

        return array_values(array_map(
            fn (Unit $unit) => new self($unit, $page, $graphs),
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

    /** @return array<string, string> playback devices that the system could play a recording device to, by reference */
    private function targets(Device $device): array
    {
        return $device->direction === Direction::Playback ? [] : array_map(
            fn (Device $one) => $one->name(),
            array_filter(
                $this->page->hearing->graph->devices->of($this->unit->id),
                fn (Device $one) => $one->direction === Direction::Playback,
            ),
        );
    }

    private function nameOf(DeviceRef $ref): string
    {
        return ($this->page->hearing->graph->devices->of($this->unit->id)[(string) $ref] ?? null)?->name() ?? $this->page->names->of($ref);
    }

    private function levelOf(Device $device): ?SystemLevel
    {
        foreach ($this->page->situation->levels as $level) {
            if ($level->slot() === "{$this->unit->id} {$device->ref}") {
                return $level;
            }
        }

        return null;
    }

    private function socketOf(Device $device): ?Socket
    {
        return $device->ref->lane === null ? null : $this->page->rig->modelOf($device->ref->unit)->sockets[$device->ref->givenBy];
    }

    /** @return list<array{point: Point, now: string, choices: array<string, string>, channels: string, width: int,
     *     level: array{db: string, mute: bool, says: string}|null}> */
    private function picks(Unit $program): array
    {
        return array_values(array_filter(array_map(
            fn (Point $point) => self::pickOf($this->page->hearing, $program, $point),
            $this->page->rig->modelOf($program)->points,
        )));
    }

    /**
     * @return array{point: Point, now: string, choices: array<string, string>, channels: string, width: int,
     *     level: array{db: string, mute: bool, says: string}|null}|null what a program's in or
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
            // Systems have a level of their own for what programs play; for what they take, only where somebody has set one.
            'level' => $pick === null || ($point->picks === Direction::Recording && $pick->db === null && ! $pick->mute) ? null : [
                'db' => $pick->db === null ? '' : (string) $pick->db->number(),
                'mute' => $pick->mute,
                'says' => SystemLevel::said($pick->db, $pick->mute ? true : null),
            ],
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
                $choices[$ref] = $device->name().($device->keptOutBy === null ? '' : " ({$device->trouble()})");
            } elseif ($point->picks === Direction::Recording) {
                $choices[$ref] = "loopback of {$device->name()}";
            }
        }

        return $choices;
    }
}
