<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig;

use HiddenWire\Core\Equipment\EquipmentModel;
use HiddenWire\Core\Equipment\Lane;
use HiddenWire\Core\Equipment\PickedIn;
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

    /** @var array<string, Control> what hands move */
    public array $controls;

    /** @var list<Problem> what is physically impossible and was let in before it was refused; empty for every new rig */
    public array $faults;

    /** @var array<string, string> the unit with the operating system, by place */
    private array $hosts;

    public string $name;

    public string $summary;

    /** When it is used; null where nobody has said. */
    public ?Days $days;

    /** @throws InvalidRig with every offence */
    public function __construct(RigParts $parts)
    {
        $altered = Altered::in($parts);
        if ($parts->papers->isLoose) {
            $parts = $parts->with(papers: $altered?->isAny(Altered::TOLD_OF) === false
                ? $parts->papers->with(isLoose: false)
                : $parts->papers->within($parts));
        }
        $problems = (new Consistency($parts, altered: $altered))->problems();
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
        $this->days = $parts->days;
        $this->models = $parts->models;
        $this->places = self::byId('places', $parts->places, $altered);
        $this->units = self::byId('units', $parts->units, $altered);
        $this->cables = self::byId('cables', $parts->cables, $altered);
        $this->devices = array_values($parts->devices);
        $this->air = array_values($parts->air);
        $this->sources = self::byId('sources', $parts->sources, $altered);
        $this->listeners = self::byId('listeners', $parts->listeners, $altered);
        $this->wishes = array_values($parts->wishes);
        $situations = self::byId('situations', $parts->situations, $altered);
        assert($situations !== []);
        $this->situations = $situations;
        $this->hosts = $altered?->isAny(['models', Altered::FRAME]) === false ? $altered->from->hosts : $this->hosts();
        if ($altered?->isAny(['picks']) === false) {
            $this->picks = $altered->from->picks;
        } else {
            $picks = [];
            foreach ($parts->picks as $pick) {
                $picks[(string) $pick->at] = $pick;
            }
            $this->picks = $picks;
        }
        $this->papers = $parts->papers;
        $this->balances = array_values($parts->balances);
        $this->controls = self::byId('controls', $parts->controls, $altered);
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

    /** What the system of a place's computer can do; null where nobody has said. */
    public function systemKindOf(string $place): ?SystemKind
    {
        return $this->hostOf($place)?->system?->kind;
    }

    /**
     * Where the device of a program's in or out is chosen; null where it can't be: the program has no choice of its own, and the system
     * does not list programs.
     */
    public function pickedIn(PointRef $at): ?PickedIn
    {
        $place = $this->point($at)->pickedIn;
        $kind = $place === PickedIn::System ? $this->systemKindOf($this->units[$at->unit]->place) : null;

        return $kind !== null && ! $kind->listsPrograms() ? null : $place;
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
            controls: array_values($this->controls),
            days: $this->days,
            from: $this,
        );
    }

    /** Its parts without the things that another rig holds as the same objects: what an edit has made anew. They make no rig. */
    public function besides(self $other): RigParts
    {
        $parts = $this->parts();
        $new = ['papers' => $this->papers->besides($other->papers), 'models' => array_filter(
            $parts->models,
            fn (EquipmentModel $model, int|string $id) => ($other->models[$id] ?? null) !== $model,
            ARRAY_FILTER_USE_BOTH,
        )];
        foreach (array_diff(Altered::LISTS, ['models']) as $list) {
            $new[$list] = Altered::besides($parts->{$list}, $other->{$list});
        }

        return $parts->with(...$new);
    }

    /** @return array<string, string> the unit with the operating system, by place */
    private function hosts(): array
    {
        $hosts = [];
        foreach ($this->units as $unit) {
            if ($this->models[$unit->model]->family->isHost()) {
                $hosts[$unit->place] = $unit->id;
            }
        }

        return $hosts;
    }

    /**
     * @template T of Place|Unit|Cable|Source|Listener|Situation|Control
     *
     * @param  'places'|'units'|'cables'|'sources'|'listeners'|'situations'|'controls'  $list
     * @param  array<int, T>  $things
     * @return array<string, T>
     */
    private static function byId(string $list, array $things, ?Altered $altered): array
    {
        if ($altered?->isAny([$list]) === false) {
            /** @var array<string, T> */
            return $altered->from->{$list};
        }
        $byId = [];
        foreach ($things as $thing) {
            $byId[$thing->id] = $thing;
        }

        return $byId;
    }
}
