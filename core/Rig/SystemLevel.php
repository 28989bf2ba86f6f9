<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig;

use HiddenWire\Core\Quantity\Decibels;
use HiddenWire\Core\With;

/** In a situation the system's own level or mute of a device is another than in the base. */
final readonly class SystemLevel
{
    use With;

    /**
     * @param  Decibels|null  $db  null as in the default
     * @param  bool|null  $mute  null as in the default
     */
    public function __construct(public string $computer, public DeviceRef $device, public ?Decibels $db = null, public ?bool $mute = null)
    {
    }

    /** What it is about: of one device a situation has one. */
    public function slot(): string
    {
        return "{$this->computer} {$this->device}";
    }

    public function words(Rig $rig): string
    {
        return "{$rig->units[$this->computer]->name}: ".(new Names($rig))->of($this->device).' '.self::said($this->db, $this->mute);
    }

    /** "−6.0 dB, muted" */
    public static function said(?Decibels $db, ?bool $mute): string
    {
        return implode(', ', array_filter([
            $db === null ? '' : "{$db->text()} dB",
            $mute === null ? '' : ($mute ? 'muted' : 'not muted'),
        ]));
    }
}
