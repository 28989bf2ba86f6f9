<?php

declare(strict_types=1);

namespace HiddenWire\Core\Export;

use HiddenWire\Core\Book\BookInput;
use HiddenWire\Core\Document\DocumentWriter;

/** The rig document itself: what comes in again as it went out. */
final class DocumentFile implements Exporter
{
    public function key(): string
    {
        return 'document';
    }

    public function label(): string
    {
        return 'Rig document (JSON)';
    }

    public function extension(): string
    {
        return 'json';
    }

    public function mediaType(): string
    {
        return 'application/json';
    }

    public function write(BookInput $of): string
    {
        return (new DocumentWriter)->write($of->rig);
    }
}
