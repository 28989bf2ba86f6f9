<?php

declare(strict_types=1);

namespace App\ViewModels;

use App\Models\Revision;
use App\Models\Rig as Record;
use HiddenWire\Core\Quantity\Count;
use Illuminate\Pagination\CursorPaginator;

/** A rig's revisions, the latest first, a page at a time and without their documents: pages go by number, however many there are. */
final readonly class RevisionList
{
    private const PER_PAGE = 50;

    /** @var CursorPaginator<int, Revision> */
    public CursorPaginator $revisions;

    public function __construct(private Record $record)
    {
        $this->revisions = $record->revisions()
            ->select(['id', 'rig_id', 'number', 'parent', 'user_id', 'what', 'name', 'gone', 'created_at'])
            ->with('user:id,name')->latest('number')->cursorPaginate(self::PER_PAGE);
    }

    /** Whether the rig is as it was then. */
    public function isNow(Revision $revision): bool
    {
        return $revision->number === $this->record->at;
    }

    /** Who made it, and how long ago. */
    public function by(Revision $revision): string
    {
        return ($revision->user->name ?? 'somebody').', '.$revision->created_at->diffForHumans();
    }

    /** "12 revisions before it were thinned out"; empty where none were. */
    public function gone(Revision $revision): string
    {
        return $revision->gone === 0 ? '' : Count::of($revision->gone, 'revision').' before it '
            .($revision->gone === 1 ? 'was' : 'were').' thinned out';
    }

    /** The address at which it is compared with the rig as it is. */
    public function compareUrl(Revision $revision): string
    {
        return route('rigs.compare', [$this->record->id, $revision->number, $this->record->at]);
    }
}
