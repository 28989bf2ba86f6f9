<?php

declare(strict_types=1);

namespace HiddenWire\Core\Planning\Remedies;

use HiddenWire\Core\Edit\ChooseScene;
use HiddenWire\Core\Edit\SetPicture;
use HiddenWire\Core\Edit\SetScene;
use HiddenWire\Core\Edit\SoundAlways;
use HiddenWire\Core\Planning\Candidate;
use HiddenWire\Core\Planning\Cost;
use HiddenWire\Core\Planning\Remedy;
use HiddenWire\Core\Planning\Trouble;
use HiddenWire\Core\Rig\Picture;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\Scene;
use HiddenWire\Core\Rig\Unit;
use HiddenWire\Core\Signal\BlockKind;

/** Sources that are not in the scene that their program shows, or are in it and should not be. */
final class Scenes implements Remedy
{
    public function isOfCables(): bool
    {
        return false;
    }

    public function candidates(Trouble $trouble): iterable
    {
        foreach ($trouble->lacks() ? $trouble->graph->links : [] as $link) {
            if ($link->block === BlockKind::OutOfScene && $link->at instanceof PointRef && $trouble->region->isJoinedBy($link)) {
                yield from $this->changes($trouble, $link->at, true);
            }
        }
        foreach ($trouble->hasTooMuch() ? $trouble->hops() : [] as $hop) {
            if ($hop->at instanceof PointRef && $trouble->rig->point($hop->at)->inScenes
                && $trouble->rig->units[$hop->at->unit]->scenes !== []) {
                yield from $this->changes($trouble, $hop->at, false);
            }
        }
    }

    /** @return iterable<Candidate> */
    private function changes(Trouble $trouble, PointRef $at, bool $in): iterable
    {
        $unit = $trouble->rig->units[$at->unit];
        $scene = $trouble->graph->state->scene($unit->id);
        $situation = $trouble->graph->state->situation;
        $label = $trouble->rig->point($at)->label;
        if ($scene === null) {
            return;
        }
        if (in_array($at->point, $unit->always, true)) {
            yield new Candidate(
                "always {$at}",
                "{$label} of {$unit->name} sounds in every scene",
                "Let {$label} of {$unit->name} sound in its scenes only",
                [new SoundAlways($at, false)],
                Cost::SWITCH,
                [$at],
            );

            return;
        }
        $picture = $unit->tiedTo($at->point);
        if ($picture !== null) {
            yield from $this->untied($unit, $scene, $picture, $at, $label, $in);
        } else {
            yield $this->put($unit, $scene, $at, $label, $in);
        }
        foreach ($unit->scenes as $other) {
            if ($other->id !== $scene->id && $unit->soundsIn($other, $at->point) === $in) {
                yield new Candidate(
                    "scene {$unit->id} {$situation->id} {$other->id}",
                    "{$unit->name} shows the scene {$scene->name} in {$situation->name}",
                    "Show the scene {$other->name} in {$situation->name}",
                    [new ChooseScene($situation->id, $unit->id, $other->id)],
                    Cost::SWITCH + Cost::OTHER_SELECTION,
                    [$at],
                );
            }
        }
    }

    private function put(Unit $unit, Scene $scene, PointRef $at, string $label, bool $in): Candidate
    {
        $cause = $in
            ? "{$label} is not in the scene {$scene->name} of {$unit->name}"
            : "{$label} is in the scene {$scene->name} of {$unit->name}";

        return new Candidate(
            "scene {$at} {$scene->id} {$in}",
            $cause,
            $in ? "Put {$label} into the scene {$scene->name}" : "Take {$label} out of the scene {$scene->name}",
            [new SetScene($unit->id, $scene->with(sources: $in
                ? [...$scene->sources, $at->point]
                : array_values(array_diff($scene->sources, [$at->point]))))],
            Cost::SWITCH,
            [$at],
        );
    }

    /** @return iterable<Candidate> for a sound that comes and goes with its picture */
    private function untied(Unit $unit, Scene $scene, Picture $picture, PointRef $at, string $label, bool $in): iterable
    {
        $cause = "{$label} goes with the picture {$picture->name}, which is ".($in ? 'not ' : '')."in the scene {$scene->name}";
        $others = array_values(array_diff($scene->sources, [$at->point]));
        yield new Candidate(
            "picture {$at} {$scene->id} {$in}",
            $cause,
            "Let {$label} stand in scenes by itself, ".($in ? 'also in' : 'not in')." {$scene->name}",
            [
                new SetPicture($unit->id, $picture->with(isTied: false)),
                new SetScene($unit->id, $scene->with(sources: $in ? [...$others, $at->point] : $others)),
            ],
            // A sound that lacks comes with its picture; a picture is not taken off the air for its sound.
            Cost::SWITCH + ($in ? Cost::OTHER_SELECTION : 0),
            [$at],
        );
        $rest = array_values(array_diff($scene->pictures, [$picture->id]));
        yield new Candidate(
            "shown {$at} {$scene->id} {$in}",
            $cause,
            ($in ? "Put the picture {$picture->name} into" : "Take the picture {$picture->name} out of")." the scene {$scene->name}",
            [new SetScene($unit->id, $scene->with(pictures: $in ? [...$rest, $picture->id] : $rest))],
            Cost::SWITCH + ($in ? 0 : Cost::OTHER_SELECTION),
            [$at],
        );
    }
}
