<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig;

/** `unit/socket` */
final readonly class SocketRef implements \Stringable
{
    public function __construct(public string $unit, public string $socket)
    {
    }

    public function __toString(): string
    {
        return $this->unit.'/'.$this->socket;
    }
}
