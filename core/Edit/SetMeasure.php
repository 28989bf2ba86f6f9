<?php

declare(strict_types=1);

namespace HiddenWire\Core\Edit;

use HiddenWire\Core\Rig\ElementRef;
use HiddenWire\Core\Rig\Measure;
use HiddenWire\Core\Rig\MeasureKind;
use HiddenWire\Core\Rig\Rig;

/** Writes down what was measured of a thing, or is wanted of it; without a value, what was written is removed. */
final readonly class SetMeasure implements RigEdit
{
    public function __construct(public ElementRef $about, public MeasureKind $kind, public ?float $value)
    {
    }

    public function applyTo(Rig $rig): Rig
    {
        $new = $this->value === null ? null : new Measure($this->about, $this->kind, $this->value);
        $measures = [];
        foreach ($rig->papers->measures as $measure) {
            $measures[$measure->key()] = $measure;
        }
        $measures["{$this->about} {$this->kind->value}"] = $new;

        return new Rig($rig->parts()->with(papers: $rig->papers->with(measures: array_values(array_filter($measures)))));
    }

    public function words(Rig $rig): string
    {
        return "{$this->about->words($rig)}: ".($this->value === null ? "{$this->kind->words()} removed"
            : (new Measure($this->about, $this->kind, $this->value))->words());
    }
}
