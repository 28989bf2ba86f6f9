<?php

declare(strict_types=1);

namespace App\Exports;

use App\ViewModels\MapDepth;
use HiddenWire\Core\Book\BookInput;
use HiddenWire\Core\Export\Exporter;
use Illuminate\Support\Facades\Process;

/** The map as PNG, twice as fine as on the screen: drawn from its SVG by rsvg-convert. */
final readonly class MapPng implements Exporter
{
    private const ZOOM = '2';

    /** What a shell answers with where there is no such command. */
    private const NO_COMMAND = 127;

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

    /**
     * @throws NotInstalled where rsvg-convert is missing
     * @throws \RuntimeException where it can't draw the map
     */
    public function write(BookInput $of): string
    {
        $run = Process::timeout(self::SECONDS)->input(Svg::of($this->drawings->at($this->depth), $of->rig->name))
            ->run(['rsvg-convert', '--zoom', self::ZOOM, '--format', 'png']);

        return match (true) {
            $run->successful() => $run->output(),
            $run->exitCode() === self::NO_COMMAND => throw new NotInstalled(
                'A PNG needs rsvg-convert. Install it (apt-get install librsvg2-bin), or take the SVG.',
            ),
            default => throw new \RuntimeException('The map can\'t be drawn as a PNG; take the SVG. '.trim($run->errorOutput())),
        };
    }
}
