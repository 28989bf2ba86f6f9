<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\BookRequest;
use App\Jobs\MakeBook;
use App\Models\BookState;
use App\Models\MadeBook;
use App\Models\Rig;
use HiddenWire\Core\Rig\Naming;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Support\Facades\Gate;
use Illuminate\Support\Facades\Storage;
use Symfony\Component\HttpFoundation\StreamedResponse;

/** Books that are made in the background: asked for, looked after, stopped, taken. Each person has their own. */
final class MadeBookController
{
    /** Books of one person that can wait or be there, of one rig. */
    private const MOST = 10;

    public function store(BookRequest $request, Rig $rig): RedirectResponse
    {
        Gate::authorize('view', $rig);
        $own = $rig->books()->where('user_id', $request->user()?->id);
        if ((clone $own)->whereIn('state', [BookState::Waiting, BookState::Working])->exists()) {
            return back()->withErrors(['book' => 'A book of yours is being made already. Wait for it, or stop it.']);
        }
        // The oldest make room.
        foreach ((clone $own)->latest('id')->offset(self::MOST - 1)->limit(self::MOST)->get() as $old) {
            $old->delete();
        }
        $book = $rig->books()->create([
            'user_id' => $request->user()?->id,
            'asked' => ['parts' => $request->parts(), 'paper' => $request->paper()->value, 'revision' => $request->revision(),
                'order' => $request->order()->value, 'lengths' => $request->lengths()->value],
            'state' => BookState::Waiting,
        ]);
        MakeBook::dispatch($book->id, 1);

        return redirect()->to($request->back())->with('said', 'The book is being made.');
    }

    /** Its state, for the page that waits for it. */
    public function show(Rig $rig, MadeBook $book): JsonResponse
    {
        $this->authorize($rig, $book);

        return response()->json(['says' => $book->says(), 'isOpen' => $book->state->isOpen()]);
    }

    /** Stops it, or removes it where it is there. */
    public function destroy(Rig $rig, MadeBook $book): RedirectResponse
    {
        $this->authorize($rig, $book);
        if ($book->state->isOpen()) {
            $book->update(['state' => BookState::Stopped]);

            return back()->with('said', 'Stopped.');
        }
        $book->delete();

        return back()->with('said', 'The book is removed. It can be made again.');
    }

    public function file(Rig $rig, MadeBook $book): StreamedResponse
    {
        $this->authorize($rig, $book);
        abort_unless($book->state === BookState::Done && Storage::exists($book->file()), 404);

        return Storage::download($book->file(), Naming::id($rig->name, []).'.pdf', ['Content-Type' => 'application/pdf']);
    }

    private function authorize(Rig $rig, MadeBook $book): void
    {
        Gate::authorize('view', $rig);
        abort_unless($book->user_id === auth()->id(), 404);
    }
}
