<?php

declare(strict_types=1);

namespace HiddenWire\Core\Equipment;

/** One one-way signal inside a socket. `channels` says which of the point's channels it carries, counted from 1; null is all. */
final readonly class Lane
{
    /** @param  list<int>|null  $channels */
    public function __construct(
        public string $id,
        public Way $way,
        public string $point,
        public SignalKind $signal,
        public ?array $channels = null,
        public ?DeviceOffer $device = null,
    ) {
    }
}
