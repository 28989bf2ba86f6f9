<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig;

/** Whether a sound is wanted as it is, or through effects. */
enum Treatment: string
{
    case Dry = 'dry';
    case Processed = 'processed';
}
