<?php

declare(strict_types=1);

namespace HiddenWire\Core\Checks\Plug;

use HiddenWire\Core\Checks\Check;
use HiddenWire\Core\Checks\Finding;
use HiddenWire\Core\Checks\Inspection;
use HiddenWire\Core\Checks\Proposal;
use HiddenWire\Core\Checks\Severity;
use HiddenWire\Core\Edit\SetValue;
use HiddenWire\Core\Planning\Cost;
use HiddenWire\Core\Rig\Cable;
use HiddenWire\Core\Rig\CableRef;
use HiddenWire\Core\Rig\SocketRef;

/** Digital ends without a common sample rate, and coded surround into an input that takes plain stereo. */
final readonly class DigitalFormat implements Check
{
    public function code(): string
    {
        return 'plug.digital-format';
    }

    public function findings(Inspection $in): iterable
    {
        foreach ($in->rig->cables as $cable) {
            [$a, $b] = [$in->rig->socket($cable->from)->ratesHz, $in->rig->socket($cable->to)->ratesHz];
            if ($a !== [] && $b !== [] && array_intersect($a, $b) === []) {
                yield new Finding(
                    $this->code(),
                    Severity::Fault,
                    "{$cable->label}: {$in->names->of($cable->from)} runs at ".self::rates($a).", {$in->names->of($cable->to)} at "
                        .self::rates($b),
                    'They have no sample rate in common: nothing is heard, or noise. Put a converter of sample rates between.',
                    [new CableRef($cable->id), $cable->from, $cable->to],
                );
            }
            foreach ([[$cable->from, $cable->to], [$cable->to, $cable->from]] as [$gives, $takes]) {
                yield from $this->coded($in, $cable, $gives, $takes);
            }
        }
    }

    /** @return iterable<Finding> */
    private function coded(Inspection $in, Cable $cable, SocketRef $gives, SocketRef $takes): iterable
    {
        $unit = $in->rig->units[$gives->unit];
        $carries = array_filter($in->wiring->lanesOf($cable), fn (array $lane) => (string) $lane[0] === (string) $gives) !== [];
        foreach ($carries ? $in->rig->modelOf($unit)->settings : [] as $setting) {
            $now = $unit->value($setting);
            foreach ($setting->effectsAt($now) as $effect) {
                if (! $effect->isCoded || $effect->socket !== $gives->socket) {
                    continue;
                }
                $plain = array_values(array_filter(
                    $setting->values(),
                    fn ($value) => array_filter($setting->effectsAt($value), fn ($one) => $one->isCoded) === [],
                ));
                yield new Finding(
                    $this->code(),
                    Severity::Risk,
                    "{$in->names->of($gives)} sends coded surround, and {$in->names->of($takes)} takes plain stereo",
                    'It gives silence, or loud noise that is no music.',
                    [new CableRef($cable->id), $gives, $takes],
                    [],
                    $plain === [] ? [] : [new Proposal(
                        "Set {$setting->label} of {$unit->name} to {$setting->words($plain[0])}",
                        [new SetValue($unit->id, $setting->id, $plain[0])],
                        Cost::SWITCH,
                    )],
                );
            }
        }
    }

    /** @param  list<int>  $rates */
    private static function rates(array $rates): string
    {
        return implode(', ', array_map(fn (int $rate) => round($rate / 1000, 1), $rates)).' kHz';
    }
}
