<?php

declare(strict_types=1);

namespace HiddenWire\Core\Export;

use HiddenWire\Core\Book\Block;
use HiddenWire\Core\Book\Book;
use HiddenWire\Core\Book\Figure;
use HiddenWire\Core\Book\Heading;
use HiddenWire\Core\Book\Photo;
use HiddenWire\Core\Book\Source;
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
        @page {
            size: A4; margin: 16mm 14mm 18mm;
            @bottom-right { content: counter(page) ' / ' counter(pages); }
        }
        @page wide { size: A4 landscape; }
        @media print {
            body { max-width: none; padding: 0; font-size: 10pt; }
            .wide { page: wide; }
            h2, h3 { break-after: avoid; }
            tr { break-inside: avoid; }
            thead { display: table-header-group; }
            .scroll, figure { overflow: visible; }
            figure svg { max-width: 100%; height: auto; }
            section { break-before: page; }
            section:first-of-type { break-before: auto; }
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
     * @param  array<string, string>  $maps  drawings by depth, as SVG
     */
    public function __construct(private ?array $parts = null, private array $maps = [])
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

    public function write(Source $of): string
    {
        $book = new Book($of, $this->parts);
        $title = self::text($book->title);
        $edition = self::text($book->edition);

        return "<!DOCTYPE html>\n<html lang=\"en\">\n<head>\n<meta charset=\"utf-8\">\n"
            ."<meta name=\"viewport\" content=\"width=device-width, initial-scale=1\">\n<title>{$title} · {$edition}</title>\n"
            ."<style>\n".self::STYLE."\n</style>\n</head>\n<body>\n".$this->body($book)
            ."<script>\n".self::SCRIPT."\n</script>\n</body>\n</html>\n";
    }

    /** What stands between the page's head and its script: also for a page of the application. */
    public function body(Book $book): string
    {
        $contents = $sections = '';
        foreach ($book->chapters as ['part' => $part, 'blocks' => $blocks]) {
            $written = '';
            foreach ($blocks as $number => $block) {
                $written .= $this->block($block, "{$part->key()}-{$number}");
            }
            if ($written !== '') {
                $contents .= "<li><a href=\"#{$part->key()}\">".self::text($part->title())."</a></li>\n";
                $wide = array_filter($blocks, fn (Block $one) => $one instanceof Figure || ($one instanceof Table && $one->isWide));
                $sections .= "<section id=\"{$part->key()}\"".($wide === [] ? '' : ' class="wide"').">\n<h2>"
                    .self::text($part->title())."</h2>\n{$written}</section>\n";
            }
        }

        return '<h1>'.self::text($book->title)."</h1>\n<p class=\"edition\">".self::text($book->edition)."</p>\n"
            ."<nav aria-label=\"Contents\"><ol>\n{$contents}</ol></nav>\n{$sections}";
    }

    private function block(Block $block, string $id): string
    {
        return match (true) {
            $block instanceof Heading => '<h3>'.self::text($block->text)."</h3>\n",
            $block instanceof Text => '<p>'.self::text($block->text)."</p>\n",
            $block instanceof Steps => $this->steps($block, $id),
            $block instanceof Table => $block->rows === [] ? '' : $this->table($block),
            $block instanceof Figure => isset($this->maps[$block->depth])
                ? '<figure tabindex="0"><figcaption>'.self::text($block->caption)."</figcaption>{$this->maps[$block->depth]}</figure>\n"
                : '',
            $block instanceof Photo => $this->photo($block),
            default => throw new \LogicException('HTML does not know '.$block::class.'.'),
        };
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
