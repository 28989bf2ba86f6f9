<?php

declare(strict_types=1);

namespace HiddenWire\Core\Equipment;

use HiddenWire\Core\Quantity\Milliseconds;
use HiddenWire\Core\With;

/**
 * A place inside a unit where a signal enters, leaves, is controlled or summed. `mute`, `mono` and `inverted` are the switch's position
 * when new; null means that there is no such switch. `delayTo` is the longest that it can hold its sound back. A point of a program that
 * takes a device says in `picks` of which direction.
 */
final readonly class Point
{
    use With;

    /**
     * @param  list<PickFrom>  $pickFrom  what the program offers there; empty for everything
     * @param  PickedIn  $pickedIn  where its device is chosen
     * @param  int  $several  devices that it takes at once, summed
     * @param  string|null  $deviceOf  the point whose device it takes, with channels of its own; null where it has a device of its own
     * @param  MadeAt|null  $made  where its controls and its pick are set, where that is not as with the rest of the unit
     * @param  Holds|null  $holds  how long they stay, where that is not as with the rest of the unit
     * @param  string|null  $solo  the listening bus that it takes over while its solo switch is on; null where it has none
     * @param  Tap  $soloTap  where it is taken then
     * @param  bool  $inScenes  whether it sounds only in scenes that it is in, where its program has any
     * @param  EffectRack|null  $effects  what its chain of effects has room for; null where it has none
     * @param  list<string>  $canFollow  outputs that it can follow
     * @param  Capsule|null  $capsule  what a microphone's capsule makes of sound, at the point where a voice begins
     * @param  string  $print  what the model calls it, where the label is a name of somebody's own
     */
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
        public array $pickFrom = [],
        public int $several = 1,
        public ?string $deviceOf = null,
        public ?MadeAt $made = null,
        public ?Holds $holds = null,
        public string $print = '',
        public ?string $solo = null,
        public Tap $soloTap = Tap::PreFader,
        public array $canFollow = [],
        public ?EffectRack $effects = null,
        public bool $inScenes = false,
        public ?Capsule $capsule = null,
        public ?bool $inverted = null,
        public PickedIn $pickedIn = PickedIn::Program,
    ) {
    }

    /** Whether anything about the point can be set. */
    public function isControlled(): bool
    {
        return ($this->gain ?? $this->fader ?? $this->mute ?? $this->mono ?? $this->inverted ?? $this->delayTo) !== null;
    }

    /** Whether the program lets one choose this there. */
    public function offers(PickFrom $what): bool
    {
        return $this->pickFrom === [] || in_array($what, $this->pickFrom, true);
    }

    /** By a name of somebody's own, with what the unit calls it behind. */
    public function named(string $name): self
    {
        return $name === $this->label ? $this : $this->with(label: "{$name} ({$this->label})", print: $this->label);
    }

    /** By what the unit calls it. */
    public function unnamed(): self
    {
        return $this->print === '' ? $this : $this->with(label: $this->print, print: '');
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
