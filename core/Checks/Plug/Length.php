<?php

declare(strict_types=1);

namespace HiddenWire\Core\Checks\Plug;

use HiddenWire\Core\Checks\Check;
use HiddenWire\Core\Checks\Finding;
use HiddenWire\Core\Checks\Inspection;
use HiddenWire\Core\Checks\Severity;
use HiddenWire\Core\Equipment\CableType;
use HiddenWire\Core\Equipment\SignalKind;
use HiddenWire\Core\Rig\Cable;
use HiddenWire\Core\Rig\CableRef;

/** A lead that is longer than its kind carries well. */
final readonly class Length implements Check
{
    public function code(): string
    {
        return 'plug.length';
    }

    public function findings(Inspection $in): iterable
    {
        foreach ($in->rig->cables as $cable) {
            [$most, $why] = $this->most($in, $cable);
            if ($cable->lengthM !== null && $most !== null && $cable->lengthM > $most) {
                yield new Finding(
                    $this->code(),
                    Severity::Risk,
                    "{$cable->label} is {$this->metres($cable->lengthM)} m long, and {$cable->type->article()} {$cable->type->words()} "
                        ."lead of its kind carries {$this->metres($most)} m well",
                    $why,
                    [new CableRef($cable->id)],
                );
            }
        }
    }

    /** @return array{float|null, string} metres, and what happens past them */
    private function most(Inspection $in, Cable $cable): array
    {
        return match ($cable->type) {
            // USB 2.0: 5 m a hop.
            CableType::Usb => [5.0, 'The device drops out, or is not found. Use a powered hub or an active extension.'],
            // Passive copper at the rates of today's pictures.
            CableType::Hdmi => [10.0, 'The picture sparkles or goes, and the sound with it. Use an active or optical lead.'],
            CableType::DisplayPort => [3.0, 'The picture goes, and the sound with it. Use an active lead.'],
            // IEC 60958-3 over plastic fibre.
            CableType::Optical => [10.0, 'Light is lost in plastic fibre: the sound clicks and stops. Put a repeater in, or use coaxial.'],
            CableType::Coaxial => [15.0, 'The edges of the signal wear off: the sound clicks.'],
            // MIDI 1.0.
            CableType::Midi => [15.0, 'Messages get lost.'],
            // ISO/IEC 11801: 100 m a channel.
            CableType::Network => [100.0, 'The link falls back or drops out.'],
            CableType::Xlr => [100.0, 'Treble is lost into the capacitance of the lead.'],
            CableType::Ts, CableType::Trs, CableType::Trrs, CableType::Rca, CableType::RcaPair => $this->isBalanced($in, $cable)
                ? [100.0, 'Treble is lost into the capacitance of the lead.']
                : ($this->isHeadphones($in, $cable) ? [15.0, 'Level and bass damping are lost in the wire.']
                : [6.0, 'An unbalanced lead collects hum and loses treble. Use a balanced connection, or move the units together.']),
            CableType::Speaker, CableType::Wireless, CableType::Captive => [null, ''],
        };
    }

    private function isBalanced(Inspection $in, Cable $cable): bool
    {
        return $in->rig->socket($cable->from)->balanced && $in->rig->socket($cable->to)->balanced && $cable->type->conductors() >= 2;
    }

    private function isHeadphones(Inspection $in, Cable $cable): bool
    {
        return $in->rig->socket($cable->from)->signal === SignalKind::Headphone
            && $in->rig->socket($cable->to)->signal === SignalKind::Headphone;
    }

    private function metres(float $metres): string
    {
        return rtrim(rtrim(number_format($metres, 1), '0'), '.');
    }
}
