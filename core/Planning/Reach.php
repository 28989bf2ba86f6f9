<?php

declare(strict_types=1);

namespace HiddenWire\Core\Planning;

use HiddenWire\Core\Rig\Listener;
use HiddenWire\Core\Rig\Names;
use HiddenWire\Core\Signal\HeardPair;
use HiddenWire\Core\Signal\Hearing;

/** How far a sound gets on its way to a listener who does not hear it, and who hears it. */
final readonly class Reach
{
    /** @param  list<Listener>  $listeners  who hears it */
    private function __construct(public string $last, public array $listeners)
    {
    }

    public static function of(HeardPair $pair, Hearing $hearing): self
    {
        $graph = $hearing->graph();
        $names = new Names($graph->rig);
        $origin = $pair->source->origins === [] ? null : $pair->source->origins[array_key_first($pair->source->origins)];
        $last = $origin === null ? 'nowhere: it has no starting point yet' : $names->of($origin->at);
        if ($origin !== null) {
            // Step by step, breadth first: the last step that is reached is the farthest.
            $seen = [$graph->entry($origin->at) => true];
            $open = array_keys($seen);
            while ($open !== []) {
                $next = [];
                foreach ($open as $node) {
                    foreach ($graph->leaving[$node] as $id) {
                        $link = $graph->links[$id];
                        if (! isset($seen[$link->to])) {
                            $seen[$link->to] = true;
                            $next[] = $link->to;
                            $last = $names->of($link->at);
                        }
                    }
                }
                $open = $next;
            }
        }

        return new self(
            $last,
            array_values(array_filter(
                $graph->rig->listeners,
                fn (Listener $listener) => $hearing->pair($pair->source->id, $listener->id)->isHeard(),
            )),
        );
    }
}
