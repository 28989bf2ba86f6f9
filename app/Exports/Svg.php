<?php

declare(strict_types=1);

namespace App\Exports;

/** A map as SVG that needs nothing beside it: no style sheet, no font, no script. */
final class Svg
{
    public static function of(MapScene $scene, string $title): string
    {
        $size = "{$scene->width} {$scene->height}";
        [$width, $height] = explode(' ', $size);

        return "<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"{$width}\" height=\"{$height}\" viewBox=\"0 0 {$size}\" "
            ."font-family=\"Barlow Semi Condensed, Arial Narrow, sans-serif\" role=\"img\">\n<title>".self::text($title)."</title>\n"
            ."<rect width=\"{$width}\" height=\"{$height}\" fill=\"#ffffff\"/>\n".self::shapes($scene)."\n</svg>\n";
    }

    /** What is drawn, without a frame. */
    public static function shapes(MapScene $scene, bool $withTexts = true): string
    {
        return implode("\n", array_map(
            self::shape(...),
            $withTexts ? $scene->shapes : array_filter($scene->shapes, fn (Shape $one) => $one->kind !== 'text'),
        ));
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
