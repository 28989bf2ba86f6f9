<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\ChangeRig;
use App\Actions\StaleEdit;
use App\Http\Requests\AddModelRequest;
use App\Models\Rig;
use App\Models\User;
use App\Rigs\CatalogueFiles;
use App\ViewModels\CatalogueShelf;
use App\ViewModels\ModelDrawing;
use App\ViewModels\ModelSearch;
use App\ViewModels\Shelves;
use HiddenWire\Core\Equipment\EquipmentModel;
use HiddenWire\Core\Rig\InvalidRig;
use Illuminate\Contracts\View\View;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;

/** The equipment models that come with the application, to look at, to search, and to take into a rig. */
final class CatalogueController
{
    /** Models that a search field offers. */
    private const OFFERED = 12;

    public function index(Request $request): View
    {
        $rig = $request->filled('rig') ? Rig::query()->find($request->integer('rig')) : null;

        return view('catalogue.index', [
            'catalogue' => new CatalogueShelf(
                CatalogueFiles::catalogue()->models,
                $request->query(),
                Shelves::of($this->user($request)),
                $rig !== null && Gate::allows('view', $rig) ? $rig : null,
            ),
        ]);
    }

    /** What answers to what is typed, for a field in which a model is chosen. */
    public function search(Request $request): JsonResponse
    {
        $found = (new ModelSearch(CatalogueFiles::with($this->user($request))))->find($request->string('q')->toString());

        return response()->json(array_values(array_map(fn (EquipmentModel $model) => [
            'id' => $model->id, 'name' => $model->name, 'family' => $model->family->words(), 'summary' => $model->summary,
        ], array_slice($found, 0, self::OFFERED))));
    }

    public function drawing(Request $request, string $model): View
    {
        $chosen = CatalogueFiles::with($this->user($request))[$model] ?? abort(404);

        return view('catalogue.drawing', ['drawing' => new ModelDrawing($chosen)]);
    }

    /** Takes a model into a rig: into a place of it, or into a new one where it has none. */
    public function add(AddModelRequest $request, ChangeRig $change): RedirectResponse
    {
        $rig = Rig::query()->findOrFail($request->rig());
        Gate::authorize('update', $rig);
        try {
            $made = $change->make($rig, $this->user($request), $request->edits(...), $rig->revision, $rig->at);
        } catch (InvalidRig $e) {
            return back()->withErrors(['to' => "This can't be done: {$e->problems[0]->message}"]);
        } catch (StaleEdit $e) {
            return back()->withErrors(['to' => $e->getMessage()]);
        }
        $unit = array_key_last($made->after->units);

        return redirect()->route('rigs.stock', ['rig' => $rig->id, 'select' => "unit:{$unit}"])->with('said', $made->words);
    }

    private function user(Request $request): User
    {
        return $request->user() ?? abort(401);
    }
}
