<?php

declare(strict_types=1);

namespace HiddenWire\Core\Signal;

use HiddenWire\Core\Equipment\Realm;

/**
 * One step between two nodes of the graph, and the thing of the rig that it comes from. A blocked link carries nothing, but the graph still knows it, so that
 * "why not" has an answer.
 */
final readonly class Link
{
    /**
     * @param  int  $from  node
     * @param  int  $to  node
     * @param  list<array{int, int, float}>  $map  (channel of from, channel of to, amplitude factor), channels from 0
     * @param  float  $gainDb  on top of the map's factors
     * @param  string  $ref  the element of the rig: a cable's id, `unit/from>to`, `unit/point`, a device reference
     * @param  string|null  $pick  where a link is a program's pick: the program's point
     */
    public function __construct(
        public int $from,
        public int $to,
        public array $map,
        public float $gainDb,
        public float $delayMs,
        public HopKind $kind,
        public string $ref,
        public string $label,
        public Realm $realm,
        public ?BlockKind $block = null,
        public ?string $pick = null,
    ) {
    }
}
