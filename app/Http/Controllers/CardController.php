<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\TickCard;
use App\Models\Rig;
use App\Rigs\StoredRig;
use App\ViewModels\CardList;
use App\ViewModels\CardPage;
use App\ViewModels\RigPage;
use HiddenWire\Core\Book\BookInput;
use HiddenWire\Core\Book\Card;
use HiddenWire\Core\Book\Cards;
use Illuminate\Contracts\View\View;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Gate;

/** Cards to work through under a desk: the list of them, each on a page of its own, and what is ticked on it. */
final class CardController
{
    public function index(Request $request, Rig $rig): View
    {
        Gate::authorize('view', $rig);
        $page = new RigPage($rig, 'cards', $request);

        return view('rigs.cards', ['page' => $page, 'cards' => new CardList($page)]);
    }

    /** What keeps it on a phone has to know whose it is. */
    public function show(Request $request, Rig $rig, string $card): Response
    {
        Gate::authorize('view', $rig);
        $found = $this->card($rig, $card);

        return response()->view(
            'rigs.card',
            ['card' => new CardPage($rig, $found, TickCard::standing($rig, $found))],
            headers: ['X-Account' => (string) $request->user()?->id],
        );
    }

    /** What a phone has ticked since it last had a network. */
    public function tick(Request $request, Rig $rig, string $card, TickCard $tick): JsonResponse
    {
        Gate::authorize('test', $rig);
        $sent = $request->validate([
            'ticks' => ['present', 'array', 'max:500'],
            'ticks.*.step' => ['required', 'string', 'max:12'],
            'ticks.*.on' => ['required', 'boolean'],
            'ticks.*.at' => ['required', 'integer', 'min:0', 'max:9007199254740991'],
        ]);
        $ticks = array_map(fn (array $one): array => [
            'step' => (string) $one['step'], 'on' => (bool) $one['on'], 'at' => (int) $one['at'],
        ], array_values($sent['ticks']));

        return response()->json(['ticks' => (object) $tick($rig, $request->user() ?? abort(401), $this->card($rig, $card), $ticks)]);
    }

    private function card(Rig $rig, string $key): Card
    {
        return Cards::card(new BookInput(StoredRig::load($rig)), $key) ?? abort(404);
    }
}
