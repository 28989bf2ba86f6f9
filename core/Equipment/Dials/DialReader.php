<?php

declare(strict_types=1);

namespace HiddenWire\Core\Equipment\Dials;

use HiddenWire\Core\Quantity\Decibels;
use HiddenWire\Core\Quantity\Milliseconds;

/** Where a control's setting is read from: an object of a document, or the fields of a form. Null where it says nothing. */
interface DialReader
{
    public function decibels(string $key): ?Decibels;

    public function milliseconds(string $key): ?Milliseconds;

    public function flag(string $key): ?bool;
}
