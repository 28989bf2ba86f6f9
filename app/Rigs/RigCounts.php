<?php

declare(strict_types=1);

namespace App\Rigs;

use App\Models\Revision;
use App\Models\Rig;
use HiddenWire\Core\Document\InvalidDocument;
use HiddenWire\Core\Rig\Rig as CoreRig;
use Illuminate\Support\Facades\DB;

/** The state of a rig in its base situation, kept with its revision: a list of rigs reads none of them. */
final class RigCounts
{
    /** A larger rig is not heard at the change, but when somebody looks at the list. */
    private const AT_ONCE = 150;

    /** @return array{counts: array<string, int>|null, units: int, cables: int, build: string} columns of a revision that is being made */
    public static function columns(CoreRig $content): array
    {
        return self::all($content, isHeard: count($content->units) <= self::AT_ONCE);
    }

    /**
     * The same of a revision by which a rig is changed, while nobody else can change it: without hearing it, which is done when the answer
     * is on its way.
     *
     * @return array{counts: null, units: int, cables: int, build: string}
     */
    public static function columnsBefore(Rig $rig, int $number, CoreRig $content): array
    {
        if (count($content->units) <= self::AT_ONCE) {
            DB::afterCommit(fn () => defer(fn () => $rig->revisions()->where('number', $number)->whereNull('counts')->update([
                'counts' => json_encode(self::all($content, isHeard: true)['counts']),
            ])));
        }

        return ['counts' => null] + self::all($content, isHeard: false);
    }

    /** Whether a revision's counts are from this build of the core. */
    public static function isKnown(?Revision $revision): bool
    {
        return $revision?->counts !== null && $revision->build === CoreBuild::stamp();
    }

    /** Hears a rig and keeps its state; one that can't be read is marked so. */
    public static function learn(Rig $rig): void
    {
        try {
            $rig->revisions()->where('number', $rig->at)->update(array_map(
                fn (mixed $value) => is_array($value) ? json_encode($value) : $value,
                self::all(StoredRig::load($rig), isHeard: true),
            ));
        } catch (InvalidDocument $e) {
            self::mark($rig, $e);
        }
    }

    /** Marks a rig that can't be read: why, and which revision still can. */
    public static function mark(Rig $rig, InvalidDocument $e): void
    {
        Rig::query()->whereKey($rig->id)->toBase()->update([
            'trouble' => mb_strimwidth("{$e->problems[0]->pointer}: {$e->problems[0]->message}", 0, 400, '…'),
            'readable' => Recovery::lastReadable($rig)?->number,
        ]);
    }

    /** @return array{counts: array<string, int>|null, units: int, cables: int, build: string} */
    private static function all(CoreRig $content, bool $isHeard): array
    {
        return [
            'counts' => $isHeard ? Heard::in($content, $content->base())->counts() : null,
            'units' => count($content->units),
            'cables' => count($content->cables),
            'build' => CoreBuild::stamp(),
        ];
    }
}
