<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig\Rules;

use HiddenWire\Core\Equipment\ControlKind;
use HiddenWire\Core\Rig\Altered;
use HiddenWire\Core\Rig\Hands;
use HiddenWire\Core\Rig\Move;
use HiddenWire\Core\Rig\SituationRef;

/** A control is somewhere, and moves what can be moved so. */
final class ControlRule implements Rule
{
    public function reads(): array
    {
        return ['controls', 'models', 'places', 'situations', Altered::FRAME];
    }

    public function check(Fit $in): void
    {
        $seen = [];
        foreach ($in->parts->controls as $i => $control) {
            if (isset($seen[$control->id])) {
                $in->problem("/controls/{$i}/id", "The id \"{$control->id}\" is taken by /controls/{$seen[$control->id]}.");
            }
            $seen[$control->id] ??= $i;
            $at = $control->at;
            if (! in_array($at->collection, ['units', 'places'], true) || count($at->tokens) !== 1) {
                $in->problem("/controls/{$i}/at", 'A control is of a unit or lies at a place: "units/mixer", "places/desk".');
            } else {
                $in->known($at->collection, $at->tokens[0], "/controls/{$i}/at", rtrim($at->collection, 's'));
            }
        }
        $comes = $this->asTheyCome($in);
        foreach ($in->parts->controls as $i => $control) {
            $chosen = array_keys(array_filter($control->moves, fn (Move $move) => $move->isChosen));
            if ($chosen !== [] && (! $control->isAssigned || count($chosen) > 1)) {
                $in->problem(
                    "/controls/{$i}/moves/".end($chosen).'/chosen',
                    $control->isAssigned ? 'An assigned control moves one thing at a time.' : 'What is not assigned moves all together.',
                );
            }
            foreach ($control->moves as $m => $move) {
                $pointer = "/controls/{$i}/moves/{$m}";
                $this->move($in, $move, $pointer);
                if ($move->with !== null && (! isset($seen[$move->with]) && ! isset($comes[$move->with]) || $move->with === $control->id)) {
                    $in->problem("{$pointer}/with", "There is no other control \"{$move->with}\" that could be held.");
                }
            }
            self::together($in, $control->kind, $control->moves, "/controls/{$i}/moves");
        }
    }

    /**
     * Moves have to go with the kind of their control, and with each other; of a rig's controls and of a model's.
     *
     * @param  list<Move>  $moves
     * @param  string  $at  where they stand in the document
     */
    public static function together(Fit $in, ControlKind $kind, array $moves, string $at): void
    {
        $slots = [];
        foreach ($moves as $m => $move) {
            if (! $kind->isTurned() && $move->law->isAlongWay() && ! $move->at instanceof SituationRef) {
                $in->problem("{$at}/{$m}/law", "A {$kind->words()} has no way to go: it sets, toggles or steps.");
            }
            $slot = "{$move->slot()} {$move->by->value} {$move->with}";
            if (isset($slots[$slot])) {
                $in->problem("{$at}/{$m}", "{$at}/{$slots[$slot]} moves this already, in the same way.");
            }
            $slots[$slot] = $m;
        }
    }

    /** @return array<string, true> ids of controls that units come with: one of them can be held too */
    private function asTheyCome(Fit $in): array
    {
        $ids = [];
        foreach ($in->parts->units as $unit) {
            foreach (($in->parts->models[$unit->model] ?? null)->controls ?? [] as $id => $_) {
                $ids[Hands::id($unit->id, (string) $id)] = true;
            }
        }

        return $ids;
    }

    private function move(Fit $in, Move $move, string $pointer): void
    {
        if ($move->at instanceof SituationRef) {
            $in->known('situations', $move->at->situation, "{$pointer}/at", 'situation');
            if ($move->set !== Move::SITUATION) {
                $in->problem("{$pointer}/set", 'A control that goes to a situation sets the "situation".');
            }

            return;
        }
        $model = $in->modelAt($move->at->unit, "{$pointer}/at");
        $why = $model === null ? null : $move->whyNot($model);
        if ($why !== null) {
            $in->problem($pointer, $why);
        }
    }
}
