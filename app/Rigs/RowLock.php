<?php

declare(strict_types=1);

namespace App\Rigs;

use App\Models\Crew;
use App\Models\Rig;
use App\Models\TestRun;
use Illuminate\Support\Facades\DB;

/**
 * The lock on a row, until the transaction ends. The row is written too: a lock alone holds on one node of a cluster only, and of two that
 * have written the same row one is sent back to try again.
 */
final class RowLock
{
    /** @throws \Illuminate\Database\Eloquent\ModelNotFoundException<Rig> when the rig is gone */
    public static function rig(int $id): Rig
    {
        $rig = Rig::query()->lockForUpdate()->findOrFail($id);
        self::write('rigs', $id);

        return $rig;
    }

    public static function crew(int $id): void
    {
        Crew::query()->whereKey($id)->lockForUpdate()->value('id');
        self::write('crews', $id);
    }

    public static function testRun(int $id): void
    {
        TestRun::query()->whereKey($id)->lockForUpdate()->value('id');
        self::write('test_runs', $id);
    }

    private static function write(string $table, int $id): void
    {
        DB::table($table)->where('id', $id)->increment('locks');
    }
}
