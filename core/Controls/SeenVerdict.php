<?php

declare(strict_types=1);

namespace HiddenWire\Core\Controls;

/** What trying a control on the real thing says of the plan. */
enum SeenVerdict
{
    case AsPlanned;
    /** Nothing changes, and something should. */
    case Dead;
    /** Something changes, and nothing of what should. */
    case Else;
    /** All that should change does, and more. */
    case More;
    /** Some of what should change does, and not all of it. */
    case Less;
}
