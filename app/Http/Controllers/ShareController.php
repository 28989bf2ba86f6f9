<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Exports\WrittenBook;
use App\Models\Deed;
use App\Models\Rig;
use App\Models\Share;
use HiddenWire\Core\Book\Parts;
use HiddenWire\Core\Document\InvalidDocument;
use HiddenWire\Core\Quantity\Bounds;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\Rule;

/** Links to a rig's book for people without an account: made and taken back by those who manage it, read by whoever has one. */
final class ShareController
{
    /** Days that a link can hold; 0 for until it is taken back. */
    public const DAYS = [1 => 'a day', 7 => 'a week', 30 => '30 days', 0 => 'until it is removed'];

    /** Links that a rig can have at a time. */
    private const MOST = 50;

    public function store(Request $request, Rig $rig): RedirectResponse
    {
        Gate::authorize('manage', $rig);
        $fields = $request->validate([
            'name' => ['required', 'string', 'max:'.Bounds::SHORT_NAME],
            'days' => ['required', Rule::in(array_keys(self::DAYS))],
        ]);
        if ($rig->shares()->count() >= self::MOST) {
            return back()->withErrors(['name' => 'A rig can have '.self::MOST.' links. Remove one first.'])->withInput();
        }
        $days = (int) $fields['days'];
        [$secret, $share] = Share::withSecret($fields['name'], $days === 0 ? null : now()->addDays($days));
        $rig->shares()->save($share);
        Deed::note("Made the link {$share->name} to the book of {$rig->name}, for ".self::DAYS[$days].'.', $request->user(), $rig);

        return back()->with('said', "The link for {$share->name} is made. It is shown only now.")->with('link', route('shared', $secret));
    }

    public function destroy(Request $request, Rig $rig, Share $share): RedirectResponse
    {
        Gate::authorize('manage', $rig);
        $share->delete();
        Deed::note("Removed the link {$share->name} to the book of {$rig->name}.", $request->user(), $rig);

        return back()->with('said', "The link for {$share->name} opens nothing any more.");
    }

    /** The book, for whoever has the link. Who changed what is nobody else's business. */
    public function show(string $secret): Response
    {
        $share = Share::of($secret) ?? abort(404);
        $rig = $share->rig ?? abort(404);
        try {
            $written = (new WrittenBook($rig, Parts::usual()))->html();
        } catch (InvalidDocument) {
            abort(404);
        }

        return response()->view('shared.book', ['title' => $rig->name, 'written' => $written])
            ->withHeaders(['X-Robots-Tag' => 'noindex, nofollow', 'Cache-Control' => 'private, no-store']);
    }
}
