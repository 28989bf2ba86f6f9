<?php

declare(strict_types=1);

namespace HiddenWire\Core\Equipment;

use HiddenWire\Core\Quantity\Decibels;

/** A knob or fader for a gain: from its lowest to its highest setting, and its factory setting. */
final readonly class Span
{
    use Ranged;

    /** A fader whose scale ends this low is shut at its lowest setting: nothing comes through. */
    public const SHUT_BELOW_DB = -60;

    /** @throws \RangeException when the range is empty or the setting is outside it */
    public function __construct(public Decibels $from, public Decibels $to, public Decibels $db, public ?OwnScale $scale = null)
    {
        if (! $from->isBelow($to) || ! $this->reaches($db)) {
            throw new \RangeException("The setting {$db->text()} dB lies outside {$from->text()} to {$to->text()} dB.");
        }
    }
}
