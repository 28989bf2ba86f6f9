<?php

declare(strict_types=1);

namespace HiddenWire\Core\Checks\Hear;

use HiddenWire\Core\Checks\Check;
use HiddenWire\Core\Checks\Finding;
use HiddenWire\Core\Checks\Inspection;
use HiddenWire\Core\Checks\Proposal;
use HiddenWire\Core\Checks\Severity;
use HiddenWire\Core\Edit\SetRoute;
use HiddenWire\Core\Planning\Cost;
use HiddenWire\Core\Rig\ListenerKind;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\RouteRef;
use HiddenWire\Core\Rig\RouteSettings;
use HiddenWire\Core\Rig\Source;
use HiddenWire\Core\Rig\SourceKind;
use HiddenWire\Core\Signal\Arrival;
use HiddenWire\Core\Signal\HeardPair;
use HiddenWire\Core\Signal\Passage;
use HiddenWire\Core\Signal\SignalGraph;

/** A caller, a team or a party that gets its own voice back: what to leave out of which mix. */
final readonly class OwnReturn implements Check
{
    /** Routes that are proposed to be left out, those nearest to the caller first. */
    private const PROPOSED = 3;

    public function code(): string
    {
        return 'hear.own-return';
    }

    public function findings(Inspection $in): iterable
    {
        foreach ($in->each() as $situation => $hearing) {
            foreach ($hearing->all() as $pair) {
                $talks = in_array($pair->listener->kind, [ListenerKind::Caller, ListenerKind::Team, ListenerKind::Party], true);
                if ($talks && $pair->isHeard()) {
                    yield from $this->returned($in, $situation, $pair);
                }
            }
        }
    }

    /** @return iterable<Finding> */
    private function returned(Inspection $in, string $situation, HeardPair $pair): iterable
    {
        $arrival = self::ownReturn($in->graph($situation), $pair);
        if ($arrival === null) {
            return;
        }
        $routes = $this->routes($in, $arrival);
        $by = array_slice($routes, 0, 1);
        $name = $pair->listener->name;
        yield new Finding(
            $this->code(),
            Severity::Fault,
            "{$name} hears {$pair->source->name} back, {$arrival->delay->text()} ms late"
                .($by === [] ? '' : ", by {$in->names->of($by[0])}"),
            "Nobody can talk against their own delayed voice. Leave {$pair->source->name} out of what goes to {$name}.",
            [$arrival->hops[0]->at instanceof PointRef ? $arrival->hops[0]->at : $arrival->ear, $arrival->ear, ...$by],
            [$situation],
            array_map(fn (RouteRef $at) => new Proposal(
                "Leave {$in->names->route($at)} of {$in->rig->units[$at->unit]->name} out",
                [new SetRoute($at, new RouteSettings(on: false), $in->override($situation))],
                Cost::SWITCH,
            ), $routes),
        );
    }

    /** What somebody says; what a game or a player sounds is nobody's own voice. */
    public static function isVoice(Source $source): bool
    {
        return in_array($source->kind, [SourceKind::Voice, SourceKind::Caller, SourceKind::Other], true);
    }

    /** The strongest way by which a voice comes back to the ear that belongs to it; null where it doesn't. */
    public static function ownReturn(SignalGraph $graph, HeardPair $pair): ?Arrival
    {
        foreach (self::isVoice($pair->source) ? $pair->arrivals() : [] as $arrival) {
            $origin = $arrival->hops[0]->at;
            if ($origin instanceof PointRef && self::isOwn($graph, $origin, $arrival->ear)) {
                return $arrival;
            }
        }

        return null;
    }

    /** Whether a voice and an ear are one participant's: in one unit, which gives the one to all others and never to the other. */
    public static function isOwn(SignalGraph $graph, PointRef $origin, PointRef $ear): bool
    {
        $unit = $graph->rig->units[$ear->unit];

        return $origin->unit === $ear->unit
            && ! isset(Passage::inside($graph, $unit, $origin->point, whateverIsOff: true)[$ear->point]);
    }

    /** @return list<RouteRef> routes on a way that can be left out, the nearest to the ear first */
    private function routes(Inspection $in, Arrival $arrival): array
    {
        return array_slice(array_values(array_filter(array_map($in->switchAt(...), array_reverse($arrival->hops)))), 0, self::PROPOSED);
    }
}
