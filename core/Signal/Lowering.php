<?php

declare(strict_types=1);

namespace HiddenWire\Core\Signal;

use HiddenWire\Core\Quantity\Decibels;
use HiddenWire\Core\Rig\Effect;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\Source;
use HiddenWire\Core\Rig\SourceKind;

/** A ducker that is on: whose sounds lower what passes it, and by how much. */
final readonly class Lowering
{
    /**
     * @param  PointRef  $at  whose chain it is in
     * @param  list<Source>  $by  sounds at the points that it listens to; empty where nothing comes there
     */
    public function __construct(public PointRef $at, public Effect $effect, public Decibels $lowers, public array $by)
    {
    }

    /** "12 dB lower while Voice speaks" */
    public function words(): string
    {
        $voices = array_filter($this->by, fn (Source $one) => $one->kind === SourceKind::Voice);
        $names = implode(' or ', array_map(fn (Source $one) => $one->name, $this->by));

        return $this->by === [] ? 'lowered by nothing that sounds'
            : "{$this->lowers->text()} dB lower while {$names} ".(count($voices) === count($this->by) ? 'speaks' : 'sounds');
    }

    public function isBy(Source $source): bool
    {
        return array_filter($this->by, fn (Source $one) => $one->id === $source->id) !== [];
    }
}
