<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig;

/** The parts do not make a rig. Carries every offence, not the first. */
final class InvalidRig extends \DomainException
{
    /** @param  non-empty-list<Problem>  $problems */
    public function __construct(public readonly array $problems)
    {
        $more = count($problems) - 1;
        parent::__construct($problems[0]->pointer.': '.$problems[0]->message.($more > 0 ? " (and {$more} more)" : ''));
    }
}
