<?php

declare(strict_types=1);

namespace HiddenWire\Core\Checks;

use HiddenWire\Core\Equipment\Family;
use HiddenWire\Core\Equipment\Lane;
use HiddenWire\Core\Equipment\SignalKind;
use HiddenWire\Core\Rig\Cable;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\SocketRef;
use HiddenWire\Core\Rig\Wiring;

/** What cables join, lane by lane, with isolators, splitters and adapters seen through. */
final readonly class Joints
{
    /** Passive units in a row that are seen through. */
    private const IN_ROW = 8;

    public function __construct(private Rig $rig, private Wiring $wiring)
    {
    }

    /** @return list<Joint> the analog ones of all cables */
    public function analog(): array
    {
        $joints = [];
        foreach ($this->rig->cables as $cable) {
            foreach ($this->of($cable) as $joint) {
                if ($joint->outLane->signal->isAnalog()) {
                    $joints[] = $joint;
                }
            }
        }

        return $joints;
    }

    /** @return list<Joint> */
    public function of(Cable $cable): array
    {
        $joints = [];
        foreach ($this->wiring->lanesOf($cable) as [$from, $outLane, $to, $inLane]) {
            [$out, $in] = [$this->rig->socket($from), $this->rig->socket($to)];
            $joints[] = new Joint(
                $cable,
                $from,
                $out,
                $out->lanes[$outLane],
                $to,
                $in,
                $in->lanes[$inLane],
                $this->gives($from, $out->lanes[$outLane], self::IN_ROW),
                $this->wiring->takes($cable, $to, $in->lanes[$inLane]),
                $this->isPassive($to->unit),
            );
        }

        return $joints;
    }

    /** An isolator, splitter or adapter: it hands on what comes, at the level at which it comes. */
    public function isPassive(string $unit): bool
    {
        return in_array($this->rig->modelOf($unit)->family, [Family::Isolator, Family::Splitter, Family::Adapter], true);
    }

    /**
     * What comes into a passive unit that leaves by one of its lanes.
     *
     * @return list<array{SocketRef, Lane}> the sockets, with the lane that gives, at the other ends of its cables
     */
    public function before(SocketRef $from, Lane $outLane): array
    {
        $model = $this->rig->modelOf($from->unit);
        $points = [$outLane->point => true];
        do {
            $count = count($points);
            foreach ($model->routes as $route) {
                $points += isset($points[$route->to]) ? [$route->from => true] : [];
            }
        } while (count($points) > $count);
        $before = [];
        foreach ($model->sockets as $socket) {
            $here = new SocketRef($from->unit, $socket->id);
            foreach ($this->wiring->at($here) as $cable) {
                foreach ($this->wiring->lanesOf($cable) as [$outAt, $out, $inAt, $in]) {
                    if ((string) $inAt === (string) $here && isset($points[$socket->lanes[$in]->point])) {
                        $before[] = [$outAt, $this->rig->socket($outAt)->lanes[$out]];
                    }
                }
            }
        }

        return $before;
    }

    private function gives(SocketRef $from, Lane $lane, int $left): SignalKind
    {
        $before = $left > 0 && $this->isPassive($from->unit) ? $this->before($from, $lane) : [];

        return $before === [] ? $lane->signal : $this->gives($before[0][0], $before[0][1], $left - 1);
    }
}
