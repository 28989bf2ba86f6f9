<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig;

/** A number that somebody has measured or wants: how loud a voice is, how far a microphone, how late a link, how long the show. */
final readonly class Measure
{
    /** @param  float  $value  in the unit of its kind, three decimals at most */
    public function __construct(public ElementRef $about, public MeasureKind $kind, public float $value)
    {
    }

    /** Identifies a measure: of a thing there is one of each kind. */
    public function key(): string
    {
        return "{$this->about} {$this->kind->value}";
    }

    /** "noise of the room 42 dB SPL" */
    public function words(): string
    {
        return "{$this->kind->words()} ".rtrim(rtrim(number_format($this->value, 3, '.', ' '), '0'), '.')." {$this->kind->unit()}";
    }
}
