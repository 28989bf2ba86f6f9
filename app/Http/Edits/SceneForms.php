<?php

declare(strict_types=1);

namespace App\Http\Edits;

use HiddenWire\Core\Edit\ChooseScene;
use HiddenWire\Core\Edit\RemoveScene;
use HiddenWire\Core\Edit\RigEdit;
use HiddenWire\Core\Edit\SetScene;
use HiddenWire\Core\Edit\SoundAlways;
use HiddenWire\Core\Quantity\Bounds;
use HiddenWire\Core\Rig\Naming;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\Scene;

/** Changes of the scenes of programs. */
final class SceneForms
{
    /** @return list<RigEdit> a new scene, like another where one is named */
    public static function add(EditFields $in): array
    {
        $unit = $in->unit();
        $scenes = $in->rig->units[$unit]->scenes;
        $name = $in->name(Bounds::SHORT_NAME);
        array_filter($scenes, fn (Scene $one) => $one->name === $name) === [] || $in->refuse('name', "There is a scene {$name} already.");
        count($scenes) < Bounds::SCENES || $in->refuse('name', 'A program has '.Bounds::SCENES.' scenes at most.');
        $like = $in->has('like') ? self::known($in, $unit, 'like')->sources : [];

        return [new SetScene($unit, new Scene(Naming::id($name, array_map(fn (Scene $one) => $one->id, $scenes)), $name, $like))];
    }

    /** @return list<RigEdit> */
    public static function rename(EditFields $in): array
    {
        $unit = $in->unit();

        return [new SetScene($unit, self::known($in, $unit)->with(name: $in->name(Bounds::SHORT_NAME)))];
    }

    /** @return list<RigEdit> a source that is in a scene, or no longer */
    public static function source(EditFields $in): array
    {
        $at = self::point($in);
        $scene = self::known($in, $at->unit);
        $others = array_values(array_diff($scene->sources, [$at->point]));

        return [new SetScene($at->unit, $scene->with(sources: $in->flag('in') === true ? [...$others, $at->point] : $others))];
    }

    /** @return list<RigEdit> a source that sounds in every scene, or in its own only */
    public static function always(EditFields $in): array
    {
        return [new SoundAlways(self::point($in), $in->flag('always') ?? false)];
    }

    /** @return list<RigEdit> the scene of the situation that is shown; empty for the program's first */
    public static function choose(EditFields $in): array
    {
        $unit = $in->unit();
        $situation = $in->situation() ?? $in->rig->base()->id;

        return [new ChooseScene($situation, $unit, $in->has('scene') ? self::known($in, $unit)->id : null)];
    }

    /** @return list<RigEdit> */
    public static function remove(EditFields $in): array
    {
        $unit = $in->unit();

        return [new RemoveScene($unit, self::known($in, $unit)->id)];
    }

    private static function known(EditFields $in, string $unit, string $key = 'scene'): Scene
    {
        return $in->rig->units[$unit]->scene($in->text($key, 64)) ?? $in->refuse($key, 'The program has no such scene.');
    }

    private static function point(EditFields $in): PointRef
    {
        $at = $in->pointOfUnit();

        return $in->rig->point($at)->inScenes ? $at : $in->refuse('point', 'This is in no scene: it always sounds.');
    }
}
