<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig\Format;

/** What one object of a document says, while it is read. */
final class Said
{
    /**
     * @param  array<string, mixed>  $values  by property
     * @param  array<array-key, mixed>  $given  by key, as it is given
     */
    public function __construct(public array $values, public readonly array $given)
    {
    }
}
