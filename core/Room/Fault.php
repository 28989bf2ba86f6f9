<?php

declare(strict_types=1);

namespace HiddenWire\Core\Room;

use HiddenWire\Core\Edit\ExchangeEnds;
use HiddenWire\Core\Edit\Follow;
use HiddenWire\Core\Edit\PlayDevice;
use HiddenWire\Core\Edit\PlugLast;
use HiddenWire\Core\Edit\Replug;
use HiddenWire\Core\Edit\RigEdit;
use HiddenWire\Core\Edit\SetCable;
use HiddenWire\Core\Edit\SetDevice;
use HiddenWire\Core\Edit\SetPick;
use HiddenWire\Core\Edit\SetPoint;
use HiddenWire\Core\Edit\SetProgramLevel;
use HiddenWire\Core\Edit\SetRoute;
use HiddenWire\Core\Edit\SetSystemLevel;
use HiddenWire\Core\Edit\SetValue;
use HiddenWire\Core\Edit\Unplug;
use HiddenWire\Core\Rig\Rig;

/** Something that is otherwise in the room than in the plan. */
final readonly class Fault
{
    /**
     * @param  RigEdit  $edit  what makes the plan like the room
     * @param  string  $words  what is so, the same for the same: "Unplugged W-12"
     * @param  Outlook  $outlook  where it is seen
     */
    public function __construct(public RigEdit $edit, public string $words, public Outlook $outlook)
    {
    }

    /** @throws \LogicException of a change that no hand in a room makes */
    public static function of(Rig $rig, RigEdit $edit): self
    {
        [$kind, $unit] = match (true) {
            $edit instanceof Unplug, $edit instanceof SetCable, $edit instanceof PlugLast => [
                OutlookKind::Leads, $rig->cables[$edit->cable]->from->unit,
            ],
            $edit instanceof Replug => [OutlookKind::Leads, $edit->to->unit],
            $edit instanceof ExchangeEnds => [
                OutlookKind::Leads, $edit->isFrom ? $rig->cables[$edit->cable]->from->unit : $rig->cables[$edit->cable]->to->unit,
            ],
            $edit instanceof SetRoute, $edit instanceof SetPoint, $edit instanceof Follow => [OutlookKind::Settings, $edit->at->unit],
            $edit instanceof SetValue => [OutlookKind::Settings, $edit->unit],
            $edit instanceof SetPick, $edit instanceof SetProgramLevel => [OutlookKind::Picks, $edit->at->unit],
            $edit instanceof TurnedRound => [OutlookKind::Picks, $edit->unit],
            $edit instanceof SetDevice => [OutlookKind::Devices, $edit->settings->computer],
            $edit instanceof PlayDevice, $edit instanceof SetSystemLevel => [OutlookKind::Devices, $edit->computer],
            default => throw new \LogicException('Nobody looks for '.$edit::class),
        };

        return new self($edit, $edit->words($rig), new Outlook($kind, $unit));
    }

    /** @return list<string> what it is about, as a map has it: `unit:desk`, `cable:w-12`, `pick:call/speaker` */
    public function about(): array
    {
        $edit = $this->edit;

        return match (true) {
            $edit instanceof ExchangeEnds => ["cable:{$edit->cable}", "cable:{$edit->other}"],
            $edit instanceof Unplug, $edit instanceof SetCable, $edit instanceof PlugLast, $edit instanceof Replug => [
                "cable:{$edit->cable}",
            ],
            $edit instanceof SetPick, $edit instanceof SetProgramLevel => ["pick:{$edit->at}"],
            default => ["unit:{$this->outlook->unit}"],
        };
    }

    /**
     * Every single fault of a rig, each once.
     *
     * @return list<self>
     */
    public static function all(Rig $rig): array
    {
        $faults = [];
        foreach (PossibleFaults::of($rig) as $edit) {
            $fault = self::of($rig, $edit);
            $faults[$fault->words] ??= $fault;
        }

        return array_values($faults);
    }
}
