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
    private const INK = '#1e2428';

    private const SOFT = '#5c5a50';

    private const RULE = '#d2cab8';

    private const PANEL = '#f1ede3';

    private const WHITE = '#ffffff';

    /** Colour, width and dashes of a line, by realm: told apart without colour too. */
    private const WIRES = [
        'analog' => ['#6f3619', 1.7, []],
        'digital' => ['#1d4f7c', 4.0, []],
        'computer' => ['#1e2428', 1.3, [5.0, 3.5]],
        'network' => ['#4d4a5e', 1.5, [13.0, 5.0]],
        'air' => ['#6b6459', 2.0, [1.5, 4.0]],
    ];

    private const MARKED = '#8a1c12';

    private const WASH = '#fff4c2';

    /** Dashes and width of the line around a unit, by what became of it. */
    private const OUTLINES = ['added' => [[], 3.0], 'removed' => [[3.0, 4.0], 3.0], 'changed' => [[12.0, 5.0], 2.0]];

    public float $width;

    public float $height;

    /** @var list<Shape> */
    public array $shapes;

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
        $this->shapes = $shapes;
    }

    /** @return list<Shape> */
    private function edge(MapEdge $edge, MapDrawing $drawing): array
    {
        $line = $drawing->geometry->lines[$edge->id];
        [$colour, $width, $dashes] = self::WIRES[$edge->realm->value];
        $shapes = [Shape::line($line['points'], $colour, $width, $dashes)];
        if ($edge->realm === Realm::Digital) {
            $shapes[] = Shape::line($line['points'], self::WHITE, 1.6);
        }
        foreach ($drawing->returnMarks($edge) as [$x, $y]) {
            $shapes[] = Shape::polygon([[$x + 4, $y - 5], [$x - 5, $y], [$x + 4, $y + 5]], self::INK);
        }
        if ($line['label'] !== null && $edge->label !== '') {
            [$x, $y, $w, $h] = $line['label'];
            $shapes[] = Shape::box($x, $y, $w, $h, self::WHITE, self::SOFT, 0.7);
            $shapes[] = Shape::text($x + $w / 2, $y + 11, $edge->label, 11, self::INK, anchor: 'middle');
        }
        $mark = $this->marks[$edge->id] ?? null;
        if ($mark !== null) {
            [$x, $y, $w] = $line['label'] ?? [...$line['points'][intdiv(count($line['points']), 2)], 0];
            array_push($shapes, ...$this->mark($mark, $x + $w + 3, $y - 2));
        }

        return $shapes;
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
        $mark = $this->marks["unit:{$plate->unit}"] ?? null;
        if ($mark !== null) {
            [$pattern, $line] = self::OUTLINES[$mark->value];
            $around = [[$x - 4, $y - 4], [$x + $width + 4, $y - 4], [$x + $width + 4, $y + $height + 4], [$x - 4, $y + $height + 4], [$x - 4, $y - 4]];
            $shapes[] = Shape::line($around, self::MARKED, $line, $pattern);
            array_push($shapes, ...$this->mark($mark, $x + 4, $y - 13));
        }
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

    /** @return list<Shape> a sign, and what it means, on a ground of its own */
    private function mark(Mark $mark, float $x, float $y): array
    {
        $sign = match ($mark) {
            Mark::Added => [
                Shape::line([[$x + 3, $y + 8], [$x + 13, $y + 8]], self::MARKED, 2.4), Shape::line([[$x + 8, $y + 3], [$x + 8, $y + 13]], self::MARKED, 2.4),
            ],
            Mark::Removed => [
                Shape::line([[$x + 4, $y + 4], [$x + 12, $y + 12]], self::MARKED, 2.4), Shape::line([[$x + 12, $y + 4], [$x + 4, $y + 12]], self::MARKED, 2.4),
            ],
            Mark::Changed => [Shape::polygon([[$x + 8, $y + 3], [$x + 13.5, $y + 13], [$x + 2.5, $y + 13]], self::MARKED)],
        };

        return [
            Shape::box($x, $y, TextWidth::of($mark->value, 11) + 22, 16, self::WASH, self::MARKED),
            ...$sign,
            Shape::text($x + 17, $y + 12, $mark->value, 11, self::MARKED, true),
        ];
    }

    /** @return list<Shape> outs point outward, ins are square; what is free or no socket is hollow */
    private function port(MapPort $port, float $x, float $y): array
    {
        $fill = $port->isFree || $port->kind !== 'socket' ? self::WHITE : self::INK;

        return $port->isOut
            ? [
                Shape::polygon([[$x - 3, $y - 4], [$x + 1, $y - 4], [$x + 5, $y], [$x + 1, $y + 4], [$x - 3, $y + 4]], $fill, self::INK),
                Shape::text($x - 9, $y + 4, $port->label, 11.5, self::INK, anchor: 'end'),
            ]
            : [
                Shape::box($x - 4, $y - 4, 8, 8, $fill, self::INK),
                Shape::text($x + 9, $y + 4, $port->label, 11.5, self::INK),
            ];
    }
}
