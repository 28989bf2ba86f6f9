<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig\Format\Types;

use HiddenWire\Core\Rig\Format\Definitions;
use HiddenWire\Core\Rig\Format\Reading;
use HiddenWire\Core\Rig\Format\Type;

/** A whole number within bounds. */
final readonly class Whole implements Type
{
    /** Past this, numbers with a point are not whole for sure. */
    private const EXACT = 1e15;

    public function __construct(private int $least, private int $most)
    {
    }

    public function read(mixed $value, Reading $in): ?int
    {
        if (is_float($value) && $value === floor($value) && abs($value) < self::EXACT) {
            $value = (int) $value;
        }

        return is_int($value) && $value >= $this->least && $value <= $this->most ? $value
            : $in->problem("This has to be a whole number from {$this->least} to {$this->most}.");
    }

    public function write(mixed $value, object $of): mixed
    {
        return $value;
    }

    public function what(): string
    {
        return 'a whole number';
    }

    public function usual(): mixed
    {
        return null;
    }

    public function schema(Definitions $definitions): array
    {
        return ['type' => 'integer', 'minimum' => $this->least, 'maximum' => $this->most];
    }
}
