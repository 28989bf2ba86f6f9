<?php

declare(strict_types=1);

namespace HiddenWire\Core\Edit;

use HiddenWire\Core\Document\Growing;
use HiddenWire\Core\Equipment\EquipmentModel;
use HiddenWire\Core\Equipment\Growth;
use HiddenWire\Core\Quantity\Count;
use HiddenWire\Core\Rig\Change;
use HiddenWire\Core\Rig\InvalidRig;
use HiddenWire\Core\Rig\Names;
use HiddenWire\Core\Rig\Naming;
use HiddenWire\Core\Rig\Pick;
use HiddenWire\Core\Rig\Problem;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\RigParts;
use HiddenWire\Core\Rig\Situation;
use HiddenWire\Core\Rig\Unit;

/** Gives a unit more or fewer of what it grows by: guests, strips, tracks. The last goes first, and none that is in use. */
final readonly class Grow implements RigEdit
{
    /** @param  int  $count  how many it has afterwards */
    public function __construct(public string $unit, public string $growth, public int $count)
    {
    }

    /** @throws InvalidRig when it can't have as many, or what is in use would go */
    public function applyTo(Rig $rig): Rig
    {
        $unit = $rig->units[$this->unit];
        $old = $rig->models[$unit->model];
        $growth = $old->grows[$this->growth] ?? throw new InvalidRig([new Problem('/units', "{$unit->name} doesn't grow by that.")]);
        if ($growth->count($old) === $this->count) {
            return $rig;
        }
        [$models, $id] = $this->models($rig, $unit, Growing::to($old, $growth, $this->count));
        $grown = $rig->parts()->changing('units', $unit->id, fn (Unit $one) => $one->with(model: $id))->with(models: $models);
        try {
            return new Rig($this->withChannels($rig, $grown, $old, $growth));
        } catch (InvalidRig $e) {
            throw $this->count < $growth->count($old) ? $this->inUse($unit, $growth, $old, $e) : $e;
        }
    }

    /** Picks that choose channels of a device go on choosing the same sounds where the channels have other numbers now. */
    private function withChannels(Rig $rig, RigParts $parts, EquipmentModel $old, Growth $growth): RigParts
    {
        if ($growth->widens === []) {
            return $parts;
        }
        $move = fn (Pick $pick): Pick => $pick->device?->unit !== $this->unit || $pick->channels === null
            ? $pick
            : $pick->with(channels: $this->channels($rig, $pick, $old, $growth));

        return $parts->with(
            picks: array_map($move, $parts->picks),
            situations: array_map(fn (Situation $one) => $one->with(changes: array_map(
                fn (Change $change) => $change->set instanceof Pick ? new Change($change->at, $move($change->set)) : $change,
                $one->changes,
            )), $parts->situations),
        );
    }

    /**
     * @return list<int>
     *
     * @throws InvalidRig when a pick takes a channel that would go
     */
    private function channels(Rig $rig, Pick $pick, EquipmentModel $old, Growth $growth): array
    {
        $lane = $pick->device?->lane === null ? null : $old->sockets[$pick->device->givenBy]->lanes[$pick->device->lane];
        $has = $growth->count($old);
        $block = $lane === null || $lane->channels !== null || ! in_array($lane->point, $growth->widens, true)
            ? null
            : $growth->channelsOf($old, $has, $lane->point);
        if ($block === null) {
            return $pick->channels ?? [];
        }
        $by = ($block[1] - $block[0] + 1) * ($this->count - $has);

        return array_map(fn (int $channel): int => match (true) {
            $channel > $block[1] => $channel + $by,
            $channel > $block[1] + $by => throw new InvalidRig([new Problem(
                '/picks',
                'Channel '.$channel." of {$rig->units[$this->unit]->name} is picked by ".(new Names($rig))->of($pick->at).'.',
            )]),
            default => $channel,
        }, $pick->channels ?? []);
    }

    /**
     * The rig's models with the new one: in the place of the old where no other unit is of it.
     *
     * @return array{array<string, EquipmentModel>, string}
     */
    private function models(Rig $rig, Unit $unit, EquipmentModel $new): array
    {
        $isShared = array_filter($rig->units, fn (Unit $one) => $one->model === $unit->model && $one->id !== $unit->id) !== [];
        foreach ($rig->models as $model) {
            if ($model->with(id: $new->id) == $new) {
                return [$isShared ? $rig->models : array_diff_key($rig->models, [$unit->model => true]), $model->id];
            }
        }
        if (! $isShared) {
            return [[...$rig->models, $unit->model => $new], $unit->model];
        }
        $id = Naming::id((string) preg_replace('/-\d+$/', '', $unit->model), array_keys($rig->models));

        return [$rig->models + [$id => $new->with(id: $id)], $id];
    }

    private function inUse(Unit $unit, Growth $growth, EquipmentModel $old, InvalidRig $why): InvalidRig
    {
        $last = ucfirst($growth->label).' '.$growth->count($old);

        return new InvalidRig(array_map(
            fn (Problem $problem) => new Problem($problem->pointer, "{$last} of {$unit->name} is in use: {$problem->message}"),
            $why->problems,
        ));
    }

    public function words(Rig $rig): string
    {
        $unit = $rig->units[$this->unit];

        return "{$unit->name} has ".Count::of($this->count, $rig->models[$unit->model]->grows[$this->growth]->label ?? 'part');
    }
}
