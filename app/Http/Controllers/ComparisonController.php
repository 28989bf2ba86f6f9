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
        foreach ([$before, $after] as $one) {
            if (Recovery::read($one) === null) {
                return view('rigs.incomparable', ['page' => $page, 'revision' => $one]);
            }
        }

        return view('rigs.compare', [
            'page' => $page, 'comparison' => new Comparison($page, $before, $after, $this->difference($before, $after)),
        ]);
    }

    /** The two maps: laying them out takes a moment, so that the page asks for them once it is shown. */
    public function maps(Request $request, Rig $rig, int $number, int $with): View
    {
        Gate::authorize('view', $rig);
        [$before, $after] = $this->revisions($rig, $number, $with);
        $difference = $this->difference($before, $after);
        $depth = MapDepth::tryFrom($request->string('depth')->toString()) ?? MapDepth::Cables;
        try {
            [$was, $is] = ComparedMaps::of($rig, [$before->number, $after->number], $difference->before, $difference->after, $depth);
            $trouble = '';
        } catch (TooLarge $e) {
            [$was, $is, $trouble] = ['', '', $e->getMessage()];
        } catch (\RuntimeException $e) {
            report($e);
            [$was, $is, $trouble] = ['', '', 'The maps could not be laid out. The lists say what changed.'];
        }

        return view('rigs.compared-maps', ['maps' => [
            "Revision {$before->number}" => $was, "Revision {$after->number}" => $is,
        ], 'trouble' => $trouble]);
    }

    /** @return array{Revision, Revision} the earlier one first */
    private function revisions(Rig $rig, int $number, int $with): array
    {
        $revision = fn (int $which): Revision => $rig->revisions()->where('number', $which)->first() ?? abort(404);

        return [$revision(min($number, $with)), $revision(max($number, $with))];
    }

    /** @throws UnreadableRevision */
    private function difference(Revision $before, Revision $after): RigDifference
    {
        $read = fn (Revision $one) => Recovery::read($one) ?? throw new UnreadableRevision($one->number);

        return new RigDifference($read($before), $read($after));
    }
}
