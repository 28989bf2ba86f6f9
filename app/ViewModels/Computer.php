<?php

declare(strict_types=1);

namespace App\ViewModels;

use App\Rigs\StrayWords;
use HiddenWire\Core\Devices\Device;
use HiddenWire\Core\Devices\DeviceLists;
use HiddenWire\Core\Devices\OtherWays;
use HiddenWire\Core\Devices\RunsHere;
use HiddenWire\Core\Equipment\Direction;
use HiddenWire\Core\Equipment\PickedIn;
use HiddenWire\Core\Equipment\PickFrom;
use HiddenWire\Core\Equipment\Point;
use HiddenWire\Core\Equipment\Socket;
use HiddenWire\Core\Equipment\Takes;
use HiddenWire\Core\Rig\DeviceRef;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\Role;
use HiddenWire\Core\Rig\Situation;
use HiddenWire\Core\Rig\Source;
use HiddenWire\Core\Rig\SystemDefault;
use HiddenWire\Core\Rig\SystemLevel;
use HiddenWire\Core\Rig\Unit;
use HiddenWire\Core\Signal\ChannelTable;
use HiddenWire\Core\Signal\GraphBuilder;
use HiddenWire\Core\Signal\Hearing;

/**
 * A computer's devices as its system lists them, who uses each, and its programs with their picks.
 *
 * @phpstan-type PickChoice array{point: Point, now: string, choices: array<string, string>, channels: string, width: int,
 *     isOfProgram: bool, mode: string, also: list<string>, alsoChoices: array<string, string>, several: int, isPicked: bool,
 *     heldBy: string, chosen: string, notOffered: array<string, string>, level: array{db: string, mute: bool, says: string}|null}
 */
final readonly class Computer
{
    /** What a form sends for channels of the device of the whole program. */
    private const OF_PROGRAM = 'program';

    /** @var list<array{device: Device, colour: string, socket: string, users: list<string>, targets: array<string, string>,
     *     playsTo: string, here: SystemLevel|null, channels: list<array{number: int, print: string, used: list<string>}>}> `targets` that
     *     the system could play it to, `here` its level in the situation, `channels` where they need telling apart */
    public array $devices;

    /**
     * @var list<array{unit: Unit, spoils: list<string>, picks: list<PickChoice>}> in the order of their start, then of the rig
     */
    public array $programs;

    /**
     * @var list<array{label: string, direction: string, role: string, now: string, choices: array<string, string>}> defaults that the
     *     situation can move; none in the base
     */
    public array $defaults;

    /** Whether the system takes what was plugged in last. */
    public bool $takesLast;

    /** @var array<string, array{label: string, devices: list<string>, hasSound: bool}> leads of a system that takes the last, by id */
    public array $plugs;

    /** @var array<string, string> whom a stray sound would reach, by the name of the situation */
    public array $stray;

    /** @var array<string, string> what does not run here, and why, by the name of the unit */
    public array $troubles;

    /** @param  array<string, string>  $stray  whom a stray sound would reach, by the name of the situation */
    private function __construct(public Unit $unit, private RigPage $page, array $stray)
    {
        $graph = $page->hearing->graph();
        $programs = array_values(array_filter(
            $page->rig->units,
            fn (Unit $one) => $one->place === $unit->place && $page->rig->modelOf($one)->isProgram(),
        ));
        usort($programs, fn (Unit $a, Unit $b) => ($a->start ?? PHP_INT_MAX) <=> ($b->start ?? PHP_INT_MAX));
        $users = [];
        foreach ($programs as $program) {
            foreach ($page->rig->modelOf($program)->points as $point) {
                foreach ($point->picks === null ? [] : $graph->allPicked($program, $point) as $device) {
                    $users[(string) $device->ref][] = "{$program->name}: {$point->label}";
                }
            }
        }
        $channels = new ChannelTable($graph);
        $this->devices = array_values(array_map(fn (Device $device) => [
            'device' => $device,
            'colour' => $this->socketOf($device)->colour ?? '',
            'socket' => $this->socketOf($device)->label ?? ($device->ref->unit === $unit->id ? 'built in' : 'program'),
            'users' => $users[(string) $device->ref] ?? [],
            'targets' => $this->targets($device),
            'playsTo' => $device->settings?->playsTo === null ? '' : $this->nameOf($device->settings->playsTo),
            'here' => $this->levelOf($device),
            'channels' => $channels->isUseful($device) ? $channels->rows($device) : [],
        ], $graph->devices->of($unit->id)));
        $this->stray = $stray;
        $troubles = [];
        foreach (RunsHere::troubles($page->rig, $unit, $graph->devices) as $id => $why) {
            $troubles[$page->rig->units[$id]->name] = $why;
        }
        $this->troubles = $troubles;
        $this->takesLast = $page->rig->modelOf($unit)->takes === Takes::LastPlugged;
        $this->plugs = $this->takesLast ? $this->plugs($graph->devices) : [];
        $hasOwnDefaults = ! $this->takesLast && ! $page->rig->isBase($page->situation->id);
        $this->defaults = $hasOwnDefaults ? $this->defaults($graph->devices->of($unit->id)) : [];
        $this->programs = array_map(fn (Unit $program) => [
            'unit' => $program,
            'spoils' => RunsHere::spoils($page->rig, $unit, $program, $graph->devices),
            'picks' => $this->picks($program),
        ], $programs);
    }

    /** @return list<string> references of the devices that a program's in or out uses */
    public function usedAt(Unit $program, Point $point): array
    {
        return array_map(fn (Device $device) => (string) $device->ref, $this->page->hearing->graph()->allPicked($program, $point));
    }

    /** @return list<string> the pens whose sounds pass a program's in or out */
    public function pensAt(Unit $program, Point $point): array
    {
        if ($this->page->pens === []) {
            return [];
        }
        $sounds = $this->page->hearing->field()->sourcesAt("{$program->id}/{$point->id}");

        return array_keys(array_intersect($this->page->pens, array_map(fn (Source $source) => $source->id, $sounds)));
    }

    /** @return list<self> */
    public static function all(RigPage $page): array
    {
        return self::of($page, StrayWords::computers($page->rig));
    }

    /**
     * @param  list<Unit>  $hosts
     * @return list<self>
     */
    public static function of(RigPage $page, array $hosts): array
    {
        $stray = $hosts === [] ? [] : StrayWords::of(
            $page->record,
            $page->rig,
            $page->situation,
            fn (Situation $situation) => $situation === $page->situation
                ? $page->hearing->graph()
                : (new GraphBuilder($page->rig))->build($situation),
        );

        return array_map(
            fn (Unit $unit) => new self($unit, $page, array_map(fn (array $words) => $words[$unit->id], $stray)),
            $hosts,
        );
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

    /** @return array<string, array{label: string, devices: list<string>, hasSound: bool}> */
    private function plugs(DeviceLists $devices): array
    {
        $plugs = [];
        foreach ($devices->of($this->unit->id) as $device) {
            $cable = $devices->plugOf($device);
            if ($cable !== null && $device->isConnected) {
                $plugs[$cable] ??= ['label' => $this->page->rig->cables[$cable]->label, 'devices' => [], 'hasSound' => false];
                $plugs[$cable]['devices'][] = $device->name();
                $plugs[$cable]['hasSound'] = $plugs[$cable]['hasSound'] || $device->roles !== [];
            }
        }

        return $plugs;
    }

    /** @return array<string, string> playback devices that the system could play a recording device to, by reference */
    private function targets(Device $device): array
    {
        return $device->direction === Direction::Playback ? [] : array_map(
            fn (Device $one) => $one->name(),
            array_filter(
                $this->page->hearing->graph()->devices->of($this->unit->id),
                fn (Device $one) => $one->direction === Direction::Playback,
            ),
        );
    }

    private function nameOf(DeviceRef $ref): string
    {
        $listed = $this->page->hearing->graph()->devices->of($this->unit->id)[(string) $ref] ?? null;

        return $listed?->name() ?? $this->page->names->of($ref);
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

    /** @return list<PickChoice> */
    private function picks(Unit $program): array
    {
        return array_values(array_filter(array_map(
            fn (Point $point) => self::pickOf($this->page->hearing, $program, $point),
            $this->page->rig->modelOf($program)->points,
        )));
    }

    /**
     * @return PickChoice|null what a program's in or out uses, and what it could use; null where it takes no device
     */
    public static function pickOf(Hearing $hearing, Unit $program, Point $point): ?array
    {
        $host = $hearing->rig->hostOf($program->place);
        if ($point->picks === null || $host === null) {
            return null;
        }
        $graph = $hearing->graph();
        $pick = $graph->state->pick($program->id, $point->id);
        $device = $graph->picked($program, $point);
        $isOfProgram = $point->deviceOf !== null;
        $choices = self::choices($hearing, $host, $program, $point);
        $holder = $device === null ? null : $graph->holders->of(new PointRef($program->id, $point->id), $device);

        return [
            'point' => $point,
            'now' => match (true) {
                $pick === null => '',
                $isOfProgram => self::OF_PROGRAM,
                default => (string) ($pick->device ?? $pick->default?->value),
            },
            'choices' => $choices,
            'channels' => implode(', ', $pick->channels ?? []),
            'width' => $pick === null && ! $isOfProgram ? 0 : ($device->channels ?? 0),
            'isOfProgram' => $isOfProgram,
            'mode' => $pick->mode->value ?? '',
            'also' => array_map(strval(...), $pick->also ?? []),
            'alsoChoices' => $pick?->device === null || $point->several < 2 ? [] : array_diff_key(
                $choices,
                ['' => '', 'system' => '', 'call' => '', (string) $pick->device => ''],
            ),
            'several' => $point->several,
            'isPicked' => $pick !== null && ! $isOfProgram,
            'heldBy' => $holder === null ? '' : $graph->rig->units[$holder->unit]->name,
            'chosen' => match ($graph->rig->pickedIn(new PointRef($program->id, $point->id))) {
                PickedIn::Program => '',
                PickedIn::System => PickedIn::System->words(),
                null => 'nowhere: it follows the system default',
            },
            'notOffered' => (new OtherWays($graph->rig, $graph->devices))->at($program, $point),
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
        if ($point->deviceOf !== null) {
            $giver = $hearing->rig->modelOf($program)->points[$point->deviceOf];

            return ['' => 'nothing', self::OF_PROGRAM => 'channels of '
                .($hearing->graph()->picked($program, $giver)?->name() ?? "the device of {$giver->label}")];
        }
        $choices = ['' => 'nothing'];
        if ($point->offers(PickFrom::Defaults)) {
            $choices += ['system' => SystemDefault::System->words(), 'call' => SystemDefault::Call->words()];
        }
        foreach ($hearing->graph()->devices->of($host->id) as $ref => $device) {
            $isOffered = $point->offers($device->ref->pickFrom($device->direction !== $point->picks));
            if ($device->ref->unit === $program->id || ! $isOffered) {
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

    /** The id of a device's row on the page. */
    public static function anchor(Device $device): string
    {
        return 'device-'.str_replace(['/', '.'], ['__', '_'], (string) $device->ref);
    }
}
