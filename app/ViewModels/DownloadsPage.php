<?php

declare(strict_types=1);

namespace App\ViewModels;

use App\Exports\Drawings;
use App\Exports\Exports;
use HiddenWire\Core\Book\BookInput;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\RigParts;
use HiddenWire\Core\Rig\Situation;

/** The forms in which a rig can leave. */
final readonly class DownloadsPage
{
    /** @var list<array{label: string, url: string}> */
    public array $files;

    public function __construct(RigPage $page)
    {
        $nothing = new BookInput(new Rig(new RigParts('', situations: [new Situation('base', 'Base')])));
        $files = [];
        foreach (Exports::all(new Drawings($nothing)) as $key => $exporter) {
            if ($key !== 'pdf') {
                $files[] = [
                    'label' => $exporter->label(), 'url' => route('rigs.export', ['rig' => $page->record->id, 'format' => $key]),
                ];
            }
        }
        $this->files = $files;
    }
}
