<?php

declare(strict_types=1);

namespace App\Exports;

use App\ViewModels\MapDepth;
use HiddenWire\Core\Book\Book;
use HiddenWire\Core\Book\BookInput;
use HiddenWire\Core\Export\Exporter;

/**
 * The book as PDF: its HTML, set on paper. Contents with page numbers, wide tables and maps on sheets on their side, fonts embedded, tags
 * and bookmarks, text that can be searched.
 */
final readonly class BookPdf implements Exporter
{
    /**
     * @param  list<string>|null  $parts  null for all
     * @param  (\Closure(int, int): void)|null  $progress  told after each part how many of all are written; what it throws ends the writing
     */
    public function __construct(
        private Drawings $drawings,
        private ?array $parts,
        private Paper $paper,
        private ?\Closure $progress = null,
        private Typesetter $typesetter = new Typesetter,
    ) {
    }

    public function key(): string
    {
        return 'pdf';
    }

    public function label(): string
    {
        return 'Book (PDF)';
    }

    public function extension(): string
    {
        return 'pdf';
    }

    public function mediaType(): string
    {
        return 'application/pdf';
    }

    public function write(BookInput $of): string
    {
        $book = new Book($of, $this->parts);
        $html = new HtmlBook($this->parts, $this->maps($of), $this->progress);
        $body = $html->body($book);
        $head = '<meta http-equiv="Content-Security-Policy" content="'.Typesetter::POLICY."\">\n<style>\n"
            .PrintFonts::for($body.$book->title.$book->edition.'0123456789 /')."</style>\n";
        $foot = $book->title.($book->edition === '' ? '' : " · {$book->edition}");

        $head .= '<style>'.$this->style($foot).'</style>';
        // What is drawn in a map takes no room.
        $empty = (string) preg_replace('/(<svg[^>]*>).*?<\/svg>/s', '$1</svg>', $body);

        return $this->typesetter->paged(
            fn (?array $pages): string => $html->page($book, $pages === null ? $empty : $html->numbered($body, $pages), $head),
        );
    }

    /** What is of paper alone: its size, and the foot of each sheet. */
    private function style(string $foot): string
    {
        $size = $this->paper->label();
        $face = 'font: 8pt '.PrintFonts::FAMILIES.'; color: #444;';

        $families = PrintFonts::FAMILIES;

        return "@page { size: {$size}; @bottom-left { content: ".self::quoted($foot)."; {$face} width: 80%; } @bottom-right { {$face} } }\n"
            ."@page wide { size: {$size} landscape; }\n"
            ."body { font-family: {$families}; }\n"
            ."h1, h2, h3 { font-family: 'Barlow Semi Condensed', {$families}; }\n";
    }

    /** A text as CSS takes it: nothing in it ends the string. */
    private static function quoted(string $text): string
    {
        return '"'.preg_replace_callback('/[^A-Za-z0-9 ]/u', fn (array $one) => sprintf('\\%06x', mb_ord($one[0])), $text).'"';
    }

    /** @return array<string, string> by depth */
    private function maps(BookInput $of): array
    {
        $maps = [];
        $isAsked = $this->parts === null || in_array('maps', $this->parts, true);
        foreach ($isAsked && $of->rig->units !== [] ? [MapDepth::Cables, MapDepth::Inside] : [] as $depth) {
            try {
                $maps[$depth->value] = (new MapSheets($this->drawings->at($depth), $depth->value, $depth->label(), $this->paper))->html();
            } catch (TooLarge $e) {
                $maps[$depth->value] = '<p>'.htmlspecialchars("{$depth->label()}: {$e->getMessage()}").'</p>';
            }
        }

        return $maps;
    }
}
