<?php

declare(strict_types=1);

namespace HiddenWire\Core\Book;

use HiddenWire\Core\Equipment\Direction;
use HiddenWire\Core\Equipment\Lane;
use HiddenWire\Core\Quantity\Listing;
use HiddenWire\Core\Rig\Cable;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\SocketRef;
use HiddenWire\Core\Rig\Source;
use HiddenWire\Core\Rig\Wiring;
use HiddenWire\Core\Signal\Hearing;
use HiddenWire\Core\Signal\SignalGraph;

/**
 * Which sounds a cable carries, and on which channels: "Game sound, left and right". Over a computer's bus that is what its devices play
 * and record. A sound that is not there in the default says in which situations it is.
 */
final readonly class CableContent
{
    private Rig $rig;

    /** @var non-empty-array<array-key, SignalGraph> of all situations, by id, the default first */
    private array $graphs;

    /** @param  non-empty-array<array-key, Hearing>  $hearings  of situations, by id, the default first */
    public function __construct(array $hearings, private Wiring $wiring)
    {
        $this->rig = $hearings[array_key_first($hearings)]->rig;
        $this->graphs = array_map(fn (Hearing $hearing) => $hearing->graph(), $hearings);
    }

    /** In all situations. */
    public static function in(BookInput $of): self
    {
        $base = $of->rig->base()->id;
        $hearings = [$base => $of->hearing($base)];
        foreach ($of->rig->situations as $situation) {
            $hearings[$situation->id] ??= $of->hearing($situation->id);
        }

        return new self($hearings, $of->wiring);
    }

    /** Forward from the from end, then what comes back; empty where nothing runs. */
    public function of(Cable $cable): string
    {
        $ways = [true => [], false => []];
        foreach ($this->wiring->lanesOf($cable) as [$from, $lane]) {
            $content = $this->ofLane($from, $this->rig->lane($from->unit, $from->socket, $lane));
            if ($content !== '') {
                $ways[(string) $from === (string) $cable->from][] = $content;
            }
        }
        foreach ([true, false] as $isThere) {
            $carried = [];
            foreach ($this->graphs as $situation => $graph) {
                $carried[$situation] = $this->byDevices($cable, $graph, $isThere);
            }
            $ways[$isThere][] = $this->told($carried);
        }
        $there = implode('; ', array_unique(array_filter($ways[true])));
        $back = implode('; ', array_unique(array_filter($ways[false])));

        return $there.($back === '' ? '' : ($there === '' ? '' : '; ')."back: {$back}");
    }

    private function ofLane(SocketRef $at, Lane $lane): string
    {
        $point = new PointRef($at->unit, $lane->point);
        $names = $this->told(array_map(
            fn (SignalGraph $graph) => array_map(fn (Source $source) => $source->name, $graph->field()->sourcesAt($point)),
            $this->graphs,
        ));

        return $names === '' ? '' : $names.$this->channels($lane, $this->rig->point($point)->channels);
    }

    /**
     * What the devices behind a cable play or record, one way.
     *
     * @param  bool  $isThere  away from its from end
     * @return list<string> names of sounds
     */
    private function byDevices(Cable $cable, SignalGraph $graph, bool $isThere): array
    {
        $names = [];
        foreach ($graph->devices->all() as $list) {
            foreach ($list as $device) {
                $near = $device->computer;
                foreach ($device->isConnected ? $device->via : [] as ['cable' => $id, 'hub' => $hub]) {
                    $isOutward = $cable->from->unit === $near;
                    if ($id === $cable->id && $isThere === ($isOutward === ($device->direction === Direction::Playback))) {
                        foreach ($this->rig->sources as $source) {
                            $isOn = $graph->field()->at($source, $graph->deviceNode($device))->mayBeHeard();
                            $names += $isOn ? [$source->id => $source->name] : [];
                        }
                    }
                    $near = $hub ?? $near;
                }
            }
        }

        return array_values(array_intersect_key(array_map(fn (Source $one) => $one->name, $this->rig->sources), $names));
    }

    /**
     * "Presenter voice, Music (in Break)": what is there in any situation.
     *
     * @param  array<array-key, list<string>>  $carried  by situation, the default first
     */
    private function told(array $carried): string
    {
        $in = [];
        foreach ($carried as $situation => $names) {
            foreach ($names as $name) {
                $in[$name][] = $situation;
            }
        }
        $base = array_key_first($this->graphs);
        $told = [];
        foreach ($in as $name => $situations) {
            $told[] = in_array($base, $situations, true) ? $name : "{$name} (in "
                .Listing::of(array_map(fn (string|int $id) => $this->rig->situations[$id]->name, $situations)).')';
        }

        return implode(', ', $told);
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
