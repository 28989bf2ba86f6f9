<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig\Format\Types;

use HiddenWire\Core\Quantity\Bounds;
use HiddenWire\Core\Rig\Format\Definitions;
use HiddenWire\Core\Rig\Format\Reading;
use HiddenWire\Core\Rig\Format\Type;

/** The value of a named setting: a text, a switch, or a number with three decimals at most. */
final readonly class Value implements Type
{
    public function read(mixed $value, Reading $in): string|bool|float|null
    {
        return match (true) {
            is_bool($value) => $value,
            self::isNumber($value) => (float) $value,
            is_string($value) && mb_strlen($value) <= Bounds::NAME => $value,
            default => $in->problem('This is a text, a number, true or false.'),
        };
    }

    /** @phpstan-assert-if-true int|float $value */
    public static function isNumber(mixed $value): bool
    {
        return (is_int($value) || is_float($value)) && abs($value) <= Bounds::SETTING && round($value, 3) == $value;
    }

    public function write(mixed $value, object $of): string|bool|int|float
    {
        return self::plain($value);
    }

    public static function plain(string|bool|float $value): string|bool|int|float
    {
        return is_float($value) ? Number::plain($value) : $value;
    }

    public function what(): string
    {
        return 'a text, a number, true or false';
    }

    public function usual(): mixed
    {
        return null;
    }

    public function schema(Definitions $definitions): array
    {
        return $definitions->refer('setting_value_of', fn () => [
            'type' => ['string', 'number', 'boolean'], 'maxLength' => Bounds::NAME,
            'minimum' => -Bounds::SETTING, 'maximum' => Bounds::SETTING,
        ]);
    }
}
