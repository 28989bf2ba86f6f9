<?php

declare(strict_types=1);

namespace HiddenWire\Core\Controls;

use HiddenWire\Core\Equipment\Gesture;
use HiddenWire\Core\Quantity\Decibels;
use HiddenWire\Core\Rig\Listener;
use HiddenWire\Core\Rig\Move;
use HiddenWire\Core\Rig\Source;
use HiddenWire\Core\Signal\HeardPair;

/** What one control does to one sound at one listener, from stop to stop. */
final readonly class MovedPair
{
    /** A difference of less nobody hears, nor does rounding make it, dB. */
    public const LEAST_DB = 0.05;

    /**
     * @param  non-empty-list<HeardPair>  $pairs  one a stop
     * @param  non-empty-list<Position>  $stops
     * @param  string|null  $with  the control that has to be held
     * @param  Move|null  $to  what an assigned control is assigned to; null of others
     */
    public function __construct(
        public Source $source,
        public Listener $listener,
        public Gesture $by,
        public ?string $with,
        public array $stops,
        public array $pairs,
        public ?Move $to = null,
    ) {
    }

    /** @return list<float|null> dB at each stop; null where it is not heard */
    public function levels(): array
    {
        return array_map(fn (HeardPair $pair) => $pair->level()?->value(), $this->pairs);
    }

    /** Whether it is louder, softer or gone anywhere on the way; else only how it comes is another: later, or on one side. */
    public function isInLevel(): bool
    {
        $levels = $this->levels();
        $heard = array_filter($levels, fn (?float $db) => $db !== null);

        return $heard !== [] && (count($heard) !== count($levels) || max($heard) - min($heard) >= self::LEAST_DB);
    }

    /** "−90.0 to 10.0 dB", "silent to −3.0 dB", "0.0 to silent": at its ends; what is only otherwise in between is said too. */
    public function words(): string
    {
        $levels = $this->levels();
        $say = fn (?float $db): string => $db === null ? 'silent' : Decibels::of(round($db, 1))->text().' dB';
        [$first, $last] = [$say($levels[0]), $say($levels[count($levels) - 1])];
        $heard = array_filter($levels, fn (?float $db) => $db !== null);
        $most = $heard === [] ? null : max($heard);
        $isMore = $most !== null && $most - max($levels[0] ?? -INF, $levels[count($levels) - 1] ?? -INF) >= self::LEAST_DB;

        return match (true) {
            ! $this->isInLevel() => 'comes otherwise, as loud as before',
            $first === $last => "{$first} at both ends".($isMore ? ', '.$say($most).' between' : ', softer between'),
            default => "{$first} to {$last}".($isMore ? ', at most '.$say($most) : ''),
        };
    }
}
