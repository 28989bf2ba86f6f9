<?php

declare(strict_types=1);

namespace App\Exports;

/** A map that nobody has laid out yet, and that takes too long to lay out while somebody waits. */
final class TooLarge extends \RuntimeException
{
}
