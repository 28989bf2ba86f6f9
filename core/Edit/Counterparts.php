<?php

declare(strict_types=1);

namespace HiddenWire\Core\Edit;

use HiddenWire\Core\Equipment\EquipmentModel;
use HiddenWire\Core\Equipment\Lane;
use HiddenWire\Core\Equipment\Mating;
use HiddenWire\Core\Equipment\Point;
use HiddenWire\Core\Equipment\Socket;
use HiddenWire\Core\Rig\DeviceRef;

/**
 * Maps an old model to a new one: which socket, point, route and device of the new one takes over from which of the old. A socket's
 * counterpart has the same id, else the same label, else it is the first free one that the same cable fits. A point's has the same id or
 * label and the same kind, else it is the point behind the counterpart of its socket. A counterpart that was given once is kept, and given
 * to nothing else.
 */
final class Counterparts
{
    /** @var array<string, string> new socket by old, of those in use */
    private array $sockets = [];

    /** @var array<string, Point|null> new point by old, of those asked for */
    private array $points = [];

    /** @var array<string, DeviceRef|null> new device by old, of those asked for */
    private array $devices = [];

    /** @param  string  $unit  id of the unit that is swapped */
    public function __construct(
        private readonly string $unit,
        private readonly EquipmentModel $old,
        private readonly EquipmentModel $new,
    ) {
    }

    /** @param  Socket|null  $there  what is at the other end of its cable */
    public function socket(string $socket, ?Socket $there): ?string
    {
        if (isset($this->sockets[$socket])) {
            return $this->sockets[$socket];
        }
        $old = $this->old->sockets[$socket];
        $free = array_filter(
            $this->new->sockets,
            fn (Socket $one) => ! in_array($one->id, $this->sockets, true) && $this->takes($one, $old, $there),
        );
        $found = $free[$socket] ?? array_values(array_filter(
            $free,
            fn (Socket $one) => $one->label === $old->label,
        ))[0] ?? array_values($free)[0] ?? null;
        if ($found !== null) {
            $this->sockets[$socket] = $found->id;
        }

        return $found?->id;
    }

    /** Whether a socket can stand in for another: it takes what is plugged there, and the signal goes the same ways. */
    private function takes(Socket $new, Socket $old, ?Socket $there): bool
    {
        $ways = fn (Socket $socket): array => array_values(array_unique(array_map(fn (Lane $lane) => $lane->way->value, $socket->lanes)));

        return $new->link === $old->link && ($new->link !== null || array_intersect($ways($new), $ways($old)) !== [])
            && ($there === null ? $new->connector === $old->connector : Mating::cable($new, $there) !== null);
    }

    /** Null where the new model has nothing like it. */
    public function point(string $point): ?Point
    {
        return array_key_exists($point, $this->points) ? $this->points[$point] : $this->points[$point] = $this->alike($point);
    }

    private function alike(string $point): ?Point
    {
        $old = $this->old->points[$point];
        $isAlike = fn (Point $one): bool => $one->kind === $old->kind && $one->picks === $old->picks
            && $one->device?->direction === $old->device?->direction && ! in_array($one, $this->points, true);
        $same = $this->new->points[$point] ?? null;
        if ($same !== null && $isAlike($same)) {
            return $same;
        }
        foreach ($this->new->points as $one) {
            if ($one->label === $old->label && $isAlike($one)) {
                return $one;
            }
        }
        foreach ($this->sockets as $from => $to) {
            foreach ($this->old->sockets[$from]->lanes as $lane) {
                foreach ($this->new->sockets[$to]->lanes as $there) {
                    if ($lane->point === $point && $lane->way === $there->way && $isAlike($this->new->points[$there->point])) {
                        return $this->new->points[$there->point];
                    }
                }
            }
        }
        // The only one of its kind on both is the counterpart by whatever name: a microphone has one capsule.
        $ofKind = fn (EquipmentModel $model): array => array_values(array_filter(
            $model->points,
            fn (Point $one) => $one->kind === $old->kind,
        ));
        $only = count($ofKind($this->old)) === 1 && count($ofKind($this->new)) === 1 ? $ofKind($this->new)[0] : null;

        return $only !== null && $isAlike($only) ? $only : null;
    }

    /** The key of a route between the counterparts of its ends; null where there is none. */
    public function route(string $key): ?string
    {
        $route = $this->old->routes[$key];
        $from = $this->point($route->from)?->id;
        $to = $this->point($route->to)?->id;

        return $from !== null && $to !== null && isset($this->new->routes["{$from}>{$to}"]) ? "{$from}>{$to}" : null;
    }

    /** Null of a device of this unit that the new model does not give; one of another unit is itself. */
    public function device(DeviceRef $ref): ?DeviceRef
    {
        if ($ref->unit !== $this->unit) {
            return $ref;
        }

        return array_key_exists((string) $ref, $this->devices)
            ? $this->devices[(string) $ref]
            : $this->devices[(string) $ref] = $this->likeDevice($ref);
    }

    private function likeDevice(DeviceRef $ref): ?DeviceRef
    {
        if ($ref->lane === null) {
            $point = $this->point($ref->givenBy);

            return $point === null ? null : DeviceRef::point($this->unit, $point->id);
        }
        $old = $this->old->sockets[$ref->givenBy]->lanes[$ref->lane];
        $socket = $this->sockets[$ref->givenBy] ?? (isset($this->new->sockets[$ref->givenBy]) ? $ref->givenBy : null);
        $taken = array_map(strval(...), array_filter($this->devices));
        $lanes = $socket === null ? []
            : array_filter($this->new->sockets[$socket]->lanes, fn (Lane $lane) => $lane->device !== null
            && $lane->device->direction === $old->device?->direction
            && ! in_array("{$this->unit}/{$socket}/{$lane->id}", $taken, true));
        $lane = $lanes[$ref->lane] ?? array_values($lanes)[0] ?? null;

        return $socket === null || $lane === null ? null : DeviceRef::lane($this->unit, $socket, $lane->id);
    }
}
