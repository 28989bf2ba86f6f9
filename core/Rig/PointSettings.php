<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig;

use HiddenWire\Core\Quantity\Decibels;
use HiddenWire\Core\Quantity\Milliseconds;

/** Where the knobs and switches of one point stand; null leaves them as the model has them. */
final readonly class PointSettings
{
    public function __construct(
        public ?Decibels $gain = null,
        public ?Decibels $fader = null,
        public ?bool $mute = null,
        public ?bool $mono = null,
        public ?Milliseconds $delay = null,
    ) {
    }

    /** The later settings on top of these. */
    public function under(self $later): self
    {
        return new self(
            $later->gain ?? $this->gain,
            $later->fader ?? $this->fader,
            $later->mute ?? $this->mute,
            $later->mono ?? $this->mono,
            $later->delay ?? $this->delay,
        );
    }

    /** What of these differs from others. */
    public function beside(?self $others): self
    {
        $new = fn (mixed $value, mixed $other): mixed => $value == $other ? null : $value;

        return new self(
            $new($this->gain, $others?->gain),
            $new($this->fader, $others?->fader),
            $new($this->mute, $others?->mute),
            $new($this->mono, $others?->mono),
            $new($this->delay, $others?->delay),
        );
    }

    /** In words: "muted, fader −3.0 dB"; empty where nothing differs from the model. */
    public function words(): string
    {
        return implode(', ', array_filter([
            $this->mute === null ? '' : ($this->mute ? 'muted' : 'open'),
            $this->mono === null ? '' : ($this->mono ? 'mono' : 'stereo'),
            $this->gain === null ? '' : "gain {$this->gain->text()} dB",
            $this->fader === null ? '' : "fader {$this->fader->text()} dB",
            $this->delay === null ? '' : "held back by {$this->delay->text()} ms",
        ]));
    }

    /** Nothing differs from the model. */
    public function isEmpty(): bool
    {
        return $this->gain === null && $this->fader === null && $this->mute === null && $this->mono === null && $this->delay === null;
    }
}
