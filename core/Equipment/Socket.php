<?php

declare(strict_types=1);

namespace HiddenWire\Core\Equipment;

/** A physical connector on a unit, and the lanes inside it. */
final readonly class Socket
{
    /** @param  array<string, Lane>  $lanes  by id, in order */
    public function __construct(
        public string $id,
        public string $label,
        public Connector $connector,
        public SignalKind $signal,
        public array $lanes,
        public bool $balanced = false,
        public ?Phantom $phantom = null,
        public ?float $nominalDbu = null,
        public ?float $maxDbu = null,
        public ?float $impedanceOhm = null,
        public ?string $colour = null,
        public bool $isolated = false,
        public ?LinkRole $link = null,
    ) {
    }

    /** @return list<Lane> */
    public function lanesGoing(Way $way): array
    {
        return array_values(array_filter($this->lanes, fn (Lane $lane) => $lane->way === $way));
    }
}
