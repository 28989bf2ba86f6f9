<?php

declare(strict_types=1);

namespace App\ViewModels;

use HiddenWire\Core\Checks\Inspection;
use HiddenWire\Core\Checks\Noises;
use HiddenWire\Core\Checks\Time\Monitor;
use HiddenWire\Core\Levels\Chain;
use HiddenWire\Core\Levels\Preamp;
use HiddenWire\Core\Levels\VoiceBalance;
use HiddenWire\Core\Planning\Hearings;
use HiddenWire\Core\Rig\Listener;
use HiddenWire\Core\Rig\ListenerKind;
use HiddenWire\Core\Rig\MeasureKind;
use HiddenWire\Core\Rig\Source;
use HiddenWire\Core\Rig\SourceKind;
use HiddenWire\Core\Rig\Want;
use HiddenWire\Core\Signal\HeardPair;
use HiddenWire\Core\Timing\Offset;
use HiddenWire\Core\Timing\Offsets;

/** Levels and time: what to dial in, the level of each sound stage by stage, their balance, what arrives when. */
final readonly class LevelsPage
{
    /** dB of the booster that the noise is compared with. */
    private const BOOSTER_DB = 25.0;

    /** @var list<array{source: Source, microphone: string, preamp: Preamp, name: string, over: float, boosted: float}> */
    public array $gains;

    /** The listener whose levels are shown. */
    public ?Listener $listener;

    /** @var list<Listener> those with anything to show */
    public array $listeners;

    /** @var list<LevelDiagram> of each sound at the listener */
    public array $diagrams;

    public ?VoiceBalance $balance;

    /** By how much the voice is to be above the rest there, dB; null where nobody has said. */
    public ?float $target;

    /** @var list<array{pair: HeardPair, isLate: bool}> own voices in headphones */
    public array $monitors;

    /** @var list<array{program: string, offset: Offset, name: string}> */
    public array $offsets;

    /**
     * What levels are computed from.
     *
     * @var list<array{about: string, name: string, kind: MeasureKind, value: float|null, usual: float|null}>
     */
    public array $measures;

    public Noises $noises;

    public function __construct(private RigPage $page)
    {
        $hearing = $page->hearing;
        $this->listeners = array_values(array_filter($page->rig->listeners, fn (Listener $one) => $this->heardAt($one) !== []));
        $asked = $page->asked('at');
        $streams = array_filter($this->listeners, fn (Listener $one) => $one->kind === ListenerKind::Stream);
        $chosen = array_filter($this->listeners, fn (Listener $one) => $one->id === $asked);
        $this->listener = array_values($chosen)[0] ?? array_values($streams)[0] ?? $this->listeners[0] ?? null;
        $diagrams = [];
        foreach ($this->listener === null ? [] : $this->heardAt($this->listener) as $pair) {
            $chain = Chain::of($hearing->graph(), $pair);
            $diagrams = $chain === null ? $diagrams : [...$diagrams, new LevelDiagram($pair, $chain)];
        }
        $this->diagrams = $diagrams;
        $this->balance = $this->listener === null ? null : new VoiceBalance($hearing, $this->listener);
        $this->target = $this->listener === null ? null
            : $page->rig->papers->measured(MeasureKind::VoiceOver)["listeners/{$this->listener->id}"] ?? null;
        $this->gains = $this->gains();
        $in = new Inspection(new Hearings($page->rig, [$page->situation->id => $hearing]));
        $this->monitors = array_values(array_map(
            fn (HeardPair $pair) => ['pair' => $pair, 'isLate' => ($pair->delay()?->value() ?? 0.0) > Monitor::LATE_MS],
            array_filter(iterator_to_array($hearing->all(), false), fn (HeardPair $pair) => Monitor::isOwn($in, $pair)),
        ));
        $offsets = [];
        foreach ($page->rig->units as $unit) {
            foreach ($unit->pictures === [] ? [] : (new Offsets($hearing, $unit))->offsets as $offset) {
                $offsets[] = ['program' => $unit->name, 'offset' => $offset, 'name' => $page->rig->point($offset->at)->label];
            }
        }
        $this->offsets = $offsets;
        $this->measures = $this->measures();
        $this->noises = new Noises($in);
    }

    public function url(string $listener): string
    {
        return $this->page->url(['at' => $listener]);
    }

    public static function db(float $db): string
    {
        return str_replace('-', '−', number_format($db, 1));
    }

    /** @return list<HeardPair> */
    private function heardAt(Listener $listener): array
    {
        $pairs = array_map(fn (Source $source) => $this->page->hearing->pair($source->id, $listener->id), $this->page->rig->sources);

        return array_values(array_filter($pairs, fn (HeardPair $pair) => $pair->isHeard() && $pair->wish?->want !== Want::MustNot));
    }

    /** @return list<array{source: Source, microphone: string, preamp: Preamp, name: string, over: float, boosted: float}> */
    private function gains(): array
    {
        $gains = [];
        foreach ($this->page->rig->sources as $source) {
            foreach ($this->page->rig->listeners as $listener) {
                $pair = $this->page->hearing->pair($source->id, $listener->id);
                $chain = isset($gains[$source->id]) ? null : Chain::of($this->page->hearing->graph(), $pair);
                if ($chain?->preamp !== null) {
                    $boosted = Chain::of($this->page->hearing->graph(), $pair, self::BOOSTER_DB);
                    $gains[$source->id] = [
                        'source' => $source,
                        'microphone' => $this->page->rig->units[$source->origins[0]->at->unit]->name,
                        'preamp' => $chain->preamp,
                        'name' => $this->page->names->of($chain->preamp->at),
                        'over' => $chain->overNoise(),
                        'boosted' => $boosted?->overNoise() ?? $chain->overNoise(),
                    ];
                }
            }
        }

        return array_values($gains);
    }

    /** @return list<array{about: string, name: string, kind: MeasureKind, value: float|null, usual: float|null}> */
    private function measures(): array
    {
        $rows = [];
        $papers = $this->page->rig->papers;
        foreach ($this->page->rig->sources as $source) {
            $at = $source->origins[0]->at ?? null;
            if ($source->kind !== SourceKind::Voice || $at === null || $this->page->rig->point($at)->capsule === null) {
                continue;
            }
            $unit = $this->page->rig->units[$at->unit];
            $place = $this->page->rig->places[$unit->place];
            $rows["sources/{$source->id}"] = [MeasureKind::Speech, "{$source->name} talks with, at 1 m"];
            $rows["units/{$at->unit}/points/{$at->point}"] = [MeasureKind::Distance, "{$unit->name}, from the mouth"];
            $rows["places/{$place->id}"] = [MeasureKind::Noise, "Noise of the room, {$place->name}"];
        }

        return array_map(fn (string $about, array $row) => [
            'about' => $about,
            'name' => $row[1],
            'kind' => $row[0],
            'value' => $papers->measured($row[0])[$about] ?? null,
            'usual' => $row[0]->usual(),
        ], array_keys($rows), $rows);
    }
}
