<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig\Rules;

use HiddenWire\Core\Equipment\DeviceOffer;
use HiddenWire\Core\Equipment\EquipmentModel;
use HiddenWire\Core\Equipment\Point;
use HiddenWire\Core\Rig\DeviceRef;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\Problem;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\RigParts;
use HiddenWire\Core\Rig\Unit;

/** Parts that are looked at by the rules: what is there, and what was found. */
final class Fit
{
    /** Lists whose things have ids of their own. */
    public const LISTS = ['places', 'units', 'cables', 'sources', 'listeners', 'situations'];

    /** @var array<string, Unit> the first of each id */
    public readonly array $units;

    /** @var array<string, array<string, true>> known ids by list, those of unreadable elements among them */
    public readonly array $ids;

    /** @var array<string, true> units whose model can't be looked into, because they or their model were unreadable or are not there */
    public readonly array $opaque;

    /** @var list<Problem> */
    private array $problems = [];

    /** Whether something that others may refer to is not there any more. */
    private readonly bool $isAnyGone;

    /**
     * @param  array<string, list<string>>  $unreadable  ids by list of elements that are there but could not be read
     * @param  Rig|null  $from  a rig that is known to be sound: only what is not as it is there is looked at
     */
    public function __construct(public readonly RigParts $parts, public readonly array $unreadable, private readonly ?Rig $from = null)
    {
        $units = $ids = $opaque = [];
        foreach (self::LISTS as $list) {
            foreach ($parts->{$list} as $thing) {
                $ids[$list][$thing->id] = true;
                if ($thing instanceof Unit) {
                    $units[$thing->id] ??= $thing;
                    $opaque += isset($parts->models[$thing->model]) ? [] : [$thing->id => true];
                }
            }
        }
        $ids['models'] = array_fill_keys(array_keys($parts->models), true);
        foreach ($unreadable as $list => $known) {
            $ids[$list] = ($ids[$list] ?? []) + array_fill_keys($known, true);
        }
        $this->units = $units;
        $this->ids = $ids;
        $this->opaque = $opaque + array_fill_keys($unreadable['units'] ?? [], true);
        $isAnyGone = false;
        foreach ([...self::LISTS, 'models'] as $list) {
            $isAnyGone = $isAnyGone || ($from !== null && array_diff_key($from->{$list}, $ids[$list] ?? []) !== []);
        }
        $this->isAnyGone = $isAnyGone;
    }

    /** @return list<Problem> */
    public function problems(): array
    {
        return $this->problems;
    }

    /** @return iterable<int, array{Unit, EquipmentModel}> units whose model is there, by position: those that are looked at */
    public function units(): iterable
    {
        foreach ($this->parts->units as $i => $unit) {
            $model = $this->parts->models[$unit->model] ?? null;
            $isKnown = $this->from !== null && ($this->from->units[$unit->id] ?? null) === $unit
                && ($this->from->models[$unit->model] ?? null) === $model;
            if ($model !== null && ! $isKnown) {
                yield $i => [$unit, $model];
            }
        }
    }

    /** @return iterable<int, object> things of a list whose references are looked at, by position */
    public function altered(string $list): iterable
    {
        $known = [];
        foreach ($this->from === null || $this->isAnyGone ? [] : get_object_vars($this->from)[$list] ?? [] as $thing) {
            $known[spl_object_id($thing)] = true;
        }
        foreach (get_object_vars($this->parts)[$list] ?? [] as $i => $thing) {
            if (! isset($known[spl_object_id($thing)])) {
                yield $i => $thing;
            }
        }
    }

    public function problem(string $pointer, string $message): void
    {
        $this->problems[] = new Problem($pointer, $message);
    }

    /** Something that no hand could do. */
    public function fault(string $pointer, string $fault, string $message): void
    {
        $this->problems[] = new Problem($pointer, $message, $fault);
    }

    public function known(string $collection, string $id, string $pointer, string $word): bool
    {
        if (isset($this->ids[$collection][$id])) {
            return true;
        }
        $this->problem($pointer, "There is no {$word} \"{$id}\".");

        return false;
    }

    public function modelAt(string $unit, string $pointer): ?EquipmentModel
    {
        if (! isset($this->units[$unit]) && ! isset($this->opaque[$unit])) {
            $this->problem($pointer, "There is no unit \"{$unit}\".");
        }

        return isset($this->opaque[$unit]) || ! isset($this->units[$unit]) ? null : $this->parts->models[$this->units[$unit]->model];
    }

    public function pointAt(PointRef $ref, string $pointer): ?Point
    {
        $model = $this->modelAt($ref->unit, $pointer);
        if ($model !== null && ! isset($model->points[$ref->point])) {
            $this->problem($pointer, "The unit \"{$ref->unit}\" has no point \"{$ref->point}\".");
        }

        return $model?->points[$ref->point] ?? null;
    }

    public function offerAt(DeviceRef $ref, string $pointer): ?DeviceOffer
    {
        $model = $this->modelAt($ref->unit, $pointer);
        if ($model === null) {
            return null;
        }
        $offer = $ref->lane === null
            ? ($model->points[$ref->givenBy] ?? null)?->device
            : ($model->sockets[$ref->givenBy]->lanes[$ref->lane] ?? null)?->device;
        if ($offer === null) {
            $this->problem($pointer, "Nothing at \"{$ref}\" is an audio device of a computer.");
        }

        return $offer;
    }

    public function deviceWidth(DeviceRef $ref): ?int
    {
        $model = $this->parts->models[$this->units[$ref->unit]->model];
        if ($ref->lane === null) {
            return $model->points[$ref->givenBy]->channels;
        }
        $lane = $model->sockets[$ref->givenBy]->lanes[$ref->lane];

        return $lane->channels === null ? ($model->points[$lane->point] ?? null)?->channels : count($lane->channels);
    }
}
