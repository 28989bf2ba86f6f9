<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Exports\BookAddresses;
use App\Exports\BookHtml;
use App\Exports\Edition;
use App\Exports\Exports;
use App\Exports\NotInstalled;
use App\Exports\TooLarge;
use App\Exports\WrittenBook;
use App\Http\Requests\BookRequest;
use App\Models\Rig;
use App\Rigs\StoredRig;
use App\Rigs\Turn;
use App\ViewModels\BookPage;
use App\ViewModels\MapDepth;
use App\ViewModels\RigPage;
use HiddenWire\Core\Book\Parts\Maps;
use HiddenWire\Core\Rig\Naming;
use Illuminate\Contracts\Cache\LockTimeoutException;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Gate;

/** The rig book on the screen, and the rig in every form in which it leaves. */
final class BookController
{
    /** How long one download keeps another of the same rig waiting, in seconds. */
    private const WAIT = 60;

    public function show(BookRequest $request, Rig $rig): View
    {
        Gate::authorize('view', $rig);

        return view('rigs.book', [
            'page' => new RigPage($rig, 'book', $request),
            'book' => new BookPage(
                $request->parts(),
                $request->paper(),
                $request->depth(),
                $request->stock(),
                $request->revision(),
                $request->order(),
                array_values($rig->books()->where('user_id', $request->user()?->id)->latest('id')->get()->all()),
                $this->book($request, $rig)->atOnce(),
            ),
        ]);
    }

    /** The book alone, for a page that shows that it is being written. */
    public function written(BookRequest $request, Rig $rig): Response
    {
        Gate::authorize('view', $rig);

        return response($this->book($request, $rig)->html());
    }

    /** The contents of one chapter of the book, for a page that is shown already. */
    public function chapter(BookRequest $request, Rig $rig, string $chapter): Response
    {
        Gate::authorize('view', $rig);

        return response($this->book($request, $rig)->chapter($chapter) ?? abort(404));
    }

    private function book(BookRequest $request, Rig $rig): WrittenBook
    {
        return new WrittenBook(
            $rig,
            $request->parts(),
            $request->revision(),
            $request->order(),
            new BookAddresses($rig->id, hash('xxh64', StoredRig::stateOf($rig)), $request->picks()),
            $request->lengths(),
        );
    }

    /** A map of the book alone, for a page that is shown already. */
    public function map(BookRequest $request, Rig $rig, MapDepth $depth): Response
    {
        Gate::authorize('view', $rig);
        abort_unless(in_array($depth, [MapDepth::Cables, MapDepth::Inside], true), 404);
        $edition = Edition::of($rig, $request->revision());

        return response(
            '<figcaption>'.e((new Maps)->captionOf($depth->value)).'</figcaption>'
                .(new BookHtml($edition->drawings, ['maps']))->map($depth),
        );
    }

    public function export(BookRequest $request, Rig $rig, string $format): Response|RedirectResponse
    {
        Gate::authorize('view', $rig);
        $edition = Edition::of($rig, $request->revision(), order: $request->order(), lengths: $request->lengths());
        $all = Exports::all(
            $edition->drawings,
            $request->parts(),
            $request->depth(),
            $request->paper(),
            $request->stock(),
            fn (string $select): string => url("/rigs/{$rig->id}/label/".strtr($select, ':', '/')),
        );
        // A book on paper can take a while: it is made in the background.
        $exporter = $format === 'pdf' ? abort(404) : $all[$format] ?? abort(404);
        try {
            // One at a time of each rig: whoever asks for several waits for the first.
            $written = Turn::of("export:{$rig->id}", self::WAIT)
                ->block(self::WAIT, fn (): string => $exporter->write($edition->source));
        } catch (LockTimeoutException) {
            return redirect()->route('rigs.book', $rig)
                ->withErrors(['format' => 'Another download of this rig is being written. Try again.']);
        } catch (NotInstalled|TooLarge $e) {
            return redirect()->route('rigs.book', $rig)->withErrors(['format' => $e->getMessage()]);
        }
        $name = Naming::id($rig->name, []).'.'.$exporter->extension();

        return response($written, 200, [
            'Content-Type' => $exporter->mediaType(), 'Content-Disposition' => "attachment; filename=\"{$name}\"",
        ]);
    }
}
