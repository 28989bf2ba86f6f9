<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Rig;
use App\ViewModels\ObservedPage;
use App\ViewModels\RigPage;
use HiddenWire\Core\Equipment\Direction;
use HiddenWire\Core\Import\DeviceListing;
use HiddenWire\Core\Quantity\Bounds;
use HiddenWire\Core\Room\Disturbance;
use HiddenWire\Core\Room\SimulatedComputer;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;

/** The device list of a real computer, pasted, against the planned one. Nothing is kept of it. */
final class ObservedController
{
    private const SEEDS = 9_999;

    public function __invoke(Request $request, Rig $rig, string $computer): View
    {
        Gate::authorize('view', $rig);
        $page = new RigPage($rig, 'computers', $request);
        $unit = $page->rig->units[$computer] ?? abort(404);
        abort_unless($page->rig->modelOf($unit)->family->isHost(), 404);
        $seed = max(0, min(self::SEEDS, $request->integer('simulated')));
        if ($seed > 0) {
            $all = Disturbance::cases();
            // Two things have gone wrong, as a seed says which.
            $wrong = [$all[$seed % count($all)], $all[intdiv($seed, count($all)) % count($all)]];
            $list = (new SimulatedComputer($page->hearing->graph()->devices->of($computer)))->listing($wrong, $seed);

            return view('rigs.observed', ['page' => $page, 'seen' => new ObservedPage($page, $unit, $list, $seed)]);
        }
        $text = mb_strcut($request->isMethod('post') ? $request->string('list')->toString() : '', 0, DeviceListing::MAX_BYTES + 1);

        $told = [];
        foreach (is_array($request->input('tells')) ? $request->input('tells') : [] as $place => $one) {
            $direction = is_array($one) ? Direction::tryFrom(is_string($one['as'] ?? null) ? $one['as'] : '') : null;
            $name = is_array($one) && is_string($one['name'] ?? null) ? trim(mb_strimwidth($one['name'], 0, Bounds::NAME)) : '';
            if ($direction !== null && $name !== '') {
                $told[(int) $place] = [$direction, $name];
            }
        }
        $text = $told === [] ? $text : DeviceListing::told($text, $told);

        return view('rigs.observed', ['page' => $page, 'seen' => new ObservedPage($page, $unit, $text)]);
    }
}
