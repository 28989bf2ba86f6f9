<?php

declare(strict_types=1);

namespace HiddenWire\Core\Book;

/** A rig on paper: its parts with their blocks, in order, ready to be written in any form. */
final readonly class Book
{
    /** @var list<array{part: Part, blocks: list<Block>}> parts that have something to say */
    public array $chapters;

    public string $title;

    public string $edition;

    /** Who made it, and where it can be looked at. */
    public string $from;

    /** @param  list<string>|null  $parts  null for all */
    public function __construct(BookInput $source, ?array $parts = null)
    {
        $this->title = $source->rig->name;
        $this->edition = $source->edition;
        $this->from = $source->from;
        $chapters = [];
        foreach (Parts::of($parts) as $part) {
            $blocks = $part->blocks($source);
            if ($blocks !== []) {
                $chapters[] = ['part' => $part, 'blocks' => $blocks];
            }
        }
        $this->chapters = $chapters;
    }
}
