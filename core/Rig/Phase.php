<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig;

/** The parts of a show's run-down, in their order. */
enum Phase: string
{
    case Prepare = 'prepare';
    case Open = 'open';
    case Start = 'start';
    case Stop = 'stop';
    case Close = 'close';

    /** Whether what somebody has written comes before what follows from the rig: before the first switch and the first button. */
    public function hasWrittenFirst(): bool
    {
        return $this !== self::Open && $this !== self::Close;
    }

    public function label(): string
    {
        return match ($this) {
            self::Prepare => 'Prepare',
            self::Open => 'Open',
            self::Start => 'Start the show',
            self::Stop => 'End the show',
            self::Close => 'Close',
        };
    }
}
