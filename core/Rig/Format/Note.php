<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig\Format;

use HiddenWire\Core\Equipment\EquipmentModel;

/** A field that people write in a form as it is in the document. */
final readonly class Note
{
    /** @param  (\Closure(EquipmentModel): bool)|null  $isFor  whether units of a model have it; null for all */
    public function __construct(public string $label, private ?\Closure $isFor = null)
    {
    }

    public function isFor(EquipmentModel $model): bool
    {
        return $this->isFor === null || ($this->isFor)($model);
    }
}
