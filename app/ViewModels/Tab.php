<?php

declare(strict_types=1);

namespace App\ViewModels;

/** One tab of the stop that is shown. */
final readonly class Tab
{
    /** @param  bool  $isQuiet  the rig has nothing that the view shows */
    public function __construct(public string $label, public string $url, public bool $isHere, public bool $isQuiet = false)
    {
    }
}
