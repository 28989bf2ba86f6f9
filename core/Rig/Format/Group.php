<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig\Format;

/** An object in a document whose fields are properties of the thing around it. */
final readonly class Group
{
    /** @param  list<Field>  $fields */
    public function __construct(public string $key, public array $fields, public int $since = 1)
    {
    }
}
