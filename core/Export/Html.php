<?php

declare(strict_types=1);

namespace HiddenWire\Core\Export;

use HiddenWire\Core\Book\Block;
use HiddenWire\Core\Book\Book;
use HiddenWire\Core\Book\BookInput;
use HiddenWire\Core\Book\Figure;
use HiddenWire\Core\Book\Heading;
use HiddenWire\Core\Book\Photo;
use HiddenWire\Core\Book\Steps;
use HiddenWire\Core\Book\Table;
use HiddenWire\Core\Book\Text;

/** The book as one HTML file that needs no network: style and drawings are in it, steps can be ticked and stay ticked. */
final readonly class Html implements Exporter
{
    private const STYLE = <<<'CSS'
        :root { color-scheme: light; }
        body {
            font: 15px/1.4 Barlow, 'Segoe UI', system-ui, sans-serif; color: #1b1f24; background: #fff;
            margin: 0 auto; padding: 1.2rem; max-width: 62rem;
        }
        h1 { font-size: 1.9rem; margin: 0; }
        h2 { font-size: 1.35rem; margin: 2.2rem 0 0.6rem; border-bottom: 2px solid; }
        h3 { font-size: 1.05rem; margin: 1.3rem 0 0.3rem; }
        .edition { color: #555; margin: 0.2rem 0 1.4rem; }
        nav ol { columns: 2; padding-left: 1.4rem; }
        nav a { color: inherit; }
        .scroll { overflow-x: auto; }
        table { border-collapse: collapse; width: 100%; font-size: 0.86rem; margin: 0.4rem 0 1rem; }
        th, td {
            border: 1px solid #bbb; padding: 0.2rem 0.4rem; text-align: left; vertical-align: top;
            overflow-wrap: anywhere; min-width: 3.4em;
        }
        thead th { background: #efece4; }
        .steps { list-style: none; padding: 0; }
        .steps label { display: flex; gap: 0.6rem; padding: 0.45rem 0; border-bottom: 1px solid #ddd; }
        .steps input { width: 1.3rem; height: 1.3rem; flex: none; }
        figure { margin: 0.5rem 0 1rem; overflow-x: auto; }
        figcaption { color: #555; }
        figure svg { max-width: none; }
        figure img { max-width: 100%; height: auto; }
        .number, .on-paper { display: none; }
        @page {
            size: A4; margin: 16mm 14mm 18mm;
            @bottom-right { content: counter(page) ' / ' counter(pages); }
        }
        @page wide { size: A4 landscape; }
        @page cover { @bottom-left { content: none; } @bottom-right { content: none; } }
        @media print {
            body { max-width: none; padding: 0; font-size: 9pt; line-height: 1.3; }
            table { font-size: 7.4pt; line-height: 1.2; margin: 1mm 0 2.5mm; }
            th, td { padding: 0.35mm 0.8mm; }
            h3 { margin: 3mm 0 1mm; }
            .cover { page: cover; padding-top: 90mm; }
            .cover h1 { font-size: 26pt; line-height: 1.15; }
            nav { break-before: page; }
            nav h2 { margin-top: 0; }
            nav ol { columns: 1; padding: 0; list-style: none; }
            nav li { padding: 0.6mm 0; border-bottom: 1px dotted #999; }
            nav a { display: flex; justify-content: space-between; text-decoration: none; }
            .number { display: inline; }
            .on-paper { display: block; }
            .wide { page: wide; }
            h2 { margin-top: 0; }
            h2, h3, figcaption { break-after: avoid; }
            tr, li { break-inside: avoid; }
            thead { display: table-header-group; }
            .scroll, figure { overflow: visible; }
            figure { margin: 0 0 4mm; break-inside: avoid; }
            figure svg { display: block; max-width: 100%; height: auto; }
            figure.sheet ~ figure.sheet { break-before: page; }
            figure img { max-height: 105mm; width: auto; }
            .steps label { padding: 0.7mm 0; gap: 2mm; }
            .steps input { width: 3.4mm; height: 3.4mm; margin: 0.5mm 0 0; }
            p { margin: 0 0 1.6mm; }
            nav { break-after: page; }
            section + section { margin-top: 8mm; }
        }
        CSS;

    /** Ticks are kept by the browser, for this book and this state of it. */
    private const SCRIPT = <<<'JS'
        const key = 'ticks ' + document.title;
        let kept = {};
        try { kept = JSON.parse(localStorage.getItem(key)) ?? {}; } catch { }
        for (const box of document.querySelectorAll('.steps input')) {
            box.checked = kept[box.id] === true;
            box.addEventListener('change', () => {
                kept[box.id] = box.checked;
                try { localStorage.setItem(key, JSON.stringify(kept)); } catch { }
            });
        }
        JS;

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

        return $this->page($book, $this->body($book), '', "<script>\n".self::SCRIPT."\n</script>\n");
    }

    /**
     * A whole page around a body.
     *
     * @param  string  $head  what stands in its head besides
     * @param  string  $foot  what stands behind its body
     */
    public function page(Book $book, string $body, string $head, string $foot = ''): string
    {
        $title = self::text($book->title);
        $edition = self::text($book->edition);

        return "<!DOCTYPE html>\n<html lang=\"en\">\n<head>\n<meta charset=\"utf-8\">\n"
            ."<meta name=\"viewport\" content=\"width=device-width, initial-scale=1\">\n<title>{$title} · {$edition}</title>\n"
            ."<style>\n".self::STYLE."\n</style>\n{$head}</head>\n<body>\n{$body}{$foot}</body>\n</html>\n";
    }

    /** What stands between the page's head and its script: also for a page of the application. */
    public function body(Book $book): string
    {
        $contents = $sections = '';
        foreach ($book->chapters as $number => ['part' => $part, 'blocks' => $blocks]) {
            $written = $this->section('<h2>'.self::text($part->title())."</h2>\n", $blocks, $part->key());
            if ($written !== '') {
                $contents .= "<li><a href=\"#{$part->key()}\">".self::text($part->title())." <span class=\"number\"></span></a></li>\n";
                $sections .= "<section id=\"{$part->key()}\">\n{$written}</section>\n";
            }
            ($this->progress ?? fn () => null)($number + 1, count($book->chapters));
        }

        return '<div class="cover"><h1>'.self::text($book->title)."</h1>\n<p class=\"edition\">".self::text($book->edition)."</p></div>\n"
            ."<nav aria-label=\"Contents\">\n<h2 class=\"on-paper\">Contents</h2>\n<ol>\n{$contents}</ol></nav>\n{$sections}";
    }

    /**
     * A body with the numbers of the pages in its contents.
     *
     * @param  array<string, int>  $pages  by the ids of its sections
     */
    public function numbered(string $body, array $pages): string
    {
        return (string) preg_replace_callback('/(<a href="#([^"]+)">[^<]*<span class="number">)(<\/span>)/',
            fn (array $found) => $found[1].($pages[$found[2]] ?? '').$found[3], $body);
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
            $runs[count($runs) - 1][1] .= $written;
        }

        return implode('', array_map(fn (array $run) => $run[0] ? "<div class=\"wide\">\n{$run[1]}</div>\n" : $run[1], $runs));
    }

    private function isWide(Block $block): bool
    {
        return $block instanceof Figure || ($block instanceof Table && $block->isWide);
    }

    private function block(Block $block, string $id): string
    {
        return match (true) {
            $block instanceof Heading => '<h3>'.self::text($block->text)."</h3>\n",
            $block instanceof Text => '<p>'.self::text($block->text)."</p>\n",
            $block instanceof Steps => $this->steps($block, $id),
            $block instanceof Table => $block->rows === [] ? '' : $this->table($block),
            $block instanceof Figure => $this->figure($block),
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
            fn (string $cell) => "<{$tag}>".self::text($cell)."</{$tag}>",
            $row,
        ))."</tr>\n";

        return '<div class="scroll" tabindex="0" role="group" aria-label="Table"><table><thead>'.$cells('th', $table->columns)
            .'</thead><tbody>'.implode('', array_map(fn (array $row) => $cells('td', $row), $table->rows))."</tbody></table></div>\n";
    }

    private static function text(string $text): string
    {
        return htmlspecialchars($text, ENT_QUOTES | ENT_SUBSTITUTE, 'UTF-8');
    }
}
