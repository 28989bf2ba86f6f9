<?php

declare(strict_types=1);

namespace App\ViewModels;

use HiddenWire\Core\Equipment\EquipmentModel;
use HiddenWire\Core\Rig\InvalidRig;
use HiddenWire\Core\Sheets\ModelReach;

/** A model as it is written: drawn, and what it would do. */
final readonly class ModelLook
{
    public ModelDrawing $drawing;

    /** Null where it can't be heard by itself, or has nothing to hear. */
    public ?ModelReach $reach;

    public function __construct(EquipmentModel $model)
    {
        $this->drawing = new ModelDrawing($model);
        try {
            $reach = new ModelReach($model);
        } catch (InvalidRig) {
            $reach = null;
        }
        $this->reach = $reach === null || $reach->inputs === [] || $reach->outputs === [] ? null : $reach;
    }

    /** "−6.0", "·" for nothing. */
    public function level(string $output, string $input): string
    {
        $db = $this->reach?->levels[$output][$input] ?? null;

        return $db === null ? '·' : strtr(number_format($db, 1), ['-' => '−']);
    }
}
