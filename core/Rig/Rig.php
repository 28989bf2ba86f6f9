<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig;

use HiddenWire\Core\Equipment\EquipmentModel;
use HiddenWire\Core\Equipment\Lane;
use HiddenWire\Core\Equipment\Point;
use HiddenWire\Core\Equipment\Route;
use HiddenWire\Core\Equipment\Socket;

/** One documented setup. Valid by construction: every reference leads somewhere, every setting is one that its model has. */
final readonly class Rig
{
    /** @var array<string, Place> */
    public array $places;

    /** @var array<string, EquipmentModel> */
    public array $models;

    /** @var array<string, Unit> */
    public array $units;

    /** @var array<string, Cable> */
    public array $cables;

    /** @var list<DeviceSettings> */
    public array $devices;

    /** @var array<string, Pick> by `unit/point` */
    public array $picks;

    /** @var list<AirPath> */
    public array $air;

    /** @var array<string, Source> */
    public array $sources;

    /** @var array<string, Listener> */
    public array $listeners;

    /** @var list<Wish> */
    public array $wishes;

    /** @var non-empty-array<string, Situation> */
    public array $situations;

    public Papers $papers;

    /** @var list<Balance> listeners that have to hear the balance of others */
    public array $balances;

    /** @var list<Problem> what is physically impossible and was let in before it was refused; empty for every new rig */
    public array $faults;

    /** @var array<string, string> the unit with the operating system, by place */
    private array $hosts;

    public string $name;

    public string $summary;

    /** @throws InvalidRig with every offence */
    public function __construct(RigParts $parts)
    {
        if ($parts->papers->isLoose) {
            $parts = $parts->with(papers: $parts->papers->within($parts));
        }
        $problems = (new Consistency($parts))->problems();
        $faults = array_values(array_filter(
            $problems,
            fn (Problem $problem) => $problem->fault !== null && ($parts->tolerated === null || in_array(
                $problem->fault,
                $parts->tolerated,
                true,
            )),
        ));
        $refused = array_values(array_filter($problems, fn (Problem $problem) => ! in_array($problem, $faults, true)));
        if ($refused !== []) {
            throw new InvalidRig($refused);
        }
        $this->faults = $faults;

        $this->name = $parts->name;
        $this->summary = $parts->summary;
        $this->models = $parts->models;
        $this->places = self::byId($parts->places);
        $this->units = self::byId($parts->units);
        $this->cables = self::byId($parts->cables);
        $this->devices = array_values($parts->devices);
        $this->air = array_values($parts->air);
        $this->sources = self::byId($parts->sources);
        $this->listeners = self::byId($parts->listeners);
        $this->wishes = array_values($parts->wishes);
        $situations = self::byId($parts->situations);
        assert($situations !== []);
        $this->situations = $situations;
        $hosts = [];
        foreach ($this->units as $unit) {
            if ($this->modelOf($unit)->family->isHost()) {
                $hosts[$unit->place] = $unit->id;
            }
        }
        $this->hosts = $hosts;
        $picks = [];
        foreach ($parts->picks as $pick) {
            $picks[(string) $pick->at] = $pick;
        }
        $this->picks = $picks;
        $this->papers = $parts->papers;
        $this->balances = array_values($parts->balances);
    }

    /** The model of a unit; points that have a name of their own there go by it. */
    public function modelOf(Unit|string $unit): EquipmentModel
    {
        $unit = $unit instanceof Unit ? $unit : $this->units[$unit];
        $model = $this->models[$unit->model];

        return $unit->names === [] ? $model : $model->named($unit->names);
    }

    public function point(PointRef $at): Point
    {
        return $this->modelOf($at->unit)->points[$at->point];
    }

    public function socket(SocketRef $at): Socket
    {
        return $this->modelOf($at->unit)->sockets[$at->socket];
    }

    /** Null where its unit has no such route. */
    public function route(RouteRef $at): ?Route
    {
        return $this->modelOf($at->unit)->routes[$at->key] ?? null;
    }

    public function lane(string $unit, string $socket, string $lane): Lane
    {
        return $this->modelOf($unit)->sockets[$socket]->lanes[$lane];
    }

    /** The unit whose system lists a place's devices, if the place has one. */
    public function hostOf(string $place): ?Unit
    {
        return isset($this->hosts[$place]) ? $this->units[$this->hosts[$place]] : null;
    }

    /** The base state: the first situation. */
    public function base(): Situation
    {
        return $this->situations[array_key_first($this->situations)];
    }

    public function isBase(string $situation): bool
    {
        return $this->base()->id === $situation;
    }

    /** The base situation, or the one asked for. */
    public function situation(?string $id = null): ?Situation
    {
        return $id === null ? $this->base() : $this->situations[$id] ?? null;
    }

    /** What it is made of, to make a changed rig from: reasons about what is gone then go too. */
    public function parts(): RigParts
    {
        return new RigParts(
            name: $this->name,
            summary: $this->summary,
            places: array_values($this->places),
            models: $this->models,
            units: array_values($this->units),
            cables: array_values($this->cables),
            devices: $this->devices,
            picks: array_values($this->picks),
            air: $this->air,
            sources: array_values($this->sources),
            listeners: array_values($this->listeners),
            wishes: $this->wishes,
            situations: array_values($this->situations),
            tolerated: array_map(fn (Problem $fault) => (string) $fault->fault, $this->faults),
            papers: $this->papers->with(isLoose: true),
            balances: $this->balances,
        );
    }

    /**
     * @template T of Place|Unit|Cable|Source|Listener|Situation
     *
     * @param  array<int, T>  $things
     * @return array<string, T>
     */
    private static function byId(array $things): array
    {
        $byId = [];
        foreach ($things as $thing) {
            $byId[$thing->id] = $thing;
        }

        return $byId;
    }
}
