<?php

declare(strict_types=1);

namespace App\Rigs;

use HiddenWire\Core\Equipment\Catalogue;

/** The catalogue's files, read once a process. */
final class CatalogueFiles
{
    public static function catalogue(): Catalogue
    {
        return once(fn () => Catalogue::of((function () {
            foreach (glob(resource_path('catalogue/*.json')) ?: [] as $file) {
                yield basename($file, '.json') => (string) file_get_contents($file);
            }
        })()));
    }
}
