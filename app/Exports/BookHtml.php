<?php

declare(strict_types=1);

namespace App\Exports;

use App\ViewModels\MapDepth;
use HiddenWire\Core\Book\BookInput;
use HiddenWire\Core\Book\Parts\WallSheet;
use HiddenWire\Core\Export\Exporter;

/** The book as one HTML file, with the maps drawn into it. */
final readonly class BookHtml implements Exporter
{
    /**
     * @param  list<string>|null  $parts  null for all
     * @param  BookAddresses|null  $later  where a page asks for a map once it is shown; null draws it into the book
     */
    public function __construct(private Drawings $drawings, private ?array $parts, private ?BookAddresses $later = null)
    {
    }

    public function key(): string
    {
        return 'html';
    }

    public function label(): string
    {
        return (new HtmlBook)->label();
    }

    public function extension(): string
    {
        return 'html';
    }

    public function mediaType(): string
    {
        return (new HtmlBook)->mediaType();
    }

    public function write(BookInput $of): string
    {
        return $this->writer($of)->write($of);
    }

    /** The writer, with the maps that its parts show. */
    public function writer(BookInput $of): HtmlBook
    {
        $maps = [];
        foreach ($of->rig->units === [] ? [] : ['maps' => MapDepth::Cables->value, WallSheet::KEY => WallSheet::KEY] as $part => $figure) {
            if (in_array($part, $this->parts ?? ['maps'], true)) {
                $maps[$figure] = $this->later === null ? $this->map(MapDepth::Cables)
                    : self::placeholder($this->later);
            }
        }

        return new HtmlBook($this->parts, $maps);
    }

    /** A map as SVG, or the sentence that says why it can't be drawn. */
    public function map(MapDepth $depth): string
    {
        try {
            return Svg::of($this->drawings->at($depth), $depth->label());
        } catch (TooLarge $e) {
            return '<p>'.htmlspecialchars($e->getMessage()).'</p>';
        }
    }

    private static function placeholder(BookAddresses $later): string
    {
        $address = htmlspecialchars($later->map(MapDepth::Cables));

        return "<figure tabindex=\"0\" x-data=\"fetched\" data-own data-key=\"map-{$later->state}\" data-from=\"{$address}\">"
            ."<p role=\"status\"><a href=\"{$address}\">Drawing the map …</a></p></figure>\n";
    }
}
