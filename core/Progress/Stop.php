<?php

declare(strict_types=1);

namespace HiddenWire\Core\Progress;

/** The stops of the work on a rig, in their order. */
enum Stop: string
{
    /** Who is to hear what. */
    case Wishes = 'wishes';
    /** What there is. */
    case Equipment = 'equipment';
    /** How it is plugged. */
    case Wiring = 'wiring';
    /** What programs use. */
    case Computers = 'computers';
    /** What goes into which mix, and how loud. */
    case Mixes = 'mixes';
    /** What else is the matter. */
    case Checks = 'checks';
    /** What changes on the night. */
    case Show = 'show';
    /** What is handed on. */
    case Book = 'book';
}
