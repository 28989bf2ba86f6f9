<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig;

use HiddenWire\Core\Equipment\Tap;
use HiddenWire\Core\Quantity\Decibels;
use HiddenWire\Core\With;

/** How one route is set; null leaves it as the model has it. */
final readonly class RouteSettings
{
    use With;

    public function __construct(
        public ?bool $on = null,
        public ?Decibels $db = null,
        public ?Tap $tap = null,
    ) {
    }

    /** The later settings on top of these. */
    public function under(self $later): self
    {
        return new self($later->on ?? $this->on, $later->db ?? $this->db, $later->tap ?? $this->tap);
    }

    /** What of these differs from others. */
    public function beside(?self $others): self
    {
        return new self(
            $this->on === $others?->on ? null : $this->on,
            $this->db?->value() === $others?->db?->value() ? null : $this->db,
            $this->tap === $others?->tap ? null : $this->tap,
        );
    }

    /** In words: "on, at −6.0 dB"; empty where nothing differs from the model. */
    public function words(): string
    {
        return implode(
            ', ',
            array_filter([
                $this->on === null ? '' : ($this->on ? 'on' : 'off'),
                $this->db === null ? '' : "at {$this->db->text()} dB",
                $this->tap === null ? '' : "taken {$this->tap->value}",
            ]),
        );
    }

    /** Nothing differs from the model. */
    public function isEmpty(): bool
    {
        return $this->on === null && $this->db === null && $this->tap === null;
    }
}
