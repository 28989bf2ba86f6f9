<?php

declare(strict_types=1);

namespace App\Exports;

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
use HiddenWire\Core\Export\Exporter;

/** The book as one HTML file that needs no network: style and drawings are in it, steps can be ticked and stay ticked. */
final readonly class HtmlBook implements Exporter
{
    /** Its style sheet and its script, beside the views. */
    private const STYLE = 'book/style.css';

    private const SCRIPT = 'book/ticks.js';

    /** What a map on a sheet on its side begins with. */
    public const TURNED = '<div class="wide">';

    /**
     * @param  list<string>|null  $parts  of the book; null for all
     * @param  array<string, string>  $maps  drawings by depth: an SVG each, or figures of several
     * @param  (\Closure(int, int): void)|null  $progress  told after each part how many of all are written
     */
    public function __construct(private ?array $parts = null, private array $maps = [], private ?\Closure $progress = null)
    {
    }

    public function key(): string
    {
        return 'html';
    }

    public function label(): string
    {
        return 'Book (HTML, one file)';
    }

    public function extension(): string
    {
        return 'html';
    }

    public function mediaType(): string
    {
        return 'text/html; charset=utf-8';
    }

    public function write(BookInput $of): string
    {
        $book = new Book($of, $this->parts);

        return $this->page($book, $this->body($book)->html(), '', "<script>\n".self::beside(self::SCRIPT)."</script>\n");
    }

    /**
     * A whole page around a body.
     *
     * @param  string  $head  additional contents of its head
     * @param  string  $foot  what follows its body
     */
    public function page(Book $book, string $body, string $head, string $foot = ''): string
    {
        $title = self::text($book->title);
        $edition = self::text($book->edition);

        return "<!DOCTYPE html>\n<html lang=\"en\">\n<head>\n<meta charset=\"utf-8\">\n"
            ."<meta name=\"viewport\" content=\"width=device-width, initial-scale=1\">\n<title>{$title} · {$edition}</title>\n"
            ."<style>\n".self::beside(self::STYLE).self::shares()."</style>\n{$head}</head>\n<body>\n{$body}{$foot}</body>\n</html>\n";
    }

    /** The contents between the page's head and its script: also for a page of the application. */
    public function body(Book $book): BookBody
    {
        $chapters = [];
        foreach ($book->chapters as $number => ['part' => $part, 'blocks' => $blocks]) {
            $written = $this->section('<h2>'.self::text($part->title())."</h2>\n", $blocks, $part->key());
            if ($written !== '') {
                [$inside, $sheets] = [...explode(MapSheets::AT_THE_END, $written, 2), ''];
                $chapters[] = new WrittenChapter($part->key(), $part->title(), $inside, $sheets);
            }
            ($this->progress ?? fn () => null)($number + 1, count($book->chapters));
        }
        $lines = array_map(
            fn (string $line) => '<p class="edition">'.self::text($line)."</p>\n",
            array_filter([$book->edition, $book->from]),
        );

        return new BookBody('<div class="cover"><h1>'.self::text($book->title)."</h1>\n".implode('', $lines)."</div>\n", $chapters);
    }

    /**
     * A body with the numbers of the pages in its contents.
     *
     * @param  array<string, int>  $pages  by the ids of its sections
     */
    public function numbered(string $body, array $pages): string
    {
        return (string) preg_replace_callback(
            '/(<a href="#([^"]+)">[^<]*<span class="number">)(<\/span>)/',
            fn (array $found) => $found[1].($pages[$found[2]] ?? '').$found[3],
            $body,
        );
    }

    /**
     * What is wide goes together, with the headings over it: on paper it is on its side.
     *
     * @param  list<Block>  $blocks
     */
    private function section(string $heading, array $blocks, string $key): string
    {
        $runs = [];
        foreach ($blocks as $number => $block) {
            $written = $this->block($block, "{$key}-{$number}");
            // A heading goes where what it is over goes.
            $isWide = $this->isWide($block instanceof Heading ? $blocks[$number + 1] ?? $block : $block);
            if ($written === '') {
                continue;
            }
            if ($runs === [] || $runs[count($runs) - 1][0] !== $isWide) {
                $runs[] = [$isWide, $runs === [] ? $heading : ''];
            }
            // The heading goes onto the sheet on its side that it is over.
            $isTurned = $runs[count($runs) - 1][1] === $heading && str_starts_with($written, self::TURNED);
            $runs[count($runs) - 1][1] = $isTurned ? self::TURNED.$heading.substr($written, strlen(self::TURNED))
                : $runs[count($runs) - 1][1].$written;
        }

        return implode('', array_map(fn (array $run) => $run[0] ? "<div class=\"wide\">\n{$run[1]}</div>\n" : $run[1], $runs));
    }

    private function isWide(Block $block): bool
    {
        // A map on sheets says itself which of them are on their side.
        return $block instanceof Figure && str_starts_with($this->maps[$block->depth] ?? '', '<svg');
    }

    private function block(Block $block, string $id): string
    {
        return match (true) {
            $block instanceof Heading => '<h3>'.self::text($block->text)."</h3>\n",
            $block instanceof Text => '<p>'.self::text($block->text)."</p>\n",
            $block instanceof See => '<p>'.self::see($block)."</p>\n",
            $block instanceof Steps => $this->steps($block, $id),
            $block instanceof Table => $block->rows === [] ? '' : $this->table($block),
            $block instanceof Figure => $this->figure($block),
            $block instanceof Inside => self::inside($block),
            $block instanceof Photo => $this->photo($block),
            default => throw new \LogicException('HTML does not know '.$block::class.'.'),
        };
    }

    private function figure(Figure $figure): string
    {
        $map = $this->maps[$figure->depth] ?? '';

        return ! str_starts_with($map, '<svg') ? $map
            : '<figure tabindex="0"><figcaption>'.self::text($figure->caption)."</figcaption>{$map}</figure>\n";
    }

    /** At the scale at which its letters are eight points high on paper. */
    private static function inside(Inside $inside): string
    {
        $scene = new InsideScene($inside);
        $size = fn (float $pixels): string => sprintf('%.2Fmm', $pixels * MapSheets::LEAST);

        return '<figure tabindex="0"><figcaption>'.self::text($inside->caption).'</figcaption>'
            .'<svg class="inside" xmlns="http://www.w3.org/2000/svg" '
            ."width=\"{$size($scene->width)}\" height=\"{$size($scene->height)}\" viewBox=\"0 0 {$scene->width} {$scene->height}\" "
            .'font-family="'.self::text("'Barlow Semi Condensed', ".PrintFonts::FAMILIES).'" role="img" aria-label="'
            .self::text($inside->caption).'">'.Svg::drawn($scene->shapes)."</svg></figure>\n";
    }

    private function photo(Photo $photo): string
    {
        $jpeg = ($photo->jpeg)();

        return $jpeg === '' ? '' : '<figure><figcaption>'.self::text($photo->caption).'</figcaption><img alt="'.self::text($photo->caption)
            ."\" width=\"{$photo->width}\" height=\"{$photo->height}\" src=\"data:image/jpeg;base64,".base64_encode($jpeg)."\"></figure>\n";
    }

    private function steps(Steps $steps, string $id): string
    {
        $items = '';
        foreach ($steps->steps as $number => $step) {
            $items .= "<li><label><input type=\"checkbox\" id=\"{$id}-{$number}\"> <span>".self::text($step)."</span></label></li>\n";
        }

        return "<ol class=\"steps\">\n{$items}</ol>\n";
    }

    private function table(Table $table): string
    {
        $cells = fn (string $tag, array $row): string => '<tr>'.implode('', array_map(
            fn (string|Travel|See $cell) => "<{$tag}>".self::cell($cell)."</{$tag}>",
            $row,
        ))."</tr>\n";

        $all = array_sum($table->widths);
        $widths = $table->widths === [] ? '' : '<colgroup>'.implode('', array_map(
            fn (float|int $one) => '<col class="share-'.max(1, (int) round(100 * $one / $all)).'">',
            $table->widths,
        )).'</colgroup>';

        return "<div class=\"scroll\" tabindex=\"0\" role=\"group\" aria-label=\"Table\"><table>{$widths}<thead>"
            .$cells('th', $table->columns)
            .'</thead><tbody>'.implode('', array_map(fn (array $row) => $cells('td', $row), $table->rows))."</tbody></table></div>\n";
    }

    private static function cell(string|Travel|See $cell): string
    {
        return match (true) {
            $cell instanceof Travel => self::travel($cell), $cell instanceof See => self::see($cell),
            // A figure and its unit stay on one line.
            default => (string) preg_replace('/(\d) (dB|dBu|ms|m|s|Hz|kHz|%)\b/u', "\$1\u{a0}\$2", self::text($cell)),
        };
    }

    /** A way to a part; {@see numbered()} puts the page behind it. */
    private static function see(See $see): string
    {
        return ($see->before === '' ? '' : self::text($see->before).' ')
            ."<a href=\"#{$see->part->key()}\">".self::text($see->part->title()).' <span class="number"></span></a>';
    }

    /** A fader as a line with a knob on it, a knob as three quarters of a circle with a hand. */
    private static function travel(Travel $of): string
    {
        if ($of->isFader) {
            $x = round(3 + 34 * $of->share, 1);
            $picture = "<path d=\"M3 3v8M37 3v8M3 7h34\"/><path d=\"M{$x} 2v10\" stroke-width=\"2.4\"/>";
            $width = 40;
        } else {
            // From south-west over north to south-east.
            $angle = deg2rad(225 - 270 * $of->share);
            $at = fn (float $radius): string => round(7 + $radius * cos($angle), 1).' '.round(7 - $radius * sin($angle), 1);
            $picture = '<path d="M2.8 11.2A6 6 0 1 1 11.2 11.2"/><path d="M'.$at(1.5).'L'.$at(6).'" stroke-width="2.4"/>';
            $width = 14;
        }

        return "<svg class=\"travel\" fill=\"none\" stroke=\"currentColor\" width=\"{$width}\" height=\"14\" viewBox=\"0 0 {$width} 14\" "
            ."aria-hidden=\"true\">{$picture}</svg> ".self::text($of->words);
    }

    /** Widths of columns in hundredths, as a style sheet: what a page may not say at a column itself. */
    private static function shares(): string
    {
        return implode('', array_map(fn (int $share) => ".share-{$share} { width: {$share}%; }\n", range(1, 100)));
    }

    private static function beside(string $file): string
    {
        return (string) file_get_contents(dirname(__DIR__, 2)."/resources/{$file}");
    }

    private static function text(string $text): string
    {
        return htmlspecialchars($text, ENT_QUOTES | ENT_SUBSTITUTE, 'UTF-8');
    }
}
