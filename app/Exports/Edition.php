<?php

declare(strict_types=1);

namespace App\Exports;

use App\Actions\UnreadableRevision;
use App\Models\BookState;
use App\Models\Revision;
use App\Models\Rig as Record;
use App\Rigs\CatalogueFiles;
use App\Rigs\Causes;
use App\Rigs\FoundCauses;
use App\Rigs\Recovery;
use App\Rigs\StoredRig;
use HiddenWire\Core\Book\BookInput;
use HiddenWire\Core\Book\Photo;
use HiddenWire\Core\Book\ScheduleOrder;
use HiddenWire\Core\Checks\Examination;
use HiddenWire\Core\Document\InvalidDocument;
use HiddenWire\Core\Planning\Hearings;
use HiddenWire\Core\Quantity\Lengths;
use HiddenWire\Core\Rig\Rig;
use Illuminate\Support\Facades\Storage;

/** A stored rig at one of its revisions, as everything that leaves the application is written from it. */
final readonly class Edition
{
    /** Units up to which causes are looked for while somebody waits. */
    private const LOOKED_AT_ONCE = 150;

    /** Revisions that the change log goes back. */
    private const CHANGES = 60;

    private function __construct(public BookInput $source, public Drawings $drawings)
    {
    }

    /**
     * @param  int|null  $number  of an earlier revision; null for the rig as it is
     * @param  bool  $isSigned  whether it says who made it and where: not for whoever has a link only
     * @param  bool  $isPatient  whether the causes of a large rig are looked for, too: nobody waits for the answer
     *
     * @throws InvalidDocument when the rig can't be read
     * @throws UnreadableRevision when the revision can't be read any more
     */
    public static function of(
        Record $record,
        ?int $number = null,
        bool $isPatient = false,
        ScheduleOrder $order = ScheduleOrder::Label,
        Lengths $lengths = Lengths::Metric,
        bool $isSigned = false,
    ): self {
        // A whole book takes longer than a page: memory is cleaned up on the way.
        gc_enable();
        $rig = $number === null ? StoredRig::load($record) : self::earlier($record, $number);
        $isLooked = $isPatient || count($rig->units) <= self::LOOKED_AT_ONCE;
        // Of the rig as it is they are kept once somebody has looked.
        $all = null;
        $looked = function () use ($number, $isLooked, $record, $rig, &$all): FoundCauses|Examination|null {
            return $all ??= match (true) {
                $number !== null => $isLooked ? Examination::of(new Hearings($rig)) : null,
                default => $isLooked ? Causes::of($record, $rig) : Causes::known($record),
            };
        };
        $known = fn (): ?array => $looked()?->causes;
        $findings = fn (): ?array => $looked()?->findings;
        $at = $number ?? $record->at;
        $changes = self::changes($record, $number);
        $now = $changes[$at] ?? null;
        $source = new BookInput(
            $rig,
            "Revision {$at}".($now === null || $now->name === '' ? '' : ", {$now->name}")
                .($now === null ? '' : ', '.$now->created_at->format('j F Y')),
            array_values(array_map(fn (Revision $one) => [
                $one->created_at->format('Y-m-d H:i'), $one->user->name ?? '', ($one->name === '' ? '' : "{$one->name}: ").$one->what,
            ], $changes)),
            $known,
            self::photos($record),
            self::sinceLast($record, $changes),
            $order,
            $findings,
            $lengths,
            CatalogueFiles::catalogue()->has(...),
            $isSigned ? implode(', ', array_filter([$now->user->name ?? '', route('rigs.wishes', $record->id)])) : '',
        );

        return new self($source, new Drawings($source, $number === null ? $record : null));
    }

    /** @return array<int, Revision> the revisions up to one, the latest first, by number */
    private static function changes(Record $record, ?int $until): array
    {
        return $record->revisions()->select(['id', 'rig_id', 'number', 'what', 'name', 'user_id', 'created_at'])
            ->with('user:id,name')->when($until !== null, fn ($query) => $query->where('number', '<=', $until))
            ->latest('number')->limit(self::CHANGES)->get()->keyBy('number')->all();
    }

    /** @return array<string, list<Photo>> by unit */
    private static function photos(Record $record): array
    {
        $photos = [];
        foreach ($record->pictures()->orderBy('id')->get() as $one) {
            $photos[$one->unit][] = new Photo(
                $one->caption === '' ? $one->created_at->format('j F Y') : "{$one->caption}, {$one->created_at->format('j F Y')}",
                $one->width,
                $one->height,
                fn (): string => (string) Storage::get($one->path()),
            );
        }

        return $photos;
    }

    /** @param  array<int, Revision>  $changes  the latest first, by number */
    private static function sinceLast(Record $record, array $changes): ?int
    {
        $last = $record->books()->where('state', BookState::Done)->max('revision');

        return $last === null ? null : count(array_filter(array_keys($changes), fn (int $number) => $number > $last));
    }

    /** @throws UnreadableRevision */
    private static function earlier(Record $record, int $number): Rig
    {
        $revision = $record->revisions()->where('number', $number)->first() ?? abort(404);

        return Recovery::read($revision) ?? throw new UnreadableRevision($number);
    }
}
