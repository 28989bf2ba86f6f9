<?php

declare(strict_types=1);

namespace App\Exports;

use App\ViewModels\MapDepth;
use HiddenWire\Core\Book\BookInput;
use HiddenWire\Core\Export\Exporter;

/** The map as SVG, at one depth. */
final readonly class MapSvg implements Exporter
{
    public function __construct(private Drawings $drawings, private MapDepth $depth)
    {
    }

    public function key(): string
    {
        return 'svg';
    }

    public function label(): string
    {
        return 'Map (SVG)';
    }

    public function extension(): string
    {
        return 'svg';
    }

    public function mediaType(): string
    {
        return 'image/svg+xml';
    }

    public function write(BookInput $of): string
    {
        return Svg::file($this->drawings->at($this->depth), "{$of->rig->name}: {$this->depth->label()}", $of->edition);
    }
}
