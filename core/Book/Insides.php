<?php

declare(strict_types=1);

namespace HiddenWire\Core\Book;

use HiddenWire\Core\Controls\Acting;
use HiddenWire\Core\Devices\Device;
use HiddenWire\Core\Equipment\Direction;
use HiddenWire\Core\Equipment\Point;
use HiddenWire\Core\Equipment\Socket;
use HiddenWire\Core\Equipment\Way;
use HiddenWire\Core\Rig\RouteRef;
use HiddenWire\Core\Rig\SocketRef;
use HiddenWire\Core\Rig\Unit;

/** Drawings of what joins inside: of a unit that mixes its routes, of a computer what its programs take and where they play to. */
final class Insides
{
    /** Rows that take two fifths of a sheet at eight points, and columns that find room beside names; what is larger is drawn in parts. */
    private const MOST_ROWS = 28;

    private const MOST_COLUMNS = 20;

    /** @var array<string, array{string, string}> label and note, by what a row is of, in the order of the unit */
    private array $named = [];

    /** @var array<string, array<string, bool>> whether one gives to the other in the default; by who gives, by who takes */
    private array $joins = [];

    private function __construct(private readonly BookInput $of)
    {
    }

    /** @return list<Inside> none where nothing of the unit's that acts is mixed */
    public static function ofUnit(BookInput $of, Unit $unit, Acting $acting): array
    {
        $made = new self($of);
        $model = $of->rig->modelOf($unit);
        foreach ($model->points as $point) {
            $made->named[$point->id] = [$point->label, $made->leads($unit, $point)];
        }
        foreach ($of->rig->situations as $situation) {
            $state = $of->hearing($situation->id)->graph()->state;
            foreach ($model->routes as $key => $route) {
                if ($acting->has(new RouteRef($unit->id, (string) $key)) && $state->route($unit->id, $route)->on) {
                    $made->join($route->from, $route->to, $of->rig->isBase($situation->id));
                }
            }
        }
        $fed = array_count_values(array_merge([], ...array_map(array_keys(...), array_values($made->joins))));

        return max([0, ...$fed]) < 2 ? [] : $made->drawn("Inside {$unit->name}");
    }

    /** @return list<Inside> none where fewer than three things are picked */
    public static function ofComputer(BookInput $of, Unit $computer): array
    {
        $made = new self($of);
        $programs = array_filter(
            $of->rig->units,
            fn (Unit $one) => $one->place === $computer->place && $of->rig->modelOf($one)->isProgram(),
        );
        $devices = $of->graph()->devices->of($computer->id);
        foreach ($devices as $device) {
            $made->named["device {$device->ref}"] = self::naming($of, $device);
        }
        foreach ($programs as $program) {
            foreach ($of->rig->modelOf($program)->points as $point) {
                $made->named["{$program->id}/{$point->id}"] = ["{$program->name}: {$point->label}", ''];
            }
        }
        foreach ($of->rig->situations as $situation) {
            $graph = $of->hearing($situation->id)->graph();
            foreach ($programs as $program) {
                foreach ($of->rig->modelOf($program)->points as $point) {
                    foreach ($graph->allPicked($program, $point) as $device) {
                        [$at, $with] = ["{$program->id}/{$point->id}", "device {$device->ref}"];
                        $made->named[$with] ??= self::naming($of, $device);
                        $isBase = $of->rig->isBase($situation->id);
                        $point->picks === Direction::Playback ? $made->join($at, $with, $isBase) : $made->join($with, $at, $isBase);
                    }
                }
            }
        }

        return array_sum(array_map(count(...), $made->joins)) < 3 ? []
            : $made->drawn("Inside {$computer->name}: what programs take, and where they play");
    }

    /** @return array{string, string} */
    private static function naming(BookInput $of, Device $device): array
    {
        return [$device->name(), $device->ref->unit === $device->computer ? '' : $of->rig->units[$device->ref->unit]->name];
    }

    private function join(string $from, string $to, bool $isBase): void
    {
        $this->joins[$from][$to] = $isBase || ($this->joins[$from][$to] ?? false);
    }

    /** "W-03, W-04": the leads in the sockets of a point. */
    private function leads(Unit $unit, Point $point): string
    {
        $labels = [];
        foreach ($this->of->rig->modelOf($unit)->sockets as $socket) {
            if (self::leadsTo($socket, $point)) {
                foreach ($this->of->wiring->at(new SocketRef($unit->id, $socket->id)) as $cable) {
                    $labels[] = $cable->label;
                }
            }
        }

        return implode(', ', array_unique($labels));
    }

    private static function leadsTo(Socket $socket, Point $point): bool
    {
        foreach ([...$socket->lanesGoing(Way::In), ...$socket->lanesGoing(Way::Out)] as $lane) {
            if ($lane->point === $point->id) {
                return true;
            }
        }

        return false;
    }

    /**
     * In as many parts as the paper needs: so many of what takes at a time, from so many of what gives.
     *
     * @return list<Inside>
     */
    private function drawn(string $caption): array
    {
        $order = $this->ordered();
        $taking = array_values(array_filter($order, fn (string $id) => $this->giversOf($id) !== []));
        $parts = [];
        foreach (array_chunk($taking, self::MOST_COLUMNS) as $takers) {
            $isGiver = fn (string $id) => array_intersect_key($this->joins[$id] ?? [], array_flip($takers)) !== [];
            $givers = array_values(array_filter($order, $isGiver));
            foreach (array_chunk($givers, max(1, self::MOST_ROWS - count($takers))) as $some) {
                $parts[] = $this->part($order, array_flip($some), array_flip($takers));
            }
        }
        $count = count($parts);

        return array_map(
            fn (array $part, int $number) => new Inside(
                $count === 1 ? $caption : "{$caption}, part ".($number + 1)." of {$count}",
                ...$part,
            ),
            $parts,
            array_keys($parts),
        );
    }

    /**
     * @param  list<string>  $order
     * @param  array<string, int>  $givers
     * @param  array<string, int>  $takers
     * @return array{rows: list<InsideRow>, joins: list<array{int, int, bool}>}
     */
    private function part(array $order, array $givers, array $takers): array
    {
        $joins = [];
        foreach (array_intersect_key($this->joins, $givers) as $from => $to) {
            foreach (array_intersect_key($to, $takers) as $one => $isBase) {
                $joins[] = [(string) $from, (string) $one, $isBase];
            }
        }
        $gives = array_fill_keys(array_column($joins, 0), true);
        $takes = array_fill_keys(array_column($joins, 1), true);
        $ids = array_values(array_filter($order, fn (string $id) => isset($gives[$id]) || isset($takes[$id])));
        $at = array_flip($ids);

        return [
            'rows' => array_map(fn (string $id) => new InsideRow(...[...$this->named[$id], isset($gives[$id]), isset($takes[$id])]), $ids),
            'joins' => array_map(fn (array $one) => [$at[$one[0]], $at[$one[1]], $one[2]], $joins),
        ];
    }

    /** @return list<string> who gives to something */
    private function giversOf(string $id): array
    {
        return array_map(strval(...), array_keys(array_filter($this->joins, fn (array $to) => isset($to[$id]))));
    }

    /**
     * What only gives, what does both, what only takes; each in the order of the unit, but nothing above what it takes from unless they
     * run in a circle. Costs one pass for each step of the longest way.
     *
     * @return list<string>
     */
    private function ordered(): array
    {
        $takers = array_fill_keys(array_merge([], ...array_map(array_keys(...), array_values($this->joins))), true);
        $used = array_filter(
            array_map(strval(...), array_keys($this->named)),
            fn (string $id) => isset($this->joins[$id]) || isset($takers[$id]),
        );
        $order = array_filter($used, fn (string $id) => ! isset($takers[$id]));
        $ends = array_filter($used, fn (string $id) => ! isset($this->joins[$id]));
        $between = array_diff($used, $order, $ends);
        while ($between !== []) {
            $ready = array_filter($between, fn (string $id) => array_intersect($this->giversOf($id), $between) === []);
            // Where all wait for each other, one of them begins.
            $next = $ready === [] ? array_slice($between, 0, 1) : $ready;
            $order = [...$order, ...$next];
            $between = array_diff($between, $next);
        }

        return [...$order, ...$ends];
    }
}
