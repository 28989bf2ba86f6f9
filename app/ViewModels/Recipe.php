<?php

declare(strict_types=1);

namespace App\ViewModels;

use HiddenWire\Core\Equipment\Point;
use HiddenWire\Core\Quantity\Listing;
use HiddenWire\Core\Rig\Following;
use HiddenWire\Core\Rig\Listener;

/** What one output of a unit gets: what is in it, what is left out, and who listens. */
final readonly class Recipe
{
    /**
     * @param  list<Feed>  $feeds  in the model's order
     * @param  list<Listener>  $listeners
     * @param  array<string, string>  $leaders  outputs that it can follow, by id
     * @param  array<string, string>  $models  outputs that it can be made like, once, by id
     */
    public function __construct(
        public Point $output,
        public Dial $control,
        public array $feeds,
        public array $listeners,
        public array $leaders = [],
        public ?Following $follows = null,
        public array $models = [],
    ) {
    }

    /** @return list<Feed> what is in it, of what has something plugged in */
    public function in(): array
    {
        return array_values(array_filter($this->feeds, fn (Feed $feed) => $feed->now->on && ! $feed->isIdle));
    }

    /** @return list<Feed> what is not in it, of what has something plugged in */
    public function out(): array
    {
        return array_values(array_filter($this->feeds, fn (Feed $feed) => ! $feed->now->on && ! $feed->isIdle));
    }

    /** @return list<Feed> what has nothing plugged in, those that are in it first */
    public function idle(): array
    {
        $idle = array_filter($this->feeds, fn (Feed $feed) => $feed->isIdle);
        usort($idle, fn (Feed $one, Feed $other) => $other->now->on <=> $one->now->on);

        return $idle;
    }

    /** Whether it gets one of several things, and no more: its feeds shut each other out. */
    public function isSelector(): bool
    {
        $groups = array_unique(array_map(fn (Feed $feed) => $feed->now->group, $this->feeds));
        $plain = array_filter($this->feeds, fn (Feed $feed) => $feed->canSwitch && ! $feed->canLevel);

        return count($this->feeds) > 1 && count($groups) === 1 && $groups[0] !== null && count($plain) === count($this->feeds);
    }

    /** Whether a level in it has a printed scale. */
    public function hasPrinted(): bool
    {
        return array_filter($this->in(), fn (Feed $feed) => $feed->now->level?->scale !== null) !== [];
    }

    /** Whether any of what is in it has a level of its own to set. */
    public function hasLevels(): bool
    {
        return array_filter($this->levelled(), fn (Feed $feed) => $feed->now->on) !== [];
    }

    /** @return list<Feed> those of which it can be chosen where they are taken */
    public function tapped(): array
    {
        return array_values(array_filter($this->feeds, fn (Feed $feed) => $feed->canTap));
    }

    /** @return list<Feed> those with a level of their own */
    public function levelled(): array
    {
        return array_values(array_filter($this->feeds, fn (Feed $feed) => $feed->canLevel));
    }

    /** Who listens behind it, in one line; empty where nobody does. */
    public function heardBy(): string
    {
        return implode(', ', array_map(fn (Listener $listener) => $listener->name, $this->listeners));
    }

    /** "follows Main with its fader, except Bob"; empty where it has a recipe of its own. */
    public function following(): string
    {
        if ($this->follows === null) {
            return '';
        }
        $except = array_values(array_map(
            fn (Feed $feed) => $feed->from,
            array_filter($this->feeds, fn (Feed $feed) => in_array($feed->now->from, $this->follows->except, true)),
        ));

        return "follows {$this->leaders[$this->follows->of]}".($this->follows->withFader ? ' with its fader' : '')
            .($except === [] ? '' : ', except '.Listing::of($except));
    }

    /** The recipe as a person would read it to another. */
    public function aloud(): string
    {
        $in = array_map(
            fn (Feed $feed) => $feed->from.($feed->levelWords() === '' ? '' : ' at '.$feed->levelWords())
                .($feed->isLinked() ? '' : ', '.$feed->tapWords()),
            $this->in(),
        );
        $out = array_map(fn (Feed $feed) => $feed->from, $this->out());
        $who = array_map(fn (Listener $listener) => $listener->name, $this->listeners);

        return "{$this->output->label}: ".($in === [] ? 'nothing' : Listing::of($in)).'.'
            .($out === [] ? '' : ' Not in this mix: '.Listing::of($out).'.').' '
            .($this->control->isMuted ? 'It is muted.'
                : ($who === [] ? 'Nobody listens behind it.' : Listing::of($who).' '.(count($who) === 1 ? 'listens' : 'listen').'.'));
    }
}
