<?php

declare(strict_types=1);

namespace App\Rigs;

use App\Models\Revision;
use App\Models\Rig;
use HiddenWire\Core\Document\DocumentReader;
use HiddenWire\Core\Document\DocumentWriter;
use HiddenWire\Core\Document\InvalidDocument;
use HiddenWire\Core\Rig\Rig as CoreRig;
use Illuminate\Database\Connection;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

/**
 * A stored rig, ready to compute with. Made from its rows; kept ready for the state that it was made from, since a page is asked for far
 * more often than a rig is changed. Where another web server has changed it since, what is kept catches up by the two revisions: only what
 * they do not say alike is read.
 */
final class StoredRig
{
    private const SECONDS = 86400;

    /** @var \WeakMap<Connection, string>|null the identity of each connection's database */
    private static ?\WeakMap $identities = null;

    /** @var array{string, CoreRig, string|null}|null the last one: name of its state, content, sum of its document */
    private static ?array $last = null;

    /** @var array{string, string}|null the last document that was asked for: name of its state, text */
    private static ?array $document = null;

    /** @throws InvalidDocument when its rows are no rig; the record is marked so */
    public static function load(Rig $rig): CoreRig
    {
        $state = self::stateOf($rig);
        if (self::$last !== null && self::$last[0] === $state) {
            return self::$last[1];
        }
        $kept = Packed::get(self::key($rig));
        $kept = is_array($kept) && ($kept['rig'] ?? null) instanceof CoreRig ? $kept : null;
        if ($kept !== null && ($kept['state'] ?? null) === $state) {
            self::$last = [$state, $kept['rig'], $kept['sum'] ?? null];

            return $kept['rig'];
        }
        // Another build may hold a rig in another way.
        $made = ($kept['build'] ?? null) === CoreBuild::stamp() ? self::caughtUp($rig, $kept['rig'], $kept['at'], $kept['sum']) : null;
        if ($made !== null) {
            return $made;
        }
        try {
            $made = RigFromRows::rig($rig);
        } catch (InvalidDocument $e) {
            RigCounts::mark($rig, $e);

            throw $e;
        }
        self::keep($rig, $made, Revision::sum((new DocumentWriter)->write($made)));

        return $made;
    }

    /**
     * Keeps a rig ready for the state that its record is in: what its rows hold.
     *
     * @param  string  $sum  of its document, which it catches up from where its revision has the same
     */
    public static function keep(Rig $rig, CoreRig $content, string $sum): void
    {
        self::$last = [self::stateOf($rig), $content, $sum];
        KeptByState::tidyNowAndThen();
        Packed::put(
            self::key($rig),
            ['state' => self::stateOf($rig), 'build' => CoreBuild::stamp(), 'rig' => $content, 'at' => $rig->at, 'sum' => $sum],
            self::SECONDS,
        );
    }

    /**
     * The canonical document of what {@see load()} gives: that of its revision, where this says what the rows do.
     *
     * @throws InvalidDocument when its rows are no rig
     */
    public static function document(Rig $rig): string
    {
        $stored = self::load($rig);
        $state = self::stateOf($rig);
        if (self::$document !== null && self::$document[0] === $state) {
            return self::$document[1];
        }
        $revision = $rig->revisions()->where('number', $rig->at)->first();
        $text = $revision !== null && $revision->sum === (self::$last[2] ?? '') ? $revision->document : '';
        self::$document = [$state, $text === '' ? (new DocumentWriter)->write($stored) : $text];

        return self::$document[1];
    }

    /**
     * What a rig is now, from what it was at a revision; null where that is not as it was then, or can't be told.
     *
     * @param  string  $sum  of the document at that revision
     */
    private static function caughtUp(Rig $rig, CoreRig $was, int $at, string $sum): ?CoreRig
    {
        $revisions = $rig->revisions()->whereIn('number', [$at, $rig->at])->get()->keyBy('number');
        $before = $revisions[$at] ?? null;
        $now = $revisions[$rig->at] ?? null;
        // What was never packed has no sum. Numbers come again after a backup is restored; what they stand for then has another one.
        if ($now?->sum === null || $before?->sum !== $sum) {
            return null;
        }
        try {
            $made = (new DocumentReader)->readStoredBeside($now->document, $was, $before->document);
        } catch (InvalidDocument) {
            return null;
        }
        self::keep($rig, $made, $now->sum);

        return $made;
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
