<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\KeepModel;
use App\Models\User;
use App\ViewModels\MixerForm;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** A mixer as a person's own model, made of what it has. */
final class MixerModelController
{
    public function create(Request $request): View
    {
        return view('models.mixer', ['form' => MixerForm::beginning($request->string('from')->toString())]);
    }

    /** The drawing of what is said so far, or what can't be. */
    public function drawing(Request $request): Response
    {
        $form = MixerForm::sent($request->post());
        $look = $form->look();

        return $look === null
            ? response()->view('models.mixer-problems', ['form' => $form], 422)
            : response()->view('models.drawing', ['look' => $look]);
    }

    public function store(Request $request): RedirectResponse|Response
    {
        /** @var User $user */
        $user = $request->user() ?? abort(401);
        $named = MixerForm::sent($request->post());
        $form = MixerForm::sent($request->post(), KeepModel::idFor($user, $named->name === '' ? 'mixer' : $named->name));
        if ($form->model === null) {
            return response()->view('models.mixer', ['form' => $form], 422);
        }
        KeepModel::keep($user, $form->model);

        return redirect()->route('models')->with('said', KeepModel::said($form->model));
    }
}
