<?php

declare(strict_types=1);

namespace App\ViewModels;

/** A socket, a device or a program's in or out on the edge of a plate. */
final readonly class MapPort
{
    public const FONT_SIZE = 11.5;

    /**
     * @param  string  $id  `unit/socket`, `unit/point` of a program, or `device computer reference`
     * @param  bool  $isOut  on the right edge
     * @param  string  $kind  socket, device or point
     */
    public function __construct(
        public string $id,
        public string $label,
        public bool $isOut,
        public string $kind,
        public bool $isFree = false,
    ) {
    }

    /** Pixels that its label takes on the map. */
    public function labelWidth(): float
    {
        return TextWidth::of($this->label, self::FONT_SIZE);
    }
}
