<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig;

/** How sure something is. */
enum Certainty: string
{
    case Stated = 'stated';
    case Assumed = 'assumed';
    case Proven = 'proven';
    case Fails = 'fails';

    public function words(): string
    {
        return match ($this) {
            self::Stated => 'from the data sheet, untested',
            self::Assumed => 'assumed',
            self::Proven => 'proven',
            self::Fails => 'known not to work',
        };
    }

    /** Whether it may still turn out otherwise. */
    public function isOpen(): bool
    {
        return $this === self::Stated || $this === self::Assumed;
    }
}
