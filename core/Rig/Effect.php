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
     * @param  EffectValues|null  $values  what is set at it; null for nothing that is known
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
        public ?EffectValues $values = null,
    ) {
    }

    /** What it does to a sound of some level as it comes in, dBFS: dB; a ducker, while nothing lowers it. */
    public function gainAt(float $dbfs): float
    {
        return $this->liftOfQuiet() - $this->reductionAt($dbfs);
    }

    /** What it does to what is too soft for it to work on, room noise among it: dB. */
    public function liftOfQuiet(): float
    {
        return ($this->db?->value() ?? 0.0) + ($this->values?->makeUp?->value() ?? 0.0);
    }

    /** How much a compressor or a limiter takes of a level that comes in, dB. */
    public function reductionAt(float $dbfs): float
    {
        $threshold = $this->values?->threshold?->value();
        $ratio = $this->kind === EffectKind::Limiter ? INF : $this->values?->ratio;
        if ($threshold === null || $ratio === null || ! in_array($this->kind, [EffectKind::Compressor, EffectKind::Limiter], true)) {
            return 0.0;
        }

        return max(0.0, $dbfs - $threshold) * (1 - 1 / $ratio);
    }

    public function label(): string
    {
        return $this->name === '' ? $this->kind->words() : $this->name;
    }
}
