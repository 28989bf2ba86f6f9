<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig;

use HiddenWire\Core\With;

/** An output that gets what another gets: its recipe is not its own, but for exceptions. */
final readonly class Following
{
    use With;

    /**
     * @param  string  $of  the point that it follows
     * @param  bool  $withFader  whether its fader moves along
     * @param  list<string>  $except  points whose routes into it are its own
     */
    public function __construct(public string $of, public bool $withFader = false, public array $except = [])
    {
    }
}
