<?php

declare(strict_types=1);

namespace App\Exports;

/** The size of a sheet. */
enum Paper: string
{
    case A4 = 'a4';
    case Letter = 'letter';

    /** A narrow face with letters of most scripts, embedded as far as it is used. */
    public const FONT = 'dejavusanscondensed';

    public function label(): string
    {
        return $this === self::A4 ? 'A4' : 'Letter';
    }

    /** As the PDF writer calls it. */
    public function format(): string
    {
        return strtoupper($this->value);
    }
}
