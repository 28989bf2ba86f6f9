<?php

declare(strict_types=1);

namespace App\Exports;

use App\ViewModels\MapDepth;
use HiddenWire\Core\Book\Source;
use HiddenWire\Core\Export\Exporter;
use Illuminate\Support\Facades\Process;

/** The map as PNG, twice as fine as on the screen: drawn from its SVG by rsvg-convert. */
final readonly class MapPng implements Exporter
{
    private const ZOOM = '2';

    private const SECONDS = 60;

    public function __construct(private Drawings $drawings, private MapDepth $depth)
    {
    }

    public function key(): string
    {
        return 'png';
    }

    public function label(): string
    {
        return 'Map (PNG)';
    }

    public function extension(): string
    {
        return 'png';
    }

    public function mediaType(): string
    {
        return 'image/png';
    }

    /** @throws NotInstalled where rsvg-convert is missing */
    public function write(Source $of): string
    {
        $run = Process::timeout(self::SECONDS)->input(Svg::of($this->drawings->at($this->depth), $of->rig->name))
            ->run(['rsvg-convert', '--zoom', self::ZOOM, '--format', 'png']);

        return $run->successful() ? $run->output() : throw new NotInstalled(
            'A PNG needs rsvg-convert (Debian: librsvg2-bin). Install it, or take the SVG. '.trim($run->errorOutput()),
        );
    }
}
