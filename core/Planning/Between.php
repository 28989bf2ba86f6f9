<?php

declare(strict_types=1);

namespace HiddenWire\Core\Planning;

use HiddenWire\Core\Document\Catalogue;
use HiddenWire\Core\Edit\PutBetween;
use HiddenWire\Core\Equipment\EquipmentModel;
use HiddenWire\Core\Equipment\Family;
use HiddenWire\Core\Equipment\Lane;
use HiddenWire\Core\Equipment\LinkRole;
use HiddenWire\Core\Equipment\Mating;
use HiddenWire\Core\Equipment\Socket;
use HiddenWire\Core\Equipment\Way;
use HiddenWire\Core\Rig\Cable;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\SocketRef;
use HiddenWire\Core\Rig\Wiring;

/**
 * What can stand between two sockets: the adapters, isolators, splitters, boosters, leads and hubs that take a cable from each and let the
 * sound through.
 */
final readonly class Between
{
    /** In the order in which they are offered: what only fits comes before what does more. */
    private const FAMILIES = [Family::Adapter, Family::Isolator, Family::Splitter, Family::Booster, Family::Converter, Family::Hub];

    private Wiring $wiring;

    public function __construct(private Rig $rig, private Catalogue $catalogue)
    {
        $this->wiring = new Wiring($rig);
    }

    /**
     * @param  list<Family>  $families  only of these, in this order
     * @return list<PutBetween>
     */
    public function offers(SocketRef $a, SocketRef $b, array $families = self::FAMILIES): array
    {
        $offers = [];
        foreach ($families as $family) {
            foreach ($this->catalogue->models as $model) {
                if ($model->family === $family) {
                    $offers[] = $this->fit($model, $a, $b) ?? $this->fit($model, $b, $a);
                }
            }
        }

        return array_values(array_filter($offers));
    }

    private function fit(EquipmentModel $model, SocketRef $from, SocketRef $to): ?PutBetween
    {
        $besides = [...$this->besides($from, $to), ...$this->besides($to, $from)];
        if (count($besides) > 1) {
            return null;
        }
        foreach ($model->sockets as $in) {
            if (! $this->leads($this->rig->socket($from), $in)) {
                continue;
            }
            foreach ($model->sockets as $out) {
                if ($out === $in || ! $this->leads($out, $this->rig->socket($to)) || ! $this->passes($model, $in, $out)) {
                    continue;
                }
                $beside = $besides === [] ? null : $this->beside($model, $in, $out, ...$besides[0]);
                if ($besides === [] || $beside !== null) {
                    return new PutBetween($model, $from, $to, $in->id, $out->id, $beside);
                }
            }
        }

        return null;
    }

    /**
     * @return list<array{SocketRef, bool}> where a cable in a socket leads that does not lead to the other end, and whether the socket
     *     gives
     */
    private function besides(SocketRef $here, SocketRef $other): array
    {
        $led = array_map(fn (Cable $cable) => $this->wiring->across($cable, $here), $this->wiring->at($here));

        return array_values(array_map(
            fn (SocketRef $there) => [$there, $this->rig->socket($here)->lanesGoing(Way::Out) !== []],
            array_filter($led, fn (SocketRef $there) => (string) $there !== (string) $other),
        ));
    }

    /** The model's socket for what a splitter's source, or a joining lead's goal, was plugged to before. */
    private function beside(EquipmentModel $model, Socket $in, Socket $out, SocketRef $there, bool $gives): ?string
    {
        foreach ($model->sockets as $socket) {
            if ($socket !== $in && $socket !== $out && Mating::cable($socket, $this->rig->socket($there)) !== null
                && ($gives ? $this->passes($model, $in, $socket) : $this->passes($model, $socket, $out))) {
                return $socket->id;
            }
        }

        return null;
    }

    /** Whether a cable fits two sockets and carries from the one to the other: a headset's socket takes and gives. */
    private function leads(Socket $gives, Socket $takes): bool
    {
        if (Mating::cable($gives, $takes) === null) {
            return false;
        }
        $media = fn (array $lanes): array => array_map(fn (Lane $lane) => $lane->signal->medium(), $lanes);

        return $gives->link !== null || array_intersect($media($gives->lanesGoing(Way::Out)), $media($takes->lanesGoing(Way::In))) !== [];
    }

    /** Whether what enters by one socket can leave by another. */
    private function passes(EquipmentModel $model, Socket $in, Socket $out): bool
    {
        if ($in->link !== null || $out->link !== null) {
            return ($in->link === LinkRole::Upstream && $out->link === LinkRole::Downstream)
                || ($in->link === LinkRole::Downstream && $out->link === LinkRole::Upstream);
        }
        $reached = array_fill_keys(array_map(fn ($lane) => $lane->point, $in->lanesGoing(Way::In)), true);
        do {
            $count = count($reached);
            foreach ($model->routes as $route) {
                if (isset($reached[$route->from])) {
                    $reached[$route->to] = true;
                }
            }
        } while (count($reached) > $count);
        foreach ($out->lanesGoing(Way::Out) as $lane) {
            if (isset($reached[$lane->point])) {
                return true;
            }
        }

        return false;
    }
}
