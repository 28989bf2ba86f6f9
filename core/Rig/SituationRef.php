<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig;

/** A situation to go to, as a control's move names it: `situations/break`. */
final readonly class SituationRef implements \Stringable
{
    public const LIST = 'situations';

    public function __construct(public string $situation)
    {
    }

    public function __toString(): string
    {
        return self::LIST."/{$this->situation}";
    }
}
