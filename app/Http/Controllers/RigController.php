<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\CreateRig;
use App\Actions\DeleteRig;
use App\Actions\ImportRig;
use App\Actions\OpenStarter;
use App\Limits\Limit;
use App\Limits\Limits;
use App\Models\Deed;
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
        try {
            self::room(Limits::rigs($user), Limits::imports($user));
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
        $rigs = Shelf::page($this->user($request))->items();
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
        $limit = Limits::rigs($this->user($request));
        if (! $limit->has()) {
            return redirect()->route('rigs.index')->withErrors(['rigs' => $limit->refusal()]);
        }

        return redirect()->route('rigs.wiring', $open($this->user($request), $id));
    }

    public function create(Request $request, CreateRig $create): RedirectResponse
    {
        $name = $request->validate(['name' => ['required', 'string', 'max:'.Bounds::NAME]])['name'];
        $limit = Limits::rigs($this->user($request));
        if (! $limit->has()) {
            return redirect()->route('rigs.index')->withErrors(['rigs' => $limit->refusal()]);
        }

        return redirect()->route('rigs.wishes', $create($this->user($request), $name));
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
        $delete($rig);
        Deed::note("Deleted {$rig->name}.", $request->user(), $rig);

        return redirect()->route('rigs.index')->with('said', "{$rig->name} is deleted.");
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
