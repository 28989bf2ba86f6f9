<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Exports\BookHtml;
use App\Exports\Drawings;
use App\Exports\Exports;
use App\Exports\NotInstalled;
use App\Exports\TooLarge;
use App\Http\Requests\BookRequest;
use App\Models\Rig;
use App\ViewModels\BookPage;
use App\ViewModels\RigPage;
use HiddenWire\Core\Book\Book;
use HiddenWire\Core\Rig\Naming;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Gate;

/** The rig book on the screen, and the rig in every form in which it leaves. */
final class BookController
{
    public function show(BookRequest $request, Rig $rig): View
    {
        Gate::authorize('view', $rig);
        $source = BookPage::source($rig, $request->revision());
        $parts = $request->parts();
        $writer = (new BookHtml(new Drawings($source, $request->revision() === null ? $rig : null), $parts))->writer($source);

        return view('rigs.book', [
            'page' => new RigPage($rig, 'book', $request),
            'made' => $rig->books()->where('user_id', $request->user()?->id)->latest('id')->get(),
            'book' => new BookPage($parts, $request->paper(), $request->depth(), $request->stock(), $request->revision()),
            'written' => $writer->body(new Book($source, $parts)),
        ]);
    }

    public function export(BookRequest $request, Rig $rig, string $format): Response|RedirectResponse
    {
        Gate::authorize('view', $rig);
        $source = BookPage::source($rig, $request->revision());
        $all = Exports::all(
            new Drawings($source, $request->revision() === null ? $rig : null),
            $request->parts(),
            $request->depth(),
            $request->paper(),
            $request->stock(),
            fn (string $select): string => route('rigs.wiring', ['rig' => $rig->id, 'select' => $select]),
        );
        // A book on paper can take a while: it is made in the background.
        $exporter = $format === 'pdf' ? abort(404) : $all[$format] ?? abort(404);
        try {
            $written = $exporter->write($source);
        } catch (NotInstalled|TooLarge $e) {
            return redirect()->route('rigs.book', $rig)->withErrors(['format' => $e->getMessage()]);
        }
        $name = Naming::id($rig->name, []).'.'.$exporter->extension();

        return response($written, 200, [
            'Content-Type' => $exporter->mediaType(), 'Content-Disposition' => "attachment; filename=\"{$name}\"",
        ]);
    }
}
