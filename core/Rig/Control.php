<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig;

use HiddenWire\Core\Equipment\ControlKind;
use HiddenWire\Core\With;

/** A thing that a hand moves, and what it moves. */
final readonly class Control
{
    use With;

    /**
     * @param  ElementRef  $at  the unit that has it, or its place
     * @param  string  $legend  what its label says
     * @param  float|null  $position  its current position, in hundredths of its travel; null where nobody has said
     * @param  string  $bank  the page or bank on which it does this; empty for always
     * @param  bool  $isLearned  whether somebody has moved it at the real thing and seen that
     * @param  bool  $isAssigned  whether it moves one of what it can, the one that is chosen; else all together
     * @param  list<Move>  $moves
     */
    public function __construct(
        public string $id,
        public string $name,
        public ControlKind $kind,
        public ElementRef $at,
        public string $legend = '',
        public ?float $position = null,
        public string $bank = '',
        public bool $isLearned = false,
        public array $moves = [],
        public bool $isAssigned = false,
    ) {
    }

    /** @return list<Move> what it moves now: of an assigned one what is chosen, or the first */
    public function movesNow(): array
    {
        if (! $this->isAssigned) {
            return $this->moves;
        }

        return array_slice(array_values(array_filter($this->moves, fn (Move $move) => $move->isChosen)) ?: $this->moves, 0, 1);
    }

    /** @return list<string> ids of the situations that it goes to */
    public function goesTo(): array
    {
        return array_values(array_filter(array_map(
            fn (Move $move): ?string => $move->at instanceof SituationRef ? $move->at->situation : null,
            $this->moves,
        ), is_string(...)));
    }

    /** "Fader 3 (Caller)": its name, and what else its label says. */
    public function words(): string
    {
        return str_contains(mb_strtolower($this->name), mb_strtolower($this->legend)) ? $this->name : "{$this->name} ({$this->legend})";
    }
}
