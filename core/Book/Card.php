<?php

declare(strict_types=1);

namespace HiddenWire\Core\Book;

/** What somebody does in order, under a desk with a phone in their hand: short steps that can be ticked. */
final readonly class Card
{
    /**
     * @param  string  $key  names it in an address: `run-down`, `unit/mixer`, `computer/cast-pc`, `guest/caller`
     * @param  string  $for  what or whom it is for, below the title
     * @param  array<string, list<CardStep>>  $sections  by heading; empty ones are left out
     */
    private function __construct(public string $key, public string $title, public string $for, public array $sections)
    {
    }

    /** @param  array<string, list<CardStep>>  $sections */
    public static function of(string $key, string $title, string $for, array $sections): self
    {
        return new self($key, $title, $for, array_filter($sections));
    }

    /**
     * The same card with some of its sections.
     *
     * @param  list<string>  $headings
     */
    public function only(array $headings): self
    {
        return new self($this->key, $this->title, $this->for, array_intersect_key($this->sections, array_flip($headings)));
    }

    /** @return list<string> what its steps are called, in order */
    public function stepKeys(): array
    {
        return array_map(fn (CardStep $step) => $step->key(), array_merge(...array_values($this->sections)));
    }

    /** Seconds of waiting in all of it. */
    public function waitsS(): int
    {
        return array_sum(array_map(fn (CardStep $step) => $step->waitS, array_merge(...array_values($this->sections))));
    }

    /**
     * For the book.
     *
     * @param  string  $of  whose it is, in front of each heading
     * @return list<Block>
     */
    public function blocks(string $of = ''): array
    {
        $blocks = [];
        foreach ($this->sections as $heading => $steps) {
            $blocks[] = new Heading($of === '' ? $heading : "{$of}: ".lcfirst($heading));
            $blocks[] = new Steps(array_map(fn (CardStep $step) => $step->words(), $steps));
        }

        return $blocks;
    }
}
