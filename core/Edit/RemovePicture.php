<?php

declare(strict_types=1);

namespace HiddenWire\Core\Edit;

use HiddenWire\Core\Rig\Picture;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\Scene;
use HiddenWire\Core\Rig\Unit;

/** Takes a picture away; a sound that was tied to it stays in the scenes in which the picture was. */
final readonly class RemovePicture implements RigEdit
{
    public function __construct(public string $unit, public string $picture)
    {
    }

    public function applyTo(Rig $rig): Rig
    {
        return Settings::ofUnit($rig, $this->unit, function (Unit $unit): Unit {
            $picture = $unit->picture($this->picture);
            $unit = $picture === null ? $unit : self::untied($unit, $picture);

            return $unit->with(
                pictures: array_values(array_filter($unit->pictures, fn (Picture $one) => $one->id !== $this->picture)),
                scenes: array_map(
                    fn (Scene $scene) => $scene->with(pictures: array_values(array_diff($scene->pictures, [$this->picture]))),
                    $unit->scenes,
                ),
            );
        });
    }

    /** The unit with the sound of a picture in scenes by itself, where it was in them by the picture. */
    public static function untied(Unit $unit, Picture $picture): Unit
    {
        $sound = $picture->isTied ? $picture->sound : null;

        return $sound === null ? $unit : $unit->with(
            pictures: array_map(fn (Picture $one) => $one->id === $picture->id ? $one->with(isTied: false) : $one, $unit->pictures),
            scenes: array_map(
                fn (Scene $scene) => in_array($picture->id, $scene->pictures, true)
                    ? $scene->with(sources: [...$scene->sources, $sound]) : $scene,
                $unit->scenes,
            ),
        );
    }

    public function words(Rig $rig): string
    {
        $unit = $rig->units[$this->unit];

        return "{$unit->name}: picture ".($unit->picture($this->picture)->name ?? $this->picture).' removed';
    }
}
