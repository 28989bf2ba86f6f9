<?php

declare(strict_types=1);

namespace HiddenWire\Core\Equipment;

use HiddenWire\Core\Quantity\Milliseconds;

/**
 * A place inside a unit where a signal enters, leaves, is controlled or summed. `mute` and `mono` are the switch's position when
 * new; null means that there is no such switch. `delayTo` is the longest that it can hold its sound back. A point of a program that takes
 * a device says in `picks` of which direction.
 */
final readonly class Point
{
    public function __construct(
        public string $id,
        public PointKind $kind,
        public string $label,
        public int $channels,
        public ?Span $gain = null,
        public ?Span $fader = null,
        public ?bool $mute = null,
        public ?bool $mono = null,
        public ?Direction $picks = null,
        public ?DeviceOffer $device = null,
        public ?Milliseconds $delayTo = null,
    ) {
    }

    /** Whether anything about the point can be set. */
    public function isControlled(): bool
    {
        return $this->gain !== null || $this->fader !== null || $this->mute !== null || $this->mono !== null || $this->delayTo !== null;
    }

    /** The span of its gain or fader, by the key of the control; null where it has none. */
    public function span(string $control): ?Span
    {
        return match ($control) {
            'gain' => $this->gain,
            'fader' => $this->fader,
            default => null,
        };
    }
}
