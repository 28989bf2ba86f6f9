<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig;

use HiddenWire\Core\Quantity\Count;
use HiddenWire\Core\With;

/** A step of the run-down that somebody has written, beside those that follow from the rig. */
final readonly class ShowStep
{
    use With;

    /**
     * @param  int|null  $atMin  minutes from the beginning of the show, before it negative; null for no time of its own
     * @param  int  $waitS  seconds to wait afterwards
     */
    public function __construct(
        public string $id,
        public Phase $phase,
        public string $text,
        public ?int $atMin = null,
        public int $waitS = 0,
    ) {
    }

    /** "20 minutes before: Switch the desk on; wait 30 seconds" */
    public function words(): string
    {
        $at = match (true) {
            $this->atMin === null => '',
            $this->atMin === 0 => 'On the hour: ',
            default => Count::of(abs($this->atMin), 'minute').($this->atMin < 0 ? ' before: ' : ' after: '),
        };

        return $at.$this->text.($this->waitS === 0 ? '' : '; wait '.Count::of($this->waitS, 'second'));
    }
}
