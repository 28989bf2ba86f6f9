<?php

declare(strict_types=1);

namespace HiddenWire\Core\Equipment;

/** One condition of a unit's rule: the state of a point. */
final readonly class Condition
{
    public function __construct(public string $point, public Standing $is)
    {
    }

    public function words(EquipmentModel $model): string
    {
        return "{$model->points[$this->point]->label} is {$this->is->value}";
    }
}
