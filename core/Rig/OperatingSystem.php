<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig;

use HiddenWire\Core\Equipment\SystemNeed;
use HiddenWire\Core\With;

/** What a computer runs: its operating system's name and version, as its owner calls it, and what it can do. */
final readonly class OperatingSystem
{
    use With;

    /**
     * @param  string  $version  numbers with dots between them; empty where it is not known
     * @param  SystemKind|null  $kind  null where nobody has said: then loopback of any device is taken for granted
     */
    public function __construct(public string $name, public string $version = '', public ?SystemKind $kind = null)
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

    /** "Workbench 3: loopback of any device, a default for calls" */
    public function told(): string
    {
        return $this->words().($this->kind === null ? '' : ": {$this->kind->words()}");
    }

    public function words(): string
    {
        return trim("{$this->name} {$this->version}");
    }
}
