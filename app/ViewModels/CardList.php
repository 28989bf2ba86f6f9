<?php

declare(strict_types=1);

namespace App\ViewModels;

use HiddenWire\Core\Book\Card;
use HiddenWire\Core\Book\Cards;
use HiddenWire\Core\Book\Source;
use HiddenWire\Core\Rig\Phase;
use HiddenWire\Core\Rig\ShowStep;

/** The cards that a rig has, and the run-down with the steps that somebody has written. */
final readonly class CardList
{
    /** @var array<string, array<string, string>> titles by key, by the name of the kind */
    public array $kinds;

    public Card $runDown;

    public function __construct(private RigPage $page)
    {
        $source = new Source($page->rig);
        $this->kinds = array_diff_key(Cards::titles($source), ['Run-down' => true]);
        $this->runDown = Cards::card($source, 'run-down') ?? throw new \LogicException('Every rig has a run-down.');
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

    /** @return list<string> what follows from the rig in a phase, in words */
    public function derivedOf(Phase $phase): array
    {
        $written = array_map(fn (ShowStep $step) => $step->text, $this->stepsOf($phase));
        $derived = [];
        foreach ($this->runDown->sections[$phase->label()] ?? [] as $step) {
            $at = array_search($step->text, $written, true);
            if ($at === false) {
                $derived[] = $step->words();
            } else {
                unset($written[$at]);
            }
        }

        return $derived;
    }
}
