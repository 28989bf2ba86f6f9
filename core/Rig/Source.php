<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig;

use HiddenWire\Core\Quantity\Decibels;
use HiddenWire\Core\With;

/** A sound that exists: a voice, a game, music, alerts, a caller, a console. */
final readonly class Source
{
    use With;

    /**
     * @param  array<int, Origin>  $origins  empty while no unit gives it yet
     * @param  Decibels|null  $loudness  how loud it is where it begins, over the nominal level there; null where nobody has said
     * @param  bool  $isMeasured  whether that was read from a meter; typed otherwise
     * @param  Touched|null  $touched  how often a hand changes how loud it is; null where nobody has said
     */
    public function __construct(
        public string $id,
        public string $name,
        public SourceKind $kind,
        public array $origins = [],
        public ?Decibels $loudness = null,
        public bool $isMeasured = false,
        public ?Touched $touched = null,
    ) {
    }

    /** "18.0 dB over nominal, measured"; empty where nobody has said. */
    public function loudnessWords(): string
    {
        return $this->loudness === null ? '' : number_format(abs($this->loudness->value()), 1).' dB '
            .($this->loudness->value() < 0 ? 'under' : 'over').' nominal'.($this->isMeasured ? ', measured' : '');
    }
}
