<?php

declare(strict_types=1);

namespace App\Http\Edits;

use HiddenWire\Core\Edit\ChooseScene;
use HiddenWire\Core\Edit\RemovePicture;
use HiddenWire\Core\Edit\RemoveScene;
use HiddenWire\Core\Edit\RigEdit;
use HiddenWire\Core\Edit\SetPicture;
use HiddenWire\Core\Edit\SetScene;
use HiddenWire\Core\Edit\SoundAlways;
use HiddenWire\Core\Quantity\Bounds;
use HiddenWire\Core\Rig\Naming;
use HiddenWire\Core\Rig\Picture;
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
        $like = $in->has('like') ? self::known($in, $unit, 'like') : null;

        $id = Naming::id($name, array_map(fn (Scene $one) => $one->id, $scenes));

        return [new SetScene($unit, new Scene($id, $name, $like->sources ?? [], $like->pictures ?? []))];
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
        $tied = $in->rig->units[$at->unit]->tiedTo($at->point);
        $tied === null || $in->refuse('point', "This goes with the picture {$tied->name}: put that into the scene.");
        $others = array_values(array_diff($scene->sources, [$at->point]));

        return [new SetScene($at->unit, $scene->with(sources: $in->flag('in') === true ? [...$others, $at->point] : $others))];
    }

    /** @return list<RigEdit> a source that sounds in every scene, or in its own only */
    public static function always(EditFields $in): array
    {
        $at = self::point($in);
        $tied = $in->rig->units[$at->unit]->tiedTo($at->point);

        return $tied === null ? [new SoundAlways($at, $in->flag('always') ?? false)]
            : $in->refuse('point', "This goes with the picture {$tied->name}.");
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

    /** @return list<RigEdit> a new picture, or what a picture is called, how late it comes, what sound it has */
    public static function picture(EditFields $in): array
    {
        $unit = $in->unit();
        $pictures = $in->rig->units[$unit]->pictures;
        $was = $in->has('picture') ? self::knownPicture($in, $unit) : null;
        $name = $in->name(Bounds::SHORT_NAME);
        $was !== null || count($pictures) < Bounds::SCENES || $in->refuse('name', 'A program has '.Bounds::SCENES.' pictures at most.');
        $sound = $in->has('sound') ? $in->known('sound', $in->rig->modelOf($unit)->points) : null;
        if ($sound !== null && ! $in->rig->modelOf($unit)->points[$sound]->inScenes) {
            $in->refuse('sound', 'This is in no scene: it always sounds.');
        }
        $isTied = $sound !== null && $in->flag('tied') === true;
        $other = $sound === null ? null : $in->rig->units[$unit]->tiedTo($sound);
        if ($isTied && $other !== null && $other->id !== $was?->id) {
            $in->refuse('sound', "This goes with the picture {$other->name} already.");
        }
        $id = $was->id ?? Naming::id($name, array_map(fn (Picture $one) => $one->id, $pictures));

        return [new SetPicture($unit, new Picture($id, $name, $in->milliseconds('delay_ms'), $sound, $isTied))];
    }

    /** @return list<RigEdit> */
    public static function removePicture(EditFields $in): array
    {
        $unit = $in->unit();

        return [new RemovePicture($unit, self::knownPicture($in, $unit)->id)];
    }

    /** @return list<RigEdit> a picture that is in a scene, or no longer */
    public static function scenePicture(EditFields $in): array
    {
        $unit = $in->unit();
        $scene = self::known($in, $unit);
        $picture = self::knownPicture($in, $unit)->id;
        $others = array_values(array_diff($scene->pictures, [$picture]));

        return [new SetScene($unit, $scene->with(pictures: $in->flag('in') === true ? [...$others, $picture] : $others))];
    }

    private static function knownPicture(EditFields $in, string $unit): Picture
    {
        return $in->rig->units[$unit]->picture($in->text('picture', 64)) ?? $in->refuse('picture', 'The program has no such picture.');
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
