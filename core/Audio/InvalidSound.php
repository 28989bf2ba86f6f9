<?php

declare(strict_types=1);

namespace HiddenWire\Core\Audio;

use RuntimeException;

/** A recording that cannot be read; the message says what is the matter, and what to do. */
final class InvalidSound extends RuntimeException
{
}
