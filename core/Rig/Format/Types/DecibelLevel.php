<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig\Format\Types;

use HiddenWire\Core\Quantity\Bounds;
use HiddenWire\Core\Quantity\Decibels;
use HiddenWire\Core\Rig\Format\Definitions;
use HiddenWire\Core\Rig\Format\Reading;
use HiddenWire\Core\Rig\Format\Type;

/** Decibels, two decimals at most. */
final readonly class DecibelLevel implements Type
{
    /** @param  string  $says  message where it is outside */
    public function __construct(private float $least = -Bounds::DB, private float $most = Bounds::DB, private string $says = '')
    {
    }

    public function read(mixed $value, Reading $in): ?Decibels
    {
        if (! (is_int($value) || is_float($value)) || abs($value) > Bounds::DB || ! Decibels::isExact($value)) {
            return $in->problem('This has to be a number of decibels from -'.Bounds::DB.' to '.Bounds::DB.' with two decimals at most.');
        }
        $db = Decibels::of($value);

        return $db->value() >= $this->least && $db->value() <= $this->most ? $db : $in->problem($this->says);
    }

    public function write(mixed $value, object $of): mixed
    {
        return $value->number();
    }

    public function what(): string
    {
        return 'a number of decibels';
    }

    public function usual(): mixed
    {
        return null;
    }

    public function schema(Definitions $definitions): array
    {
        $any = $definitions->refer('decibels', fn () => ['type' => 'number', 'minimum' => -Bounds::DB, 'maximum' => Bounds::DB]);

        return $this->says === '' ? $any
            : [...$any, 'minimum' => Number::plain($this->least), 'maximum' => Number::plain($this->most)];
    }
}
