<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\CreateRig;
use App\Actions\DeleteRig;
use App\Actions\HandOver;
use App\Actions\ImportRig;
use App\Actions\OpenStarter;
use App\Limits\Limit;
use App\Limits\Limits;
use App\Models\Crew;
use App\Models\Deed;
use App\Models\MemberRole;
use App\Models\Rig;
use App\Models\User;
use App\Rigs\Recovery;
use App\Rigs\RigCounts;
use App\Rigs\Starters;
use App\ViewModels\Shelf;
use HiddenWire\Core\Document\InvalidDocument;
use HiddenWire\Core\Document\Json;
use HiddenWire\Core\Quantity\Bounds;
use HiddenWire\Core\Rig\Problem;
use Illuminate\Contracts\View\View;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Gate;
use Illuminate\Support\Str;
use Symfony\Component\HttpFoundation\StreamedResponse;

/** A user's rigs: the cards, documents in and out. */
final class RigController
{
    /** How long rigs of the list are heard in one answer. */
    private const HEARING_S = 1;

    public function index(Request $request): View
    {
        return view('rigs.index', ['shelf' => $this->shelf($request)]);
    }

    public function store(Request $request, ImportRig $import): RedirectResponse|Response
    {
        $file = $request->file('document');
        $user = $this->user($request);
        $crew = self::crew($request);
        try {
            self::room(Limits::rigs($crew ?? $user), Limits::imports($user));
            if (! $file instanceof UploadedFile || ! $file->isValid()) {
                throw InvalidDocument::whole($file instanceof UploadedFile && $file->getError() === UPLOAD_ERR_INI_SIZE
                    ? 'The file is larger than a rig document may be.' : 'Choose a rig document, a .json file, first.');
            }
            if ($file->getSize() > Json::MAX_BYTES) {
                throw InvalidDocument::whole('The file is larger than a rig document may be.');
            }
            $rig = $import(
                $user,
                $file->getContent(),
                'Imported from '.Str::limit($this->printable($file->getClientOriginalName()), 120),
                $crew,
            );
        } catch (InvalidDocument $e) {
            return response()->view('rigs.index', ['shelf' => $this->shelf($request, $e->problems)], 422);
        }

        Limits::imported($user);

        return redirect()->route('rigs.wiring', $rig);
    }

    /** Hears rigs of the shown page of the list that nobody has counted yet, for a second or so; the page asks again for the rest. */
    public function standings(Request $request): JsonResponse
    {
        $until = hrtime(true) + self::HEARING_S * 1_000_000_000;
        $rigs = Shelf::page($this->user($request), Shelf::crew($this->user($request), $request->string('crew')->toString()))->items();
        $standings = Shelf::standings($rigs);
        $left = 0;
        foreach ($rigs as $rig) {
            if ($rig->trouble === null && ! RigCounts::isKnown($standings[$rig->id] ?? null)) {
                hrtime(true) < $until ? RigCounts::learn($rig) : $left++;
            }
        }

        return response()->json(['left' => $left]);
    }

    public function start(Request $request, OpenStarter $open, Starters $starters): RedirectResponse
    {
        $id = $request->string('starter')->toString();
        abort_unless($starters->has($id), 404);
        $crew = self::crew($request);
        $limit = Limits::rigs($crew ?? $this->user($request));
        if (! $limit->has()) {
            return redirect()->route('rigs.index')->withErrors(['rigs' => $limit->refusal()]);
        }

        return redirect()->route('rigs.wiring', $open($this->user($request), $id, $crew));
    }

    public function create(Request $request, CreateRig $create): RedirectResponse
    {
        $name = $request->validate(['name' => ['required', 'string', 'max:'.Bounds::NAME]])['name'];
        $crew = self::crew($request);
        $limit = Limits::rigs($crew ?? $this->user($request));
        if (! $limit->has()) {
            return redirect()->route('rigs.index')->withErrors(['rigs' => $limit->refusal()]);
        }

        return redirect()->route('rigs.wishes', $create($this->user($request), $name, $crew));
    }

    public function document(Rig $rig): StreamedResponse
    {
        Gate::authorize('view', $rig);
        $document = Recovery::document($rig) ?? abort(404);

        return response()->streamDownload(
            fn () => print($document),
            (Str::slug($rig->name) ?: 'rig').'.json',
            ['Content-Type' => 'application/json'],
        );
    }

    public function destroy(Request $request, Rig $rig, DeleteRig $delete): RedirectResponse
    {
        Gate::authorize('own', $rig);
        $crew = $rig->crew;
        $delete($rig);
        Deed::note("Deleted {$rig->name}.", $request->user(), $rig, crew: $crew);

        return redirect()->route('rigs.index')->with('said', "{$rig->name} is deleted.");
    }

    /** To an own account, where a crew has it, or to a crew that somebody may add rigs to. */
    public function handOver(Request $request, Rig $rig, HandOver $handOver): RedirectResponse
    {
        Gate::authorize('own', $rig);
        $user = $this->user($request);
        $to = $request->string('to')->toString() === 'me' ? $user
            : $user->crews(MemberRole::Edit)->whereKey($request->integer('to'))->first() ?? abort(404);
        if ($rig->owner()?->is($to)) {
            return back();
        }
        $limit = Limits::rigs($to);
        if (! $limit->has()) {
            return back()->withErrors(['to' => $limit->refusal()]);
        }
        $handOver($user, $rig, $to);

        return back()->with('said', $to instanceof Crew ? "{$rig->name} is the crew {$to->name}'s now." : "{$rig->name} is yours now.");
    }

    /** The way back for a rig that can't be read any more. */
    public function recover(Request $request, Rig $rig): RedirectResponse
    {
        Gate::authorize('update', $rig);
        $revision = Recovery::recover($rig, $this->user($request));

        return redirect()->route('rigs.index')->with(
            'said',
            $revision === null
                ? "None of the last revisions of {$rig->name} can be read. Its document is still there."
                : "{$rig->name} is back: {$revision->what}.",
        );
    }

    /** The crew that a new rig is for; null where it is for the account. Where somebody may not add to it, there is no such crew. */
    private static function crew(Request $request): ?Crew
    {
        $crew = $request->string('crew')->toString();

        $user = $request->user() ?? abort(401);

        return $crew === '' ? null : $user->crews(MemberRole::Edit)->whereKey((int) $crew)->first() ?? abort(404);
    }

    /** @throws InvalidDocument where one more does not fit */
    private static function room(Limit ...$limits): void
    {
        foreach ($limits as $limit) {
            if (! $limit->has()) {
                throw InvalidDocument::whole($limit->refusal());
            }
        }
    }

    /** @param  list<Problem>  $problems */
    private function shelf(Request $request, array $problems = []): Shelf
    {
        $asked = array_filter($request->query(), is_string(...));

        return new Shelf($this->user($request), app(Starters::class), $problems, $asked);
    }

    private function user(Request $request): User
    {
        return $request->user() ?? abort(401);
    }

    /** A file's name is the user's text: without what can't be shown. */
    private function printable(string $name): string
    {
        return preg_replace('/[^\P{C}]+/u', '', mb_scrub($name)) ?? 'a file';
    }
}
