<?php

declare(strict_types=1);

namespace HiddenWire\Core\Edit;

use HiddenWire\Core\Rig\Origin;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\Source;

/** How far a sound is from a microphone at which it begins; its level there follows, where its own microphone's distance is known too. */
final readonly class SetDistance implements RigEdit
{
    /** @param  float|null  $metres  null: not said */
    public function __construct(public string $source, public PointRef $at, public ?float $metres)
    {
    }

    public function applyTo(Rig $rig): Rig
    {
        return new Rig($rig->parts()->changing('sources', $this->source, fn (Source $source): Source => $source->with(
            origins: array_map(
                fn (Origin $one) => (string) $one->at === (string) $this->at ? $one->with(distanceM: $this->metres) : $one,
                $source->origins,
            ),
        )));
    }

    public function words(Rig $rig): string
    {
        $where = "{$rig->point($this->at)->label} of {$rig->units[$this->at->unit]->name}";
        $name = $rig->sources[$this->source]->name;

        return $this->metres === null
            ? "How far {$name} is from {$where} is not said any more"
            : "{$name} is {$this->metres} m from {$where}";
    }
}
