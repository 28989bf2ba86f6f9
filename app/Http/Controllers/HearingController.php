<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Jobs\HearOn;
use App\Models\Rig;
use App\Rigs\Causes;
use App\Rigs\StoredRig;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;

/** What takes longer than a page has. */
final class HearingController
{
    /** Counts on in the background what a page could not wait for. */
    public function hearOn(Request $request, Rig $rig): RedirectResponse
    {
        Gate::authorize('view', $rig);
        $situation = $request->string('situation')->toString();
        abort_unless(isset(StoredRig::load($rig)->situations[$situation]), 404);
        HearOn::ask($rig, $situation);

        return back();
    }

    /** Looks for the causes of what is not as wished: a page asks for it once it is shown, and is drawn anew when they are found. */
    public function causes(Rig $rig): JsonResponse
    {
        Gate::authorize('view', $rig);
        $stored = StoredRig::load($rig);

        return response()->json(['found' => Causes::of($rig, $stored)->words($stored->papers)]);
    }
}
