<?php

declare(strict_types=1);

namespace HiddenWire\Core\Edit;

use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\SceneChoice;
use HiddenWire\Core\Rig\Situation;

/** The scene that a program shows in a situation. */
final readonly class ChooseScene implements RigEdit
{
    /** @param  string|null  $scene  null for the program's first */
    public function __construct(public string $situation, public string $unit, public ?string $scene)
    {
    }

    public function applyTo(Rig $rig): Rig
    {
        return new Rig($rig->parts()->changing('situations', $this->situation, function (Situation $one): Situation {
            $others = array_values(array_filter($one->scenes, fn (SceneChoice $choice) => $choice->unit !== $this->unit));

            return $one->with(scenes: $this->scene === null ? $others : [...$others, new SceneChoice($this->unit, $this->scene)]);
        }));
    }

    public function words(Rig $rig): string
    {
        $where = " in {$rig->situations[$this->situation]->name}";

        return $this->scene === null
            ? "{$rig->units[$this->unit]->name}: the first scene{$where}"
            : (new SceneChoice($this->unit, $this->scene))->words($rig).$where;
    }
}
