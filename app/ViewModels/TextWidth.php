<?php

declare(strict_types=1);

namespace App\ViewModels;

/** How wide a text gets in the application's label face, near enough to size a plate: the server has no font engine. */
final class TextWidth
{
    /** Advance widths of Barlow Semi Condensed Medium in thousandths of its size, by kind of letter. */
    private const NARROW = 270;

    private const USUAL = 520;

    private const WIDE = 790;

    /** @param  float  $size  in pixels */
    public static function of(string $text, float $size): float
    {
        $thousandths = 0;
        foreach (mb_str_split($text) as $letter) {
            $thousandths += match (true) {
                str_contains("iljI.,:;'|!·’ ", $letter) => self::NARROW,
                str_contains('mwMW—→', $letter) => self::WIDE,
                str_contains('ftr-()/1', $letter) => 370,
                ctype_upper($letter) => 600,
                default => self::USUAL,
            };
        }

        return $thousandths * $size / 1000;
    }

    /** The text, or as much of it as fits with an ellipsis. */
    public static function cut(string $text, float $size, float $width): string
    {
        if (self::of($text, $size) <= $width) {
            return $text;
        }
        while ($text !== '' && self::of($text.'…', $size) > $width) {
            $text = rtrim(mb_substr($text, 0, -1));
        }

        return $text.'…';
    }
}
