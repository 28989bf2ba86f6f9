<?php

declare(strict_types=1);

namespace App\Exports;

use App\ViewModels\MapDepth;
use HiddenWire\Core\Export\CableCsv;
use HiddenWire\Core\Export\DeviceCsv;
use HiddenWire\Core\Export\DocumentFile;
use HiddenWire\Core\Export\Dot;
use HiddenWire\Core\Export\Exporter;
use HiddenWire\Core\Export\GraphMl;
use HiddenWire\Core\Export\Markdown;

/** Every form in which a rig leaves. A new one is a class and a line here. */
final class Exports
{
    /**
     * @param  list<string>|null  $parts  of the book; null for all
     * @param  (\Closure(string): string)|null  $address  where the application shows what is selected, `cable:…` or `unit:…`
     * @return array<string, Exporter> by key
     */
    public static function all(
        Drawings $drawings,
        ?array $parts = null,
        MapDepth $depth = MapDepth::Cables,
        Paper $paper = Paper::A4,
        ?LabelStock $stock = null,
        ?\Closure $address = null,
    ): array {
        $all = [
            new DocumentFile,
            new BookPdf($drawings, $parts, $paper),
            new BookHtml($drawings, $parts),
            new Markdown($parts),
            new CableCsv,
            new Labels($stock ?? LabelStock::of(''), $address),
            new DeviceCsv,
            new Spreadsheet,
            new GraphMl,
            new Dot,
            new MapSvg($drawings, $depth),
            new MapPng($drawings, $depth),
        ];

        return array_combine(array_map(fn (Exporter $one) => $one->key(), $all), $all);
    }
}
