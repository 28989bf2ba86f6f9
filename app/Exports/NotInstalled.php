<?php

declare(strict_types=1);

namespace App\Exports;

/** A form that needs a program that is not there. */
final class NotInstalled extends \RuntimeException
{
}
