<?php

declare(strict_types=1);

namespace HiddenWire\Core\Equipment;

/** A unit's own rule: a point is mute as long as one of some others is open (loudspeakers while a microphone is on). */
final readonly class AutoMute
{
    /** @param  non-empty-list<string>  $whileOpen  points of the same model */
    public function __construct(public string $mutes, public array $whileOpen)
    {
    }
}
