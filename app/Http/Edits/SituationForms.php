<?php

declare(strict_types=1);

namespace App\Http\Edits;

use HiddenWire\Core\Edit\AddSituation;
use HiddenWire\Core\Edit\ClearChange;
use HiddenWire\Core\Edit\ClearPlugs;
use HiddenWire\Core\Edit\RemoveSituation;
use HiddenWire\Core\Edit\RigEdit;
use HiddenWire\Core\Edit\SetAbsent;
use HiddenWire\Core\Edit\SetPulled;
use HiddenWire\Core\Rig\Change;
use HiddenWire\Core\Rig\Pick;

/** Changes of the situations themselves. What a situation sets otherwise is changed by working in it. */
final class SituationForms
{
    /** @return list<RigEdit> */
    public static function add(EditFields $in): array
    {
        return [new AddSituation($in->newName($in->rig->situations), $in->has('copy_of') ? $in->known('copy_of', $in->rig->situations)
            : null)];
    }

    /** @return list<RigEdit> */
    public static function remove(EditFields $in): array
    {
        return [new RemoveSituation($in->known('which', $in->rig->situations))];
    }

    /**
     * A unit that is not there in a situation, or a program that does not run; with `back` it is there again.
     *
     * @return list<RigEdit>
     */
    public static function absent(EditFields $in): array
    {
        return [new SetAbsent($in->known('which', $in->rig->situations), $in->unit(), $in->flag('back') !== true)];
    }

    /**
     * A cable that is out in a situation; with `back` it is plugged again.
     *
     * @return list<RigEdit>
     */
    public static function pulled(EditFields $in): array
    {
        return [new SetPulled(
            $in->known('which', $in->rig->situations),
            $in->known('cable', $in->rig->cables),
            $in->flag('back') !== true,
        )];
    }

    /** @return list<RigEdit> */
    public static function clearPlugs(EditFields $in): array
    {
        return [new ClearPlugs($in->known('which', $in->rig->situations))];
    }

    /** @return list<RigEdit> */
    public static function clear(EditFields $in): array
    {
        $which = $in->known('which', $in->rig->situations);
        $at = $in->has('at') ? $in->text('at', 200) : null;
        $isPick = $in->flag('is_pick') ?? false;
        $isSet = array_filter(
            $in->rig->situations[$which]->changes,
            fn (Change $change) => (string) $change->at === $at && ($change->set instanceof Pick) === $isPick,
        ) !== [];

        return $at !== null && ! $isSet
            ? $in->refuse('at', 'This situation changes nothing there.')
            : [new ClearChange($which, $at, $isPick, $in->has('only') ? $in->text('only', 20) : null)];
    }
}
