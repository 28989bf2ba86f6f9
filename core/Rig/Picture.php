<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig;

use HiddenWire\Core\Quantity\Milliseconds;
use HiddenWire\Core\With;

/** A picture of a broadcast program: a camera, a captured screen. It is placed in scenes, and may bring its sound along. */
final readonly class Picture
{
    use With;

    /**
     * @param  Milliseconds|null  $delay  how late the picture comes; null where nobody has said
     * @param  string|null  $sound  the program's point with the sound that belongs to it; null where it has none
     * @param  bool  $isTied  whether that sound is in a scene as the picture is; otherwise it is in scenes by itself
     */
    public function __construct(
        public string $id,
        public string $name,
        public ?Milliseconds $delay = null,
        public ?string $sound = null,
        public bool $isTied = false,
    ) {
    }
}
