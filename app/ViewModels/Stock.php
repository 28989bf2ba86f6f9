<?php

declare(strict_types=1);

namespace App\ViewModels;

use App\Models\Picture;
use App\Rigs\Heard;
use HiddenWire\Core\Dependence\Unused;
use HiddenWire\Core\Edit\RemovePlace;
use HiddenWire\Core\Edit\RemoveUnit;
use HiddenWire\Core\Edit\SwapUnit;
use HiddenWire\Core\Equipment\Connector;
use HiddenWire\Core\Equipment\EquipmentModel;
use HiddenWire\Core\Equipment\Family;
use HiddenWire\Core\Equipment\SystemNeed;
use HiddenWire\Core\Quantity\Count;
use HiddenWire\Core\Rig\Format\Field;
use HiddenWire\Core\Rig\Format\Things\Units;
use HiddenWire\Core\Rig\MeasureKind;
use HiddenWire\Core\Rig\Place;
use HiddenWire\Core\Rig\Unit;
use HiddenWire\Core\Rig\UnitRef;
use HiddenWire\Core\Rig\WebLink;
use HiddenWire\Core\Rig\Wiring;
use Illuminate\Database\Eloquent\Collection;

/** What there is, and what the catalogue could give: found by text, family and the sockets that are needed. */
final readonly class Stock
{
    public string $text;

    public ?Family $family;

    public ?Connector $connector;

    public bool $isSearching;

    /** @var array<string, EquipmentModel> what the search found, by id */
    public array $found;

    public ?Unit $chosen;

    public ?SwapUnit $swap;

    /** What of the units is shown: all, those with free sockets, or those without a wanted sound. */
    private const FREE = 'free';

    private const IDLE = 'idle';

    /** Units up to which it is looked whether each carries a wanted sound. */
    private const LOOKED_AT = 200;

    public string $shown;

    /** @var list<string> ids of units without a wanted sound */
    private array $idle;

    /** @var list<UnitPlate> */
    private array $plates;

    /** What a list of equipment is taken for; null where none is read. */
    public ?EquipmentList $list;

    /** @var array<string, EquipmentModel> what the catalogue has, by id; empty where nothing of it is asked for */
    public array $models;

    /** @param  \Closure(): array<string, EquipmentModel>  $models  by id; it takes a while */
    public function __construct(private RigPage $page, \Closure $models)
    {
        $asked = $page->asked(...);
        $this->text = mb_strtolower(trim($asked('q')));
        $this->family = Family::tryFrom($asked('family'));
        $this->connector = Connector::tryFrom($asked('has'));
        $this->isSearching = $this->text !== '' || $this->family !== null || $this->connector !== null;
        $this->chosen = $page->selectedUnit === null ? null : $page->rig->units[$page->selectedUnit];
        $isListed = $page->canEdit && trim($asked('list')) !== '';
        $this->models = $this->isSearching || $isListed || $this->chosen !== null ? $models() : [];
        $this->found = $this->isSearching
            ? (new ModelSearch($this->models))->find($this->text, $this->family, $this->connector)
            : [];
        $this->list = $isListed ? new EquipmentList($asked('list'), $page->rig, $this->models) : null;
        $wiring = new Wiring($page->rig);
        $this->plates = array_map(fn (Unit $unit) => new UnitPlate($page->rig, $wiring, $unit), array_values($page->rig->units));
        $this->shown = in_array($asked('show'), [self::FREE, self::IDLE], true) ? $asked('show') : '';
        $this->idle = $this->shown === self::IDLE ? $this->idleUnits() : [];
        $other = $this->models[$asked('swap')] ?? null;
        $this->swap = $this->chosen === null || $other === null || $other->id === $this->chosen->model
            ? null
            : new SwapUnit($this->chosen->id, $other);
    }

    /** Where something was put last: what comes next likely goes there too. */
    public function lastPlace(): string
    {
        $units = $this->page->rig->units;
        $places = $this->page->rig->places;

        return $units === [] ? (string) array_key_last($places) : $units[array_key_last($units)]->place;
    }

    /** @return list<string> names of operating systems: those of this rig first, then those that models ask for */
    public function systems(): array
    {
        $names = array_map(fn (Unit $unit) => $unit->system?->name, array_values($this->page->rig->units));
        foreach ($this->models as $model) {
            array_push($names, ...array_map(fn (SystemNeed $need) => $need->system, $model->runsOn));
        }

        return array_values(array_unique(array_filter($names)));
    }

    /** @return list<string> versions of the chosen computer's system: those of this rig first, then those from which anything runs */
    public function versions(): array
    {
        $system = $this->chosen?->system?->name;
        if ($system === null) {
            return [];
        }
        $versions = [];
        foreach ($this->page->rig->units as $unit) {
            $versions[] = $unit->system !== null && $unit->system->name === $system ? $unit->system->version : '';
        }
        foreach ($this->models as $model) {
            foreach ($model->runsOn as $need) {
                $versions[] = $need->system === $system ? $need->from : '';
            }
        }

        return array_values(array_unique(array_filter($versions)));
    }

    /** @return list<Noted> what is noted of the chosen unit as the document has it */
    public function noted(): array
    {
        $unit = $this->chosen;
        $fields = $unit === null ? [] : array_filter(
            Units::unit()->allFields(),
            fn (Field $field) => $field->note?->isFor($this->page->rig->modelOf($unit)) === true,
        );

        return $unit === null ? [] : array_values(array_map(
            fn (Field $field) => new Noted($field, $unit, $this->page->rig),
            $fields,
        ));
    }

    /** The chosen unit's manuals and drivers as a text to edit: one a line. */
    public function linksText(): string
    {
        return implode("\n", array_map(fn (WebLink $link) => "{$link->label} {$link->url}", $this->chosen->links ?? []));
    }

    /** @return array<string, string> what of the chosen unit a reason can be given for, by reference */
    public function reasonable(): array
    {
        return $this->chosen === null ? [] : ReasonTargets::ofUnit($this->page->rig, $this->chosen);
    }

    /**
     * Sockets of the chosen unit that give devices.
     *
     * @return array<string, array{string, float|null}> name and measured delay, by reference
     */
    public function deviceSockets(): array
    {
        $measured = $this->page->rig->papers->measured(MeasureKind::Delay);
        $sockets = [];
        foreach ($this->chosen === null ? [] : $this->page->rig->modelOf($this->chosen)->sockets as $socket) {
            if (array_filter($socket->lanes, fn ($lane) => $lane->device !== null) !== []) {
                $about = "units/{$this->chosen?->id}/sockets/{$socket->id}";
                $sockets[$about] = ["Devices of {$socket->label}", $measured[$about] ?? null];
            }
        }

        return $sockets;
    }

    /** @return list<Unit> */
    public function unitsIn(Place $place): array
    {
        return array_values(array_filter($this->page->rig->units, fn (Unit $unit) => $unit->place === $place->id));
    }

    /** @return list<UnitPlate> of a place, those that are shown; programs stand at their computer where it is there */
    public function platesIn(Place $place): array
    {
        $hasHost = $this->page->rig->hostOf($place->id) !== null && $this->shown !== self::IDLE;

        return array_values(array_filter(
            $this->plates,
            fn (UnitPlate $plate) => $plate->unit->place === $place->id && $this->isShown($plate)
                && ! ($hasHost && $this->page->rig->modelOf($plate->unit)->isProgram()),
        ));
    }

    private function isShown(UnitPlate $plate): bool
    {
        return match ($this->shown) {
            self::FREE => $plate->free() > 0,
            self::IDLE => in_array($plate->unit->id, $this->idle, true),
            default => true,
        };
    }

    /** "9 units, 2 free" */
    public function sizeOf(Place $place): string
    {
        $plates = array_filter($this->plates, fn (UnitPlate $plate) => $plate->unit->place === $place->id);
        $free = array_sum(array_map(fn (UnitPlate $plate) => $plate->free(), $plates));

        return Count::of(count($plates), 'unit').($free === 0 ? '' : ", {$free} free");
    }

    /** Whether what runs on a computer is listed below it. */
    public function hasSlip(UnitPlate $plate): bool
    {
        return $plate->programs !== [] && $this->shown === '';
    }

    public function programsOf(UnitPlate $plate): string
    {
        return Count::of(count($plate->programs), 'program');
    }

    /** @return array<string, string> what of the units can be shown, by the address's word */
    public function shows(): array
    {
        return [
            '' => 'all '.count($this->plates),
            self::FREE => 'with free sockets',
            ...(count($this->plates) > self::LOOKED_AT || $this->page->rig->wishes === []
                ? []
                : [self::IDLE => 'without a wanted sound']),
        ];
    }

    /** @return list<SocketMark> one of each shape that is drawn, in the order of the shapes */
    public function shapes(): array
    {
        $found = [];
        foreach ($this->plates as $plate) {
            foreach ([...$plate->ins, ...$plate->outs] as $mark) {
                $found[$mark->shape] ??= $mark;
            }
        }

        $order = array_flip(array_keys(SocketMark::SHAPES));
        uksort($found, fn (string $a, string $b) => $order[$a] <=> $order[$b]);

        return array_values($found);
    }

    /** @return list<string> ids of units that carry no wanted sound in any situation; none where the rig is too large to look */
    private function idleUnits(): array
    {
        $rig = $this->page->rig;
        if (count($rig->units) > self::LOOKED_AT) {
            return [];
        }
        $unused = new Unused($rig, array_map(fn ($one) => Heard::in($rig, $one, $this->page->record), $rig->situations));

        return array_values(array_filter(array_map(fn ($at) => $at instanceof UnitRef ? $at->unit : '', $unused->elements)));
    }

    /** What goes with a unit that is removed, in words; empty where nothing does. */
    public function goesWith(Unit $unit): string
    {
        return implode(', ', (new RemoveUnit($unit->id))->goesWithIt($this->page->rig));
    }

    public function goesWithPlace(Place $place): int
    {
        return count((new RemovePlace($place->id))->units($this->page->rig));
    }

    /** @return list<string> */
    public function losses(): array
    {
        return $this->swap?->losses($this->page->rig) ?? [];
    }

    /** @return Collection<int, Picture> */
    public function pictures(): Collection
    {
        return $this->page->record->pictures()->where('unit', $this->chosen->id ?? '')->orderBy('id')->get();
    }

    /** @return array<string, string> models to swap to, those of the unit's family first */
    public function successors(): array
    {
        $family = $this->chosen === null ? null : $this->page->rig->modelOf($this->chosen)->family;
        $models = array_filter($this->models, fn (EquipmentModel $model) => $model->id !== $this->chosen?->model);
        uasort(
            $models,
            fn (EquipmentModel $a, EquipmentModel $b) => [$a->family !== $family, $a->name] <=> [$b->family !== $family, $b->name],
        );

        return array_map(fn (EquipmentModel $model) => $model->name, $models);
    }
}
