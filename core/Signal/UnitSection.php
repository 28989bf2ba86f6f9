<?php

declare(strict_types=1);

namespace HiddenWire\Core\Signal;

use HiddenWire\Core\Equipment\EquipmentModel;
use HiddenWire\Core\Rig\Change;
use HiddenWire\Core\Rig\EffectSwitch;
use HiddenWire\Core\Rig\SceneChoice;
use HiddenWire\Core\Rig\SettingValue;
use HiddenWire\Core\Rig\Unit;

/** Where a unit's nodes and links stand in a graph, and what they were made from. */
final readonly class UnitSection
{
    /**
     * @param  list<Change|SettingValue|EffectSwitch|SceneChoice>  $changes  what the situation changes about the unit
     * @param  BlockKind|null  $block  why nothing passes it at all; null where it does
     */
    public function __construct(
        public Unit $unit,
        public EquipmentModel $model,
        public array $changes,
        public int $node,
        public int $nodeEnd,
        public int $link,
        public int $linkEnd,
        public ?BlockKind $block = null,
    ) {
    }

    /**
     * Whether it would be made the same again.
     *
     * @param  list<Change|SettingValue|EffectSwitch|SceneChoice>  $changes
     */
    public function isOf(Unit $unit, EquipmentModel $model, array $changes, int $node, int $link, ?BlockKind $block): bool
    {
        return $this->unit === $unit && $this->model === $model && $this->changes === $changes && $this->node === $node
            && $this->link === $link && $this->block === $block;
    }
}
