<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig\Format\Types;

use HiddenWire\Core\Rig\Format\Definitions;
use HiddenWire\Core\Rig\Format\Reading;
use HiddenWire\Core\Rig\Format\Type;

/** A number within bounds, three decimals at most; the unit is in the field's key. */
final readonly class Number implements Type
{
    public function __construct(private float $least, private float $most)
    {
    }

    public function read(mixed $value, Reading $in): ?float
    {
        $exact = is_int($value) || is_float($value) ? round($value, 3) : null;

        return $exact !== null && $exact >= $this->least && $exact <= $this->most && abs($exact - $value) < 1e-9 ? $exact
            : $in->problem("This has to be a number from {$this->least} to {$this->most} with three decimals at most.");
    }

    public function write(mixed $value, object $of): mixed
    {
        return self::plain($value);
    }

    /** A whole number without a point. */
    public static function plain(float $value): int|float
    {
        return $value === floor($value) ? (int) $value : $value;
    }

    public function what(): string
    {
        return 'a number';
    }

    public function usual(): mixed
    {
        return null;
    }

    public function schema(Definitions $definitions): array
    {
        return ['type' => 'number', 'minimum' => self::plain($this->least), 'maximum' => self::plain($this->most)];
    }
}
