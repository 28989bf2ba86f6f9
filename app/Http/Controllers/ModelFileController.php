<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\KeepModel;
use App\Models\OwnModel;
use App\Models\User;
use App\Rigs\CatalogueFiles;
use HiddenWire\Core\Document\InvalidDocument;
use HiddenWire\Core\Document\ModelFile;
use HiddenWire\Core\Equipment\EquipmentModel;
use HiddenWire\Core\Rig\Problem;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Http\UploadedFile;

/** Own models as files, out and in. */
final class ModelFileController
{
    private const MAX_BYTES = 1_000_000;

    public function show(Request $request, OwnModel $own): Response
    {
        abort_unless($own->user_id === $this->user($request)->id, 404);
        $model = $own->model() ?? abort(404);

        return response(ModelFile::write($model), 200, [
            'Content-Type' => 'application/json', 'Content-Disposition' => "attachment; filename=\"{$own->key}.model.json\"",
        ]);
    }

    public function store(Request $request): RedirectResponse
    {
        $user = $this->user($request);
        $file = $request->file('model');
        if (! $file instanceof UploadedFile || ! $file->isValid() || $file->getSize() > self::MAX_BYTES) {
            return redirect()->route('models')->withErrors(['model' => 'Choose a model file of 1 MB at most.']);
        }
        try {
            $model = ModelFile::read($file->getContent());
        } catch (InvalidDocument $e) {
            $told = array_map(fn (Problem $one) => trim("{$one->pointer} {$one->message}"), array_slice($e->problems, 0, 5));

            return redirect()->route('models')->withErrors(['model' => implode(' ', $told)]);
        }
        $there = CatalogueFiles::with($user);
        $same = array_values(array_filter($there, fn (EquipmentModel $one) => ModelFile::isSame($one, $model)))[0] ?? null;
        if ($same !== null) {
            return redirect()->route('models')->with('said', "{$same->name} is there already, just as in the file.");
        }
        $kept = $model->with(id: KeepModel::idFor($user, $model->name));
        KeepModel::keep($user, $kept);

        return redirect()->route('models')->with('said', KeepModel::said($kept));
    }

    private function user(Request $request): User
    {
        return $request->user() ?? abort(401);
    }
}
