<?php

declare(strict_types=1);

namespace HiddenWire\Core\Equipment\Dials;

use HiddenWire\Core\Equipment\EquipmentModel;
use HiddenWire\Core\Equipment\Point;

/** The register of the kinds of control that a point can have, in the order of the document. */
final class Dials
{
    /** @var list<DialKind>|null */
    private static ?array $all = null;

    /** @return list<DialKind> */
    public static function all(): array
    {
        return self::$all ??= [
            new DecibelDial('gain'),
            new DecibelDial('fader'),
            new ToggleDial(
                'mute',
                'mute',
                'mute',
                'muted',
                'unmuted',
                fn (EquipmentModel $model, Point $point) => $point->mute !== null,
                fn (Point $point) => $point->mute === true,
            ),
            new ToggleDial(
                'mono',
                'mono',
                'mono switch',
                'mono',
                'stereo',
                fn (EquipmentModel $model, Point $point) => $point->mono !== null,
                fn (Point $point) => $point->mono === true,
            ),
            new ToggleDial(
                'inverted',
                'inverted',
                'polarity switch',
                'polarity inverted',
                'polarity normal',
                fn (EquipmentModel $model, Point $point) => $point->inverted !== null,
                fn (Point $point) => $point->inverted === true,
            ),
            new DelayDial,
            new ToggleDial(
                'auto_mute',
                'autoMute',
                'automatic mute',
                'automatic mute on',
                'automatic mute off',
                fn (EquipmentModel $model, Point $point) => $model->isMutedByRule($point->id),
                fn (Point $point) => true,
            ),
            new ToggleDial(
                'solo',
                'solo',
                'solo switch',
                'soloed',
                'not soloed',
                fn (EquipmentModel $model, Point $point) => $point->solo !== null,
                fn (Point $point) => false,
            ),
        ];
    }

    /** @param  string  $key  of one of the register */
    public static function named(string $key): DialKind
    {
        return array_column(array_map(fn (DialKind $kind) => [$kind->key(), $kind], self::all()), 1, 0)[$key];
    }

    /** @return list<DialKind> those that a point has */
    public static function of(EquipmentModel $model, Point $point): array
    {
        return array_values(array_filter(self::all(), fn (DialKind $kind) => $kind->isOn($model, $point)));
    }
}
