<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig;

use HiddenWire\Core\Quantity\Decibels;
use HiddenWire\Core\Quantity\Milliseconds;
use HiddenWire\Core\With;

/** What a hand sets at a strip's tool, of what that kind has; null and empty for what nobody has written down. */
final readonly class EffectValues
{
    use With;

    /**
     * @param  float|null  $highPassHz  what is below it is removed
     * @param  list<array{hz: float, db: float}>  $bands  of an equaliser
     * @param  Decibels|null  $threshold  dBFS: a gate opens there, a compressor or limiter begins to work, a ducker takes notice
     * @param  float|null  $ratio  of a compressor: so many dB more come in for one that goes out
     * @param  Decibels|null  $makeUp  what is added behind the compressing
     * @param  Milliseconds|null  $hold  how long it stays open, or down, after the sound has gone
     * @param  Decibels|null  $lowers  by how much a ducker lowers its sound, as a positive figure
     * @param  list<string>  $by  points of the same unit by whose sounds a ducker lowers its own
     */
    public function __construct(
        public ?float $highPassHz = null,
        public array $bands = [],
        public ?Decibels $threshold = null,
        public ?float $ratio = null,
        public ?Decibels $makeUp = null,
        public ?Milliseconds $hold = null,
        public ?Decibels $lowers = null,
        public array $by = [],
    ) {
    }

    public function isEmpty(): bool
    {
        return $this == new self;
    }

    /**
     * In words: "threshold −20 dB, ratio 4 : 1, make-up +6 dB"; empty where nothing is written down.
     *
     * @param  callable(string): string  $label  of a point
     */
    public function words(callable $label): string
    {
        $band = fn (array $one): string => self::figure($one['db']).' dB at '.self::hertz($one['hz']);

        return implode(', ', array_filter([
            $this->highPassHz === null ? '' : 'high-pass '.self::hertz($this->highPassHz),
            $this->bands === [] ? '' : implode(', ', array_map($band, $this->bands)),
            $this->threshold === null ? '' : "threshold {$this->threshold->text()} dBFS",
            $this->ratio === null ? '' : 'ratio '.(string) $this->ratio.' : 1',
            $this->makeUp === null ? '' : "make-up {$this->makeUp->text()} dB",
            $this->hold === null ? '' : "hold {$this->hold->text()} ms",
            $this->lowers === null ? '' : "{$this->lowers->text()} dB lower".($this->by === [] ? ''
                : ' while there is sound at '.implode(', ', array_map($label, $this->by))),
        ]));
    }

    private static function hertz(float $hz): string
    {
        return $hz < 1000 ? $hz.' Hz' : ($hz / 1000).' kHz';
    }

    private static function figure(float $db): string
    {
        return strtr(($db > 0 ? '+' : '').$db, ['-' => '−']);
    }
}
