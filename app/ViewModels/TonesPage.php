<?php

declare(strict_types=1);

namespace App\ViewModels;

use App\Models\ToneTake;
use App\Takes\SimulatedTake;
use App\Takes\TakeReader;
use HiddenWire\Core\Quantity\Listing;
use HiddenWire\Core\Rig\Source;
use HiddenWire\Core\Tones\TonePlan;

/** The tone test of a rig: who plays what, which units record it, and the recordings so far. */
final readonly class TonesPage
{
    public TonePlan $plan;

    /** @param  list<ToneTake>  $takes  the latest first */
    public function __construct(public RigPage $page, public array $takes)
    {
        $this->plan = new TonePlan($page->hearing);
    }

    /**
     * @return array<string, list<array{source: Source, how: string, play: string, file: string, note: string}>> by place
     */
    public function playing(): array
    {
        $rig = $this->page->rig;
        $playing = [];
        foreach ($this->plan->signatures as $id => $signatures) {
            $source = $rig->sources[$id];
            $unit = array_values($source->origins)[0]->at->unit ?? null;
            $place = $unit === null ? null : $rig->places[$rig->units[$unit]->place] ?? null;
            $toMicrophone = $this->plan->isPlayedToMicrophone($source);
            $eaten = $this->plan->eaten[$id] ?? [];
            $playing[$place->name ?? ''][] = [
                'source' => $source,
                'how' => ($toMicrophone ? 'to the microphone: ' : 'as the sound of ')
                    .($unit === null ? '' : $rig->units[$unit]->name).(count($signatures) > 1 ? ', in stereo' : ''),
                'play' => route('rigs.tones.play', [$this->page->record, $id, 'situation' => $this->page->situation->id], false),
                'file' => route('rigs.tones.file', [$this->page->record, $id, 'situation' => $this->page->situation->id], false),
                'note' => $eaten === [] ? '' : 'In bursts: '.Listing::of($eaten).' would take steady tones away.',
            ];
        }

        return $playing;
    }

    /** @return list<Source> those for which there are too few signatures, or that begin nowhere */
    public function silent(): array
    {
        return array_values(array_diff_key($this->page->rig->sources, $this->plan->signatures));
    }

    /** @return array<array-key, string> names of those who speak into a microphone, by id */
    public function voices(): array
    {
        $spoken = array_filter($this->page->rig->sources, fn (Source $one) => $this->plan->isPlayedToMicrophone($one));

        return array_map(fn (Source $one) => $one->name, $spoken);
    }

    /** @return array<string, string> names of the units that record tracks, with how many, by id */
    public function recorders(): array
    {
        $recorders = [];
        foreach ($this->plan->tracks as $track) {
            $unit = $track->at[0]->unit;
            $recorders[$unit] ??= $this->page->rig->units[$unit]->name.': '
                .Listing::of(array_map(fn ($one) => $one->name, TakeReader::tracksOf($this->page->rig, $unit)));
        }

        return $recorders;
    }

    /** @return array<string, string> */
    public function hides(): array
    {
        return SimulatedTake::HIDES;
    }

    public function url(ToneTake $take): string
    {
        return route('rigs.tones.show', [$this->page->record, $take, 'situation' => $take->situation], false);
    }
}
