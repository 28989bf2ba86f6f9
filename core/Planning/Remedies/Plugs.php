<?php

declare(strict_types=1);

namespace HiddenWire\Core\Planning\Remedies;

use HiddenWire\Core\Edit\Plug;
use HiddenWire\Core\Equipment\Mating;
use HiddenWire\Core\Planning\Candidate;
use HiddenWire\Core\Planning\Cost;
use HiddenWire\Core\Planning\Remedy;
use HiddenWire\Core\Planning\Trouble;
use HiddenWire\Core\Rig\Cable;
use HiddenWire\Core\Rig\CableRef;
use HiddenWire\Core\Rig\SocketRef;

/**
 * Cables that are out. A plain case is one where what is left shows it: a program wants a device that is not there, an adapter or a
 * headset hangs loose.
 */
final readonly class Plugs implements Remedy
{
    public function __construct(private bool $onlyPlain)
    {
    }

    public function isOfCables(): bool
    {
        return ! $this->onlyPlain;
    }

    public function candidates(Trouble $trouble): iterable
    {
        if (! $trouble->lacks()) {
            return;
        }
        $free = $trouble->free();
        foreach ($free->giving() as $from) {
            foreach ($free->taking() as $to) {
                $isPlain = $free->empty->isDangling($from) || $free->empty->isDangling($to);
                if ((string) $from !== (string) $to && $isPlain === $this->onlyPlain) {
                    yield from $this->plug(
                        $trouble,
                        $from,
                        $to,
                        ($isPlain ? Cost::PLAIN : Cost::PLUG) + $this->lonely($trouble, $from) + $this->lonely($trouble, $to)
                            + $free->empty->strangeness($from, $to),
                    );
                }
            }
        }
        foreach ($this->onlyPlain ? array_filter($free->empty->all, $free->empty->isOfDevice(...)) : [] as $device) {
            // Any free socket of a computer or a hub does: one of each is enough.
            $tried = [];
            foreach (array_filter($free->empty->all, $free->empty->isOfHost(...)) as $host) {
                if ($host->unit !== $device->unit && $free->empty->belongs($device, $host)
                    && Mating::cable($free->empty->socket($host), $free->empty->socket($device)) !== null
                    && ($this->before($trouble, $host, $device) !== null || ! isset($tried[$host->unit]))) {
                    $tried[$host->unit] = true;
                    yield from $this->plug($trouble, $device, $host, Cost::PLAIN);
                }
            }
        }
    }

    /** @return iterable<Candidate> */
    private function plug(Trouble $trouble, SocketRef $from, SocketRef $to, int $cost): iterable
    {
        $type = Mating::cable($trouble->rig->socket($from), $trouble->rig->socket($to));
        if ($type === null) {
            return;
        }
        $before = $this->before($trouble, $from, $to);
        $cable = $before !== null && ! isset($trouble->rig->cables[$before->id]) ? $before : null;
        yield new Candidate(
            "plug {$from} {$to}",
            $cable === null ? "Nothing is plugged into {$trouble->names->of($from)}" : "{$cable->label} is out",
            $cable === null
                ? "Plug {$trouble->partOf($from)} into {$trouble->partOf($to)}"
                : "Plug {$cable->label} of {$trouble->rig->units[$from->unit]->name} into {$trouble->partOf($to)} again",
            [new Plug($from, $to, $cable?->label)],
            $cost + ($before === null ? 0 : Cost::KNOWN),
            $cable === null ? [$from, $to]
                : [new CableRef($cable->id), $from, $to],
        );
    }

    /**
     * A socket of a unit of which the other side is in use is likely the one that a lead has come out of; one of many free inputs is less
     * so.
     */
    private function lonely(Trouble $trouble, SocketRef $at): int
    {
        $sockets = $trouble->rig->modelOf($at->unit)->sockets;
        $used = count(array_filter($sockets, fn ($socket) => $trouble->wiring->at(new SocketRef($at->unit, $socket->id)) !== []));

        return min(9, count($sockets) - $used - 1);
    }

    private function before(Trouble $trouble, SocketRef $from, SocketRef $to): ?Cable
    {
        $ends = [(string) $from, (string) $to];
        foreach ($trouble->earlier as $rig) {
            foreach ($rig->cables as $cable) {
                if (in_array((string) $cable->from, $ends, true) && in_array((string) $cable->to, $ends, true)) {
                    return $cable;
                }
            }
        }

        return null;
    }
}
