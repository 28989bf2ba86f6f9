<?php

declare(strict_types=1);

namespace HiddenWire\Core\Import;

use HiddenWire\Core\Export\Csv;

/** A CSV file as columns and rows: by RFC 4180, and as spreadsheets write it (semicolons or tabs, a byte order mark). */
final readonly class CsvTable
{
    public const MAX_BYTES = 1_000_000;

    public const MAX_ROWS = 5_000;

    /**
     * @param  list<string>  $columns
     * @param  array<int, list<string>>  $rows  by their line in the file, from 2
     */
    private function __construct(public array $columns, public array $rows)
    {
    }

    /** @throws UnreadableTable when there is no table in it, with what to do */
    public static function read(string $text): self
    {
        if (strlen($text) > self::MAX_BYTES) {
            throw new UnreadableTable('The file is larger than 1 MB. Split it.');
        }
        if (! mb_check_encoding($text, 'UTF-8')) {
            throw new UnreadableTable('The file is not UTF-8. Save it as "CSV UTF-8".');
        }
        $records = self::records((string) preg_replace('/^\x{FEFF}/u', '', $text));
        $columns = array_shift($records)[1] ?? [];
        if (count($columns) < 2) {
            throw new UnreadableTable('The first line has to name the columns, with commas, semicolons or tabs between.');
        }
        $rows = [];
        foreach ($records as [$line, $cells]) {
            if (array_filter($cells, fn (string $cell) => $cell !== '') !== []) {
                $rows[$line] = array_pad(array_slice($cells, 0, count($columns)), count($columns), '');
            }
        }
        if (count($rows) > self::MAX_ROWS) {
            throw new UnreadableTable('The file has more than '.self::MAX_ROWS.' rows. Split it.');
        }

        return new self($columns, $rows);
    }

    /**
     * @return list<array{int, list<string>}> the line on which each begins, and its cells
     *
     * @throws UnreadableTable where a cell is never closed
     */
    private static function records(string $text): array
    {
        $first = strtok($text, "\r\n") ?: '';
        $counts = array_map(fn (string $mark) => substr_count($first, $mark), [',' => ',', ';' => ';', "\t" => "\t"]);
        arsort($counts);
        $mark = (string) array_key_first($counts);
        $records = $cells = [];
        [$cell, $isQuoted, $line, $began] = ['', false, 1, 1];
        for ($i = 0, $end = strlen($text); $i < $end; $i++) {
            $char = $text[$i];
            if ($isQuoted) {
                if ($char === '"' && ($text[$i + 1] ?? '') === '"') {
                    $cell .= '"';
                    $i++;
                } elseif ($char === '"') {
                    $isQuoted = false;
                } else {
                    $cell .= $char;
                }
            } elseif ($char === '"' && trim($cell) === '') {
                [$cell, $isQuoted] = ['', true];
            } elseif ($char === $mark) {
                $cells[] = self::plain($cell);
                $cell = '';
            } elseif ($char === "\n") {
                $records[] = [$began, [...$cells, self::plain($cell)]];
                [$cells, $cell, $began] = [[], '', $line + 1];
            } else {
                $cell .= $char;
            }
            $line += $char === "\n" ? 1 : 0;
        }
        if ($isQuoted) {
            throw new UnreadableTable("The quotation mark that opens in the row of line {$began} is never closed.");
        }

        return $cell === '' && $cells === [] ? $records : [...$records, [$began, [...$cells, self::plain($cell)]]];
    }

    /** Without blanks around it, and without the apostrophe that keeps a spreadsheet from taking it for a formula. */
    private static function plain(string $cell): string
    {
        return Csv::restored(trim($cell));
    }
}
