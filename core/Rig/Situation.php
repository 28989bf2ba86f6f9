<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig;

use HiddenWire\Core\With;

/** A named state of the whole rig: what differs from the base state. The first situation of a rig is its base. */
final readonly class Situation
{
    use With;

    /**
     * @param  array<int, Change>  $changes
     * @param  list<string>  $absent  ids of units that are not there then, or programs that do not run
     * @param  list<string>  $pulled  ids of cables that are out then
     */
    public function __construct(
        public string $id,
        public string $name,
        public array $changes = [],
        public array $absent = [],
        public array $pulled = [],
    ) {
    }

    /**
     * Without what is no longer in the rig.
     *
     * @param  list<string>  $units
     * @param  list<string>  $cables
     */
    public function without(array $units, array $cables): self
    {
        return $this->with(
            absent: array_values(array_diff($this->absent, $units)),
            pulled: array_values(array_diff($this->pulled, $cables)),
        );
    }

    /** Whether anything is otherwise than in the base. */
    public function isLikeBase(): bool
    {
        return $this->changes === [] && $this->absent === [] && $this->pulled === [];
    }
}
