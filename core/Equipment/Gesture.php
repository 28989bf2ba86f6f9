<?php

declare(strict_types=1);

namespace HiddenWire\Core\Equipment;

/** What a hand does with a control. */
enum Gesture: string
{
    case Move = 'move';
    case Press = 'press';
    /** As long as it is held; let go, all is as before. */
    case Hold = 'hold';
    /** A long press. */
    case Long = 'long';

    public function words(): string
    {
        return match ($this) {
            self::Move => 'moved', self::Press => 'pressed', self::Hold => 'held', self::Long => 'pressed long',
        };
    }
}
