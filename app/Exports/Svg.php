<?php

declare(strict_types=1);

namespace App\Exports;

/** A map as SVG that needs nothing beside it: no style sheet, no font, no script. */
final class Svg
{
    private const FAMILY = 'Barlow Semi Condensed';

    private const HEAD = 52.0;

    private const MARGIN = 16.0;

    private const LEAST_WIDTH = 420.0;

    public static function of(MapScene $scene, string $title): string
    {
        $size = "{$scene->width} {$scene->height}";
        [$width, $height] = explode(' ', $size);

        return "<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"{$width}\" height=\"{$height}\" viewBox=\"0 0 {$size}\" "
            ."font-family=\"Barlow Semi Condensed, Arial Narrow, sans-serif\" role=\"img\">\n<title>".self::text($title)."</title>\n"
            ."<rect width=\"{$width}\" height=\"{$height}\" fill=\"#ffffff\"/>\n".self::shapes($scene)."\n</svg>\n";
    }

    /**
     * The same as a file for itself: with its fonts, what it is of, and a legend below it.
     *
     * @param  string  $edition  which state that is; may be empty
     */
    public static function file(MapScene $scene, string $title, string $edition): string
    {
        $width = max($scene->width, self::LEAST_WIDTH);
        $legend = new MapLegend($scene, $width - 2 * self::MARGIN);
        $top = self::HEAD;
        $height = $top + $scene->height + $legend->height + self::MARGIN;
        $words = "{$title}{$edition}".implode('', array_map(fn (Shape $one) => $one->text, [...$scene->shapes, ...$legend->shapes]));
        $others = array_map(fn (string $one) => trim($one, " '"), explode(',', PrintFonts::FAMILIES));
        $families = [self::FAMILY, ...array_slice($others, 1)];
        $quoted = array_map(fn (string $one) => str_contains($one, ' ') ? "'{$one}'" : $one, $families);

        return '<svg xmlns="http://www.w3.org/2000/svg" width="'.$width.'" height="'.$height.'" viewBox="0 0 '.$width.' '.$height.'" '
            .'font-family="'.self::text(implode(', ', $quoted))
            ."\" role=\"img\">\n<title>".self::text(trim("{$title}, {$edition}", ', '))."</title>\n<style>\n"
            .PrintFonts::least($words, $families)."</style>\n<rect width=\"{$width}\" height=\"{$height}\" fill=\"#ffffff\"/>\n"
            .self::drawn([
                Shape::text(self::MARGIN, 24, $title, 17, MapScene::INK, true),
                Shape::text(self::MARGIN, 41, $edition, 11.5, MapScene::INK),
            ])
            ."\n<g transform=\"translate(0 {$top})\">\n".self::shapes($scene)."\n</g>\n<g transform=\"translate(".self::MARGIN.' '
            .($top + $scene->height).")\">\n".self::drawn($legend->shapes)."\n</g>\n</svg>\n";
    }

    /** What is drawn, without a frame. */
    public static function shapes(MapScene $scene, bool $withTexts = true): string
    {
        return self::drawn($withTexts ? $scene->shapes : array_filter($scene->shapes, fn (Shape $one) => $one->kind !== 'text'));
    }

    /** @param  array<int, Shape>  $shapes */
    public static function drawn(array $shapes): string
    {
        return implode("\n", array_map(self::shape(...), $shapes));
    }

    private static function shape(Shape $shape): string
    {
        $points = implode(' ', array_map(fn (array $point) => "{$point[0]},{$point[1]}", $shape->points));
        $look = ' fill="'.($shape->fill ?? 'none').'"'
            .($shape->stroke === null ? '' : " stroke=\"{$shape->stroke}\" stroke-width=\"{$shape->width}\"")
            .($shape->dashes === [] ? '' : ' stroke-dasharray="'.implode(' ', $shape->dashes).'"');
        [$x, $y] = $shape->points[0];

        return match ($shape->kind) {
            'box' => "<rect x=\"{$x}\" y=\"{$y}\" width=\"".($shape->points[1][0] - $x)
                .'" height="'.($shape->points[1][1] - $y)."\"{$look}/>",
            'line' => "<polyline points=\"{$points}\"{$look} stroke-linejoin=\"round\"/>",
            'polygon' => "<polygon points=\"{$points}\"{$look}/>",
            'text' => "<text x=\"{$x}\" y=\"{$y}\" font-size=\"{$shape->size}\" text-anchor=\"{$shape->anchor}\""
                .($shape->isBold ? ' font-weight="600"' : '')."{$look}>".self::text($shape->text).'</text>',
        };
    }

    private static function text(string $text): string
    {
        return htmlspecialchars($text, ENT_XML1 | ENT_QUOTES, 'UTF-8');
    }
}
