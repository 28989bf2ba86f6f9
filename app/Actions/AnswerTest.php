<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\TestAnswer;
use App\Models\TestRun;
use App\Models\User;
use App\Rigs\RigTransaction;
use App\Rigs\RowLock;
use HiddenWire\Core\Bench\Heard;
use HiddenWire\Core\Bench\TestPlan;
use HiddenWire\Core\Quantity\Bounds;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;

/** Keeps what was found at the steps of a test. Several phones may have answered without a network: of each step, the later one holds. */
final class AnswerTest
{
    /** How far a phone's clock may be ahead, in milliseconds; a later time is taken as now. */
    private const AHEAD_MS = 60_000;

    /**
     * @param  User|null  $by  null for somebody far away, who has a link
     * @param  list<array{step: string, heard: Heard, note: string, at: int}>  $answers  `at` in milliseconds since 1970; of steps that the
     *     plan does not have (any more) none is taken
     * @return array<string, array{heard: string, note: string, at: int}> the current state of the test, by step
     */
    public function __invoke(TestRun $run, ?User $by, TestPlan $plan, array $answers): array
    {
        return RigTransaction::do(function () use ($run, $by, $plan, $answers): array {
            RowLock::testRun($run->id);
            $now = (int) (microtime(true) * 1000);
            $stands = self::standing($run);
            foreach ($answers as $answer) {
                $step = $plan->step($answer['step']);
                $at = min($answer['at'], $now + self::AHEAD_MS);
                if ($step === null || ($stands[$step->key]['at'] ?? -1) >= $at) {
                    continue;
                }
                $run->answers()->updateOrCreate(['step' => $step->key], [
                    'state' => $step->state, 'heard' => $answer['heard'], 'note' => $answer['note'], 'at_ms' => $at, 'user_id' => $by?->id,
                ]);
                $stands[$step->key] = ['heard' => $answer['heard']->value, 'note' => $answer['note'], 'at' => $at];
            }

            return $stands;
        }, isOnce: true);
    }

    /**
     * The answers that a page sends.
     *
     * @return list<array{step: string, heard: Heard, note: string, at: int}>
     */
    public static function sent(Request $request): array
    {
        $sent = $request->validate([
            'answers' => ['present', 'array', 'max:1000'],
            'answers.*.step' => ['required', 'string', 'max:12'],
            'answers.*.heard' => ['required', Rule::enum(Heard::class)],
            'answers.*.note' => ['present', 'nullable', 'string', 'max:'.Bounds::STEP],
            'answers.*.at' => ['required', 'integer', 'min:0', 'max:9007199254740991'],
        ]);

        return array_map(fn (array $one): array => [
            'step' => (string) $one['step'], 'heard' => Heard::from($one['heard']), 'note' => trim((string) $one['note']),
            'at' => (int) $one['at'],
        ], array_values($sent['answers']));
    }

    /** @return array<string, array{heard: string, note: string, at: int}> by step */
    public static function standing(TestRun $run): array
    {
        return $run->answers()->get()->mapWithKeys(fn (TestAnswer $one) => [
            $one->step => ['heard' => $one->heard->value, 'note' => $one->note, 'at' => $one->at_ms],
        ])->all();
    }
}
