<?php

declare(strict_types=1);

namespace HiddenWire\Core\Signal;

use HiddenWire\Core\Equipment\LinkRole;
use HiddenWire\Core\Equipment\Supply;
use HiddenWire\Core\Rig\PhantomFeed;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\SocketRef;
use HiddenWire\Core\Rig\State;
use HiddenWire\Core\Rig\Unit;
use HiddenWire\Core\Rig\Wiring;

/**
 * What gives no sound in a situation though it is there and plugged: a condenser or booster without phantom power, a unit on bus power that
 * hangs at no bus, whatever works only with something that is away.
 */
final readonly class Silenced
{
    /**
     * @param  array<array-key, BlockKind>  $units  by id
     * @param  array<array-key, BlockKind>  $cables  by id
     */
    private function __construct(public array $units, public array $cables)
    {
    }

    /** @param  Wiring  $wiring  without what is out in the situation */
    public static function of(State $state, Wiring $wiring): self
    {
        $rig = $state->rig;
        $units = $cables = [];
        $needy = [];
        foreach ($rig->units as $id => $unit) {
            $model = $rig->modelOf($unit);
            if ($model->supply === Supply::Bus && ! self::isPlugged($rig, $wiring, $unit)) {
                $units[$id] = BlockKind::NoPower;
            }
            foreach ($model->needsPhantom() as $socket) {
                $here = new SocketRef($unit->id, $socket);
                foreach ($wiring->at($here) as $cable) {
                    if (PhantomFeed::at($state, $wiring, $wiring->across($cable, $here))->isOn === false) {
                        $cables[$cable->id] = BlockKind::NoPhantom;
                    }
                }
            }
            $needy += $unit->needs === [] ? [] : [$id => $unit];
        }
        do {
            $before = count($units);
            foreach (array_diff_key($needy, $units) as $id => $unit) {
                foreach ($unit->needs as $need) {
                    $isAway = in_array($need, $state->situation->absent, true) || isset($units[$need])
                        || (isset($rig->units[$need]) && ! self::isPlugged($rig, $wiring, $rig->units[$need]));
                    $units += $isAway ? [$id => BlockKind::LacksNeed] : [];
                }
            }
        } while (count($units) > $before);

        return new self($units, $cables);
    }

    /** Whether a unit hangs at a computer, or at another unit, if it is made for that. */
    private static function isPlugged(Rig $rig, Wiring $wiring, Unit $unit): bool
    {
        $isMadeForIt = false;
        foreach ($rig->modelOf($unit)->sockets as $socket) {
            if ($socket->link === LinkRole::Device || $socket->link === LinkRole::Upstream) {
                $isMadeForIt = true;
                if ($wiring->at("{$unit->id}/{$socket->id}") !== []) {
                    return true;
                }
            }
        }

        return ! $isMadeForIt;
    }
}
