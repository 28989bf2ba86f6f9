<?php

declare(strict_types=1);

namespace App\Http\Edits;

use App\ViewModels\FaultAnswers;
use HiddenWire\Core\Edit\RigEdit;
use HiddenWire\Core\Room\Fault;

/** What was found in the room, taken over into the plan. */
final class RoomForms
{
    private const LONGEST = 100;

    /** @return list<RigEdit> of a fault, or of two together, by the digests of their words */
    public static function found(EditFields $in): array
    {
        $wanted = array_flip(explode('.', $in->text('faults', self::LONGEST)));
        $edits = [];
        foreach (Fault::all($in->rig) as $fault) {
            if (isset($wanted[FaultAnswers::digest($fault->words)])) {
                $edits[] = $fault->edit;
            }
        }

        return count($edits) === count($wanted) ? $edits
            : $in->refuse('faults', 'That is not possible in the plan any more. Search again.');
    }
}
