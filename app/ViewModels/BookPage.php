<?php

declare(strict_types=1);

namespace App\ViewModels;

use App\Actions\UnreadableRevision;
use App\Exports\Drawings;
use App\Exports\Exports;
use App\Exports\LabelStock;
use App\Exports\Paper;
use App\Models\Revision;
use App\Models\Rig as Record;
use App\Rigs\Causes;
use App\Rigs\Recovery;
use App\Rigs\StoredRig;
use HiddenWire\Core\Book\Part;
use HiddenWire\Core\Book\Parts;
use HiddenWire\Core\Book\Source;
use HiddenWire\Core\Document\InvalidDocument;
use HiddenWire\Core\Planning\Diagnosis;
use HiddenWire\Core\Planning\Hearings;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\RigParts;
use HiddenWire\Core\Rig\Situation;

/** What is picked for the book, and in which forms the rig can leave. */
final readonly class BookPage
{
    /** Units up to which causes are looked for while somebody waits. */
    private const LOOKED_AT_ONCE = 150;

    /** Revisions that the change log goes back. */
    private const CHANGES = 60;

    /**
     * @param  list<string>|null  $parts  null for all
     * @param  int|null  $revision  an earlier one; null for the rig as it is
     */
    public function __construct(
        private ?array $parts,
        public Paper $paper,
        public MapDepth $depth,
        public LabelStock $stock,
        private ?int $revision,
    ) {
    }

    /**
     * What the book of a stored rig is written from.
     *
     * @param  int|null  $number  of an earlier revision; null for the rig as it is
     * @param  bool  $isPatient  whether the causes of a large rig are looked for, too: nobody waits for the answer
     *
     * @throws InvalidDocument when the rig can't be read
     * @throws UnreadableRevision when the revision can't be read any more
     */
    public static function source(Record $record, ?int $number = null, bool $isPatient = false): Source
    {
        $at = $number ?? $record->at;
        $revisions = $record->revisions()->select(['id', 'rig_id', 'number', 'what', 'name', 'user_id', 'created_at'])
            ->with('user:id,name')->when($number !== null, fn ($query) => $query->where('number', '<=', $number))
            ->latest('number')->limit(self::CHANGES)->get();
        $now = $revisions->firstWhere('number', $at) ?? $revisions->first();
        $name = $now === null || $now->name === '' ? '' : ", {$now->name}";

        $rig = $number === null ? StoredRig::load($record) : self::earlier($record, $number);
        $isLooked = $isPatient || count($rig->units) <= self::LOOKED_AT_ONCE;
        // Of the rig as it is they are kept once somebody has looked.
        $known = fn (): ?array => $number === null
            ? ($isLooked ? Causes::of($record, $rig) : Causes::known($record))?->causes
            : ($isLooked ? (new Diagnosis(new Hearings($rig)))->causes() : null);

        return new Source(
            $rig,
            "Revision {$at}{$name}".($now === null ? '' : ', '.$now->created_at->format('j F Y')),
            array_values($revisions->map(fn (Revision $one) => [
                $one->created_at->format('Y-m-d H:i'), $one->user->name ?? '', ($one->name === '' ? '' : "{$one->name}: ").$one->what,
            ])->all()),
            $known,
        );
    }

    private static function earlier(Record $record, int $number): Rig
    {
        $revision = $record->revisions()->where('number', $number)->first() ?? abort(404);

        return Recovery::read($revision) ?? throw new UnreadableRevision($number);
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
        return $this->parts === null || in_array($part, $this->parts, true);
    }

    /** @return array<string, string> what the forms are called, by key */
    public function forms(): array
    {
        $nothing = new Source(new Rig(new RigParts('', situations: [new Situation('base', 'Base')])));

        // The PDF is made in the background, with a button of its own.
        return array_diff_key(array_map(fn ($exporter) => $exporter->label(), Exports::all(new Drawings($nothing))), ['pdf' => true]);
    }

    /** @return array<string, string|list<string>> what is picked, for an address */
    public function query(): array
    {
        return [
            ...($this->parts === null ? [] : ['parts' => $this->parts]),
            ...($this->revision === null ? [] : ['revision' => (string) $this->revision]),
            'paper' => $this->paper->value, 'map' => $this->depth->value, 'labels' => $this->stock->key,
        ];
    }
}
