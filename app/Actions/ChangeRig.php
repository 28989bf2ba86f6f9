<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Rig;
use App\Models\User;
use App\Rigs\RigRows;
use App\Rigs\StoredRig;
use HiddenWire\Core\Document\DocumentReader;
use HiddenWire\Core\Document\DocumentWriter;
use HiddenWire\Core\Edit\RigEdit;
use HiddenWire\Core\Rig\InvalidRig;
use HiddenWire\Core\Rig\Rig as CoreRig;
use Illuminate\Support\Facades\DB;

/**
 * Every change of a rig's content: validated by the core, rows and revision in one transaction. Undoing goes to the revision that the present one was made from, redoing to the latest that was made from it;
 * both leave the history as it is, so nothing is lost.
 */
final class ChangeRig
{
    /**
     * Makes edits as one change.
     *
     * @param  non-empty-list<RigEdit>  $edits
     * @param  int  $seen  the rig's `revision` when the page was made
     *
     * @throws InvalidRig when there would be no rig then
     * @throws StaleEdit when somebody has changed the rig since
     */
    public function make(Rig $rig, User $by, array $edits, int $seen): void
    {
        DB::transaction(function () use ($rig, $by, $edits, $seen): void {
            $fresh = $this->locked($rig, $seen);
            $stored = $changed = StoredRig::load($fresh);
            $words = [];
            foreach ($edits as $edit) {
                $words[] = $edit->words($changed);
                $changed = $edit->applyTo($changed);
            }
            $this->record($fresh, $by, $stored, $changed, implode('; ', $words));
        });
    }

    /**
     * @return string|null what was undone; null where there is nothing to undo
     *
     * @throws StaleEdit
     */
    public function undo(Rig $rig, int $seen): ?string
    {
        return DB::transaction(function () use ($rig, $seen): ?string {
            $fresh = $this->locked($rig, $seen);
            $now = $fresh->revisions()->where('number', $fresh->at)->sole();
            if ($now->parent === null) {
                return null;
            }
            $this->goTo($fresh, $now->parent);

            return $now->what;
        });
    }

    /**
     * @return string|null what was done again; null where there is nothing to redo
     *
     * @throws StaleEdit
     */
    public function redo(Rig $rig, int $seen): ?string
    {
        return DB::transaction(function () use ($rig, $seen): ?string {
            $fresh = $this->locked($rig, $seen);
            $next = $fresh->revisions()->where('parent', $fresh->at)->latest('number')->first();
            if ($next === null) {
                return null;
            }
            $this->goTo($fresh, $next->number);

            return $next->what;
        });
    }

    /**
     * Brings a revision's state back as a new revision, which can be undone like any other.
     *
     * @throws StaleEdit
     */
    public function restore(Rig $rig, User $by, int $number, int $seen): void
    {
        DB::transaction(function () use ($rig, $by, $number, $seen): void {
            $fresh = $this->locked($rig, $seen);
            $old = $fresh->revisions()->where('number', $number)->sole();
            $this->record($fresh, $by, StoredRig::load($fresh), (new DocumentReader)->read($old->document), "Restored revision {$number}: {$old->what}");
        });
    }

    private function locked(Rig $rig, int $seen): Rig
    {
        $fresh = Rig::query()->lockForUpdate()->findOrFail($rig->id);
        if ($fresh->revision !== $seen) {
            $meanwhile = $fresh->revisions()->latest('number')->limit(max(1, min(5, $fresh->revision - $seen)))->pluck('what')->all();

            throw new StaleEdit(array_values(array_map(strval(...), $meanwhile)));
        }

        return $fresh;
    }

    private function record(Rig $rig, User $by, CoreRig $stored, CoreRig $changed, string $what): void
    {
        $number = (int) $rig->revisions()->max('number') + 1;
        $rig->revisions()->create(['number' => $number, 'parent' => $rig->at, 'user_id' => $by->id, 'what' => mb_strimwidth($what, 0, 400, '…'), 'document' => (new DocumentWriter)->write($changed)]);
        $this->put($rig, $stored, $changed, $number);
    }

    private function goTo(Rig $rig, int $number): void
    {
        $document = $rig->revisions()->where('number', $number)->sole()->document;
        $this->put($rig, StoredRig::load($rig), (new DocumentReader)->read($document), $number);
    }

    private function put(Rig $rig, CoreRig $stored, CoreRig $changed, int $number): void
    {
        RigRows::store($rig->id, $changed, $stored);
        $rig->update(['name' => $changed->name, 'summary' => $changed->summary, 'revision' => $rig->revision + 1, 'at' => $number]);
    }
}
