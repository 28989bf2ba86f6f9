<?php

declare(strict_types=1);

namespace App\Exports;

use App\ViewModels\TextWidth;
use HiddenWire\Core\Book\Inside;
use HiddenWire\Core\Book\InsideRow;

/**
 * What joins inside a unit as plain shapes, in pixels: a level line for each row, an upright one for each row that takes something, and a
 * diamond where the two are joined. No two rows share a line, and no line runs through a word.
 */
final readonly class InsideScene
{
    private const ROW = 14.0;

    private const COLUMN = 13.0;

    private const LETTERS = 10.5;

    private const GAP = 7.0;

    /** Bold letters are a little wider. */
    private const BOLD = 1.06;

    /** As wide as a sheet of paper at eight points. */
    public const MOST = 660.0;

    /** The most that it takes to say what something hangs on. */
    private const NOTE = 80.0;

    /** Room for the legend. */
    private const LEAST = 270.0;

    private const SOFT = '#5c5a50';

    private const DIAMOND = 4.2;

    /** Between a diamond and its words, between one mark and the next. */
    private const LEGEND = 16.0;

    public float $width;

    public float $height;

    /** @var list<Shape> from the back to the front */
    public array $shapes;

    /** @var array<int, float> position of the vertical line of a row */
    private array $columns;

    private float $left;

    private float $right;

    /** @var array{float, float} what words may take on the left and on the right */
    private array $room;

    public function __construct(private Inside $of)
    {
        $this->room = $this->roomForWords();
        $this->left = max([0.0, ...array_map(fn (InsideRow $row) => $row->gives ? $this->widthOf($row) : 0.0, $of->rows)]) + self::GAP;
        $this->columns = $this->columns();
        $this->right = $this->left + self::COLUMN * (count($this->columns) + 1);
        $behind = array_map(fn (InsideRow $row) => $row->gives ? 0.0 : $this->widthOf($row), $of->rows);
        $this->width = max(self::LEAST, $this->right + self::GAP + max([0.0, ...$behind]));
        $lines = $words = $marks = [];
        foreach ($of->rows as $at => $row) {
            array_push($lines, ...$this->lines($at, $row));
            array_push($words, ...$this->words($at, $row));
        }
        foreach ($of->joins as [$from, $to, $isDefault]) {
            $marks[] = self::diamond($this->columns[$to], self::y($from), $isDefault);
        }
        $legend = $this->legend();
        $this->height = self::y(count($of->rows)) + self::ROW;
        $this->shapes = [...$lines, ...$marks, ...$words, ...$legend];
    }

    /**
     * Mixes first, in the order in which they stand; what only takes from the last row to the first, so that no line on its way out is
     * crossed by another one on its way down.
     *
     * @return array<int, float>
     */
    private function columns(): array
    {
        $takes = array_keys(array_filter($this->of->rows, fn (InsideRow $row) => $row->takes));
        $isBetween = fn (int $at) => $this->of->rows[$at]->gives;
        $order = [...array_filter($takes, $isBetween), ...array_reverse(array_filter($takes, fn (int $at) => ! $isBetween($at)))];
        $columns = [];
        foreach ($order as $number => $at) {
            $columns[$at] = $this->left + self::COLUMN * ($number + 1);
        }

        return $columns;
    }

    /** @return list<Shape> */
    private function lines(int $at, InsideRow $row): array
    {
        $y = self::y($at);
        $own = $this->columns[$at] ?? null;
        $lines = [];
        if ($own !== null) {
            $from = array_map(fn (array $join) => self::y($join[0]), array_filter($this->of->joins, fn (array $join) => $join[1] === $at));
            $lines[] = Shape::line([[$own, min($y, ...$from)], [$own, max($y, ...$from)]], MapScene::INK, 1);
        }
        if (! $row->gives) {
            return [...$lines, Shape::line([[$own ?? $this->left, $y], [$this->right, $y]], MapScene::INK, 1)];
        }
        $to = array_map(fn (array $join) => $this->columns[$join[1]], array_filter($this->of->joins, fn (array $join) => $join[0] === $at));
        $begin = $own ?? $this->left;
        $lines[] = Shape::line([[min($begin, ...$to), $y], [max($begin, ...$to), $y]], MapScene::INK, 1);
        if ($own !== null && min($own, ...$to) - $this->left > self::COLUMN) {
            // From its name to where it begins.
            $lines[] = Shape::line([[$this->left, $y], [min($own, ...$to) - 3, $y]], self::SOFT, 0.6, [1.0, 4.0]);
        }

        return $lines;
    }

    /** @return list<Shape> */
    private function words(int $at, InsideRow $row): array
    {
        [$name, $note] = [$this->name($row), self::note($row)];
        $y = self::y($at) + self::LETTERS * 0.35;
        if (! $row->gives) {
            $x = $this->right + self::GAP;

            return [
                Shape::text($x, $y, $name, self::LETTERS, MapScene::INK, true),
                ...($note === '' ? [] : [Shape::text($x + self::wide($name) + self::GAP, $y, $note, self::LETTERS, self::SOFT)]),
            ];
        }
        $x = $this->left - self::GAP;

        return [
            Shape::text($x, $y, $name, self::LETTERS, MapScene::INK, true, 'end'),
            ...($note === '' ? [] : [Shape::text($x - self::wide($name) - self::GAP, $y, $note, self::LETTERS, self::SOFT, anchor: 'end')]),
        ];
    }

    /** @return list<Shape> what a diamond means, and a hollow one where there is one */
    private function legend(): array
    {
        $y = self::y(count($this->of->rows)) + self::ROW / 4;
        $base = $y + self::LETTERS * 0.35;
        $write = fn (float $x, string $words) => Shape::text($x + self::LEGEND / 2 + 1, $base, $words, self::LETTERS, self::SOFT);
        $first = self::DIAMOND + 1;
        $hollow = array_filter($this->of->joins, fn (array $join) => ! $join[2]) !== [];
        $words = $hollow ? 'joined in the default' : 'joined; lines that cross without it do not meet';
        $second = $first + self::LEGEND + self::wide($words) + self::LEGEND / 2;

        return [
            self::diamond($first, $y, true), $write($first, $words),
            ...($hollow ? [self::diamond($second, $y, false), $write($second, 'in another situation')] : []),
        ];
    }

    /** @return array{float, float} what words may take on the left and on the right: each half, or what the other one leaves */
    private function roomForWords(): array
    {
        $columns = count(array_filter($this->of->rows, fn (InsideRow $row) => $row->takes)) + 1;
        $room = self::MOST - self::COLUMN * $columns - 2 * self::GAP;
        $whole = [0.0, 0.0];
        foreach ($this->of->rows as $row) {
            $side = $row->gives ? 0 : 1;
            $whole[$side] = max($whole[$side], self::wide($row->label) + self::noteWidth($row));
        }

        return [max($room / 2, $room - $whole[1]), max($room / 2, $room - $whole[0])];
    }

    private static function diamond(float $x, float $y, bool $isFilled): Shape
    {
        $reach = self::DIAMOND;

        return Shape::polygon(
            [[$x, $y - $reach], [$x + $reach, $y], [$x, $y + $reach], [$x - $reach, $y]],
            $isFilled ? MapScene::INK : '#ffffff',
            MapScene::INK,
        );
    }

    private static function y(int $row): float
    {
        return self::ROW * ($row + 0.5);
    }

    private function widthOf(InsideRow $row): float
    {
        return self::wide($this->name($row)) + self::noteWidth($row);
    }

    private function name(InsideRow $row): string
    {
        $room = $this->room[$row->gives ? 0 : 1] - self::noteWidth($row);

        return TextWidth::cut($row->label, self::LETTERS, $room / self::BOLD);
    }

    private static function noteWidth(InsideRow $row): float
    {
        return $row->note === '' ? 0.0 : self::wide(self::note($row)) + self::GAP;
    }

    private static function note(InsideRow $row): string
    {
        return TextWidth::cut($row->note, self::LETTERS, self::NOTE);
    }

    private static function wide(string $text): float
    {
        return ceil(TextWidth::of($text, self::LETTERS) * self::BOLD);
    }
}
