<?php

declare(strict_types=1);

namespace HiddenWire\Core\Equipment;

/** By what a setting is made. */
enum MadeBy: string
{
    case Unit = 'unit';
    case Companion = 'companion';
    case System = 'system';
    case Program = 'program';

    public function words(): string
    {
        return match ($this) {
            self::Unit => 'on the unit',
            self::Companion => 'in its companion program',
            self::System => 'on a page of the system',
            self::Program => 'in the program',
        };
    }
}
