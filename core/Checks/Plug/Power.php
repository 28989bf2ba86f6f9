<?php

declare(strict_types=1);

namespace HiddenWire\Core\Checks\Plug;

use HiddenWire\Core\Checks\Check;
use HiddenWire\Core\Checks\Finding;
use HiddenWire\Core\Checks\Inspection;
use HiddenWire\Core\Checks\Severity;
use HiddenWire\Core\Equipment\Connector;
use HiddenWire\Core\Equipment\EquipmentModel;
use HiddenWire\Core\Equipment\Family;
use HiddenWire\Core\Equipment\LinkRole;
use HiddenWire\Core\Equipment\Socket;
use HiddenWire\Core\Equipment\Supply;
use HiddenWire\Core\Rig\SocketRef;
use HiddenWire\Core\Rig\UnitRef;

/** More current than a port or hub gives, and a tablet that is not charged while in use. */
final readonly class Power implements Check
{
    public function code(): string
    {
        return 'plug.power';
    }

    public function findings(Inspection $in): iterable
    {
        foreach ($in->rig->units as $unit) {
            $model = $in->rig->modelOf($unit);
            foreach ($model->sockets as $socket) {
                $isOwnPower = $socket->link === LinkRole::Host
                    || ($socket->link === LinkRole::Downstream && $model->supply !== Supply::Bus);
                $here = new SocketRef($unit->id, $socket->id);
                if ($isOwnPower && $socket->connector !== Connector::Bluetooth) {
                    yield from $this->budget($in, $here, $socket);
                }
                if ($model->family === Family::Tablet && $socket->link === LinkRole::Host) {
                    yield from $this->charging($in, $here);
                }
            }
        }
    }

    /** @return iterable<Finding> */
    private function budget(Inspection $in, SocketRef $here, Socket $socket): iterable
    {
        $drawn = [];
        $seen = [];
        $this->drawn($in, $here, $drawn, $seen);
        $gives = $socket->givesMa ?? self::usuallyGiven($socket->connector);
        if (array_sum($drawn) > $gives && $drawn !== []) {
            $ids = array_map(strval(...), array_keys($drawn));
            $names = array_map(fn (string $id) => $in->rig->units[$id]->name.' '.$drawn[$id].' mA', $ids);
            yield new Finding(
                $this->code(),
                Severity::Risk,
                implode(', ', $names).' take '.array_sum($drawn)." mA from {$in->names->of($here)}, which gives {$gives} mA",
                'Devices drop out or are not found. Use a hub with power of its own, or another port.',
                [$here, ...array_map(fn (string $id) => new UnitRef($id), $ids)],
            );
        }
    }

    /**
     * @param  array<array-key, int>  $drawn  mA by unit that takes its current there
     * @param  array<array-key, true>  $seen
     */
    private function drawn(Inspection $in, SocketRef $here, array &$drawn, array &$seen): void
    {
        foreach ($in->wiring->at($here) as $cable) {
            $there = $in->wiring->across($cable, $here);
            $model = $in->rig->modelOf($there->unit);
            $role = $in->rig->socket($there)->link;
            if (isset($seen[$there->unit]) || ! in_array($role, [LinkRole::Device, LinkRole::Upstream], true)) {
                continue;
            }
            $seen[$there->unit] = true;
            if ($model->supply === Supply::Bus) {
                $drawn[$there->unit] = $model->drawsMa ?? self::usuallyDrawn($model);
                foreach ($role === LinkRole::Upstream ? $model->sockets : [] as $down) {
                    if ($down->link === LinkRole::Downstream) {
                        $this->drawn($in, new SocketRef($there->unit, $down->id), $drawn, $seen);
                    }
                }
            }
        }
    }

    /** @return iterable<Finding> */
    private function charging(Inspection $in, SocketRef $here): iterable
    {
        foreach ($in->rig->socket($here)->connector === Connector::Bluetooth ? [] : $in->wiring->at($here) as $cable) {
            $there = $in->wiring->across($cable, $here);
            $model = $in->rig->modelOf($there->unit);
            if (! in_array($model->supply, [Supply::MainsEarthed, Supply::MainsUnearthed], true) || $model->family !== Family::Hub) {
                yield new Finding(
                    $this->code(),
                    Severity::Risk,
                    "{$in->rig->units[$here->unit]->name} is not charged while {$in->rig->units[$there->unit]->name} is in its socket",
                    'It runs down during the show. Use a hub that has power of its own and charges it.',
                    [$here, new UnitRef($there->unit)],
                );
            }
        }
    }

    /** mA: USB 2.0 gives 500; a USB-C socket 1,500 where it says nothing. */
    private static function usuallyGiven(Connector $connector): int
    {
        return $connector === Connector::UsbC ? 1500 : 500;
    }

    /** mA that units of a kind take at the most. */
    private static function usuallyDrawn(EquipmentModel $model): int
    {
        return match ($model->family) {
            Family::Hub => 100,
            Family::Headset, Family::Adapter => 100,
            Family::Microphone => 150,
            Family::HeadsetAmplifier, Family::Converter => 250,
            Family::Webcam => 300,
            Family::CaptureCard => 450,
            default => 450,
        };
    }
}
