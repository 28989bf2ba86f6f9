<?php

declare(strict_types=1);

namespace HiddenWire\Core\Edit;

use HiddenWire\Core\Rig\EffectSwitch;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\Situation;

/** Bypasses an effect, or has it on, in one situation. */
final readonly class SwitchEffect implements RigEdit
{
    /** @param  bool|null  $on  null for as in the default */
    public function __construct(public string $situation, public string $unit, public string $effect, public ?bool $on)
    {
    }

    public function applyTo(Rig $rig): Rig
    {
        return new Rig($rig->parts()->changing('situations', $this->situation, function (Situation $one): Situation {
            $others = array_values(array_filter(
                $one->effects,
                fn (EffectSwitch $switch) => $switch->slot() !== "{$this->unit} {$this->effect}",
            ));

            return $one->with(effects: $this->on === null
                ? $others
                : [...$others, new EffectSwitch($this->unit, $this->effect, $this->on)]);
        }));
    }

    public function words(Rig $rig): string
    {
        $where = Settings::where($rig, $this->situation);
        $said = (new EffectSwitch($this->unit, $this->effect, $this->on ?? true))->words($rig);

        return $this->on === null ? (string) preg_replace('/ on$/', '', $said)." as in the default{$where}" : $said.$where;
    }
}
