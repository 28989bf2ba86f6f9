<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\KeptPage;
use App\Http\Redrawing;
use App\Models\Rig;
use App\Rigs\Geometry;
use App\Rigs\StoredRig;
use App\ViewModels\MapDepth;
use App\ViewModels\MapDrawing;
use App\ViewModels\MapGraph;
use App\ViewModels\MapPage;
use App\ViewModels\RigPage;
use HiddenWire\Core\Signal\GraphBuilder;
use Illuminate\Contracts\View\View;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Gate;

/** The map: drawn where its layout is known, else given to the browser's worker to lay out first. */
final readonly class WiringController
{
    public function __construct(private Redrawing $redrawing)
    {
    }

    public function show(Request $request, Rig $rig): Response
    {
        Gate::authorize('view', $rig);
        $asked = MapDepth::tryFrom($request->string('depth')->toString()) ?? MapDepth::lookedAt($request, $rig->id);
        $layout = $rig->layouts()->where('depth', $asked->value)->first();

        return KeptPage::of($request, $rig, 'wiring', fn (RigPage $page): View => view('rigs.wiring', [
            'page' => $page,
            'wiring' => new MapPage($page, $layout),
        ]), besides: serialize($layout?->getAttributes()));
    }

    /** Forgets how the map is laid out at a depth: it is laid out anew when it is shown. */
    public function forget(Request $request, Rig $rig): JsonResponse|RedirectResponse
    {
        Gate::authorize('update', $rig);
        $rig->layouts()->where('depth', $request->string('depth')->toString())->delete();

        return $request->expectsJson()
            ? response()->json([
                'said' => 'The map is laid out anew.',
                'page' => $this->redrawing->of($rig, (string) $request->header('X-Page', ''), $request),
            ])
            : back();
    }

    public function layout(Request $request, Rig $rig): JsonResponse
    {
        Gate::authorize('view', $rig);
        $depth = MapDepth::tryFrom($request->string('depth')->toString());
        $content = StoredRig::load($rig);
        $situation = $content->situation($request->string('situation')->toString()) ?? $content->situation();
        if ($depth === null || $situation === null) {
            return response()->json(['message' => 'There is no such depth.'], 422);
        }
        $map = new MapGraph((new GraphBuilder($content))->build($situation), $depth);
        if ($request->string('structure')->toString() !== $map->structure()) {
            return response()->json(['message' => 'The rig has changed meanwhile; load the page again.'], 409);
        }
        $geometry = Geometry::of($request->input('geometry'), $map);
        if ($geometry === null) {
            return response()->json(['message' => 'This layout does not fit the map.'], 422);
        }
        if (Gate::denies('update', $rig)) {
            // Who may only look sees the map, and keeps nothing.
            return response()->json(['drawing' => $this->drawing($request, $rig, $depth, $geometry)]);
        }
        $rig->layouts()->updateOrCreate(['depth' => $depth->value], ['structure' => $map->structure(), 'geometry' => $geometry->data()]);

        return response()->json(['message' => 'Kept.']);
    }

    private function drawing(Request $request, Rig $rig, MapDepth $depth, Geometry $geometry): string
    {
        $query = parse_url((string) $request->header('X-Page', ''), PHP_URL_QUERY);
        $shown = Request::create(is_string($query) ? "/?{$query}" : '/');
        $shown->setUserResolver($request->getUserResolver());
        $page = new RigPage($rig, 'wiring', $shown);
        $drawing = new MapDrawing(new MapGraph($page->hearing->graph(), $depth), $geometry, $page->highlighted());

        return view('rigs.drawing', ['page' => $page, 'drawing' => $drawing])->render();
    }
}
