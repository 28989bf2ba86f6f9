<?php

declare(strict_types=1);

namespace HiddenWire\Core\Export;

/** A table as CSV by RFC 4180: UTF-8, commas, lines ended by CR LF. Source: RFC 4180. */
final class Csv
{
    /**
     * What a spreadsheet would take for a formula, at the beginning of a cell or of what becomes one where it splits at semicolons, tabs,
     * bars or line ends. Apostrophes that stand there already are part of it, so that as many come back as went in.
     */
    public const FORMULA = '/(^|[;|\t\r\n])([ \t\r]*)(\'*[=+\-@])/';

    /** The same as it leaves. */
    public const DEFUSED = '/(^|[;|\t\r\n])([ \t\r]*)\'(\'*[=+\-@])/';

    /**
     * @param  list<string>  $columns
     * @param  list<list<string|int|float|null>>  $rows
     */
    public static function of(array $columns, array $rows): string
    {
        return implode('', array_map(
            fn (array $row) => implode(',', array_map(self::cell(...), $row))."\r\n",
            [$columns, ...$rows],
        ));
    }

    /** What looks like a formula gets an apostrophe in front; numbers stay numbers. */
    private static function cell(string|int|float|null $value): string
    {
        if (! is_string($value)) {
            return (string) $value;
        }
        $text = self::defused($value);

        return preg_match('/[",;\t\r\n]/', $text) === 1 ? '"'.str_replace('"', '""', $text).'"' : $text;
    }

    public static function defused(string $text): string
    {
        return (string) preg_replace(self::FORMULA, "\\1\\2'\\3", $text);
    }

    /** What `defused()` has made of it, as it was. */
    public static function restored(string $text): string
    {
        return (string) preg_replace(self::DEFUSED, '\1\2\3', $text);
    }
}
