<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Rig;
use App\Rigs\Heard;
use App\Rigs\KeptByState;
use App\Rigs\StoredRig;
use App\ViewModels\MovedBy;
use HiddenWire\Core\Planning\Hearings;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Gate;

/** Which hands move one sound at one listener: asked for once the page is shown, since each hand is tried. */
final class MovedByController
{
    public function __invoke(Request $request, Rig $rig): Response
    {
        Gate::authorize('view', $rig);
        $core = StoredRig::load($rig);
        [$source, $listener, $situation] = array_map(
            fn (string $field) => $request->string($field)->toString(),
            ['source', 'listener', 'situation'],
        );
        abort_unless(isset($core->sources[$source], $core->listeners[$listener], $core->situations[$situation]), 404);
        $what = "moved-by {$source} {$listener} {$situation}";
        $kept = KeptByState::of($rig, $what, function () use ($rig, $core, $source, $listener, $situation): array {
            $heard = Heard::in($core, $core->situations[$situation], $rig);

            return [MovedBy::says(new Hearings($core, [$situation => $heard]), $source, $listener, $situation)];
        });

        return response(e($kept[0]));
    }
}
