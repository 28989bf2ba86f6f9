<?php

declare(strict_types=1);

namespace HiddenWire\Core\Checks\Track;

use HiddenWire\Core\Checks\Check;
use HiddenWire\Core\Checks\Finding;
use HiddenWire\Core\Checks\Inspection;
use HiddenWire\Core\Checks\Proposal;
use HiddenWire\Core\Checks\Severity;
use HiddenWire\Core\Edit\SetRoute;
use HiddenWire\Core\Planning\Cell;
use HiddenWire\Core\Planning\Cost;
use HiddenWire\Core\Quantity\Listing;
use HiddenWire\Core\Rig\Listener;
use HiddenWire\Core\Rig\ListenerKind;
use HiddenWire\Core\Rig\RouteSettings;
use HiddenWire\Core\Rig\Want;
use HiddenWire\Core\Signal\HeardPair;

/** A track that is wanted alone and carries something else, and a wanted track that is empty. */
final readonly class Purity implements Check
{
    /** Routes that are proposed to be switched off. */
    private const PROPOSED = 3;

    /** Names so many of the other sounds on a track. */
    private const NAMED = 3;

    public function code(): string
    {
        return 'track.purity';
    }

    public function findings(Inspection $in): iterable
    {
        foreach ($in->each() as $situation => $hearing) {
            foreach ($in->rig->listeners as $listener) {
                $pairs = array_map(fn ($source) => $hearing->pair($source->id, $listener->id), array_values($in->rig->sources));
                $heard = array_values(array_filter($pairs, fn (HeardPair $pair) => $pair->isHeard() && ! $pair->isSpill()));
                foreach ($heard as $pair) {
                    if ($pair->wish?->alone === true && count($heard) > 1) {
                        yield $this->impure($in, $situation, $pair, $heard);
                    }
                }
                if ($heard === [] && $listener->kind === ListenerKind::Track) {
                    yield from $this->empty($situation, $listener, $pairs);
                }
            }
        }
    }

    /** @param  list<HeardPair>  $heard */
    private function impure(Inspection $in, string $situation, HeardPair $pair, array $heard): Finding
    {
        $others = array_values(array_filter($heard, fn (HeardPair $one) => $one !== $pair));
        $named = array_map(fn (HeardPair $one) => "{$one->source->name} at {$one->level()?->text()} dB", $others);

        return new Finding(
            $this->code(),
            Severity::Fault,
            "{$pair->listener->name} is to have {$pair->source->name} alone, and carries "
                .Listing::of($named, self::NAMED),
            'What is on one track can\'t be parted afterwards.',
            [...$pair->listener->at, ...array_map(fn (HeardPair $one) => $one->source->origins[0]->at, $others)],
            [$situation],
            $this->proposals($in, $situation, $others),
            cells: [Cell::of($pair, $situation)->key()],
        );
    }

    /**
     * @param  list<HeardPair>  $pairs
     * @return iterable<Finding>
     */
    private function empty(string $situation, Listener $listener, array $pairs): iterable
    {
        $wanted = array_values(array_filter($pairs, fn (HeardPair $pair) => $pair->wish?->want === Want::Must));
        if ($wanted !== [] && $listener->at !== []) {
            yield new Finding(
                $this->code(),
                Severity::Fault,
                "{$listener->name} is empty, and {$wanted[0]->source->name} is wanted there",
                'It is found out when the show is over.',
                $listener->at,
                [$situation],
                cells: array_map(fn (HeardPair $pair) => Cell::of($pair, $situation)->key(), $wanted),
            );
        }
    }

    /**
     * @param  list<HeardPair>  $others
     * @return list<Proposal>
     */
    private function proposals(Inspection $in, string $situation, array $others): array
    {
        $edits = [];
        $names = [];
        foreach ($others as $pair) {
            $found = null;
            foreach (array_reverse($pair->arrivals()[0]->hops ?? []) as $hop) {
                $found ??= $in->switchAt($hop);
            }
            if ($found === null || count($edits) >= self::PROPOSED) {
                return [];
            }
            $edits[(string) $found] = new SetRoute($found, new RouteSettings(on: false), $in->override($situation));
            $names[(string) $found] = "{$in->names->route($found)} of {$in->rig->units[$found->unit]->name}";
        }

        return $edits === [] ? [] : [new Proposal(
            'Switch '.Listing::of($names).' off',
            array_values($edits),
            Cost::SWITCH * count($edits),
        )];
    }
}
