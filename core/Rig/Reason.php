<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig;

use HiddenWire\Core\With;

/** Why something is as it is, and whether it has to be left alone. */
final readonly class Reason
{
    use With;

    public function __construct(public ElementRef $about, public string $why = '', public bool $leaveAlone = false)
    {
    }

    public function words(): string
    {
        return implode(' ', array_filter([$this->leaveAlone ? 'Leave alone.' : '', $this->why]));
    }
}
