<?php

declare(strict_types=1);

namespace App\ViewModels;

use App\Exports\Drawings;
use App\Exports\Exports;
use App\Exports\LabelStock;
use App\Exports\Paper;
use App\Models\MadeBook;
use HiddenWire\Core\Book\BookInput;
use HiddenWire\Core\Book\Part;
use HiddenWire\Core\Book\Parts;
use HiddenWire\Core\Book\ScheduleOrder;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\RigParts;
use HiddenWire\Core\Rig\Situation;

/** What is picked for the book, and in which forms the rig can leave. */
final readonly class BookPage
{
    /**
     * @param  list<string>|null  $parts  null for the usual ones
     * @param  int|null  $revision  an earlier one; null for the rig as it is
     * @param  list<MadeBook>  $made  books that whoever looks has had made, the latest first
     * @param  string|null  $written  the book, as HTML; null where the page has to ask for it
     */
    public function __construct(
        private ?array $parts,
        public Paper $paper,
        public MapDepth $depth,
        public LabelStock $stock,
        private ?int $revision,
        public ScheduleOrder $order,
        public array $made,
        public ?string $written,
    ) {
    }

    /** "The usual 28 parts", "All 30 parts", "3 of 30 parts" */
    public function partsWords(): string
    {
        $all = count($this->titles());
        $picked = count(array_intersect($this->parts ?? Parts::usual(), array_keys($this->titles())));

        return match (true) {
            $this->parts === null => "The usual {$picked} parts",
            $picked === $all => "All {$all} parts",
            default => "{$picked} of {$all} parts",
        };
    }

    /** @return array<string, string> titles of all parts, by key */
    public function titles(): array
    {
        return array_map(fn (Part $part) => $part->title(), Parts::all());
    }

    /** @return array<string, string> what sheets of labels are called, by key */
    public function stocks(): array
    {
        return array_map(fn (LabelStock $one) => $one->name, LabelStock::all());
    }

    public function revision(): ?int
    {
        return $this->revision;
    }

    public function has(string $part): bool
    {
        return in_array($part, $this->parts ?? Parts::usual(), true);
    }

    /** @return array<string, string> what the forms are called, by key */
    public function forms(): array
    {
        $nothing = new BookInput(new Rig(new RigParts('', situations: [new Situation('base', 'Base')])));

        // The PDF is made in the background, with a button of its own.
        return array_diff_key(array_map(fn ($exporter) => $exporter->label(), Exports::all(new Drawings($nothing))), ['pdf' => true]);
    }

    /** @return array<string, string|list<string>> what is picked, for an address */
    public function query(): array
    {
        return [
            ...($this->parts === null ? [] : ['parts' => $this->parts]),
            ...($this->revision === null ? [] : ['revision' => (string) $this->revision]),
            'paper' => $this->paper->value, 'map' => $this->depth->value, 'labels' => $this->stock->key, 'order' => $this->order->value,
        ];
    }
}
