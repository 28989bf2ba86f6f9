<?php

declare(strict_types=1);

namespace HiddenWire\Core\Book;

use HiddenWire\Core\Rig\Cable;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\SocketRef;

/** Every cable with both ends, what it is, and what it carries. */
final readonly class Schedule
{
    private Rig $rig;

    private CableContent $content;

    public function __construct(Source $of)
    {
        $this->rig = $of->rig;
        $this->content = new CableContent($of->hearing(), $of->wiring);
    }

    /**
     * @return list<array{label: string, type: string, length_m: float|null, colour: string, owned: bool, content: string,
     *     from: array{place: string, unit: string, socket: string, connector: string},
     *     to: array{place: string, unit: string, socket: string, connector: string}}> by label, numbers by their value
     */
    public function rows(): array
    {
        $rows = array_values(array_map(fn (Cable $cable) => [
            'label' => $cable->label,
            'type' => $cable->type->words(),
            'length_m' => $cable->lengthM,
            'colour' => $cable->colour,
            'owned' => $cable->owned,
            'content' => $this->content->of($cable),
            'from' => $this->end($cable->from),
            'to' => $this->end($cable->to),
        ], $this->rig->cables));
        usort($rows, fn (array $a, array $b) => strnatcasecmp($a['label'], $b['label']));

        return $rows;
    }

    /** @return array{place: string, unit: string, socket: string, connector: string} */
    private function end(SocketRef $at): array
    {
        $unit = $this->rig->units[$at->unit];
        $socket = $this->rig->socket($at);

        return [
            'place' => $this->rig->places[$unit->place]->name,
            'unit' => $unit->name,
            'socket' => $socket->label,
            'connector' => $socket->connector->words(),
        ];
    }
}
