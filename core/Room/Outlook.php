<?php

declare(strict_types=1);

namespace HiddenWire\Core\Room;

use HiddenWire\Core\Rig\Rig;

/** Something to go through with the eyes, with the plan in hand: what of it is not as planned. */
final readonly class Outlook
{
    public function __construct(public OutlookKind $kind, public string $unit)
    {
    }

    public function key(): string
    {
        return "look {$this->kind->value} {$this->unit}";
    }

    /** What to do: "Follow the leads of Desk mixer to both ends". */
    public function words(Rig $rig): string
    {
        return $this->kind->words($rig->units[$this->unit]->name);
    }
}
