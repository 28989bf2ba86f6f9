<?php

declare(strict_types=1);

namespace HiddenWire\Core\Export;

/** A table as CSV by RFC 4180: UTF-8, commas, lines ended by CR LF. Source: RFC 4180. */
final class Csv
{
    /** What a spreadsheet would take for a formula begins with one of these. */
    private const FORMULA = '/^[=+\-@\t\r]/';

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

    /** Text that looks like a formula gets an apostrophe in front; numbers stay numbers. */
    private static function cell(string|int|float|null $value): string
    {
        if (! is_string($value)) {
            return (string) $value;
        }
        $text = preg_match(self::FORMULA, $value) === 1 ? "'{$value}" : $value;

        return preg_match('/[",\r\n]/', $text) === 1 ? '"'.str_replace('"', '""', $text).'"' : $text;
    }
}
