<?php

declare(strict_types=1);

namespace HiddenWire\Core\Bench;

use HiddenWire\Core\Quantity\Decibels;
use HiddenWire\Core\Rig\Source;

/** What a step of a test plan expects of one sound where somebody looks. */
final readonly class Expected
{
    /**
     * @param  bool  $isHeard  false where nothing of it may come
     * @param  Decibels|null  $level  how loud it comes, against its own usual level; null where nothing does
     * @param  string  $sides  "left", "right", "both"; empty where nothing comes
     * @param  bool  $isPlanned  whether the rig as it is planned does so
     */
    public function __construct(
        public Source $source,
        public bool $isHeard,
        public ?Decibels $level,
        public string $sides,
        public bool $isPlanned = true,
    ) {
    }
}
