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
use HiddenWire\Core\Rig\EffectValues;
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
            values: self::values($in, $unit, $effect),
        ))];
    }

    /** What was set at it, of what its kind has; null for nothing. */
    private static function values(EditFields $in, string $unit, Effect $effect): ?EffectValues
    {
        if (! $in->isSent('with_values')) {
            return $effect->values;
        }
        $number = fn (string $key, array $bounds): ?float => $in->number($key, ...$bounds);
        $db = fn (string $key, array $bounds): ?Decibels => ($is = $number($key, $bounds)) === null ? null : Decibels::of(round($is, 2));
        $hold = $number('hold_ms', Bounds::EFFECT_MS);
        $by = array_values(array_unique($in->list('ducked_by')));
        foreach ($by as $point) {
            $point !== $effect->at && isset($in->rig->modelOf($unit)->points[$point])
                || $in->refuse('ducked_by', 'Choose points of this unit, but not its own.');
        }
        $all = [
            'highPassHz' => $number('high_pass_hz', Bounds::CUTOFF_HZ),
            'bands' => self::bands($in),
            'threshold' => $db('threshold_db', Bounds::THRESHOLD_DB),
            'ratio' => $number('ratio', Bounds::RATIO),
            'makeUp' => $db('make_up_db', Bounds::MAKE_UP_DB),
            'hold' => $hold === null ? null : Milliseconds::of(round($hold, 3)),
            'lowers' => $db('lowers_db', Bounds::LOWERS_DB),
            'by' => $by,
        ];
        $values = new EffectValues(...array_intersect_key($all, array_flip($effect->kind->sets())));

        return $values->isEmpty() ? null : $values;
    }

    /** @return list<array{hz: float, db: float}> of "250 −3, 4000 2.5": hertz and dB of each band */
    private static function bands(EditFields $in): array
    {
        $bands = [];
        foreach (preg_split('/[,;]/', strtr($in->text('bands', Bounds::BANDS_TEXT), ['−' => '-'])) ?: [] as $band) {
            if (trim($band) === '') {
                continue;
            }
            preg_match('/^\s*([\d.]+)\s*(?:Hz)?\s*:?\s+([+-]?[\d.]+)\s*(?:dB)?\s*$/i', $band, $found);
            [$hz, $db] = [(float) ($found[1] ?? 0), (float) ($found[2] ?? 0)];
            $lies = fn (float $one, array $within): bool => $one >= $within[0] && $one <= $within[1];
            if ($found === [] || ! $lies($hz, Bounds::BAND_HZ) || ! $lies($db, Bounds::BAND_DB)) {
                $in->refuse('bands', 'Write each band as hertz and dB, with commas between: "250 -3, 4000 2.5".');
            }
            $bands[] = ['hz' => $hz, 'db' => $db];
        }

        return count($bands) <= Bounds::BANDS ? $bands : $in->refuse('bands', 'This takes '.Bounds::BANDS.' bands at most.');
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
