<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\User;
use App\Rigs\CatalogueFiles;
use HiddenWire\Core\Edit\AddPlace;
use HiddenWire\Core\Edit\AddUnit;
use HiddenWire\Core\Edit\RigEdit;
use HiddenWire\Core\Rig\PlaceKind;
use HiddenWire\Core\Rig\Rig;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\ValidationException;

/** A model for a rig: `model` by its id, `to` as `rig:place`; no place where the rig has none yet. */
final class AddModelRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['model' => ['required', 'string'], 'to' => ['required', 'string', 'regex:/^\d+:/']];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['to.*' => 'Choose the rig and the place first.', 'model.*' => 'Choose a model first.'];
    }

    public function rig(): int
    {
        return (int) $this->string('to')->before(':')->toString();
    }

    /**
     * @return list<RigEdit>
     *
     * @throws ValidationException where the model or the place is not there
     */
    public function edits(Rig $rig): array
    {
        $user = $this->user();
        $models = $user instanceof User ? CatalogueFiles::with($user) : [];
        $model = $models[$this->string('model')->toString()]
            ?? throw ValidationException::withMessages(['model' => 'There is no such model.']);
        $place = $this->string('to')->after(':')->toString();
        if ($place === '' && $rig->places === []) {
            $desk = new AddPlace('Desk', PlaceKind::Desk);

            return [$desk, new AddUnit($model, (string) array_key_last($desk->applyTo($rig)->places), $model->name)];
        }

        return isset($rig->places[$place])
            ? [new AddUnit($model, $place, $model->name)]
            : throw ValidationException::withMessages(['to' => 'The rig has no such place any more. Choose another.']);
    }
}
