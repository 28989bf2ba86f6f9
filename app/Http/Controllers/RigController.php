<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\CreateRig;
use App\Actions\DeleteRig;
use App\Actions\ImportRig;
use App\Actions\OpenStarter;
use App\Jobs\HearOn;
use App\Models\Rig;
use App\Models\User;
use App\Rigs\CatalogueFiles;
use App\Rigs\Causes;
use App\Rigs\Recovery;
use App\Rigs\Standing;
use App\Rigs\Starters;
use App\Rigs\StoredRig;
use App\ViewModels\CableImport;
use App\ViewModels\CableTable;
use App\ViewModels\ChecksPage;
use App\ViewModels\Computers;
use App\ViewModels\DependencePage;
use App\ViewModels\Doubts;
use App\ViewModels\LevelsPage;
use App\ViewModels\NamesPage;
use App\ViewModels\RecipesPage;
use App\ViewModels\ReturnsPage;
use App\ViewModels\RigPage;
use App\ViewModels\Shelf;
use App\ViewModels\SituationCard;
use App\ViewModels\Step;
use App\ViewModels\Stock;
use App\ViewModels\TracksPage;
use App\ViewModels\WishesPage;
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

/** A user's rigs: the cards, documents in and out, and the views of one. */
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
        try {
            if (! $file instanceof UploadedFile || ! $file->isValid()) {
                throw InvalidDocument::whole($file instanceof UploadedFile && $file->getError() === UPLOAD_ERR_INI_SIZE
                    ? 'The file is larger than a rig document may be.' : 'Choose a rig document, a .json file, first.');
            }
            if ($file->getSize() > Json::MAX_BYTES) {
                throw InvalidDocument::whole('The file is larger than a rig document may be.');
            }
            $rig = $import(
                $this->user($request),
                $file->getContent(),
                'Imported from '.Str::limit($this->printable($file->getClientOriginalName()), 120),
            );
        } catch (InvalidDocument $e) {
            return response()->view('rigs.index', ['shelf' => $this->shelf($request, $e->problems)], 422);
        }

        return redirect()->route('rigs.wiring', $rig);
    }

    /** Hears rigs of the shown page of the list that nobody has counted yet, for a second or so; the page asks again for the rest. */
    public function standings(Request $request): JsonResponse
    {
        $until = hrtime(true) + self::HEARING_S * 1_000_000_000;
        $rigs = $this->user($request)->visibleRigs()->latest('rigs.updated_at')->latest('rigs.id')->paginate(Shelf::PER_PAGE)->items();
        $standings = Shelf::standings($rigs);
        $left = 0;
        foreach ($rigs as $rig) {
            if ($rig->trouble === null && ! Standing::isKnown($standings[$rig->id] ?? null)) {
                hrtime(true) < $until ? Standing::learn($rig) : $left++;
            }
        }

        return response()->json(['left' => $left]);
    }

    public function start(Request $request, OpenStarter $open, Starters $starters): RedirectResponse
    {
        $id = $request->string('starter')->toString();
        abort_unless($starters->has($id), 404);

        return redirect()->route('rigs.wiring', $open($this->user($request), $id));
    }

    public function create(Request $request, CreateRig $create): RedirectResponse
    {
        $name = $request->validate(['name' => ['required', 'string', 'max:'.Bounds::NAME]])['name'];

        return redirect()->route('rigs.stock', $create($this->user($request), $name));
    }

    public function stock(Request $request, Rig $rig): View
    {
        return $this->step(
            $request,
            $rig,
            Step::Stock,
            fn (RigPage $page) => ['stock' => new Stock($page, CatalogueFiles::with($this->user($request)))],
        );
    }

    public function computers(Request $request, Rig $rig): View
    {
        return $this->step(
            $request,
            $rig,
            Step::Computers,
            fn (RigPage $page) => ['list' => new Computers($page, CatalogueFiles::with($this->user($request)))],
        );
    }

    public function recipes(Request $request, Rig $rig): View
    {
        return $this->step($request, $rig, Step::Recipes, fn (RigPage $page) => ['recipes' => new RecipesPage($page)]);
    }

    public function names(Request $request, Rig $rig): View
    {
        return $this->step($request, $rig, Step::Names, fn (RigPage $page) => ['names' => new NamesPage($page)]);
    }

    public function doubts(Request $request, Rig $rig): View
    {
        return $this->step($request, $rig, Step::Doubts, fn (RigPage $page) => ['doubts' => new Doubts($page)]);
    }

    public function tracks(Request $request, Rig $rig): View
    {
        return $this->step($request, $rig, Step::Tracks, fn (RigPage $page) => ['tracks' => new TracksPage($page)]);
    }

    public function levels(Request $request, Rig $rig): View
    {
        return $this->step($request, $rig, Step::Levels, fn (RigPage $page) => ['levels' => new LevelsPage($page)]);
    }

    public function returns(Request $request, Rig $rig): View
    {
        return $this->step($request, $rig, Step::Returns, fn (RigPage $page) => ['returns' => new ReturnsPage($page)]);
    }

    public function dependence(Request $request, Rig $rig): View
    {
        return $this->step($request, $rig, Step::Dependence, fn (RigPage $page) => ['depends' => new DependencePage($page)]);
    }

    public function checks(Request $request, Rig $rig): View
    {
        return $this->step($request, $rig, Step::Checks, fn (RigPage $page) => ['checks' => new ChecksPage($page)]);
    }

    public function situations(Request $request, Rig $rig): View
    {
        return $this->step($request, $rig, Step::Situations, fn (RigPage $page) => ['cards' => SituationCard::all($page)]);
    }

    /** A CSV file of cables: what it would make, before anything is made. */
    public function importCables(Request $request, Rig $rig): View
    {
        Gate::authorize('update', $rig);
        $file = $request->file('file');
        $csv = $file instanceof UploadedFile && $file->isValid() ? $file->getContent()
            : $request->string('csv')->toString();
        $columns = $request->input('columns');
        $page = new RigPage($rig, 'import-cables', $request);

        return view('rigs.import-cables', [
            'page' => $page,
            'import' => new CableImport(
                $page->rig,
                $csv,
                is_array($columns) ? array_map(strval(...), array_filter($columns, is_scalar(...))) : [],
            ),
        ]);
    }

    public function cables(Request $request, Rig $rig): View
    {
        return $this->step($request, $rig, Step::Cables, fn (RigPage $page) => ['table' => new CableTable($page->rig)]);
    }

    /** Looks for the causes of what is not as wished: a page asks for it once it is shown, and is drawn anew when they are found. */
    /** Counts on in the background what a page could not wait for. */
    public function hearOn(Request $request, Rig $rig): RedirectResponse
    {
        Gate::authorize('view', $rig);
        $situation = $request->string('situation')->toString();
        abort_unless(isset(StoredRig::load($rig)->situations[$situation]), 404);
        HearOn::ask($rig, $situation);

        return back();
    }

    public function causes(Rig $rig): JsonResponse
    {
        Gate::authorize('view', $rig);
        $stored = StoredRig::load($rig);

        return response()->json(['found' => Causes::of($rig, $stored)->words($stored->papers)]);
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

    public function destroy(Rig $rig, DeleteRig $delete): RedirectResponse
    {
        Gate::authorize('own', $rig);
        $delete($rig);

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

    public function wishes(Request $request, Rig $rig): View
    {
        return $this->step($request, $rig, Step::Wishes, fn (RigPage $page) => ['table' => new WishesPage($page)]);
    }

    /** @param  callable(RigPage): array<string, mixed>  $more  what the view shows beside the page */
    private function step(Request $request, Rig $rig, Step $step, callable $more): View
    {
        Gate::authorize('view', $rig);
        $page = new RigPage($rig, $step->value, $request);
        /** @var view-string $view */
        $view = "rigs.{$step->value}";

        return view($view, ['page' => $page, ...$more($page)]);
    }

    /** @param  list<Problem>  $problems */
    private function shelf(Request $request, array $problems = []): Shelf
    {
        return new Shelf($this->user($request), app(Starters::class), $problems);
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
