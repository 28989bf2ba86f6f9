<?php

declare(strict_types=1);

namespace App\Rigs;

use App\Models\Revision;
use App\Models\Rig;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/**
 * Takes old revisions out of a rig's history, where its owner wants that. Kept for good: the first and the last of each day, those with a
 * name, those of which a book, a test or a recording was made, those from which several were made, the current one, and all of the
 * last days. What stays points to the nearest that is kept.
 */
final class ThinHistory
{
    /** All revisions of so many days are kept. */
    public const DAYS = 90;

    private const AT_A_TIME = 500;

    /** @return int how many are gone by this */
    public static function of(Rig $rig): int
    {
        return RigTransaction::do(function () use ($rig): int {
            $fresh = RowLock::rig($rig->id);
            // Plain rows: there may be fifty thousand.
            $all = $fresh->revisions()->orderBy('number')->toBase()->get(['id', 'number', 'parent', 'name', 'base', 'gone', 'created_at'])
                ->keyBy('number');
            $kept = self::kept($fresh, $all);
            $goes = $all->diffKeys($kept);
            if (! $fresh->thins || $goes->isEmpty()) {
                return 0;
            }
            $homeless = self::standingOn($fresh, $goes, $kept);
            foreach ($goes->keys()->chunk(self::AT_A_TIME) as $numbers) {
                $fresh->revisions()->whereIn('number', $numbers)->delete();
            }
            foreach ($homeless as [$revision, $text]) {
                $revision->document = $text;
                $revision->pack();
                $revision->save();
            }
            self::point($all, $kept);

            return $goes->count();
        });
    }

    /**
     * @param  Collection<array-key, \stdClass>  $all  by number
     * @return array<int, true> numbers that stay
     */
    private static function kept(Rig $rig, Collection $all): array
    {
        $kept = [$rig->at => true];
        $since = now()->subDays(self::DAYS)->toDateTimeString();
        $days = $children = [];
        foreach ($all as $number => $one) {
            if ($one->name !== '' || $one->created_at >= $since) {
                $kept[$number] = true;
            }
            $days[substr($one->created_at, 0, 10)][] = $number;
            $children[$one->parent][] = $number;
        }
        foreach ($days as $numbers) {
            $kept[$numbers[0]] = $kept[$numbers[count($numbers) - 1]] = true;
        }
        $kept += array_fill_keys(array_keys(array_filter($children, fn (array $made) => count($made) > 1)), true);
        foreach (['books', 'test_runs', 'tone_takes'] as $table) {
            $used = DB::table($table)->where('rig_id', $rig->id)->whereNotNull('revision')->pluck('revision');
            $kept += array_fill_keys($used->all(), true);
        }

        return array_intersect_key($kept, $all->all());
    }

    /**
     * Those that stay and stand on a full one that goes, with their documents: they have to be packed anew.
     *
     * @param  Collection<array-key, \stdClass>  $goes
     * @param  array<int, true>  $kept
     * @return list<array{Revision, string}> in the order of their numbers
     */
    private static function standingOn(Rig $rig, Collection $goes, array $kept): array
    {
        $full = $goes->filter(fn (\stdClass $one) => $one->base === null)->keys();
        $homeless = [];
        foreach ($full->chunk(self::AT_A_TIME) as $numbers) {
            foreach ($rig->revisions()->whereIn('base', $numbers)->whereIn('number', array_keys($kept))->orderBy('number')->get() as $one) {
                $homeless[] = [$one, $one->document];
            }
        }

        return $homeless;
    }

    /**
     * @param  Collection<array-key, \stdClass>  $all  as it was
     * @param  array<int, true>  $kept
     */
    private static function point(Collection $all, array $kept): void
    {
        $gone = 0;
        foreach ($all as $number => $one) {
            if (! isset($kept[$number])) {
                $gone += 1 + $one->gone;

                continue;
            }
            $parent = $one->parent;
            while ($parent !== null && ! isset($kept[$parent])) {
                $parent = $all[$parent]->parent ?? null;
            }
            if ($gone > 0 || $parent !== $one->parent) {
                DB::table('revisions')->where('id', $one->id)->update(['parent' => $parent, 'gone' => $one->gone + $gone]);
            }
            $gone = 0;
        }
    }
}
