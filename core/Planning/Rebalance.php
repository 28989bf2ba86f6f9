<?php

declare(strict_types=1);

namespace HiddenWire\Core\Planning;

use HiddenWire\Core\Edit\RigEdit;
use HiddenWire\Core\Edit\SetPoint;
use HiddenWire\Core\Edit\SetRoute;
use HiddenWire\Core\Equipment\RouteSetting;
use HiddenWire\Core\Quantity\Bounds;
use HiddenWire\Core\Quantity\Decibels;
use HiddenWire\Core\Rig\Balance;
use HiddenWire\Core\Rig\InvalidRig;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\PointSettings;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\RouteRef;
use HiddenWire\Core\Rig\RouteSettings;
use HiddenWire\Core\Signal\Compared;
use HiddenWire\Core\Signal\GraphBuilder;
use HiddenWire\Core\Signal\Hearing;

/**
 * Brings a listener to the balance of another: sound by sound, the one that is farthest off first, by a level that changes nothing for
 * anybody else and no other sound.
 */
final class Rebalance
{
    /** Changes that are tried at most. */
    private const TRIED = 40;

    /** What nobody would notice, dB. */
    private const UNNOTICED_DB = 0.1;

    /** @var list<RigEdit> */
    public readonly array $edits;

    /** Whether the balance is as wished after them. */
    public readonly bool $isWhole;

    private int $tried = 0;

    /** @param  string|null  $situation  in which levels are set; null for the base */
    public function __construct(Rig $rig, private readonly Balance $balance, private readonly ?string $situation)
    {
        $hearing = $this->hear($rig, null);
        $edits = [];
        while (($off = $this->off($hearing)) !== []) {
            $found = null;
            foreach ($off as $source => $db) {
                $found ??= $this->mended($hearing, (string) $source, $db);
            }
            if ($found === null) {
                break;
            }
            [$edits[], $hearing] = $found;
        }
        $this->edits = $edits;
        $this->isWhole = $off === [];
    }

    /** @return array<string, float> */
    private function off(Hearing $hearing): array
    {
        return (new Compared($hearing, $this->balance->listener, $this->balance->like))->beyond($this->balance->withinDb);
    }

    private function hear(Rig $rig, ?Hearing $before): Hearing
    {
        $graph = (new GraphBuilder($rig))->build($rig->situation($this->situation) ?? $rig->base(), $before?->graph());

        return new Hearing($graph, before: $before);
    }

    /** @return array{RigEdit, Hearing}|null a level that mends one sound and nothing else */
    private function mended(Hearing $hearing, string $source, float $off): ?array
    {
        $hops = $hearing->pair($source, $this->balance->listener)->arrivals()[0]->hops ?? [];
        foreach (array_reverse($hops) as $hop) {
            $edit = match (true) {
                $hop->at instanceof RouteRef => $this->route($hearing, $hop->at, $off),
                $hop->at instanceof PointRef => $this->fader($hearing, $hop->at, $off),
                default => null,
            };
            if ($edit === null || $this->tried++ >= self::TRIED) {
                continue;
            }
            try {
                $after = $this->hear($edit->applyTo($hearing->rig), $hearing);
            } catch (InvalidRig) {
                continue;
            }
            if ($this->isOnly($hearing, $after, $source, $off)) {
                return [$edit, $after];
            }
        }

        return null;
    }

    private function route(Hearing $hearing, RouteRef $at, float $off): ?RigEdit
    {
        $route = $hearing->rig->route($at);
        if ($route === null || ! $route->allows(RouteSetting::Db)) {
            return null;
        }
        $to = round($hearing->graph()->state->route($at->unit, $route)->db->value() - $off, 2);

        if (abs($to) > Bounds::DB || $route->whyNotAt(Decibels::of($to)) !== null) {
            return null;
        }

        return new SetRoute($at, new RouteSettings(db: Decibels::of($to)), $this->situation);
    }

    private function fader(Hearing $hearing, PointRef $at, float $off): ?RigEdit
    {
        $point = $hearing->rig->point($at);
        $to = $point->fader === null ? null : Decibels::of(round($hearing->graph()->state->fader($at->unit, $point)->value() - $off, 2));

        return $to === null || ! $point->fader->reaches($to) ? null : new SetPoint($at, new PointSettings(fader: $to), $this->situation);
    }

    /** Whether one sound alone moves at the listener alone, by what it is off. */
    private function isOnly(Hearing $before, Hearing $after, string $source, float $off): bool
    {
        foreach ($before->rig->sources as $one) {
            foreach ($before->rig->listeners as $listener) {
                $was = $before->pair($one->id, $listener->id)->level()?->value();
                $is = $after->pair($one->id, $listener->id)->level()?->value();
                $moves = $one->id === $source && $listener->id === $this->balance->listener ? -$off : 0.0;
                if (($was === null) !== ($is === null) || abs(($is ?? 0.0) - ($was ?? 0.0) - $moves) > self::UNNOTICED_DB) {
                    return false;
                }
            }
        }

        return true;
    }
}
