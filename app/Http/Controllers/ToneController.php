<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Jobs\ReadTake;
use App\Limits\Limits;
use App\Models\Rig;
use App\Models\TakeState;
use App\Models\ToneTake;
use App\Rigs\Heard;
use App\Rigs\StoredRig;
use App\Takes\SignatureFiles;
use App\Takes\SimulatedTake;
use App\Takes\TakeFiles;
use App\Takes\TakeReader;
use App\ViewModels\RigPage;
use App\ViewModels\TakePage;
use App\ViewModels\TonesPage;
use HiddenWire\Core\Rig\Naming;
use HiddenWire\Core\Tones\TonePlan;
use Illuminate\Contracts\View\View;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\Rule;
use Symfony\Component\HttpFoundation\BinaryFileResponse;

/** Tone tests: what each sound plays, recordings brought in or simulated, and what was read of them. Whoever may look reads them. */
final class ToneController
{
    /** Recordings of one rig that are there at a time; the oldest that is not kept makes room. */
    private const MOST = 20;

    private const MOST_FILES = 32;

    private const MOST_MARKS = 2_000;

    /** In seconds. */
    private const DAY = 86_400;

    private const MOST_BYTES = 12_000_000_000;

    /** Of a recording so many bytes are sent at a time. */
    public const PIECE = 8_000_000;

    private const SEEDS = 9_999;

    public function index(Request $request, Rig $rig): View
    {
        Gate::authorize('view', $rig);
        ToneTake::tidy();

        $takes = array_values($rig->takes()->with('user:id,name')->latest('id')->get()->all());

        return view('rigs.tones', ['tones' => new TonesPage(new RigPage($rig, 'bench', $request), $takes)]);
    }

    /** A page for whoever sits where the sound begins: one button that plays. */
    public function play(Request $request, Rig $rig, string $source): View
    {
        Gate::authorize('view', $rig);
        $page = new RigPage($rig, 'bench', $request);
        $plan = new TonePlan($page->hearing);
        abort_unless(isset($plan->signatures[$source]), 404);

        return view('rigs.tone-play', ['page' => $page, 'source' => $page->rig->sources[$source],
            'file' => route('rigs.tones.file', [$rig, $source, 'situation' => $page->situation->id], false)]);
    }

    public function file(Request $request, Rig $rig, string $source): BinaryFileResponse
    {
        Gate::authorize('view', $rig);
        $page = new RigPage($rig, 'bench', $request);
        $signatures = (new TonePlan($page->hearing))->signatures[$source] ?? abort(404);
        $name = Naming::id("{$rig->name} {$page->rig->sources[$source]->name}", []).'.wav';

        return response()->file(SignatureFiles::of($signatures), ['Content-Type' => 'audio/wav',
            'Content-Disposition' => "inline; filename=\"{$name}\""]);
    }

    /** A recording is announced: which unit made it in which situation, and which files come. */
    public function store(Request $request, Rig $rig): JsonResponse
    {
        Gate::authorize('test', $rig);
        $sent = $request->validate([
            'unit' => ['required', 'string', 'max:60'], 'situation' => ['required', 'string', 'max:60'],
            'files' => ['required', 'array', 'min:1', 'max:'.self::MOST_FILES],
            'files.*.name' => ['required', 'string', 'max:200'],
            'files.*.bytes' => ['required', 'integer', 'min:0', 'max:'.self::MOST_BYTES],
            'marks' => ['nullable', 'array', 'max:'.self::MOST_MARKS], 'marks.*.source' => ['required', 'string', 'max:60'],
            'marks.*.from' => ['required', 'numeric', 'min:0', 'max:'.self::DAY],
            'marks.*.to' => ['required', 'numeric', 'min:0', 'max:'.self::DAY],
        ]);
        $marked = fn (array $one): array => [(string) $one['source'], (float) $one['from'], (float) $one['to']];
        $named = fn (array $one): array => ['name' => (string) $one['name'], 'bytes' => (int) $one['bytes']];
        $files = array_map($named, array_values($sent['files']));
        abort_if(array_sum(array_column($files, 'bytes')) > self::MOST_BYTES, 422, 'More than 12 GB is not taken. Bring in a part of it.');
        $take = $this->begun($rig, $request, $sent['unit'], $sent['situation'], $files, null, TakeState::Coming);
        $take->update(['marks' => array_map($marked, array_values($sent['marks'] ?? []))]);
        $to = route('rigs.tones.show', [$rig, $take], false);

        return response()->json(['to' => $to, 'piece' => self::PIECE]);
    }

    /** The next bytes of a file; says how many are there, so that one that broke off goes on from there. */
    public function piece(Request $request, Rig $rig, ToneTake $take, int $index): JsonResponse
    {
        $this->allow($rig, $take, 'test');
        $file = $take->files[$index] ?? abort(404);
        abort_unless($take->state === TakeState::Coming, 409, 'It is not coming in any more.');
        $files = new TakeFiles($take);
        $there = $files->bytes($index);
        $bytes = $request->getContent();
        if ($request->integer('from') === $there && $there + strlen($bytes) <= $file['bytes'] && strlen($bytes) <= self::PIECE) {
            abort_if(
                ! $files->add($index, $bytes),
                507,
                'There is no room for it on the disk. Remove recordings that are not needed.',
            );
            $there += strlen($bytes);
        }

        return response()->json(['bytes' => $there]);
    }

    /** All is there: it is read when its turn comes. */
    public function ready(Rig $rig, ToneTake $take): JsonResponse
    {
        $this->allow($rig, $take, 'test');
        foreach ($take->files as $index => $file) {
            $there = (new TakeFiles($take))->bytes($index);
            abort_if($there !== $file['bytes'], 409, "{$file['name']} is not there yet: {$there} of {$file['bytes']} bytes.");
        }
        if ($take->state === TakeState::Coming) {
            $take->update(['state' => TakeState::Waiting]);
            ReadTake::dispatch($take->id);
        }

        return response()->json(['to' => route('rigs.tones.show', [$rig, $take], false)]);
    }

    /** A simulated room records, with something hidden in it. */
    public function simulate(Request $request, Rig $rig): RedirectResponse
    {
        Gate::authorize('test', $rig);
        $sent = $request->validate([
            'unit' => ['required', 'string', 'max:60'], 'situation' => ['required', 'string', 'max:60'],
            'parts' => ['nullable', 'array', 'max:10'], 'parts.*' => [Rule::in(array_keys(SimulatedTake::HIDES))],
        ]);
        $hidden = ['seed' => random_int(1, self::SEEDS), 'what' => array_values($sent['parts'] ?? [])];
        $take = $this->begun($rig, $request, $sent['unit'], $sent['situation'], [], $hidden, TakeState::Waiting);
        ReadTake::dispatch($take->id);

        return redirect()->route('rigs.tones.show', [$rig, $take]);
    }

    /** What was read; while it is being read, how far it is. */
    public function show(Request $request, Rig $rig, ToneTake $take): View|JsonResponse
    {
        $this->allow($rig, $take);
        if ($request->expectsJson()) {
            return response()->json(['says' => $take->says(), 'isOpen' => $take->state->isOpen()]);
        }

        return view('rigs.take', ['take' => new TakePage(new RigPage($rig, 'bench', $request), $take, $request->boolean('reveal'))]);
    }

    public function keep(Rig $rig, ToneTake $take): RedirectResponse
    {
        $this->allow($rig, $take, 'test');
        $take->update(['is_kept' => ! $take->is_kept]);

        return redirect()->route('rigs.tones.show', [$rig, $take]);
    }

    /** Stops it, or removes it where it is read. */
    public function destroy(Request $request, Rig $rig, ToneTake $take): RedirectResponse
    {
        $this->allow($rig, $take, 'test');
        if ($take->state === TakeState::Waiting || $take->state === TakeState::Working) {
            $take->update(['state' => TakeState::Stopped]);

            return redirect()->route('rigs.tones.show', [$rig, $take]);
        }
        // Recordings are of those who work on the rig together; whoever only tests removes their own.
        abort_unless($take->user_id === $request->user()?->id || Gate::allows('update', $rig), 403);
        $take->delete();

        return redirect()->route('rigs.tones', $rig)->with('said', 'The recording is removed.');
    }

    /**
     * @param  list<array{name: string, bytes: int}>  $files
     * @param  array{seed: int, what: list<string>}|null  $hidden
     */
    private function begun(
        Rig $rig,
        Request $request,
        string $unit,
        string $situation,
        array $files,
        ?array $hidden,
        TakeState $state,
    ): ToneTake {
        $limit = Limits::recordings($rig->owner() ?? abort(404));
        abort_unless($limit->has(), 422, $limit->refusal());
        $content = StoredRig::load($rig);
        $in = $content->situations[$situation] ?? abort(404);
        abort_if(! isset($content->units[$unit]) || TakeReader::tracksOf($content, $unit) === [], 404);
        foreach ($rig->takes()->where('is_kept', false)->latest('id')->offset(self::MOST - 1)->limit(self::MOST)->get() as $old) {
            $old->delete();
        }

        return $rig->takes()->create([
            'user_id' => $request->user()?->id, 'revision' => $rig->at, 'situation' => $situation, 'unit' => $unit,
            'played' => (new TonePlan(Heard::in($content, $in, $rig)))->played(), 'files' => $files, 'marks' => [], 'hidden' => $hidden,
            'state' => $state,
        ]);
    }

    private function allow(Rig $rig, ToneTake $take, string $to = 'view'): void
    {
        Gate::authorize($to, $rig);
        abort_unless($take->rig_id === $rig->id, 404);
    }
}
