<?php

declare(strict_types=1);

namespace HiddenWire\Core\Equipment;

use HiddenWire\Core\With;

/** A kind of unit: its sockets, points, possible routes and limits. */
final readonly class EquipmentModel
{
    use With;

    /**
     * @param  array<string, Socket>  $sockets  by id, in order
     * @param  array<string, Point>  $points  by id, in order
     * @param  array<string, Route>  $routes  by key `from>to`, in order
     * @param  list<AutoMute>  $autoMutes
     */
    public function __construct(
        public string $id,
        public string $name,
        public Family $family,
        public string $summary,
        public Supply $supply,
        public array $sockets,
        public array $points,
        public array $routes,
        public Limits $limits,
        public array $autoMutes = [],
    ) {
    }

    public function isProgram(): bool
    {
        return $this->family->isProgram();
    }
}
