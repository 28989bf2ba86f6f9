<?php

declare(strict_types=1);

namespace App\ViewModels;

/** How much the map shows. */
enum MapDepth: string
{
    /** What a person plugs: computers are closed boxes, only the sockets in use are shown. */
    case Cables = 'cables';
    /** Free sockets too: where one plugs. */
    case Sockets = 'sockets';
    /** Programs, devices and picks too, and what passes inside each unit now. */
    case Inside = 'inside';
    /** Free sockets too, and what is off. */
    case Everything = 'everything';

    public function label(): string
    {
        return ucfirst($this->value);
    }

    public function showsFreeSockets(): bool
    {
        return $this === self::Sockets || $this === self::Everything;
    }

    public function showsInsides(): bool
    {
        return $this === self::Inside || $this === self::Everything;
    }
}
