<?php

declare(strict_types=1);

namespace HiddenWire\Core\Edit;

use HiddenWire\Core\Quantity\Decibels;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\Source;

/** Says how loud a sound is where it begins, over the nominal level; null: nobody knows. */
final readonly class SetLoudness implements RigEdit
{
    public function __construct(public string $source, public ?Decibels $loudness, public bool $isMeasured = false)
    {
    }

    public function applyTo(Rig $rig): Rig
    {
        return new Rig($rig->parts()->changing('sources', $this->source, $this->set(...)));
    }

    private function set(Source $source): Source
    {
        return $this->loudness === null
            ? $source->with(loudness: null, isMeasured: false)
            : $source->with(loudness: $this->loudness, isMeasured: $this->isMeasured);
    }

    public function words(Rig $rig): string
    {
        $source = $this->set($rig->sources[$this->source]);

        return "{$source->name}: ".($source->loudnessWords() ?: 'how loud it begins is not known any more');
    }
}
