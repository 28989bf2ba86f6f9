<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Models\Revision;
use HiddenWire\Core\Quantity\Count;
use Illuminate\Console\Command;

/** Packs revisions that an earlier version has kept as they are. It can be stopped and goes on where it was. */
final class PackHistory extends Command
{
    protected $signature = 'history:pack';

    protected $description = 'Pack the revisions that an earlier version has kept in full';

    public function handle(): int
    {
        $packed = 0;
        foreach (Revision::query()->whereNotNull('document')->distinct()->orderBy('rig_id')->pluck('rig_id') as $rig) {
            // In the order of their numbers: each is a difference to one before it.
            $numbers = Revision::query()->where('rig_id', $rig)->whereNotNull('document')->orderBy('number')->pluck('id');
            foreach ($numbers as $id) {
                $one = Revision::query()->whereKey($id)->sole();
                $one->pack();
                $one->save();
                $packed++;
            }
        }
        $this->line(Count::of($packed, 'revision').' packed.');

        return self::SUCCESS;
    }
}
