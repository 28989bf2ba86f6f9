<?php

declare(strict_types=1);

namespace HiddenWire\Core\Checks\Plug;

use HiddenWire\Core\Checks\Check;
use HiddenWire\Core\Checks\Finding;
use HiddenWire\Core\Checks\Inspection;
use HiddenWire\Core\Checks\Severity;
use HiddenWire\Core\Rig\CableRef;

/** Two leads in one socket. Such a rig is refused today; one that was stored before is still reported. */
final readonly class Taken implements Check
{
    public function code(): string
    {
        return 'plug.taken';
    }

    public function findings(Inspection $in): iterable
    {
        foreach ($in->rig->faults as $fault) {
            [$kind, $cable] = [...explode(' ', (string) $fault->fault, 3), ''];
            if ($kind === 'taken' && isset($in->rig->cables[$cable])) {
                yield new Finding(
                    $this->code(),
                    Severity::Fault,
                    "{$in->rig->cables[$cable]->label}: ".lcfirst(rtrim($fault->message, '.')),
                    'A socket takes one plug. Unplug one of the two, or use them in turn.',
                    [new CableRef($cable), $in->rig->cables[$cable]->from, $in->rig->cables[$cable]->to],
                );
            }
        }
    }
}
