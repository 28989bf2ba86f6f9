<?php

declare(strict_types=1);

namespace App\Console\Commands;

use HiddenWire\Core\Document\Json;
use HiddenWire\Core\Rig\Format\Schema;
use HiddenWire\Core\Rig\Format\Things\Rigs;
use Illuminate\Console\Command;

/** Writes the published schema anew, after the description of the format has changed. */
final class WriteSchema extends Command
{
    protected $signature = 'format:schema';

    protected $description = 'Write docs/format/rig-'.Rigs::VERSION.'.schema.json from the description of the format';

    public function handle(): int
    {
        $file = base_path('docs/format/rig-'.Rigs::VERSION.'.schema.json');
        if (@file_put_contents($file, Json::encode(Schema::rig())) === false) {
            $this->error("{$file} can't be written.");

            return self::FAILURE;
        }
        $this->info("Wrote {$file}.");

        return self::SUCCESS;
    }
}
