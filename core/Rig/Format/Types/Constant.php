<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig\Format\Types;

use HiddenWire\Core\Rig\Format\Definitions;
use HiddenWire\Core\Rig\Format\Reading;
use HiddenWire\Core\Rig\Format\Type;

/** What is the same in all documents of a version. */
final readonly class Constant implements Type
{
    public function __construct(private string|int $value)
    {
    }

    /** Whoever begins to read a document has looked at it already. */
    public function read(mixed $value, Reading $in): mixed
    {
        return $value;
    }

    public function write(mixed $value, object $of): string|int
    {
        return $this->value;
    }

    public function what(): string
    {
        return json_encode($this->value, JSON_THROW_ON_ERROR);
    }

    public function usual(): mixed
    {
        return null;
    }

    public function schema(Definitions $definitions): array
    {
        return ['const' => $this->value];
    }
}
