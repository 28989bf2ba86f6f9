<?php

declare(strict_types=1);

namespace HiddenWire\Core\Checks;

use HiddenWire\Core\Edit\RigEdit;
use HiddenWire\Core\Planning\Cost;

/** What may cure a finding. Not tried yet. */
final readonly class Proposal
{
    /**
     * @param  string  $sentence  what to do: "Put an isolator into W-07 at Desk mixer"
     * @param  list<RigEdit>  $edits
     * @param  int  $cost  for a technician, see {@see Cost}
     */
    public function __construct(public string $sentence, public array $edits, public int $cost)
    {
    }
}
