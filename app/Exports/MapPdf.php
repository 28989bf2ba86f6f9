<?php

declare(strict_types=1);

namespace App\Exports;

/**
 * A map on sheets on their side. Where it would be too small to read on one it is spread over several, with marks where they join and a key
 * plan in front.
 */
final readonly class MapPdf
{
    /** Millimetres a pixel at which the smallest text, 10.5 px, is 5.6 points high; below it nobody reads at arm's length. */
    private const LEAST = 0.188;

    /** Millimetres a pixel of a map that is spread. */
    private const SPREAD = 0.21;

    /** Millimetres by which neighbouring sheets show the same. */
    private const OVERLAP = 10;

    private const POINTS_A_MM = 72 / 25.4;

    public function __construct(private Sheets $sheets, private MapScene $scene, private string $caption)
    {
    }

    public function write(): void
    {
        $this->caption($this->caption);
        [$x, $y] = [Sheets::MARGIN, $this->sheets->GetY() + 1];
        [$width, $height] = [$this->sheets->inside(), $this->sheets->left() - 2];
        $fit = min($width / max(1, $this->scene->width), $height / max(1, $this->scene->height));
        $this->put($x, $y, $width, $height, min($fit, 0.3), 0, 0);
        if ($fit >= self::LEAST) {
            $this->sheets->SetY($y + $this->scene->height * min($fit, 0.3));

            return;
        }
        $this->spread($x, $y, $fit);
    }

    /** The whole in small stands on the page already: it becomes the key plan. */
    private function spread(float $x, float $y, float $fit): void
    {
        $full = $this->sheets->getPageHeight() - $this->sheets->getBreakMargin() - Sheets::MARGIN - 9;
        [$stepX, $stepY] = [($this->sheets->inside() - self::OVERLAP) / self::SPREAD, ($full - self::OVERLAP) / self::SPREAD];
        [$columns, $rows] = [max(1, (int) ceil($this->scene->width / $stepX)), max(1, (int) ceil($this->scene->height / $stepY))];
        $this->sheets->SetDrawColor(179, 36, 28);
        $this->sheets->SetFont(Sheets::FONT, 'B', 14);
        for ($tile = 0; $tile < $columns * $rows; $tile++) {
            [$left, $top] = [$x + ($tile % $columns) * $stepX * $fit, $y + intdiv($tile, $columns) * $stepY * $fit];
            $this->sheets->SetLineStyle(['width' => 0.4, 'dash' => '2,1', 'color' => [179, 36, 28]]);
            $this->sheets->Rect($left, $top, min($stepX, $this->scene->width - ($tile % $columns) * $stepX) * $fit,
                min($stepY, $this->scene->height - intdiv($tile, $columns) * $stepY) * $fit);
            $this->sheets->Text($left + 1, $top + 1, (string) ($tile + 1));
        }
        for ($tile = 0; $tile < $columns * $rows; $tile++) {
            $this->sheets->AddPage('L');
            [$column, $row] = [$tile % $columns, intdiv($tile, $columns)];
            $beside = array_filter([
                $column > 0 ? 'left: sheet '.$tile : '', $column < $columns - 1 ? 'right: sheet '.($tile + 2) : '',
                $row > 0 ? 'above: sheet '.($tile + 1 - $columns) : '', $row < $rows - 1 ? 'below: sheet '.($tile + 1 + $columns) : '',
            ]);
            $this->caption("{$this->caption}, sheet ".($tile + 1).' of '.($columns * $rows)
                .($beside === [] ? '' : ' ('.implode(', ', $beside).')'));
            $at = $this->sheets->GetY() + 1;
            $this->put(Sheets::MARGIN, $at, $this->sheets->inside(), $full, self::SPREAD, $column * $stepX, $row * $stepY);
            $this->marks($at, $full);
        }
    }

    /** Where the next sheet begins: a cross at each corner of what is shown once. */
    private function marks(float $top, float $height): void
    {
        $this->sheets->SetLineStyle(['width' => 0.25, 'dash' => 0, 'color' => [179, 36, 28]]);
        foreach ([Sheets::MARGIN, Sheets::MARGIN + $this->sheets->inside() - self::OVERLAP] as $x) {
            foreach ([$top, $top + $height - self::OVERLAP] as $y) {
                $this->sheets->Line($x - 2, $y, $x + 2, $y);
                $this->sheets->Line($x, $y - 2, $x, $y + 2);
            }
        }
    }

    private function caption(string $text): void
    {
        $this->sheets->SetFont(Sheets::FONT, '', 9);
        $this->sheets->Cell($this->sheets->inside(), 5, $text, 0, 1);
    }

    /** Draws what of the map is in a window of the paper, from a corner of the map on. */
    private function put(float $x, float $y, float $width, float $height, float $scale, float $fromX, float $fromY): void
    {
        $sheets = $this->sheets;
        $foot = $sheets->getBreakMargin();
        $sheets->SetAutoPageBreak(false);
        $sheets->StartTransform();
        $sheets->Rect($x, $y, $width, $height, 'CNZ');
        foreach ($this->scene->shapes as $shape) {
            $points = array_map(
                fn (array $point) => [$x + ($point[0] - $fromX) * $scale, $y + ($point[1] - $fromY) * $scale],
                $shape->points,
            );
            if ($this->isNear($points, $x, $y, $width, $height)) {
                $this->draw($shape, $points, $scale);
            }
        }
        $sheets->StopTransform();
        $sheets->SetAutoPageBreak(true, $foot);
        $sheets->SetLineStyle(['width' => 0.2, 'dash' => 0, 'color' => [0]]);
        $sheets->SetTextColor(0);
    }

    /**
     * Whether any of it may be seen in a window of the paper: a text reaches up to 60 mm from where it stands.
     *
     * @param  list<array{float, float}>  $points
     */
    private function isNear(array $points, float $x, float $y, float $width, float $height): bool
    {
        [$xs, $ys] = [array_column($points, 0), array_column($points, 1)];

        return $xs !== [] && $ys !== [] && max($xs) > $x - 60 && min($xs) < $x + $width + 60 && max($ys) > $y - 10
            && min($ys) < $y + $height + 10;
    }

    /** @param  list<array{float, float}>  $points  on the paper */
    private function draw(Shape $shape, array $points, float $scale): void
    {
        $sheets = $this->sheets;
        if ($shape->kind === 'text') {
            $this->text($shape, $points[0], $scale);

            return;
        }
        if ($shape->stroke !== null) {
            $sheets->SetLineStyle([
                'width' => $shape->width * $scale,
                'dash' => $shape->dashes === [] ? 0 : implode(',', array_map(fn (float $dash) => round($dash * $scale, 2), $shape->dashes)),
                'color' => self::rgb($shape->stroke), 'join' => 'round',
            ]);
        }
        $fill = $shape->fill === null ? [] : self::rgb($shape->fill);
        $style = ($shape->stroke === null ? '' : 'D').($shape->fill === null ? '' : 'F');
        if ($shape->kind === 'box') {
            [[$x, $y], [$right, $bottom]] = $points;
            $sheets->Rect($x, $y, $right - $x, $bottom - $y, $style, [], $fill);
        } elseif ($shape->kind === 'polygon') {
            $sheets->Polygon(array_merge(...$points), $style, [], $fill);
        } else {
            $sheets->PolyLine(array_merge(...$points), 'D');
        }
    }

    /** @param  array{float, float}  $at  on the base line */
    private function text(Shape $shape, array $at, float $scale): void
    {
        $points = $shape->size * $scale * self::POINTS_A_MM;
        $this->sheets->SetFont(Sheets::FONT, $shape->isBold ? 'B' : '', $points);
        // The face on paper is a little wider than the one that the map was measured with.
        $this->sheets->setFontStretching(88);
        $this->sheets->SetTextColorArray(self::rgb($shape->fill ?? '#000000'));
        $width = $this->sheets->GetStringWidth($shape->text);
        $x = $at[0] - match ($shape->anchor) {
            'start' => 0, 'middle' => $width / 2, 'end' => $width,
        };
        if ($x < 1) {
            // Left of the sheet: the library would take it for a distance from the right edge.
            $this->sheets->setFontStretching();

            return;
        }
        $this->sheets->Text($x - 0.8, $at[1] - $points / self::POINTS_A_MM * 1.02 - 0.5, $shape->text);
        $this->sheets->setFontStretching();
    }

    /** @return array{int, int, int} */
    private static function rgb(string $colour): array
    {
        return [(int) hexdec(substr($colour, 1, 2)), (int) hexdec(substr($colour, 3, 2)), (int) hexdec(substr($colour, 5, 2))];
    }
}
