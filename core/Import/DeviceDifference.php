<?php

declare(strict_types=1);

namespace HiddenWire\Core\Import;

use HiddenWire\Core\Edit\RigEdit;

/** One difference between a computer's device list as it was seen and as it is planned. */
final readonly class DeviceDifference
{
    /**
     * @param  string  $sentence  without a full stop
     * @param  string  $mend  what to do at the computer
     * @param  RigEdit|null  $takeOver  what makes the plan as it was seen; null where the plan can't say it
     */
    public function __construct(
        public DeviceTrouble $kind,
        public string $sentence,
        public string $mend,
        public ?RigEdit $takeOver = null,
    ) {
    }

    /** The same for the same difference. */
    public function key(): string
    {
        return substr(hash('sha256', "{$this->kind->value} {$this->sentence}"), 0, 12);
    }
}
