<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig;

use HiddenWire\Core\Quantity\Decibels;
use HiddenWire\Core\With;

/** What is wanted for one source at one listener. Without situations it holds in all; one that names a situation goes before it there. */
final readonly class Wish
{
    use With;

    /**
     * @param  list<string>  $situations
     * @param  Apart|null  $ownLevel  apart from what its level has to be adjustable; null where it need not be
     * @param  bool  $alone  nothing else may be heard with it
     * @param  Side|null  $side  the one side on which it has to be, on purpose; null for wherever it belongs
     * @param  Treatment|null  $treatment  whether it has to be dry or processed; null for either
     * @param  bool  $stereo  left and right of it have to arrive apart
     * @param  Decibels|null  $upToDb  so loud it may be though it must not be heard; null for not at all, or what spill may have
     */
    public function __construct(
        public string $source,
        public string $listener,
        public Want $want,
        public ?Apart $ownLevel = null,
        public bool $alone = false,
        public array $situations = [],
        public ?Treatment $treatment = null,
        public ?Side $side = null,
        public bool $stereo = false,
        public ?Decibels $upToDb = null,
    ) {
    }

    /** @return list<string> what is wished in addition to being heard: "alone", "own level, apart from other sounds" */
    public function marks(): array
    {
        return array_values(array_filter([
            $this->ownLevel?->words() ?? '',
            $this->alone ? 'alone' : '',
            $this->treatment->value ?? '',
            $this->side === null ? '' : "{$this->side->value} only",
            $this->stereo ? 'in stereo' : '',
            $this->upToDb === null ? '' : "up to {$this->upToDb->text()} dB is fine",
        ]));
    }
}
