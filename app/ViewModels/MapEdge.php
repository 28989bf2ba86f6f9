<?php

declare(strict_types=1);

namespace App\ViewModels;

use HiddenWire\Core\Equipment\Realm;

/** A line on the map between two ports. */
final readonly class MapEdge
{
    /**
     * @param  string  $id  `cable:…`, `pick:…` or `air:…`
     * @param  string  $from  port
     * @param  string  $to  port
     * @param  bool  $carries  false for a pick that has no effect now
     */
    public function __construct(
        public string $id,
        public string $from,
        public string $to,
        public string $label,
        public Realm $realm,
        public string $words,
        public bool $carries = true,
    ) {
    }
}
