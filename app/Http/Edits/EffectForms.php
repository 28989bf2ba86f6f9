<?php

declare(strict_types=1);

namespace App\Http\Edits;

use HiddenWire\Core\Edit\MoveEffect;
use HiddenWire\Core\Edit\RemoveEffect;
use HiddenWire\Core\Edit\RigEdit;
use HiddenWire\Core\Edit\SetEffect;
use HiddenWire\Core\Edit\SwitchEffect;
use HiddenWire\Core\Equipment\EffectKind;
use HiddenWire\Core\Quantity\Bounds;
use HiddenWire\Core\Quantity\Decibels;
use HiddenWire\Core\Quantity\Milliseconds;
use HiddenWire\Core\Rig\Effect;
use HiddenWire\Core\Rig\Naming;

/** Changes of chains of effects. */
final class EffectForms
{
    /** @return list<RigEdit> a new effect at the end of a point's chain */
    public static function add(EditFields $in): array
    {
        $at = $in->pointOfUnit();
        $kind = $in->choice('kind', EffectKind::class, 'Choose a kind of effect.');
        $ids = array_map(fn (Effect $one) => $one->id, $in->rig->units[$at->unit]->effects);

        return [new SetEffect($at->unit, new Effect(Naming::id($kind->value, $ids), $at->point, $kind))];
    }

    /** @return list<RigEdit> name, delay and level of an effect, and the mixes that it is not for */
    public static function set(EditFields $in): array
    {
        [$unit, $effect] = self::known($in);
        $delay = $in->number('delay_ms', ...Bounds::EFFECT_MS);
        $db = $in->number('db', ...Bounds::EFFECT_DB);
        $offFor = $in->isSent('with_off_for') ? array_values(array_unique($in->list('off_for'))) : $effect->offFor;
        foreach ($offFor as $into) {
            isset($in->rig->modelOf($unit)->routes["{$effect->at}>{$into}"])
                || $in->refuse('off_for', 'The sound does not go into this mix.');
        }

        return [new SetEffect($unit, $effect->with(
            name: $in->text('name', Bounds::POINT_NAME),
            delay: $delay === null || $delay === 0.0 ? null : Milliseconds::of(round($delay, 3)),
            db: $db === null || $db === 0.0 ? null : Decibels::of(round($db, 2)),
            offFor: $offFor,
        ))];
    }

    /** @return list<RigEdit> on or bypassed, in the base or in the situation that is shown; empty for as in the default */
    public static function toggle(EditFields $in): array
    {
        [$unit, $effect] = self::known($in);
        $situation = $in->override();
        $on = $in->flag('on');

        return match (true) {
            $situation !== null => [new SwitchEffect($situation, $unit, $effect->id, $on)],
            $on === null => $in->refuse('on', 'Say whether it is on.'),
            default => [new SetEffect($unit, $effect->with(on: $on))],
        };
    }

    /** @return list<RigEdit> */
    public static function move(EditFields $in): array
    {
        [$unit, $effect] = self::known($in);

        return [new MoveEffect($unit, $effect->id, $in->flag('earlier') ?? false)];
    }

    /** @return list<RigEdit> */
    public static function remove(EditFields $in): array
    {
        [$unit, $effect] = self::known($in);

        return [new RemoveEffect($unit, $effect->id)];
    }

    /** @return array{string, Effect} */
    private static function known(EditFields $in): array
    {
        $unit = $in->unit();

        return [$unit, $in->rig->units[$unit]->effect($in->text('effect', 64)) ?? $in->refuse('effect', 'The unit has no such effect.')];
    }
}
