<?php

declare(strict_types=1);

namespace HiddenWire\Core\Book;

/** How the cable schedule is sorted. */
enum ScheduleOrder: string
{
    case Label = 'label';
    case Place = 'place';
    case Run = 'run';

    public function words(): string
    {
        return match ($this) {
            self::Label => 'by label',
            self::Place => 'by place',
            self::Run => 'by run, from place to place',
        };
    }
}
