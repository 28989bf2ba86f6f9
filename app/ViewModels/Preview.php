<?php

declare(strict_types=1);

namespace App\ViewModels;

use HiddenWire\Core\Planning\Cure;
use HiddenWire\Core\Planning\Hearings;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\Situation;
use HiddenWire\Core\Signal\HeardPair;
use HiddenWire\Core\Signal\Hearing;

/** The hearing table as a cure would make it. */
final readonly class Preview
{
    private Hearing $after;

    public function __construct(public string $number, public Cure $cure, Rig $rig, Situation $situation, private Hearing $before)
    {
        $hearings = new Hearings($rig, [$situation->id => $before]);
        $this->after = (new Hearings(
            $cure->applyTo($rig),
            [],
            $hearings,
        ))->in($situation->id);
    }

    public function pair(HeardPair $was): HeardPair
    {
        return $this->after->pair($was->source->id, $was->listener->id);
    }

    /** Whether a cell would be otherwise: its verdict, or how loud it is. */
    public function changes(HeardPair $was): bool
    {
        $is = $this->pair($was);

        return $is->verdict !== $was->verdict || $is->level()?->text() !== $was->level()?->text();
    }

    /** How many cells of this situation would be otherwise. */
    public function count(): int
    {
        return count(array_filter(iterator_to_array($this->before->all(), false), $this->changes(...)));
    }
}
