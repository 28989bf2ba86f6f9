<?php

declare(strict_types=1);

namespace HiddenWire\Core\Planning\Remedies;

use HiddenWire\Core\Edit\ChooseScene;
use HiddenWire\Core\Edit\SetScene;
use HiddenWire\Core\Edit\SoundAlways;
use HiddenWire\Core\Planning\Candidate;
use HiddenWire\Core\Planning\Cost;
use HiddenWire\Core\Planning\Remedy;
use HiddenWire\Core\Planning\Trouble;
use HiddenWire\Core\Rig\PointRef;
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
        $cause = $in
            ? "{$label} is not in the scene {$scene->name} of {$unit->name}"
            : "{$label} is in the scene {$scene->name} of {$unit->name}";
        yield new Candidate(
            "scene {$at} {$scene->id} {$in}",
            $cause,
            $in ? "Put {$label} into the scene {$scene->name}" : "Take {$label} out of the scene {$scene->name}",
            [new SetScene($unit->id, $scene->with(sources: $in
                ? [...$scene->sources, $at->point]
                : array_values(array_diff($scene->sources, [$at->point]))))],
            Cost::SWITCH,
            [$at],
        );
        foreach ($unit->scenes as $other) {
            if ($other->id !== $scene->id && in_array($at->point, $other->sources, true) === $in) {
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
}
