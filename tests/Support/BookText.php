<?php

declare(strict_types=1);

namespace Tests\Support;

/** A book in Markdown, taken apart: its text by chapter and heading. */
final readonly class BookText
{
    /**
     * @param  array<string, array<string, list<array{heads: list<string>, rows: list<list<string>>}>>>  $tables  by chapter, by heading
     * @param  array<string, array<string, list<string>>>  $lines  steps and sentences
     */
    private function __construct(public string $title, private array $tables, private array $lines)
    {
    }

    public static function read(string $markdown): self
    {
        $title = $chapter = $heading = '';
        $tables = $lines = [];
        $at = null;
        foreach (explode("\n", $markdown) as $line) {
            if (str_starts_with($line, '| ')) {
                $cells = array_map(
                    fn (string $cell) => self::plain(trim($cell)),
                    preg_split('/(?<!\\\\)\|/', substr(trim($line), 1, -1)) ?: [],
                );
                if ($at === null) {
                    $tables[$chapter][$heading][] = ['heads' => $cells, 'rows' => []];
                    $at = array_key_last($tables[$chapter][$heading]);
                } elseif (! str_starts_with($line, '| --- ')) {
                    $tables[$chapter][$heading][$at]['rows'][] = $cells;
                }

                continue;
            }
            $at = null;
            match (true) {
                str_starts_with($line, '### ') => $heading = self::plain(substr($line, 4)),
                str_starts_with($line, '## ') => [$chapter, $heading] = [substr($line, 3), ''],
                str_starts_with($line, '# ') => $title = self::plain(substr($line, 2)),
                $line !== '' => $lines[$chapter][$heading][] = self::plain((string) preg_replace('/^- \[ \] (.*?)\.?$/', '$1', $line)),
                default => null,
            };
        }

        return new self($title, $tables, $lines);
    }

    /** @return list<string> */
    public function headings(string $chapter): array
    {
        return array_map(strval(...), array_keys(($this->tables[$chapter] ?? []) + ($this->lines[$chapter] ?? [])));
    }

    /** @return list<array<string, string>> rows of all tables there that begin with a column, cells by their columns */
    public function rows(string $chapter, string $first, ?string $heading = null): array
    {
        $rows = [];
        foreach ($this->tables[$chapter] ?? [] as $under => $tables) {
            foreach ($heading === null || $heading === (string) $under ? $tables : [] as $table) {
                foreach ($table['heads'][0] === $first ? $table['rows'] : [] as $row) {
                    $rows[] = ['' => (string) $under] + array_combine($table['heads'], $row);
                }
            }
        }

        return $rows;
    }

    /** @return list<string> */
    public function lines(string $chapter, string $heading): array
    {
        return $this->lines[$chapter][$heading] ?? [];
    }

    private static function plain(string $text): string
    {
        return (string) preg_replace('/\\\\([\\\\`*_\[\]<>|#])/', '$1', $text);
    }
}
