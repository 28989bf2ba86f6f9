<?php

declare(strict_types=1);

namespace HiddenWire\Core\Import;

use HiddenWire\Core\Edit\RigEdit;
use HiddenWire\Core\Rig\InvalidRig;
use HiddenWire\Core\Rig\Rig;

/** A table against a rig: row by row, what would be made of it, on the rig as the rows before leave it, and what can't. */
final readonly class PlannedRows
{
    /** Units, cables and wishes looked at again, over all changes. */
    private const MOST_WORK = 250_000;

    /** @var list<PlannedRow> */
    public array $rows;

    /** The rig as all that can be made would leave it. */
    public Rig $after;

    /**
     * @param  class-string<RigEdit>  $new  the change that begins a row of something new
     * @param  \Closure(Rig, list<string>): list<RigEdit>  $of  a row's changes, none where nothing is otherwise; throws InvalidRig
     * @param  list<PlannedRow>  $rows  of the first line, made in $rig already
     */
    public function __construct(Rig $rig, CsvTable $table, string $new, \Closure $of, array $rows = [])
    {
        $spent = 0;
        foreach ($table->rows as $line => $row) {
            // Each change looks at the whole rig again: what a file may cost has a limit.
            if ($spent > self::MOST_WORK) {
                $rows[] = new PlannedRow($line, 'problem', 'Too many at once. Import the file again for the rest.');

                continue;
            }
            try {
                $edits = $of($rig, $row);
                $words = [];
                foreach ($edits as $edit) {
                    $words[] = $edit->words($rig);
                    $rig = $edit->applyTo($rig);
                }
                $rows[] = $edits === [] ? new PlannedRow($line, 'same', 'Is there already, like this.')
                    : new PlannedRow($line, $edits[0] instanceof $new ? 'new' : 'changed', implode('; ', $words), $edits);
            } catch (InvalidRig $e) {
                $edits = [null];
                $rows[] = new PlannedRow($line, 'problem', $e->problems[0]->message);
            }
            $spent += $edits === [] ? 0 : count($rig->units) + count($rig->cables) + count($rig->wishes);
        }
        $this->rows = $rows;
        $this->after = $rig;
    }

    /** @return list<RigEdit> all that can be made */
    public function all(): array
    {
        return array_merge(...array_map(fn (PlannedRow $row) => $row->edits, $this->rows));
    }

    public function count(string $outcome): int
    {
        return count(array_filter($this->rows, fn (PlannedRow $row) => $row->outcome === $outcome));
    }
}
