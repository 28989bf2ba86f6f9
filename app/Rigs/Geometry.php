<?php

declare(strict_types=1);

namespace App\Rigs;

use App\ViewModels\MapGraph;

/**
 * Where everything stands on a map. It comes from a browser's worker, so it is taken only when it holds a place for each box and each line
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
