<?php

declare(strict_types=1);

namespace App\Exports;

/**
 * A map for sheets on their side, as HTML. Where it would be too small to read on one it is spread over several, with marks where they join
 * and a key plan in front. Lengths on paper in millimetres.
 */
final readonly class MapSheets
{
    /** Millimetres a pixel at which the smallest text, 10.5 px, is 5.6 points high; below it nobody reads at arm's length. */
    private const LEAST = 0.188;

    /** And at most: no map is larger than that. */
    private const MOST = 0.3;

    /** By how much neighbouring sheets show the same. */
    private const OVERLAP = 10.0;

    /** What a heading and the caption take of a sheet. */
    private const HEAD = 26.0;

    private const CAPTION = 9.0;

    private const RED = '#b3241c';

    public function __construct(private MapScene $scene, private string $id, private string $caption, private Paper $paper)
    {
    }

    public function html(): string
    {
        [$width, $height] = $this->paper->inside(isWide: true);
        $fit = min($width / max(1, $this->scene->width), ($height - self::HEAD) / max(1, $this->scene->height), self::MOST);
        $whole = "<g id=\"map-{$this->id}\">".Svg::shapes($this->scene).'</g>';
        $sheet = [$width, $height - self::CAPTION];
        [$columns, $rows, $scale] = $fit < self::LEAST ? $this->spread(...$sheet) : [0, 0, $fit];
        $step = array_map(fn (float $side) => ($side - self::OVERLAP) / $scale, $sheet);
        $sheets = $this->figure($this->caption, $this->svg(
            0,
            0,
            $this->scene->width,
            $this->scene->height,
            $fit,
            $whole.$this->plan([$columns, $rows], $step),
        ));
        for ($tile = 0; $tile < $columns * $rows; $tile++) {
            [$x, $y] = [($tile % $columns) * $step[0], intdiv($tile, $columns) * $step[1]];
            $inside = "<use href=\"#map-{$this->id}\"/>".$this->marks($x, $y, ...$step);
            $window = $this->svg($x, $y, $sheet[0] / $scale, $sheet[1] / $scale, $scale, $inside);
            $sheets .= $this->figure($this->tileCaption($tile, $columns, $rows), $window);
        }

        return $sheets;
    }

    /**
     * The fewest sheets on which it can be read, and as large as they allow.
     *
     * @return array{int, int, float} columns, rows, and millimetres a pixel
     */
    private function spread(float $width, float $height): array
    {
        $across = fn (float $side, int $sheets) => $side * $sheets - self::OVERLAP * ($sheets - 1);
        for ($all = 2; ; $all++) {
            $best = [1, 1, 0.0];
            for ($columns = 1; $columns <= $all; $columns++) {
                $rows = intdiv($all, $columns);
                $scale = min($across($width, $columns) / $this->scene->width, $across($height, $rows) / $this->scene->height, self::MOST);
                $best = $scale > $best[2] ? [$columns, $rows, $scale] : $best;
            }
            if ($best[2] >= self::LEAST) {
                return $best;
            }
        }
    }

    private function figure(string $caption, string $svg): string
    {
        return '<figure class="sheet"><figcaption>'.self::text($caption)."</figcaption>{$svg}</figure>\n";
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
     * @param  array{int, int}  $tiles  columns and rows
     * @param  array{float, float}  $step  in pixels of the map
     */
    private function plan(array $tiles, array $step): string
    {
        $plan = '';
        for ($tile = 0; $tile < $tiles[0] * $tiles[1]; $tile++) {
            [$x, $y] = [($tile % $tiles[0]) * $step[0], intdiv($tile, $tiles[0]) * $step[1]];
            [$width, $height] = [min($step[0], $this->scene->width - $x), min($step[1], $this->scene->height - $y)];
            $plan .= sprintf('<rect x="%.1F" y="%.1F" width="%.1F" height="%.1F" ', $x, $y, $width, $height)
                .'fill="none" stroke="'.self::RED.'" stroke-width="3" stroke-dasharray="14 8"/>'
                .sprintf('<text x="%.1F" y="%.1F" font-size="44" font-weight="600" ', $x + 10, $y + 46)
                .'fill="'.self::RED.'">'.($tile + 1).'</text>';
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

    private function tileCaption(int $tile, int $columns, int $rows): string
    {
        [$column, $row] = [$tile % $columns, intdiv($tile, $columns)];
        $beside = array_filter([
            $column > 0 ? 'left: sheet '.$tile : '', $column < $columns - 1 ? 'right: sheet '.($tile + 2) : '',
            $row > 0 ? 'above: sheet '.($tile + 1 - $columns) : '', $row < $rows - 1 ? 'below: sheet '.($tile + 1 + $columns) : '',
        ]);

        return "{$this->caption}, sheet ".($tile + 1).' of '.($columns * $rows).($beside === [] ? '' : ' ('.implode(', ', $beside).')');
    }

    private static function text(string $text): string
    {
        return htmlspecialchars($text, ENT_QUOTES | ENT_SUBSTITUTE, 'UTF-8');
    }
}
