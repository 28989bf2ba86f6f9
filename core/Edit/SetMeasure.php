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
        $key = "{$this->about} {$this->kind->value}";
        $measures = [];
        $new = $this->value === null ? null : new Measure($this->about, $this->kind, $this->value);
        foreach ($rig->papers->measures as $measure) {
            $isSame = $measure->key() === $key;
            $kept = $isSame ? $new : $measure;
            $new = $isSame ? null : $new;
            $measures = $kept === null ? $measures : [...$measures, $kept];
        }

        return new Rig($rig->parts()->with(papers: $rig->papers->with(measures: $new === null ? $measures : [...$measures, $new])));
    }

    public function words(Rig $rig): string
    {
        return "{$this->about->words($rig)}: ".($this->value === null ? "{$this->kind->words()} not said any more"
            : (new Measure($this->about, $this->kind, $this->value))->words());
    }
}
