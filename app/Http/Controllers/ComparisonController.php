<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\UnreadableRevision;
use App\Exports\ComparedMaps;
use App\Exports\TooLarge;
use App\Models\Revision;
use App\Models\Rig;
use App\Rigs\Recovery;
use App\ViewModels\Comparison;
use App\ViewModels\MapDepth;
use App\ViewModels\RigPage;
use HiddenWire\Core\History\RigDifference;
use HiddenWire\Core\Rig\Rig as CoreRig;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;

/** Two revisions beside each other. */
final class ComparisonController
{
    public function show(Request $request, Rig $rig, int $number, int $with): View
    {
        Gate::authorize('view', $rig);
        [$before, $after] = $this->revisions($rig, $number, $with);
        $page = new RigPage($rig, 'history', $request);
        [$was, $is] = [Recovery::read($before), Recovery::read($after)];
        if ($was === null || $is === null) {
            return view('rigs.incomparable', ['page' => $page, 'revision' => $was === null ? $before : $after]);
        }

        return view('rigs.compare', [
            'page' => $page, 'comparison' => new Comparison($page, $before, $after, new RigDifference($was, $is)),
        ]);
    }

    /**
     * The two maps: laying them out takes a moment, so that the page asks for them once it is shown.
     *
     * @throws UnreadableRevision
     */
    public function maps(Request $request, Rig $rig, int $number, int $with): View
    {
        Gate::authorize('view', $rig);
        [$before, $after] = $this->revisions($rig, $number, $with);
        $read = fn (Revision $one): CoreRig => Recovery::read($one) ?? throw new UnreadableRevision($one->number);
        [$was, $is] = [$read($before), $read($after)];
        $depth = MapDepth::tryFrom($request->string('depth')->toString()) ?? MapDepth::Cables;
        try {
            [$old, $new] = ComparedMaps::of($rig, [$before->number, $after->number], $was, $is, $depth);
            $trouble = '';
        } catch (TooLarge $e) {
            [$old, $new, $trouble] = ['', '', $e->getMessage()];
        } catch (\RuntimeException $e) {
            report($e);
            [$old, $new, $trouble] = ['', '', 'The maps could not be laid out. The lists say what changed.'];
        }

        return view('rigs.compared-maps', ['maps' => [
            "Revision {$before->number}" => $old, "Revision {$after->number}" => $new,
        ], 'trouble' => $trouble]);
    }

    /** @return array{Revision, Revision} the earlier one first */
    private function revisions(Rig $rig, int $number, int $with): array
    {
        $revision = fn (int $which): Revision => $rig->revisions()->where('number', $which)->first() ?? abort(404);

        return [$revision(min($number, $with)), $revision(max($number, $with))];
    }
}
