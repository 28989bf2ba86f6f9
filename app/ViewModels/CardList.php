<?php

declare(strict_types=1);

namespace App\ViewModels;

use HiddenWire\Core\Book\BookInput;
use HiddenWire\Core\Book\Cards;
use HiddenWire\Core\Book\Cards\RunDown;
use HiddenWire\Core\Book\CardStep;
use HiddenWire\Core\Rig\Phase;
use HiddenWire\Core\Rig\ShowStep;

/** The cards that a rig has, and the run-down with the steps that somebody has written. */
final readonly class CardList
{
    /** @var array<string, array<string, string>> titles by key, by the name of the kind */
    public array $kinds;

    /** @var array<string, list<string>> what follows from the rig, in words, by phase */
    private array $derived;

    public function __construct(private RigPage $page)
    {
        $source = new BookInput($page->rig);
        $this->kinds = array_diff_key(Cards::titles($source), [RunDown::name() => true]);
        $derived = [];
        foreach (Phase::cases() as $phase) {
            $derived[$phase->value] = array_map(fn (CardStep $step) => $step->words(), RunDown::derived($source, $phase));
        }
        $this->derived = $derived;
    }

    public function url(string $card): string
    {
        return route('rigs.card', [$this->page->record->id, $card]);
    }

    /** @return list<ShowStep> */
    public function stepsOf(Phase $phase): array
    {
        return $this->page->rig->papers->stepsOf($phase);
    }

    /** The steps with a time of their own on a line; null where fewer than two have one. */
    public function line(): ?TimeLine
    {
        $line = new TimeLine(array_merge(...array_map($this->stepsOf(...), Phase::cases())));

        return count($line->rows) < 2 ? null : $line;
    }

    /** @return list<string> what follows from the rig in a phase, in words */
    public function derivedOf(Phase $phase): array
    {
        return $this->derived[$phase->value];
    }
}
