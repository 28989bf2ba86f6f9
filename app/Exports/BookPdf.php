<?php

declare(strict_types=1);

namespace App\Exports;

use App\ViewModels\MapDepth;
use HiddenWire\Core\Book\Book;
use HiddenWire\Core\Book\BookInput;
use HiddenWire\Core\Book\Parts\Maps;
use HiddenWire\Core\Book\Parts\WallSheet;
use HiddenWire\Core\Export\Exporter;

/**
 * The book as PDF: its HTML, set on paper. Contents with page numbers, wide tables and maps on sheets on their side, fonts embedded, tags
 * and bookmarks, text that can be searched.
 */
final readonly class BookPdf implements Exporter
{
    /** Sheets for the wall, on their side: A3, A2, A1, A0. */
    private const WALL = [[420, 297], [594, 420], [841, 594], [1189, 841]];

    /** Millimetres of such a sheet that its head, margins and headings take, and each line of its tables. */
    private const WALL_HEAD = 62.0;

    private const WALL_LINE = 5.4;

    private const MAPS = 'maps';

    /** Millimetres that the headings of a map take. */
    private const MAP_HEAD = 22.0;

    /** From where to where on a page it is left full enough by a map that goes onto the next one, as shares of its height. */
    private const FULL = [0.64, 0.94];

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
        $isForWall = in_array(WallSheet::KEY, $this->parts ?? [], true) && $of->rig->units !== [];
        [$map, $sheet] = $isForWall ? $this->wall($of) : ['', self::WALL[0]];
        $html = new HtmlBook($this->parts, [...$this->maps($of), WallSheet::KEY => $map], $this->progress);
        $body = $html->body($book);
        $head = '<meta http-equiv="Content-Security-Policy" content="'.Typesetter::POLICY."\">\n<style>\n"
            .PrintFonts::for($body->html().$book->title.$book->edition.'0123456789 /')."</style>\n";
        $foot = $book->title.($book->edition === '' ? '' : " · {$book->edition}");

        $head .= '<style>'.$this->style($foot, $sheet).'</style>';
        // What is drawn takes the room of its frame.
        $empty = fn (string $body): string => (string) preg_replace('/(<svg[^>]*>).*?<\/svg>/s', '$1</svg>', $body);
        $height = $body->isOneOfSeveral(self::MAPS) ? $body->chapter(self::MAPS)?->drawn() : null;
        if ($height !== null) {
            $body = $body->moved(self::MAPS, null);
            $places = $this->typesetter->places($html->page($book, $empty($body->html()), $head));
            $body = $body->moved(self::MAPS, $this->before($places, $height));
        }
        $body = $body->html();

        return $this->typesetter->paged(
            fn (?array $pages): string => $html->page($book, $pages === null ? $empty($body) : $html->numbered($body, $pages), $head),
        );
    }

    /**
     * Behind which section the map goes: the first where it finds room on the page, or leaves no more than a third of it empty.
     *
     * @param  array<string, array{int, float}>  $places  of all sections, in their order
     * @param  float  $height  of the map, in millimetres
     * @return string|null null for behind all of them
     */
    private function before(array $places, float $height): ?string
    {
        $room = $this->paper->size()[1] - Paper::MARGINS['bottom'];
        $last = null;
        foreach ($places as $section => [, $points]) {
            $down = $points / 72 * 25.4;
            $fits = $down + $height + self::MAP_HEAD < $room;
            // Nearly at the foot, a line more would leave it on a page of its own.
            if ($last !== null && $section !== self::MAPS && ($fits || ($down > self::FULL[0] * $room && $down < self::FULL[1] * $room))) {
                return $last;
            }
            $last = $section;
        }

        return null;
    }

    /**
     * What is of paper alone: its size, and the foot of each sheet.
     *
     * @param  array{int, int}  $wall  width and height of the sheet for the wall, in millimetres
     */
    private function style(string $foot, array $wall): string
    {
        $size = $this->paper->label();
        $face = 'font: 8pt '.PrintFonts::FAMILIES.'; color: #444;';

        $families = PrintFonts::FAMILIES;

        return "@page { size: {$size}; @bottom-left { content: ".self::quoted($foot)."; {$face} width: 80%; } @bottom-right { {$face} } }\n"
            ."@page wide { size: {$size} landscape; }\n@page wall { size: {$wall[0]}mm {$wall[1]}mm; }\n"
            .'#wall table, #wall h3, #wall figcaption { font-size: '.round(9 * self::larger($wall[0]), 1)."pt; }\n"
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
        if ($of->rig->units === [] || ! in_array('maps', $this->parts ?? ['maps'], true)) {
            return [];
        }
        $depth = MapDepth::Cables;
        try {
            return [$depth->value => (new MapSheets($this->drawings->at($depth), $depth->value, $depth->label(), $this->paper))->html()];
        } catch (TooLarge $e) {
            return [$depth->value => '<p>'.htmlspecialchars("{$depth->label()}: {$e->getMessage()}").'</p>'];
        }
    }

    /** How much larger letters are on a sheet of a width than on A3: it is read from further away. */
    private static function larger(int $width): float
    {
        return max(1.0, 0.85 * $width / self::WALL[0][0]);
    }

    /**
     * The map for the wall, and the sheet that it takes: the smallest on which it can be read.
     *
     * @return array{string, array{int, int}} the drawing, and width and height of its sheet in millimetres
     */
    private function wall(BookInput $of): array
    {
        $lines = count($of->rig->sources) + count($of->rig->controls);
        try {
            $scene = $this->drawings->at(MapDepth::Cables);
        } catch (TooLarge $e) {
            return ['<p>'.htmlspecialchars($e->getMessage()).'</p>', self::WALL[0]];
        }
        $sheets = new MapSheets($scene, WallSheet::KEY, (new Maps)->captionOf('cables'), $this->paper);
        foreach (self::WALL as [$width, $height]) {
            $larger = self::larger($width);
            $map = $sheets->within([$width - 28.0, $height - $larger * (self::WALL_HEAD + self::WALL_LINE * $lines)]);
            if ($map !== null) {
                return [$map, [$width, $height]];
            }
        }

        return ['<p>'.htmlspecialchars('The map is larger than a sheet of 1189 by 841 mm. Take the SVG.').'</p>', self::WALL[0]];
    }
}
