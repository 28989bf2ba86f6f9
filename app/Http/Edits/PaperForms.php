<?php

declare(strict_types=1);

namespace App\Http\Edits;

use App\Rigs\Causes;
use HiddenWire\Core\Edit\AcceptFinding;
use HiddenWire\Core\Edit\MoveShowStep;
use HiddenWire\Core\Edit\RemoveShowStep;
use HiddenWire\Core\Edit\ReopenFinding;
use HiddenWire\Core\Edit\RigEdit;
use HiddenWire\Core\Edit\SetFact;
use HiddenWire\Core\Edit\SetMeasure;
use HiddenWire\Core\Edit\SetReason;
use HiddenWire\Core\Edit\SetShowStep;
use HiddenWire\Core\Quantity\Bounds;
use HiddenWire\Core\Rig\Acceptance;
use HiddenWire\Core\Rig\Certainty;
use HiddenWire\Core\Rig\ElementRef;
use HiddenWire\Core\Rig\Fact;
use HiddenWire\Core\Rig\MeasureKind;
use HiddenWire\Core\Rig\Naming;
use HiddenWire\Core\Rig\Phase;
use HiddenWire\Core\Rig\ShowStep;

/** Changes of what is written down: reasons, steps of the run-down, findings that may stay. */
final class PaperForms
{
    /** @return list<RigEdit> */
    public static function reason(EditFields $in): array
    {
        return [new SetReason(self::element($in, 'about'), $in->text('why', Bounds::WHY), $in->flag('leave_alone') ?? false)];
    }

    /** @return list<RigEdit> */
    public static function fact(EditFields $in): array
    {
        $about = self::element($in, 'about');
        $with = $in->has('with') ? self::element($in, 'with') : null;
        $certainty = $in->choiceOrNone('certainty', Certainty::class);
        if (! $certainty instanceof Certainty) {
            return [new SetFact($about, $with, null)];
        }

        return [new SetFact($about, $with, new Fact(
            $about,
            $certainty,
            $in->needed('what', Bounds::STEP, 'Write what the plan relies on.'),
            $with,
            $in->text('by', Bounds::SHORT_NAME),
            self::day($in),
            $in->text('firmware', Bounds::SHORT_NAME),
            $in->text('proof', Bounds::WHY),
            $in->whole('minutes', ...Bounds::MINUTES),
        ))];
    }

    /** @return list<RigEdit> */
    public static function measure(EditFields $in): array
    {
        $about = self::element($in, 'about');
        $kind = $in->choice('kind', MeasureKind::class, 'Choose what was measured.');

        $value = $in->number('value', ...$kind->range());

        return $kind->isOf($about)
            ? [new SetMeasure($about, $kind, $value === null ? null : round($value, 3))]
            : $in->refuse('kind', 'This can\'t be measured there.');
    }

    /** @return list<RigEdit> */
    public static function prove(EditFields $in): array
    {
        $about = self::element($in, 'about');
        $with = $in->has('with') ? self::element($in, 'with') : null;
        $fact = $in->rig->papers->factFor($about, $with) ?? $in->refuse('about', 'Nobody has said yet what the plan relies on here.');

        return [new SetFact($about, $with, $fact->with(
            certainty: $in->choice('certainty', Certainty::class, 'Say whether it works.'),
            by: $in->text('by', Bounds::SHORT_NAME),
            on: self::day($in),
            firmware: $in->text('firmware', Bounds::SHORT_NAME),
        ))];
    }

    private static function element(EditFields $in, string $key): ElementRef
    {
        $about = ElementRef::read($in->text($key, 300));

        return $about !== null && $about->isIn($in->rig->parts()) ? $about : $in->refuse($key, 'Choose what it is about.');
    }

    private static function day(EditFields $in): string
    {
        $day = $in->text('on', Bounds::SHORT_NAME);

        return $day === '' || preg_match('/^'.Fact::DAY.'$/D', $day) === 1
            ? $day
            : $in->refuse('on', 'A day is written YYYY-MM-DD: 2026-02-28.');
    }

    /** @return list<RigEdit> */
    public static function step(EditFields $in): array
    {
        $ids = array_values(array_map(fn (ShowStep $step) => $step->id, $in->rig->papers->steps));
        $text = $in->needed('text', Bounds::STEP, 'Write what to do.');
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
        $found = $record === null ? null : Causes::of($record, $in->rig);
        foreach ([...$found->causes ?? [], ...$found->findings ?? []] as $cause) {
            if ($cause->evidence() === $evidence) {
                $why = $in->needed('why', Bounds::WHY, 'Say why it may stay.');

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
