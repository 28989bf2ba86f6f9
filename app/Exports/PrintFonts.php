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
        $used = self::codePoints($text);
        $css = '';
        foreach (self::faces() as $face) {
            $css .= self::has($face['range'], $used) ? self::rule($face) : '';
        }

        return $css;
    }

    /**
     * The fewest faces that a text needs: each letter from the first family that has it.
     *
     * @param  list<string>  $families
     *
     * @throws NotInstalled where the pages are not built
     */
    public static function least(string $text, array $families): string
    {
        $left = array_fill_keys(self::codePoints($text), true);
        $css = '';
        foreach ($families as $family) {
            $faces = array_filter(self::faces(), fn (array $face) => $face['family'] === $family);
            $had = [];
            foreach ($faces as $face) {
                $has = array_filter(array_keys($left), fn (int $code) => self::has($face['range'], [$code]));
                $css .= $has === [] ? '' : self::rule($face);
                $had += array_fill_keys($has, true);
            }
            $left = array_diff_key($left, $had);
        }

        return $css;
    }

    /**
     * @return list<array{family: string, weight: int, range: string, woff2: string}>
     *
     * @throws NotInstalled where the pages are not built
     */
    private static function faces(): array
    {
        $file = public_path('build/print-fonts.json');
        if (! is_file($file)) {
            throw new NotInstalled('The fonts for paper are not built. Run "npm run build", or bin/start.');
        }
        /** @var list<array{family: string, weight: int, range: string, woff2: string}> $faces */
        $faces = json_decode((string) file_get_contents($file), true, flags: JSON_THROW_ON_ERROR);

        return $faces;
    }

    /** @param  array{family: string, weight: int, range: string, woff2: string}  $face */
    private static function rule(array $face): string
    {
        return "@font-face { font-family: '{$face['family']}'; font-weight: {$face['weight']}; "
            ."src: url(data:font/woff2;base64,{$face['woff2']}) format('woff2'); "
            .($face['range'] === '' ? '' : "unicode-range: {$face['range']}; ")."}\n";
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
