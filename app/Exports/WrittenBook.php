<?php

declare(strict_types=1);

namespace App\Exports;

use App\Models\Rig as Record;
use App\Rigs\Causes;
use App\Rigs\CoreBuild;
use App\Rigs\Packed;
use App\Rigs\StoredRig;
use App\Rigs\Turn;
use HiddenWire\Core\Book\Book;
use HiddenWire\Core\Book\ScheduleOrder;
use HiddenWire\Core\Quantity\Lengths;

/** The book as HTML for a page: written once for a state of the rig, one at a time, and kept for whoever asks next. */
final readonly class WrittenBook
{
    /** Units times situations up to which it is written while a page waits. */
    private const AT_ONCE = 600;

    private const SECONDS = 3600;

    /** Ends the name of a book in which the causes are not known. */
    private const UNEXAMINED = ':unexamined';

    /** How long one writing keeps another of the same rig waiting, in seconds. */
    private const WAIT = 60;

    /**
     * @param  list<string>|null  $parts  null for all
     * @param  BookAddresses|null  $later  where its page asks for maps and long chapters once it is shown; null has them in it
     */
    public function __construct(
        private Record $record,
        private ?array $parts,
        private ?int $revision = null,
        private ScheduleOrder $order = ScheduleOrder::Label,
        private ?BookAddresses $later = null,
        private Lengths $lengths = Lengths::Metric,
    ) {
    }

    /** Null where it is not kept, and takes too long to write for a page that waits. */
    public function atOnce(): ?string
    {
        $rig = StoredRig::load($this->record);
        $isQuick = count($rig->units) * count($rig->situations) <= self::AT_ONCE;

        return ($this->kept() ?? ($isQuick ? $this->write() : null))?->html($this->later);
    }

    public function html(): string
    {
        return $this->body()->html($this->later);
    }

    /** The contents of a part's section; null where it has nothing to say. */
    public function chapter(string $key): ?string
    {
        return $this->body()->chapter($key)?->html;
    }

    private function body(): BookBody
    {
        return $this->kept()
            ?? Turn::of("book:{$this->record->id}", self::WAIT)
                ->block(self::WAIT, fn (): BookBody => $this->kept() ?? $this->write());
    }

    private function write(): BookBody
    {
        $edition = Edition::of($this->record, $this->revision, order: $this->order, lengths: $this->lengths);
        $writer = (new BookHtml($edition->drawings, $this->parts, $this->later))->writer($edition->source);
        $body = $writer->body(new Book($edition->source, $this->parts));
        // Where nobody has looked for the causes yet, it says so: that is true only until somebody has.
        Packed::put($this->key().($edition->source->causes() === null ? self::UNEXAMINED : ''), $body, self::SECONDS);

        return $body;
    }

    /** @phpstan-impure */
    private function kept(): ?BookBody
    {
        $key = $this->key();
        $isExamined = $this->revision === null && Causes::areKnown($this->record);
        $body = Packed::get($key) ?? ($isExamined ? null : Packed::get($key.self::UNEXAMINED));

        return $body instanceof BookBody ? $body : null;
    }

    /** What is not in the rig's state, and shows in the book: names of revisions, pictures, the last book made. */
    private function key(): string
    {
        $besides = [
            $this->parts, $this->revision, $this->order->value, $this->lengths->value, $this->record->name, $this->later === null,
            $this->record->revisions()->latest('number')->limit(60)->pluck('name')->all(),
            $this->record->pictures()->pluck('id')->all(), $this->record->books()->max('revision'),
        ];

        return 'book:'.StoredRig::stateOf($this->record).':'.CoreBuild::stamp().':'.hash('sha256', serialize($besides));
    }
}
