<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig\Format\Types;

use HiddenWire\Core\Rig\Format\Definitions;
use HiddenWire\Core\Rig\Format\Reading;
use HiddenWire\Core\Rig\Format\Type;

/** A type of one field only. */
final readonly class Custom implements Type
{
    /**
     * @param  \Closure(mixed, Reading): mixed  $read  see {@see Type::read()}
     * @param  \Closure(mixed, object): mixed  $write
     * @param  \Closure(Definitions): array<string, mixed>  $schema
     */
    public function __construct(
        private \Closure $read,
        private \Closure $write,
        private \Closure $schema,
        private mixed $usual = null,
        private string $what = 'a value',
    ) {
    }

    public function read(mixed $value, Reading $in): mixed
    {
        return ($this->read)($value, $in);
    }

    public function write(mixed $value, object $of): mixed
    {
        return ($this->write)($value, $of);
    }

    public function what(): string
    {
        return $this->what;
    }

    public function usual(): mixed
    {
        return $this->usual;
    }

    public function schema(Definitions $definitions): array
    {
        return ($this->schema)($definitions);
    }
}
