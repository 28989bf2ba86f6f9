<?php

declare(strict_types=1);

namespace App\ViewModels;

use HiddenWire\Core\Equipment\Point;
use HiddenWire\Core\Rig\Listener;
use HiddenWire\Core\Rig\Picture;
use HiddenWire\Core\Rig\Scene;
use HiddenWire\Core\Rig\SceneChoice;
use HiddenWire\Core\Rig\Situation;
use HiddenWire\Core\Rig\Source;
use HiddenWire\Core\Rig\Unit;
use HiddenWire\Core\Signal\GraphBuilder;
use HiddenWire\Core\Signal\Hearing;
use HiddenWire\Core\Signal\SoundField;
use HiddenWire\Core\Signal\Verdict;

/** The scenes of a broadcast program against its sources, and what each scene would lack or double where it is shown. */
final readonly class SceneTable
{
    /** Scenes that are heard one by one for a page. */
    private const HEARD = 12;

    /** Units up to which they are. */
    private const UNITS = 200;

    /** @var list<array{scene: Scene, isShown: bool, lacks: list<string>, doubles: list<string>}> */
    public array $scenes;

    /**
     * @var list<array{point: Point, sounds: string, in: array<string, bool>, always: bool, tied: string}> `in` by scene; `tied` the picture
     *     that it goes with
     */
    public array $rows;

    /** @var list<array{picture: Picture, words: string, in: array<string, bool>}> `in` by scene */
    public array $pictures;

    /** @var array<string, string> points that can be the sound of a picture, by id */
    public array $sounds;

    /** The scene that the situation chooses; empty where it is the first. */
    public string $chosen;

    private function __construct(RigPage $page, public Unit $unit, SoundField $field)
    {
        $graph = $page->hearing->graph();
        $shown = $graph->state->scene($unit->id)?->id;
        $listeners = array_filter(
            $page->rig->listeners,
            fn (Listener $one) => array_filter($one->at, fn ($ear) => $ear->unit === $unit->id) !== [],
        );
        $isHeard = count($unit->scenes) <= self::HEARD && count($page->rig->units) <= self::UNITS;
        $builder = new GraphBuilder($page->rig);
        $scenes = [];
        foreach ($unit->scenes as $scene) {
            $hearing = match (true) {
                $scene->id === $shown => $page->hearing,
                $isHeard => new Hearing($builder->build(self::showing($page->situation, $unit, $scene), $graph)),
                default => null,
            };
            $scenes[] = [
                'scene' => $scene,
                'isShown' => $scene->id === $shown,
                'lacks' => $hearing === null ? [] : self::sounds($hearing, $listeners, Verdict::Missing),
                'doubles' => $hearing === null ? [] : self::sounds($hearing, $listeners, Verdict::Doubled),
            ];
        }
        $this->scenes = $scenes;
        $this->rows = array_values(array_map(fn (Point $point) => [
            'point' => $point,
            'sounds' => implode(', ', array_map(fn (Source $one) => $one->name, $field->sourcesAt("{$unit->id}/{$point->id}"))),
            'in' => array_combine(
                array_map(fn (Scene $one) => $one->id, $unit->scenes),
                array_map(fn (Scene $one) => $unit->soundsIn($one, $point->id), $unit->scenes),
            ),
            'always' => in_array($point->id, $unit->always, true),
            'tied' => $unit->tiedTo($point->id)->name ?? '',
        ], array_filter($page->rig->modelOf($unit)->points, fn (Point $point) => $point->inScenes)));
        $this->sounds = array_map(
            fn (Point $point) => $point->label,
            array_filter($page->rig->modelOf($unit)->points, fn (Point $point) => $point->inScenes),
        );
        $this->pictures = array_map(fn (Picture $picture) => [
            'picture' => $picture,
            'words' => implode(', ', array_filter([
                $picture->delay === null ? '' : "{$picture->delay->text()} ms late",
                $picture->sound === null ? 'no sound'
                    : ($picture->isTied ? 'with ' : 'its sound is ').($this->sounds[$picture->sound] ?? ''),
            ])),
            'in' => array_combine(
                array_map(fn (Scene $one) => $one->id, $unit->scenes),
                array_map(fn (Scene $one) => in_array($picture->id, $one->pictures, true), $unit->scenes),
            ),
        ], $unit->pictures);
        $choice = array_values(array_filter($page->situation->scenes, fn (SceneChoice $one) => $one->unit === $unit->id))[0] ?? null;
        $this->chosen = $choice->scene ?? '';
    }

    /** @return array<string, self> of the programs that can have scenes, by unit */
    public static function all(RigPage $page): array
    {
        $field = $page->hearing->field();
        $tables = [];
        foreach ($page->rig->units as $unit) {
            if (array_filter($page->rig->modelOf($unit)->points, fn (Point $point) => $point->inScenes) !== []) {
                $tables[$unit->id] = new self($page, $unit, $field);
            }
        }

        return $tables;
    }

    private static function showing(Situation $situation, Unit $unit, Scene $scene): Situation
    {
        return $situation->with(scenes: [
            ...array_values(array_filter($situation->scenes, fn (SceneChoice $one) => $one->unit !== $unit->id)),
            new SceneChoice($unit->id, $scene->id),
        ]);
    }

    /**
     * @param  array<array-key, Listener>  $listeners
     * @return list<string> sounds that any of the program's listeners hears so, by name
     */
    private static function sounds(Hearing $hearing, array $listeners, Verdict $verdict): array
    {
        $names = [];
        foreach ($hearing->rig->sources as $source) {
            foreach ($listeners as $listener) {
                if ($hearing->pair($source->id, $listener->id)->verdict === $verdict) {
                    $names[$source->id] = $source->name;
                }
            }
        }

        return array_values($names);
    }
}
