<?php

declare(strict_types=1);

namespace App\Rigs;

/** A file that is no picture, or one that is too large. The message says which. */
final class UnreadablePicture extends \RuntimeException
{
}
