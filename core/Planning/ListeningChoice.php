<?php

declare(strict_types=1);

namespace HiddenWire\Core\Planning;

use HiddenWire\Core\Edit\RigEdit;
use HiddenWire\Core\Rig\Listener;

/** A way for one listener to hear exactly a mix, that nobody on the air notices. */
final readonly class ListeningChoice
{
    /** @param  list<Listener>  $also  others in the room who hear something else then, too */
    public function __construct(public Listener $listener, public RigEdit $edit, public string $words, public array $also)
    {
    }
}
