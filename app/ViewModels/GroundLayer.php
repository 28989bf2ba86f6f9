<?php

declare(strict_types=1);

namespace App\ViewModels;

use HiddenWire\Core\Grounds\GroundCycle;
use HiddenWire\Core\Grounds\Grounds;
use HiddenWire\Core\Quantity\Count;
use HiddenWire\Core\Quantity\Listing;
use HiddenWire\Core\Rig\Cable;

/** What joins the grounds of units, for the map: which leads, which of them run in circles, which to isolate. */
final readonly class GroundLayer
{
    /** Lines of a box: one transformer a channel. */
    private const LINES_OF_A_BOX = 2;

    private Grounds $grounds;

    /** @var array<string, true> edges of the map that join grounds */
    private array $joins;

    /** @var array<string, true> those in a circle with an analog lead */
    private array $loops;

    /** @var array<string, true> those to isolate */
    private array $cuts;

    /** @var array<string, true> units with an earth pin */
    private array $earthed;

    /** @var list<array{label: string, at: string, url: string, channels: int, through: string}> */
    public array $toIsolate;

    public function __construct(RigPage $page)
    {
        $pulled = array_fill_keys($page->situation->pulled, true);
        $this->grounds = new Grounds($page->rig, $pulled);
        $edge = fn (Cable $cable): string => "cable:{$cable->id}";
        $joins = $loops = [];
        foreach ($this->grounds->edges as $one) {
            $joins[$edge($one->cable)] = true;
        }
        foreach ($this->grounds->cycles as $cycle) {
            foreach ([$cycle->closing, ...$cycle->cables] as $cable) {
                $loops[$edge($cable)] = true;
            }
        }
        $this->joins = $joins;
        $this->loops = $loops;
        $this->cuts = array_fill_keys(array_map($edge, $this->grounds->toIsolate), true);
        $this->earthed = array_fill_keys($this->grounds->earthed, true);
        $this->toIsolate = array_map(fn (GroundCycle $cycle) => [
            'label' => $cycle->closing->label,
            'at' => $page->names->of($this->grounds->receivingEnd($cycle->closing)),
            'url' => $page->url(['select' => "cable:{$cycle->closing->id}"]),
            'channels' => $this->grounds->channelsOf($cycle->closing),
            'through' => implode(', ', array_map(fn (string $unit) => $page->rig->units[$unit]->name, $cycle->units)),
        ], $this->grounds->cycles);
    }

    /** How a line is drawn: "ground", "ground loop", "ground loop cut"; empty for what joins no grounds. */
    public function classOf(string $edge): string
    {
        return ! isset($this->joins[$edge]) ? ''
            : 'ground'.(isset($this->loops[$edge]) ? ' ground-loop' : '').(isset($this->cuts[$edge]) ? ' ground-cut' : '');
    }

    public function isEarthed(string $unit): bool
    {
        return isset($this->earthed[$unit]);
    }

    /** "2 leads to isolate, 2 channels: 1 isolator of two lines"; what to buy. */
    public function summary(): string
    {
        $cables = $this->grounds->toIsolate;
        if ($cables === []) {
            return 'No analog lead runs in a circle of grounds.';
        }
        $stereo = count(array_filter($cables, fn (Cable $cable) => $this->grounds->channelsOf($cable) > 1));
        $boxes = array_filter([
            $stereo === 0 ? '' : Count::of((int) ceil($stereo / self::LINES_OF_A_BOX), 'isolator').' of two stereo lines',
            count($cables) === $stereo ? ''
                : Count::of((int) ceil((count($cables) - $stereo) / self::LINES_OF_A_BOX), 'isolator').' of two mono lines',
        ]);

        return Count::of(count($cables), 'lead').' to isolate, '.Count::of($this->grounds->channels(), 'channel').': '
            .Listing::of($boxes).'.';
    }
}
