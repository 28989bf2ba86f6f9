<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Rigs\Everywhere;
use App\ViewModels\FoundEverywhere;
use HiddenWire\Core\Quantity\Bounds;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;

/** Finding a unit, a number, a model, a cable or a name in all rigs that somebody may see. */
final class EverywhereController
{
    private const LAST_PAGE = 1000;

    public function __invoke(Request $request): View
    {
        $text = mb_substr(trim(mb_scrub($request->string('q')->toString())), 0, Bounds::NAME);
        $of = $request->string('of')->toString();

        return view('rigs.everywhere', ['found' => new FoundEverywhere(
            $text,
            in_array($of, Everywhere::KINDS, true) ? $of : null,
            max(1, min($request->integer('page'), self::LAST_PAGE)),
            new Everywhere($request->user() ?? abort(401), $text),
        )]);
    }
}
