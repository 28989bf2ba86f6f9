<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig;

use HiddenWire\Core\Equipment\Dials\DelayDial;
use HiddenWire\Core\Equipment\Gesture;
use HiddenWire\Core\Equipment\Law;
use HiddenWire\Core\Equipment\RouteSetting;
use HiddenWire\Core\Quantity\Decibels;

/** What a control moves, in words. */
final readonly class ControlNames
{
    public function __construct(private Rig $rig)
    {
    }

    /** "Desk mixer · Voice: fader −90.0 to 10.0 dB", "Broadcast program · Music: muted or unmuted, when held". */
    public function move(Move $move): string
    {
        $with = $move->with === null ? '' : ' while '.(Hands::of($this->rig)[$move->with]->name ?? $move->with).' is held';
        $by = in_array($move->by, [Gesture::Move, Gesture::Press], true) ? '' : ", {$move->by->words()}";
        if ($move->at instanceof SituationRef) {
            return 'to '.($this->rig->situations[$move->at->situation]->name ?? $move->at->situation).$by.$with;
        }
        $from = $move->from === null ? '' : $this->value($move, $move->from);
        $to = $move->to === null ? '' : $this->value($move, $move->to);

        return "{$this->target($move)}: ".match ($move->law) {
            Law::Toggle => $from === '' ? "{$to} and back" : "{$to} or {$from}",
            Law::Set => $to,
            Law::Step => (is_float($move->to) && $move->to < 0 ? '' : '+')."{$to} a step",
            default => "{$from} to {$to}",
        }.$by.$with;
    }

    /** The unit that has it, or its place, by name. */
    public function place(Control $control): string
    {
        $id = $control->at->tokens[0];

        return $control->at->collection === 'units' ? $this->rig->units[$id]->name : $this->rig->places[$id]->name;
    }

    /** "Desk mixer · Voice, fader": what is moved. */
    public function target(Move $move): string
    {
        $at = $move->at;
        $names = new Names($this->rig);

        return match (true) {
            $at instanceof PointRef => "{$names->of($at)}, ".($move->dial()?->name() ?? 'device'),
            $at instanceof RouteRef => "{$names->route($at)}, ".($move->set === RouteSetting::Db->value ? 'level'
                : ($move->set === RouteSetting::On->value ? 'on or off' : 'tap')),
            $at instanceof SettingRef => "{$this->rig->units[$at->unit]->name}, "
                .($this->rig->modelOf($at->unit)->settings[$at->setting]->label ?? $at->setting),
            default => 'situation',
        };
    }

    /** One of its values, or the current one: "−16.0 dB", "muted". */
    public function value(Move $move, string|bool|float $value): string
    {
        $at = $move->at;
        if ($at instanceof SettingRef) {
            return $this->rig->modelOf($at->unit)->settings[$at->setting]->words($value);
        }

        return match (true) {
            is_float($value) => $move->dial() instanceof DelayDial ? "{$value} ms" : Decibels::of(round($value, 2))->text().' dB',
            $at instanceof PointRef && is_bool($value) => $move->dial()?->words($value) ?? '',
            is_bool($value) => $value ? 'on' : 'off',
            default => $value,
        };
    }
}
