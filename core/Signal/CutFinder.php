<?php

declare(strict_types=1);

namespace HiddenWire\Core\Signal;

use HiddenWire\Core\Edit\SetPick;
use HiddenWire\Core\Edit\SetPoint;
use HiddenWire\Core\Edit\SetRoute;
use HiddenWire\Core\Edit\Unplug;
use HiddenWire\Core\Equipment\RouteSetting;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\PointSettings;
use HiddenWire\Core\Rig\RouteRef;
use HiddenWire\Core\Rig\RouteSettings;
use HiddenWire\Core\Rig\Want;

/**
 * Finds the smallest cut: of the things on a sound's ways that can be switched off, muted, taken back or unplugged, the fewest and cheapest that meet every way to be stopped, and after
 * which every wanted sound that arrives now still arrives.
 */
final class CutFinder
{
    /** As for joining: a switch is at hand, a pick is a dialog, a cable has to be found. */
    private const COST = ['route' => 1000, 'gain' => 1050, 'device' => 1200, 'cable' => 3000];

    /** A cut of more changes than this is no remedy any more but another rig. */
    private const MOST = 3;

    /** @var list<list<array<string, true>>> for each wanted pair that arrives, its arrivals as sets of elements */
    private array $wanted = [];

    /** @var list<list<array<string, true>>> the same for the pairs that may be heard: losing them costs little, but is better not done */
    private array $allowed = [];

    public function __construct(private readonly Hearing $hearing)
    {
        foreach ($hearing->all() as $pair) {
            if ($pair->arrivals !== [] && $pair->wish?->want === Want::Must) {
                $this->wanted[] = array_map($this->elements(...), $pair->arrivals);
            } elseif ($pair->arrivals !== [] && $pair->wish?->want !== Want::MustNot) {
                $this->allowed[] = array_map($this->elements(...), $pair->arrivals);
            }
        }
    }

    /** For a leak, what stops all of it; for a doubled sound, what leaves one of its arrivals. */
    public function of(HeardPair $pair): Cut
    {
        if ($pair->verdict !== Verdict::Doubled || $pair->doubling === null) {
            $changes = $this->cheapest($pair->arrivals);

            return new Cut($changes ?? [], $changes === null ? $this->mergedAt($pair) : null);
        }
        $best = null;
        foreach ([$pair->doubling->first, $pair->doubling->second] as $stays) {
            // A stereo pair of cables is one arrival in two legs: they stay or go together.
            $goes = array_values(array_filter($pair->arrivals, fn (Arrival $one) => $one !== $stays && ! $stays->isLegBeside($one)));
            $changes = $this->cheapest($goes);
            if ($changes !== null && ($best === null || $this->price($changes) < $this->price($best))) {
                $best = $changes;
            }
        }

        return new Cut($best ?? [], null);
    }

    /**
     * @param  list<Arrival>  $arrivals  to be stopped
     * @return list<CutChange>|null
     */
    private function cheapest(array $arrivals): ?array
    {
        $candidates = [];
        foreach ($arrivals as $arrival) {
            // Of two that cost the same, the one nearer to the listener changes less for others.
            foreach (array_reverse($arrival->hops) as $hop) {
                $change = $this->change($hop);
                if ($change !== null && $this->leavesWanted([$this->key($hop) => true])) {
                    $candidates[$this->key($hop)] = $change;
                }
            }
        }
        $stopped = array_map($this->elements(...), $arrivals);
        for ($size = 1; $size <= self::MOST; $size++) {
            $best = null;
            foreach ($this->choices(array_keys($candidates), $size) as $keys) {
                $set = array_fill_keys($keys, true);
                if ($this->meetsAll($set, $stopped) && $this->leavesWanted($set)) {
                    $changes = array_map(fn (string $key) => $candidates[$key], $keys);
                    $price = $this->price($changes) + count(array_filter($this->allowed, fn (array $arrivals) => $this->meetsAll($set, $arrivals)));
                    if ($best === null || $price < $best[0]) {
                        $best = [$price, $changes];
                    }
                }
            }
            if ($best !== null) {
                return $best[1];
            }
        }

        return null;
    }

    /** @param  list<CutChange>  $changes */
    private function price(array $changes): int
    {
        return array_sum(array_map(fn (CutChange $change) => self::COST[$change->kind->value] ?? 5000, $changes));
    }

    /**
     * @param  list<string>  $keys
     * @return \Generator<int, list<string>>
     */
    private function choices(array $keys, int $size, int $from = 0): \Generator
    {
        if ($size === 0) {
            yield [];

            return;
        }
        for ($i = $from; $i <= count($keys) - $size; $i++) {
            foreach ($this->choices($keys, $size - 1, $i + 1) as $rest) {
                yield [$keys[$i], ...$rest];
            }
        }
    }

    /**
     * @param  array<string, true>  $cut
     * @param  list<array<string, true>>  $arrivals
     */
    private function meetsAll(array $cut, array $arrivals): bool
    {
        foreach ($arrivals as $elements) {
            if (array_intersect_key($cut, $elements) === []) {
                return false;
            }
        }

        return true;
    }

    /** @param  array<string, true>  $cut */
    private function leavesWanted(array $cut): bool
    {
        foreach ($this->wanted as $arrivals) {
            if ($this->meetsAll($cut, $arrivals)) {
                return false;
            }
        }

        return true;
    }

    /** The first step behind which the strongest arrival passes nothing that a wanted sound at the same listener does not pass too. */
    private function mergedAt(HeardPair $pair): ?Hop
    {
        $merged = null;
        $shared = [];
        foreach ($this->hearing->all() as $other) {
            if ($other->listener === $pair->listener && $other !== $pair && $other->wish?->want === Want::Must) {
                foreach ($other->arrivals as $arrival) {
                    // Two programs that pick one device meet there, by picks of their own.
                    $shared += array_fill_keys(array_map(fn (Hop $hop) => "{$hop->kind->value} {$hop->ref}", $arrival->hops), true);
                }
            }
        }
        foreach (array_reverse($pair->arrivals[0]->hops ?? []) as $hop) {
            if (! isset($shared["{$hop->kind->value} {$hop->ref}"])) {
                break;
            }
            $merged = $hop;
        }

        return $merged;
    }

    private function change(Hop $hop): ?CutChange
    {
        $rig = $this->hearing->graph->rig;
        $unit = $rig->units[strstr($hop->pick ?? $hop->ref, '/', true) ?: $hop->ref] ?? null;
        $model = $unit === null ? null : $rig->modelOf($unit);
        $thing = substr((string) strstr($hop->pick ?? $hop->ref, '/'), 1);
        $base = array_key_first($rig->situations);
        $situation = $this->hearing->graph->state->situation->id === $base ? null : $this->hearing->graph->state->situation->id;
        [$text, $edit] = match (true) {
            $hop->kind === HopKind::Cable => ["Unplug {$hop->label}", new Unplug($hop->ref)],
            $unit === null || $model === null => [null, null],
            $hop->pick !== null => ["Take {$hop->label} away from {$model->points[$thing]->label} of {$unit->name}", new SetPick(new PointRef($unit->id, $thing), null)],
            $hop->kind === HopKind::Route && $model->routes[$thing]->allows(RouteSetting::On) => ["Switch off {$hop->label} in {$unit->name}", new SetRoute(new RouteRef($unit->id, $thing), new RouteSettings(on: false), $situation)],
            $hop->kind === HopKind::Gain && $model->points[$thing]->mute !== null => ["Mute {$hop->label} of {$unit->name}", new SetPoint(new PointRef($unit->id, $thing), new PointSettings(mute: true), $situation)],
            default => [null, null],
        };

        return $text === null || $edit === null ? null : new CutChange($hop->kind, $hop->pick ?? $hop->ref, $text, $edit);
    }

    private function key(Hop $hop): string
    {
        return "{$hop->kind->value} {$hop->ref} {$hop->pick}";
    }

    /** @return array<string, true> */
    private function elements(Arrival $arrival): array
    {
        return array_fill_keys(array_map($this->key(...), $arrival->hops), true);
    }
}
