<?php

declare(strict_types=1);

namespace HiddenWire\Core\Book;

use HiddenWire\Core\Equipment\Lane;
use HiddenWire\Core\Rig\Cable;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\SocketRef;
use HiddenWire\Core\Rig\Wiring;
use HiddenWire\Core\Signal\Hearing;
use HiddenWire\Core\Signal\SoundField;

/** Which sounds a cable carries as all stands in a situation, and on which channels: "Game sound, left and right". */
final readonly class CableContent
{
    private Rig $rig;

    private SoundField $field;

    public function __construct(Hearing $hearing, private Wiring $wiring)
    {
        $this->rig = $hearing->graph->rig;
        $this->field = $hearing->graph->field();
    }

    /** Forward from the from end, then what comes back; empty where nothing runs. */
    public function of(Cable $cable): string
    {
        $ways = [];
        foreach ($this->wiring->lanesOf($cable) as [$from, $lane]) {
            $content = $this->ofLane($from, $this->rig->lane($from->unit, $from->socket, $lane));
            if ($content !== '') {
                $ways[(string) $from === (string) $cable->from ? 'there' : 'back'][] = $content;
            }
        }
        $there = implode('; ', array_unique($ways['there'] ?? []));
        $back = implode('; ', array_unique($ways['back'] ?? []));

        return $there.($back === '' ? '' : ($there === '' ? '' : '; ')."back: {$back}");
    }

    private function ofLane(SocketRef $at, Lane $lane): string
    {
        $point = new PointRef($at->unit, $lane->point);
        $names = array_map(fn ($source) => $source->name, $this->field->sourcesAt($point));

        return $names === [] ? '' : implode(', ', $names).$this->channels($lane, $this->rig->point($point)->channels);
    }

    private function channels(Lane $lane, int $width): string
    {
        return match (true) {
            $width === 1 => '',
            $lane->channels === null && $width === 2 => ', left and right',
            $lane->channels === [1] && $width === 2 => ', left',
            $lane->channels === [2] && $width === 2 => ', right',
            $lane->channels === null => ", {$width} channels",
            count($lane->channels) === 1 => ", channel {$lane->channels[0]}",
            default => ', channels '.implode(', ', $lane->channels),
        };
    }
}
