<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Models\Revision;
use HiddenWire\Core\Quantity\Count;
use Illuminate\Console\Command;

/** Reads every revision that is kept, and names those that do not come back as they went in. */
final class CheckHistory extends Command
{
    protected $signature = 'history:check {--rig= : Only of the rig of this number}';

    protected $description = 'Read every revision, and name those that are broken';

    public function handle(): int
    {
        $read = $broken = 0;
        $revisions = Revision::query()->when($this->option('rig'), fn ($query, $rig) => $query->where('rig_id', $rig));
        $revisions->eachById(function (Revision $one) use (&$read, &$broken): void {
            $read++;
            if ($one->document === '') {
                $broken++;
                $on = $one->base === null ? '' : ", which stands on revision {$one->base}";
                $this->components->warn("Rig {$one->rig_id}, revision {$one->number}{$on}, can't be read any more.");
            }
        });
        $this->line(Count::of($read, 'revision').' read, '.($broken === 0 ? 'none' : (string) $broken).' broken.');

        return $broken === 0 ? self::SUCCESS : self::FAILURE;
    }
}
