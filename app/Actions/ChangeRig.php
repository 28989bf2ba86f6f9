<?php

declare(strict_types=1);

namespace App\Actions;

use App\Jobs\ThinRig;
use App\Models\Revision;
use App\Models\Rig;
use App\Models\SentEdit;
use App\Models\User;
use App\Rigs\Recovery;
use App\Rigs\RigCounts;
use App\Rigs\RigRows;
use App\Rigs\RigTransaction;
use App\Rigs\RowLock;
use App\Rigs\StoredRig;
use HiddenWire\Core\Document\DocumentReader;
use HiddenWire\Core\Document\DocumentWriter;
use HiddenWire\Core\Document\InvalidDocument;
use HiddenWire\Core\Edit\RigEdit;
use HiddenWire\Core\History\Elements;
use HiddenWire\Core\Rig\InvalidRig;
use HiddenWire\Core\Rig\Rig as CoreRig;
use Illuminate\Support\Facades\DB;

/**
 * Every change of a rig's content: validated by the core, rows and revision in one transaction. Undoing goes to the revision that the
 * present one was made from, redoing to the latest that was made from it; both leave the history as it is, so nothing is lost.
 */
final class ChangeRig
{
    /**
     * Makes edits as one change. Where somebody has changed the rig since the page was made, the edits are joined with theirs as long as
     * the two touch different elements.
     *
     * @param  callable(CoreRig): list<RigEdit>  $edits  the edits, read against the rig as it is now
     * @param  int  $seen  the rig's `revision` when the page was made
     * @param  int|null  $seenAt  number of the revision whose state the page showed
     * @param  string|null  $id  what the change was sent with
     *
     * @throws InvalidRig when there would be no rig then
     * @throws StaleEdit when somebody has changed the same things since
     * @throws AlreadyMade when it was sent before
     */
    public function make(Rig $rig, User $by, callable $edits, int $seen, ?int $seenAt = null, ?string $id = null): MadeChange
    {
        return RigTransaction::do(function () use ($rig, $by, $edits, $seen, $seenAt, $id): MadeChange {
            $fresh = $this->fresh($rig, $id);
            $from = clone $fresh;
            $stored = $changed = StoredRig::load($fresh);
            $words = [];
            foreach ($edits($stored) as $edit) {
                $words[] = $edit->words($changed);
                $changed = $edit->applyTo($changed);
            }
            $meanwhile = $fresh->revision === $seen ? [] : $this->apart($fresh, $seen, $seenAt, $stored, $changed);
            $what = implode('; ', array_unique($words));
            if ($words !== []) {
                $this->record($fresh, $by, $stored, $changed, $what);
            }
            $this->sent($fresh, $id, $what);

            return new MadeChange($from, $fresh, $stored, $changed, $what, $meanwhile);
        }, $id !== null);
    }

    /**
     * @return string|null what was undone; null where there is nothing to undo
     *
     * @throws StaleEdit
     * @throws AlreadyMade
     */
    public function undo(Rig $rig, int $seen, ?string $id = null): ?string
    {
        return RigTransaction::do(function () use ($rig, $seen, $id): ?string {
            $fresh = $this->locked($rig, $seen, $id);
            $now = $fresh->revisions()->select(['parent', 'what'])->where('number', $fresh->at)->sole();
            if ($now->parent === null) {
                return null;
            }
            $this->goTo($fresh, $now->parent);
            $this->sent($fresh, $id, "Undone: {$now->what}");

            return $now->what;
        }, $id !== null);
    }

    /**
     * @return string|null what was done again; null where there is nothing to redo
     *
     * @throws StaleEdit
     * @throws AlreadyMade
     */
    public function redo(Rig $rig, int $seen, ?string $id = null): ?string
    {
        return RigTransaction::do(function () use ($rig, $seen, $id): ?string {
            $fresh = $this->locked($rig, $seen, $id);
            $next = $fresh->revisions()->select(['number', 'what'])->where('parent', $fresh->at)->latest('number')->first();
            if ($next === null) {
                return null;
            }
            $this->goTo($fresh, $next->number);
            $this->sent($fresh, $id, "Redone: {$next->what}");

            return $next->what;
        }, $id !== null);
    }

    /**
     * Brings a revision's state back as a new revision, which can be undone like any other.
     *
     * @throws StaleEdit
     * @throws AlreadyMade
     */
    public function restore(Rig $rig, User $by, int $number, int $seen, ?string $id = null): void
    {
        RigTransaction::do(function () use ($rig, $by, $number, $seen, $id): void {
            $fresh = $this->locked($rig, $seen, $id);
            $old = $fresh->revisions()->where('number', $number)->sole();
            $stored = StoredRig::load($fresh);
            $this->record(
                $fresh,
                $by,
                $stored,
                $this->content($fresh, $stored, $old),
                "Restored revision {$number}: {$old->what}",
            );
            $this->sent($fresh, $id, "Revision {$number} is back.");
        }, $id !== null);
    }

    /** The rig's record, locked. @throws AlreadyMade when what was sent with this id is made */
    private function fresh(Rig $rig, ?string $id): Rig
    {
        $fresh = RowLock::rig($rig->id);
        $made = $id === null ? null : SentEdit::query()->find($id);

        return $made === null ? $fresh : throw new AlreadyMade($made);
    }

    private function sent(Rig $fresh, ?string $id, string $said): void
    {
        if ($id !== null) {
            SentEdit::query()->create(['id' => $id, 'rig_id' => $fresh->id, 'said' => $said]);
        }
    }

    /**
     * @throws StaleEdit when somebody has changed the rig since
     * @throws AlreadyMade
     */
    private function locked(Rig $rig, int $seen, ?string $id): Rig
    {
        $fresh = $this->fresh($rig, $id);

        return $fresh->revision === $seen ? $fresh : throw new StaleEdit($this->meanwhile($fresh, $seen));
    }

    /**
     * What was done since, where it is apart from the change.
     *
     * @return list<string>
     *
     * @throws StaleEdit where it is not, or what the page showed is not known
     */
    private function apart(Rig $fresh, int $seen, ?int $seenAt, CoreRig $stored, CoreRig $changed): array
    {
        $meanwhile = $this->meanwhile($fresh, $seen);
        $theirs = $seenAt === null ? null : $this->changedSince($fresh, $seenAt, $stored);
        if ($theirs === null || array_intersect($theirs, Elements::changed($stored, $changed)) !== []) {
            throw new StaleEdit($meanwhile);
        }

        return $meanwhile;
    }

    /**
     * What a rig does not have as a revision had it.
     *
     * @return list<string>|null null where the revision is not there, or can't be read any more: then nobody can tell
     */
    private function changedSince(Rig $fresh, int $number, CoreRig $stored): ?array
    {
        $shown = $fresh->revisions()->where('number', $number)->first();
        if ($shown === null) {
            return null;
        }
        // What has a sum is as it was written.
        $changed = $shown->sum === null ? null : Elements::changedIn($shown->document, StoredRig::document($fresh));
        if ($changed !== null) {
            return $changed;
        }
        $was = Recovery::read($shown);

        return $was === null ? null : Elements::changed($was, $stored);
    }

    /** @return list<string> in words, the latest first */
    private function meanwhile(Rig $fresh, int $seen): array
    {
        return array_values(array_map(
            strval(...),
            $fresh->revisions()->latest('number')->limit(max(1, min(5, $fresh->revision - $seen)))->pluck('what')->all(),
        ));
    }

    private function record(Rig $rig, User $by, CoreRig $stored, CoreRig $changed, string $what): void
    {
        $number = (int) $rig->revisions()->max('number') + 1;
        $document = (new DocumentWriter)->rewrite($changed, $stored, StoredRig::document($rig));
        // What can't be read again is not kept.
        (new DocumentReader)->judgeChange($changed, $stored);
        $rig->revisions()->create([
            'number' => $number,
            'parent' => $rig->at,
            'user_id' => $by->id,
            'what' => mb_strimwidth($what, 0, 400, '…'),
            'document' => $document,
            ...RigCounts::columnsBefore($rig, $number, $changed),
        ]);
        $this->put($rig, $stored, $changed, $number, Revision::sum($document));
    }

    /**
     * What a revision says, read beside what the rig is now.
     *
     * @throws UnreadableRevision
     */
    private function content(Rig $rig, CoreRig $stored, Revision $revision): CoreRig
    {
        try {
            return (new DocumentReader)->readStoredBeside($revision->document, $stored, StoredRig::document($rig));
        } catch (InvalidDocument) {
            throw new UnreadableRevision($revision->number);
        }
    }

    /** @throws UnreadableRevision */
    private function goTo(Rig $rig, int $number): void
    {
        $stored = StoredRig::load($rig);
        $revision = $rig->revisions()->where('number', $number)->sole();
        $this->put($rig, $stored, $this->content($rig, $stored, $revision), $number, Revision::sum($revision->document));
    }

    private function put(Rig $rig, CoreRig $stored, CoreRig $changed, int $number, string $sum): void
    {
        RigRows::store($rig->id, $changed, $stored);
        $rig->enter($changed, $number);
        DB::afterCommit(function () use ($rig, $changed, $sum): void {
            StoredRig::keep($rig, $changed, $sum);
            ThinRig::ask($rig);
        });
    }
}
