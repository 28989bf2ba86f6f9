<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig\Rules;

use HiddenWire\Core\Equipment\EquipmentModel;
use HiddenWire\Core\Equipment\ModelControl;
use HiddenWire\Core\Rig\Hands;

/** A control of a model moves what its units can set. */
final class ModelControlRule implements Rule
{
    public function reads(): array
    {
        return ['models'];
    }

    public function check(Fit $in): void
    {
        foreach ($in->parts->models as $model) {
            foreach (array_values($model->controls) as $i => $control) {
                $this->control($in, $model, $control, "/models/{$model->id}/controls/{$i}");
            }
        }
    }

    private function control(Fit $in, EquipmentModel $model, ModelControl $control, string $pointer): void
    {
        $moves = [];
        foreach ($control->moves as $m => $of) {
            // The unit is any one: what is asked is whether the model can be set so.
            $moves[] = $move = Hands::move($model->id, $of);
            $why = $move->whyNot($model);
            if ($why !== null) {
                $in->problem("{$pointer}/moves/{$m}", $why);
            }
            if ($of->with !== null && (! isset($model->controls[$of->with]) || $of->with === $control->id)) {
                $in->problem("{$pointer}/moves/{$m}/with", "The model has no other control \"{$of->with}\" that could be held.");
            }
        }
        ControlRule::together($in, $control->kind, $moves, "{$pointer}/moves");
    }
}
