<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig;

use HiddenWire\Core\Equipment\SystemNeed;
use HiddenWire\Core\With;

/** What a computer runs: the name and version of its operating system. */
final readonly class OperatingSystem
{
    use With;

    /** @param  string  $version  numbers with dots between them; empty where it is not known */
    public function __construct(public string $name, public string $version = '')
    {
    }

    /** Whether it is what a need asks for; a version that nobody has named is taken for new enough. */
    public function meets(SystemNeed $need): bool
    {
        return $this->isNamed($need->system)
            && ($need->from === '' || $this->version === '' || version_compare($this->version, $need->from, '>='));
    }

    public function isNamed(string $name): bool
    {
        return mb_strtolower($this->name) === mb_strtolower($name);
    }

    public function words(): string
    {
        return trim("{$this->name} {$this->version}");
    }
}
