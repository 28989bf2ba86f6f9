<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig;

use HiddenWire\Core\Equipment\Family;
use HiddenWire\Core\Equipment\PhantomPower;
use HiddenWire\Core\Equipment\Setting;
use HiddenWire\Core\Equipment\Way;

/** Whether a socket gives phantom power to what hangs there, and which setting switches it. */
final readonly class PhantomFeed
{
    /**
     * @param  bool|null  $isOn  null where that is not known: what hangs there needs phantom power itself, and passes on what it gets
     * @param  SocketRef  $socket  where the power comes from, behind a splitter or an adapter that passes it on
     * @param  Setting|null  $switch  null where there is none
     * @param  bool  $isOffered  whether it could be given there
     */
    private function __construct(
        public ?bool $isOn,
        public SocketRef $socket,
        public ?Setting $switch = null,
        public bool $isOffered = false,
    ) {
    }

    public static function at(State $state, Wiring $wiring, SocketRef $socket): self
    {
        return self::found($state, $wiring, $socket, []);
    }

    /** @param  array<string, true>  $passed  units, so that a circle ends */
    private static function found(State $state, Wiring $wiring, SocketRef $socket, array $passed): self
    {
        $rig = $state->rig;
        $model = $rig->modelOf($socket->unit);
        $phantom = $model->sockets[$socket->socket]->phantom;
        if ($phantom === PhantomPower::Needs) {
            return new self(null, $socket);
        }
        if ($phantom === PhantomPower::Offers) {
            foreach ($model->settings as $setting) {
                foreach ($setting->effects as $effect) {
                    if ($effect->socket === $socket->socket && $effect->phantom !== null) {
                        $isThere = $effect->value === $state->value($socket->unit, $setting);

                        return new self($isThere ? $effect->phantom : ! $effect->phantom, $socket, $setting, true);
                    }
                }
            }

            return new self(true, $socket, null, true);
        }
        $isPassive = $model->family === Family::Splitter || $model->family === Family::Adapter;
        $found = new self(false, $socket);
        foreach ($isPassive && ! isset($passed[$socket->unit]) ? $model->sockets : [] as $out) {
            $here = new SocketRef($socket->unit, $out->id);
            $gives = array_filter($out->lanes, fn ($lane) => $lane->way === Way::Out) !== [];
            foreach ($gives ? $wiring->at($here) : [] as $cable) {
                $beyond = self::found($state, $wiring, $wiring->across($cable, $here), $passed + [$socket->unit => true]);
                $found = $beyond->isOn === true || ($beyond->isOffered && ! $found->isOffered) ? $beyond : $found;
                if ($found->isOn === true) {
                    return $found;
                }
            }
        }

        return $found;
    }
}
