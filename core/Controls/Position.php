<?php

declare(strict_types=1);

namespace HiddenWire\Core\Controls;

use HiddenWire\Core\Rig\Move;

/** One position of a control, and the values of what it moves there. */
final readonly class Position
{
    /**
     * @param  int|null  $at  thousandths of the way; null of a key
     * @param  string  $words  "lowest", "pressed", "25 %"
     * @param  list<array{Move, string|bool|float}>  $values  nothing for what does not change
     */
    public function __construct(public ?int $at, public string $words, public array $values)
    {
    }
}
