<?php

declare(strict_types=1);

namespace HiddenWire\Core\Signal;

use HiddenWire\Core\Rig\AirRef;
use HiddenWire\Core\Rig\CableRef;
use HiddenWire\Core\Rig\Certainty;
use HiddenWire\Core\Rig\DeviceRef;
use HiddenWire\Core\Rig\Fact;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\RouteRef;

/** What is heard only as long as something holds that nobody has proven, or that is known not to work. */
final readonly class Reliance
{
    /** Pairs whose ways are looked at. */
    private const PAIRS = 500;

    /** @param  list<Fact>  $facts  those that are open, or known not to hold */
    private function __construct(private Hearing $hearing, private array $facts)
    {
    }

    public static function of(Hearing $hearing): self
    {
        return new self($hearing, array_values(array_filter(
            $hearing->rig->papers->facts,
            fn (Fact $fact) => $fact->certainty !== Certainty::Proven,
        )));
    }

    /** @return list<Fact> on which it hangs that a sound is heard by somebody */
    public function behind(HeardPair $pair): array
    {
        if ($this->facts === [] || ! $pair->isHeard()) {
            return [];
        }
        $passed = ["sources/{$pair->source->id}" => true, "listeners/{$pair->listener->id}" => true,
            "wishes/{$pair->source->id}/{$pair->listener->id}" => true, "situations/{$this->hearing->situation->id}" => true];
        foreach ($pair->arrivals() as $arrival) {
            foreach ($arrival->hops as $hop) {
                $passed += $this->elements($hop);
            }
            $passed += $this->ofUnit($arrival->ear->unit, "points/{$arrival->ear->point}");
        }

        return array_values(array_filter(
            $this->facts,
            fn (Fact $fact) => isset($passed[(string) $fact->about]) && ($fact->with === null || isset($passed[(string) $fact->with])),
        ));
    }

    /**
     * What is open, with what hangs on it: first what is known not to work, then what is proven in the least time, then what most hangs on.
     *
     * @return list<array{fact: Fact, pairs: list<HeardPair>}>
     */
    public function all(): array
    {
        $behind = array_fill(0, count($this->facts), []);
        $looked = 0;
        foreach ($this->facts === [] ? [] : $this->hearing->rig->sources as $source) {
            foreach ($this->hearing->rig->listeners as $listener) {
                $pair = $this->hearing->pair($source->id, $listener->id);
                if (! $pair->isHeard() || $looked++ >= self::PAIRS) {
                    continue;
                }
                foreach ($this->behind($pair) as $fact) {
                    $behind[(int) array_search($fact, $this->facts, true)][] = $pair;
                }
            }
        }
        $rows = array_map(fn (Fact $fact, array $pairs) => ['fact' => $fact, 'pairs' => $pairs], $this->facts, $behind);
        $order = fn (array $row): array => [
            $row['fact']->certainty === Certainty::Fails ? 0 : 1, $row['fact']->minutes ?? PHP_INT_MAX, -count($row['pairs']),
        ];
        usort($rows, fn (array $a, array $b) => $order($a) <=> $order($b));

        return $rows;
    }

    /** @return array<string, true> what a step of a way passes, by reference */
    private function elements(Hop $hop): array
    {
        $at = $hop->at;
        $passed = $hop->pick === null ? []
            : ["picks/{$hop->pick}" => true] + $this->ofUnit($hop->pick->unit, "points/{$hop->pick->point}");

        return $passed + match (true) {
            $at instanceof CableRef => $this->ofCable($at->cable),
            $at instanceof PointRef => $this->ofUnit($at->unit, "points/{$at->point}"),
            $at instanceof RouteRef => $this->ofUnit($at->unit, "routes/{$at->key}"),
            $at instanceof DeviceRef => $this->ofUnit($at->unit, $at->lane === null ? "points/{$at->givenBy}" : "sockets/{$at->givenBy}"),
            $at instanceof AirRef => [],
            default => $this->ofUnit($at->unit),
        };
    }

    /** @return array<string, true> */
    private function ofCable(string $id): array
    {
        $cable = $this->hearing->rig->cables[$id] ?? null;

        return $cable === null ? [] : ["cables/{$id}" => true]
            + $this->ofUnit($cable->from->unit, "sockets/{$cable->from->socket}")
            + $this->ofUnit($cable->to->unit, "sockets/{$cable->to->socket}");
    }

    /** @return array<string, true> */
    private function ofUnit(string $unit, string $inside = ''): array
    {
        $place = $this->hearing->rig->units[$unit]->place;

        return ["units/{$unit}" => true, "places/{$place}" => true] + ($inside === '' ? [] : ["units/{$unit}/{$inside}" => true]);
    }
}
