<?php

declare(strict_types=1);

namespace App\ViewModels;

/** What is painted over cells of the hearing table: a wish, or that there is none. */
enum Brush: string
{
    case Must = 'must';
    case May = 'may';
    case MustNot = 'must-not';
    case None = 'none';

    public function label(): string
    {
        return match ($this) {
            self::Must => 'Must hear', self::May => 'May hear', self::MustNot => 'Must not', self::None => 'No wish',
        };
    }

    /** The key that sets it on the cell that has the keyboard. */
    public function key(): string
    {
        return match ($this) {
            self::Must => 'm', self::May => 'y', self::MustNot => 'n', self::None => 'x',
        };
    }
}
