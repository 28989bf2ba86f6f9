<?php

declare(strict_types=1);

namespace HiddenWire\Core;

/** A copy with some properties otherwise: `$cable->with(label: 'W-07')`. */
trait With
{
    public function with(mixed ...$changes): self
    {
        return new self(...[...get_object_vars($this), ...$changes]);
    }
}
