<?php

declare(strict_types=1);

namespace HiddenWire\Core\Planning;

use HiddenWire\Core\Equipment\DeviceNames;
use HiddenWire\Core\Equipment\Socket;
use HiddenWire\Core\Equipment\Way;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\SocketRef;

/** What a cable in one of the empty sockets would do for a cell. */
final class FreeSockets
{
    /** @var array<string, SocketRef>|null */
    private ?array $allGiving = null;

    /** @var array<string, SocketRef>|null */
    private ?array $allTaking = null;

    /** @var array<string, bool> */
    private array $giving = [];

    /** @var array<string, bool> */
    private array $taking = [];

    public function __construct(private readonly Trouble $trouble, public readonly EmptySockets $empty)
    {
    }

    /** Whether the sound is there at a socket that gives; at a picture socket of a computer it may be, once something is plugged. */
    public function gives(SocketRef $at): bool
    {
        return $this->giving[(string) $at] ??= $this->isGiving($at);
    }

    /** Whether the listener would hear what enters by a socket. */
    public function takes(SocketRef $at): bool
    {
        return $this->taking[(string) $at] ??= $this->isTaking($at);
    }

    /** @return array<string, SocketRef> audio sockets at which the sound is there, by reference */
    public function giving(): array
    {
        return $this->allGiving ??= array_filter($this->empty->audio(), $this->gives(...));
    }

    /** @return array<string, SocketRef> audio sockets by which the listener would hear it */
    public function taking(): array
    {
        return $this->allTaking ??= array_filter($this->empty->audio(), $this->takes(...));
    }

    /** @return array<string, SocketRef> audio sockets of one unit */
    public function of(string $unit): array
    {
        return array_filter($this->empty->audio(), fn (SocketRef $at) => $at->unit === $unit);
    }

    private function isGiving(SocketRef $at): bool
    {
        foreach ($this->empty->socket($at)->lanesGoing(Way::Out) as $lane) {
            if (DeviceNames::isOfPartner($this->trouble->rig->modelOf($at->unit), $at->socket, $lane->id)
                || $this->trouble->region->reaches(new PointRef($at->unit, $lane->point))) {
                return true;
            }
        }

        return false;
    }

    private function isTaking(SocketRef $at): bool
    {
        foreach ($this->empty->socket($at)->lanesGoing(Way::In) as $lane) {
            if ($this->trouble->region->leadsOn(new PointRef($at->unit, $lane->point))) {
                return true;
            }
        }

        return false;
    }
}
