<?php

declare(strict_types=1);

namespace App\Rigs;

use App\Models\Rig;
use HiddenWire\Core\Document\InvalidDocument;
use HiddenWire\Core\Rig\Rig as CoreRig;
use Illuminate\Database\Connection;
use Illuminate\Database\Query\Builder;
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

    /** @var array{string, CoreRig}|null the last one: name of its state, content */
    private static ?array $last = null;

    /** @throws InvalidDocument when its rows are no rig; the record is marked so */
    public static function load(Rig $rig): CoreRig
    {
        $state = self::stateOf($rig);
        if (self::$last !== null && self::$last[0] === $state) {
            return self::$last[1];
        }
        $kept = Packed::get(self::key($rig));
        if (is_array($kept) && ($kept['state'] ?? null) === $state && $kept['rig'] instanceof CoreRig) {
            self::$last = [$state, $kept['rig']];

            return $kept['rig'];
        }
        try {
            $made = RigFromRows::rig($rig);
        } catch (InvalidDocument $e) {
            RigCounts::mark($rig, $e);

            throw $e;
        }
        self::keep($rig, $made);

        return $made;
    }

    /** Keeps a rig ready for the state that its record is in: what its rows hold. */
    public static function keep(Rig $rig, CoreRig $content): void
    {
        self::$last = [self::stateOf($rig), $content];
        KeptByState::tidyNowAndThen();
        Packed::put(self::key($rig), ['state' => self::stateOf($rig), 'rig' => $content], self::SECONDS);
    }

    /**
     * Names the state that a rig's record is in, with the build of the core: what is derived from it can be kept under this name. A
     * restored
     * backup has states of its own again, whatever the numbers of its revisions.
     */
    public static function stateOf(Rig $rig): string
    {
        return self::key($rig).":{$rig->revision}:{$rig->state}:".CoreBuild::stamp();
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

        return self::$identities[$connection] ??= (string) self::identities()->value('id');
    }

    /** Where a database says which one it is. */
    public static function identities(): Builder
    {
        return DB::table('identity')->select('id')->limit(1);
    }

    /** Takes over which database it is from whoever asked it with something else. */
    public static function identify(string $identity): void
    {
        self::$identities ??= new \WeakMap;
        self::$identities[DB::connection()] = $identity;
    }
}
