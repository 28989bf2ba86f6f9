<?php

declare(strict_types=1);

namespace App\Exports;

/** The size of a sheet. */
enum Paper: string
{
    case A4 = 'a4';
    case Letter = 'letter';

    /** Page margins; the foot is in the lower one. */
    public const MARGINS = ['top' => 14, 'side' => 14, 'bottom' => 15];

    public function label(): string
    {
        return $this === self::A4 ? 'A4' : 'Letter';
    }

    /** @return array{float, float} width and height of a sheet, in millimetres */
    public function size(): array
    {
        return $this === self::A4 ? [210.0, 297.0] : [215.9, 279.4];
    }

    /** @return array{float, float} width and height between the margins, in millimetres */
    public function inside(bool $isWide): array
    {
        [$width, $height] = $isWide ? array_reverse($this->size()) : $this->size();

        return [$width - 2 * self::MARGINS['side'], $height - self::MARGINS['top'] - self::MARGINS['bottom']];
    }
}
