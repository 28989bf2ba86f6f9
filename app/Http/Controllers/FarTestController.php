<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\AnswerTest;
use App\Models\TestRun;
use App\Rigs\StoredRig;
use App\ViewModels\BenchPage;
use HiddenWire\Core\Bench\TestPlan;
use HiddenWire\Core\Bench\TestStep;
use HiddenWire\Core\Planning\Hearings;
use HiddenWire\Core\Quantity\Bounds;
use HiddenWire\Core\Rig\Listener;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Date;

/**
 * What somebody far away hears: the steps of one listener of one test, by a signed link that expires. Of the rig they see no more than what
 * plays and what is to come to them; what they answer is kept at its step, with their listener's name.
 */
final class FarTestController
{
    /** The page; or, asked for by its script, what was played when. */
    public function show(Request $request, int $run, string $listener): Response|JsonResponse
    {
        if ($request->expectsJson()) {
            return response()->json(['played' => TestRun::query()->findOrFail($run)->playedAt(Date::now()->getTimestampMs())]);
        }
        [$run, $plan, $away] = $this->asked($run, $listener);
        $bench = new BenchPage($run->rig ?? abort(404), $plan, $run, listener: $away->id);

        return response()->view('far-test', ['bench' => $bench, 'listener' => $away, 'to' => BenchPage::farUrl($run, $away)], headers: [
            'X-Robots-Tag' => 'noindex', 'Cache-Control' => 'no-store, private',
        ]);
    }

    public function answer(Request $request, int $run, string $listener, AnswerTest $answer): JsonResponse
    {
        [$run, $plan, $away] = $this->asked($run, $listener);
        $bench = new BenchPage($run->rig ?? abort(404), $plan, $run, listener: $away->id);
        $own = array_fill_keys(array_map(fn (TestStep $one) => $one->key, $bench->steps()), true);
        $answers = [];
        foreach (AnswerTest::sent($request) as $one) {
            if (isset($own[$one['step']])) {
                // What they sent before comes back with their name before it.
                $note = $one['note'] === $away->name ? ''
                    : (string) preg_replace('/^'.preg_quote($away->name, '/').': /u', '', $one['note']);
                $answers[] = [...$one, 'note' => mb_strimwidth(rtrim("{$away->name}: {$note}", ': '), 0, Bounds::STEP, '…')];
            }
        }

        return response()->json(['answers' => (object) array_intersect_key($answer($run, null, $plan, $answers), $own)]);
    }

    /** @return array{TestRun, TestPlan, Listener} looked for only now: a forged link does not learn which tests there are */
    private function asked(int $run, string $listener): array
    {
        $run = TestRun::query()->with('rig')->findOrFail($run);
        $rig = StoredRig::load($run->rig ?? abort(404));

        return [$run, new TestPlan(new Hearings($rig)), $rig->listeners[$listener] ?? abort(404)];
    }
}
