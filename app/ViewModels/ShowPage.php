<?php

declare(strict_types=1);

namespace App\ViewModels;

use HiddenWire\Core\Controls\ControlReach;
use HiddenWire\Core\Controls\Positions;
use HiddenWire\Core\Quantity\Listing;
use HiddenWire\Core\Rig\Control;
use HiddenWire\Core\Rig\ControlNames;
use HiddenWire\Core\Rig\Situation;
use HiddenWire\Core\Rig\SituationRef;
use HiddenWire\Core\Rig\State;

/** The controls in the situation that is on: large, to have beside the keyboard. */
final readonly class ShowPage
{
    /** Sounds, and listeners, that are named of one control. */
    private const NAMED = 3;

    public ControlsPage $controls;

    private ControlReach $reach;

    private Positions $stops;

    private ControlNames $names;

    /** Whether what is seen on the real ones can be said here. */
    public bool $isUnlocked;

    public function __construct(public RigPage $page)
    {
        $this->controls = new ControlsPage($page);
        $this->reach = $this->controls->reach;
        $this->stops = new Positions(new State($page->rig, $page->situation));
        $this->names = new ControlNames($page->rig);
        $this->isUnlocked = $page->canEdit && $page->asked('unlocked') === '1';
    }

    /** @return list<string> the current state of what it moves; of several: "3 unmuted" */
    public function now(Control $control): array
    {
        $now = [];
        foreach ($control->moves as $move) {
            if (! $move->at instanceof SituationRef) {
                $now[] = $this->names->value($move, $this->stops->standing($move));
            }
        }

        $counts = array_count_values($now);

        return array_map(
            fn (string $words, int $count) => count($counts) === 1 ? $words : ($count > 1 ? "{$count} " : '').$words,
            array_keys($counts),
            $counts,
        );
    }

    /** "Music at Viewers and Archive": for whom what is louder or softer by it now; empty where nothing is. */
    public function does(Control $control): string
    {
        $sounds = $listeners = [];
        foreach ($this->reach->of($control, $this->page->situation->id) as $one) {
            if ($one->isInLevel()) {
                $sounds[$one->source->id] = $one->source->name;
                $listeners[$one->listener->id] = $one->listener->name;
            }
        }

        return $sounds === [] ? '' : Listing::of($sounds, self::NAMED).' at '.Listing::of($listeners, self::NAMED);
    }

    /** The situation to which the way by hand is asked for; null where none is. */
    public function to(): ?Situation
    {
        $to = $this->page->rig->situations[$this->page->asked('to')] ?? null;

        return $to === $this->page->situation ? null : $to;
    }

    public function byHandUrl(Situation $to): string
    {
        return route('rigs.by-hand', [$this->page->record, 'from' => $this->page->situation->id, 'to' => $to->id], false);
    }

    /** @return array{string, string, bool}|null the situation that it goes to, its address, and whether that is on; null of others */
    public function way(Control $control): ?array
    {
        $to = $this->page->rig->situations[$this->controls->goesTo($control) ?? ''] ?? null;

        return $to === null ? null : [$to->name, $this->page->url(['situation' => $to->id]), $to === $this->page->situation];
    }
}
