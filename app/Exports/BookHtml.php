<?php

declare(strict_types=1);

namespace App\Exports;

use App\ViewModels\MapDepth;
use HiddenWire\Core\Book\BookInput;
use HiddenWire\Core\Export\Exporter;

/** The book as one HTML file, with the maps drawn into it. */
final readonly class BookHtml implements Exporter
{
    /** @param  list<string>|null  $parts  null for all */
    public function __construct(private Drawings $drawings, private ?array $parts)
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

    /** What writes it, with the maps at hand that its parts show. */
    public function writer(BookInput $of): HtmlBook
    {
        $maps = [];
        foreach ($this->parts === null || in_array('maps', $this->parts, true) ? [MapDepth::Cables, MapDepth::Inside] : [] as $depth) {
            if ($of->rig->units === []) {
                continue;
            }
            try {
                $maps[$depth->value] = Svg::of($this->drawings->at($depth), $depth->label());
            } catch (TooLarge $e) {
                $maps[$depth->value] = '<p>'.htmlspecialchars($e->getMessage()).'</p>';
            }
        }

        return new HtmlBook($this->parts, $maps);
    }
}
