<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\OwnModel;
use App\Models\User;
use App\Rigs\CatalogueFiles;
use App\ViewModels\ModelDrawing;
use App\ViewModels\OwnModelForm;
use App\ViewModels\OwnModelList;
use HiddenWire\Core\Document\DocumentWriter;
use HiddenWire\Core\Document\InvalidDocument;
use HiddenWire\Core\Document\Json;
use HiddenWire\Core\Document\ModelSketch;
use HiddenWire\Core\Rig\Naming;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** Equipment models that a person makes: from nothing, or from one of the catalogue. */
final class OwnModelController
{
    /** As many rows as any of the three tables may have. */
    private const ROWS = 300;

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
        $user = $this->user($request);
        $name = trim($request->string('name')->toString());
        $id = Naming::id($name, array_keys(CatalogueFiles::with($user)));

        return $this->keep(
            $request,
            $id,
            fn (string $document): OwnModel => $user->ownModels()->create(['key' => $id, 'document' => $document]),
            null,
        );
    }

    public function edit(Request $request, OwnModel $own): View
    {
        abort_unless($own->user_id === $this->user($request)->id, 404);

        return view('models.form', ['form' => OwnModelForm::of($own, $own->model())]);
    }

    public function update(Request $request, OwnModel $own): RedirectResponse|Response
    {
        abort_unless($own->user_id === $this->user($request)->id, 404);

        return $this->keep($request, $own->key, function (string $document) use ($own): OwnModel {
            $own->update(['document' => $document]);

            return $own;
        }, $own);
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
        try {
            $drawing = new ModelDrawing($this->sketch($request)->model('sketch'));
        } catch (InvalidDocument $e) {
            return response()->view('models.problems', ['problems' => $e->problems], 422);
        }

        return response()->view('models.drawing', ['drawing' => $drawing]);
    }

    /** @param  callable(string): OwnModel  $store */
    private function keep(Request $request, string $id, callable $store, ?OwnModel $own): RedirectResponse|Response
    {
        try {
            $model = $this->sketch($request)->model($id);
        } catch (InvalidDocument $e) {
            return response()->view(
                'models.form',
                ['form' => new OwnModelForm(
                    $own,
                    $request->string('base')->toString(),
                    $this->head($request),
                    $this->rows($request),
                    $e->problems,
                )],
                422,
            );
        }
        $store(Json::encode((new DocumentWriter)->model($model)));

        return redirect()->route('models')->with('said', "{$model->name} is kept. It stands in the stock's list of models now.");
    }

    private function sketch(Request $request): ModelSketch
    {
        $rows = $this->rows($request);
        $base = CatalogueFiles::with($this->user($request))[$request->string('base')->toString()] ?? null;

        return new ModelSketch(
            $this->head($request),
            $rows['points'],
            $rows['lanes'],
            $rows['routes'],
            $base === null ? [] : (array) json_decode((string) json_encode((new DocumentWriter)->model($base)), true),
        );
    }

    /** @return array{name: string, family: string, summary: string} */
    private function head(Request $request): array
    {
        $text = fn (string $key): string => trim(mb_scrub($request->string($key)->toString()));

        return ['name' => $text('name'), 'family' => $text('family'), 'summary' => $text('summary')];
    }

    /**
     * @return array{points: list<array<string, string>>, lanes: list<array<string, string>>, routes: list<array<string, string>>} the
     *     rows that say anything
     */
    private function rows(Request $request): array
    {
        $read = function (string $table) use ($request): array {
            $rows = [];
            foreach (array_slice((array) $request->input($table, []), 0, self::ROWS) as $row) {
                $texts = is_array($row)
                    ? array_map(fn (mixed $value) => is_scalar($value) ? trim(mb_scrub((string) $value)) : '', $row)
                    : [];
                if (($texts['label'] ?? '').($texts['from'] ?? '').($texts['to'] ?? '') !== '') {
                    $rows[] = $texts;
                }
            }

            return $rows;
        };

        return ['points' => $read('points'), 'lanes' => $read('lanes'), 'routes' => $read('routes')];
    }

    private function user(Request $request): User
    {
        return $request->user() ?? abort(401);
    }
}
