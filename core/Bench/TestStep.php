<?php

declare(strict_types=1);

namespace HiddenWire\Core\Bench;

use HiddenWire\Core\Quantity\Decibels;
use HiddenWire\Core\Quantity\Listing;
use HiddenWire\Core\Rig\Fact;
use HiddenWire\Core\Rig\Listener;
use HiddenWire\Core\Rig\ListenerKind;
use HiddenWire\Core\Rig\Place;
use HiddenWire\Core\Rig\Situation;
use HiddenWire\Core\Rig\SourceKind;

/** One look at the real rig: these sounds play, somebody is with one listener, and this is what is to come. */
final readonly class TestStep
{
    /** Nobody hears less without something beside it. */
    private const WORTH_SAYING_DB = 6.0;

    /**
     * @param  string  $key  the same for the same question, whatever the rig answers
     * @param  string  $state  another as soon as one of its sounds comes another way, at another level, or not at all
     * @param  Place  $place  where to go
     * @param  non-empty-list<Expected>  $expected
     * @param  list<string>  $meters  what moves on the way: "Desk mixer, Mic 1: Nominal"
     * @param  array<string, true>  $resetBy  keys of each {@see Event} after which it may be otherwise
     * @param  list<Fact>  $proves  what nobody has proven and what holds, where this is as planned
     * @param  float  $lateMs  how long after it is played the latest of its sounds comes
     */
    public function __construct(
        public string $key,
        public string $state,
        public Situation $situation,
        public Place $place,
        public Listener $listener,
        public array $expected,
        public array $meters,
        public array $resetBy = [],
        public array $proves = [],
        public float $lateMs = 0.0,
    ) {
    }

    /** Whether nothing of it may be heard. */
    public function isSilence(): bool
    {
        return array_filter($this->expected, fn (Expected $one) => $one->isHeard) === [];
    }

    /** Who stands in for somebody far away, and what to mind; empty where nobody has to. */
    public function standIn(): string
    {
        $away = array_values(array_filter(
            array_map(fn (Expected $one) => $one->source->kind === SourceKind::Caller ? $one->source->name : '', $this->expected),
        ));
        if (in_array($this->listener->kind, [ListenerKind::Caller, ListenerKind::Team, ListenerKind::Party], true)) {
            $away[] = $this->listener->name;
        }

        return $away === [] ? '' : 'A second device in the call can stand in for '.Listing::of(array_values(array_unique($away)))
            .', with headphones on: else it howls.';
    }

    /** What to do: "Visitor and Navigator speak; Game plays". */
    public function play(): string
    {
        $speak = $play = [];
        foreach ($this->expected as $one) {
            in_array($one->source->kind, [SourceKind::Voice, SourceKind::Caller], true) ? $speak[] = $one->source->name
                : $play[] = $one->source->name;
        }
        $say = fn (array $names, string $one, string $many): string => $names === [] ? ''
            : Listing::of($names).' '.(count($names) === 1 ? $one : $many);

        return implode('; ', array_filter([
            $say($speak, 'speaks', 'speak'), $say($play, 'plays', 'play'), $this->isSilence() ? 'nothing else sounds' : '',
        ]));
    }

    /** What is to come there: "both are heard". */
    public function look(): string
    {
        $count = count($this->expected);

        return match (true) {
            $this->isSilence() => 'nothing is heard',
            $count === 1 => 'it is heard',
            $count === 2 => 'both are heard',
            default => "all {$count} are heard",
        };
    }

    /**
     * @return list<string> what is not as usual of what is heard, or not so in the plan itself: "Music 12.0 dB softer than usual", "Game on
     *     the left"
     */
    public function notes(): array
    {
        $notes = [];
        foreach ($this->expected as $one) {
            $level = $one->level?->value() ?? 0.0;
            $loud = abs($level) < self::WORTH_SAYING_DB ? ''
                : ' '.Decibels::of(round(abs($level), 1))->text().' dB '.($level < 0 ? 'softer' : 'louder').' than usual';
            $side = in_array($one->sides, ['left', 'right'], true) ? " on the {$one->sides}" : '';
            if (! $one->isPlanned) {
                $notes[] = "the plan itself is not so for {$one->source->name}";
            } elseif ($loud !== '' || $side !== '') {
                $notes[] = $one->source->name.$loud.$side;
            }
        }

        return $notes;
    }
}
