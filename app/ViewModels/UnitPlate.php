<?php

declare(strict_types=1);

namespace App\ViewModels;

use HiddenWire\Core\Equipment\Socket;
use HiddenWire\Core\Rig\Cable;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\SocketRef;
use HiddenWire\Core\Rig\Unit;
use HiddenWire\Core\Rig\Wiring;

/** A unit among the equipment: its name between its sockets, ins left, outs and what goes both ways right. */
final readonly class UnitPlate
{
    /** @var list<SocketMark> */
    public array $ins;

    /** @var list<SocketMark> */
    public array $outs;

    /** @var list<Unit> programs that run on it */
    public array $programs;

    public string $model;

    public function __construct(Rig $rig, Wiring $wiring, public Unit $unit)
    {
        $model = $rig->modelOf($unit);
        $this->model = $model->name;
        $marks = array_map(fn (Socket $socket) => new SocketMark($socket, array_map(
            fn (Cable $cable) => $cable->label,
            $wiring->at(new SocketRef($unit->id, $socket->id)),
        )), array_values($model->sockets));
        $this->ins = array_values(array_filter($marks, fn (SocketMark $mark) => $mark->isIn));
        $this->outs = array_values(array_filter($marks, fn (SocketMark $mark) => ! $mark->isIn));
        $isHost = $rig->hostOf($unit->place)?->id === $unit->id;
        $this->programs = array_values(array_filter(
            $isHost ? $rig->units : [],
            fn (Unit $one) => $one->place === $unit->place && $rig->modelOf($one)->isProgram(),
        ));
    }

    /** How many sockets are free. */
    public function free(): int
    {
        return count(array_filter([...$this->ins, ...$this->outs], fn (SocketMark $mark) => $mark->isFree()));
    }
}
