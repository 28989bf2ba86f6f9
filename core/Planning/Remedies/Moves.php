<?php

declare(strict_types=1);

namespace HiddenWire\Core\Planning\Remedies;

use HiddenWire\Core\Edit\ExchangeEnds;
use HiddenWire\Core\Edit\Replug;
use HiddenWire\Core\Edit\Unplug;
use HiddenWire\Core\Equipment\Mating;
use HiddenWire\Core\Planning\Candidate;
use HiddenWire\Core\Planning\Cost;
use HiddenWire\Core\Planning\FreeSockets;
use HiddenWire\Core\Planning\Remedy;
use HiddenWire\Core\Planning\Trouble;
use HiddenWire\Core\Rig\Cable;
use HiddenWire\Core\Rig\CableRef;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\SocketRef;

/**
 * Cables in the wrong socket: one end moved to a free one, two exchanged, or one that should not be there. A plain case is one where a
 * program listens to a socket of its computer that is empty, and a lead is in another of the same computer.
 */
final readonly class Moves implements Remedy
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
        $free = $trouble->free();
        $onWays = [];
        foreach ($trouble->hasTooMuch() ? $trouble->hops() : [] as $hop) {
            if ($hop->at instanceof CableRef) {
                $onWays[$hop->at->cable] = true;
            }
        }
        foreach ($trouble->rig->cables as $cable) {
            foreach ([[$cable->from, $cable->to, true], [$cable->to, $cable->from, false]] as [$moves, $stays, $isFrom]) {
                $hosts = [];
                $isOnHost = $trouble->rig->modelOf($moves->unit)->family->isHost();
                $goals = $this->onlyPlain && ! $isOnHost
                    ? []
                    : $this->goals($trouble, $free, isset($onWays[$cable->id]), $moves, $stays);
                foreach ($goals as $to) {
                    if (($this->onlyPlain && $to->unit !== $moves->unit) || $to->unit === $stays->unit || isset($hosts[$to->unit])
                        || Mating::cable($free->empty->socket($stays), $free->empty->socket($to)) === null) {
                        continue;
                    }
                    // Any socket of a computer or a hub does.
                    if ($free->empty->isOfHost($to)) {
                        $hosts[$to->unit] = true;
                    }
                    $isPlain = $moves->unit === $to->unit && $isOnHost
                        && $free->empty->socket($to)->link === null && $free->empty->isDangling($to);
                    if ($isPlain === $this->onlyPlain) {
                        yield from $this->move($trouble, $cable, $isFrom, $moves, $to);
                    }
                }
            }
            if (! $this->onlyPlain && isset($onWays[$cable->id])) {
                yield new Candidate(
                    "unplug {$cable->id}",
                    "{$cable->label} carries it",
                    "Unplug {$cable->label}",
                    [new Unplug($cable->id)],
                    Cost::UNPLUG,
                    [new CableRef($cable->id)],
                );
            }
        }
        yield from $this->onlyPlain ? [] : $this->exchanges($trouble, $free, $onWays);
    }

    /** @return array<string, SocketRef> free sockets to which an end could go that is asked for */
    private function goals(Trouble $trouble, FreeSockets $free, bool $isOnWay, SocketRef $moves, SocketRef $stays): array
    {
        if ($free->empty->socket($stays)->link !== null) {
            // Between computers and their hubs only to where the unit is wanted.
            return ! $free->empty->isOfDevice($stays)
                ? []
                : array_filter(
                    $free->empty->ofHosts(),
                    fn (SocketRef $to) => $to->unit !== $moves->unit && $free->empty->belongs($stays, $to),
                );
        }
        $goals = $isOnWay ? $free->of($moves->unit) : [];
        if ($trouble->lacks()) {
            $goals += ($free->gives($stays) ? $free->taking() : []) + ($free->takes($stays) ? $free->giving() : []);
        }

        return $goals;
    }

    /** @return iterable<Candidate> */
    private function move(Trouble $trouble, Cable $cable, bool $isFrom, SocketRef $moves, SocketRef $to): iterable
    {
        // A plug in the neighbouring socket of one unit is the likely mistake.
        $more = ($moves->unit === $to->unit ? 0 : 200) + ($this->wasThere($trouble->earlier, $cable, $isFrom, $to) ? Cost::KNOWN * 3 : 0);
        yield new Candidate(
            "move {$cable->id} {$isFrom} {$to}",
            "{$cable->label} is in {$trouble->partOf($moves)}",
            "Move {$cable->label} from {$trouble->partOf($moves)} to {$trouble->partOf($to)}",
            [new Replug($cable->id, $isFrom, $to)],
            ($this->onlyPlain ? Cost::PLAIN : Cost::REPLUG) + $more,
            [new CableRef($cable->id), $to],
        );
    }

    /** @param  list<Rig>  $earlier */
    private function wasThere(array $earlier, Cable $cable, bool $isFrom, SocketRef $at): bool
    {
        foreach ($earlier as $rig) {
            $was = $rig->cables[$cable->id] ?? null;
            if ($was !== null && (string) ($isFrom ? $was->from : $was->to) === (string) $at) {
                return true;
            }
        }

        return false;
    }

    /**
     * @param  array<string, true>  $onWays
     * @return iterable<Candidate>
     */
    private function exchanges(Trouble $trouble, FreeSockets $free, array $onWays): iterable
    {
        $joins = fn (SocketRef $x, SocketRef $y): bool => ($free->gives($x) && $free->takes($y)) || ($free->gives($y) && $free->takes($x));
        foreach ($this->endsByUnit($trouble, $free) as $unit => $ends) {
            $asked = array_filter(
                $ends,
                fn (array $end) => isset($onWays[$end[0]->id])
                    || ($trouble->lacks() && ($free->gives($end[3]) || $free->takes($end[3]) || $free->gives($end[2])
                    || $free->takes($end[2]))),
            );
            foreach ($asked as $i => [$one, $isFrom, $endOne, $stayOne]) {
                foreach (array_slice($ends, $i + 1) as [$other, $isOtherFrom, $endOther, $stayOther]) {
                    $isAsked = isset($onWays[$one->id]) || isset($onWays[$other->id])
                        || ($trouble->lacks() && ($joins($stayOne, $endOther) || $joins($stayOther, $endOne)));
                    if ($one === $other || ! $isAsked
                        || Mating::cable($free->empty->socket($stayOne), $free->empty->socket($endOther)) === null
                        || Mating::cable($free->empty->socket($stayOther), $free->empty->socket($endOne)) === null) {
                        continue;
                    }
                    $name = $trouble->rig->units[$unit]->name;
                    yield new Candidate(
                        "exchange {$one->id} {$isFrom} {$other->id} {$isOtherFrom}",
                        "{$one->label} and {$other->label} are in each other's socket at {$name}",
                        "Exchange {$one->label} and "
                        ."{$other->label} at {$name}",
                        [new ExchangeEnds($one->id, $isFrom, $other->id, $isOtherFrom)],
                        Cost::EXCHANGE,
                        [new CableRef($one->id), new CableRef($other->id)],
                    );
                }
            }
        }
    }

    /**
     * @return array<array-key, list<array{Cable, bool, SocketRef, SocketRef}>> by unit: the ends of audio cables in it, whether it is the
     *     from end, its socket, the socket at the other end
     */
    private function endsByUnit(Trouble $trouble, FreeSockets $free): array
    {
        $ends = [];
        foreach ($trouble->rig->cables as $cable) {
            foreach ([[$cable->from, $cable->to, true], [$cable->to, $cable->from, false]] as [$here, $there, $isFrom]) {
                if ($free->empty->socket($here)->link === null) {
                    $ends[$here->unit][] = [$cable, $isFrom, $here, $there];
                }
            }
        }

        return $ends;
    }
}
