<?php

declare(strict_types=1);

namespace HiddenWire\Core\Equipment;

/** Where a program's device is chosen. */
enum PickedIn: string
{
    /** In the program itself. */
    case Program = 'program';
    /** In the system's list of programs: the program has no choice of its own. */
    case System = 'system';

    public function words(): string
    {
        return match ($this) {
            self::Program => 'in the program', self::System => 'in the system\'s list of programs',
        };
    }
}
