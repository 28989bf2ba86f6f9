<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig\Format\Types;

use HiddenWire\Core\Rig\Format\Definitions;
use HiddenWire\Core\Rig\Format\Reading;
use HiddenWire\Core\Rig\Format\Shape;
use HiddenWire\Core\Rig\Format\Type;

/** An object with a shape of its own. */
final readonly class ObjectOf implements Type
{
    /** @param  \Closure(mixed): object|null  $as  makes an object of what the core holds as something else: a pair */
    public function __construct(public Shape $shape, private ?\Closure $as = null)
    {
    }

    public function read(mixed $value, Reading $in): mixed
    {
        return $this->shape->read($value, $in);
    }

    public function write(mixed $value, object $of): mixed
    {
        // An object with nothing in it is no list.
        return $this->shape->write($this->as === null ? $value : ($this->as)($value), $of) ?: new \stdClass;
    }

    public function what(): string
    {
        return 'an object';
    }

    public function usual(): mixed
    {
        return null;
    }

    public function schema(Definitions $definitions): array
    {
        return $this->shape->schema($definitions);
    }
}
