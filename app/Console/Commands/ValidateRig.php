<?php

declare(strict_types=1);

namespace App\Console\Commands;

use Illuminate\Console\Command;

final class ValidateRig extends Command
{
    use ReadsRigFile;

    protected $signature = 'rig:validate {file : A rig document}';

    protected $description = 'Say whether a rig document is one, or every error with its pointer';

    public function handle(): int
    {
        if ($this->rig($this->argument('file')) === null) {
            return self::FAILURE;
        }
        $this->line('ok');

        return self::SUCCESS;
    }
}
