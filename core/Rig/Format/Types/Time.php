<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig\Format\Types;

use HiddenWire\Core\Quantity\Bounds;
use HiddenWire\Core\Quantity\Milliseconds;
use HiddenWire\Core\Rig\Format\Definitions;
use HiddenWire\Core\Rig\Format\Reading;
use HiddenWire\Core\Rig\Format\Type;

/** Milliseconds, three decimals at most. */
final readonly class Time implements Type
{
    /** @param  string  $says  said where it is longer */
    public function __construct(private float $most = Bounds::MS, private string $says = '')
    {
    }

    public function read(mixed $value, Reading $in): ?Milliseconds
    {
        if (! (is_int($value) || is_float($value)) || $value < 0 || $value > Bounds::MS || ! Milliseconds::isExact($value)) {
            return $in->problem('This has to be a number of milliseconds from 0 to '.Bounds::MS.' with three decimals at most.');
        }

        return $value <= $this->most ? Milliseconds::of($value) : $in->problem($this->says);
    }

    public function write(mixed $value, object $of): mixed
    {
        return $value->number();
    }

    public function what(): string
    {
        return 'a number of milliseconds';
    }

    public function usual(): mixed
    {
        return null;
    }

    public function schema(Definitions $definitions): array
    {
        $any = $definitions->refer('milliseconds', fn () => ['type' => 'number', 'minimum' => 0, 'maximum' => Bounds::MS]);

        return $this->says === '' ? $any : [...$any, 'maximum' => Number::plain($this->most)];
    }
}
