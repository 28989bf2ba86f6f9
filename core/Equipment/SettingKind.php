<?php

declare(strict_types=1);

namespace HiddenWire\Core\Equipment;

/** What kind of value a named setting takes. */
enum SettingKind: string
{
    case Choice = 'choice';
    case Toggle = 'switch';
    case Number = 'number';
    case Text = 'text';
}
