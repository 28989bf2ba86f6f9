<?php

declare(strict_types=1);

namespace App\Server;

/** Something that a server lacks, or that is unsafe about it. */
final readonly class Concern
{
    /** @param  bool  $isUrgent  whether it loses something, or lets somebody in; else it is only reported */
    public function __construct(public bool $isUrgent, public string $what, public string $do)
    {
    }
}
