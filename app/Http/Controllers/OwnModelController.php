<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\KeepModel;
use App\Models\OwnModel;
use App\Models\User;
use App\Rigs\CatalogueFiles;
use App\ViewModels\ModelLook;
use App\ViewModels\ModelProblem;
use App\ViewModels\OwnModelForm;
use App\ViewModels\OwnModelList;
use HiddenWire\Core\Document\InvalidDocument;
use HiddenWire\Core\Sheets\ModelSheets;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** Equipment models that a person makes: from nothing, or from one of the catalogue. */
final class OwnModelController
{
    /** Characters that a sheet may have. */
    private const SHEET = 200_000;

    public function index(Request $request): View
    {
        return view('models.index', ['list' => new OwnModelList($this->user($request))]);
    }

    public function create(Request $request): View
    {
        $from = CatalogueFiles::with($this->user($request))[$request->string('from')->toString()] ?? null;

        return view('models.form', ['form' => OwnModelForm::of(null, $from)]);
    }

    public function store(Request $request): RedirectResponse|Response
    {
        $id = KeepModel::idFor($this->user($request), trim($request->string('name')->toString()));

        return $this->keep($request, $id, null);
    }

    public function edit(Request $request, OwnModel $own): View
    {
        abort_unless($own->user_id === $this->user($request)->id, 404);

        return view('models.form', ['form' => OwnModelForm::of($own, $own->model())]);
    }

    public function update(Request $request, OwnModel $own): RedirectResponse|Response
    {
        abort_unless($own->user_id === $this->user($request)->id, 404);

        return $this->keep($request, $own->key, $own);
    }

    public function destroy(Request $request, OwnModel $own): RedirectResponse
    {
        abort_unless($own->user_id === $this->user($request)->id, 404);
        $own->delete();

        return redirect()->route('models')->with('said', 'The model is deleted. Rigs that use it carry it themselves.');
    }

    /** The drawing of what is being written, or what is still wrong with it. */
    public function drawing(Request $request): Response
    {
        $sheets = $this->sheets($request);
        try {
            $look = new ModelLook($sheets->model('sketch'));
        } catch (InvalidDocument $e) {
            return response()->view('models.problems', ['problems' => ModelProblem::all($sheets, $e)], 422);
        }

        return response()->view('models.drawing', ['look' => $look]);
    }

    private function keep(Request $request, string $id, ?OwnModel $own): RedirectResponse|Response
    {
        $sheets = $this->sheets($request);
        try {
            $model = $sheets->model($id);
        } catch (InvalidDocument $e) {
            $form = new OwnModelForm($own, $this->head($request), $this->texts($request), ModelProblem::all($sheets, $e));

            return response()->view('models.form', ['form' => $form], 422);
        }
        KeepModel::keep($this->user($request), $model, $own);

        return redirect()->route('models')->with('said', KeepModel::said($model));
    }

    private function sheets(Request $request): ModelSheets
    {
        return new ModelSheets($this->texts($request), $this->head($request));
    }

    /** @return array{name: string, family: string, summary: string} */
    private function head(Request $request): array
    {
        $text = fn (string $key): string => trim(mb_scrub($request->string($key)->toString()));

        return ['name' => $text('name'), 'family' => $text('family'), 'summary' => $text('summary')];
    }

    /** @return array<string, string> the sheets that were sent, by key */
    private function texts(Request $request): array
    {
        $sent = (array) $request->input('sheets', []);
        $text = fn (mixed $sheet): string => is_string($sheet) ? mb_substr(mb_scrub($sheet), 0, self::SHEET) : '';

        return array_map(fn (string $key) => $text($sent[$key] ?? ''), array_combine($keys = array_keys(ModelSheets::all()), $keys));
    }

    private function user(Request $request): User
    {
        return $request->user() ?? abort(401);
    }
}
