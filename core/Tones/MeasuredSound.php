<?php

declare(strict_types=1);

namespace HiddenWire\Core\Tones;

use HiddenWire\Core\Rig\Source;

/** One sound on one track: as planned, and as measured. */
final readonly class MeasuredSound
{
    /**
     * @param  array<int, array<int, list<ToneArrival>>>  $planned  by part and channel
     * @param  array<int, array<int, FoundSignature>>  $found  by part and channel
     * @param  float|null  $plannedDb  of all together, where it is loudest; null where nothing is to come
     * @param  float|null  $db  measured
     * @param  float|null  $lateMs  after the track where it comes first; null where nobody can tell
     * @param  float|null  $plannedLateMs  the same by the plan
     * @param  list<Difference>  $differences
     */
    public function __construct(
        public Source $source,
        public array $planned,
        public array $found,
        public ?float $plannedDb,
        public ?float $db,
        public ?float $lateMs,
        public ?float $plannedLateMs,
        public array $differences,
    ) {
    }
}
