<?php

declare(strict_types=1);

namespace App\Exports;

/**
 * A map for paper, as HTML: in the run of the text where it fits there, else on a sheet on its side. Its smallest text is never under eight
 * points; where one sheet can't hold it then, it is parted between units, with marks where the sheets join and a key plan in front. Lengths
 * on paper in millimetres.
 */
final readonly class MapSheets
{
    /** Millimetres a pixel at which the smallest text, 10.5 px, is 8 points high. */
    public const LEAST = 0.2688;

    /** And at most: no map is larger than that. */
    private const MOST = 0.3;

    private const MOST_ON_A_SHEET = 0.45;

    private const MOST_ON_A_WALL = 0.5;

    /** Pixels between a cut and a line along it. */
    private const CLEAR = 3.0;

    /** By how much neighbouring sheets show the same. */
    private const OVERLAP = 8.0;

    /** What a heading and the caption take of a sheet. */
    private const HEAD = 24.0;

    /** How much of an upright sheet a map in the run of the text takes at most. */
    private const SHARE = 0.6;

    /** How high a key plan is. */
    private const PLAN = 55.0;

    /** What comes behind it are sheets on their side that stand at the end of the book: in its run they would leave a gap. */
    public const AT_THE_END = '<!-- at the end -->';

    private const RED = '#b3241c';

    public function __construct(private MapScene $scene, private string $id, private string $caption, private Paper $paper)
    {
    }

    public function html(): string
    {
        [$across, $down] = $this->paper->inside(isWide: false);
        $upright = $this->fit($across, self::SHARE * $down);
        if ($upright >= self::LEAST) {
            // No larger than necessary, so that it finds room in its place.
            return $this->figure($this->caption, $this->whole(self::LEAST), 'drawn');
        }
        [$width, $height] = $this->paper->inside(isWide: true);
        $turned = $this->fit($width, $height - self::HEAD, self::MOST_ON_A_SHEET);
        $whole = $this->fit($across, $down - self::HEAD);

        return match (true) {
            $turned >= self::LEAST => HtmlBook::TURNED.$this->figure($this->caption, $this->whole($turned), 'sheet').'</div>',
            $whole >= self::LEAST => $this->figure($this->caption, $this->whole($whole), 'drawn'),
            default => $this->parted(),
        };
    }

    /**
     * The map in one piece, for a sheet of its own.
     *
     * @param  array{float, float}  $room  that the map may take, in millimetres
     * @return string|null null where it would be too small to read there
     */
    public function within(array $room): ?string
    {
        $scale = min($room[0] / max(1, $this->scene->width), max(0.0, $room[1]) / max(1, $this->scene->height), self::MOST_ON_A_WALL);

        return $scale < self::LEAST ? null : $this->figure($this->caption, $this->whole($scale), 'drawn');
    }

    /** Millimetres a pixel at which the map fits. */
    private function fit(float $width, float $height, float $most = self::MOST): float
    {
        return min($width / max(1, $this->scene->width), $height / max(1, $this->scene->height), $most);
    }

    private function whole(float $scale): string
    {
        return $this->svg(0, 0, $this->scene->width, $this->scene->height, $scale, Svg::shapes($this->scene));
    }

    /** On as few sheets as can be; upright ones, which go on in the run of the text, where they are no more. */
    private function parted(): string
    {
        $ways = [];
        foreach (['drawn' => false, 'sheet' => true] as $class => $isWide) {
            [$width, $height] = $this->paper->inside($isWide);
            $ways[$class] = [
                $this->balanced($this->scene->width, ($width - self::OVERLAP) / self::LEAST, 0),
                $this->balanced($this->scene->height, ($height - self::HEAD - self::OVERLAP) / self::LEAST, 1),
            ];
        }
        $count = fn (array $way): int => count($way[0]) * count($way[1]);
        $class = $count($ways['sheet']) < $count($ways['drawn']) ? 'sheet' : 'drawn';
        [$columns, $rows] = $ways[$class];
        $plan = min($this->paper->inside(isWide: false)[0] / $this->scene->width, self::PLAN / $this->scene->height);
        $outline = Svg::shapes($this->scene, withTexts: false).$this->plan($columns, $rows);
        $sheets = $this->figure(
            "{$this->caption}, key plan",
            $this->svg(0, 0, $this->scene->width, $this->scene->height, $plan, $outline),
            'drawn',
        ).'<svg width="0" height="0" aria-hidden="true"><defs><g id="map-'.$this->id.'">'.Svg::shapes($this->scene).'</g></defs></svg>';
        $sheets .= $class === 'sheet' ? self::AT_THE_END : '';
        $edge = self::OVERLAP / 2 / self::LEAST;
        $number = 0;
        foreach ($rows as $row => [$top, $bottom]) {
            foreach ($columns as $column => [$left, $right]) {
                $inside = "<use href=\"#map-{$this->id}\"/>".$this->marks($left, $top, $right - $left, $bottom - $top);
                $size = [$right - $left + 2 * $edge, $bottom - $top + 2 * $edge];
                $window = $this->svg($left - $edge, $top - $edge, $size[0], $size[1], self::LEAST, $inside);
                $caption = $this->sheetCaption($number++, $column, $row, count($columns), count($rows));
                $sheets .= $class === 'sheet' ? HtmlBook::TURNED.$this->figure($caption, $window, $class).'</div>'
                    : $this->figure($caption, $window, $class);
            }
        }

        return $sheets;
    }

    /**
     * The same number of parts as with all the room there is, but none much smaller than the others.
     *
     * @return non-empty-list<array{float, float}>
     */
    private function balanced(float $length, float $room, int $side): array
    {
        $parts = $this->cuts($length, $room, $side);
        for ($share = 1.0; $share < 1.6; $share += 0.1) {
            $even = $this->cuts($length, min($room, $share * $length / count($parts)), $side);
            if (count($even) === count($parts)) {
                return $even;
            }
        }

        return $parts;
    }

    /**
     * Where a side of the map is cut, so that each part has room on a sheet, no unit and no label is cut through, and no line runs
     * along the cut.
     *
     * @param  int  $side  0 for cuts across the width, 1 for cuts across the height
     * @return non-empty-list<array{float, float}> from where to where each part goes, in pixels
     */
    private function cuts(float $length, float $room, int $side): array
    {
        $parts = [];
        $from = 0.0;
        while ($length - $from > $room) {
            $at = $from + $room;
            // A box that the cut would go through goes to the next sheet, unless nothing would be left on this one.
            do {
                $cut = array_filter($this->scene->whole, fn (array $box) => $box[$side] < $at && $at < $box[$side + 2]);
                $along = array_filter($this->scene->runs[$side], fn (float $run) => abs($run - $at) < self::CLEAR);
                $at = min([$at, ...array_column($cut, $side), ...array_map(fn (float $run) => $run - self::CLEAR, $along)]);
            } while (($cut !== [] || $along !== []) && $at > $from);
            $at = $at > $from ? $at : $from + $room;
            $parts[] = [$from, $at];
            $from = $at;
        }

        return [...$parts, [$from, $length]];
    }

    /** @param  'drawn'|'sheet'  $class  in the run of the text, or on a sheet on its side */
    private function figure(string $caption, string $svg, string $class): string
    {
        $legend = new MapLegend($this->scene, $this->paper->inside($class === 'sheet')[0] / self::LEAST);
        $below = $this->svg(0, 0, $legend->width, $legend->height, self::LEAST, Svg::drawn($legend->shapes));

        return "<figure class=\"{$class}\"><figcaption>".self::text($caption)."</figcaption>{$svg}{$below}</figure>\n";
    }

    /** A window of the map, from a corner on, in pixels of the map. */
    private function svg(float $x, float $y, float $width, float $height, float $scale, string $inside): string
    {
        return sprintf('<svg xmlns="http://www.w3.org/2000/svg" width="%.2Fmm" height="%.2Fmm" ', $width * $scale, $height * $scale)
            .sprintf('viewBox="%.2F %.2F %.2F %.2F" ', $x, $y, $width, $height)
            .'font-family="'.self::text("'Barlow Semi Condensed', ".PrintFonts::FAMILIES)."\">{$inside}</svg>";
    }

    /**
     * Which sheet shows what.
     *
     * @param  list<array{float, float}>  $columns
     * @param  list<array{float, float}>  $rows
     */
    private function plan(array $columns, array $rows): string
    {
        $plan = '';
        $number = 0;
        foreach ($rows as [$top, $bottom]) {
            foreach ($columns as [$left, $right]) {
                $plan .= sprintf('<rect x="%.1F" y="%.1F" width="%.1F" height="%.1F" ', $left, $top, $right - $left, $bottom - $top)
                    .'fill="none" stroke="'.self::RED.'" stroke-width="4" stroke-dasharray="18 10"/>'
                    .sprintf('<text x="%.1F" y="%.1F" font-size="80" font-weight="600" ', $left + 14, $top + 78)
                    .'fill="'.self::RED.'">'.(++$number).'</text>';
            }
        }

        return $plan;
    }

    /** Where the next sheet begins: a cross at each corner of what is shown once. */
    private function marks(float $x, float $y, float $right, float $below): string
    {
        $marks = '';
        foreach ([$x, $x + $right] as $atX) {
            foreach ([$y, $y + $below] as $atY) {
                $cross = sprintf('M%.1F %.1Fh20M%.1F %.1Fv20', $atX - 10, $atY, $atX, $atY - 10);
                $marks .= "<path d=\"{$cross}\" stroke=\"".self::RED.'" stroke-width="1.2"/>';
            }
        }

        return $marks;
    }

    private function sheetCaption(int $number, int $column, int $row, int $columns, int $rows): string
    {
        $beside = array_filter([
            $column > 0 ? "left: sheet {$number}" : '', $column < $columns - 1 ? 'right: sheet '.($number + 2) : '',
            $row > 0 ? 'above: sheet '.($number + 1 - $columns) : '', $row < $rows - 1 ? 'below: sheet '.($number + 1 + $columns) : '',
        ]);

        return "{$this->caption}, sheet ".($number + 1).' of '.($columns * $rows).($beside === [] ? '' : ' ('.implode(', ', $beside).')');
    }

    private static function text(string $text): string
    {
        return htmlspecialchars($text, ENT_QUOTES | ENT_SUBSTITUTE, 'UTF-8');
    }
}
