<?php

declare(strict_types=1);

namespace HiddenWire\Core\Progress;

/** What comes next with a rig, and where it is done. */
final readonly class NextStep
{
    /**
     * @param  string  $sentence  what is open, in words, with a full stop
     * @param  string  $about  the id of what it is about: a sound, a listener, a unit, the number of a cause, the evidence of a finding;
     *     empty where it is about no one thing
     */
    public function __construct(public NextKind $kind, public Stop $stop, public string $sentence, public string $about = '')
    {
    }
}
