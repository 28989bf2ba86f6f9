<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig;

use HiddenWire\Core\Equipment\CableType;
use HiddenWire\Core\Equipment\Connector;
use HiddenWire\Core\Equipment\Lane;
use HiddenWire\Core\Equipment\SignalKind;
use HiddenWire\Core\Equipment\Way;

/** Which cables are in which socket, and which lanes of a cable join. */
final readonly class Wiring
{
    /** @var array<string, list<Cable>> by `unit/socket` */
    private array $cables;

    /** @param  array<array-key, true>  $without  cables that are out, by id */
    public function __construct(private Rig $rig, array $without = [])
    {
        $cables = [];
        foreach (array_diff_key($rig->cables, $without) as $cable) {
            $cables[(string) $cable->from][] = $cable;
            $cables[(string) $cable->to][] = $cable;
        }
        $this->cables = $cables;
    }

    /** @return list<Cable> */
    public function at(SocketRef|string $socket): array
    {
        return $this->cables[(string) $socket] ?? [];
    }

    /** The other end of a cable. */
    public function across(Cable $cable, SocketRef $here): SocketRef
    {
        return (string) $cable->from === (string) $here ? $cable->to : $cable->from;
    }

    /** The unit whose own lead a cable is, with the plug that hangs on it: no other lead is needed there. Null for any other cable. */
    public function leadOf(Cable $cable): ?SocketRef
    {
        foreach ([$cable->from, $cable->to] as $end) {
            if ($this->rig->socket($end)->captive) {
                return $end;
            }
        }

        return null;
    }

    /** What an input is for, as it is plugged and set. */
    public function takes(Cable $cable, SocketRef $to, Lane $lane): SignalKind
    {
        $unit = $this->rig->units[$to->unit];
        foreach ($this->rig->modelOf($unit)->settings as $setting) {
            foreach (isset($unit->values[$setting->id]) ? $setting->effectsAt($unit->values[$setting->id]) : [] as $effect) {
                if ($effect->socket === $to->socket && $effect->signal !== null) {
                    return $effect->signal;
                }
            }
        }

        return $this->isPastPreamp($cable, $to, $lane) ? SignalKind::ProfessionalLine : $lane->signal;
    }

    /** Whether a jack is in the middle of a combined socket, which is a line input: an XLR plug goes round it, to the microphone preamp. */
    public function isPastPreamp(Cable $cable, SocketRef $to, Lane $lane): bool
    {
        return in_array($cable->type, [CableType::Ts, CableType::Trs], true)
            && $this->rig->socket($to)->connector === Connector::ComboF && $lane->signal === SignalKind::Microphone;
    }

    /**
     * The lanes that a cable joins, each an out with an in: first those of one signal kind, in order, then those of one medium.
     *
     * @return list<array{SocketRef, string, SocketRef, string}> (socket that gives, its lane, socket that takes, its lane)
     */
    public function lanesOf(Cable $cable): array
    {
        $from = $this->rig->socket($cable->from);
        $to = $this->rig->socket($cable->to);
        if ($cable->lanes !== null) {
            return array_map(fn (array $pair) => $from->lanes[$pair[0]]->way === Way::Out
                ? [$cable->from, $pair[0], $cable->to, $pair[1]]
                : [$cable->to, $pair[1], $cable->from, $pair[0]], $cable->lanes);
        }

        $joined = [];
        foreach ([
            [$cable->from, $from, $cable->to, $to],
            [$cable->to, $to, $cable->from, $from],
        ] as [$outRef, $outSocket, $inRef, $inSocket]) {
            $outs = $outSocket->lanesGoing(Way::Out);
            $ins = $inSocket->lanesGoing(Way::In);
            foreach (['kind', 'medium'] as $by) {
                foreach ($outs as $o => $out) {
                    foreach ($ins as $i => $in) {
                        $matches = $by === 'kind' ? $out->signal === $in->signal : $out->signal->medium() === $in->signal->medium();
                        if ($matches && in_array($out->signal->medium(), $cable->type->media(), true)) {
                            $joined[] = [$outRef, $out->id, $inRef, $in->id];
                            unset($outs[$o], $ins[$i]);

                            break;
                        }
                    }
                }
            }
        }

        return $joined;
    }
}
