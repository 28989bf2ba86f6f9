<?php

declare(strict_types=1);

namespace HiddenWire\Core\Equipment;

use HiddenWire\Core\Quantity\Decibels;

/** What goes from a lowest to a highest level. */
trait Ranged
{
    public function reaches(Decibels $db): bool
    {
        return ! $db->isBelow($this->from) && ! $this->to->isBelow($db);
    }

    /** The level within it that is nearest to one. */
    public function nearest(Decibels $db): Decibels
    {
        return match (true) {
            $db->isBelow($this->from) => $this->from,
            $this->to->isBelow($db) => $this->to,
            default => $db,
        };
    }

    /** Whether it lets nothing through there: all the way down of what ends so low. */
    public function isShutAt(Decibels $db): bool
    {
        return $db->equals($this->from) && $this->from->value() <= Span::SHUT_BELOW_DB;
    }
}
