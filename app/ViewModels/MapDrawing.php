<?php

declare(strict_types=1);

namespace App\ViewModels;

use App\Rigs\Geometry;
use HiddenWire\Core\Dependence\Outage;
use HiddenWire\Core\Rig\CableRef;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Signal\Arrival;
use HiddenWire\Core\Signal\HopKind;

/**
 * A map with its geometry and its highlighted ways, ready to be written as SVG.
 *
 * @phpstan-type PortAt array{x: float, y: float, port: MapPort}
 */
final class MapDrawing
{
    /** @var array<string, PortAt> by port */
    public array $ports = [];

    /** @var array<string, list<Pen>> pens by edge */
    public array $edgePens = [];

    /** @var array<string, list<Pen>> pens by `port port` inside a plate */
    public array $insidePens = [];

    /** @var array<string, list<Pen>> pens that end at a port */
    public array $ends = [];

    /** @var array<string, true> units that a highlighted way passes */
    public array $touched = [];

    /** @var array<string, true> lines that a finding rests on, by edge */
    public array $evidenceEdges = [];

    /** @var array<string, true> units that it rests on */
    public array $evidenceUnits = [];

    /**
     * @param  array<value-of<Pen>, list<Arrival>>  $highlighted  arrivals by pen
     * @param  list<object>  $evidence  elements that a finding is about
     */
    public function __construct(
        public readonly MapGraph $map,
        public readonly Geometry $geometry,
        array $highlighted,
        array $evidence = [],
    ) {
        foreach ($evidence as $at) {
            if ($at instanceof CableRef) {
                $this->evidenceEdges["cable:{$at->cable}"] = true;
            } elseif (isset($at->unit)) {
                $this->evidenceUnits[$at->unit] = true;
                if ($at instanceof PointRef) {
                    $this->evidenceEdges["pick:{$at}"] = true;
                }
            }
        }
        foreach ($map->plates as $plates) {
            foreach ($plates as $plate) {
                [$x, $y, $width] = $geometry->boxes["unit:{$plate->unit}"];
                foreach ([[$plate->left, $x], [$plate->right, $x + $width]] as [$ports, $edge]) {
                    foreach ($ports as $row => $port) {
                        $this->ports[$port->id] = ['x' => $edge, 'y' => $y + MapPlate::rowAt($row), 'port' => $port];
                    }
                }
            }
        }
        foreach ($highlighted as $pen => $arrivals) {
            foreach ($arrivals as $arrival) {
                $this->highlight(Pen::from($pen), $arrival);
            }
        }
    }

    /** The state of a line or a plate in an outage: "failed", "dark" or nothing. */
    public function inOutage(?Outage $outage, string $key): string
    {
        // What a program picks goes with the program.
        $key = str_starts_with($key, 'pick:') ? 'unit:'.strstr(substr($key, 5), '/', true) : $key;

        return match (true) {
            $outage === null => '',
            isset($outage->failed[$key]) => 'failed',
            isset($outage->dark[$key]) => 'dark',
            default => '',
        };
    }

    public function isHighlighted(): bool
    {
        return $this->edgePens !== [] || $this->insidePens !== [];
    }

    /**
     * A line with rounded corners.
     *
     * @param  list<array{float, float}>  $points
     */
    public static function path(array $points, float $radius = 6): string
    {
        $last = count($points) - 1;
        if ($last < 1) {
            return '';
        }
        $path = "M{$points[0][0]},{$points[0][1]}";
        for ($i = 1; $i < $last; $i++) {
            [$before, $corner, $after] = [$points[$i - 1], $points[$i], $points[$i + 1]];
            $in = self::towards($corner, $before, $radius);
            $out = self::towards($corner, $after, $radius);
            $path .= " L{$in[0]},{$in[1]} Q{$corner[0]},{$corner[1]} {$out[0]},{$out[1]}";
        }

        return $path." L{$points[$last][0]},{$points[$last][1]}";
    }

    /**
     * Small arrows on a line that runs against the reading direction, at the middle of its longest level stretch: a return path.
     *
     * @return list<array{float, float}> where the arrow heads stand; empty for a forward line
     */
    public function returnMarks(MapEdge $edge): array
    {
        $points = $this->geometry->lines[$edge->id]['points'];
        $last = count($points) - 1;
        if ($last < 1 || $points[$last][0] >= $points[0][0]) {
            return [];
        }
        $marks = [];
        for ($i = 0; $i < $last; $i++) {
            [$a, $b] = [$points[$i], $points[$i + 1]];
            if ($a[1] === $b[1] && $a[0] - $b[0] > 90) {
                $marks[] = [round($b[0] + ($a[0] - $b[0]) * 0.3, 1), $a[1]];
                $marks[] = [round($b[0] + ($a[0] - $b[0]) * 0.7, 1), $a[1]];
            }
        }

        return $marks;
    }

    /** A line across a plate from one of its ports to another: whole for a pen, clear of the labels for the thin line. */
    public function insidePath(string $from, string $to, bool $isPen = false): string
    {
        return PlateInsides::line($this->ports[$from], $this->ports[$to], ! $isPen);
    }

    private function highlight(Pen $pen, Arrival $arrival): void
    {
        $known = [];
        foreach ($this->map->edges as $edge) {
            $known[$edge->id] = $edge;
        }
        $entered = null;
        foreach ($arrival->hops as $hop) {
            $id = match (true) {
                $hop->kind === HopKind::Cable => "cable:{$hop->ref}",
                $hop->pick !== null => "pick:{$hop->pick}",
                default => null,
            };
            $unit = strstr($hop->ref, '/', true);
            if ($unit !== false) {
                $this->touched[$unit] = true;
            }
            $edge = $known[$id ?? ''] ?? null;
            if ($edge === null) {
                continue;
            }
            $this->add($this->edgePens, $edge->id, $pen);
            [$start, $end] = $entered !== null && $this->sameUnit($edge->to, $entered)
                ? [$edge->to, $edge->from]
                : [$edge->from, $edge->to];
            if ($entered !== null && $entered !== $start && isset($this->ports[$entered], $this->ports[$start])
                && $this->sameUnit($entered, $start) && $this->map->depth->showsInsides()) {
                $this->add($this->insidePens, "{$entered} {$start}", $pen);
            }
            $entered = $end;
            $this->touched[$this->plateOf($start)] = $this->touched[$this->plateOf($end)] = true;
        }
        $ear = (string) $arrival->ear;
        if ($entered !== null && isset($this->ports[$ear]) && $this->sameUnit($entered, $ear) && $entered !== $ear) {
            $this->add($this->insidePens, "{$entered} {$ear}", $pen);
            $entered = $ear;
        }
        if ($entered !== null) {
            $this->add($this->ends, $entered, $pen);
        }
    }

    /** @param  array<string, list<Pen>>  $to */
    private function add(array &$to, string $key, Pen $pen): void
    {
        if (! in_array($pen, $to[$key] ?? [], true)) {
            $to[$key][] = $pen;
        }
    }

    /** The plate of a port. */
    private function plateOf(string $port): string
    {
        return str_starts_with($port, 'device ') ? explode(' ', $port)[1] : (string) strstr($port, '/', true);
    }

    private function sameUnit(string $a, string $b): bool
    {
        return $this->plateOf($a) === $this->plateOf($b);
    }

    /**
     * @param  array{float, float}  $from
     * @param  array{float, float}  $to
     * @return array{float, float}
     */
    private static function towards(array $from, array $to, float $radius): array
    {
        $length = max(0.001, hypot($to[0] - $from[0], $to[1] - $from[1]));
        $step = min($radius, $length / 2) / $length;

        return [round($from[0] + ($to[0] - $from[0]) * $step, 1), round($from[1] + ($to[1] - $from[1]) * $step, 1)];
    }
}
