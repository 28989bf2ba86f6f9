<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig\Format\Types;

use HiddenWire\Core\Rig\Format\Definitions;
use HiddenWire\Core\Rig\Format\Reading;
use HiddenWire\Core\Rig\Format\Type;

/** A name by which other parts of the document refer to a thing. */
final readonly class Id implements Type
{
    private const PATTERN = '[a-z0-9]([a-z0-9._-]{0,62}[a-z0-9])?';

    /** @param  string  $of  the list whose things it names, where it refers to one: `units`; empty for the thing's own */
    public function __construct(public string $of = '')
    {
    }

    public function read(mixed $value, Reading $in): ?string
    {
        return is_string($value) && preg_match('/^'.self::PATTERN.'$/D', $value) === 1 ? $value : $in->problem(
            'An id has 1 to 64 small letters, digits, dots, hyphens and underscores, and begins and ends with a letter or digit.',
        );
    }

    public function write(mixed $value, object $of): mixed
    {
        return $value;
    }

    public function what(): string
    {
        return 'an id';
    }

    public function usual(): mixed
    {
        return null;
    }

    public function schema(Definitions $definitions): array
    {
        return $definitions->refer('id', fn () => ['type' => 'string', 'pattern' => '^'.self::PATTERN.'$']);
    }
}
