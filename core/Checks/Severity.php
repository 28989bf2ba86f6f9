<?php

declare(strict_types=1);

namespace HiddenWire\Core\Checks;

/** How much a finding matters. */
enum Severity: string
{
    /** A wish is broken, or something can be damaged. */
    case Fault = 'fault';
    /** Likely to go wrong. */
    case Risk = 'risk';
    /** Good to know. */
    case Note = 'note';

    /** The worst first. */
    public function rank(): int
    {
        return match ($this) {
            self::Fault => 0, self::Risk => 1, self::Note => 2,
        };
    }
}
