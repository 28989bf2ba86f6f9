<?php

declare(strict_types=1);

namespace HiddenWire\Core\Book;

use HiddenWire\Core\Rig\Cable;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\SocketRef;
use HiddenWire\Core\Rig\Wiring;

/** Every cable with both ends, what it is, and what it carries. */
final readonly class Schedule
{
    private Rig $rig;

    private CableContent $content;

    private ScheduleOrder $order;

    private Wiring $wiring;

    public function __construct(BookInput $of)
    {
        $this->rig = $of->rig;
        $this->order = $of->order;
        $this->wiring = $of->wiring;
        $this->content = CableContent::in($of);
    }

    /**
     * @return list<array{label: string, type: string, length_m: float|null, colour: string, owned: bool, price: string,
     *     supplier: string, content: string,
     *     from: array{place: string, unit: string, socket: string, connector: string},
     *     to: array{place: string, unit: string, socket: string, connector: string}, lead: SocketRef|null,
     *     there: array{place: string, unit: string, socket: string, connector: string}|null}> in the order asked for; labels by the value
     *     of their numbers; `lead` the plug on a unit's own lead, where no other cable is needed, and `there` what it is plugged into
     */
    public function rows(): array
    {
        $rows = array_values(array_map(fn (Cable $cable) => [
            'label' => $cable->label,
            'type' => $cable->type->words(),
            'length_m' => $cable->lengthM,
            'colour' => $cable->colour,
            'owned' => $cable->owned,
            'price' => $cable->price,
            'supplier' => $cable->supplier,
            'content' => $this->content->of($cable),
            'from' => $this->end($cable->from),
            'to' => $this->end($cable->to),
            ...$this->ownLead($cable),
        ], $this->rig->cables));
        $key = fn (array $row): array => match ($this->order) {
            ScheduleOrder::Label => [],
            ScheduleOrder::Place => [$row['from']['place'], $row['from']['unit'], $row['from']['socket']],
            ScheduleOrder::Run => [$row['from']['place'], $row['to']['place'], $row['from']['unit'], $row['to']['unit']],
        };
        usort($rows, fn (array $a, array $b) => $key($a) <=> $key($b) ?: strnatcasecmp($a['label'], $b['label']));

        return $rows;
    }

    /** @return array{lead: SocketRef|null, there: array{place: string, unit: string, socket: string, connector: string}|null} */
    private function ownLead(Cable $cable): array
    {
        $lead = $this->wiring->leadOf($cable);

        return ['lead' => $lead, 'there' => $lead === null ? null : $this->end($this->wiring->across($cable, $lead))];
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
