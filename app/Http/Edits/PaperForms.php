<?php

declare(strict_types=1);

namespace App\Http\Edits;

use App\Rigs\Causes;
use HiddenWire\Core\Edit\AcceptFinding;
use HiddenWire\Core\Edit\MoveShowStep;
use HiddenWire\Core\Edit\RemoveShowStep;
use HiddenWire\Core\Edit\ReopenFinding;
use HiddenWire\Core\Edit\RigEdit;
use HiddenWire\Core\Edit\SetReason;
use HiddenWire\Core\Edit\SetShowStep;
use HiddenWire\Core\Quantity\Bounds;
use HiddenWire\Core\Rig\Acceptance;
use HiddenWire\Core\Rig\ElementRef;
use HiddenWire\Core\Rig\Naming;
use HiddenWire\Core\Rig\Phase;
use HiddenWire\Core\Rig\ShowStep;

/** Changes of what is written down: reasons, steps of the run-down, findings that may stay. */
final class PaperForms
{
    /** @return list<RigEdit> */
    public static function reason(EditFields $in): array
    {
        $about = ElementRef::read($in->text('about', 300));
        if ($about === null || ! $about->isIn($in->rig->parts())) {
            $in->refuse('about', 'Choose what it is about.');
        }

        return [new SetReason($about, $in->text('why', Bounds::WHY), $in->flag('leave_alone') ?? false)];
    }

    /** @return list<RigEdit> */
    public static function step(EditFields $in): array
    {
        $ids = array_values(array_map(fn (ShowStep $step) => $step->id, $in->rig->papers->steps));
        $text = $in->text('text', Bounds::STEP) ?: $in->refuse('text', 'Write what to do.');
        $id = $in->has('step') ? $in->known('step', array_flip($ids)) : Naming::id($text, $ids);

        return [new SetShowStep(new ShowStep(
            $id,
            $in->choice('phase', Phase::class, 'Choose a part of the run-down.'),
            $text,
            $in->whole('at_min', ...Bounds::AT_MIN),
            $in->whole('wait_s', ...Bounds::WAIT_S) ?? 0,
        ))];
    }

    /** @return list<RigEdit> */
    public static function moveStep(EditFields $in): array
    {
        return [new MoveShowStep(self::known($in), $in->flag('up') ?? false)];
    }

    /** @return list<RigEdit> */
    public static function removeStep(EditFields $in): array
    {
        return [new RemoveShowStep(self::known($in))];
    }

    /** @return list<RigEdit> */
    public static function accept(EditFields $in): array
    {
        $record = $in->record?->fresh();
        $evidence = $in->text('evidence', 16);
        foreach ($record === null ? [] : Causes::of($record, $in->rig)->causes as $cause) {
            if ($cause->evidence() === $evidence) {
                $why = $in->text('why', Bounds::WHY) ?: $in->refuse('why', 'Say why it may stay.');

                return [new AcceptFinding(new Acceptance($evidence, mb_strimwidth($cause->sentence, 0, Bounds::WHY, '…'), $why))];
            }
        }

        $in->refuse('edit', 'The rig has changed since this was found. Look at the causes again.');
    }

    /** @return list<RigEdit> */
    public static function reopen(EditFields $in): array
    {
        return [new ReopenFinding($in->known('evidence', array_flip(array_map(
            fn (Acceptance $one) => $one->evidence,
            array_values($in->rig->papers->accepted),
        ))))];
    }

    private static function known(EditFields $in): string
    {
        return $in->known('step', array_flip(array_map(fn (ShowStep $step) => $step->id, $in->rig->papers->steps)));
    }
}
