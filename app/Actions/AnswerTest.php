<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\TestAnswer;
use App\Models\TestRun;
use App\Models\User;
use App\Rigs\RigTransaction;
use HiddenWire\Core\Bench\Heard;
use HiddenWire\Core\Bench\TestPlan;

/** Keeps what was found at the steps of a test. Several phones may have answered without a network: of each step, the later one holds. */
final class AnswerTest
{
    /** How far a phone's clock may be ahead, in milliseconds; a later time is taken as now. */
    private const AHEAD_MS = 60_000;

    /**
     * @param  User|null  $by  null for somebody far away, who has a link
     * @param  list<array{step: string, heard: Heard, note: string, at: int}>  $answers  `at` in milliseconds since 1970; of steps that the
     *     plan does not have (any more) none is taken
     * @return array<string, array{heard: string, note: string, at: int}> how the test stands now, by step
     */
    public function __invoke(TestRun $run, ?User $by, TestPlan $plan, array $answers): array
    {
        return RigTransaction::do(function () use ($run, $by, $plan, $answers): array {
            TestRun::query()->whereKey($run->id)->lockForUpdate()->value('id');
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
        });
    }

    /** @return array<string, array{heard: string, note: string, at: int}> by step */
    public static function standing(TestRun $run): array
    {
        return $run->answers()->get()->mapWithKeys(fn (TestAnswer $one) => [
            $one->step => ['heard' => $one->heard->value, 'note' => $one->note, 'at' => $one->at_ms],
        ])->all();
    }
}
