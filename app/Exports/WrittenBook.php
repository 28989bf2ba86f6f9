<?php

declare(strict_types=1);

namespace App\Exports;

use App\Models\Rig as Record;
use App\Rigs\CoreBuild;
use App\Rigs\StoredRig;
use App\Rigs\Turn;
use App\ViewModels\MapDepth;
use HiddenWire\Core\Book\Book;
use HiddenWire\Core\Book\ScheduleOrder;
use HiddenWire\Core\Quantity\Lengths;
use Illuminate\Support\Facades\Cache;

/** The book as HTML for a page: written once for a state of the rig, one at a time, and kept for whoever asks next. */
final readonly class WrittenBook
{
    /** Units times situations up to which it is written while a page waits. */
    private const AT_ONCE = 600;

    private const SECONDS = 3600;

    /** How long one writing keeps another of the same rig waiting, in seconds. */
    private const WAIT = 60;

    /**
     * @param  list<string>|null  $parts  null for all
     * @param  (\Closure(MapDepth): string)|null  $mapAt  where its page asks for a map once it is shown; null draws the maps into it
     */
    public function __construct(
        private Record $record,
        private ?array $parts,
        private ?int $revision = null,
        private ScheduleOrder $order = ScheduleOrder::Label,
        private ?\Closure $mapAt = null,
        private Lengths $lengths = Lengths::Metric,
    ) {
    }

    /** Null where it is not kept, and takes too long to write for a page that waits. */
    public function atOnce(): ?string
    {
        $rig = StoredRig::load($this->record);

        return $this->kept() ?? (count($rig->units) * count($rig->situations) <= self::AT_ONCE ? $this->write() : null);
    }

    public function html(): string
    {
        return $this->kept()
            ?? Turn::of("book:{$this->record->id}", self::WAIT)
                ->block(self::WAIT, fn (): string => $this->kept() ?? $this->write());
    }

    private function write(): string
    {
        $edition = Edition::of($this->record, $this->revision, order: $this->order, lengths: $this->lengths);
        $writer = (new BookHtml($edition->drawings, $this->parts, $this->mapAt))->writer($edition->source);
        $html = $writer->body(new Book($edition->source, $this->parts));
        // Where nobody has looked for the causes yet, it says so: that is true only now.
        if ($edition->source->causes() !== null) {
            Cache::put($this->key(), $html, self::SECONDS);
        }

        return $html;
    }

    /** @phpstan-impure */
    private function kept(): ?string
    {
        $html = Cache::get($this->key());

        return is_string($html) ? $html : null;
    }

    /** What is not in the rig's state, and shows in the book: names of revisions, pictures, the last book made. */
    private function key(): string
    {
        $besides = [
            $this->parts, $this->revision, $this->order->value, $this->lengths->value, $this->record->name, $this->mapAt === null,
            $this->record->revisions()->latest('number')->limit(60)->pluck('name')->all(),
            $this->record->pictures()->pluck('id')->all(), $this->record->books()->max('revision'),
        ];

        return 'book:'.StoredRig::stateOf($this->record).':'.CoreBuild::stamp().':'.hash('sha256', serialize($besides));
    }
}
