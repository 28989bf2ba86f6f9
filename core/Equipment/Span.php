<?php

declare(strict_types=1);

namespace HiddenWire\Core\Equipment;

use HiddenWire\Core\Quantity\Decibels;

/** A knob or fader for a gain: from its lowest to its highest setting, and where it stands when the unit is new. */
final readonly class Span
{
    /** A fader whose scale ends this low is shut at its lowest setting: nothing comes through. */
    public const SHUT_BELOW_DB = -60;

    /** @throws \RangeException when the range is empty or the setting lies outside it */
    public function __construct(public Decibels $from, public Decibels $to, public Decibels $db, public ?OwnScale $scale = null)
    {
        if (! $from->isBelow($to) || ! $this->reaches($db)) {
            throw new \RangeException("The setting {$db->text()} dB lies outside {$from->text()} to {$to->text()} dB.");
        }
    }

    public function reaches(Decibels $db): bool
    {
        return ! $db->isBelow($this->from) && ! $this->to->isBelow($db);
    }

    /** The setting within it that is nearest to a level. */
    public function nearest(Decibels $db): Decibels
    {
        return match (true) {
            $db->isBelow($this->from) => $this->from,
            $this->to->isBelow($db) => $this->to,
            default => $db,
        };
    }

    public function isShutAt(Decibels $db): bool
    {
        return $db->equals($this->from) && $this->from->value() <= self::SHUT_BELOW_DB;
    }
}
