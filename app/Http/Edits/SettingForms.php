<?php

declare(strict_types=1);

namespace App\Http\Edits;

use HiddenWire\Core\Edit\CopyRecipe;
use HiddenWire\Core\Edit\Follow;
use HiddenWire\Core\Edit\LinkLevels;
use HiddenWire\Core\Edit\NamePoint;
use HiddenWire\Core\Edit\RigEdit;
use HiddenWire\Core\Edit\SetPoint;
use HiddenWire\Core\Edit\SetRoute;
use HiddenWire\Core\Edit\SetValue;
use HiddenWire\Core\Equipment\OwnScale;
use HiddenWire\Core\Equipment\SettingKind;
use HiddenWire\Core\Equipment\Tap;
use HiddenWire\Core\Quantity\Bounds;
use HiddenWire\Core\Quantity\Decibels;
use HiddenWire\Core\Rig\Following;
use HiddenWire\Core\Rig\PointRef;
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

    /** @return list<RigEdit> which output another follows; empty for none */
    public static function follow(EditFields $in): array
    {
        $at = $in->pointOfUnit();
        if (! $in->has('of')) {
            return [new Follow($at, null)];
        }
        $now = $in->rig->units[$at->unit]->follows[$at->point] ?? null;
        $of = $in->known('of', array_flip($in->rig->point($at)->canFollow));
        $except = $in->isSent('with_except') ? array_values(array_unique($in->list('except'))) : $now->except ?? [];
        $routes = $in->rig->modelOf($at->unit)->routes;
        foreach ($except as $from) {
            isset($routes["{$from}>{$at->point}"]) || $in->refuse('except', 'Nothing leads from there to this output.');
        }

        return [new Follow($at, new Following($of, $in->flag('with_fader') ?? false, $except))];
    }

    /** @return list<RigEdit> */
    public static function copyRecipe(EditFields $in): array
    {
        $to = $in->pointOfUnit();
        $from = new PointRef($to->unit, $in->known('from', $in->rig->modelOf($to->unit)->points));

        return CopyRecipe::isPossible($in->rig, $from, $to)
            ? [new CopyRecipe($to->unit, $from->point, $to->point, $in->override())]
            : $in->refuse('from', 'Nothing of this output can be copied here.');
    }

    /** @return list<RigEdit> a level that moves with another; empty for by itself */
    public static function link(EditFields $in): array
    {
        $unit = $in->unit();
        $routes = $in->rig->modelOf($unit)->routes;
        $key = $in->known('route', $routes);
        $with = $in->has('with') ? $in->known('with', $routes) : null;

        return $with === $key
            ? $in->refuse('with', 'A level moves with another, not with itself.')
            : [new LinkLevels(new RouteRef($unit, $key), $with)];
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
     * A knob, a fader or the level of a route by what is printed at it: what it comes to is set.
     *
     * @return list<RigEdit>
     */
    public static function printed(EditFields $in): array
    {
        if ($in->has('route')) {
            $unit = $in->unit();
            $key = $in->known('route', $in->rig->modelOf($unit)->routes);
            $db = self::marked($in, $in->rig->modelOf($unit)->routes[$key]->level?->scale);

            return [new SetRoute(new RouteRef($unit, $key), new RouteSettings(db: $db), $in->override())];
        }
        $at = $in->pointOfUnit();
        $control = $in->text('control', 10);
        $db = self::marked($in, $in->rig->point($at)->span($control)?->scale);

        return [new SetPoint($at, $control === 'gain' ? new PointSettings(gain: $db) : new PointSettings(fader: $db), $in->override())];
    }

    private static function marked(EditFields $in, ?OwnScale $scale): Decibels
    {
        $scale ??= $in->refuse('mark', 'This has no scale of its own.');
        [$from, $to] = [$scale->marks[0][0], $scale->marks[count($scale->marks) - 1][0]];
        $mark = $in->number('mark', $from, $to) ?? $in->refuse('mark', 'Write what is printed at it.');

        return $scale->levelOf($mark);
    }
}
