<?php

declare(strict_types=1);

namespace App\ViewModels;

use HiddenWire\Core\Rig\Listener;
use HiddenWire\Core\Signal\HeardPair;

/** Who hears what for a narrow screen: one listener after the other, what is wrong apart. */
final readonly class ByListener
{
    /** Cells up to which each has a mark. */
    private const MARKED = 160;

    /** @var list<array{listener: Listener, marked: list<HeardPair>, wrong: list<HeardPair>}> `marked` is empty in a large table */
    public array $rows;

    public int $odds;

    public int $cells;

    public function __construct(RigPage $page)
    {
        $this->odds = count($page->atOdds());
        $this->cells = count($page->rig->sources) * count($page->rig->listeners);
        $rows = [];
        foreach ($page->rig->listeners as $listener) {
            $pairs = array_values(array_map(
                fn ($source) => $page->hearing->pair($source->id, $listener->id),
                $page->rig->sources,
            ));
            $rows[] = [
                'listener' => $listener,
                'marked' => $this->cells <= self::MARKED ? $pairs : [],
                'wrong' => array_values(array_filter($pairs, fn (HeardPair $pair) => $pair->verdict->isAtOdds())),
            ];
        }
        $this->rows = $rows;
    }
}
