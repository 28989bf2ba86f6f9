<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig;

use HiddenWire\Core\Equipment\EffectKind;
use HiddenWire\Core\Quantity\Decibels;
use HiddenWire\Core\Quantity\Milliseconds;
use HiddenWire\Core\With;

/** One stage of the chain of a point. */
final readonly class Effect
{
    use With;

    /**
     * @param  string  $at  the point
     * @param  string  $name  of somebody's own; empty for what its kind is called
     * @param  bool  $on  false where it is bypassed
     * @param  Milliseconds|null  $delay  by which it holds the sound back; null for nothing that matters
     * @param  Decibels|null  $db  by which it changes the level; null for nothing
     * @param  list<string>  $offFor  points into which the sound goes past it
     */
    public function __construct(
        public string $id,
        public string $at,
        public EffectKind $kind,
        public string $name = '',
        public bool $on = true,
        public ?Milliseconds $delay = null,
        public ?Decibels $db = null,
        public array $offFor = [],
    ) {
    }

    public function label(): string
    {
        return $this->name === '' ? $this->kind->words() : $this->name;
    }
}
