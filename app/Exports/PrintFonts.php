<?php

declare(strict_types=1);

namespace App\Exports;

/**
 * Faces for what is printed, which has no files beside it: those that a text needs, as a style sheet. They are built into
 * `public/build/print-fonts.json` (`{family, weight, range, woff2}` each, the range as in CSS, the file as base64).
 */
final class PrintFonts
{
    /** What letters are looked for in, in this order; ideographs are Debian's (fonts-noto-cjk), where it is there. */
    public const FAMILIES = "Barlow, 'Noto Sans', 'Noto Sans Arabic', 'Noto Sans Hebrew', 'Noto Sans Thai', 'Noto Emoji', "
        ."'Noto Sans CJK SC', sans-serif";

    /** @throws NotInstalled where the pages are not built */
    public static function for(string $text): string
    {
        $file = public_path('build/print-fonts.json');
        if (! is_file($file)) {
            throw new NotInstalled('The fonts for paper are not built. Run "npm run build", or bin/start.');
        }
        $used = self::codePoints($text);
        $css = '';
        /** @var list<array{family: string, weight: int, range: string, woff2: string}> $faces */
        $faces = json_decode((string) file_get_contents($file), true, flags: JSON_THROW_ON_ERROR);
        foreach ($faces as $face) {
            if (self::has($face['range'], $used)) {
                $css .= "@font-face { font-family: '{$face['family']}'; font-weight: {$face['weight']}; "
                    ."src: url(data:font/woff2;base64,{$face['woff2']}) format('woff2'); "
                    .($face['range'] === '' ? '' : "unicode-range: {$face['range']}; ")."}\n";
            }
        }

        return $css;
    }

    /** @return list<int> in order */
    private static function codePoints(string $text): array
    {
        $used = array_map(mb_ord(...), array_keys(array_count_values(mb_str_split($text))));
        sort($used);

        return $used;
    }

    /** @param  list<int>  $used */
    private static function has(string $range, array $used): bool
    {
        foreach (explode(',', $range) as $one) {
            [$from, $to] = array_map(hexdec(...), [...explode('-', substr(trim($one), 2)), ...explode('-', substr(trim($one), 2))]);
            foreach ($used as $code) {
                if ($code >= $from && $code <= max($from, $to)) {
                    return true;
                }
            }
        }

        return $range === '';
    }
}
