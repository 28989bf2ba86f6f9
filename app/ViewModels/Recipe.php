<?php

declare(strict_types=1);

namespace App\ViewModels;

use HiddenWire\Core\Equipment\Point;
use HiddenWire\Core\Rig\Listener;

/** What one output of a unit gets: what is in it, what is left out, and who listens. */
final readonly class Recipe
{
    /**
     * @param  list<Feed>  $feeds  in the model's order
     * @param  list<Listener>  $listeners
     */
    public function __construct(public Point $output, public Control $control, public array $feeds, public array $listeners)
    {
    }

    /** @return list<Feed> */
    public function in(): array
    {
        return array_values(array_filter($this->feeds, fn (Feed $feed) => $feed->now->on));
    }

    /** @return list<Feed> */
    public function out(): array
    {
        return array_values(array_filter($this->feeds, fn (Feed $feed) => ! $feed->now->on));
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

        return "{$this->output->label} gets ".($in === [] ? 'nothing' : self::list($in)).'.'
            .($out === [] ? '' : ' Left out: '.self::list($out).'.').' '
            .($this->control->isMuted ? 'It is muted.'
                : ($who === [] ? 'Nobody listens behind it.' : self::list($who).' '.(count($who) === 1 ? 'listens' : 'listen').'.'));
    }

    /** @param  list<string>  $things */
    private static function list(array $things): string
    {
        $last = array_pop($things);

        return $things === [] ? (string) $last : implode(', ', $things)." and {$last}";
    }
}
