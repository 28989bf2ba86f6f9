<?php

declare(strict_types=1);

namespace App\ViewModels;

use HiddenWire\Core\Import\CsvTable;
use HiddenWire\Core\Import\UnreadableTable;
use HiddenWire\Core\Import\WishPlan;
use HiddenWire\Core\Rig\Rig;

/** A table of sounds and wishes on its way in, and what would become of each row. */
final readonly class WishImport
{
    public ?WishPlan $plan;

    /** Why there is nothing to show; empty where there is. */
    public string $trouble;

    public function __construct(Rig $rig, public string $csv)
    {
        $trouble = '';
        $plan = null;
        try {
            $plan = trim($csv) === '' ? null : new WishPlan($rig, CsvTable::read($csv));
        } catch (UnreadableTable $e) {
            $trouble = $e->getMessage();
        }
        $this->plan = $plan;
        $this->trouble = $trouble;
    }

    public function makes(): int
    {
        return $this->plan === null ? 0 : $this->plan->count('new') + $this->plan->count('changed');
    }
}
