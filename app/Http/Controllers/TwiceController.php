<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Rig;
use App\Rigs\TwiceBooked;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;

/** What of a rig is also in another on the same days; asked for once the page of the equipment is shown. */
final class TwiceController
{
    public function __invoke(Request $request, Rig $rig): View
    {
        Gate::authorize('view', $rig);

        return view('rigs.twice', ['rig' => $rig, 'twice' => TwiceBooked::in($rig, $request->user() ?? abort(401))]);
    }
}
