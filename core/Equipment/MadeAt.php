<?php

declare(strict_types=1);

namespace HiddenWire\Core\Equipment;

/** Where a setting is made. */
final readonly class MadeAt
{
    /**
     * @param  string  $path  the way there, in words: "Settings, Audio, Inputs"; empty where it is plain to see
     * @param  string  $since  the firmware since which it is there; empty for any
     */
    public function __construct(public MadeBy $by, public string $path = '', public string $since = '')
    {
    }

    public function words(): string
    {
        return $this->by->words().($this->path === '' ? '' : ": {$this->path}")
            .($this->since === '' ? '' : " (since firmware {$this->since})");
    }
}
