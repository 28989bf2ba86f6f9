<?php

declare(strict_types=1);

namespace HiddenWire\Core\Edit;

use HiddenWire\Core\Equipment\EquipmentModel;
use HiddenWire\Core\Rig\Cable;
use HiddenWire\Core\Rig\Naming;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\SocketRef;
use HiddenWire\Core\Rig\Unit;

/**
 * Puts a unit (an adapter, isolator, splitter, booster, Y-lead, hub) between two sockets, with its two cables. A cable that joined the two
 * already keeps its label on the first stretch; one that was in a socket that is needed goes on from the new unit's `beside` socket.
 */
final readonly class PutBetween implements RigEdit
{
    /**
     * @param  SocketRef  $from  what gives, or the computer's side
     * @param  string  $in  the new unit's socket towards `from`
     * @param  string  $out  its socket towards `to`
     * @param  string|null  $beside  its socket for what was plugged into `from` or `to` before; null where both are free or joined with
     * each other
     */
    public function __construct(
        public EquipmentModel $model,
        public SocketRef $from,
        public SocketRef $to,
        public string $in,
        public string $out,
        public ?string $beside = null,
    ) {
    }

    public function applyTo(Rig $rig): Rig
    {
        $name = $this->name($rig);
        $changed = (new AddUnit($this->model, $rig->units[$this->to->unit]->place, $name))->applyTo($this->cut($rig));
        $unit = (string) array_key_last($changed->units);
        foreach ($this->moved($rig) as $cable) {
            $changed = (new Replug(
                $cable->id,
                in_array((string) $cable->from, [(string) $this->from, (string) $this->to], true),
                new SocketRef($unit, (string) $this->beside),
            ))->applyTo($changed);
        }
        $joined = $this->joining($rig);
        $changed = (new Plug($this->from, new SocketRef($unit, $this->in)))->applyTo($changed);
        if ($joined !== null) {
            // The first stretch is the old cable, cut short: its label, colour and place in the list stay.
            $first = array_values($changed->cables)[count($changed->cables) - 1];
            $cables = array_values(array_map(
                fn (Cable $cable) => $cable->id === $joined->id ? $first->with(
                    id: $joined->id,
                    label: $joined->label,
                    colour: $joined->colour,
                    owned: $joined->owned,
                ) : $cable,
                $rig->cables,
            ));
            $changed = new Rig($changed->parts()->with(cables: $cables));
        }

        return (new Plug(new SocketRef($unit, $this->out), $this->to))->applyTo($changed);
    }

    public function words(Rig $rig): string
    {
        return "{$this->name($rig)} between {$rig->socket($this->from)->label} of {$rig->units[$this->from->unit]->name} and "
            ."{$rig->socket($this->to)->label} of {$rig->units[$this->to->unit]->name}";
    }

    private function name(Rig $rig): string
    {
        $names = array_map(fn (Unit $unit) => $unit->name, array_values($rig->units));

        return in_array($this->model->name, $names, true) ? Naming::next($this->model->name, $names) : $this->model->name;
    }

    private function joining(Rig $rig): ?Cable
    {
        $ends = [(string) $this->from, (string) $this->to];

        return array_values(array_filter(
            $rig->cables,
            fn (Cable $cable) => in_array((string) $cable->from, $ends, true) && in_array((string) $cable->to, $ends, true),
        ))[0] ?? null;
    }

    /** @return list<Cable> */
    private function moved(Rig $rig): array
    {
        $ends = [(string) $this->from, (string) $this->to];

        return array_values(array_filter(
            $rig->cables,
            fn (Cable $cable) => in_array((string) $cable->from, $ends, true) !== in_array((string) $cable->to, $ends, true),
        ));
    }

    private function cut(Rig $rig): Rig
    {
        $joined = $this->joining($rig);

        return $joined === null ? $rig : (new Unplug($joined->id))->applyTo($rig);
    }
}
