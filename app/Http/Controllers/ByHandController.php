<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Rig;
use App\Rigs\KeptByState;
use App\Rigs\StoredRig;
use App\ViewModels\ByHand;
use HiddenWire\Core\Planning\Hearings;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Gate;

/** From one situation to another by hand: a part of the show page that takes a moment, since all that can happen on the way is heard. */
final class ByHandController
{
    public function __invoke(Request $request, Rig $rig): Response
    {
        Gate::authorize('view', $rig);
        $core = StoredRig::load($rig);
        [$from, $to] = [$request->string('from')->toString(), $request->string('to')->toString()];
        abort_unless(isset($core->situations[$from], $core->situations[$to]) && $from !== $to, 404);
        $kept = KeptByState::of($rig, "by-hand {$from} {$to}", fn (): array => [
            view('rigs.by-hand', ['way' => new ByHand(new Hearings($core), $from, $to)])->render(),
        ]);

        return response($kept[0]);
    }
}
