<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Rig;
use App\Rigs\StoredRig;
use App\ViewModels\LabelPage;
use HiddenWire\Core\Book\BookInput;
use Illuminate\Contracts\View\View;
use Illuminate\Support\Facades\Gate;

/** What the code on a label opens: a lead or a unit, for whoever stands there with a phone. */
final class LabelController
{
    public function __invoke(Rig $rig, string $kind, string $id): View
    {
        Gate::authorize('view', $rig);
        $of = new BookInput(StoredRig::load($rig));
        abort_unless(isset(($kind === 'cable' ? $of->rig->cables : $of->rig->units)[$id]), 404);

        return view('rigs.label', ['label' => new LabelPage($rig, $of, $kind, $id)]);
    }
}
