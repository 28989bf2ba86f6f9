<?php

declare(strict_types=1);

namespace App\Rigs;

use App\Models\Revision;
use App\Models\Rig;
use App\Models\User;
use HiddenWire\Core\Document\DocumentReader;
use HiddenWire\Core\Document\DocumentWriter;
use HiddenWire\Core\Document\InvalidDocument;
use HiddenWire\Core\Rig\Rig as CoreRig;
use Illuminate\Support\Facades\DB;

/** A stored rig that can't be read any more: its last revision that can, and the way back to it. */
final class Recovery
{
    /** Revisions that are looked at, the latest first. */
    private const REVISIONS = 50;

    public static function lastReadable(Rig $rig): ?Revision
    {
        foreach ($rig->revisions()->latest('number')->limit(self::REVISIONS)->get() as $revision) {
            if (self::read($revision) !== null) {
                return $revision;
            }
        }

        return null;
    }

    /** Brings the last readable revision back as a new one; null where there is none. */
    public static function recover(Rig $rig, User $by): ?Revision
    {
        return RigTransaction::do(function () use ($rig, $by): ?Revision {
            $fresh = RowLock::rig($rig->id);
            $last = self::lastReadable($fresh);
            $content = $last === null ? null : self::read($last);
            if ($last === null || $content === null) {
                return null;
            }
            $number = (int) $fresh->revisions()->max('number') + 1;
            $revision = $fresh->revisions()->create([
                'number' => $number,
                'parent' => $last->number,
                'user_id' => $by->id,
                'what' => "Recovered revision {$last->number}",
                'document' => $last->document,
                ...RigCounts::columns($content),
            ]);
            RigRows::store($fresh->id, $content);
            $fresh->enter($content, $number);
            DB::afterCommit(fn () => StoredRig::keep($fresh, $content, Revision::sum($last->document)));

            return $revision;
        });
    }

    /** A rig's document, also of one that can't be read: as it was kept last. Null where there is none. */
    public static function document(Rig $rig): ?string
    {
        try {
            return (new DocumentWriter)->write(StoredRig::load($rig));
        } catch (InvalidDocument) {
            return $rig->revisions()->latest('number')->first()?->document;
        }
    }

    /** Null where the document can't be read any more. */
    public static function read(Revision $revision): ?CoreRig
    {
        try {
            return (new DocumentReader)->readStored($revision->document);
        } catch (InvalidDocument) {
            return null;
        }
    }
}
