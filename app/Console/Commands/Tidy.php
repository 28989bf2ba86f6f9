<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Exports\Typesetter;
use App\Models\Deed;
use App\Models\SentEdit;
use App\Models\ToneTake;
use App\Rigs\KeptByState;
use HiddenWire\Core\Quantity\Count;
use Illuminate\Console\Command;

/** Lets go of what was kept ready and is out of date, and of recordings whose time is over. */
final class Tidy extends Command
{
    protected $signature = 'cache:tidy';

    protected $description = 'Delete what was kept ready and is out of date';

    public function handle(): int
    {
        Typesetter::tidy();
        ToneTake::tidy();
        SentEdit::tidy();
        Deed::tidy();
        $this->line(Count::of(KeptByState::tidy(), 'old entry', 'old entries').' deleted.');

        return self::SUCCESS;
    }
}
