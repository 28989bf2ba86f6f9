<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Exports\Labels;
use App\Exports\LabelStock;
use App\Exports\NotInstalled;
use App\Models\Opens;
use App\Models\Rig;
use App\Models\Share;
use App\Rigs\StoredRig;
use App\ViewModels\LabelPage;
use HiddenWire\Core\Book\BookInput;
use HiddenWire\Core\Document\InvalidDocument;
use HiddenWire\Core\Rig\Naming;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Gate;

/** What the code on a label opens: a lead or a unit, for whoever stands there with a phone. */
final class LabelController
{
    /** For those who may look at the rig. */
    public function show(Rig $rig, string $kind, string $id): View
    {
        Gate::authorize('view', $rig);

        return view('rigs.label', ['label' => $this->page($rig, $kind, $id, null)]);
    }

    /** For whoever has a label whose codes need no account. */
    public function open(string $secret, string $kind, string $id): Response
    {
        $rig = Share::of($secret, Opens::Labels)->rig ?? abort(404);
        try {
            $page = $this->page($rig, $kind, $id, $secret);
        } catch (InvalidDocument) {
            abort(404);
        }

        return response()->view('rigs.label', ['label' => $page])
            ->withHeaders(['X-Robots-Tag' => 'noindex, nofollow', 'Cache-Control' => 'private, no-store']);
    }

    /** Labels whose codes need no account. Those that were printed before open nothing any more. */
    public function print(Request $request, Rig $rig): Response|RedirectResponse
    {
        Gate::authorize('manage', $rig);
        [$secret, $share] = Share::withSecret('Labels', null, Opens::Labels);
        $labels = new Labels(
            LabelStock::of($request->string('labels')->toString()),
            function (string $select) use ($secret): string {
                [$kind, $id] = explode(':', $select, 2);

                return route('label', ['secret' => $secret, 'kind' => $kind, 'id' => $id]);
            },
        );
        try {
            $pdf = $labels->write(new BookInput(StoredRig::load($rig)));
        } catch (NotInstalled $e) {
            return redirect()->route('rigs.book', $rig)->withErrors(['labels' => $e->getMessage()]);
        }
        DB::transaction(function () use ($rig, $share): void {
            $rig->shares()->where('opens', Opens::Labels)->delete();
            $rig->shares()->save($share);
        });
        $name = Naming::id($rig->name, []).'-labels.pdf';

        return response($pdf, 200, [
            'Content-Type' => $labels->mediaType(), 'Content-Disposition' => "attachment; filename=\"{$name}\"",
            'Cache-Control' => 'private, no-store',
        ]);
    }

    private function page(Rig $rig, string $kind, string $id, ?string $secret): LabelPage
    {
        $of = new BookInput(StoredRig::load($rig));
        abort_unless(isset(($kind === 'cable' ? $of->rig->cables : $of->rig->units)[$id]), 404);

        return new LabelPage($rig, $of, $kind, $id, $secret);
    }
}
