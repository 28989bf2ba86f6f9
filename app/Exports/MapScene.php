<?php

declare(strict_types=1);

namespace App\Exports;

use App\ViewModels\MapDrawing;
use App\ViewModels\MapEdge;
use App\ViewModels\MapPlate;
use App\ViewModels\MapPort;
use App\ViewModels\TextWidth;
use HiddenWire\Core\Equipment\Realm;
use HiddenWire\Core\History\Mark;
use HiddenWire\Core\Rig\Rig;

/** A map as plain shapes, from the back to the front: for files and paper, in the colours of the day. */
final readonly class MapScene
{
    public const INK = '#1e2428';

    private const SOFT = '#5c5a50';

    private const RULE = '#d2cab8';

    private const PANEL = '#f1ede3';

    private const WHITE = '#ffffff';

    /** Colour, width and dashes of a line, by realm: distinct without colour, too. */
    private const WIRES = [
        'analog' => ['#6f3619', 1.7, []],
        'digital' => ['#1d4f7c', 4.0, []],
        'computer' => ['#1e2428', 1.3, [5.0, 3.5]],
        'network' => ['#4d4a5e', 1.5, [13.0, 5.0]],
        'air' => ['#6b6459', 2.0, [1.5, 4.0]],
    ];

    private const MARKED = '#8a1c12';

    private const WASH = '#fff4c2';

    /** The height of a mark's letters. */
    private const MARK = 20.0;

    /** Dashes and width of the line around a unit, by what became of it. */
    private const OUTLINES = ['added' => [[], 5.0], 'removed' => [[4.0, 5.0], 5.0], 'changed' => [[16.0, 6.0], 4.0]];

    public float $width;

    public float $height;

    /** @var list<Shape> */
    public array $shapes;

    /** @var list<array{float, float, float, float}> left, top, right and bottom of units and labels, which no cut goes through */
    public array $whole;

    /** @var array{list<float>, list<float>} where lines run: how far right upright stretches stand, and how far down level ones */
    public array $runs;

    /** @var array<string, true> kinds of lines that it has */
    public array $realms;

    /** @param  array<string, Mark>  $marks  what became of units and lines, by `unit:…` and edge */
    public function __construct(MapDrawing $drawing, Rig $rig, private array $marks = [])
    {
        $geometry = $drawing->geometry;
        $this->width = $geometry->width;
        $this->height = $geometry->height;
        $shapes = [];
        foreach (array_filter($drawing->map->plates) as $id => $_) {
            [$x, $y, $width, $height] = $geometry->boxes["place:{$id}"];
            $shapes[] = Shape::box($x, $y, $width, $height, self::PANEL, self::RULE);
            $shapes[] = Shape::text($x + 12, $y + 21, $rig->places[$id]->name, 13.5, self::INK, true);
            $shapes[] = Shape::text($x + $width - 12, $y + 20, $rig->places[$id]->kind->value, 11, self::SOFT, anchor: 'end');
        }
        foreach ($drawing->map->edges as $edge) {
            array_push($shapes, ...$this->edge($edge, $drawing));
        }
        foreach ($drawing->map->plates as $plates) {
            foreach ($plates as $plate) {
                array_push($shapes, ...$this->plate($plate, $drawing));
            }
        }
        $this->shapes = [...$shapes, ...$this->marked($drawing)];
        $this->runs = self::runs(array_column($geometry->lines, 'points'));
        $this->realms = array_fill_keys(array_map(fn (MapEdge $edge) => $edge->realm->value, $drawing->map->edges), true);
        $boxes = array_values(array_filter($geometry->boxes, fn (string $id) => str_starts_with($id, 'unit:'), ARRAY_FILTER_USE_KEY));
        $labels = array_values(array_filter(array_column($geometry->lines, 'label')));
        $this->whole = array_map(fn (array $box) => [$box[0], $box[1], $box[0] + $box[2], $box[1] + $box[3]], [...$boxes, ...$labels]);
    }

    /**
     * @param  array<int, list<array{float, float}>>  $lines
     * @return array{list<float>, list<float>}
     */
    private static function runs(array $lines): array
    {
        $runs = [[], []];
        foreach ($lines as $points) {
            for ($i = 1; $i < count($points); $i++) {
                foreach ([0, 1] as $side) {
                    if ($points[$i][$side] === $points[$i - 1][$side]) {
                        $runs[$side][] = $points[$i][$side];
                    }
                }
            }
        }

        return $runs;
    }

    /** @return list<Shape> */
    private function edge(MapEdge $edge, MapDrawing $drawing): array
    {
        $line = $drawing->geometry->lines[$edge->id];
        $shapes = self::line($line['points'], $edge->realm);
        foreach ($drawing->returnMarks($edge) as [$x, $y]) {
            $shapes[] = Shape::polygon([[$x + 4, $y - 5], [$x - 5, $y], [$x + 4, $y + 5]], self::INK);
        }
        if ($line['label'] !== null && $edge->label !== '') {
            [$x, $y, $w, $h] = $line['label'];
            $shapes[] = Shape::box($x, $y, $w, $h, self::WHITE, self::SOFT, 0.7);
            $shapes[] = Shape::text($x + $w / 2, $y + 11, $edge->label, 11, self::INK, anchor: 'middle');
        }

        return $shapes;
    }

    /**
     * A line in the style of its kind: distinct without colour, too.
     *
     * @param  list<array{float, float}>  $points
     * @return list<Shape>
     */
    public static function line(array $points, Realm $realm): array
    {
        [$colour, $width, $dashes] = self::WIRES[$realm->value];

        return [
            Shape::line($points, $colour, $width, $dashes),
            ...($realm === Realm::Digital ? [Shape::line($points, self::WHITE, 1.6)] : []),
        ];
    }

    /** @return list<Shape> */
    private function plate(MapPlate $plate, MapDrawing $drawing): array
    {
        [$x, $y, $width, $height] = $drawing->geometry->boxes["unit:{$plate->unit}"];
        $shapes = [
            Shape::box($x, $y, $width, $height, self::WHITE, self::INK),
            Shape::text($x + 9, $y + 17, $plate->name, 13.5, self::INK, true),
            Shape::text($x + 9, $y + 30, $plate->shortCaption(), 10.5, self::SOFT),
            Shape::line([[$x, $y + 37.5], [$x + $width, $y + 37.5]], self::RULE, 1),
        ];
        foreach ($plate->insides as [$from, $to, $passes]) {
            if ($passes) {
                [$a, $b] = [$drawing->ports[$from], $drawing->ports[$to]];
                $middle = ($a['x'] + $b['x']) / 2;
                $shapes[] = Shape::line([[$a['x'], $a['y']], [$middle, $a['y']], [$middle, $b['y']], [$b['x'], $b['y']]], self::SOFT, 0.7);
            }
        }
        foreach ([...$plate->left, ...$plate->right] as $port) {
            array_push($shapes, ...$this->port($port, $drawing->ports[$port->id]['x'], $drawing->ports[$port->id]['y']));
        }

        return $shapes;
    }

    /** @return list<Shape> the marks, in front of everything */
    private function marked(MapDrawing $drawing): array
    {
        $shapes = [];
        foreach ($this->marks as $key => $mark) {
            $box = $drawing->geometry->boxes[$key] ?? null;
            $line = $drawing->geometry->lines[$key] ?? null;
            if ($box !== null) {
                [$x, $y, $width, $height] = $box;
                [$dashes, $thick] = self::OUTLINES[$mark->value];
                [$left, $top, $right, $bottom] = [$x - 5, $y - 5, $x + $width + 5, $y + $height + 5];
                $shapes[] = Shape::line(
                    [[$left, $top], [$right, $top], [$right, $bottom], [$left, $bottom], [$left, $top]],
                    self::MARKED,
                    $thick,
                    $dashes,
                );
                array_push($shapes, ...$this->mark($mark, $left, $top - 1.3 * self::MARK));
            } elseif ($line !== null) {
                [$x, $y, $width] = $line['label'] ?? [...$line['points'][intdiv(count($line['points']), 2)], 0];
                array_push($shapes, ...$this->mark($mark, $x + $width + 3, $y - 5));
            }
        }

        return $shapes;
    }

    /** @return list<Shape> a sign, and what it means, on a ground of its own: large enough to be read on a map made small */
    private function mark(Mark $mark, float $x, float $y): array
    {
        $size = self::MARK;
        $at = fn (float $right, float $down): array => [$x + $right * $size, $y + $down * $size];
        $sign = match ($mark) {
            Mark::Added => [
                Shape::line([$at(0.2, 0.65), $at(0.9, 0.65)], self::MARKED, 3.5),
                Shape::line([$at(0.55, 0.3), $at(0.55, 1.0)], self::MARKED, 3.5),
            ],
            Mark::Removed => [
                Shape::line([$at(0.25, 0.35), $at(0.85, 0.95)], self::MARKED, 3.5),
                Shape::line([$at(0.85, 0.35), $at(0.25, 0.95)], self::MARKED, 3.5),
            ],
            Mark::Changed => [Shape::polygon([$at(0.55, 0.3), $at(0.95, 1.0), $at(0.15, 1.0)], self::MARKED)],
        };

        return [
            Shape::box($x, $y, TextWidth::of($mark->value, $size) + 1.6 * $size, 1.3 * $size, self::WASH, self::MARKED),
            ...$sign,
            Shape::text($x + 1.2 * $size, $y + 0.98 * $size, $mark->value, $size, self::MARKED, true),
        ];
    }

    /** @return list<Shape> */
    private function port(MapPort $port, float $x, float $y): array
    {
        return [
            ...self::socket($x, $y, $port->isOut, $port->isFree || $port->kind !== 'socket'),
            $port->isOut ? Shape::text($x - 9, $y + 4, $port->label, 11.5, self::INK, anchor: 'end')
                : Shape::text($x + 9, $y + 4, $port->label, 11.5, self::INK),
        ];
    }

    /** @return list<Shape> outs point outward, ins are square; what is free or no socket is hollow */
    public static function socket(float $x, float $y, bool $isOut, bool $isFree): array
    {
        $fill = $isFree ? self::WHITE : self::INK;

        return [$isOut
            ? Shape::polygon([[$x - 3, $y - 4], [$x + 1, $y - 4], [$x + 5, $y], [$x + 1, $y + 4], [$x - 3, $y + 4]], $fill, self::INK)
            : Shape::box($x - 4, $y - 4, 8, 8, $fill, self::INK)];
    }
}
