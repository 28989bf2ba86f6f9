<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig;

use HiddenWire\Core\Equipment\Dials\DialKind;
use HiddenWire\Core\Equipment\Dials\DialReader;
use HiddenWire\Core\Equipment\Dials\Dials;
use HiddenWire\Core\Quantity\Decibels;
use HiddenWire\Core\Quantity\Milliseconds;
use HiddenWire\Core\With;

/** Where the knobs and switches of one point stand, by the register {@see Dials}; null leaves them as the model has them. */
final readonly class PointSettings
{
    use With;

    /** @param  bool|null  $autoMute  whether the unit's rule that mutes the point is in force; it is where nothing is said */
    public function __construct(
        public ?Decibels $gain = null,
        public ?Decibels $fader = null,
        public ?bool $mute = null,
        public ?bool $mono = null,
        public ?Milliseconds $delay = null,
        public ?bool $autoMute = null,
        public ?bool $solo = null,
        public ?bool $inverted = null,
    ) {
    }

    /** What is set of each kind of control. */
    public static function read(DialReader $in): self
    {
        return self::each(fn (DialKind $kind) => $kind->read($in));
    }

    public function of(DialKind $kind): Decibels|Milliseconds|bool|null
    {
        return $this->{$kind->property()};
    }

    /** The later settings on top of these. */
    public function under(self $later): self
    {
        return self::each(fn (DialKind $kind) => $later->of($kind) ?? $this->of($kind));
    }

    /** What of these differs from others. */
    public function beside(?self $others): self
    {
        return self::each(function (DialKind $kind) use ($others): Decibels|Milliseconds|bool|null {
            [$own, $other] = [$this->of($kind), $others?->of($kind)];

            // Off is something else than not said; two amounts are alike by their value.
            return $own === $other || (is_object($own) && is_object($other) && $own == $other) ? null : $own;
        });
    }

    /** @param  callable(DialKind, Decibels|Milliseconds|bool): bool  $isKept */
    public function only(callable $isKept): self
    {
        return self::each(function (DialKind $kind) use ($isKept): Decibels|Milliseconds|bool|null {
            $value = $this->of($kind);

            return $value !== null && $isKept($kind, $value) ? $value : null;
        });
    }

    /** In words: "muted, fader −3.0 dB"; empty where nothing differs from the model. */
    public function words(): string
    {
        $words = [];
        foreach (Dials::all() as $kind) {
            $value = $this->of($kind);
            if ($value !== null) {
                $words[] = $kind->words($value);
            }
        }

        return implode(', ', $words);
    }

    /** @return array<string, int|float|bool> what is set, by the kinds' keys, as documents and rows hold it */
    public function plain(): array
    {
        $plain = [];
        foreach (Dials::all() as $kind) {
            $value = $this->of($kind);
            if ($value !== null) {
                $plain[$kind->key()] = $kind->plain($value);
            }
        }

        return $plain;
    }

    /** Nothing differs from the model. */
    public function isEmpty(): bool
    {
        return $this->plain() === [];
    }

    /** @param  callable(DialKind): (Decibels|Milliseconds|bool|null)  $value */
    private static function each(callable $value): self
    {
        $values = [];
        foreach (Dials::all() as $kind) {
            $values[$kind->property()] = $value($kind);
        }

        return (new self)->with(...$values);
    }
}
