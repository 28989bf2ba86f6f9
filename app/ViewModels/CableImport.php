<?php

declare(strict_types=1);

namespace App\ViewModels;

use HiddenWire\Core\Import\CableMapping;
use HiddenWire\Core\Import\CablePlan;
use HiddenWire\Core\Import\CsvTable;
use HiddenWire\Core\Import\UnreadableTable;
use HiddenWire\Core\Rig\Rig;

/** A table of cables on its way in: its columns, which is what, and what would become of each row. */
final readonly class CableImport
{
    public ?CsvTable $table;

    public CableMapping $mapping;

    public ?CablePlan $plan;

    /** Why there is nothing to show; empty where there is. */
    public string $trouble;

    /** @param  array<string, string>  $chosen  column numbers by field, as a form sends them; none to guess */
    public function __construct(Rig $rig, public string $csv, array $chosen)
    {
        $trouble = '';
        $table = null;
        try {
            $table = $csv === '' ? null : CsvTable::read($csv);
        } catch (UnreadableTable $e) {
            $trouble = $e->getMessage();
        }
        $this->table = $table;
        $this->mapping = $chosen === [] ? CableMapping::guess($table->columns ?? []) : self::read($chosen, count($table->columns ?? []));
        $missing = $this->mapping->missing();
        $this->plan = $table === null || $missing !== [] ? null : new CablePlan($rig, $table, $this->mapping);
        $this->trouble = $trouble !== '' || $table === null || $missing === [] ? $trouble
            : 'Say which column is: '.implode(', ', $missing).'.';
    }

    /** @param  array<string, string>  $chosen */
    private static function read(array $chosen, int $columns): CableMapping
    {
        $mapping = [];
        foreach (array_keys(CableMapping::FIELDS) as $field) {
            $at = $chosen[$field] ?? '';
            if (ctype_digit($at) && (int) $at < $columns) {
                $mapping[$field] = (int) $at;
            }
        }

        return new CableMapping($mapping);
    }

    public function makes(): int
    {
        return $this->plan === null ? 0 : $this->plan->count('new') + $this->plan->count('changed');
    }
}
