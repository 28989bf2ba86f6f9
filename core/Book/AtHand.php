<?php

declare(strict_types=1);

namespace HiddenWire\Core\Book;

use HiddenWire\Core\Quantity\Lengths;
use HiddenWire\Core\Rig\Cable;
use HiddenWire\Core\Rig\Situation;
use HiddenWire\Core\Rig\SocketRef;
use HiddenWire\Core\Rig\Unit;
use HiddenWire\Core\Signal\GraphBuilder;
use HiddenWire\Core\Signal\Hearing;

/** What somebody needs to know who holds a lead or is at a unit: where it goes, what it carries, and what is lost without it. */
final readonly class AtHand
{
    public function __construct(private BookInput $of)
    {
    }

    /** "TRS, 3.5 mm, 8 m, blue" */
    public function kindOf(Cable $cable, Lengths $lengths): string
    {
        return implode(', ', array_filter([
            (new Plugs($this->of->rig))->of($cable), $cable->lengthM === null ? '' : $lengths->words($cable->lengthM), $cable->colour,
        ]));
    }

    /** @return list<array{unit: string, socket: string, place: string}> both ends */
    public function endsOf(Cable $cable): array
    {
        return array_map(fn (SocketRef $at): array => [
            'unit' => $this->of->rig->units[$at->unit]->name,
            'socket' => $this->of->rig->socket($at)->label,
            'place' => $this->of->rig->places[$this->of->rig->units[$at->unit]->place]->name,
        ], [$cable->from, $cable->to]);
    }

    /** @return array<string, string> what it carries, by the name of the situation; "out" where it is pulled there */
    public function carries(Cable $cable): array
    {
        $carries = [];
        foreach ($this->of->rig->situations as $situation) {
            $content = (new CableContent([$situation->id => $this->of->hearing($situation->id)], $this->of->wiring))->of($cable);
            $carries[$situation->name] = in_array($cable->id, $situation->pulled, true) ? 'out' : ($content === '' ? 'nothing' : $content);
        }

        return $carries;
    }

    /** @return array<string, list<string>> sounds that a listener hears in a situation and would not without it, by listener */
    public function lostWithout(Cable $cable, Situation $situation): array
    {
        $without = $situation->with(pulled: [...array_values(array_diff($situation->pulled, [$cable->id])), $cable->id]);
        $after = new Hearing((new GraphBuilder($this->of->rig))->build($without));
        $lost = [];
        foreach ($this->of->hearing($situation->id)->all() as $pair) {
            if ($pair->isHeard() && ! $after->pair($pair->source->id, $pair->listener->id)->isHeard()) {
                $lost[$pair->listener->name][] = $pair->source->name;
            }
        }

        return $lost;
    }

    /** @return list<array{socket: string, cable: Cable|null, there: string}> its sockets in order, and where what is plugged there goes */
    public function socketsOf(Unit $unit): array
    {
        $sockets = [];
        foreach ($this->of->rig->modelOf($unit)->sockets as $socket) {
            $here = new SocketRef($unit->id, $socket->id);
            foreach ($this->of->wiring->at($here) ?: [null] as $cable) {
                $there = $cable === null ? null : $this->of->wiring->across($cable, $here);
                $sockets[] = [
                    'socket' => $socket->label, 'cable' => $cable,
                    'there' => $there === null ? 'nothing goes here' : $this->of->names->of($there)
                        .' at '.$this->of->rig->places[$this->of->rig->units[$there->unit]->place]->name,
                ];
            }
        }

        return $sockets;
    }
}
