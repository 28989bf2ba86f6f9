<?php

declare(strict_types=1);

namespace HiddenWire\Core\Tones;

use HiddenWire\Core\Rig\Listener;
use HiddenWire\Core\Rig\Source;

/** One thing that a tone test found otherwise than planned. */
final readonly class Difference
{
    /**
     * @param  Listener  $track  where it was recorded
     * @param  Source|null  $source  of which sound; null for what is on the track whatever plays
     * @param  string  $words  what is so: "Game comes twice, 27.0 ms apart"
     */
    public function __construct(public DifferenceKind $kind, public Listener $track, public ?Source $source, public string $words)
    {
    }

    /** As the fault finder asks: "hear game track-1"; null where that tells it nothing. */
    public function check(): ?string
    {
        return $this->source === null || $this->kind->impression() === null ? null : "hear {$this->source->id} {$this->track->id}";
    }
}
