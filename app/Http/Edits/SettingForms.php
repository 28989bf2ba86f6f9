<?php

declare(strict_types=1);

namespace App\Http\Edits;

use HiddenWire\Core\Edit\NamePoint;
use HiddenWire\Core\Edit\RigEdit;
use HiddenWire\Core\Edit\SetPoint;
use HiddenWire\Core\Edit\SetRoute;
use HiddenWire\Core\Edit\SetValue;
use HiddenWire\Core\Equipment\SettingKind;
use HiddenWire\Core\Equipment\Tap;
use HiddenWire\Core\Quantity\Bounds;
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

    /** @return list<RigEdit> a name of somebody's own for a point; empty for what the unit calls it */
    public static function name(EditFields $in): array
    {
        return [new NamePoint($in->pointOfUnit(), $in->text('name', Bounds::POINT_NAME))];
    }

    /** @return list<RigEdit> */
    public static function point(EditFields $in): array
    {
        $at = $in->pointOfUnit();
        $set = PointSettings::read($in);

        return $set->isEmpty() ? $in->refuse('mute', 'Nothing to change was sent.') : [new SetPoint($at, $set, $in->override())];
    }

    /** @return list<RigEdit> */
    public static function value(EditFields $in): array
    {
        $unit = $in->unit();
        $setting = $in->rig->modelOf($unit)->settings[$in->known('setting', $in->rig->modelOf($unit)->settings)];
        $value = ! $in->has('value') ? null : match ($setting->kind) {
            SettingKind::Toggle => $in->flag('value'),
            SettingKind::Number => $in->number('value', ...($setting->range ?? [-1e6, 1e6])),
            default => $in->text('value', Bounds::NAME),
        };
        $trouble = $value === null ? null : $setting->whyNot($value);

        return [$trouble === null ? new SetValue($unit, $setting->id, $value, $in->override()) : $in->refuse('value', $trouble)];
    }

    /**
     * A knob or fader by what is printed at it: what it comes to is set.
     *
     * @return list<RigEdit>
     */
    public static function printed(EditFields $in): array
    {
        $at = $in->pointOfUnit();
        $point = $in->rig->point($at);
        $control = $in->text('control', 10);
        $scale = $point->span($control)->scale ?? $in->refuse('mark', 'This has no scale of its own.');
        [$from, $to] = [$scale->marks[0][0], $scale->marks[count($scale->marks) - 1][0]];
        $mark = $in->number('mark', $from, $to) ?? $in->refuse('mark', 'Write what is printed at it.');
        $db = $scale->levelOf($mark);

        return [new SetPoint($at, $control === 'gain' ? new PointSettings(gain: $db) : new PointSettings(fader: $db), $in->override())];
    }
}
