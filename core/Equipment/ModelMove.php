<?php

declare(strict_types=1);

namespace HiddenWire\Core\Equipment;

use HiddenWire\Core\With;

/** One setting of its own unit that a model's control moves, and how. */
final readonly class ModelMove
{
    use With;

    /** What a named setting begins with. */
    public const SETTINGS = 'settings/';

    /**
     * @param  string  $at  a point, a route ("from>to"), or a named setting ("settings/phantom")
     * @param  string  $set  the key of what is set there: "fader", "mute", "on", "db", "tap", "value"
     * @param  string|bool|float|null  $from  as it is at the beginning of the way, or before the press; null for the current value
     * @param  string|bool|float|null  $to  at the end of the way, or after the press; of {@see Law::Step} what is added
     * @param  string|null  $with  the control of the same model that has to be held meanwhile
     */
    public function __construct(
        public string $at,
        public string $set,
        public string|bool|float|null $from = null,
        public string|bool|float|null $to = null,
        public Law $law = Law::Even,
        public Gesture $by = Gesture::Move,
        public ?string $with = null,
    ) {
    }
}
