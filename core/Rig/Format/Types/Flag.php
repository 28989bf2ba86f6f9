<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig\Format\Types;

use HiddenWire\Core\Rig\Format\Definitions;
use HiddenWire\Core\Rig\Format\Reading;
use HiddenWire\Core\Rig\Format\Type;

/** True or false. */
final readonly class Flag implements Type
{
    public function read(mixed $value, Reading $in): ?bool
    {
        return is_bool($value) ? $value : $in->problem('This has to be true or false.');
    }

    public function write(mixed $value, object $of): mixed
    {
        return $value;
    }

    public function what(): string
    {
        return 'true or false';
    }

    public function usual(): mixed
    {
        return null;
    }

    public function schema(Definitions $definitions): array
    {
        return ['type' => 'boolean'];
    }
}
