<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Rigs\CatalogueFiles;
use Illuminate\Console\Command;

/** Writes the catalogue as PHP, beside the settings that are kept ready. */
final class WriteCatalogue extends Command
{
    protected $signature = 'catalogue:cache';

    protected $description = 'Write the catalogue as PHP, which opcache keeps';

    public function handle(): int
    {
        $this->info('Wrote '.CatalogueFiles::write().'.');

        return self::SUCCESS;
    }
}
