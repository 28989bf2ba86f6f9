<?php

declare(strict_types=1);

namespace App\Http\Edits;

use HiddenWire\Core\Edit\RigEdit;
use HiddenWire\Core\Edit\SetPoint;
use HiddenWire\Core\Edit\SetRoute;
use HiddenWire\Core\Equipment\Tap;
use HiddenWire\Core\Rig\PointSettings;
use HiddenWire\Core\Rig\RouteRef;
use HiddenWire\Core\Rig\RouteSettings;

/** Changes of what is set inside a unit, in the base or in the situation that is shown. */
final class SettingForms
{
    /** @return list<RigEdit> */
    public static function route(EditFields $in): array
    {
        $unit = $in->unit();
        $key = $in->known('route', $in->rig->modelOf($unit)->routes);
        $set = new RouteSettings($in->flag('on'), $in->decibels('db'), $in->choiceOrNone('tap', Tap::class));

        return $set->isEmpty()
            ? $in->refuse('on', 'Nothing to change was sent.')
            : [new SetRoute(new RouteRef($unit, $key), $set, $in->override())];
    }

    /** @return list<RigEdit> */
    public static function point(EditFields $in): array
    {
        $at = $in->pointOfUnit();
        $set = PointSettings::read($in);

        return $set->isEmpty() ? $in->refuse('mute', 'Nothing to change was sent.') : [new SetPoint($at, $set, $in->override())];
    }
}
