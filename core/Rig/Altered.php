<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig;

/**
 * What of some parts is not as it is in the rig that they were made from. Objects are compared by identity: an edit makes anew what it
 * changes and hands on the rest.
 */
final readonly class Altered
{
    /** The lists of a rig, as {@see RigParts} calls them. */
    public const LISTS = [
        'places', 'models', 'units', 'cables', 'devices', 'picks', 'air', 'sources', 'listeners', 'wishes', 'situations', 'balances',
        'controls',
    ];

    /**
     * What others than the unit itself may go by: which units there are, and all of each but what is set inside it
     * ({@see Unit::outside()}).
     */
    public const FRAME = 'frame';

    public const PAPERS = 'papers';

    /** What something written down can be about. */
    public const TOLD_OF = [
        'places', 'models', 'cables', 'devices', 'picks', 'air', 'sources', 'listeners', 'wishes', 'situations', 'balances', self::FRAME,
    ];

    /** @param  array<string, true>  $lists  those in which anything is new, gone, or in another order; frame and papers among them */
    private function __construct(public Rig $from, private array $lists)
    {
    }

    /** Null where the parts were made from no rig, or from one with faults: those have to be found again. */
    public static function in(RigParts $parts): ?self
    {
        $from = $parts->from;
        if ($from === null || $from->faults !== []) {
            return null;
        }
        $lists = [];
        foreach (self::LISTS as $list) {
            if ($list === 'models' ? $from->models !== $parts->models : array_values($from->{$list}) !== array_values($parts->{$list})) {
                $lists[$list] = true;
            }
        }
        if (isset($lists['units']) && ! self::isSameFrame(array_values($from->units), array_values($parts->units))) {
            $lists[self::FRAME] = true;
        }
        if (! $from->papers->isOf($parts->papers)) {
            $lists[self::PAPERS] = true;
        }

        return new self($from, $lists);
    }

    /**
     * Things that others do not have among them as the same objects.
     *
     * @template T of object
     *
     * @param  array<array-key, T>  $things
     * @param  array<array-key, T>  $others
     * @return list<T>
     */
    public static function besides(array $things, array $others): array
    {
        $known = array_fill_keys(array_map(spl_object_id(...), array_values($others)), true);

        return array_values(array_filter($things, fn (object $thing) => ! isset($known[spl_object_id($thing)])));
    }

    /** @param  list<string>  $lists */
    public function isAny(array $lists): bool
    {
        return array_intersect_key($this->lists, array_flip($lists)) !== [];
    }

    /**
     * @param  list<Unit>  $before
     * @param  list<Unit>  $now
     */
    private static function isSameFrame(array $before, array $now): bool
    {
        if (count($before) !== count($now)) {
            return false;
        }
        foreach ($now as $i => $unit) {
            $was = $before[$i];
            if ($unit !== $was && $unit->outside() !== $was->outside()) {
                return false;
            }
        }

        return true;
    }
}
