<?php

declare(strict_types=1);

namespace HiddenWire\Core\Import;

use HiddenWire\Core\Edit\RigEdit;

/** What becomes of one row of a table: something new, a change of what is there, nothing, or a problem. */
final readonly class PlannedRow
{
    /**
     * @param  int  $line  of the file
     * @param  'new'|'changed'|'same'|'problem'  $outcome
     * @param  string  $words  what is made, or why it can't be
     * @param  list<RigEdit>  $edits
     */
    public function __construct(public int $line, public string $outcome, public string $words, public array $edits = [])
    {
    }
}
