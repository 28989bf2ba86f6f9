<?php

declare(strict_types=1);

namespace App\Rigs;

use App\ViewModels\MapGraph;
use App\ViewModels\MapPlate;

/**
 * The positions on a map. They come from a browser's worker, so it is taken only when it holds a place for each box and each line
 * of the structure and nothing else.
 *
 * @phpstan-type Box array{float, float, float, float}
 * @phpstan-type Line array{points: list<array{float, float}>, label: Box|null}
 */
final readonly class Geometry
{
    /** Pixels; the largest benchmark rig needs about 20,000. */
    private const FARTHEST = 200_000;

    private const MOST_POINTS = 400;

    /** Pixels: the grid that lines run on. */
    private const GRID = 8.0;

    /** Pixels by which a layout may be rounded. */
    private const SLACK = 1.0;

    /**
     * @param  array<string, Box>  $boxes  by `place:…` and `unit:…`
     * @param  array<string, Line>  $lines  by edge
     */
    private function __construct(public float $width, public float $height, public array $boxes, public array $lines)
    {
    }

    /** Null where the data is no geometry of this map. */
    public static function of(mixed $data, MapGraph $map): ?self
    {
        if (! is_array($data) || ! self::isLength($data['width'] ?? null) || ! self::isLength($data['height'] ?? null)
            || ! is_array($data['boxes'] ?? null) || ! is_array($data['edges'] ?? null)) {
            return null;
        }
        $boxes = $lines = [];
        $whole = [0.0, 0.0, (float) $data['width'], (float) $data['height']];
        $places = [];
        foreach (array_filter($map->plates) as $place => $plates) {
            $around = self::boxIn($data['boxes']["place:{$place}"] ?? null, $whole);
            $inside = $around === null ? [] : array_map(
                fn ($plate) => self::boxIn($data['boxes']["unit:{$plate->unit}"] ?? null, $around),
                $plates,
            );
            if ($around === null || in_array(null, $inside, true) || self::overlap($inside)) {
                return null;
            }
            $boxes["place:{$place}"] = $places[] = $around;
            foreach ($plates as $i => $plate) {
                $boxes["unit:{$plate->unit}"] = $inside[$i];
            }
        }
        if (self::overlap($places)) {
            return null;
        }
        foreach ($map->edges as $edge) {
            $line = $data['edges'][$edge->id] ?? null;
            $points = is_array($line) && is_array($line['points'] ?? null) && count($line['points']) <= self::MOST_POINTS
                ? array_map(self::point(...), array_values($line['points'])) : [null];
            $label = is_array($line) && isset($line['label']) ? self::box($line['label']) : null;
            if (in_array(null, $points, true)) {
                return null;
            }
            $lines[$edge->id] = ['points' => $points, 'label' => $label];
        }

        return new self((float) $data['width'], (float) $data['height'], $boxes, $lines);
    }

    /**
     * The geometry of an earlier structure for this map, where every plate has kept its size: all stays where it is, and a line that is new
     * runs straight until the lines are laid out again. Null where a box is missing or has grown.
     */
    public static function adapted(mixed $data, MapGraph $map): ?self
    {
        $ports = [];
        foreach (is_array($data) && is_array($data['boxes'] ?? null) && is_array($data['edges'] ?? null) ? $map->plates : [] as $plates) {
            foreach ($plates as $plate) {
                $box = self::box($data['boxes']["unit:{$plate->unit}"] ?? null);
                $spare = $box === null ? -1 : $box[2] - $plate->width();
                if ($box === null || abs($box[3] - $plate->height()) > self::SLACK || $spare < -self::SLACK || $spare > self::GRID) {
                    return null;
                }
                foreach ([[$plate->left, $box[0]], [$plate->right, $box[0] + $box[2]]] as [$side, $x]) {
                    foreach ($side as $row => $port) {
                        $ports[$port->id] = [$x, $box[1] + MapPlate::rowAt($row), $port->isOut];
                    }
                }
            }
        }
        $lines = [];
        foreach ($map->edges as $edge) {
            [$from, $to] = [$ports[$edge->from] ?? null, $ports[$edge->to] ?? null];
            if ($from === null || $to === null) {
                return null;
            }
            $before = is_array($data) ? $data['edges'][$edge->id] ?? null : null;
            $lines[$edge->id] = self::joins($before, $from, $to) ? $before : ['points' => self::straight($from, $to), 'label' => null];
        }

        return is_array($data) ? self::of(['edges' => $lines] + $data, $map) : null;
    }

    /**
     * Whether a line still runs from one port to another.
     *
     * @param  array{float, float, bool}  $from
     * @param  array{float, float, bool}  $to
     */
    private static function joins(mixed $line, array $from, array $to): bool
    {
        $points = is_array($line) && is_array($line['points'] ?? null) ? array_values($line['points']) : [];
        $isAt = fn (mixed $point, array $port): bool => self::areNumbers($point, 2)
            && abs($point[0] - $port[0]) <= self::GRID && abs($point[1] - $port[1]) <= self::GRID;

        return $points !== [] && $isAt($points[0], $from) && $isAt($points[count($points) - 1], $to);
    }

    /**
     * By right angles, out of the one port and into the other.
     *
     * @param  array{float, float, bool}  $from
     * @param  array{float, float, bool}  $to
     * @return list<array{float, float}>
     */
    private static function straight(array $from, array $to): array
    {
        $out = $from[0] + ($from[2] ? 2 : -2) * self::GRID;
        $in = $to[0] + ($to[2] ? 2 : -2) * self::GRID;
        $middle = ($from[1] + $to[1]) / 2;

        return $from[2] && ! $to[2] && $in > $out
            ? [[$from[0], $from[1]], [$out, $from[1]], [$out, $to[1]], [$to[0], $to[1]]]
            : [[$from[0], $from[1]], [$out, $from[1]], [$out, $middle], [$in, $middle], [$in, $to[1]], [$to[0], $to[1]]];
    }

    /** @return array{width: float, height: float, boxes: array<string, Box>} the positions, without the lines */
    public function standing(): array
    {
        return ['width' => $this->width, 'height' => $this->height, 'boxes' => $this->boxes];
    }

    /** @return array<string, mixed> as it is kept */
    public function data(): array
    {
        return ['width' => $this->width, 'height' => $this->height, 'boxes' => $this->boxes, 'edges' => $this->lines];
    }

    private static function isLength(mixed $value): bool
    {
        return (is_int($value) || is_float($value)) && $value >= 0 && $value <= self::FARTHEST;
    }

    /** @return Box|null */
    private static function box(mixed $values): ?array
    {
        return self::areNumbers($values, 4) ? array_map(floatval(...), $values) : null;
    }

    /**
     * @param  Box  $around
     * @return Box|null null where it is none, has no size, or is not inside the other
     */
    private static function boxIn(mixed $values, array $around): ?array
    {
        $box = self::box($values);
        if ($box === null || $box[2] <= 0 || $box[3] <= 0) {
            return null;
        }
        $isInside = $box[0] >= $around[0] - self::SLACK && $box[1] >= $around[1] - self::SLACK
            && $box[0] + $box[2] <= $around[0] + $around[2] + self::SLACK && $box[1] + $box[3] <= $around[1] + $around[3] + self::SLACK;

        return $isInside ? $box : null;
    }

    /**
     * Whether any two stand on each other.
     *
     * @param  array<array-key, Box|null>  $boxes
     */
    private static function overlap(array $boxes): bool
    {
        $boxes = array_values(array_filter($boxes));
        usort($boxes, fn (array $a, array $b) => $a[0] <=> $b[0]);
        foreach ($boxes as $i => [$x, $y, $width, $height]) {
            for ($j = $i + 1; isset($boxes[$j]) && $boxes[$j][0] < $x + $width - self::SLACK; $j++) {
                if ($boxes[$j][1] < $y + $height - self::SLACK && $y < $boxes[$j][1] + $boxes[$j][3] - self::SLACK) {
                    return true;
                }
            }
        }

        return false;
    }

    /** @return array{float, float}|null */
    private static function point(mixed $values): ?array
    {
        return self::areNumbers($values, 2) ? array_map(floatval(...), $values) : null;
    }

    /** @phpstan-assert-if-true ($count is 2 ? array{int|float, int|float} : array{int|float, int|float, int|float, int|float}) $values */
    private static function areNumbers(mixed $values, int $count): bool
    {
        if (! is_array($values) || ! array_is_list($values) || count($values) !== $count) {
            return false;
        }
        foreach ($values as $value) {
            if ((! is_int($value) && ! is_float($value)) || abs($value) > self::FARTHEST) {
                return false;
            }
        }

        return true;
    }
}
