<?php

declare(strict_types=1);

namespace HiddenWire\Core\Equipment;

/** One operating system on which a program or driver runs. */
final readonly class SystemNeed
{
    /** What a version looks like. */
    public const VERSION = '^\d{1,5}(\.\d{1,5}){0,3}$';

    /** @param  string  $from  the first version on which it runs; empty for any */
    public function __construct(public string $system, public string $from = '')
    {
    }

    public function words(): string
    {
        return $this->from === '' ? $this->system : "{$this->system} from {$this->from}";
    }
}
