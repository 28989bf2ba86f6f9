<?php

declare(strict_types=1);

namespace App\ViewModels;

/** The highlighters, each with a mark of its own for where a sound ends. */
enum Pen: string
{
    case Lemon = 'lemon';
    case Mint = 'mint';
    case Coral = 'coral';
    case Sky = 'sky';
    case Lilac = 'lilac';
    case Sand = 'sand';

    /** A path around the origin, about 14 pixels wide. */
    public function mark(): string
    {
        return match ($this) {
            self::Lemon => 'M-7,6 L0,-7 L7,6 Z',
            self::Mint => 'M-6,-6 H6 V6 H-6 Z',
            self::Coral => 'M0,-8 L8,0 L0,8 L-8,0 Z',
            self::Sky => 'M-7,0 A7,7 0 1 0 7,0 A7,7 0 1 0 -7,0 Z',
            self::Lilac => 'M-3,-7 H3 V-3 H7 V3 H3 V7 H-3 V3 H-7 V-3 H-3 Z',
            self::Sand => 'M-7,-6 H7 L0,7 Z',
        };
    }
}
