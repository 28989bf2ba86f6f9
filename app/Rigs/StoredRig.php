<?php

declare(strict_types=1);

namespace App\Rigs;

use App\Models\Rig;
use HiddenWire\Core\Rig\Rig as CoreRig;
use Illuminate\Support\Facades\Cache;

/**
 * A stored rig, ready to compute with. Made from its rows; kept ready for the revision that it was made from, since a page is asked for far more often than a rig is changed.
 */
final class StoredRig
{
    private const SECONDS = 86400;

    public static function load(Rig $rig): CoreRig
    {
        // The cache may be shared by applications with databases of their own.
        $key = 'rig:'.config('database.connections.mariadb.database').":{$rig->id}";
        $kept = Cache::get($key);
        if (is_array($kept) && $kept['revision'] === $rig->revision && $kept['build'] === CoreBuild::stamp() && $kept['rig'] instanceof CoreRig) {
            return $kept['rig'];
        }
        $made = RigFromRows::rig($rig);
        Cache::put($key, ['revision' => $rig->revision, 'build' => CoreBuild::stamp(), 'rig' => $made], self::SECONDS);

        return $made;
    }
}
