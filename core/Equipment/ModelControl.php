<?php

declare(strict_types=1);

namespace HiddenWire\Core\Equipment;

use HiddenWire\Core\With;

/** A thing that a hand moves and that every unit of a model has: a knob, a key, a shortcut of a program. */
final readonly class ModelControl
{
    use With;

    /**
     * @param  string  $legend  what is printed at it
     * @param  string  $bank  the page or bank on which it does this; empty for always
     * @param  list<ModelMove>  $moves
     * @param  bool  $isAssigned  whether it moves one of what it can, as somebody chooses; else all together
     */
    public function __construct(
        public string $id,
        public string $name,
        public ControlKind $kind,
        public string $legend = '',
        public string $bank = '',
        public array $moves = [],
        public bool $isAssigned = false,
    ) {
    }
}
