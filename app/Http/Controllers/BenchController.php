<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\AnswerTest;
use App\Exports\TestFile;
use App\Models\Rig;
use App\Models\TestAnswer;
use App\Models\TestRun;
use App\Rigs\KeptByState;
use App\Rigs\RigTransaction;
use App\Rigs\StoredRig;
use App\ViewModels\BenchPage;
use App\ViewModels\RigPage;
use HiddenWire\Core\Bench\TestPlan;
use HiddenWire\Core\Bench\TestRecord;
use HiddenWire\Core\Bench\TestStep;
use HiddenWire\Core\Document\InvalidDocument;
use HiddenWire\Core\Planning\Hearings;
use HiddenWire\Core\Quantity\Count;
use HiddenWire\Core\Rig\InvalidRig;
use HiddenWire\Core\Rig\Naming;
use HiddenWire\Core\Rig\Problem;
use HiddenWire\Core\Room\Fault;
use HiddenWire\Core\Room\SimulatedWalk;
use Illuminate\Contracts\View\View;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Date;
use Illuminate\Support\Facades\Gate;

/** Tests of the real rig against its plan: the plan, a test that is walked with a phone, and what was found. */
final class BenchController
{
    private const MAX_BYTES = 4_000_000;

    /** Of simulated rooms: the highest number, how far apart their faults are taken, how many are tried. */
    private const SEEDS = 9_999;

    private const STRIDE = 37;

    private const TRIES = 30;

    public function index(Request $request, Rig $rig): View
    {
        Gate::authorize('view', $rig);

        return view('rigs.bench', ['page' => new RigPage($rig, 'bench', $request),
            'bench' => $this->bench($rig, $this->latest($rig), $request->string('after')->toString())]);
    }

    /** What is found changes nothing of the rig. */
    public function store(Request $request, Rig $rig): RedirectResponse
    {
        Gate::authorize('test', $rig);
        $run = $rig->testRuns()->create(['user_id' => $request->user()?->id, 'revision' => $rig->at, 'started_at' => now()]);

        return redirect()->route('rigs.bench.run', [$rig, $run]);
    }

    /** What keeps it on a phone has to know whose it is. */
    public function run(Request $request, Rig $rig, TestRun $run): Response
    {
        $this->allow($rig, $run);

        return response()->view('rigs.bench-run', ['bench' => $this->bench($rig, $run, $request->string('after')->toString())], headers: [
            'X-Account' => (string) $request->user()?->id,
        ]);
    }

    /** What a phone has answered since it last had a network. */
    public function answer(Request $request, Rig $rig, TestRun $run, AnswerTest $answer): JsonResponse
    {
        $this->allow($rig, $run, 'test');
        $answers = AnswerTest::sent($request);

        return response()->json(['answers' => (object) $answer($run, $request->user() ?? abort(401), $this->plan($rig), $answers)]);
    }

    /** Somebody at the rig plays a step now: whoever is far away is shown it when it comes to them. */
    public function playing(Request $request, Rig $rig, TestRun $run): JsonResponse
    {
        $this->allow($rig, $run, 'test');
        $run->playsNow($this->plan($rig)->step($request->string('step')->toString()) ?? abort(422), Date::now()->getTimestampMs());

        return response()->json(['says' => 'They see which it is.']);
    }

    public function export(Rig $rig, TestRun $run): Response
    {
        $this->allow($rig, $run);
        $name = Naming::id($rig->name, []).'-test.json';

        return response(TestFile::write($run, $this->plan($rig)), 200, [
            'Content-Type' => 'application/json', 'Content-Disposition' => "attachment; filename=\"{$name}\"",
        ]);
    }

    /** A test that was written to a file: it becomes one of this rig, with the answers to steps that its plan has. */
    public function import(Request $request, Rig $rig): RedirectResponse
    {
        Gate::authorize('test', $rig);
        $bench = redirect()->route('rigs.bench', $rig);
        $file = $request->file('test');
        if (! $file instanceof UploadedFile || ! $file->isValid() || $file->getSize() > self::MAX_BYTES) {
            return $bench->withErrors(['test' => 'Choose a test file of 4 MB at most.']);
        }
        try {
            $record = TestRecord::read($file->getContent());
        } catch (InvalidDocument $e) {
            $told = array_map(fn (Problem $one) => trim("{$one->pointer} {$one->message}"), array_slice($e->problems, 0, 5));

            return $bench->withErrors(['test' => implode(' ', $told)]);
        }
        $plan = $this->plan($rig);
        $answers = array_filter($record->answers, fn (string $step) => $plan->step($step) !== null, ARRAY_FILTER_USE_KEY);
        if ($answers === []) {
            return $bench->withErrors(['test' => 'None of its answers is to a step of this rig’s plan: it is the test of another rig.']);
        }
        RigTransaction::do(function () use ($rig, $request, $record, $answers): void {
            $by = $request->user()?->id;
            $run = $rig->testRuns()->create([
                'user_id' => $by, 'revision' => $rig->at, 'started_at' => Date::createFromTimestamp($record->started),
                'measured' => $record->measured,
            ]);
            TestAnswer::query()->insert(array_map(fn (string $step, array $one): array => [
                'run_id' => $run->id, 'user_id' => $by, 'step' => $step, 'state' => $one['state'], 'heard' => $one['heard']->value,
                'note' => $one['note'], 'at_ms' => $one['at'],
            ], array_keys($answers), $answers));
        });
        $passed = count($record->answers) - count($answers);

        return $bench->with('said', Count::of(count($answers), 'answer').' taken over'.($passed === 0 ? '.'
            : ', '.Count::of($passed, 'answer').' to steps that the plan does not have left out.'));
    }

    /** The plan in a simulated room, where somebody learns to walk it. */
    public function practise(Request $request, Rig $rig): View
    {
        Gate::authorize('view', $rig);
        $seed = max(1, min(self::SEEDS, $request->integer('room', 1)));
        $plan = new Hearings(StoredRig::load($rig));
        $bench = new BenchPage($rig, new TestPlan($plan), null);
        $faults = Fault::all($plan->rig);
        // The first that any step tells of, from one that the number says; neighbours in the list are of one kind.
        for ($i = 0; $i < min(self::TRIES, count($faults)); $i++) {
            $fault = $faults[($seed + $i * self::SEEDS) * self::STRIDE % count($faults)];
            try {
                $walk = new SimulatedWalk($plan, [$fault]);
            } catch (InvalidRig) {
                continue;
            }
            if (array_filter($bench->plan->steps, fn (TestStep $step) => ! $walk->isAsPlanned($step)) !== []) {
                return view('rigs.bench-practise', ['bench' => $bench, 'walk' => $walk, 'hidden' => $fault->words, 'seed' => $seed]);
            }
        }

        $walk = new SimulatedWalk($plan, []);

        return view('rigs.bench-practise', ['bench' => $bench, 'walk' => $walk, 'hidden' => 'Nothing', 'seed' => $seed]);
    }

    /** A line for every view of the rig, asked for once it is shown: when it was tested, and how much of that is out of date. */
    public function standing(Rig $rig): View
    {
        Gate::authorize('view', $rig);
        $run = $this->latest($rig) ?? abort(404);
        $states = KeptByState::of($rig, 'test-states', function () use ($rig): array {
            $states = [];
            foreach ($this->plan($rig)->steps as $step) {
                $states[$step->key] = $step->state;
            }

            return $states;
        });
        $stale = $run->answers()->get(['step', 'state'])
            ->filter(fn (TestAnswer $one) => isset($states[$one->step]) && $states[$one->step] !== $one->state)->count();

        return view('rigs.bench-standing', ['rig' => $rig, 'note' => BenchPage::note($run, $stale)]);
    }

    private function allow(Rig $rig, TestRun $run, string $to = 'view'): void
    {
        Gate::authorize($to, $rig);
        abort_unless($run->rig_id === $rig->id, 404);
    }

    private function latest(Rig $rig): ?TestRun
    {
        return $rig->testRuns()->with('user:id,name')->latest('id')->first();
    }

    private function bench(Rig $rig, ?TestRun $run, string $after = ''): BenchPage
    {
        return new BenchPage($rig, $this->plan($rig), $run, $after);
    }

    private function plan(Rig $rig): TestPlan
    {
        return new TestPlan(new Hearings(StoredRig::load($rig)));
    }
}
