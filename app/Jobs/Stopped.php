<?php

declare(strict_types=1);

namespace App\Jobs;

/** Somebody does not want it any more. */
final class Stopped extends \RuntimeException
{
}
