<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig\Format;

/** The named parts of a schema that is being made: each shape that has a name is defined once. */
final class Definitions
{
    /** @var array<string, array<string, mixed>> by name */
    private array $known = [];

    /**
     * @param  \Closure(): array<string, mixed>  $schema
     * @return array<string, string> a reference to it
     */
    public function refer(string $name, \Closure $schema): array
    {
        if (! isset($this->known[$name])) {
            // Known before it is made: a shape may hold itself.
            $this->known[$name] = [];
            $this->known[$name] = $schema();
        }

        return ['$ref' => "#/\$defs/{$name}"];
    }

    /** @return array<string, array<string, mixed>> by name */
    public function all(): array
    {
        return $this->known;
    }
}
