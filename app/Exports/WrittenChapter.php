<?php

declare(strict_types=1);

namespace App\Exports;

/** One part of the book, written as HTML. */
final readonly class WrittenChapter
{
    /**
     * @param  string  $key  of its part: also the id of its section
     * @param  string  $html  contents of its section
     * @param  string  $sheets  what follows all sections, on sheets of its own
     */
    public function __construct(public string $key, public string $title, public string $html, public string $sheets = '')
    {
    }

    /**
     * @param  string  $head  what precedes it in its section
     * @param  string|null  $address  where a page asks for the contents, which are then left out
     */
    public function section(string $head = '', ?string $address = null): string
    {
        $inside = $address === null ? $this->html : $this->placeholder($address);

        return "<section id=\"{$this->key}\">\n{$head}{$inside}</section>\n";
    }

    /** Its line in the contents. */
    public function entry(): string
    {
        return "<li><a href=\"#{$this->key}\">{$this->title()} <span class=\"number\"></span></a></li>\n";
    }

    /**
     * What its drawings take on paper.
     *
     * @return float|null millimetres of height; infinite for a sheet on its side; null where it has none
     */
    public function drawn(): ?float
    {
        if (! str_contains($this->html, '<figure')) {
            return null;
        }
        preg_match_all('/<svg[^>]* height="([\d.]+)mm"/', $this->html, $heights);

        return str_starts_with($this->html, HtmlBook::TURNED) ? INF : array_sum(array_map(floatval(...), $heights[1]));
    }

    private function placeholder(string $address): string
    {
        $address = htmlspecialchars($address);
        // What it says tells it apart: where that changes, a page that shows it asks anew.
        $key = "{$this->key}-".hash('xxh32', $this->html);

        return "<div x-data=\"fetched\" data-own data-key=\"{$key}\" data-from=\"{$address}\">\n<h2>{$this->title()}</h2>\n"
            ."<p role=\"status\"><a href=\"{$address}\">Writing this part …</a></p></div>\n";
    }

    private function title(): string
    {
        return htmlspecialchars($this->title);
    }
}
