<?php

declare(strict_types=1);

namespace HiddenWire\Core\Situations;

use HiddenWire\Core\Rig\State;

/** One thing that a hand sets, and that a situation can have otherwise: a switch, a level, a choice, what is there, what is plugged. */
interface Adjustable
{
    /** Told apart from all others of a rig. */
    public function key(): string;

    /** Id of the unit that it belongs to; null for a cable. */
    public function unit(): ?string;

    /** What it is, without its unit: "Mic 1 → Main"; empty for the unit as a whole. */
    public function what(): string;

    /** What of it is set: "fader", "route"; empty where {@see what()} says so already. */
    public function aspect(): string;

    /** Its value without its name: "off", "−6.0 dB". Equal values read alike. */
    public function stands(State $state): string;

    /** What a hand does to have it so: "Desk mixer: Mic 1 → Main off". */
    public function told(State $state): string;

    /**
     * Its place among what its unit has, in the order of the signal.
     *
     * @return list<int>
     */
    public function order(): array;
}
