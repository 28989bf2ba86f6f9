<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Rig;
use App\ViewModels\Finder;
use App\ViewModels\RigPage;
use Illuminate\Contracts\View\View;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;

/** Finding anything of a rig by a few letters. */
final class FindController
{
    public function __invoke(Request $request, Rig $rig): JsonResponse|View
    {
        Gate::authorize('view', $rig);
        $page = new RigPage($rig, 'find', $request);
        $finder = new Finder($page, $request->string('q')->toString());

        return $request->expectsJson()
            ? response()->json([...$finder->found, ...$finder->elsewhere])
            : view('rigs.find', ['page' => $page, 'finder' => $finder]);
    }
}
