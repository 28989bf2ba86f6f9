<?php

declare(strict_types=1);

namespace App\Exports;

use App\ViewModels\MapDepth;

/** Where a page that shows a rig's book asks for what comes after it. */
final readonly class BookAddresses
{
    /**
     * @param  string  $state  of the rig: what comes after the page is asked for anew where it is another one
     * @param  array<string, string|int|list<string>>  $picks  of the book: parts, revision, order, and so on
     */
    public function __construct(private int $rig, public string $state, private array $picks)
    {
    }

    public function chapter(string $key): string
    {
        return route('rigs.book.chapter', ['rig' => $this->rig, 'chapter' => $key, ...$this->picks]);
    }

    public function map(MapDepth $depth): string
    {
        return route('rigs.book.map', [
            'rig' => $this->rig, 'depth' => $depth->value, ...array_intersect_key($this->picks, ['revision' => true]),
        ]);
    }
}
