<?php

declare(strict_types=1);

namespace HiddenWire\Core\Equipment;

use HiddenWire\Core\Quantity\Decibels;
use HiddenWire\Core\Quantity\Milliseconds;
use HiddenWire\Core\With;

/**
 * A way from point to point inside one unit, as the unit comes: fixed unless `can` says what can be changed. Of the routes of an exclusive
 * group one is on; where a selector switches several at once (two mono inputs, say), these name one `choice` and are on together.
 */
final readonly class Route
{
    use With;

    /**
     * @param  list<RouteSetting>  $can
     * @param  MadeAt|null  $made  where it is set, where that is not as with the rest of the unit
     * @param  Holds|null  $holds  how long it stays, where that is not as with the rest of the unit
     * @param  LevelRange|null  $level  how far its level goes; null where that is not known
     */
    public function __construct(
        public string $from,
        public string $to,
        public bool $on,
        public Decibels $db,
        public Tap $tap,
        public ?ChannelMap $map,
        public ?string $group,
        public ?Milliseconds $delay,
        public array $can,
        public ?string $choice = null,
        public ?MadeAt $made = null,
        public ?Holds $holds = null,
        public ?LevelRange $level = null,
    ) {
    }

    public function key(): string
    {
        return $this->from.'>'.$this->to;
    }

    /** The position of its group's selector at which it is on. */
    public function choice(): string
    {
        return $this->choice ?? $this->key();
    }

    /** Why its level can't be set so, as a sentence; null where it can. */
    public function whyNotAt(Decibels $db): ?string
    {
        return $this->level?->reaches($db) === false
            ? "The level of \"{$this->key()}\" goes from {$this->level->from->text()} to {$this->level->to->text()} dB; "
                ."{$db->text()} dB lies outside."
            : null;
    }

    public function allows(RouteSetting $setting): bool
    {
        return in_array($setting, $this->can, true);
    }
}
