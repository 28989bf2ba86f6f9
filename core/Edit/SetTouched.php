<?php

declare(strict_types=1);

namespace HiddenWire\Core\Edit;

use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\Source;
use HiddenWire\Core\Rig\Touched;

/** Says how often a hand changes how loud a sound is; null: nobody knows. */
final readonly class SetTouched implements RigEdit
{
    public function __construct(public string $source, public ?Touched $touched)
    {
    }

    public function applyTo(Rig $rig): Rig
    {
        return new Rig($rig->parts()->changing('sources', $this->source, fn (Source $one): Source => $one->with(touched: $this->touched)));
    }

    public function words(Rig $rig): string
    {
        return "{$rig->sources[$this->source]->name}: ".($this->touched === null ? 'nobody says how often it is touched'
            : "{$this->touched->value} touched");
    }
}
