<?php

declare(strict_types=1);

namespace HiddenWire\Core\Room;

/** What is the matter in a room that no plan shows: it is only heard. */
final readonly class SoundFaults
{
    /**
     * @param  array<array-key, array{float, float}>  $hum  RMS of a track's hum against full scale, and Hz of the mains, by track
     * @param  array<array-key, float>  $ppm  by how much the clock that plays a sound is fast, by source
     * @param  list<string>  $swapped  sources whose left and right leads are exchanged
     */
    public function __construct(public array $hum = [], public array $ppm = [], public array $swapped = [])
    {
    }
}
