<?php

declare(strict_types=1);

namespace App\Exports;

use App\Models\TestAnswer;
use App\Models\TestRun;
use App\Takes\MeasuredTable;
use HiddenWire\Core\Bench\Expected;
use HiddenWire\Core\Bench\TestPlan;
use HiddenWire\Core\Bench\TestRecord;
use HiddenWire\Core\Bench\TestStep;
use HiddenWire\Core\Document\Json;

/** A test of the real rig as a file: the plan as it was expected, what was found, and what tone tests measured meanwhile. */
final class TestFile
{
    public static function write(TestRun $run, TestPlan $plan): string
    {
        $measured = MeasuredTable::of($run);
        $answers = $run->answers()->with('user:id,name')->get()->keyBy('step');

        return Json::encode([
            'format' => TestRecord::FORMAT,
            'version' => TestRecord::VERSION,
            'rig' => $run->rig->name ?? '',
            'revision' => $run->revision,
            'started' => $run->started_at->toIso8601ZuluString(),
            'by' => $run->user->name ?? '',
            'steps' => array_map(fn (TestStep $step) => self::step($step, $answers[$step->key] ?? null), $plan->steps),
            ...$measured === [] ? [] : ['measured' => $measured],
        ]);
    }

    /** @return array<string, mixed> */
    private static function step(TestStep $step, ?TestAnswer $answer): array
    {
        return [
            'key' => $step->key,
            'situation' => $step->situation->id,
            'place' => $step->place->id,
            'listener' => $step->listener->id,
            'expected' => array_map(fn (Expected $one) => array_filter([
                'source' => $one->source->id, 'heard' => $one->isHeard, 'level_db' => $one->level?->number(), 'sides' => $one->sides,
            ], fn (mixed $value) => $value !== null && $value !== ''), $step->expected),
            ...$step->meters === [] ? [] : ['meters' => $step->meters],
            ...$answer === null ? [] : ['answer' => array_filter([
                'heard' => $answer->heard->value, 'note' => $answer->note, 'at_ms' => $answer->at_ms, 'by' => $answer->user->name ?? '',
                'state' => $answer->state, 'stale' => $answer->state !== $step->state ? true : null,
            ], fn (mixed $value) => $value !== null && $value !== '')],
        ];
    }
}
