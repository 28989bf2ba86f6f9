<?php

declare(strict_types=1);

namespace App\Rigs;

use App\Models\Rig;
use HiddenWire\Core\Rig\Rig as CoreRig;
use Illuminate\Database\Connection;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;

/**
 * A stored rig, ready to compute with. Made from its rows; kept ready for the revision that it was made from, since a page is asked for
 * far more often than a rig is changed.
 */
final class StoredRig
{
    private const SECONDS = 86400;

    /** @var \WeakMap<Connection, string>|null the identity of each connection's database */
    private static ?\WeakMap $identities = null;

    /** @var array{string, int, CoreRig}|null the last one: key, revision, content */
    private static ?array $last = null;

    public static function load(Rig $rig): CoreRig
    {
        if (self::$last !== null && [self::$last[0], self::$last[1]] === [self::key($rig), $rig->revision]) {
            return self::$last[2];
        }
        $kept = Cache::get(self::key($rig));
        if (is_array($kept) && $kept['revision'] === $rig->revision && $kept['build'] === CoreBuild::stamp()
            && $kept['rig'] instanceof CoreRig) {
            self::$last = [self::key($rig), $rig->revision, $kept['rig']];

            return $kept['rig'];
        }
        $made = RigFromRows::rig($rig);
        self::keep($rig, $made);

        return $made;
    }

    /** Keeps a rig ready for the revision that its record is at: what its rows hold. */
    public static function keep(Rig $rig, CoreRig $content): void
    {
        self::$last = [self::key($rig), $rig->revision, $content];
        Cache::put(self::key($rig), ['revision' => $rig->revision, 'build' => CoreBuild::stamp(), 'rig' => $content], self::SECONDS);
    }

    /** Names the state that a rig's record is at: what is derived from it can be kept under this name. */
    public static function stateOf(Rig $rig): string
    {
        return self::key($rig).":{$rig->revision}:".CoreBuild::stamp();
    }

    /** The cache may be shared by databases, and outlive one: a database made afresh has another identity. */
    private static function key(Rig $rig): string
    {
        return 'rig:'.self::identity().":{$rig->id}";
    }

    private static function identity(): string
    {
        $connection = DB::connection();
        self::$identities ??= new \WeakMap;

        return self::$identities[$connection] ??= (string) $connection->table('identity')->value('id');
    }
}
