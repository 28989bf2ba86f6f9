<?php

declare(strict_types=1);

namespace HiddenWire\Core\Signal;

use HiddenWire\Core\Rig\PointRef;

/** A way as far as it has been followed. */
final readonly class Way
{
    /**
     * @param  int  $node  where it has come to
     * @param  array<int, float>  $signal  amplitude by (channel of the node × parts + part of the source)
     * @param  float  $strongest  the largest of them
     * @param  array<int, array<int, true>>  $passed  by the same: channels in loops that it has passed
     * @param  int  $clocks  number of the set of clocks passed
     * @param  int  $parts  of the source
     * @param  int  $target  node of the ear
     * @param  array<int, float>  $best  by channel: the most that can come of a sound there at the ear
     */
    public function __construct(
        public int $node,
        public array $signal,
        public float $strongest,
        public array $passed,
        public Trail $trail,
        public bool $isBleed,
        public int $clocks,
        public int $parts,
        public PointRef $ear,
        public int $target,
        public array $best,
    ) {
    }
}
