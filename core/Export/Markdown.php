<?php

declare(strict_types=1);

namespace HiddenWire\Core\Export;

use HiddenWire\Core\Book\Block;
use HiddenWire\Core\Book\Book;
use HiddenWire\Core\Book\BookInput;
use HiddenWire\Core\Book\Figure;
use HiddenWire\Core\Book\Heading;
use HiddenWire\Core\Book\Inside;
use HiddenWire\Core\Book\Photo;
use HiddenWire\Core\Book\See;
use HiddenWire\Core\Book\Steps;
use HiddenWire\Core\Book\Table;
use HiddenWire\Core\Book\Text;
use HiddenWire\Core\Book\Travel;

/** The book as Markdown, with pipe tables. Maps are pictures and are left out. */
final readonly class Markdown implements Exporter
{
    /** @param  list<string>|null  $parts  of the book; null for all */
    public function __construct(private ?array $parts = null)
    {
    }

    public function key(): string
    {
        return 'markdown';
    }

    public function label(): string
    {
        return 'Book (Markdown)';
    }

    public function extension(): string
    {
        return 'md';
    }

    public function mediaType(): string
    {
        return 'text/markdown; charset=utf-8';
    }

    public function write(BookInput $of): string
    {
        $book = new Book($of, $this->parts);
        $text = '# '.self::escaped($book->title)."\n".implode('', array_map(
            fn (string $line) => "\n".self::escaped($line)."\n",
            array_filter([$book->edition, $book->from]),
        ));
        foreach ($book->chapters as ['part' => $part, 'blocks' => $blocks]) {
            $written = array_filter(array_map($this->block(...), $blocks));
            $text .= $written === [] ? '' : "\n## {$part->title()}\n\n".implode("\n", $written);
        }

        return $text;
    }

    private function block(Block $block): string
    {
        return match (true) {
            $block instanceof Heading => '### '.self::escaped($block->text)."\n",
            $block instanceof Text => self::escaped($block->text)."\n",
            $block instanceof See => self::escaped((string) $block).".\n",
            $block instanceof Steps => implode("\n", array_map(fn (string $step) => '- [ ] '.self::escaped($step), $block->steps))."\n",
            $block instanceof Table => $block->rows === [] ? '' : $this->table($block),
            $block instanceof Figure, $block instanceof Inside => '',
            $block instanceof Photo => 'Picture: '.self::escaped($block->caption)."\n",
            default => throw new \LogicException('Markdown does not know '.$block::class.'.'),
        };
    }

    private function table(Table $table): string
    {
        $row = fn (array $cells): string => '| '.implode(' | ', array_map(
            fn (string|Travel|See $one) => self::escaped((string) $one),
            $cells,
        ))." |\n";

        return $row($table->columns).'|'.str_repeat(' --- |', count($table->columns))."\n".implode('', array_map($row, $table->rows));
    }

    /** Text in which nothing is taken for a mark. */
    private static function escaped(string $text): string
    {
        return (string) preg_replace(['/([\\\\`*_\[\]<>|#])/', '/\s+/'], ['\\\\$1', ' '], $text);
    }
}
