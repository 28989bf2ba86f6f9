<?php

declare(strict_types=1);

namespace HiddenWire\Core\Document;

/** A part of a canonical text that is written already, at the indent where it belongs. */
final readonly class Verbatim
{
    public function __construct(public string $text)
    {
    }
}
