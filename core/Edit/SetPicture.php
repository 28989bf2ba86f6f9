<?php

declare(strict_types=1);

namespace HiddenWire\Core\Edit;

use HiddenWire\Core\Rig\Picture;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\Scene;
use HiddenWire\Core\Rig\Unit;

/**
 * Adds a picture to a program, or sets what one is called, how late it comes, and what sound it has. A sound that is tied to it from now on
 * leaves the scenes by itself: the picture is put into those in which the sound was.
 */
final readonly class SetPicture implements RigEdit
{
    public function __construct(public string $unit, public Picture $picture)
    {
    }

    public function applyTo(Rig $rig): Rig
    {
        return Settings::ofUnit($rig, $this->unit, function (Unit $unit): Unit {
            $was = $unit->picture($this->picture->id);
            $unit = $was === null ? $unit : RemovePicture::untied($unit, $was);
            $tied = $this->picture->isTied ? $this->picture->sound : null;

            return $unit->with(
                pictures: $was === null
                    ? [...$unit->pictures, $this->picture]
                    : array_map(fn (Picture $one) => $one->id === $this->picture->id ? $this->picture : $one, $unit->pictures),
                scenes: array_map(fn (Scene $scene) => $tied === null || ! in_array($tied, $scene->sources, true) ? $scene : $scene->with(
                    sources: array_values(array_diff($scene->sources, [$tied])),
                    pictures: array_values(array_unique([...$scene->pictures, $this->picture->id])),
                ), $unit->scenes),
                always: $tied === null ? $unit->always : array_values(array_diff($unit->always, [$tied])),
            );
        });
    }

    public function words(Rig $rig): string
    {
        $unit = $rig->units[$this->unit];
        $label = $this->picture->sound === null ? '' : $rig->modelOf($unit)->points[$this->picture->sound]->label ?? $this->picture->sound;
        $says = array_filter([
            $unit->picture($this->picture->id) === null ? 'added' : '',
            $this->picture->delay === null ? '' : "{$this->picture->delay->text()} ms late",
            $label === '' ? 'without a sound' : ($this->picture->isTied ? "{$label} goes with it" : "its sound is {$label}"),
        ]);

        return "{$unit->name}: picture {$this->picture->name} ".implode(', ', $says);
    }
}
