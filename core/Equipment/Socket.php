<?php

declare(strict_types=1);

namespace HiddenWire\Core\Equipment;

/** A physical connector on a unit, and the lanes inside it. */
final readonly class Socket
{
    /**
     * @param  array<string, Lane>  $lanes  by id, in order
     * @param  float|null  $einDbu  a preamp's own noise as the input level that would give it, dBu(A), at full gain from 150 ohms
     * @param  int|null  $givesMa  current that it gives to what hangs on it; null for what its kind of plug gives
     * @param  bool  $captive  whether it is a plug on a lead of the unit's own: no cable goes between it and what it is plugged into
     * @param  list<int>  $ratesHz  sample rates that a digital one takes or gives; empty for any
     */
    public function __construct(
        public string $id,
        public string $label,
        public Connector $connector,
        public SignalKind $signal,
        public array $lanes,
        public bool $balanced = false,
        public ?PhantomPower $phantom = null,
        public ?float $nominalDbu = null,
        public ?float $maxDbu = null,
        public ?float $impedanceOhm = null,
        public ?string $colour = null,
        public bool $isolated = false,
        public ?LinkRole $link = null,
        public ?float $einDbu = null,
        public ?int $givesMa = null,
        public array $ratesHz = [],
        public bool $captive = false,
    ) {
    }

    /** @return list<Lane> */
    public function lanesGoing(Way $way): array
    {
        return array_values(array_filter($this->lanes, fn (Lane $lane) => $lane->way === $way));
    }
}
